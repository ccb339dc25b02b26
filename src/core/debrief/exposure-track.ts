// A flight that was flown as its exposure is asked about: fix by fix, with what it did then.
import type { FoundFlight } from "../track/analyse";
import type { DrawnTrack } from "../track/drawn-track";
import { valueAt } from "../track/events/turns";
import type { FlownFix, FlownPhase } from "./exposure-question";

/** Slower than this, up or down over so long to each side, is level: 250 ft/min. Common practice. */
const [LEVEL_MPS, ABOUT_S] = [1.27, 20];

type Told = Pick<FoundFlight, "begins_s" | "ends_s" | "takeOff" | "landing" | "failures">;

/**
 * Fixes of a drawn flight with their phases.
 *
 * @param low_m - lower than this over the ground of take-off or landing, after the one or before the other, is low, m
 */
export function exposureTrack(drawn: DrawnTrack, flights: readonly Told[], low_m: number): FlownFix[] {
  const { time_s, altitude_m } = drawn;
  const bounds = flights.map((flight) => ({ flight, ...climbedBetween(drawn, flight, low_m) }));
  const phaseAt = (at_s: number): FlownPhase => {
    const found = bounds.find(({ flight }) => at_s >= flight.begins_s && at_s <= flight.ends_s);
    if (!found) return "ground";
    const { flight, up_s, down_s } = found;
    const stopped = flight.failures.some(
      ({ time_s: stop_s, back_s, possible }) => !possible && at_s >= stop_s && at_s <= (back_s ?? flight.ends_s),
    );
    if (stopped) return "stopped";
    if (at_s < up_s || at_s > down_s) return "low";
    const [from_s, to_s] = [Math.max(at_s - ABOUT_S, flight.begins_s), Math.min(at_s + ABOUT_S, flight.ends_s)];
    const rate_mps =
      (valueAt(time_s, altitude_m, to_s) - valueAt(time_s, altitude_m, from_s)) / Math.max(to_s - from_s, 1);
    return rate_mps > LEVEL_MPS ? "climb" : rate_mps < -LEVEL_MPS ? "descent" : "level";
  };
  return Array.from(time_s, (at_s, i) => ({
    time_s: at_s,
    position: { latitude_deg: drawn.latitude_deg[i], longitude_deg: drawn.longitude_deg[i] },
    altitude_m: Math.min(Math.max(altitude_m[i], -500), 25_000),
    groundSpeed_mps: Math.min(drawn.groundSpeed_mps[i], 400),
    phase: phaseAt(at_s),
  }));
}

/** Between which moments a flight is no longer and not yet low; all of it where it begins or ends in the air. */
function climbedBetween(
  { time_s, altitude_m }: DrawnTrack,
  { begins_s, ends_s, takeOff, landing }: Told,
  low_m: number,
): { up_s: number; down_s: number } {
  const over = (ground_m: number) => (at_s: number, i: number) =>
    at_s >= begins_s && at_s <= ends_s && altitude_m[i] >= ground_m + low_m;
  const first = takeOff ? time_s.findIndex(over(takeOff.ground_m)) : 0;
  const last = landing ? time_s.findLastIndex(over(landing.ground_m)) : time_s.length - 1;
  return {
    up_s: takeOff ? (first < 0 ? Infinity : time_s[first]) : begins_s,
    down_s: landing ? (last < 0 ? -Infinity : time_s[last]) : ends_s,
  };
}
