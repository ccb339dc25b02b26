// A twin's approach on one engine: power and rudder by configuration, what the gear costs early, and the height below
// which a go-around is no longer offered. Not here: wind shear, ground effect, a missed approach over obstacles.
import { LATE_M, LEFT_M, USUAL_M } from "./approach-heights";
import { bisect } from "../numeric/bisect";
import { halvingsTo } from "../numeric/halvings";
import { APPROACH } from "./approach-factors";
import { cleanGlide } from "../aircraft/configuration";
import { type SpeedLimit, configurationLimit } from "../aircraft/configuration-limit";
import { polarOf } from "../aircraft/polar";
import { asymmetricCase, caseOfSameRudder } from "../asymmetric/anchored-case";
import type { AsymmetricQuestion } from "../asymmetric/asymmetric-question";
import type { AsymmetricCase } from "../asymmetric/asymmetric-case";
import { NO_STEADY_PATH } from "../asymmetric/equilibrium";
import { stallEas_mps, steadySpeeds, zeroSideslip } from "../asymmetric/one-engine-climb";
import { vmca } from "../asymmetric/vmca";
import { type Outcome, failure, success } from "../outcome";
import { G0, RHO0 } from "../quantities/constants";
import { radians } from "../quantities/angle";
import type { OneEnginePlan } from "../situation/one-engine-plan";

/** What is asked about: altitude is that of the landing place. */
export interface OneEngineApproachQuestion extends Omit<AsymmetricQuestion, "flap" | "gearDown" | "setting"> {
  /** Seconds that the gear takes to come up. */
  readonly gearUp_s: number;
  /** What a go-around is advised by beside the sum. */
  readonly oneEngine: OneEnginePlan;
}

/** One part of the approach. */
export interface ApproachPart {
  readonly name: "level, clean" | "level, gear down" | "slope, gear down, approach flap" | "slope, landing flap";
  readonly flapName: string;
  readonly eas_mps: number;
  /** Share of full power of the live engine; null when full power does not hold it. */
  readonly setting: number | null;
  /** Share of full rudder at that power. */
  readonly rudder: number | null;
  /** Climb at full power in this configuration. */
  readonly full_mps: number;
  /**
   * The flap or gear limit that keeps the speed down, or that even the slowest safe speed exceeds; null when neither
   * does.
   */
  readonly limit: SpeedLimit | null;
  /** Not even the slowest safe speed keeps the limit. */
  readonly overLimit: boolean;
}

/** One step of going around, with the height it takes. */
export interface GoAroundStep {
  readonly name: "recognise" | "level off" | "landing flap up" | "gear up" | "approach flap up" | "accelerate";
  readonly time_s: number;
  /** Lost; negative is gained. */
  readonly height_m: number;
}

/** The answer. */
export interface OneEngineApproach {
  readonly parts: readonly ApproachPart[];
  readonly vyse_mps: number;
  readonly vref_mps: number;
  readonly vmca_mps: number | null;
  readonly steps: readonly GoAroundStep[];
  readonly lost_m: number;
  /** Flown without error, below this height over the landing place no go-around; null when none is offered at all. */
  readonly floor_m: number | null;
  /** The same, with the least height or climb that the pilot asks for; null when that is never met. */
  readonly advisedFloor_m: number | null;
  /** Climb away, and its gradient: clean at V_YSE; a jet with approach flap, gear up. */
  readonly away_mps: number;
  readonly awayGradient: number;
  readonly awaySpeed_mps: number;
  /** What the gear costs down in level flight, of climb. */
  readonly gearCost_mps: number;
  /** Height that gear at the usual place costs against gear late, at full power. */
  readonly earlyGear_m: number;
}

/** Usual slope of an approach. */
const SLOPE_RAD = radians(3);
/** Until the decision is acted on, and until a flap setting has moved. Common practice. */
const RECOGNISE_S = 3;
const FLAP_S = 3;
/** A jet climbs away with approach flap at up to this over its stall. 14 CFR 25.121(d) (memory). */
const JET_AWAY = 1.4;
/** Pull that ends the descent, of g. Common practice. */
const PULL_G = 0.2;
/**
 * The approach and its last go-around.
 *
 * Height of the go-around: on down the slope while it is recognised, levelling off V²γ²/(2·0.2g), then the climb or
 * sink of each configuration at full power until it is clean, then level acceleration ΔV²/2g at the excess power left.
 *
 * @returns failures of the polar (`mass_outside`) and of the case (`not_a_twin`, …); `no_flaps` for an aircraft
 *   without a landing flap
 */
