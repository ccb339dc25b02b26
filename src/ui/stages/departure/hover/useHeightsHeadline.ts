"use client";
import { useFlyAway } from "@/ui/answers/useHoverAnswer";
import { useFormat } from "@/ui/kit/units/units-store";
import { type Headline, headlineOf } from "../../stage-face";

/** From which height it flies away. */
function useHeightsHeadline(): Headline | undefined {
  const { value, issue } = useFlyAway();
  const format = useFormat();
  if (issue) return { text: issue.code === "one_engine" ? "one engine only" : "no answer", tone: "text-brick" };
  if (!value) return undefined;
  const { flyAwayFrom_m } = value.heights;
  return flyAwayFrom_m === null
    ? { text: "no fly-away", tone: "text-brick" }
    : { text: `away from ${format("height", flyAwayFrom_m, "up")}` };
}

/** @see useHeightsHeadline */
export const HeightsHeadline = headlineOf(useHeightsHeadline);
