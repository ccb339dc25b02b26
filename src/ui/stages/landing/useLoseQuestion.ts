"use client";
import { useMemo } from "react";
import type { LoseQuestion } from "@/core/landing/lose-question";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";
import { shownEnd, useReach } from "@/ui/answers/reach-store";
import { useShownPlace } from "./useKeys";

/** What the situation asks about height that is too much on the way to the place shown; null without a place. */
export function useLoseQuestion(height_m: number, lose_m: number, eas_mps: number | null = null): LoseQuestion | null {
  const { document } = useAeroplane();
  const { mass_kg, configuration, air, pilot, landing } = useSituation((state) => state.current);
  const end = useShownPlace();
  const tailwind_mps = useReach((state) => shownEnd(state)?.tailwind_mps ?? 0);
  return useMemo(
    () =>
      end && {
        aircraft: document,
        mass_kg,
        configuration,
        air,
        elevation_m: end.elevation_m,
        height_m,
        lose_m,
        tailwind_mps,
        eas_mps,
        bank_rad: pilot.bank_rad,
        stallMargin: pilot.stallMargin,
        allowed: landing.allowed,
        turnFloor_m: landing.turnFloor_m,
        certain_m: landing.certain_m,
      },
    [
      end,
      document,
      mass_kg,
      configuration,
      air,
      height_m,
      lose_m,
      tailwind_mps,
      eas_mps,
      pilot.bank_rad,
      pilot.stallMargin,
      landing.allowed,
      landing.turnFloor_m,
      landing.certain_m,
    ],
  );
}
