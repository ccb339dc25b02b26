import { type Outcome, failure, success } from "../outcome";
import { MPS_PER_KT } from "../quantities/constants";
import { type ClimbOutAsked, type GyroDeparture, gyroDeparture } from "./gyro-departure";
import type { GyroQuestion } from "./gyro-question";
import { type GyroGlide, gyroBestGlide, gyroGlideAt, gyroLeastSink } from "./gyro-glide";
import { RECOVERY_FROM_MPS, flareSpeed_mps, gyroRecovery } from "./gyro-recovery";
import { gyroCase } from "./gyro-rotor";
import { type RudderAtSpeed, rudderAt } from "./rudder-authority";
import { type SpotError, type SpotPosition, type SpotWay, spotErrors, waysToSpot } from "./gyro-spot";

/** A glide with the propeller stopped beside one with the engine idling. */
export interface GyroGlides {
  readonly stopped: { readonly curve: readonly GyroGlide[]; readonly best: GyroGlide; readonly least: GyroGlide };
  readonly idling: { readonly curve: readonly GyroGlide[]; readonly best: GyroGlide; readonly least: GyroGlide };
  readonly vertical: GyroGlide;
}

/** Speeds of the curves, m/s. */
const SPEEDS_MPS = Array.from({ length: 17 }, (_, i) => i * 5 * MPS_PER_KT);

/** Both glides of a gyroplane. */
export function gyroGlides(question: GyroQuestion): Outcome<GyroGlides> {
  const flight = gyroCase(question);
  if (!flight.ok) return flight;
  const of = (engine: "stopped" | "idling") => {
    const [best, least] = [gyroBestGlide(flight.value, engine), gyroLeastSink(flight.value, engine)];
    const curve = SPEEDS_MPS.flatMap((tas) => gyroGlideAt(flight.value, tas, engine) ?? []);
    return best && least ? { curve, best, least } : null;
  };
  const [stopped, idling, vertical] = [of("stopped"), of("idling"), gyroGlideAt(flight.value, 0, "stopped")];
  if (!stopped || !idling || !vertical)
    return failure("no_glide", "With these figures the rotor does not carry it.", "aircraft");
  return success({ stopped, idling, vertical });
}

/** What the rudder does by speed. */
export function gyroRudder(question: GyroQuestion): Outcome<RudderAtSpeed[]> {
  const flight = gyroCase(question);
  return flight.ok ? success(SPEEDS_MPS.map((tas) => rudderAt(flight.value, tas))) : flight;
}

/** To a spot, with what moves it and what getting speed back costs. */
export interface GyroSpotAnswer {
  readonly ways: readonly SpotWay[];
  readonly best: GyroGlide;
  readonly flare_mps: number;
  readonly errors: readonly SpotError[];
  readonly together_m: number;
  /** Height to the flare's speed from each airspeed, with what it needs to settle. */
  readonly recoveries: readonly { readonly from_mps: number; readonly height_m: number; readonly leastLoad: number }[];
}

/** @see GyroSpotAnswer */
export function gyroSpot(question: GyroQuestion, position: SpotPosition): Outcome<GyroSpotAnswer> {
  const flight = gyroCase(question);
  if (!flight.ok) return flight;
  const ways = waysToSpot(flight.value, position);
  if (!ways.ok) return ways;
  const best = gyroBestGlide(flight.value, "stopped", position.headwind_mps);
  const budget = spotErrors(flight.value, position.height_m, position.headwind_mps);
  if (!best || !budget) return failure("no_glide", "No speed makes way against this wind.", "headwind_mps");
  const flare_mps = flareSpeed_mps(flight.value);
  return success({
    ways: ways.value,
    best,
    flare_mps,
    ...budget,
    recoveries: RECOVERY_FROM_MPS.flatMap((from_mps) => {
      const found = gyroRecovery(flight.value, from_mps, flare_mps);
      return found.ok
        ? [{ from_mps, height_m: found.value.height_m + found.value.settling_m, leastLoad: found.value.leastLoad }]
        : [];
    }),
  });
}

/** What works when the engine stops on the climb-out. */
export function gyroClimbOut(question: GyroQuestion, climbOut: ClimbOutAsked): Outcome<GyroDeparture> {
  const flight = gyroCase(question);
  return flight.ok ? gyroDeparture(flight.value, climbOut) : flight;
}
