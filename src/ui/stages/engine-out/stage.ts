"use client";
import dynamic from "next/dynamic";
import { useEngineOutAnswer } from "@/ui/answers/useEngineOutAnswer";
import { StageLoading } from "../StageLoading";
import type { StageFace } from "../stage-face";
import { useEngineOutHeadline } from "./useEngineOutHeadline";

/** The Engine out stage. */
export const stage: StageFace = {
  slug: "engine-out",
  name: "Engine out",
  question: "Does it fly on one engine, and how?",
  answers: "Shows control and climb on one engine: minimum control speed today, bank, ball, and what each item costs.",
  Stage: dynamic(() => import("./EngineOutStage").then((module) => module.EngineOutStage), { loading: StageLoading }),
  useHeadline: useEngineOutHeadline,
  useAnswer: useEngineOutAnswer,
  helicopter: {
    Stage: dynamic(() => import("./hover/HoverStage").then((module) => module.HoverStage), { loading: StageLoading }),
    Headline: dynamic(() => import("./hover/useHoverHeadline").then((module) => module.HoverHeadline)),
  },
  gyroplane: {
    Stage: dynamic(() => import("./gyro/RudderStage").then((module) => module.RudderStage), { loading: StageLoading }),
    Headline: dynamic(() => import("./gyro/useRudderHeadline").then((module) => module.RudderHeadline)),
  },
};
