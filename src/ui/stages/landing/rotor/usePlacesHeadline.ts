"use client";
import { useRotorPlaces } from "@/ui/answers/useRotorReach";
import { useFormat } from "@/ui/kit/units/units-store";
import { type Headline, headlineOf } from "../../stage-face";
import { placesHeadline } from "./places-words";

/** Whether there is a place with room in reach. */
function usePlacesHeadline(): Headline | undefined {
  const { value, issue } = useRotorPlaces();
  const format = useFormat();
  if (issue) return { text: "no answer", tone: "text-brick" };
  if (!value) return undefined;
  const best = value.at(0);
  return best ? placesHeadline(best, format) : { text: "no places near", tone: "text-brick" };
}

/** @see usePlacesHeadline */
export const PlacesHeadline = headlineOf(usePlacesHeadline);
