"use client";
import { useMemo } from "react";
import { windProfile } from "@/core/air/wind";
import { type Ditching, type DitchingQuestion, ditching } from "@/core/landing/ditching";
import type { Outcome } from "@/core/outcome";
import { wrapTurn } from "@/core/quantities/angle";
import { useAircraft } from "@/ui/shell/library";
import { useSituation } from "@/ui/situation/situation-store";

/** Height of the wind over the water, m. */
const WIND_M = 10;

/** The ditching that the situation asks for: wind at the water, swells as set. */
export function useDitching(): { question: DitchingQuestion; answer: Outcome<Ditching> } {
  const { document } = useAircraft();
  const { mass_kg, configuration, air, wind, landing } = useSituation((state) => state.current);
  return useMemo(() => {
    const profile = windProfile(wind, 0);
    const { east_mps, north_mps } = profile.ok ? profile.value(WIND_M) : { east_mps: 0, north_mps: 0 };
    const question: DitchingQuestion = { aircraft: document, mass_kg, configuration, air, windFrom_rad: wrapTurn(Math.atan2(-east_mps, -north_mps)), wind_mps: Math.hypot(east_mps, north_mps), swells: landing.swells, flap: landing.flap };
    return { question, answer: profile.ok ? ditching(question) : profile };
  }, [document, mass_kg, configuration, air, wind, landing.swells, landing.flap]);
}
