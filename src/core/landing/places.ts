// Places to land: strips with two ends, and the aerodromes they belong to. Documents in, nothing computed.
import { z } from "zod";
import { LatLon } from "../earth/geodesic";

const name = z.string().trim().min(1, "A name is needed.").max(60, "At most 60 characters.");
const elevation_m = z
  .number()
  .min(-430, "No ground is lower than −430 m.")
  .max(9000, "No ground is higher than 9 000 m.");

/** What the ground is made of. */
export const Surface = z.enum(["asphalt", "concrete", "gravel", "grass", "sand"]);

/** Something that an approach must pass over. */
export const ApproachObstacle = z.strictObject({
  name: z.string().trim().min(1, "An obstacle needs a name.").max(40, "At most 40 characters."),
  /** Before the threshold, along the approach. */
  distance_m: z
    .number()
    .min(0, "An obstacle stands 0 to 3 000 m before the threshold.")
    .max(3000, "An obstacle stands 0 to 3 000 m before the threshold."),
  /** Above the threshold. */
  height_m: z.number().min(0, "An obstacle is 0 to 300 m high.").max(300, "An obstacle is 0 to 300 m high."),
});

/** What can hurt somebody on a surveyed site. */
export const Hazard = z.enum(["people", "power-lines", "stock", "trees", "soft", "rough", "wall"]);
/** @see Hazard */
export type Hazard = z.infer<typeof Hazard>;

/** One end of a strip, seen by a pilot who lands from there. */
export const StripEnd = z.strictObject({
  /** "29" on a runway, a compass word on a field. */
  designator: z.string().trim().min(1).max(12),
  threshold: LatLon,
  elevation_m,
  displaced_m: z.number().min(0).max(1500),
  /** What stands highest in the approach to this end; null when nothing does. */
  obstacle: ApproachObstacle.nullable().default(null),
});

/** A runway, field or beach that can be landed on from both ends. */
export const Strip = z.strictObject({
  id: z.string().min(1).max(64),
  width_m: z.number().min(5, "A strip is at least 5 m wide.").max(500),
  surface: Surface,
  ends: z.tuple([StripEnd, StripEnd]),
});
/** @see Strip */
export type Strip = z.infer<typeof Strip>;

/** An aerodrome or helipad with its runways. */
export const Aerodrome = z.strictObject({
  id: z.string().min(1).max(64),
  name,
  kind: z.enum(["aerodrome", "helipad"]),
  position: LatLon,
  elevation_m,
  runways: z.array(Strip).max(8),
});
/** @see Aerodrome */
export type Aerodrome = z.infer<typeof Aerodrome>;

/** A field or beach that somebody has walked over. */
export const LandingSite = z.strictObject({
  id: z.string().min(1).max(64),
  name,
  kind: z.enum(["field", "beach"]),
  strip: Strip,
  notes: z.string().trim().max(300),
  hazards: z.array(Hazard).max(7).default([]),
});
/** @see LandingSite */
export type LandingSite = z.infer<typeof LandingSite>;
