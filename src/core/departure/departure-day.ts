// A departure of a single: what aircraft, mass, air and runway make of take-off, climb and glide, once for all failure
// heights. This folder: climb-out, reaction, turnback, landing straight ahead, chance, gate, brief. Not here:
// obstacles, power loss that is partial, the aeroplane's pitch dynamics. Method: flight as a point mass in wind,
// flight-mechanics textbooks; see point-mass.ts.
import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { type Configuration, Configuration as ConfigurationSchema } from "../aircraft/configuration";
import { type Polar, polarOf, stallSpeed_mps } from "../aircraft/polar";
import { type ThrustLine, thrustLine } from "../aircraft/propeller-thrust";
import { WindColumn, windProfile } from "../air/wind";
import { bestGlide } from "../glide/straight-glide";
import { LandingEnd } from "../landing/landing-end";
import { type Outcome, failure, success } from "../outcome";
import { G0 } from "../quantities/constants";
import { formatNumber, formatSi } from "../quantities/units";
import { DeparturePlan } from "../situation/departure-plan";
import { ApproachPlan, Pilot, SituationDocument } from "../situation/situation-document";
import { type AirColumn, airColumn } from "../flight/air-column";
import { type ClimbOut, climbOut } from "../flight/climb-out";
import { type LandingBody, brakingOn } from "../landing/landing-roll";
import type { Body } from "../flight/point-mass";
import type { TurnbackCase } from "./turnback-flight";

/** What the questions of a departure need to know. */
export const DepartureQuestion = z.strictObject({
  aircraft: Aeroplane,
  mass_kg: SituationDocument.shape.mass_kg,
  /** Of the dead engine's propeller; flap, gear and slip follow from the departure. */
  propeller: ConfigurationSchema.shape.propeller,
  air: SituationDocument.shape.air,
  wind: WindColumn,
  pilot: Pilot,
  plan: DeparturePlan,
  /** How fields are approached. */
  approach: ApproachPlan,
  /** The runway in the direction of take-off. */
  runway: LandingEnd,
  /** Other places to land. */
  ends: z.array(LandingEnd).max(400, "At most 400 landing ends at once."),
});

/** @see DepartureQuestion */
export type DepartureQuestion = z.infer<typeof DepartureQuestion>;

/** Everything that failure heights share. */
export interface DepartureDay extends TurnbackCase {
  /** Glide after the failure. */
  readonly polar: Polar;
  readonly thrust: ThrustLine;
  /** With the engine running, in the climb. */
  readonly running: Body;
  readonly climb: ClimbOut;
  readonly climbEas_mps: number;
  readonly stallEas_mps: number;
  readonly braking: number;
  readonly flapName: string;
}

/** A speed for a message that does not know the reader's units. */
function inKnots(speed_mps: number): string {
  return formatSi("speed", "kt", speed_mps);
}

/** Failures are looked at up to this height, m: 2,500 ft. */
export const TOP_M = 762;
/** The air is tabulated a little higher. */
const AIR_TOP_M = 900;

/**
 * Sets up a departure.
 *
 * @returns failures of the polar (`mass_outside`, …), `not_single`, `no_such_flap`, `no_climb_speed`,
 *   `runway_too_short`, `no_lift_off`, `no_climb`
 */
