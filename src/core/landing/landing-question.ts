// What is asked about landing. Apart from what answers it, so that a page can ask a worker without bringing all of
// that.
import type { z } from "zod";
import type { Aeroplane } from "../aircraft/aeroplane";
import { DEFAULT_LANDING, LandingPlan } from "../situation/landing-plan";
import { SituationDocument } from "../situation/situation-document";
import type { LandingEnd } from "./landing-end";
import { ReachQuestion, reachQuestion } from "./reach-question";

/** The question: what the ways need, how lengths and wind are judged, and the day for the sun. */
export const LandingQuestion = ReachQuestion.extend({
  landing: LandingPlan.default(DEFAULT_LANDING),
  day: SituationDocument.shape.day,
});
/** @see LandingQuestion */
export type LandingQuestion = z.infer<typeof LandingQuestion>;

/** The question a situation asks of some landing ends. */
export function landingQuestion(
  situation: SituationDocument,
  aircraft: Aeroplane,
  ends: readonly LandingEnd[],
): LandingQuestion {
  return { ...reachQuestion(situation, aircraft, ends), landing: situation.landing, day: situation.day };
}
