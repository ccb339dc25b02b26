"use client";
import { formatNumber } from "@/core/quantities/units";
import { useReach } from "@/ui/answers/reach-store";
import { useFormat } from "@/ui/kit/units/units-store";
import type { Headline } from "../stage-face";

/** Speed and ratio of its best glide today. */
export function useAircraftHeadline(): Headline | undefined {
  const best = useReach((state) => state.answer?.reach?.best);
  const format = useFormat();
  return best && { text: `${format("speed", best.eas_mps)} · ${formatNumber(best.ratio, 1)}:1` };
}
