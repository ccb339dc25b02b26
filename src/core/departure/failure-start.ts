import { type ClimbOut, type ClimbPoint, climbAt } from "../flight/climb-out";
import type { DepartureDay } from "./departure-day";
import type { Motion } from "../flight/point-mass";
import { type ReactionEnd, type ReactionKind, react } from "./reaction";
import type { FlightPoint } from "./turnback-flight";

/** The aeroplane when the engine stops, and when the pilot begins to act. */
export interface FailureStart {
  readonly failure: ClimbPoint;
  readonly acting: Readonly<Motion>;
  readonly reaction: ReactionEnd;
  readonly reaction_s: number;
}

/** A copy of a motion, which the flight may then change. */
export function motionFrom({ tas_mps, gamma_rad, psi_rad, x_m, y_m, height_m }: Readonly<Motion>): Motion {
  return { tas_mps, gamma_rad, psi_rad, x_m, y_m, height_m };
}

/** A wind that is not the one the climb was computed with. */
export interface WindShift {
  readonly along_mps: number;
  readonly across_mps: number;
}

/**
 * Where the climb is in another wind. A change along the runway carries the aeroplane with it for as long as it has
 * flown; a change across is crabbed against and moves nothing. The ground run grows with the square of the ground speed
 * at lift-off.
 */
function shiftedFailure(climb: ClimbOut, failure: ClimbPoint, { along_mps, across_mps }: WindShift): ClimbPoint {
  const [first, second] = climb.points;
  const groundSpeed = Math.max((second.x_m - first.x_m) / (second.time_s - first.time_s), 1);
  const run_m = climb.run_m * (Math.max(groundSpeed + along_mps, 0) ** 2 / groundSpeed ** 2 - 1);
  return {
    ...failure,
    x_m: failure.x_m + run_m + along_mps * (failure.time_s - first.time_s),
    psi_rad: failure.psi_rad - across_mps / failure.tas_mps,
  };
}

/**
 * Flies the reaction from the climb at a height.
 *
 * @param height_m - of the failure above the runway
 * @param shift - of the wind against the one that the climb was computed with
 * @returns null outside the climb
 */
export function failureStart(
  day: DepartureDay,
  height_m: number,
  kind: ReactionKind,
  reaction_s: number,
  shift: WindShift | null = null,
  record?: (point: FlightPoint) => void,
): FailureStart | null {
  const planned = climbAt(day.climb, height_m);
  if (!planned) return null;
  const failure = shift ? shiftedFailure(day.climb, planned, shift) : planned;
  const motion = motionFrom(failure);
  const reaction = react(
    motion,
    day.body,
    day.air,
    kind,
    reaction_s,
    record &&
      ((moment, loads, time_s) =>
        record({
          ...motionFrom(moment),
          time_s,
          bank_rad: 0,
          loadFactor: loads.n,
          stallMargin: Math.sqrt(day.body.clMax / Math.max(loads.cl, 1e-3)),
          part: "reaction",
        })),
  );
  return { failure, acting: motion, reaction, reaction_s };
}
