import { type StageFace, notBuilt } from "../stage-face";

/** The Rehearse stage. */
export const stage: StageFace = {
  slug: "rehearse",
  ofEveryKind: true,
  name: "Rehearse",
  question: "Can I do it without thinking?",
  answers: "Drills as challenge and response, and a simulator with failures, scored against tolerances.",
  Stage: null,
  useHeadline: notBuilt,
};
