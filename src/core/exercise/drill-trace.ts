// A drill as a trace: what it knows is height, speed and the rate; heading and bank it does not.
import type { DrillRun } from "../procedure/drill-run";
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
  const flown = time_s.map((at_s) => heightAt(run, at_s));
  return {
    source: "drill",
    time_s,
    channels: {
      height: flown,
      speed: time_s.map(() => run.speed_mps),
      verticalSpeed: time_s.map(() => run.climb_mps),
    },
  };
}

/** By the last height that was given, so that no drill is flown again for every second. */
function heightAt({ height_m, climb_mps, events }: DrillRun, at_s: number): number {
  const given = events.findLast((event) => "height_m" in event && event.time_s <= at_s);
  const from = given && "height_m" in given ? given : { time_s: 0, height_m };
  return Math.max(from.height_m + climb_mps * (at_s - from.time_s), 0);
}
