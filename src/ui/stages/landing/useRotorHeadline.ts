"use client";
import { formatNumber } from "@/core/quantities/units";
import { useDown, useSpot } from "@/ui/answers/useRotorLanding";
import { useFormat } from "@/ui/kit/units/units-store";
import { type Headline, headlineOf } from "../stage-face";

/** Whether the spot is reached. */
function useSpotHeadline(): Headline | undefined {
  const { value, issue } = useSpot();
  if (issue) return { text: "no answer", tone: "text-brick" };
  if (!value) return undefined;
  const works = value.ways.some(({ verdict }) => verdict === "works");
  return works ? { text: "spot in reach", tone: "text-pine" } : { text: "spot not reached", tone: "text-brick" };
}

/** How far it comes down without engines. */
function useDownHeadline(): Headline | undefined {
  const { value, issue, height_m } = useDown();
  const format = useFormat();
  if (issue) return { text: "no answer", tone: "text-brick" };
  if (!value) return undefined;
  const reach_m = Math.max((height_m - value.entry_m) * value.groundRatio, 0);
  return { text: `${format("distance", reach_m)} · ${formatNumber(value.groundRatio, 1)}:1` };
}

/** @see useDownHeadline */
export const DownHeadline = headlineOf(useDownHeadline);

/** @see useSpotHeadline */
export const SpotHeadline = headlineOf(useSpotHeadline);
