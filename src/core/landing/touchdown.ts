// The moment of touching down: energy against speed and wind, stopping in the length there is, gear up or down, and
// what is made safe by which height. Not here: the structure's strength, injuries.
import { TOUCHDOWN } from "./approach-factors";
import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { Configuration } from "../aircraft/configuration";
import { airAtAltitude } from "../air/altimetry";
import { type Outcome, failure, success } from "../outcome";
import { G0, RHO0 } from "../quantities/constants";
import { LandingPlan } from "../situation/landing-plan";
import { SituationDocument } from "../situation/situation-document";
import { landingFigures, stoppingDistance_m } from "./landing-length";
import { Surface } from "../places/place";

/** What touches down, where. */
export const TouchdownQuestion = z.strictObject({
  aircraft: Aeroplane,
  mass_kg: SituationDocument.shape.mass_kg,
  configuration: Configuration,
  air: SituationDocument.shape.air,
  elevation_m: SituationDocument.shape.altitude_m,
  /** At the ground along the landing direction, a headwind negative. */
  tailwind_mps: z
    .number()
    .min(-60, "A wind along the runway is −117 to 117 kt.")
    .max(60, "A wind along the runway is −117 to 117 kt."),
  flap: LandingPlan.shape.flap,
  /** Length that is left after the touchdown; null when it is not known. */
  length_m: z.number().min(1, "A length is 1 to 20 000 m.").max(20_000, "A length is 1 to 20 000 m.").nullable(),
  surface: Surface.or(z.literal("water")),
  /** Mean deceleration that is counted on, g. */
  stopping: LandingPlan.shape.stopping,
  /** A retractable gear is left up. */
  wheelsUp: LandingPlan.shape.wheelsUp.default(false),
});
/** @see TouchdownQuestion */
export type TouchdownQuestion = z.infer<typeof TouchdownQuestion>;

/** A way to touch down, compared by its energy. */
export interface TouchdownOption {
  readonly name: "as planned" | "still air" | "the other way" | "flap up" | "10 % faster";
  readonly groundSpeed_mps: number;
  readonly energy_J: number;
  /** Energy over that of the plan. */
  readonly ratio: number;
  readonly stop_m: number;
}

/** Gear up or down where it can be chosen. */
export interface GearAdvice {
  /** Advised on this surface. */
  readonly gear: "down" | "up" | "fixed";
  readonly why: string;
  /** As it is flown: `wheelsUp` of the question where the gear moves. */
  readonly flown: "down" | "up" | "fixed";
}

/** The answer. */
export interface Touchdown {
  readonly touchdownEas_mps: number;
  readonly groundSpeed_mps: number;
  readonly energy_J: number;
  readonly cases: readonly TouchdownOption[];
  /** Distance and time at mean decelerations, g. */
  readonly stops: readonly { readonly g: number; readonly distance_m: number; readonly time_s: number }[];
  /** Mean deceleration that the length asks for; null without a length. */
  readonly needed_g: number | null;
  /** Slide on the belly with the gear up; null on wheels and on water. */
  readonly slide: { readonly g: number; readonly distance_m: number; readonly time_s: number } | null;
  readonly gear: GearAdvice;
}

/**
 * Decelerations that are named: a light brake, a hard one, a soft field, a hedge, and 9 g, which restraints are built
 * to hold.
 */
const NAMED_G = [0.1, 0.25, 0.5, 1, 3, 9] as const;

/** Mean deceleration of a belly sliding on something hard, and on anything softer, g. Common practice. */
const [SLIDE_HARD_G, SLIDE_SOFT_G] = [0.4, 0.5];

/**
 * Touchdown speed, energy and stop: E = m·Vg²/2, d = V²/(2·N·g).
 *
 * @returns failures of the polar; `no_speed` when the headwind is as fast as the touchdown
 * @see FAA-H-8083-3, emergency approaches and landings (memory): energy grows with the square of the ground speed
 */
