"use client";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import { type Headline, headlineOf } from "../stage-face";
import { useDrill } from "./drill/drill-store";
import { useRecallDay } from "./recall/useRecallDay";

/** Whether a drill runs, how the last one went; otherwise what is due today. */
function useRehearseHeadline(): Headline {
  const flying = useDrill((state) => state.flying);
  const day = useRecallDay();
  if (flying) {
    const { time_s } = flying.state.drill.flown;
    return flying.over ? { text: `drill done, ${formatClock(time_s)}` } : { text: `drill, ${formatClock(time_s)}` };
  }
  const asked = day?.due.filter(({ memory }) => memory !== null).length ?? 0;
  if (asked > 0) return { text: `${formatNumber(asked)} ${asked === 1 ? "card" : "cards"} due`, tone: "text-ochre" };
  return { text: day && day.due.length > 0 ? `${formatNumber(day.due.length)} new cards` : "drills" };
}

/** Loaded when the page stands: no flight needs it first. */
export const RehearseHeadline = headlineOf(useRehearseHeadline);
