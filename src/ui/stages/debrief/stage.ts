"use client";
import dynamic from "next/dynamic";
import { StageLoading } from "../StageLoading";
import type { StageFace } from "../stage-face";

/** The Debrief stage. */
export const stage: StageFace = {
  slug: "debrief",
  ofEveryKind: true,
  name: "Debrief",
  question: "What happened, and what does it teach?",
  answers: "Reads flight logs, finds engine stops, turns, glides and landings, and measures them with their bounds.",
  Stage: dynamic(() => import("./DebriefStage").then((module) => module.DebriefStage), { loading: StageLoading }),
  Headline: dynamic(() => import("./DebriefHeadline").then((module) => module.DebriefHeadline)),
};
