"use client";
import { useMemo } from "react";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { type Said, landingDecision } from "./landing-words";
import { shownSite, useReach } from "@/ui/answers/reach-store";
import { useKeys } from "./useKeys";
import { useSites } from "./useSites";

/** The decision about the place that is looked at; null before there is an answer or when no way leads there. */
export function useLandingDecision(): Said | null {
  const site = useReach(shownSite);
  const ranked = useSites();
  const { keys } = useKeys();
  const { plan, landing } = useSituation((state) => state.current);
  const format = useFormat();
  return useMemo(() => {
    if (!site || !ranked) return null;
    return landingDecision(
      {
        site,
        best: ranked.sites[0],
        reserve_m: plan.reserve_m,
        tailwindLimit_mps: landing.tailwindLimit_mps,
        crosswindLimit_mps: ranked.crosswindLimit_mps,
        intoWind_mps: ranked.intoWind_mps,
        elevation_m: site.end.elevation_m,
        advice: keys?.ok ? keys.value.advice : null,
      },
      format,
    );
  }, [site, ranked, keys, plan.reserve_m, landing.tailwindLimit_mps, format]);
}
