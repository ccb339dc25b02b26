// An engine that will stop in N minutes (coolant, oil, fuel): climb with it, fly level with it, or shut it down now;
// where each leads, as an area on the map, and how long each stays up. Not here: ground in the way, power that fades
// before the end, traffic.
import { bisect, halvingsTo } from "../numeric/bisect";
import { z } from "zod";
import { AircraftDocument } from "../aircraft/aircraft-document";
import { Configuration } from "../aircraft/configuration";
import { type Polar, polarOf } from "../aircraft/polar";
import { airAtAltitude } from "../air/altimetry";
import { WindColumn, windProfile } from "../air/wind";
import { engineForce, powerShare } from "../engine/engine-force";
import { accelerationFactor } from "../glide/acceleration-factor";
import { heldCas_mps, steadyDescent } from "../glide/steady-descent";
import { bestGlide } from "../glide/straight-glide";
import { goldenMinimum } from "../numeric/golden-section";
import { type Outcome, failure, success } from "../outcome";
import { G0, P0_PA, RHO0, T0_K } from "../quantities/constants";
import { RestartPlan } from "../situation/restart-plan";
import { SituationDocument } from "../situation/situation-document";

/** What the plans are compared from. */
export const MinutesQuestion = z.strictObject({
  aircraft: AircraftDocument,
  mass_kg: SituationDocument.shape.mass_kg,
  configuration: Configuration,
  air: SituationDocument.shape.air,
  wind: WindColumn,
  altitude_m: SituationDocument.shape.altitude_m,
  /** Elevation that the glide ends at. */
  ground_m: SituationDocument.shape.altitude_m,
  left_s: RestartPlan.shape.minutes.shape.left_s,
});
/** @see MinutesQuestion */
export type MinutesQuestion = z.infer<typeof MinutesQuestion>;

/** What is done with the engine. */
export type MinutesChoice = "climb" | "level" | "shut-down";

/** Where one choice leads: every place within `radius_m` of the place that the wind carries the aircraft to. */
export interface MinutesPlan {
  readonly choice: MinutesChoice;
  /** Way through the air, engine and glide together, m: the radius of the area. */
  readonly radius_m: number;
  /** Where the wind carries it meanwhile, m east and north: the centre of the area. */
  readonly drift: { readonly east_m: number; readonly north_m: number };
  /** Reach straight down wind and straight into it. */
  readonly downwind_m: number;
  readonly upwind_m: number;
  readonly time_s: number;
  /** Altitude when the engine stops. */
  readonly top_m: number;
  /** Speed while it runs, equivalent. */
  readonly eas_mps: number;
  readonly engineAir_m: number;
  readonly glideAir_m: number;
}

/** The choices, the one that reaches farthest into the wind first. */
export interface MinutesLeft {
  readonly plans: readonly MinutesPlan[];
  readonly issues: readonly { readonly choice: MinutesChoice; readonly message: string }[];
  /** Rate of climb at the start. */
  readonly climb_mps: number;
}

const STEP_S = 5;
/** The wind of a glide is taken in bands of this height. */
const BAND_M = 50;
/** Speeds over the stall between which the climb and the level speed are looked for. */
const SLOWEST = 1.15;
const FASTEST = 3.5;
/** Part of the never-exceed speed that is flown level. Common practice. */
const OF_VNE = 0.9;

/**
 * Compares the three.
 *
 * Climb: the V at which a minute reaches farthest, r(V) = V + G·(T − D)V/W with the glide ratio G, climbing at (T −
 * D)V/W/(1 + AF); level: fastest V with T ≥ D; glide: best ratio from there, as every steady descent. Every place
 * reached lies on a circle of the way through the air about the point that the wind alone would carry it to.
 *
 * @returns failures of the polar and of the wind; `no_power` for rotorcraft, `under_ground`
 */
