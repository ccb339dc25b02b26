"use client";
import dynamic from "next/dynamic";
import { useReachAnswer } from "@/ui/answers/useReachAnswer";
import { StageLoading } from "../StageLoading";
import type { StageFace } from "../stage-face";
import { COMMANDS } from "./commands";
import { useLandingHeadline, useLandingStatus } from "./useLandingHeadline";

/** The Landing stage. */
export const stage: StageFace = {
  slug: "landing",
  name: "Landing",
  question: "Which runway can I make from here?",
  answers: "Finds the glide path to every landing end in reach and what it costs in height.",
  Stage: dynamic(() => import("./LandingStage").then((module) => module.LandingStage), { loading: StageLoading }),
  useHeadline: useLandingHeadline,
  useAnswer: useReachAnswer,
  useStatus: useLandingStatus,
  commands: COMMANDS,
  helicopter: {
    Stage: dynamic(() => import("./rotor/RotorLandingStage").then((module) => module.HelicopterLandingStage), {
      loading: StageLoading,
    }),
    Headline: dynamic(() => import("./rotor/usePlacesHeadline").then((module) => module.PlacesHeadline)),
  },
  gyroplane: {
    Stage: dynamic(() => import("./rotor/RotorLandingStage").then((module) => module.GyroLandingStage), {
      loading: StageLoading,
    }),
    Headline: dynamic(() => import("./rotor/usePlacesHeadline").then((module) => module.PlacesHeadline)),
  },
};
