"use client";
import dynamic from "next/dynamic";
import { StageLoading } from "../StageLoading";
import type { StageFace } from "../stage-face";
import { useRestartHeadline } from "./useRestartHeadline";

/** The Restart stage. */
export const stage: StageFace = {
  slug: "restart",
  name: "Restart",
  question: "Is there height for a restart?",
  answers:
    "Turns height into seconds, fits the cause check and restart attempts into them, and says when to stop trying.",
  Stage: dynamic(() => import("./RestartStage").then((module) => module.RestartStage), { loading: StageLoading }),
  useHeadline: useRestartHeadline,
  helicopter: {
    Stage: dynamic(() => import("./rotor/RotorCheckStage").then((module) => module.HelicopterCheckStage), {
      loading: StageLoading,
    }),
    Headline: dynamic(() => import("./rotor/useCheckHeadline").then((module) => module.HelicopterCheckHeadline)),
  },
  gyroplane: {
    Stage: dynamic(() => import("./rotor/RotorCheckStage").then((module) => module.GyroCheckStage), {
      loading: StageLoading,
    }),
    Headline: dynamic(() => import("./rotor/useCheckHeadline").then((module) => module.GyroCheckHeadline)),
  },
};
