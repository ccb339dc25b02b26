"use client";
import type { LatLon } from "@/core/earth/geodesic";
import type { MagneticVariation } from "@/core/earth/magnetic-variation";
import { success } from "@/core/outcome";
import type { Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useSituation } from "./situation-store";

/** The variation changes by less than a hundredth of a degree over this, degrees of position. */
const STEP_DEG = 0.02;

const askVariation: Ask<{ place: LatLon; day: string }, MagneticVariation> = async (core, { place, day }) =>
  success(await core.variation(place, day));

/** Magnetic variation where and when the situation is; null until it is known. */
export function useVariation(): MagneticVariation | null {
  const { position, day } = useSituation((state) => state.current);
  const [latitude_deg, longitude_deg] = [position.latitude_deg, position.longitude_deg].map(
    (angle) => Math.round(angle / STEP_DEG) * STEP_DEG,
  );
  return useAnswer({ place: { latitude_deg, longitude_deg }, day }, askVariation, "pointed").value;
}
