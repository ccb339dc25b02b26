import { type Outcome, success } from "../outcome";
import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import { bestPropeller } from "./climb-ledger";
import { type Climb, SERVICE_ONE_MPS, ceiling_m, oneEngineSpeeds, stallEas_mps } from "./one-engine-climb";
import { vmca } from "./vmca";

/**
 * What one engine gives at an altitude: as the question is configured, and with the dead propeller as it drags least.
 */
export interface ClimbAtHeight {
  readonly altitude_m: number;
  readonly asSet: Climb;
  readonly mended: Climb;
}

/** Best rate of climb over altitude; altitudes outside the atmosphere's model are left out. */
export function climbByHeight(question: AsymmetricQuestion, altitudes_m: readonly number[]): ClimbAtHeight[] {
  return altitudes_m.flatMap((altitude_m) => {
    const [now, mended] = [
      asymmetricCase({ ...question, altitude_m }),
      asymmetricCase({ ...mendedOf(question), altitude_m }),
    ];
    return now.ok && mended.ok
      ? [{ altitude_m, asSet: oneEngineSpeeds(now.value).rate, mended: oneEngineSpeeds(mended.value).rate }]
      : [];
  });
}

/** The question with everything mended: propeller, gear, flap, doors. */
export function mendedOf(question: AsymmetricQuestion): AsymmetricQuestion {
  return { ...question, deadPropeller: bestPropeller(question), gearDown: false, flap: 0, items: [] };
}

/** Ceilings at one mass, mended. */
export interface CeilingAtMass {
  readonly mass_kg: number;
  readonly service: Outcome<number>;
  readonly absolute: Outcome<number>;
}

/** One-engine ceilings by mass, everything mended. */
export function ceilingsByMass(question: AsymmetricQuestion, masses_kg: readonly number[]): CeilingAtMass[] {
  return masses_kg.map((mass_kg) => {
    const mended = { ...mendedOf(question), mass_kg };
    return { mass_kg, service: ceiling_m(mended, SERVICE_ONE_MPS, 1), absolute: ceiling_m(mended, 0, 1) };
  });
}

/** Speeds of the card at one altitude and mass, equivalent airspeeds. */
export interface SpeedsRow {
  readonly altitude_m: number;
  readonly mass_kg: number;
  /** Windmilling, gear up, take-off flap, at the bank given; null when no control limit is met. */
  readonly vmca_mps: number | null;
  readonly stall_mps: number;
  readonly vyse: Climb;
  readonly vxse: Climb;
}

/** The card's table: every altitude at every mass. @returns rows that the model covers */
export function speedsTable(
  question: AsymmetricQuestion,
  bank_rad: number,
  altitudes_m: readonly number[],
  masses_kg: readonly number[],
): SpeedsRow[] {
  const takeOff = {
    ...question,
    deadPropeller: question.deadPropeller === "none" ? ("none" as const) : ("windmilling" as const),
    gearDown: false,
    flap: question.aircraft.polar?.takeOffFlap ?? 0,
    items: [],
  };
  return masses_kg.flatMap((mass_kg) =>
    altitudes_m.flatMap((altitude_m) => {
      const [worst, mended] = [
        asymmetricCase({ ...takeOff, altitude_m, mass_kg }),
        asymmetricCase({ ...mendedOf(question), altitude_m, mass_kg }),
      ];
      if (!worst.ok || !mended.ok) return [];
      const speeds = oneEngineSpeeds(mended.value);
      return [
        {
          altitude_m,
          mass_kg,
          vmca_mps: vmca(worst.value, bank_rad).eas_mps,
          stall_mps: stallEas_mps(mended.value, 0),
          vyse: speeds.rate,
          vxse: speeds.angle,
        },
      ];
    }),
  );
}

/** A climb from here to an altitude. */
export interface ClimbTo {
  readonly time_s: number;
  readonly distance_m: number;
}

/** Steps of the climb, m. */
const STEP_M = 30;
/** Slower than this it is no climb, m/s: 10 ft/min. */
const NONE_MPS = 0.05;

/**
 * Time and distance on one engine to an altitude, at the best rate of each height, configured as the question, still
 * air.
 *
 * @returns null when the climb ends before
 */
export function climbTo(question: AsymmetricQuestion, altitude_m: number): Outcome<ClimbTo | null> {
  let [time_s, distance_m] = [0, 0];
  for (let from = question.altitude_m; from < altitude_m; from += STEP_M) {
    const step = Math.min(STEP_M, altitude_m - from);
    const flight = asymmetricCase({ ...question, altitude_m: from + step / 2 });
    if (!flight.ok) return flight;
    const { climb_mps, gradient } = oneEngineSpeeds(flight.value).rate;
    if (!(climb_mps > NONE_MPS)) return success(null);
    time_s += step / climb_mps;
    distance_m += step / gradient;
  }
  return success({ time_s, distance_m });
}
