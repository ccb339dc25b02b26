"use client";
import dynamic from "next/dynamic";
import { aircraftHistory } from "@/ui/library/aircraft-drafts";
import { StageLoading } from "../StageLoading";
import type { StageFace } from "../stage-face";
import { useAircraftHeadline } from "./useAircraftHeadline";

const Stage = dynamic(() => import("./AircraftStage").then((module) => module.AircraftStage), {
  loading: StageLoading,
});

/** The Aircraft stage. */
export const stage: StageFace = {
  slug: "aircraft",
  name: "Aircraft",
  question: "Do I know its numbers?",
  answers:
    "Fits a model to the handbook and shows sink against speed, the cost of each item of drag, and speeds by mass.",
  Stage,
  useHeadline: useAircraftHeadline,
  helicopter: {
    Stage,
    Headline: dynamic(() => import("./useRotorHeadline").then((module) => module.HelicopterHeadline)),
  },
  gyroplane: {
    Stage,
    Headline: dynamic(() => import("./useRotorHeadline").then((module) => module.GyroplaneHeadline)),
  },
  history: aircraftHistory,
};
