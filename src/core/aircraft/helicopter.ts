// A helicopter as a document: its rotor, its engines by rating, and what its manual prints.
import { z } from "zod";
import {
  COMMON,
  Masses,
  commonFaults,
  faultsOf,
  mass_kg,
  power_W,
  range,
  speed_mps,
  text,
  time_s,
} from "./document-fields";

/** A power that one engine may give, how long and how often in a flight; null for as long and often as one likes. */
export const Rating = z.strictObject({
  name: text(20).min(1, "A rating needs a name."),
  duration_s: time_s("A rating’s time", 1, 36_000).nullable(),
  uses: z.int("A number of uses is 1 to 20.").min(1).max(20, "A number of uses is 1 to 20.").nullable(),
  /** Of the engine as it is rated, at sea level in standard air. */
  engine_W: power_W("Power"),
  /** What the gearbox takes from one engine. */
  gearbox_W: power_W("Power"),
});

/** @see Rating */
export type Rating = z.infer<typeof Rating>;

const Rotor = z.strictObject({
  radius_m: range("Rotor radius, in m,", 2, 20),
  blades: z.int("Blades are 2 to 8.").min(2, "Blades are 2 to 8.").max(8, "Blades are 2 to 8."),
  chord_m: range("Blade chord, in m,", 0.05, 1.5),
  /** At 100 % rotor speed. */
  tipSpeed_mps: range("Tip speed, in m/s,", 120, 260),
  hubAboveSkids_m: range("The hub’s height, in m,", 1, 10),
  polarInertia_kgm2: range("The rotor’s inertia, in kg m²,", 50, 100_000),
  /** Drag area of fuselage, hub and skids. */
  flatPlate_m2: range("Drag area, in m²,", 0.05, 20),
  /** Induced power in the hover over that of an ideal rotor. */
  inducedFactor: range("The factor of induced power", 1, 1.6),
  /** Blade drag over that of a smooth blade. */
  bladeDragFactor: range("The factor of blade drag", 0.5, 3),
  /** Blade loading at which it stalls. */
  ctSigmaMax: range("The greatest CT/σ", 0.08, 0.25),
  /** Least rotor speed, of 100 %, in flight and at the end of a landing. */
  nrMinFlight: range("The least rotor speed in flight, of 100 %,", 0.75, 1),
  nrMinTouchdown: range("The least rotor speed at touchdown, of 100 %,", 0.5, 1),
});

/** What the manual prints; null where it is silent. */
const Handbook = z.strictObject({
  mass_kg: mass_kg("The handbook’s mass"),
  /** Take-off safety speed on one engine. */
  vToss_mps: speed_mps.nullable(),
  vy_mps: speed_mps.nullable(),
  /** Greatest mass that hovers on one engine, out of ground effect where the skids' height is null. */
  oneEngineHover: z
    .strictObject({
      mass_kg: mass_kg("Its mass"),
      altitude_m: range("Its pressure altitude, in m,", -500, 8000),
      deviation_K: range("Its deviation from standard temperature", -60, 60),
      skids_m: range("The skids’ height, in m,", 0, 30).nullable(),
      /** Name of the rating. */
      rating: text(20),
    })
    .nullable(),
  /** Steady autorotation in standard air at sea level. */
  leastSinkSpeed_mps: speed_mps.nullable(),
  leastSink_mps: range("A sink, in m/s,", 2, 40).nullable(),
  bestRangeSpeed_mps: speed_mps.nullable(),
  bestRangeRatio: range("A ratio in autorotation", 1, 10).nullable(),
  /** What the manual says of floats and ditching. */
  floats: text(300).nullable(),
});

/** A helicopter with one main rotor. */
export const Helicopter = z
  .strictObject({
    ...COMMON,
    category: z.literal("helicopter", "This is about helicopters."),
    mass: Masses,
    engines: z.strictObject({
      kind: z.literal("turboshaft"),
      count: z.int("Engines are 1 to 3.").min(1, "Engines are 1 to 3.").max(3, "Engines are 1 to 3."),
      /** Of one engine while the other is out; the last is the one for as long as one likes. */
      ratings: z.array(Rating).min(1, "At least one rating.").max(8, "At most 8 ratings."),
    }),
    rotor: Rotor,
    handbook: Handbook,
    limits: z.strictObject({ vne_mps: speed_mps.nullable() }),
  })
  .superRefine((aircraft, context) => {
    const fault = faultsOf(context);
    commonFaults(aircraft, fault);
    const { rotor, handbook, engines, limits } = aircraft;
    if (!(rotor.nrMinTouchdown <= rotor.nrMinFlight))
      fault("rotor.nrMinTouchdown", "The rotor may be slower at touchdown than in flight, not the other way round.");
    if (!(rotor.blades * rotor.chord_m < 0.4 * Math.PI * rotor.radius_m))
      fault("rotor.chord_m", "Blades that fill so much of the disc are not met with: check chord and radius.");
    const names = engines.ratings.map(({ name }) => name);
    if (new Set(names).size < names.length) fault("engines.ratings", "Two ratings have the same name.");
    engines.ratings.forEach(({ duration_s, engine_W, gearbox_W }, index) => {
      const shorter = engines.ratings.slice(0, index).find((other) => other.duration_s === null);
      if (shorter && duration_s !== null)
        fault(`engines.ratings.${index}.duration_s`, "Ratings stand from the shortest to the one without a limit.");
      const previous = index > 0 ? engines.ratings[index - 1] : null;
      if (previous && Math.min(engine_W, gearbox_W) > Math.min(previous.engine_W, previous.gearbox_W))
        fault(`engines.ratings.${index}.engine_W`, "A longer rating is not stronger than a shorter one.");
    });
    if (handbook.oneEngineHover && !names.includes(handbook.oneEngineHover.rating))
      fault("handbook.oneEngineHover.rating", "There is no rating of this name.");
    const { vToss_mps, vy_mps } = handbook;
    if (vToss_mps !== null && vy_mps !== null && !(vToss_mps < vy_mps))
      fault("handbook.vToss_mps", "V_TOSS is below V_Y.");
    if (limits.vne_mps !== null && vy_mps !== null && !(vy_mps < limits.vne_mps))
      fault("limits.vne_mps", "V_NE is above V_Y.");
  });

/** @see Helicopter */
export type Helicopter = z.infer<typeof Helicopter>;
