// A log put in order: times that rise, positions that can be flown, holes that are known. What is left out is counted.
import { type Outcome, success } from "../../outcome";
import { radians } from "../../quantities/angle";
import { type FlightLog, type LogColumn, NO_LOG } from "../log";

/** Set back by less than this a fix came late; by more, a clock was set and it is left out, s. */
const LATE_S = 30;
/** No light aeroplane is faster over the ground than this there and back again, m/s. */
const FASTEST_MPS = 150;
/** A jump that is taken back within so many fixes was none. */
const JUMP_FIXES = 5;
/** A hole is longer than this many median intervals, and than so long. */
const [HOLE_INTERVALS, HOLE_S] = [3.5, 2.5];
/** Radius of a sphere, m: for telling jumps, where a percent does not matter. */
const EARTH_M = 6_371_000;

/** A stretch without fixes. */
export interface Hole {
  readonly from_s: number;
  readonly to_s: number;
}

/** A log in order. Times are seconds from its first fix. */
export interface CleanLog {
  readonly format: FlightLog["format"];
  readonly clock: FlightLog["clock"];
  /** Of the first fix, as the log tells it. */
  readonly begins_s: number;
  readonly time_s: Float64Array;
  readonly columns: FlightLog["columns"];
  /** Median time between two fixes. */
  readonly interval_s: number;
  readonly holes: readonly Hole[];
  readonly leftOut: {
    readonly repeated: number;
    readonly setBack: number;
    readonly jumped: number;
    readonly withoutPlace: number;
  };
  readonly sorted: number;
}

function median(values: Float64Array): number {
  if (values.length === 0) return NaN;
  return Float64Array.from(values).sort()[values.length >> 1];
}

/** Distance of two fixes, m, as on a sphere and near each other. */
function apart(lat: Float64Array, lon: Float64Array, i: number, j: number): number {
  const dx = radians(lon[j] - lon[i]) * Math.cos(radians(lat[i]));
  const dy = radians(lat[j] - lat[i]);
  return EARTH_M * Math.hypot(dx, dy);
}

/** Indices in the order of time; fixes set back by more than a clock's lateness are left out. */
function inOrder(time: Float64Array): { order: Int32Array; sorted: number; setBack: number } {
  const kept: number[] = [];
  let [latest, sorted, setBack] = [-Infinity, 0, 0];
  for (let i = 0; i < time.length; i += 1) {
    if (time[i] < latest - LATE_S) {
      setBack += 1;
      continue;
    }
    if (time[i] < latest) sorted += 1;
    else latest = time[i];
    kept.push(i);
  }
  const order = Int32Array.from(kept);
  if (sorted > 0) order.sort((a, b) => time[a] - time[b] || a - b);
  return { order, sorted, setBack };
}

/**
 * Puts a log in order.
 *
 * @returns `no_fixes` where nothing with a position is left
 */
export function cleanLog(log: FlightLog): Outcome<CleanLog> {
  const { latitude_deg: lat, longitude_deg: lon } = log.columns;
  if (!lat || !lon) return { ok: false, issue: NO_LOG.empty };
  const { order, sorted, setBack } = inOrder(log.time_s);
  const kept: number[] = [];
  const leftOut = { repeated: 0, setBack, jumped: 0, withoutPlace: 0 };
  let last = -1;
  for (let k = 0; k < order.length; k += 1) {
    const i = order[k];
    if (!(Number.isFinite(lat[i]) && Number.isFinite(lon[i])) || (lat[i] === 0 && lon[i] === 0)) {
      leftOut.withoutPlace += 1;
      continue;
    }
    if (last >= 0) {
      const passed_s = log.time_s[i] - log.time_s[last];
      if (passed_s < 1e-6) {
        leftOut.repeated += 1;
        continue;
      }
      if (apart(lat, lon, last, i) > FASTEST_MPS * passed_s && returns(lat, lon, log.time_s, order, k, last)) {
        leftOut.jumped += 1;
        continue;
      }
    }
    kept.push(i);
    last = i;
  }
  if (kept.length === 0) return { ok: false, issue: NO_LOG.empty };
  const begins_s = log.time_s[kept[0]];
  const pick = (values: Float64Array) => {
    const out = new Float64Array(kept.length);
    for (let i = 0; i < out.length; i += 1) out[i] = values[kept[i]];
    return out;
  };
  const time_s = pick(log.time_s).map((time) => time - begins_s);
  const columns: Partial<Record<LogColumn, Float64Array>> = {};
  for (const [name, values] of Object.entries(log.columns) as [LogColumn, Float64Array][]) columns[name] = pick(values);
  const intervals = time_s.subarray(1).map((t, i) => t - time_s[i]);
  const interval_s = kept.length > 1 ? median(intervals) : 1;
  const longest = Math.max(HOLE_INTERVALS * interval_s, HOLE_S);
  const holes: Hole[] = [];
  for (let i = 0; i < intervals.length; i += 1)
    if (intervals[i] > longest) holes.push({ from_s: time_s[i], to_s: time_s[i + 1] });
  return success({
    format: log.format,
    clock: log.clock,
    begins_s,
    time_s,
    columns,
    interval_s,
    holes,
    leftOut,
    sorted,
  });
}

/** Whether a fix that jumped away is followed by one that can be flown to from before it. */
function returns(
  lat: Float64Array,
  lon: Float64Array,
  time: Float64Array,
  order: Int32Array,
  k: number,
  last: number,
): boolean {
  for (let ahead = k + 1; ahead <= k + JUMP_FIXES && ahead < order.length; ahead += 1) {
    const j = order[ahead];
    if (!Number.isFinite(lat[j]) || (lat[j] === 0 && lon[j] === 0)) continue;
    if (apart(lat, lon, last, j) <= FASTEST_MPS * Math.max(time[j] - time[last], 1e-6)) return true;
  }
  return false;
}
