"use client";
import { formatNumber } from "@/core/quantities/units";
import { useFormat } from "@/ui/kit/units/units-store";
import { useGyroplane, useHelicopter } from "@/ui/situation/useAircraftOfKind";
import { type Headline, headlineOf } from "../stage-face";

/** Speed and ratio of the book's best glide; nothing printed, nothing said. */
function useBook(speed_mps: number | null, ratio: number | null): Headline {
  const format = useFormat();
  if (speed_mps === null) return { text: "book is silent" };
  return { text: `${format("speed", speed_mps)}${ratio === null ? "" : ` · ${formatNumber(ratio, 1)}:1`}` };
}

/** Best range in autorotation, by the book. */
function useHelicopterHeadline(): Headline {
  const { bestRangeSpeed_mps, bestRangeRatio } = useHelicopter().document.handbook;
  return useBook(bestRangeSpeed_mps, bestRangeRatio);
}

/** Best glide with the engine stopped, by the book. */
function useGyroplaneHeadline(): Headline {
  const { bestGlideSpeed_mps, bestGlideRatio } = useGyroplane().document.handbook;
  return useBook(bestGlideSpeed_mps, bestGlideRatio);
}

/** @see useHelicopterHeadline */
export const HelicopterHeadline = headlineOf(useHelicopterHeadline);

/** @see useGyroplaneHeadline */
export const GyroplaneHeadline = headlineOf(useGyroplaneHeadline);
