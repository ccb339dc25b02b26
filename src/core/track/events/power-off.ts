// When an engine stops pulling: by its fuel flow, or by what pull is left over from the energy that the flight gains
// and the drag that the aircraft's polar has.
import type { Polar } from "../../aircraft/polar";
import { RHO0 } from "../../quantities/constants";
import type { Flown } from "../flown";
import { averaged, filled } from "../smooth/averaged";

/** How an engine was off. */
export type OffKind = "idle" | "stopped" | "windmilling" | "reduced or lost";

/** @see powerOff */
export interface PowerOff {
  /** 1 or 2; null where it is not told which, or of all. */
  readonly engine: 1 | 2 | null;
  readonly time_s: number;
  readonly sigma_s: number;
  /** Null where the log ends first. */
  readonly back_s: number | null;
  readonly kind: OffKind;
  readonly by: "engine" | "path" | "hand";
  /** Found without the aircraft's polar or an engine's gauge: to be confirmed. */
  readonly possible: boolean;
}

/** Of the flow that a flight reaches: off below, for so long, back above. */
const [FLOW_OFF, FLOW_BACK, OFF_S] = [0.27, 0.4, 8];
/** A fuel flow falls behind the engine by so much, s. */
const FLOW_LAG_S = 0.8;
const LEVEL_SHARE = 0.95;
/** More of the level than this is idle; slower than this it stands. */
const [IDLE_SHARE, STANDS_RPM] = [0.05, 200];
/** Pull over weight: off below, back above. */
const [PULL_OFF, PULL_BACK] = [0.035, 0.07];
/** Averaged over so long to each side: a receiver's heights are noisier, s. */
const [AVERAGE_S, AVERAGE_GPS_S] = [2.5, 4];
/** A stop takes at least so much of the pull away; a slow descent that meets a gust does not. */
const LEAST_DROP = 0.05;
/** Levels before and after, of which the middle is the moment, s. */
const [LEVEL_FROM_S, LEVEL_TO_S] = [4, 12];
/** Slower than this nothing is told of the pull. */
const FLIES_MPS = 12;

/** A light aeroplane of its kind, where nobody says which: what is found so is possible only. Common practice. */
export const ANY_POLAR: Polar = { cd0: 0.045, k: 0.06, clMax: 1.5, wingLoading: 620 };

/** Level that a share of the values lies under. */
function quantile(values: Float64Array, share: number): number {
  const known = values.filter(Number.isFinite).sort();
  return known.length === 0 ? NaN : known[Math.min(Math.floor(share * known.length), known.length - 1)];
}

/** Stretches below a bound for long enough, ended above another. */
function below(
  time_s: Float64Array,
  values: Float64Array,
  off: number,
  back: number,
): { at: number; to: number | null }[] {
  const found: { at: number; to: number | null }[] = [];
  let [from, is] = [-1, false];
  for (let i = 0; i < values.length; i += 1) {
    if (!(values[i] < off)) {
      if (!is) from = -1;
      if (is && values[i] > back) {
        found.push({ at: from, to: i });
        [from, is] = [-1, false];
      }
      continue;
    }
    if (from < 0) from = i;
    if (time_s[i] - time_s[from] >= OFF_S) is = true;
  }
  if (is) found.push({ at: from, to: null });
  return found;
}

/** Level of a column some time before or after an index. */
function levelAbout(time_s: Float64Array, values: Float64Array, at: number, from_s: number, to_s: number): number {
  let i = at;
  while (i > 0 && time_s[i] > time_s[at] + from_s) i -= 1;
  while (i < values.length && time_s[i] < time_s[at] + from_s) i += 1;
  let end = i;
  while (end < values.length && time_s[end] <= time_s[at] + to_s) end += 1;
  return quantile(values.slice(i, end), 0.5);
}

/** Where a falling line passes a value, going back from an index. */
function crossing(time_s: Float64Array, values: Float64Array, at: number, level: number): number {
  let i = at;
  while (i > 0 && values[i] < level) i -= 1;
  const [high, low] = [values[i], values[i + 1]];
  if (!(high > low)) return time_s[i];
  return time_s[i] + Math.min(Math.max((high - level) / (high - low), 0), 1) * (time_s[i + 1] - time_s[i]);
}

