"use client";
import { useGyroDeparture } from "@/ui/answers/useGyroDeparture";
import { useFormat } from "@/ui/kit/units/units-store";
import { type Headline, headlineOf } from "../../stage-face";

/** Whether one lands ahead, and from where back. */
function useClimbOutHeadline(): Headline | undefined {
  const { value, issue } = useGyroDeparture();
  const format = useFormat();
  if (issue) return { text: "no answer", tone: "text-brick" };
  if (!value) return undefined;
  return { text: value.backFrom_m === null ? "ahead only" : `back from ${format("height", value.backFrom_m, "up")}` };
}

/** @see useClimbOutHeadline */
export const ClimbOutHeadline = headlineOf(useClimbOutHeadline);
