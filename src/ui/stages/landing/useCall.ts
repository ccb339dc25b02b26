"use client";
import { useMemo } from "react";
import { type CallQuestion, type DistressCall, distressCall } from "@/core/landing/distress-call";
import type { Outcome } from "@/core/outcome";
import { threeFigures } from "@/core/quantities/angle";
import { useAerodromes } from "@/ui/situation/useNearPlaces";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { nearestAerodrome } from "@/ui/situation/place";
import { useSituation } from "@/ui/situation/situation-store";
import { useVariation } from "@/ui/situation/useVariation";
import { landingIntention } from "./landing-words";
import { shownSite, useReach } from "@/ui/answers/reach-store";
import { useDitching } from "./useDitching";

/** The call that the situation asks for; null until the variation is known. */
export function useCall(ditch: boolean): { question: CallQuestion; answer: Outcome<DistressCall> } | null {
  const { position, altitude_m, heading_rad, landing } = useSituation((state) => state.current);
  const { document } = useAeroplane();
  const aerodromes = useAerodromes();
  const site = useReach(shownSite);
  const ditching = useDitching();
  const variation = useVariation();
  return useMemo(() => {
    if (!variation) return null;
    const heading = ditching.answer.ok
      ? threeFigures(ditching.answer.value.best.heading_rad - variation.variation_rad)
      : "into wind";
    const intention = ditch ? `ditching heading ${heading}` : landingIntention(site, landing.call.nature);
    const question: CallQuestion = {
      plan: landing.call,
      type: document.name,
      position,
      altitude_m,
      headingTrue_rad: heading_rad,
      variation_rad: variation.variation_rad,
      // Aerodromes only: a field that was surveyed is a name to nobody else.
      places: aerodromes.map(({ name, position: at }) => ({ name, position: at })),
      intention,
      station: nearestAerodrome(position, aerodromes)?.name ?? null,
    };
    return { question, answer: distressCall(question) };
  }, [variation, ditching, ditch, landing.call, site, document, position, altitude_m, heading_rad, aerodromes]);
}
