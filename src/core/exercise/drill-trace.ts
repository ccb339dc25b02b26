// A drill as a trace: what it knows is height, speed and the rate; heading and bank it does not.
import { type DrillRun, givenAt } from "../procedure/drill-run";
import type { Trace } from "./trace";

/** Between two samples, s. */
const STEP_S = 1;

/**
 * The trace of a run.
 *
 * @param until_s - when it was looked at last, 0 to 3,600
 */
export function drillTrace(run: DrillRun, until_s: number): Trace {
  const time_s = Array.from({ length: Math.floor(until_s / STEP_S) + 1 }, (_, i) => i * STEP_S);
  const given = time_s.map((at_s) => givenAt(run, at_s));
  return {
    source: "drill",
    time_s,
    channels: {
      height: given.map((from, i) => Math.max(from.height_m + from.climb_mps * (time_s[i] - from.time_s), 0)),
      speed: time_s.map(() => run.speed_mps),
      verticalSpeed: given.map(({ climb_mps }) => climb_mps),
    },
  };
}