export function oneEngineApproach(question: OneEngineApproachQuestion): Outcome<OneEngineApproach> {
  const { aircraft, gearUp_s, oneEngine: _oneEngine, ...rest } = question;
  const polar = aircraft.polar;
  if (!polar || polar.flaps.length < 2)
    return failure("no_flaps", `${aircraft.name} has no landing flap to approach with.`, "aircraft");
  const weighed = polarOf(aircraft, rest.mass_kg, cleanGlide(aircraft));
  if (!weighed.ok) return weighed;
  const landing = polar.landingFlap;
  // The setting before the landing flap; where there is none, the take-off flap.
  const approachFlap = Math.max(landing - 1, 0);
  const anchor = asymmetricCase({ aircraft, ...rest, flap: 0, gearDown: false, setting: 1 });
  if (!anchor.ok) return anchor;
  const flightWith = (flap: number, gearDown: boolean, setting = 1) =>
    caseOfSameRudder({ aircraft, ...rest, flap, gearDown, setting }, anchor.value.cnDeltaR);
  const clean = anchor.value;
  const speeds = steadySpeeds(clean);
  if (!speeds.ok) return speeds;
  const best = speeds.value.rate;
  const control = vmca(clean, radians(5));
  const vmca_mps = control.stallFirst ? null : control.eas_mps;
  const speedOf = (flight: AsymmetricCase) => Math.max(APPROACH * stallEas_mps(flight, 0), vmca_mps ?? 0);
  /**
   * As fast as wanted within the limits of flap and moving gear, never under the slowest safe speed of the
   * configuration.
   */
  const within = (flight: AsymmetricCase, wanted_mps: number) => {
    const limit = configurationLimit(aircraft, flight.question.flap, flight.question.gearDown ? "moving" : "up");
    const eas_mps = Math.max(speedOf(flight), Math.min(wanted_mps, limit?.speed_mps ?? Infinity));
    return {
      eas_mps,
      limit: limit !== null && limit.speed_mps < wanted_mps ? limit : null,
      overLimit: limit !== null && eas_mps > limit.speed_mps + 1e-6,
    };
  };
  const jet = aircraft.engines.kind === "jet";
  const gearAlone = flightWith(0, true);
  if (!gearAlone.ok) return gearAlone;
  const approaching = flightWith(approachFlap, true);
  if (!approaching.ok) return approaching;
  const landingFlap = flightWith(landing, true);
  if (!landingFlap.ok) return landingFlap;
  const retracted = flightWith(approachFlap, false);
  if (!retracted.ok) return retracted;
  const [gear, approach, full, gearUp] = [gearAlone.value, approaching.value, landingFlap.value, retracted.value];
  const vref_mps = speedOf(full);
  const fast = within(approach, best.eas_mps).eas_mps;
  const climbOf = (flight: AsymmetricCase, eas: number) => zeroSideslip(flight, eas)?.climb_mps ?? -Infinity;
  const part = (
    name: ApproachPart["name"],
    flight: AsymmetricCase,
    wanted_mps: number,
    slope_rad: number,
  ): ApproachPart => {
    const { eas_mps, limit, overLimit } = within(flight, wanted_mps);
    const set = settingFor(
      (setting) => flightWith(flight.question.flap, flight.question.gearDown, setting),
      eas_mps,
      slope_rad,
    );
    return {
      name,
      flapName: polar.flaps[flight.question.flap].name,
      eas_mps,
      setting: set?.setting ?? null,
      rudder: set?.rudder ?? null,
      full_mps: climbOf(flight, eas_mps),
      limit,
      overLimit,
    };
  };
  const parts = [
    part("level, clean", clean, best.eas_mps, 0),
    part("level, gear down", gear, best.eas_mps, 0),
    part("slope, gear down, approach flap", approach, best.eas_mps, SLOPE_RAD),
    part("slope, landing flap", full, vref_mps, SLOPE_RAD),
  ];
  if (![gear, approach, full, gearUp].every((flight) => zeroSideslip(flight, within(flight, best.eas_mps).eas_mps)))
    return { ok: false, issue: NO_STEADY_PATH };
  const away = jet ? gearUp : clean;
  const awaySpeed_mps = jet
    ? within(gearUp, Math.max(JET_AWAY * stallEas_mps(gearUp, 0), vref_mps)).eas_mps
    : best.eas_mps;
  const away_mps = climbOf(away, awaySpeed_mps);
  const tas = vref_mps / Math.sqrt(clean.state.density / RHO0);
  const steps: GoAroundStep[] = [
    { name: "recognise", time_s: RECOGNISE_S, height_m: tas * Math.sin(SLOPE_RAD) * RECOGNISE_S },
    {
      name: "level off",
      time_s: (tas * SLOPE_RAD) / (PULL_G * G0),
      height_m: (tas * SLOPE_RAD) ** 2 / (2 * PULL_G * G0),
    },
    { name: "landing flap up", time_s: FLAP_S, height_m: -climbOf(full, vref_mps) * FLAP_S },
  ];
  if (polar.gear.retractable)
    steps.push({ name: "gear up", time_s: gearUp_s, height_m: -climbOf(approach, vref_mps) * gearUp_s });
  if (!jet && approachFlap > 0)
    steps.push({ name: "approach flap up", time_s: FLAP_S, height_m: -climbOf(gearUp, vref_mps) * FLAP_S });
  // Speed is gathered level at what is left of power half-way.
  const tasAway = awaySpeed_mps / Math.sqrt(clean.state.density / RHO0);
  const gather_m = Math.max(tasAway ** 2 - tas ** 2, 0) / (2 * G0);
  const half = climbOf(away, (vref_mps + awaySpeed_mps) / 2);
  const climbsAway = away_mps > 0 && half > 0;
  steps.push({ name: "accelerate", time_s: climbsAway ? gather_m / half : 0, height_m: 0 });
  // The lowest point: heights gained later do not undo what was lost before.
  let [height, lowest] = [0, 0];
  for (const step of steps) {
    height -= step.height_m;
    lowest = Math.min(lowest, height);
  }
  const floor_m = climbsAway && Number.isFinite(lowest) ? -lowest + LEFT_M : null;
  const { least, leastHeight_m, leastClimb_mps } = question.oneEngine;
  const advisedFloor_m =
    floor_m === null
      ? null
      : least === "height"
        ? Math.max(floor_m, leastHeight_m)
        : away_mps >= leastClimb_mps
          ? floor_m
          : null;
  const gearCost_mps = climbOf(clean, best.eas_mps) - climbOf(gear, best.eas_mps);
  return success({
    parts,
    vyse_mps: best.eas_mps,
    vref_mps,
    vmca_mps,
    steps,
    lost_m: -lowest,
    floor_m,
    advisedFloor_m,
    away_mps,
    awaySpeed_mps,
    awayGradient: away_mps / tasAway,
    gearCost_mps,
    earlyGear_m: (gearCost_mps * (USUAL_M - LATE_M)) / (fast * Math.sin(SLOPE_RAD)),
  });
}

/** Power that holds a slope at a speed; null when full power does not. */
function settingFor(
  make: (setting: number) => Outcome<AsymmetricCase>,
  eas_mps: number,
  slope_rad: number,
): { setting: number; rudder: number } | null {
  const at = (setting: number) => {
    const flight = make(setting);
    return flight.ok ? zeroSideslip(flight.value, eas_mps) : null;
  };
  const excess = (setting: number) => (at(setting)?.sinGamma ?? -Infinity) + Math.sin(slope_rad);
  if (!(excess(1) >= 0)) return null;
  // A hundredth of a per cent of power is less than any lever shows.
  const { high } = bisect((setting) => !(excess(setting) >= 0), 0, 1, halvingsTo(1e-4, 0, 1));
  const state = at(high);
  const flight = make(high);
  return state && flight.ok
    ? { setting: high, rudder: Math.abs(state.rudder_rad) / flight.value.asymmetric.rudderMax_rad }
    : null;
}