function byFlow({ log, time_s }: Flown, engine: 1 | 2, several: boolean): PowerOff[] | null {
  // The power of a shaft tells more than its fuel.
  const power = log.columns[engine === 1 ? "power1_W" : "power2_W"];
  const flow = power ?? log.columns[engine === 1 ? "fuelFlow1_m3ps" : "fuelFlow2_m3ps"];
  if (!flow?.some(Number.isFinite)) return null;
  const level = quantile(flow, LEVEL_SHARE);
  const rpm = log.columns[engine === 1 ? "rpm1" : "rpm2"];
  const held = filled(flow);
  return below(time_s, held, FLOW_OFF * level, FLOW_BACK * level).map(({ at, to }) => {
    const inside = held.slice(at, to ?? held.length);
    const low = quantile(inside, 0.5);
    const before = levelAbout(time_s, held, at, -LEVEL_TO_S, -LEVEL_FROM_S);
    const half = crossing(time_s, held, at, ((before > low ? before : level) + low) / 2);
    const turns = rpm ? quantile(rpm.slice(at, to ?? held.length), 0.5) : NaN;
    const off = power || turns < STANDS_RPM ? "stopped" : "windmilling";
    return {
      engine: several ? engine : null,
      time_s: Math.max(half - FLOW_LAG_S, time_s[0]),
      sigma_s: 0.4,
      back_s: to === null ? null : time_s[to],
      kind: low > IDLE_SHARE * level ? "idle" : off,
      by: "engine",
      possible: false,
    };
  });
}

/** Pull over weight: ė/V + D/W. @see flight-path energy: Rutowski, as the height account has it */
function pullOverWeight({ energy_mps, tas_mps, bank_rad, sigma }: Flown, polar: Polar): Float64Array {
  return tas_mps.map((tas, i) => {
    if (tas < FLIES_MPS) return NaN;
    const q = (RHO0 / 2) * sigma[i] * tas * tas;
    const load = 1 / Math.max(Math.cos(bank_rad[i]), 0.2);
    const cl = (polar.wingLoading * load) / q;
    return energy_mps[i] / tas + (q * (polar.cd0 + polar.k * cl * cl)) / polar.wingLoading;
  });
}

function byPath(flown: Flown, polar: Polar | null): PowerOff[] {
  const { time_s, has } = flown;
  if (!has.height) return [];
  const raw = pullOverWeight(flown, polar ?? ANY_POLAR);
  const pull = averaged(
    time_s,
    raw.map((value) => (Number.isFinite(value) ? value : PULL_BACK)),
    has.pressure || has.airspeed ? AVERAGE_S : AVERAGE_GPS_S,
  );
  return below(time_s, pull, PULL_OFF, PULL_BACK).flatMap(({ at, to }): PowerOff[] => {
    const before = levelAbout(time_s, pull, at, -LEVEL_TO_S, -LEVEL_FROM_S);
    const after = levelAbout(time_s, pull, at, LEVEL_FROM_S, LEVEL_TO_S);
    if (before - after < LEAST_DROP) return [];
    const half = Number.isFinite(before + after) && before > after ? (before + after) / 2 : PULL_OFF;
    return [
      {
        engine: null,
        time_s: crossing(time_s, pull, at, half),
        sigma_s: has.airspeed ? 0.6 : has.pressure || has.doppler ? 0.9 : 3.5,
        back_s: to === null ? null : time_s[to],
        kind: "reduced or lost",
        by: "path",
        possible: polar === null,
      },
    ];
  });
}

/**
 * Times at which an engine stopped pulling.
 *
 * @param flown - a stretch in the air
 * @param polar - gliding; null where the aircraft is not known
 */
export function powerOff(flown: Flown, polar: Polar | null): PowerOff[] {
  const { fuelFlow2_m3ps, power2_W } = flown.log.columns;
  const several = (power2_W ?? fuelFlow2_m3ps)?.some(Number.isFinite) ?? false;
  const first = byFlow(flown, 1, several);
  if (first) return [...first, ...(several ? (byFlow(flown, 2, true) ?? []) : [])].sort((a, b) => a.time_s - b.time_s);
  return byPath(flown, polar);
}
