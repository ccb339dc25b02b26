"use client";
import { useCallback } from "react";
import { airspeedInWords, indicated_mps } from "@/core/aircraft/airspeed-calibration";
import { formatSi } from "@/core/quantities/units";
import { useAircraft } from "./useAircraft";
import { useUnits } from "@/ui/kit/units/units-store";

/**
 * Formats an airspeed as the aircraft's indicator shows it, and in the user's unit where the instrument has another.
 *
 * @param speed_mps - equivalent, taken as calibrated: they differ by less than a knot at a light aeroplane's heights
 */
export function useAirspeed(): (speed_mps: number) => string {
  const unit = useUnits((state) => state.units.speed);
  const { speedUnit, airspeedCalibration } = useAircraft().document;
  return useCallback(
    (speed_mps: number) => {
      const shown = airspeedInWords(airspeedCalibration, speedUnit, speed_mps);
      return speedUnit === unit
        ? shown
        : `${shown} (${formatSi("speed", unit, indicated_mps(airspeedCalibration, speed_mps))})`;
    },
    [speedUnit, airspeedCalibration, unit],
  );
}
