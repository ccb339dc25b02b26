// What is asked about landing ends: the aircraft, where it is, the air, the pilot, and the ends.
import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { Configuration } from "../aircraft/configuration";
import { WindColumn } from "../air/wind";
import { LatLon } from "../earth/geodesic";
import { ApproachPlan, Pilot, SituationDocument } from "../situation/situation-document";
import { LandingEnd } from "./landing-end";

/** What the question needs to know, in one object. */
export const ReachQuestion = z.strictObject({
  aircraft: Aeroplane,
  mass_kg: SituationDocument.shape.mass_kg,
  configuration: Configuration,
  air: SituationDocument.shape.air,
  wind: WindColumn,
  position: LatLon,
  altitude_m: SituationDocument.shape.altitude_m,
  headingTrue_rad: SituationDocument.shape.heading_rad,
  pilot: Pilot,
  plan: ApproachPlan,
  ends: z.array(LandingEnd).min(1, "At least one landing end is needed.").max(400, "At most 400 landing ends at once."),
});

/** @see ReachQuestion */
export type ReachQuestion = z.infer<typeof ReachQuestion>;

/** The question a situation asks of some landing ends; `aircraft` is the one the situation names. */
export function reachQuestion(
  situation: SituationDocument,
  aircraft: Aeroplane,
  ends: readonly LandingEnd[],
): ReachQuestion {
  return {
    aircraft,
    mass_kg: situation.mass_kg,
    configuration: situation.configuration,
    air: situation.air,
    wind: situation.wind,
    position: situation.position,
    altitude_m: situation.altitude_m,
    headingTrue_rad: situation.heading_rad,
    pilot: situation.pilot,
    plan: situation.plan,
    ends: [...ends],
  };
}
