// A take-off with two engines of which one may stop: speeds, the roll, the climb, and what to do in each phase. This
// folder: accelerate-stop and accelerate-go, one-engine path, phases, take-off segments and mass limits of jets, brief.
// Not here: runway slope, side wind, wet runways, minimum control speed on the ground, brake energy and tyre limits,
// retraction of flap while climbing away with both engines. Method: flight as a point mass, flight-mechanics textbooks.
import { clamp } from "../numeric/clamp";
import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { configurationLimit } from "../aircraft/configuration-limit";
import { WindColumn, windProfile } from "../air/wind";
import { asymmetricCase, caseOfSameRudder } from "../asymmetric/anchored-case";
import type { AsymmetricQuestion } from "../asymmetric/asymmetric-question";
import type { AsymmetricCase } from "../asymmetric/asymmetric-case";
import { bestPropeller } from "../asymmetric/climb-ledger";
import { stallEas_mps, steadySpeeds } from "../asymmetric/one-engine-climb";
import { NO_CONTROL, vmcaInBank } from "../asymmetric/vmca";
import { type AirColumn, airColumn, airSample, readAir } from "../flight/air-column";
import { brakingOn } from "../landing/landing-roll";
import { LandingEnd } from "../landing/landing-end";
import { type Outcome, failure, success } from "../outcome";
import { formatNumber } from "../quantities/units";
import { SituationDocument } from "../situation/situation-document";
import { DEFAULT_ONE_ENGINE, OneEnginePlan } from "../situation/one-engine-plan";
import { DEFAULT_TAKE_OFF, TakeOffPlan } from "../situation/take-off-plan";

/** What a take-off needs to know. */
export const TakeOffQuestion = z.strictObject({
  aircraft: Aeroplane,
  mass_kg: SituationDocument.shape.mass_kg,
  centreOfGravity: SituationDocument.shape.centreOfGravity,
  air: SituationDocument.shape.air,
  wind: WindColumn,
  /** The runway in the direction of take-off. */
  runway: LandingEnd,
  intersection_m: z.number().min(0).max(6000),
  /** Index into the aircraft's flaps; null takes its take-off flap. */
  flap: z.int().min(0).max(7).nullable(),
  failed: z.enum(["left", "right"]).default("left"),
  plan: TakeOffPlan.default(DEFAULT_TAKE_OFF),
  oneEngine: OneEnginePlan.default(DEFAULT_ONE_ENGINE),
});

/** @see TakeOffQuestion */
export type TakeOffQuestion = z.infer<typeof TakeOffQuestion>;

/** Equivalent airspeeds of the take-off, m/s. */
export interface TakeOffSpeeds {
  readonly stall_mps: number;
  /** Today, 5° into the live engine, gear down, windmilling; null when no control limit is met. */
  readonly vmca_mps: number | null;
  readonly rotation_mps: number;
  /** At the screen, and until the flap comes up: V_50, V_2. */
  readonly screen_mps: number;
  /** Climb on one engine: V_YSE, or for jets the final take-off speed. */
  readonly oneEngine_mps: number;
  readonly bothEngines_mps: number;
  readonly vsse_mps: number | null;
  readonly flapUp_mps: number;
}

/** Everything that the questions of one take-off share. */
export interface TakeOffDay {
  readonly question: TakeOffQuestion;
  readonly jet: boolean;
  readonly flap: number;
  readonly air: AirColumn;
  readonly braking: number;
  readonly speeds: TakeOffSpeeds;
  /** Height of the screen, m: 50 ft, for jets 35 ft. 14 CFR 23.53 before 2017, 25.113 (memory). */
  readonly screen_m: number;
  /** The case at a height above the runway and a configuration. */
  readonly at: (height_m: number, change: Partial<AsymmetricQuestion>) => AsymmetricCase;
}

/**
 * Rotation over minimum control speed and stall; speed at the screen over both. 14 CFR 23.51 before 2017, 25.107
 * (memory).
 */
const ROTATION = { vmca: 1.05, stall: 1.1 };
const SCREEN = { vmca: 1.1, stall: 1.2 };
/** A jet is rotated so much under V_2 that it has V_2 at the screen on one engine. Common practice. */
const JET_ROTATION = 0.96;
/**
 * Final take-off speed of a jet, and flap-up speed, over the clean stall. 14 CFR 25.107, 25.121 (memory) for the first.
 */
const FINAL = 1.25;
const FLAP_UP = 1.2;
/**
 * Height at which the wind is reported, and the share of rotation speed up to which it is computed: with height it
 * nearly doubles.
 */
