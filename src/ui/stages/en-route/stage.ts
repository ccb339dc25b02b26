"use client";
import dynamic from "next/dynamic";
import { useRouteAnswer } from "@/ui/answers/useRouteAnswer";
import { StageLoading } from "../StageLoading";
import type { StageFace } from "../stage-face";
import { useRouteHeadline, useRouteStatus } from "./useRouteHeadline";

/** The En route stage. */
export const stage: StageFace = {
  slug: "en-route",
  name: "En route",
  question: "Where along this flight is a landing place in reach?",
  answers:
    "Draws the lowest altitude at every point from which some landing place can be reached, and closes the gaps.",
  Stage: dynamic(() => import("./EnRouteStage").then((module) => module.EnRouteStage), { loading: StageLoading }),
  useHeadline: useRouteHeadline,
  useAnswer: useRouteAnswer,
  useStatus: useRouteStatus,
  ofEveryKind: true,
};
