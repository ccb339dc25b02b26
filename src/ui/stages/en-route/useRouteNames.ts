"use client";
import { useMemo } from "react";
import { useSituation } from "@/ui/situation/situation-store";

/** Names of the points that the route leads over, by distance. @param flown - points of the flight in their order */
export function useRouteNames(
  flown: readonly { readonly leg: number; readonly distance_m: number }[],
): { name: string; distance_m: number }[] {
  const points = useSituation((state) => state.current.route.points);
  return useMemo(() => {
    const last = flown[flown.length - 1];
    return points.flatMap(({ name }, i) => {
      const point = i === points.length - 1 ? last : flown.find(({ leg }) => leg === i);
      return point ? [{ name, distance_m: point.distance_m }] : [];
    });
  }, [points, flown]);
}
