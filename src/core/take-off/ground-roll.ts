import { airSample, readAir } from "../flight/air-column";
import { FRICTION, GROUND_EFFECT, ROLLING_CL } from "../flight/climb-out";
import { engineForce } from "../engine/engine-force";
import { type Outcome, failure, success } from "../outcome";
import { G0, RHO0 } from "../quantities/constants";
import type { TakeOffDay } from "./take-off-day";

/** A moment on the runway. */
export interface RollState {
  readonly x_m: number;
  readonly tas_mps: number;
  readonly time_s: number;
}

/** Wind of the roll is that of this height. */
const ROLL_WIND_M = 3;
const STEP_S = 0.1;
/** A roll of more than this does not work. */
const LIMIT_S = 150;
/** Acceleration under this is none, m/s². */
const NONE_MPS2 = 0.05;

/** Air motion along the runway while rolling, a headwind negative, and density there. */
export function rollingAir({ air }: TakeOffDay): { along_mps: number; density: number } {
  return { along_mps: readAir(air, ROLL_WIND_M, airSample()).along_mps, density: readAir(air, 0, airSample()).density };
}

/** Standing at the beginning of the take-off; in a tailwind its airspeed is negative. */
export function standing(day: TakeOffDay): RollState {
  return { x_m: day.question.intersection_m, tas_mps: -rollingAir(day).along_mps, time_s: 0 };
}

/**
 * Rolls on at full power: a = g[(T − D)/W − μ(1 − L/W)].
 *
 * @param engines - running; the stopped one drags
 * @param left - what is left until it ends; the moment at which it is nothing is found between two tenths of a second
 * @returns `no_lift_off` when it does not accelerate
 */
export function rollOn(
  day: TakeOffDay,
  from: RollState,
  engines: 1 | 2,
  left: (state: RollState) => number,
): Outcome<RollState> {
  const { along_mps, density } = rollingAir(day);
  const flight = day.at(0, {});
  const { wing, weight_N } = flight;
  let state = from;
  let before = from;
  while (left(state) > 0) {
    // Behind the wings while it stands in a tailwind.
    const q = 0.5 * density * state.tas_mps * Math.abs(state.tas_mps);
    const live = engineForce(
      day.question.aircraft.engines,
      flight.engineAir,
      Math.max(state.tas_mps, 0.1),
      1,
      flight.sigmaCritical,
    );
    const thrust = engines * live.thrust_N;
    const drag =
      q *
      (wing.area_m2 * (flight.cd0 + GROUND_EFFECT * flight.k * ROLLING_CL ** 2) +
        (engines === 1 ? flight.deadArea_m2 : 0));
    const acceleration =
      G0 *
      ((thrust - drag) / weight_N -
        FRICTION * Math.max(0, 1 - (Math.max(q, 0) * wing.area_m2 * ROLLING_CL) / weight_N));
    if (!(acceleration > NONE_MPS2) || state.time_s > LIMIT_S)
      return failure(
        "no_lift_off",
        engines === 2
          ? "It does not reach its speed on the runway: too heavy, too high or too hot."
          : "On one engine it does not accelerate any more on the runway.",
        "mass_kg",
      );
    before = state;
    state = {
      x_m: state.x_m + (state.tas_mps + along_mps) * STEP_S + (acceleration * STEP_S ** 2) / 2,
      tas_mps: state.tas_mps + acceleration * STEP_S,
      time_s: state.time_s + STEP_S,
    };
  }
  const [had, over] = [left(before), -left(state)];
  const share = had + over > 0 ? had / (had + over) : 0;
  const between = (of: keyof RollState) => before[of] + share * (state[of] - before[of]);
  return success(
    before === state ? state : { x_m: between("x_m"), tas_mps: between("tas_mps"), time_s: between("time_s") },
  );
}

/** Where it comes to a stop after braking; the drag of the air is not counted. */
export function braked(day: TakeOffDay, from: RollState): RollState {
  const ground_mps = Math.max(from.tas_mps + rollingAir(day).along_mps, 0);
  const deceleration = day.braking * G0;
  return {
    x_m: from.x_m + ground_mps ** 2 / (2 * deceleration),
    tas_mps: 0,
    time_s: from.time_s + ground_mps / deceleration,
  };
}

/** True airspeed of an equivalent one at the runway. */
export function tasOnRunway(day: TakeOffDay, eas_mps: number): number {
  return eas_mps * Math.sqrt(RHO0 / rollingAir(day).density);
}
