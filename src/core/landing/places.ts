// Places to land: strips with two ends, and the aerodromes they belong to. Documents in, nothing computed.
import { z } from "zod";
import { LatLon } from "../earth/geodesic";

const name = z.string().trim().min(1, "A name is needed.").max(60, "At most 60 characters.");
const elevation_m = z.number().min(-430, "No ground is lower than −430 m.").max(9000, "No ground is higher than 9,000 m.");

/** What the ground is made of. */
export const Surface = z.enum(["asphalt", "concrete", "gravel", "grass", "sand"]);

/** One end of a strip, seen by a pilot who lands from there. */
export const StripEnd = z.object({
  /** "29" on a runway, a compass word on a field. */
  designator: z.string().trim().min(1).max(12),
  threshold: LatLon,
  elevation_m,
  displaced_m: z.number().min(0).max(1500),
});

/** A runway, field or beach that can be landed on from both ends. */
export const Strip = z.object({
  id: z.string().min(1).max(64),
  width_m: z.number().min(5, "A strip is at least 5 m wide.").max(500),
  surface: Surface,
  ends: z.tuple([StripEnd, StripEnd]),
});
/** @see Strip */
export type Strip = z.infer<typeof Strip>;

/** An aerodrome or helipad with its runways. */
export const Aerodrome = z.object({
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
export const LandingSite = z.object({
  id: z.string().min(1).max(64),
  name,
  kind: z.enum(["field", "beach"]),
  strip: Strip,
  notes: z.string().trim().max(300),
});
/** @see LandingSite */
export type LandingSite = z.infer<typeof LandingSite>;
