// What is asked about a planned flight on one engine of two.
import type { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { RouteQuestion } from "../route/route-question";
import { SituationDocument } from "../situation/situation-document";
import { TakeOffPlan } from "../situation/take-off-plan";

/** The flight, with what one engine needs besides. */
export const DriftQuestion = RouteQuestion.extend({
  aircraft: Aeroplane,
  centreOfGravity: SituationDocument.shape.centreOfGravity,
  /** From the failure until the propeller is feathered. */
  feather_s: TakeOffPlan.shape.feather_s,
});
/** @see DriftQuestion */
export type DriftQuestion = z.infer<typeof DriftQuestion>;
