// Length needed from 50 ft over the threshold to a stop, by computation and by an authority's factors, and what it is
// set against. Not here: brakes that fade, reverse thrust, tyres, a float beyond the flare, snow.
import type { Aeroplane } from "../aircraft/aeroplane";
import { type Configuration } from "../aircraft/configuration";
import { polarOf, stallSpeed_mps } from "../aircraft/polar";
import { type Outcome, failure, success } from "../outcome";
import { G0, RHO0 } from "../quantities/constants";
import type { LengthRule } from "../situation/landing-plan";
import type { LandingEnd } from "./landing-end";
import { type LandingBody, brakingOn, landingRoll } from "./landing-roll";

/** Screen height over the threshold, m (50 ft), and the least height over an obstacle. Common practice. */
export const SCREEN_M = 15.24;
/** Braking on a wet surface over braking on the dry one. Common practice. */
const WET_BRAKING = 0.7;
/** Deceleration below this does not stop the aeroplane in any length worth naming, of g. */
const LEAST_BRAKING = 0.03;

/** UK CAA Safety Sense Leaflet 7 (memory): increases of landing distance, and the safety factor on top of all. */
const LEAFLET = {
  dryGrass: 1.15,
  wetGrass: 1.35,
  wetPaved: 1.15,
  soft: 1.25,
  downhillPer2Percent: 1.1,
  tailwindPerTenth: 1.2,
  safety: 1.43,
} as const;
/** Share of a headwind, and multiple of a tailwind, that is counted on. Same leaflet (memory). */
const HEADWIND_COUNTED = 0.5;
const TAILWIND_COUNTED = 1.5;

/** The aeroplane as it lands. */
export interface LandingFigures {
  readonly body: LandingBody;
  readonly flapName: string;
  readonly stallEas_mps: number;
}

/**
 * The aeroplane with landing gear down and a flap, in the glide that the dead engine leaves.
 *
 * @param flap - index; null takes the aircraft's landing flap
 * @returns failures of the polar
 */
export function landingFigures(
  aircraft: Aeroplane,
  mass_kg: number,
  configuration: Configuration,
  flap: number | null,
): Outcome<LandingFigures> {
  const setting = flap ?? aircraft.polar?.landingFlap ?? 0;
  const configured = polarOf(aircraft, mass_kg, { ...configuration, flap: setting, gearDown: true, slip: 0 });
  if (!configured.ok) return configured;
  const { polar } = configured.value;
  return success({
    body: { wingLoading: polar.wingLoading, clMax: polar.clMax, steepCd0: polar.cd0, k: polar.k },
    flapName: aircraft.polar?.flaps[setting]?.name ?? "",
    stallEas_mps: stallSpeed_mps(polar),
  });
}

/** What a length is asked for. */
export interface LengthQuestion {
  readonly figures: LandingFigures;
  readonly density: number;
  /** Along the landing direction, a headwind negative. */
  readonly tailwind_mps: number;
  readonly end: Pick<LandingEnd, "surface" | "slope" | "obstacle">;
  readonly wet: boolean;
  readonly rule: LengthRule;
  /** For the rule `own`. */
  readonly ownFactor: number;
}

/** A length and how it comes about. */
export interface LengthNeeded {
  readonly approachTas_mps: number;
  readonly touchdownGroundSpeed_mps: number;
  /** Height over the threshold: the screen, or more where an obstacle asks for it. */
  readonly threshold_m: number;
  readonly air_m: number;
  readonly flare_m: number;
  readonly roll_m: number;
  /** Of g, slope included. */
  readonly braking: number;
  readonly computed_m: number;
  readonly factors: readonly { readonly name: string; readonly value: number }[];
  readonly needed_m: number;
  /** Ground distance over height lost on the approach. */
  readonly ratio: number;
}

