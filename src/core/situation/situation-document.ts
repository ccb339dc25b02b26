// The situation that all stages share: one aircraft, one moment, one pilot. Versioned; validated on the way in and out.
import { z } from "zod";
import { Configuration } from "../aircraft/configuration";
import { Load } from "../aircraft/loading-plan";
import { WindColumn } from "../air/wind";
import { LatLon } from "../earth/geodesic";
import { DeparturePlan } from "./departure-plan";
import { LandingPlan } from "./landing-plan";
import { OneEnginePlan } from "./one-engine-plan";
import { RestartPlan } from "./restart-plan";
import { RoutePlan } from "./route-plan";

const range = (min: number, max: number, message: string) => z.number(message).min(min, message).max(max, message);

/** How far a figure of the pilot's own scatters, as a standard deviation, from how many. */
const ownSpread = (most: number) =>
  z.strictObject({ spread: z.number().min(0).max(most), count: z.int().min(1).max(100_000) });

/** What was measured of a pilot, in logs and by hand: what is null is as usual. */
export const OwnFigures = z.strictObject({
  reaction_s: ownSpread(15).nullable(),
  bank_rad: ownSpread(0.8).nullable(),
  /** Day of the last that counts; null where no log tells. */
  last: z.iso.date().nullable(),
});
/** @see OwnFigures */
export type OwnFigures = z.infer<typeof OwnFigures>;

/** What the pilot can do and has practised. */
export const Pilot = z.strictObject({
  reaction_s: range(0, 30, "A reaction takes 0 to 30 seconds; 4 is usual."),
  bank_rad: range(0.0872, 1.2218, "A turn in a glide is flown with 5° to 70° of bank."),
  stallMargin: range(1.05, 2, "The stall margin in a turn is 1.05 to 2 times the stall speed; 1.2 is usual."),
  daysSincePractised: range(0, 36_500, "Days since practised: 0 to 36 500."),
  /** Where reaction and bank are the pilot's own, how far they scatter; null: what is usual. */
  own: OwnFigures.nullable(),
});

/** @see Pilot */
export type Pilot = z.infer<typeof Pilot>;

/** How the approach is to be flown. */
export const ApproachPlan = z.strictObject({
  reserve_m: range(0, 1000, "A reserve of height is 0 to 1 000 m (3 280 ft)."),
  final_m: range(0, 3000, "A straight final is 0 to 3 000 m."),
  key: z.enum(["none", "overhead-left", "overhead-right", "abeam-left", "abeam-right"]),
  /** The two schools of glide speed. */
  glideSpeed: z.enum(["book", "wind"]),
  clearance_m: range(0, 1000, "A clearance over terrain is 0 to 1 000 m (3 280 ft)."),
});

/** @see ApproachPlan */
export type ApproachPlan = z.infer<typeof ApproachPlan>;

/**
 * The document. A field or section that is added has no default here: it makes a new version, with a step from the one
 * before.
 */
export const SituationDocument = z.strictObject({
  schema: z.literal("utrimax/situation"),
  version: z.literal(8),
  name: z.string().trim().min(1, "A situation needs a name.").max(80, "At most 80 characters."),
  aircraftId: z.string().min(1).max(64),
  mass_kg: range(50, 700_000, "A mass is between 50 kg and 700 t."),
  /** 0 at the forward limit, 1 at the aft limit. */
  centreOfGravity: range(0, 1, "The centre of gravity lies between its limits: 0 forward, 1 aft."),
  /** What is on board, where mass and centre of gravity come from it; null where they are typed. */
  load: Load.nullable(),
  configuration: Configuration,
  position: LatLon,
  altitude_m: range(-500, 15_000, "An altitude is −500 m to 15 000 m (49 200 ft)."),
  /** True. */
  heading_rad: range(0, 2 * Math.PI, "A heading is 0° to 360°."),
  wind: WindColumn,
  air: z.strictObject({
    qnh_Pa: range(85_000, 109_000, "QNH is 850 to 1090 hPa (25.1 to 32.2 inHg)."),
    deviation_K: range(-60, 60, "A temperature within 60 °C of the standard one is needed."),
  }),
  metar: z.string().max(2000).nullable(),
  /** When a service told the wind aloft; null where it was typed. */
  aloftAt: z.iso.datetime("A time is written 2026-11-24T12:00:00Z.").nullable(),
  pilot: Pilot,
  plan: ApproachPlan,
  departure: DeparturePlan,
  restart: RestartPlan,
  landing: LandingPlan,
  oneEngine: OneEnginePlan,
  route: RoutePlan,
  terrainId: z.string().max(64).nullable(),
  /** The day, for magnetic variation: ISO date. */
  day: z.iso.date("A day is written 2026-11-24."),
});

/** @see SituationDocument */
export type SituationDocument = z.infer<typeof SituationDocument>;
