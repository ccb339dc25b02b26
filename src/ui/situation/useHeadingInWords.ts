"use client";
import { useCallback } from "react";
import { threeFigures } from "@/core/quantities/angle";
import { useVariation } from "./useVariation";

/** A true direction as the compass shows it, "243° magnetic"; true, and called so, until the variation is known. */
export function useHeadingInWords(): (true_rad: number) => string {
  const variation_rad = useVariation()?.variation_rad ?? null;
  return useCallback(
    (true_rad) =>
      variation_rad === null
        ? `${threeFigures(true_rad)}° true`
        : `${threeFigures(true_rad - variation_rad)}° magnetic`,
    [variation_rad],
  );
}
