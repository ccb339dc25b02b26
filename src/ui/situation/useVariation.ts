"use client";
import { useCallback, useMemo } from "react";
import type { MagneticVariation } from "@/core/earth/magnetic-variation";
import { core } from "@/ui/core/core";
import { useAsked } from "@/ui/core/useAsked";
import { useSituation } from "./situation-store";

/** The variation changes by less than a hundredth of a degree over this, degrees of position. */
const STEP_DEG = 0.02;

/** Magnetic variation where and when the situation is; null until it is known. */
export function useVariation(): MagneticVariation | null {
  const { position, day } = useSituation((state) => state.current);
  const [latitude_deg, longitude_deg] = [position.latitude_deg, position.longitude_deg].map(
    (angle) => Math.round(angle / STEP_DEG) * STEP_DEG,
  );
  const place = useMemo(() => ({ latitude_deg, longitude_deg }), [latitude_deg, longitude_deg]);
  const ask = useCallback(() => core().variation(place, day), [place, day]);
  return useAsked(ask);
}