const STATION_M = 10;
const WINDIEST = 0.5;
/** Air is tabulated to this height above the runway, m. */
const AIR_TOP_M = 1500;

/**
 * Sets up a take-off.
 *
 * @returns failures of the case (`not_a_twin`, `outside_atmosphere`, …) and of the wind, `mass_outside`,
 *   `no_control`, `no_steady_path`, `rotates_stalled`, `too_windy`
 */
export function takeOffDay(question: TakeOffQuestion): Outcome<TakeOffDay> {
  const { aircraft, runway, plan, mass_kg } = question;
  const flap = question.flap ?? aircraft.polar?.takeOffFlap ?? 0;
  if (!(mass_kg >= aircraft.mass.minimum_kg && mass_kg <= aircraft.mass.maximum_kg))
    return failure(
      "mass_outside",
      `${aircraft.name} is flown at ${formatNumber(aircraft.mass.minimum_kg)} to ${formatNumber(aircraft.mass.maximum_kg)} kg.`,
      "mass_kg",
    );
  const jet = aircraft.engines.kind === "jet";
  const base: AsymmetricQuestion = {
    aircraft,
    mass_kg,
    centreOfGravity: question.centreOfGravity,
    altitude_m: runway.elevation_m,
    air: question.air,
    flap,
    gearDown: true,
    items: [],
    deadPropeller: jet ? "none" : "windmilling",
    failed: question.failed,
    setting: 1,
  };
  const first = asymmetricCase(base);
  if (!first.ok) return first;
  const top = asymmetricCase({ ...base, altitude_m: runway.elevation_m + AIR_TOP_M });
  if (!top.ok) return top;
  const wind = windProfile(question.wind, runway.elevation_m);
  if (!wind.ok) return wind;
  // Within heights and configurations that were tried above nothing fails any more.
  const at = (height_m: number, change: Partial<AsymmetricQuestion>): AsymmetricCase => {
    const flight = caseOfSameRudder(
      { ...base, altitude_m: runway.elevation_m + clamp(height_m, 0, AIR_TOP_M), ...change },
      first.value.cnDeltaR,
    );
    if (!flight.ok) throw new Error(`takeOffDay: expected a case, got ${flight.issue.message}`);
    return flight.value;
  };
  const stall_mps = stallEas_mps(first.value, 0);
  const control = vmcaInBank(first.value);
  if (control.binding !== null && control.eas_mps === null) return NO_CONTROL;
  const vmca_mps = control.eas_mps;
  const mended = at(0, { gearDown: false, flap: 0, deadPropeller: bestPropeller({ aircraft }) });
  const cleanStall_mps = stallEas_mps(mended, 0);
  const best = steadySpeeds(mended);
  if (!best.ok) return best;
  const screen_mps = Math.max(SCREEN.vmca * (vmca_mps ?? 0), SCREEN.stall * stall_mps);
  const rotation_mps =
    plan.rotation_mps ??
    Math.max(ROTATION.vmca * (vmca_mps ?? 0), jet ? JET_ROTATION * screen_mps : ROTATION.stall * stall_mps);
  if (!(rotation_mps >= stall_mps))
    return failure(
      "rotates_stalled",
      "Rotation is set below the stall with take-off flap: rotate faster.",
      "plan.rotation_mps",
    );
  const air = airColumn(question.air, wind.value, runway.elevation_m, runway.headingTrue_rad, AIR_TOP_M);
  const headwind_mps = -readAir(air, STATION_M, airSample()).along_mps;
  if (!(headwind_mps < WINDIEST * rotation_mps))
    return failure(
      "too_windy",
      "The headwind is more than half of rotation speed: aloft it would blow the aeroplane backwards, and this model ends.",
      "wind",
    );
  return success({
    question,
    jet,
    flap,
    at,
    air,
    braking: brakingOn(runway.surface),
    screen_m: jet ? 10.668 : 15.24,
    speeds: {
      stall_mps,
      vmca_mps,
      rotation_mps,
      screen_mps: Math.max(screen_mps, rotation_mps),
      oneEngine_mps: jet
        ? Math.min(FINAL * cleanStall_mps, configurationLimit(aircraft, 0, "up")?.speed_mps ?? Infinity)
        : best.value.rate.eas_mps,
      bothEngines_mps: Math.max(aircraft.handbook.vy_mps ?? FINAL * cleanStall_mps, screen_mps),
      vsse_mps: aircraft.handbook.vsse_mps,
      flapUp_mps: FLAP_UP * cleanStall_mps,
    },
  });
}
