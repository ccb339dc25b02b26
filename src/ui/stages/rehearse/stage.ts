"use client";
import dynamic from "next/dynamic";
import { StageLoading } from "../StageLoading";
import type { StageFace } from "../stage-face";
import { useRehearseHeadline } from "./useRehearseHeadline";

/** The Rehearse stage. */
export const stage: StageFace = {
  slug: "rehearse",
  ofEveryKind: true,
  name: "Rehearse",
  question: "Can I do it without thinking?",
  answers: "Drills as challenge and response, with what cannot be undone confirmed first and what waiting costs.",
  Stage: dynamic(() => import("./RehearseStage").then((module) => module.RehearseStage), { loading: StageLoading }),
  useHeadline: useRehearseHeadline,
};
