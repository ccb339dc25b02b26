// Room for a landing without engine on a rotor: over what stands before the place, flare, slide; width, slope and wind.
import { leastSinkAutorotation } from "../rotor/autorotation";
import { TOUCHDOWN_MPS, flareHeight_m, flareOf } from "../rotor/autorotation-landing";
import { FLARE_GROUND_M } from "../rotor/gyro-departure";
import { gyroGlideAt } from "../rotor/gyro-glide";
import { flareSpeed_mps } from "../rotor/gyro-recovery";
import { gyroCase } from "../rotor/gyro-rotor";
import { FLARE_M } from "../rotor/gyro-spot";
import { helicopterCase } from "../rotor/helicopter-case";
import type { RotorQuestion } from "../rotor/rotor-question";
import { type Outcome, failure, success } from "../outcome";
import { G0, MPS_PER_KT } from "../quantities/constants";
import type { LandingPlan } from "../situation/landing-plan";
import type { LandingEnd } from "./landing-end";
import { brakingOn } from "./landing-roll";

/** Over what stands before a place, m: 25 ft. Common practice. */
const OVER_OBSTACLE_M = 7.62;
/** Half as much room again as computed. Common practice. */
export const ROOM_FACTOR = 1.5;
/** Least width and length, of the rotor's diameter. Common practice. */
const LEAST_SIZE = 1.5;
/** Steeper ground is for level landings alone: 5°. Common practice; the manual's own limit comes first. */
export const STEEPEST = Math.tan((5 * Math.PI) / 180);
/** Wind from the side where none is planned. Helicopters: 14 CFR 27.143(c), memory; gyroplanes: common practice. */
const CROSSWIND_MPS = { helicopter: 17 * MPS_PER_KT, gyroplane: 15 * MPS_PER_KT };
/** A gyroplane touches down with so much airspeed, m/s: 10 kt; its flare lasts this long in calm. Common practice. */
const [GYRO_TOUCHDOWN_MPS, GYRO_FLARE_S] = [10 * MPS_PER_KT, 3.5];

/** The last part of a descent, at one place. */
export interface LastPart {
  /** Steady on final: airspeed, sink. */
  readonly final_mps: number;
  readonly sink_mps: number;
  /** Where the flare begins; null where no height makes it. */
  readonly flare_m: number | null;
  readonly touchdown_mps: number;
  /** The flare: mean airspeed, and how long it lasts. */
  readonly flare_mps: number;
  readonly flare_s: number;
  readonly diameter_m: number;
  readonly crosswindLimit_mps: number;
}

/** Why a place does not do. */
export type RoomVerdict = "fits" | "tight" | "too-short" | "too-narrow" | "slope" | "wind";

/** Room on a place. */
export interface RotorRoom {
  readonly verdict: RoomVerdict;
  /** From the threshold: over the obstacle, flare and slide, without the factor. */
  readonly computed_m: number;
  readonly needed_m: number;
  readonly neededWidth_m: number;
  /** Over the ground when it touches. */
  readonly touchdownGround_mps: number;
}

/**
 * How the last part is flown at a place: helicopters at the speed of least sink, gyroplanes at that of the flare.
 *
 * @returns failures of mass and height, `no_autorotation`
 */
export function lastPart(question: RotorQuestion, plan: Pick<LandingPlan, "crosswindLimit_mps">): Outcome<LastPart> {
  const { aircraft } = question;
  const common = {
    diameter_m: 2 * aircraft.rotor.radius_m,
    crosswindLimit_mps: plan.crosswindLimit_mps ?? CROSSWIND_MPS[aircraft.category],
  };
  const none = failure("no_autorotation", "At no speed does the air turn this rotor.", "aircraft");
  if (aircraft.category === "helicopter") {
    const flight = helicopterCase({ ...question, aircraft });
    if (!flight.ok) return flight;
    const steady = leastSinkAutorotation(flight.value);
    if (!steady) return none;
    return success({
      ...common,
      final_mps: steady.tas_mps,
      sink_mps: steady.sink_mps,
      flare_m: flareHeight_m(flight.value, steady),
      touchdown_mps: TOUCHDOWN_MPS,
      ...flareOf(steady),
    });
  }
  const flight = gyroCase({ ...question, aircraft });
  if (!flight.ok) return flight;
  const final_mps = flareSpeed_mps(flight.value);
  const steady = gyroGlideAt(flight.value, final_mps, "stopped");
  if (!steady) return none;
  return success({
    ...common,
    final_mps,
    sink_mps: steady.sink_mps,
    flare_m: FLARE_M,
    touchdown_mps: GYRO_TOUCHDOWN_MPS,
    flare_mps: FLARE_GROUND_M / GYRO_FLARE_S,
    flare_s: GYRO_FLARE_S,
  });
}

/** Ground that the flare covers with a wind from behind, or against one; at least 0. */
export function flareOver_m({ flare_mps, flare_s }: LastPart, tailwind_mps: number): number {
  return Math.max((flare_mps + tailwind_mps) * flare_s, 0);
}

/**
 * Room that a place needs and has.
 *
 * @param tailwind_mps - along the landing direction, from behind positive; `crosswind_mps` from the right positive
 * @see a straight glide over the obstacle, a flare of steady deceleration, a slide at the surface's braking: a sketch
 */
export function rotorRoom(
  last: LastPart,
  end: LandingEnd,
  { tailwind_mps, crosswind_mps }: { readonly tailwind_mps: number; readonly crosswind_mps: number },
  tailwindLimit_mps: number,
): RotorRoom {
  const { final_mps, sink_mps, diameter_m } = last;
  const over_mps = Math.max(final_mps + tailwind_mps, 0);
  const touchdownGround_mps = Math.max(last.touchdown_mps + tailwind_mps, 0);
  const slide_m = touchdownGround_mps ** 2 / (2 * G0 * (brakingOn(end.surface) + end.slope));
  const flare_m = flareOver_m(last, tailwind_mps);
  const { obstacle } = end;
  const over_m = obstacle
    ? Math.max(obstacle.height_m + OVER_OBSTACLE_M - (last.flare_m ?? 0), 0) * (over_mps / sink_mps) +
      flare_m -
      obstacle.distance_m
    : 0;
  const least_m = LEAST_SIZE * diameter_m;
  // Downhill at more than the brakes hold it does not stop.
  const stops = slide_m > 0 || touchdownGround_mps === 0;
  const computed_m = stops ? Math.max(Math.max(over_m, 0) + slide_m, least_m) : Infinity;
  const needed_m = computed_m * ROOM_FACTOR;
  const verdict = (): RoomVerdict => {
    if (end.width_m < least_m) return "too-narrow";
    if (!(computed_m <= end.length_m)) return "too-short";
    if (Math.abs(end.slope) > STEEPEST) return "slope";
    if (tailwind_mps > tailwindLimit_mps || Math.abs(crosswind_mps) > last.crosswindLimit_mps) return "wind";
    return needed_m <= end.length_m ? "fits" : "tight";
  };
  return { verdict: verdict(), computed_m, needed_m, neededWidth_m: least_m, touchdownGround_mps };
}

/** Altitude that a descent's figures are taken at: half way down. */
export function halfWay_m(altitude_m: number, elevation_m: number): number {
  return (Math.max(altitude_m, elevation_m) + elevation_m) / 2;
}
