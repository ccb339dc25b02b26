"use client";
import { useMemo } from "react";
import type { DepartureQuestion } from "@/core/departure/departure-day";
import { departureQuestion, departureRunways } from "@/core/departure/departure-question";
import type { Outcome } from "@/core/outcome";
import { useLandingEnds } from "@/ui/situation/useNearPlaces";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";

/**
 * What the situation asks about the departure. Moving the aeroplane about asks nothing new while the runway stays the
 * same.
 */
export function useDepartureQuestion(): Outcome<DepartureQuestion> {
  const situation = useSituation((state) => state.current);
  const { document } = useAeroplane();
  const ends = useLandingEnds();
  const { departure, mass_kg, air, wind, pilot, configuration, plan } = situation;
  const runwayId = useMemo(
    () => departure.endId ?? departureRunways({ position: situation.position, wind }, ends)[0]?.id ?? null,
    [departure.endId, situation.position, wind, ends],
  );
  const { propeller } = configuration;
  return useMemo(
    () =>
      departureQuestion(
        {
          ...useSituation.getState().current,
          departure: { ...departure, endId: runwayId },
          mass_kg,
          air,
          wind,
          pilot,
          plan,
          configuration: { ...useSituation.getState().current.configuration, propeller },
        },
        document,
        ends,
      ),
    [departure, runwayId, mass_kg, air, wind, pilot, plan, propeller, document, ends],
  );
}
