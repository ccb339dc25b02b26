import { type StageFace, notBuilt } from "../stage-face";

/** The En route stage. */
export const stage: StageFace = {
  slug: "en-route",
  name: "En route",
  question: "Where along this route is a landing place in reach?",
  answers: "Draws the lowest height at every point from which some landing place can be reached, and closes the gaps.",
  Stage: null,
  useHeadline: notBuilt,
};
