"use client";
import { useMemo } from "react";
import { type BriefSentence, departureBrief } from "@/core/departure/brief";
import { bandsOf } from "@/core/departure/scan";
import { useUnits } from "@/ui/kit/units/units-store";
import { currentChance, useDeparture } from "@/ui/answers/departure-store";

/** The brief of the present answers; null until the chance is known. */
export function useDepartureBrief(): BriefSentence[] | null {
  const scan = useDeparture((state) => state.scan);
  const chance = useDeparture(currentChance);
  const units = useUnits((state) => state.units);
  return useMemo(() => {
    if (!scan || !chance) return null;
    const stops = bandsOf(
      scan.ahead.map(({ height_m, options }) => ({
        height_m,
        score_m: options.find((option) => option.id === "stop")?.score_m ?? null,
      })),
    );
    const { climbEas_mps, bestEas_mps, stallEas_mps } = scan.facts;
    return departureBrief(
      {
        runwayName: scan.question.runway.name,
        plan: scan.question.plan,
        climbEas_mps,
        bestEas_mps,
        stallEas_mps,
        gates: chance.gates,
        bands: scan.bands,
        stopUntil_m: stops[0]?.to_m ?? null,
        ahead: scan.ahead,
        atGate: chance.atGate,
        chance: chance.chanceAtGate,
        calibration: scan.question.aircraft.airspeedCalibration,
      },
      units,
    );
  }, [scan, chance, units]);
}