/**
 * Length needed.
 *
 * Height over the threshold: the screen, or what leaves 50 ft over the obstacle at the glide's angle. Then flare and
 * roll, V²/(2g(N + slope)). `leaflet` computes on a level dry hard runway and multiplies; `factor` computes with the
 * surface as it is and multiplies by the leaflet's safety factor, `own` by one that is given; `computed` multiplies by
 * nothing.
 *
 * @returns `no_headway` when the headwind is as fast as the approach, `does_not_stop` when the slope is steeper than
 *   the brakes hold
 */
export function lengthNeeded({
  figures,
  density,
  tailwind_mps,
  end,
  wet,
  rule,
  ownFactor,
}: LengthQuestion): Outcome<LengthNeeded> {
  const leaflet = rule === "leaflet";
  const surface = brakingOn(leaflet ? "asphalt" : end.surface) * (wet && !leaflet ? WET_BRAKING : 1);
  const braking = surface + (leaflet ? 0 : end.slope);
  if (!(braking >= LEAST_BRAKING))
    return failure(
      "does_not_stop",
      "Downhill on this surface the brakes do not hold it: it does not stop.",
      "end.slope",
    );
  // By the leaflet wind has a factor of its own when it comes from behind.
  const counted = tailwind_mps <= 0 ? HEADWIND_COUNTED * tailwind_mps : TAILWIND_COUNTED * tailwind_mps;
  const wind = rule === "computed" ? tailwind_mps : leaflet ? Math.min(counted, 0) : counted;
  const roll = landingRoll(figures.body, density, wind, braking);
  if (!(roll.steepRatio > 0))
    return failure("no_headway", "The headwind is as fast as the approach: there is no headway.", "tailwind_mps");
  const { obstacle } = end;
  const threshold_m = Math.max(
    SCREEN_M,
    obstacle ? obstacle.height_m + SCREEN_M - obstacle.distance_m / roll.steepRatio : 0,
  );
  const air_m = threshold_m * roll.steepRatio;
  const computed_m = air_m + roll.flare_m + roll.roll_m;
  const factors =
    rule === "computed"
      ? []
      : leaflet
        ? leafletFactors(end, wet, tailwind_mps / roll.touchdownTas_mps)
        : [rule === "own" ? { name: "own", value: ownFactor } : { name: "safety", value: LEAFLET.safety }];
  return success({
    approachTas_mps: roll.approachTas_mps,
    touchdownGroundSpeed_mps: roll.touchdownGroundSpeed_mps,
    threshold_m,
    air_m,
    flare_m: roll.flare_m,
    roll_m: roll.roll_m,
    braking,
    computed_m,
    factors,
    ratio: roll.steepRatio,
    needed_m: factors.reduce((length, { value }) => length * value, computed_m),
  });
}

function leafletFactors(
  end: LengthQuestion["end"],
  wet: boolean,
  tailwindShare: number,
): { name: string; value: number }[] {
  const paved = end.surface === "asphalt" || end.surface === "concrete";
  return [
    end.surface === "grass" && {
      name: wet ? "wet grass" : "dry grass",
      value: wet ? LEAFLET.wetGrass : LEAFLET.dryGrass,
    },
    paved && wet && { name: "wet", value: LEAFLET.wetPaved },
    // Gravel and sand are not in the leaflet: soft ground stands for them.
    !paved && end.surface !== "grass" && { name: "as soft ground", value: LEAFLET.soft },
    end.slope < 0 && { name: "downhill", value: LEAFLET.downhillPer2Percent ** (-end.slope / 0.02) },
    tailwindShare > 0 && { name: "tailwind", value: LEAFLET.tailwindPerTenth ** (tailwindShare / 0.1) },
    { name: "safety", value: LEAFLET.safety },
  ].filter((factor) => factor !== false);
}

/** Stalling speed as true airspeed, for comparisons with wind. */
export function trueOf_mps(eas_mps: number, density: number): number {
  return eas_mps * Math.sqrt(RHO0 / density);
}

/** Stopping distance at a mean deceleration: d = V²/(2·N·g). */
export function stoppingDistance_m(speed_mps: number, loadFactor: number): number {
  return speed_mps ** 2 / (2 * loadFactor * G0);
}
