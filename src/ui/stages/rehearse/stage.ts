"use client";
import dynamic from "next/dynamic";
import { StageLoading } from "../StageLoading";
import type { StageFace } from "../stage-face";

/** The Rehearse stage. */
export const stage: StageFace = {
  slug: "rehearse",
  ofEveryKind: true,
  name: "Rehearse",
  question: "Do we do it in order?",
  answers: "Drills as challenge and response with what waiting costs; what they are made of asked when it fades.",
  Stage: dynamic(() => import("./RehearseStage").then((module) => module.RehearseStage), { loading: StageLoading }),
  Headline: dynamic(() => import("./RehearseHeadline").then((module) => module.RehearseHeadline)),
};
