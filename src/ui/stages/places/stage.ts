"use client";
import dynamic from "next/dynamic";
import { placesHistory, usePlacesStore } from "@/ui/library/places-store";
import { StageLoading } from "../StageLoading";
import type { Headline, StageFace } from "../stage-face";

function usePlacesHeadline(): Headline {
  const length = usePlacesStore((state) => state.places.length);
  const link = usePlacesStore((state) => state.link);
  if (link === "away") return { text: "kept here, server away", tone: "text-ochre" };
  return { text: length === 0 ? "none of your own" : `${length} of your own` };
}

/** Places: beside the order of work. */
export const stage: StageFace = {
  slug: "places",
  ofEveryKind: true,
  name: "Places",
  question: "Where can I land, and what do I know of it?",
  answers: "Aerodromes, fields, beaches and water of one's own, on the map and as figures.",
  Stage: dynamic(() => import("./PlacesStage").then((module) => module.PlacesStage), { loading: StageLoading }),
  useHeadline: usePlacesHeadline,
  history: placesHistory,
};
