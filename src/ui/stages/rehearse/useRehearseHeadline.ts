"use client";
import { formatClock } from "@/core/quantities/clock";
import type { Headline } from "../stage-face";
import { useDrill } from "./drill-store";

/** Whether a drill runs, and how the last one went. */
export function useRehearseHeadline(): Headline {
  const run = useDrill((state) => state.run);
  if (!run) return { text: "drills" };
  const { time_s } = run.drill.flown;
  return run.over ? { text: `drill done, ${formatClock(time_s)}` } : { text: `drill, ${formatClock(time_s)}` };
}
