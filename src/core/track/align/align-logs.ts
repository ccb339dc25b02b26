// Two recorders of one flight: by how much the clock of the second must be set so that both climb at the same time.
import { type Outcome, failure, success } from "../../outcome";
import type { FlightLog } from "../log";
import { averaged, filled } from "../smooth/averaged";

/** @see alignLogs */
export interface Alignment {
  /** To be added to the second's times. */
  readonly offset_s: number;
  /** How well the climbs agree there, −1 to 1. */
  readonly agreement: number;
  /** No other offset fits nearly as well. */
  readonly sure: boolean;
}

/** Climbs are compared in steps of this, s; coarser where the logs are long. */
const [STEP_S, MOST_STEPS] = [0.5, 3000];
/** Noise of heights is meant away over so long to each side, s; no whole number, or fixes at its ends come and go. */
const SMOOTH_S = 3.1;
/** Both have been written together for so long at least, and for so much of the shorter. */
const [LEAST_OVERLAP_S, LEAST_SHARE] = [60, 0.5];
/** Accepted: agrees so well, and by so much better than any peak farther away than this. */
const [LEAST_AGREEMENT, BETTER_BY, AWAY_S] = [0.85, 0.1, 20];
/** Where both have positions they lie so near to each other at most of so many moments, m. */
const [SAME_PLACE_M, MOMENTS] = [300, 60];

/** A degree of latitude, about. */
const M_PER_DEG = 111_200;

/** Rate of climb in even steps, from the first fix; null without heights. */
function climbs({ time_s, columns }: FlightLog, step_s: number): Float64Array | null {
  const column = [columns.altitudePressure_m, columns.altitudeGps_m].find((values) => values?.some(Number.isFinite));
  if (!column || time_s.length < 3) return null;
  const heights = averaged(time_s, filled(column), SMOOTH_S);
  const count = Math.floor((time_s[time_s.length - 1] - time_s[0]) / step_s);
  if (count < 2) return null;
  const even = new Float64Array(count + 1);
  let at = 0;
  for (let i = 0; i <= count; i += 1) {
    const wanted = time_s[0] + i * step_s;
    while (at < time_s.length - 2 && time_s[at + 1] < wanted) at += 1;
    const step = time_s[at + 1] - time_s[at];
    const share = step > 0 ? Math.min(Math.max((wanted - time_s[at]) / step, 0), 1) : 0;
    even[i] = heights[at] + share * (heights[at + 1] - heights[at]);
  }
  return Float64Array.from({ length: count }, (_, i) => (even[i + 1] - even[i]) / step_s);
}

/** Correlation of two series with the second set forward by so many steps; null where they share too little. */
function agreementAt(a: Float64Array, b: Float64Array, lag: number, least: number): number | null {
  const [from, to] = [Math.max(0, lag), Math.min(a.length, b.length + lag)];
  const n = to - from;
  if (n < least) return null;
  let [sa, sb, saa, sbb, sab] = [0, 0, 0, 0, 0];
  for (let i = from; i < to; i += 1) {
    const [u, v] = [a[i], b[i - lag]];
    sa += u;
    sb += v;
    saa += u * u;
    sbb += v * v;
    sab += u * v;
  }
  const spread = Math.sqrt((saa - (sa * sa) / n) * (sbb - (sb * sb) / n));
  return spread > 1e-9 ? (sab - (sa * sb) / n) / spread : null;
}

/** Whether two logs were at the same places; true where one of them does not say. */
function togetherAt(first: FlightLog, second: FlightLog, offset_s: number): boolean {
  const { latitude_deg: latA, longitude_deg: lonA } = first.columns;
  const { latitude_deg: latB, longitude_deg: lonB } = second.columns;
  if (!latA || !lonA || !latB || !lonB) return true;
  let [near, count] = [0, 0];
  for (let k = 0; k < MOMENTS; k += 1) {
    const i = Math.floor((k * (first.time_s.length - 1)) / MOMENTS);
    const j = second.time_s.findIndex((t) => t + offset_s >= first.time_s[i]);
    if (j < 0 || Math.abs(second.time_s[j] + offset_s - first.time_s[i]) > AWAY_S) continue;
    if (![latA[i], lonA[i], latB[j], lonB[j]].every(Number.isFinite)) continue;
    const north_m = (latA[i] - latB[j]) * M_PER_DEG;
    const east_m = (lonA[i] - lonB[j]) * M_PER_DEG * Math.cos((latA[i] * Math.PI) / 180);
    count += 1;
    if (Math.hypot(north_m, east_m) <= SAME_PLACE_M) near += 1;
  }
  return count === 0 || near > count / 2;
}

/**
 * Sets the clock of a second recorder by the climbs that both show.
 *
 * Pearson's correlation of the climbs at every offset with at least half of the shorter one in common, the best one
 * refined by a parabola through its neighbours.
 *
 * @returns `no_heights` where one of them has none; `no_overlap` where they are too short
 */
export function alignLogs(first: FlightLog, second: FlightLog): Outcome<Alignment> {
  const length_s = Math.max(
    first.time_s[first.time_s.length - 1] - first.time_s[0],
    second.time_s[second.time_s.length - 1] - second.time_s[0],
  );
  const step_s = Math.max(STEP_S, length_s / MOST_STEPS);
  const [a, b] = [climbs(first, step_s), climbs(second, step_s)];
  if (!a || !b)
    return failure("no_heights", "One of the two has no heights: say by how many seconds the second is to be set.");
  const least = Math.ceil(Math.max(LEAST_OVERLAP_S / step_s, LEAST_SHARE * Math.min(a.length, b.length)));
  const found: { lag: number; r: number }[] = [];
  for (let lag = least - b.length; lag <= a.length - least; lag += 1) {
    const r = agreementAt(a, b, lag, least);
    if (r !== null) found.push({ lag, r });
  }
  if (found.length === 0)
    return failure("no_overlap", "The two share too little: they cannot be laid together by their climbs.");
  const best = found.reduce((most, one) => (one.r > most.r ? one : most));
  const apart = Math.ceil(AWAY_S / step_s);
  // What rises to the edge of what was tried is no peak.
  const peak = (i: number) =>
    i > 0 && i < found.length - 1 && found[i].r >= found[i - 1].r && found[i].r >= found[i + 1].r;
  const other = found.reduce(
    (most, { lag, r }, i) => (Math.abs(lag - best.lag) > apart && peak(i) ? Math.max(most, r) : most),
    -1,
  );
  const [before, after] = [best.lag - 1, best.lag + 1].map((lag) => found.find((one) => one.lag === lag)?.r ?? best.r);
  const bend = before - 2 * best.r + after;
  const fine = bend < 0 ? Math.min(Math.max((before - after) / (2 * bend), -0.5), 0.5) : 0;
  const offset_s = first.time_s[0] - second.time_s[0] + (best.lag + fine) * step_s;
  return success({
    offset_s,
    agreement: best.r,
    sure:
      togetherAt(first, second, offset_s) &&
      peak(found.indexOf(best)) &&
      best.r > LEAST_AGREEMENT &&
      best.r - other > BETTER_BY,
  });
}