export function departureDay(question: DepartureQuestion): Outcome<DepartureDay> {
  const { aircraft, mass_kg, plan, runway } = question;
  if (aircraft.category !== "single")
    return failure(
      "not_single",
      `${aircraft.name} is not a fixed-wing aeroplane with one engine: the turn back is computed for those only.`,
      "aircraft",
    );
  if (!aircraft.polar || !aircraft.wing)
    return failure(
      "no_polar",
      `${aircraft.name} has no polar yet: fill in its handbook in the Aircraft stage and take over the fit.`,
      "aircraft",
    );
  const flap = plan.flap ?? aircraft.polar.takeOffFlap;
  const gliding: Configuration = {
    propeller: question.propeller,
    flap: 0,
    gearDown: !aircraft.polar.gear.retractable,
    slip: 0,
    items: [],
  };
  const glide = polarOf(aircraft, mass_kg, gliding);
  if (!glide.ok) return glide;
  const takingOff = polarOf(aircraft, mass_kg, { ...gliding, flap, gearDown: true });
  const landed = polarOf(aircraft, mass_kg, {
    ...gliding,
    flap: plan.landingFlap ?? aircraft.polar.landingFlap,
    gearDown: true,
    slip: 1,
  });
  if (!takingOff.ok) return failure("no_such_flap", takingOff.issue.message, "plan.flap");
  if (!landed.ok) return failure("no_such_flap", landed.issue.message, "plan.landingFlap");
  // With the engine running the propeller adds no drag of its own: the thrust is net.
  const dead = glide.value.shares.find((share) => share.dead)?.deltaCd ?? 0;

  const polar = glide.value.polar;
  const stallEas_mps = stallSpeed_mps(polar);
  const climbEas_mps =
    plan.climb_mps ?? (aircraft.climb ? aircraft.climb.vyOverVs1 * stallEas_mps : aircraft.handbook.vy_mps);
  if (climbEas_mps === null)
    return failure(
      "no_climb_speed",
      `The handbook of ${aircraft.name} has no V_Y: set a climb speed.`,
      "plan.climb_mps",
    );
  if (!(climbEas_mps >= 1.1 * stallEas_mps))
    return failure(
      "climb_too_slow",
      `A climb at ${inKnots(climbEas_mps)} is under 1.1 times the stall speed, ${inKnots(stallEas_mps)}.`,
      "plan.climb_mps",
    );
  const liftOff_mps = 1.1 * stallSpeed_mps(takingOff.value.polar);
  const line = thrustLine(aircraft, liftOff_mps, Math.max(climbEas_mps, liftOff_mps + 1));
  if (!line.ok) return line;
  const weight = mass_kg * G0;
  const thrust = { static: line.value.static_N / weight, slope_spm: line.value.slope_Nspm / weight };
  const aspect = aircraft.wing.span_m ** 2 / aircraft.wing.area_m2;
  // Lift slope of an elliptic wing by lifting-line theory.
  const clAlpha = (2 * Math.PI * aspect) / (aspect + 2);
  const bodyOf = (from: Polar, engine: Body["thrust"]): Body => ({
    cd0: engine ? from.cd0 - dead : from.cd0,
    k: from.k,
    clMax: from.clMax,
    wingLoading: from.wingLoading,
    clAlpha,
    thrust: engine,
  });

  const wind = windProfile(question.wind, runway.elevation_m);
  if (!wind.ok) return wind;
  const air: AirColumn = airColumn(question.air, wind.value, runway.elevation_m, runway.headingTrue_rad, AIR_TOP_M);
  const running = bodyOf(polar, thrust);
  const climb = climbOut(
    {
      ground: bodyOf(takingOff.value.polar, thrust),
      climb: running,
      climb_mps: climbEas_mps,
      turn: plan.crosswind
        ? { height_m: plan.crosswind.height_m, side: plan.crosswind.side === "left" ? -1 : 1 }
        : null,
    },
    air,
    plan.intersection_m,
    TOP_M,
  );
  if (!climb.ok) return climb;
  const run_m = runway.takeOff?.tora_m ?? runway.length_m;
  if (!(climb.value.points[0].x_m < run_m))
    return failure(
      "runway_too_short",
      `Lift-off comes ${formatNumber(climb.value.points[0].x_m)} m along a runway of ${formatNumber(run_m)} m: this take-off does not fit.`,
      "plan.intersection_m",
    );
  const landing: LandingBody = {
    wingLoading: polar.wingLoading,
    clMax: landed.value.polar.clMax,
    steepCd0: landed.value.polar.cd0,
    k: polar.k,
  };
  return success({
    polar,
    body: bodyOf(polar, null),
    landing,
    best_mps: bestGlide(polar).eas_mps,
    air,
    runway: { length_m: runway.length_m },
    thrust: line.value,
    running,
    climb: climb.value,
    climbEas_mps,
    stallEas_mps,
    braking: brakingOn(runway.surface),
    flapName: aircraft.polar.flaps[flap].name,
  });
}
