"use client";
import dynamic from "next/dynamic";
import { useSituation } from "@/ui/situation/situation-store";
import { formatWind } from "@/ui/situation/wind-words";
import { useUnits } from "@/ui/kit/units/units-store";
import { StageLoading } from "../StageLoading";
import type { Headline, StageFace } from "../stage-face";

function useTodayHeadline(): Headline {
  const wind = useSituation((state) => state.current.wind.surface);
  const reported = useSituation((state) => state.current.metar !== null);
  const units = useUnits((state) => state.units);
  return { text: `${reported ? "" : "typed: "}${wind ? formatWind(wind, units) : "calm"}` };
}

/** Today: the brief of this day's departure, beside the order of work. */
export const stage: StageFace = {
  slug: "today",
  name: "Today",
  question: "What do I brief today?",
  answers: "The brief of this day's departure on one page, to be read aloud and taken along.",
  Stage: dynamic(() => import("./TodayStage").then((module) => module.TodayStage), { loading: StageLoading }),
  useHeadline: useTodayHeadline,
};
