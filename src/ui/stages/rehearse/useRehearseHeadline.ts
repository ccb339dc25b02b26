"use client";
import { formatClock } from "@/core/quantities/clock";
import type { Headline } from "../stage-face";
import { useDrill } from "./drill/drill-store";

/** Whether a drill runs, and how the last one went. */
export function useRehearseHeadline(): Headline {
  const flying = useDrill((state) => state.flying);
  if (!flying) return { text: "drills" };
  const { time_s } = flying.state.drill.flown;
  return flying.over ? { text: `drill done, ${formatClock(time_s)}` } : { text: `drill, ${formatClock(time_s)}` };
}