export function minutesLeft(question: MinutesQuestion): Outcome<MinutesLeft> {
  const { aircraft, mass_kg, configuration, air, altitude_m, ground_m } = question;
  if (!(altitude_m > ground_m))
    return failure("under_ground", "The aircraft is at or below the ground that the glide would end at.", "ground_m");
  const dead = polarOf(aircraft, mass_kg, configuration);
  if (!dead.ok) return dead;
  // With the engines running nothing of them drags: the thrust is net.
  const share = dead.value.shares.find((entry) => entry.dead)?.deltaCd ?? 0;
  const running: Polar = { ...dead.value.polar, cd0: dead.value.polar.cd0 - share };
  const wind = windProfile(question.wind, ground_m);
  if (!wind.ok) return wind;
  const thrust = thrustOf(aircraft, mass_kg);
  if (!thrust)
    return failure(
      "no_power",
      `${aircraft.name} has no propeller or jet thrust that this is computed with.`,
      "aircraft",
    );
  const stateAt = (altitude: number) => airAtAltitude(altitude, air);
  /** Excess of thrust over drag, of weight, at an equivalent airspeed. */
  const excess = (eas: number, altitude: number) => {
    const { density, pressure_Pa, temperature_K, speedOfSound_mps } = stateAt(altitude);
    const tas = eas / Math.sqrt(density / RHO0);
    const cl = running.wingLoading / (0.5 * RHO0 * eas ** 2);
    return {
      tas,
      sine:
        thrust(tas, { density, delta: pressure_Pa / P0_PA, theta: temperature_K / T0_K, speedOfSound_mps }) -
        (running.cd0 + running.k * cl ** 2) / cl,
    };
  };
  const stall = Math.sqrt((2 * running.wingLoading) / (RHO0 * running.clMax));
  const fastest = Math.min(FASTEST * stall, (aircraft.limits.vne_mps ?? Infinity) * OF_VNE);
  const glide = bestGlide(dead.value.polar);
  const rate = (eas: number) => excess(eas, altitude_m).sine * excess(eas, altitude_m).tas;
  const bestRate = goldenMinimum((eas) => -rate(eas), SLOWEST * stall, fastest, 0.05);
  const levelSpeed = fastestLevel((eas) => excess(eas, altitude_m).sine, bestRate, fastest);
  // Between best rate and level flight: what is flown on now against what the height gained glides later.
  const climbSpeed =
    levelSpeed === null
      ? bestRate
      : goldenMinimum((eas) => -(excess(eas, altitude_m).tas + glide.ratio * rate(eas)), bestRate, levelSpeed, 0.05);
  const glideFrom = (top_m: number) => {
    const down = steadyDescent(glide, heldCas_mps(glide.eas_mps, top_m, air), air);
    let [time_s, east_m, north_m] = [0, 0, 0];
    for (let high = top_m; high > ground_m; high -= BAND_M) {
      const low = Math.max(high - BAND_M, ground_m);
      const band_s = down.time_s(high, low);
      const moved = wind.value((high + low) / 2);
      time_s += band_s;
      east_m += moved.east_mps * band_s;
      north_m += moved.north_mps * band_s;
    }
    return { time_s, east_m, north_m, air_m: down.air_m(top_m, ground_m) };
  };
  const powered = (choice: MinutesChoice, eas: number, climbing: boolean): MinutesPlan => {
    let [altitude, time_s, air_m, east_m, north_m] = [altitude_m, 0, 0, 0, 0];
    const cas = heldCas_mps(eas, altitude_m, air);
    const seconds = choice === "shut-down" ? 0 : question.left_s;
    while (time_s < seconds - 1e-9) {
      const step = Math.min(STEP_S, seconds - time_s);
      const { tas, sine } = excess(eas, altitude);
      const moved = wind.value(altitude);
      const up = climbing ? Math.max(sine, 0) / (1 + accelerationFactor(cas, altitude, air)) : 0;
      air_m += tas * Math.sqrt(1 - Math.min(up, 1) ** 2) * step;
      altitude += tas * up * step;
      east_m += moved.east_mps * step;
      north_m += moved.north_mps * step;
      time_s += step;
    }
    const down = glideFrom(altitude);
    const drift = { east_m: east_m + down.east_m, north_m: north_m + down.north_m };
    const radius_m = air_m + down.air_m;
    const blown = Math.hypot(drift.east_m, drift.north_m);
    return {
      choice,
      radius_m,
      drift,
      downwind_m: radius_m + blown,
      upwind_m: radius_m - blown,
      time_s: time_s + down.time_s,
      top_m: altitude,
      eas_mps: choice === "shut-down" ? glide.eas_mps : eas,
      engineAir_m: air_m,
      glideAir_m: down.air_m,
    };
  };
  const issues: { choice: MinutesChoice; message: string }[] = [];
  const plans = [powered("shut-down", glide.eas_mps, false)];
  const climb_mps =
    rate(climbSpeed) / (1 + accelerationFactor(heldCas_mps(climbSpeed, altitude_m, air), altitude_m, air));
  if (climb_mps > 0) plans.push(powered("climb", climbSpeed, true));
  else issues.push({ choice: "climb", message: "It does not climb at this height and mass." });
  if (levelSpeed !== null) plans.push(powered("level", levelSpeed, false));
  else issues.push({ choice: "level", message: "It does not hold its height at this height and mass." });
  return success({ plans: plans.sort((a, b) => b.upwind_m - a.upwind_m), issues, climb_mps });
}

/** Fastest equivalent airspeed at which thrust holds drag; null when none does. */
function fastestLevel(sine: (eas: number) => number, from: number, to: number): number | null {
  if (!(sine(from) >= 0)) return null;
  if (sine(to) >= 0) return to;
  return bisect((eas_mps) => sine(eas_mps) >= 0, from, to, halvingsTo(0.01, from, to)).low;
}

type ThrustOverWeight = (
  tas_mps: number,
  air: { density: number; delta: number; theta: number; speedOfSound_mps: number },
) => number;

/** Thrust of all engines over weight at full power; null for rotorcraft. */
function thrustOf({ engines }: AircraftDocument, mass_kg: number): ThrustOverWeight | null {
  const weight = mass_kg * G0;
  if (engines.kind === "turboshaft") return null;
  const sigmaCritical =
    engines.kind === "propeller" && engines.criticalHeight_m !== null
      ? airAtAltitude(engines.criticalHeight_m, { qnh_Pa: P0_PA, deviation_K: 0 }).sigma
      : null;
  if (engines.kind === "propeller" && engines.thrustLine) {
    const { static_N, slope_Nspm } = engines.thrustLine;
    // The line holds about climb speed; beyond it the propeller's disc gives less.
    return (tas, air) =>
      Math.min(
        Math.max(static_N - slope_Nspm * tas, 0) * powerShare(air.density / RHO0, sigmaCritical),
        engines.count * (engineForce(engines, air, tas, 1, sigmaCritical)?.thrust_N ?? 0),
      ) / weight;
  }
  return (tas, air) => (engines.count * (engineForce(engines, air, tas, 1, sigmaCritical)?.thrust_N ?? 0)) / weight;
}