export function touchdown(question: TouchdownQuestion): Outcome<Touchdown> {
  const { aircraft, mass_kg, configuration, air, elevation_m, tailwind_mps, flap, length_m, surface, stopping } =
    question;
  const planned = landingFigures(aircraft, mass_kg, configuration, flap);
  if (!planned.ok) return planned;
  const clean = landingFigures(aircraft, mass_kg, configuration, 0);
  if (!clean.ok) return clean;
  const root = Math.sqrt(airAtAltitude(elevation_m, air).density / RHO0);
  const eas = TOUCHDOWN * planned.value.stallEas_mps;
  const ground = (stall_mps: number, wind_mps: number, times = 1) => (times * TOUCHDOWN * stall_mps) / root + wind_mps;
  const groundSpeed_mps = ground(planned.value.stallEas_mps, tailwind_mps);
  if (!(groundSpeed_mps > 1))
    return failure(
      "no_speed",
      "The headwind is as fast as the touchdown: there is no ground speed to stop from.",
      "tailwind_mps",
    );
  const energy = (speed: number) => (mass_kg * speed ** 2) / 2;
  const energy_J = energy(groundSpeed_mps);
  const touching = (name: TouchdownOption["name"], speed: number): TouchdownOption => ({
    name,
    groundSpeed_mps: speed,
    energy_J: energy(speed),
    ratio: energy(speed) / energy_J,
    stop_m: stoppingDistance_m(speed, stopping),
  });
  const stop = (g: number) => ({
    g,
    distance_m: stoppingDistance_m(groundSpeed_mps, g),
    time_s: groundSpeed_mps / (g * G0),
  });
  const stall = planned.value.stallEas_mps;
  const cases = [
    touching("as planned", groundSpeed_mps),
    ...(Math.abs(tailwind_mps) > 0.5
      ? [touching("still air", ground(stall, 0)), touching("the other way", ground(stall, -tailwind_mps))]
      : []),
    touching("flap up", ground(clean.value.stallEas_mps, tailwind_mps)),
    touching("10 % faster", ground(stall, tailwind_mps, 1.1)),
  ].filter((entry) => entry.groundSpeed_mps > 1);
  const gear = gearAdvice(aircraft, surface, question.wheelsUp);
  const slide_g = surface === "asphalt" || surface === "concrete" ? SLIDE_HARD_G : SLIDE_SOFT_G;
  return success({
    touchdownEas_mps: eas,
    groundSpeed_mps,
    energy_J,
    cases,
    stops: NAMED_G.map(stop),
    needed_g: length_m === null ? null : groundSpeed_mps ** 2 / (2 * G0 * length_m),
    slide: gear.flown === "up" && surface !== "water" ? stop(slide_g) : null,
    gear,
  });
}

/** Gear by surface. Common practice; the flight manual's own rule comes first. */
function gearAdvice({ polar }: Aeroplane, surface: TouchdownQuestion["surface"], wheelsUp: boolean): GearAdvice {
  const flown = wheelsUp ? "up" : "down";
  if (!polar?.gear.retractable)
    return {
      gear: "fixed",
      flown: "fixed",
      why:
        surface === "water"
          ? "A fixed gear digs in: touch down as slowly as can be, and expect to go over."
          : "The gear takes the first of the energy.",
    };
  switch (surface) {
    case "water":
      return { gear: "up", flown, why: "Wheels dig in and turn the aeroplane over." };
    case "sand":
      return { gear: "up", flown, why: "Soft ground takes the wheels: up, unless it is known to be firm." };
    case "asphalt":
    case "concrete":
    case "gravel":
    case "grass":
      return { gear: "down", flown, why: "On ground that bears it the gear takes energy before the cabin does." };
    default:
      return surface satisfies never;
  }
}

/** Something to have done before touching down. */
export interface SecureItem {
  /** By this height over the ground, m; null at once. */
  readonly by_m: number | null;
  readonly what: string;
  readonly why: string;
}

/** What is made safe before touching down, by height. Common practice; the flight manual's list comes first. */
export function secureList({ engines, polar }: Pick<Aeroplane, "engines" | "polar">): SecureItem[] {
  const piston = engines.kind === "propeller" && engines.fuelSystem !== "turbine";
  return [
    { by_m: null, what: "Say it: call, squawk 7700, locator beacon on", why: "Radio reaches farther from height." },
    {
      by_m: 304.8,
      what: "Belts and shoulder straps tight, loose things stowed, headsets off the lap",
      why: "Hands are free now and not later.",
    },
    {
      by_m: 228.6,
      what: piston
        ? "Fuel off, mixture cut off, ignition off: when no restart is wanted any more"
        : engines.kind === "propeller"
          ? "Condition lever cut off, propeller feathered, fuel shut off"
          : "Engine master levers off, fuel and fire levers as the checklist says",
      why: "Nothing must feed a fire.",
    },
    {
      by_m: 152.4,
      what: "Doors unlatched, a rolled jacket in the gap if it may jam",
      why: "A bent frame holds a closed door.",
    },
    ...(polar && polar.flaps.length > 1
      ? [
          {
            by_m: 91.44,
            what: polar.gear.retractable
              ? "Gear and last flap, when the place is certain"
              : "Last flap, when the place is certain",
            why: "Out they cannot be flown with any farther.",
          },
        ]
      : []),
    {
      by_m: 60.96,
      what: "Master off, after electric flaps and gear have run",
      why: "No sparks; what runs by electricity has run.",
    },
    {
      by_m: 15.24,
      what: "Wings level, slowest speed under control, brace",
      why: "Half the speed is a quarter of the energy.",
    },
  ];
}
