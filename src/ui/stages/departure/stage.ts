"use client";
import dynamic from "next/dynamic";
import { useDepartureAnswer } from "@/ui/answers/useDepartureAnswer";
import { useTakeOffAnswer } from "@/ui/answers/useTakeOffAnswer";
import { StageLoading } from "../StageLoading";
import type { StageFace } from "../stage-face";
import { useDepartureHeadline, useDepartureStatus } from "./useDepartureHeadline";

/** The Departure stage. */
export const stage: StageFace = {
  slug: "departure",
  name: "Departure",
  question: "From what height does turning back work today?",
  answers: "Shows for every failure height what works: stop, ahead, a field, or the turn back, with its chance.",
  Stage: dynamic(() => import("./DepartureOfAircraft").then((module) => module.DepartureOfAircraft), {
    loading: StageLoading,
  }),
  useHeadline: useDepartureHeadline,
  useAnswer: () => {
    useDepartureAnswer();
    useTakeOffAnswer();
  },
  useStatus: useDepartureStatus,
  helicopter: {
    Stage: dynamic(() => import("./hover/HoverDepartureStage").then((module) => module.HoverDepartureStage), {
      loading: StageLoading,
    }),
    Headline: dynamic(() => import("./hover/useHeightsHeadline").then((module) => module.HeightsHeadline)),
  },
  gyroplane: {
    Stage: dynamic(() => import("./gyro/GyroDepartureStage").then((module) => module.GyroDepartureStage), {
      loading: StageLoading,
    }),
    Headline: dynamic(() => import("./gyro/useClimbOutHeadline").then((module) => module.ClimbOutHeadline)),
  },
};
