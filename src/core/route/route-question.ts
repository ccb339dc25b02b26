// What is asked about a planned flight: the aircraft, the air, the pilot, the route and the places beside it.
import { z } from "zod";
import type { Aeroplane } from "../aircraft/aeroplane";
import { AircraftDocument } from "../aircraft/aircraft-document";
import { Configuration } from "../aircraft/configuration";
import { WindColumn } from "../air/wind";
import { LatLon } from "../earth/geodesic";
import { LandingEnd } from "../landing/landing-end";
import { LandingPlan } from "../situation/landing-plan";
import { RoutePlan } from "../situation/route-plan";
import { ApproachPlan, Pilot, SituationDocument } from "../situation/situation-document";

/** A place that one may come down on. */
export const RoutePlace = z.strictObject({
  id: z.string().min(1).max(64),
  name: z.string().min(1).max(80),
  kind: z.enum(["runway", "field", "beach"]),
  /** Middle of its longest strip. */
  position: LatLon,
  elevation_m: z.number().min(-430).max(9000),
  length_m: z.number().min(1).max(20_000),
  /** Each way to land on it. */
  ends: z.array(LandingEnd).min(1).max(16),
  /** When a surveyed site was last looked at. */
  lookedAt: z.iso.date().nullable(),
});
/** @see RoutePlace */
export type RoutePlace = z.infer<typeof RoutePlace>;

/** The question, in one object. */
export const RouteQuestion = z.strictObject({
  aircraft: AircraftDocument,
  mass_kg: SituationDocument.shape.mass_kg,
  /** Of an aeroplane; rotorcraft have none. */
  configuration: Configuration,
  air: SituationDocument.shape.air,
  wind: WindColumn,
  pilot: Pilot,
  plan: ApproachPlan,
  landing: LandingPlan,
  route: RoutePlan,
  places: z.array(RoutePlace).max(400, "At most 400 places at once."),
});
/** @see RouteQuestion */
export type RouteQuestion = z.infer<typeof RouteQuestion>;

/** The same about an aeroplane. */
export type AeroplaneRouteQuestion = Omit<RouteQuestion, "aircraft"> & { readonly aircraft: Aeroplane };
