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
  const { value, issue } = useDown();
  const format = useFormat();
  if (issue) return { text: "no answer", tone: "text-brick" };
  if (!value) return undefined;
  if (!value.way.settled) return { text: "too low to settle", tone: "text-brick" };
  return {
    text: `${format("distance", Math.max(value.way.toFlare_m, 0))} · ${formatNumber(value.landing.groundRatio, 1)}:1`,
  };
}

/** @see useSpotHeadline */
export const SpotHeadline = headlineOf(useSpotHeadline);

/** @see useDownHeadline */
export const DownHeadline = headlineOf(useDownHeadline);
