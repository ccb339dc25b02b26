"use client";
import { useMemo } from "react";
import { distressCall } from "@/core/landing/distress-call";
import type { LandingEnd } from "@/core/landing/landing-end";
import { useAerodromes } from "@/ui/situation/useNearPlaces";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { nearestAerodrome } from "@/ui/situation/place";
import { useSituation } from "@/ui/situation/situation-store";
import { useVariation } from "@/ui/situation/useVariation";

/** A call after a failure in the climb-out is made from about this height over the runway, m: 500 ft. */
const CALLED_M = 152.4;

/** The call of a failure after take-off, one sentence; null until the variation is known. */
export function useTodayCall(runway: LandingEnd | null, twoEngines: boolean): string | null {
  const call = useSituation((state) => state.current.landing.call);
  const { document } = useAeroplane();
  const aerodromes = useAerodromes();
  const variation = useVariation();
  return useMemo(() => {
    if (!variation || !runway) return null;
    const answer = distressCall({
      plan: { ...call, nature: twoEngines ? "one-engine" : "engine-failure" },
      type: document.name,
      position: runway.threshold,
      altitude_m: runway.elevation_m + CALLED_M,
      headingTrue_rad: runway.headingTrue_rad,
      variation_rad: variation.variation_rad,
      places: aerodromes.map(({ name, position }) => ({ name, position })),
      intention: twoEngines ? `one-engine landing, ${runway.name}` : "forced landing ahead",
      station: nearestAerodrome(runway.threshold, aerodromes)?.name ?? null,
    });
    return answer.ok ? answer.value.lines.map((line) => line.text).join(", ") : null;
  }, [variation, runway, call, document, aerodromes, twoEngines]);
}
