import { type StageFace, notBuilt } from "../stage-face";

/** The Debrief stage. */
export const stage: StageFace = {
  slug: "debrief",
  ofEveryKind: true,
  name: "Debrief",
  question: "What happened, and what does it teach?",
  answers: "Reads flight logs, finds the glides and turns, measures them and lays them beside the prediction.",
  Stage: null,
  useHeadline: notBuilt,
};
