// Places to land: strips with two ends, and the aerodromes they belong to. Documents, nothing computed.
import { z } from "zod";
import { LatLon } from "../earth/geodesic";

const name = z.string().trim().min(1, "A name is needed.").max(60, "At most 60 characters.");
const id = z.string().min(1).max(64);
const elevation_m = z
  .number("An elevation is needed.")
  .min(-430, "No ground is lower than −430 m.")
  .max(9000, "No ground is higher than 9 000 m.");

/** What a strip is made of. */
export const Surface = z.enum(["asphalt", "concrete", "gravel", "grass", "sand", "water"]);
/** @see Surface */
export type Surface = z.infer<typeof Surface>;
/** What wheels can roll on. */
export const GroundSurface = Surface.exclude(["water"]);

/** Something that an approach must pass over. */
export const ApproachObstacle = z.strictObject({
  name: z.string().trim().min(1, "An obstacle needs a name.").max(40, "At most 40 characters."),
  /** Before the threshold, along the approach. */
  distance_m: z
    .number()
    .min(0, "An obstacle stands 0 to 3 000 m before the threshold.")
    .max(3000, "An obstacle stands 0 to 3 000 m before the threshold."),
  /** Above the threshold. */
  height_m: z.number().min(0, "An obstacle is 0 to 300 m high.").max(300, "An obstacle is 0 to 300 m high."),
});

/** What can hurt somebody on a surveyed site. */
export const Hazard = z.enum(["people", "power-lines", "stock", "trees", "soft", "rough", "wall"]);
/** @see Hazard */
export type Hazard = z.infer<typeof Hazard>;

const declared_m = z
  .number("A declared distance is a number.")
  .min(1, "A declared distance is 1 to 20 000 m.")
  .max(20_000, "A declared distance is 1 to 20 000 m.");

/** Distances that the aerodrome declares for one direction; they go before what is measured. */
export const DeclaredDistances = z.strictObject({
  tora_m: declared_m,
  toda_m: declared_m,
  asda_m: declared_m,
  lda_m: declared_m,
});

/** The circuit of one direction. */
export const Circuit = z.strictObject({
  side: z.enum(["left", "right"]),
  /** Above the aerodrome. */
  height_m: z
    .number()
    .min(50, "A circuit is flown at 50 to 1 500 m.")
    .max(1500, "A circuit is flown at 50 to 1 500 m."),
});

/** One end of a strip, seen by a pilot who lands from there. */
export const StripEnd = z.strictObject({
  /** "29" on a runway, a compass word on a field. */
  designator: z.string().trim().min(1, "An end needs a designator.").max(12, "At most 12 characters."),
  threshold: LatLon,
  elevation_m,
  /** Where landing begins, from the threshold. */
  displaced_m: z
    .number()
    .min(0, "A threshold is displaced by 0 to 1 500 m.")
    .max(1500, "A threshold is displaced by 0 to 1 500 m."),
  /** What stands highest in the approach to this end; null when nothing does. */
  obstacle: ApproachObstacle.nullable(),
  /** Whether one may or can land in this direction. */
  usable: z.boolean(),
  declared: DeclaredDistances.nullable(),
  circuit: Circuit.nullable(),
});
/** @see StripEnd */
export type StripEnd = z.infer<typeof StripEnd>;

/** A runway, field or beach with its two ends. */
export const Strip = z.strictObject({
  id,
  width_m: z
    .number("A width is needed.")
    .min(5, "A strip is at least 5 m wide.")
    .max(500, "A strip is at most 500 m wide."),
  surface: Surface,
  ends: z.tuple([StripEnd, StripEnd]),
});
/** @see Strip */
export type Strip = z.infer<typeof Strip>;

const GroundStrip = Strip.extend({ surface: GroundSurface });

const day = z.iso.date("A day is written 2026-11-24.");

/** Which set of somebody else's a place came with, and its name there. */
const Source = z.strictObject({ set: z.string().min(1).max(64), id });

const common = {
  schema: z.literal("utrimax/place"),
  version: z.literal(2),
  id,
  name,
  notes: z.string().trim().max(300, "At most 300 characters."),
  /** When somebody last looked at it, and who; null when nobody knows. */
  lookedAt: day.nullable(),
  lookedBy: z.string().trim().max(60, "At most 60 characters."),
  source: Source.nullable(),
};

/** An aerodrome or helipad with its runways. */
export const Aerodrome = z.strictObject({
  ...common,
  kind: z.enum(["aerodrome", "helipad"]),
  position: LatLon,
  elevation_m,
  runways: z.array(GroundStrip).max(8, "At most eight runways."),
});
/** @see Aerodrome */
export type Aerodrome = z.infer<typeof Aerodrome>;

const site = {
  /** The ground or water around the strip, its corners in order. */
  outline: z
    .array(LatLon)
    .min(3, "An outline has three corners at least.")
    .max(100, "An outline has at most 100 corners.")
    .nullable(),
  hazards: z.array(Hazard).max(7),
};

/** A field or beach that somebody has looked at. */
export const LandingSite = z.strictObject({
  ...common,
  kind: z.enum(["field", "beach"]),
  strip: GroundStrip,
  ...site,
});
/** @see LandingSite */
export type LandingSite = z.infer<typeof LandingSite>;

/** A stretch of water to ditch on. */
export const WaterSite = z.strictObject({
  ...common,
  kind: z.literal("water"),
  strip: Strip.extend({ surface: z.literal("water") }),
  ...site,
});
/** @see WaterSite */
export type WaterSite = z.infer<typeof WaterSite>;

/** Any place. */
export const Place = z.discriminatedUnion("kind", [Aerodrome, LandingSite, WaterSite]);
/** @see Place */
export type Place = z.infer<typeof Place>;

/** Whether a place is an aerodrome or helipad, not a field, beach or water. */
export const isAerodrome = (place: Place): place is Aerodrome => place.kind === "aerodrome" || place.kind === "helipad";

/** Where a place is looked for: an aerodrome's own position, the first end of a site. */
export const positionOf = (place: Place): LatLon =>
  isAerodrome(place) ? place.position : place.strip.ends[0].threshold;

/** The strips of a place. */
export const stripsOf = (place: Place): readonly Strip[] => (isAerodrome(place) ? place.runways : [place.strip]);
