// An engine that will stop in N minutes (coolant, oil, fuel): climb with it, fly level with it, or shut it down now;
// where each leads, as an area on the map, and how long each stays up. Not here: ground in the way, power that fades
// before the end, traffic.
import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { Configuration } from "../aircraft/configuration";
import { WindColumn, windProfile } from "../air/wind";
import { type PoweredFlight, poweredFlight } from "../engine/powered-flight";
import { accelerationFactor } from "../glide/acceleration-factor";
import { heldCas_mps, steadyDescent } from "../glide/steady-descent";
import { type StraightGlide, bestGlide } from "../glide/straight-glide";
import { goldenMinimum } from "../numeric/golden-section";
import { type Outcome, failure, success } from "../outcome";
import { RestartPlan } from "../situation/restart-plan";
import { SituationDocument } from "../situation/situation-document";

/** What the plans are compared from. */
export const MinutesQuestion = z.strictObject({
  aircraft: Aeroplane,
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

/** The speeds that an engine's minutes are flown at. */
export interface MinutesSpeeds {
  readonly flight: PoweredFlight;
  readonly glide: StraightGlide;
  /** Where a minute reaches farthest, its height glided out. */
  readonly climb_mps: number;
  /** Fastest level; null where it does not hold its height. */
  readonly level_mps: number | null;
  /** Rate of climb at the first of them, at the start. */
  readonly rate_mps: number;
}

/**
 * The speeds: to climb at, the V at which a minute reaches farthest, r(V) = V + G·(T − D)V/W with the glide ratio G;
 * level, the fastest V with T ≥ D.
 *
 * @returns failures of the polar
 */
export function minutesSpeeds(
  { aircraft, mass_kg, configuration, air }: Pick<MinutesQuestion, "aircraft" | "mass_kg" | "configuration" | "air">,
  altitude_m: number,
): Outcome<MinutesSpeeds> {
  const ready = poweredFlight(aircraft, mass_kg, configuration, air);
  if (!ready.ok) return ready;
  const flight = ready.value;
  const glide = bestGlide(flight.gliding);
  const rate = (eas: number) => {
    const { tas_mps, sine } = flight.excess(eas, altitude_m);
    return sine * tas_mps;
  };
  const bestRate = flight.bestRate_mps(altitude_m);
  const level_mps = flight.level_mps(altitude_m);
  // Between best rate and level flight: what is flown on now against what the height gained glides later.
  const climb_mps =
    level_mps === null
      ? bestRate
      : goldenMinimum(
          (eas) => -(flight.excess(eas, altitude_m).tas_mps + glide.ratio * rate(eas)),
          bestRate,
          level_mps,
          0.05,
        );
  const factor = 1 + accelerationFactor(heldCas_mps(climb_mps, altitude_m, air), altitude_m, air);
  return success({ flight, glide, climb_mps, level_mps, rate_mps: rate(climb_mps) / factor });
}

/** Steps of the flight with the engine, s. */
export const STEP_S = 5;
/** The wind of a glide is taken in bands of this height. */
const BAND_M = 50;

/**
 * Compares the three.
 *
 * Climb at (T − D)V/W/(1 + AF), level, glide with the best ratio from there, as every steady descent. Every place
 * reached lies on a circle of the way through the air about the point that the wind alone would carry it to.
 *
 * @returns failures of the polar and of the wind; `under_ground`
 */
export function minutesLeft(question: MinutesQuestion): Outcome<MinutesLeft> {
  const { air, altitude_m, ground_m } = question;
  if (!(altitude_m > ground_m))
    return failure("under_ground", "The aircraft is at or below the ground that the glide would end at.", "ground_m");
  const speeds = minutesSpeeds(question, altitude_m);
  if (!speeds.ok) return speeds;
  const { flight, glide, climb_mps: climbSpeed, level_mps: levelSpeed, rate_mps: climb_mps } = speeds.value;
  const wind = windProfile(question.wind, ground_m);
  if (!wind.ok) return wind;
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
      const { tas_mps, sine } = flight.excess(eas, altitude);
      const moved = wind.value(altitude);
      const up = climbing ? Math.max(sine, 0) / (1 + accelerationFactor(cas, altitude, air)) : 0;
      air_m += tas_mps * Math.sqrt(1 - Math.min(up, 1) ** 2) * step;
      altitude += tas_mps * up * step;
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
  if (climb_mps > 0) plans.push(powered("climb", climbSpeed, true));
  else issues.push({ choice: "climb", message: "It does not climb at this height and mass." });
  if (levelSpeed !== null) plans.push(powered("level", levelSpeed, false));
  else issues.push({ choice: "level", message: "It does not hold its height at this height and mass." });
  return success({ plans: plans.sort((a, b) => b.upwind_m - a.upwind_m), issues, climb_mps });
}
