"use client";
import { useCallback } from "react";
import { formatSi } from "@/core/quantities/units";
import { useAircraft } from "./useAircraft";
import { useUnits } from "@/ui/kit/units/units-store";

/** Formats an airspeed in the user's unit and, where the aircraft's instrument shows another, in that one too. */
export function useAirspeed(): (speed_mps: number) => string {
  const unit = useUnits((state) => state.units.speed);
  const { speedUnit } = useAircraft().document;
  return useCallback(
    (speed_mps: number) =>
      speedUnit === unit
        ? formatSi("speed", unit, speed_mps)
        : `${formatSi("speed", speedUnit, speed_mps)} (${formatSi("speed", unit, speed_mps)})`,
    [speedUnit, unit],
  );
}
