"use client";
import { useMemo } from "react";
import { departureRunways } from "@/core/departure/departure-question";
import { windProfile } from "@/core/air/wind";
import { type LocalPlane, localPlane } from "@/core/earth/local-plane";
import { type Place, isAerodrome } from "@/core/places/place";
import { useGroundOrNearest_m } from "@/ui/situation/ground-at";
import { useSituation } from "@/ui/situation/situation-store";
import { useLandingEnds, useNearPlaces } from "@/ui/situation/useNearPlaces";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { useTerrain } from "@/ui/kit/lanes/terrain";
import { useFly } from "./fly-store";

/** Runway ends that a take-off may begin from, the nearest first; so many at most. */
const MOST_ENDS = 14;

/** Fields this near have their edges drawn, m; so many at most. */
const [EDGES_M, MOST_EDGES] = [12_000, 30];

/** Edges of surveyed fields and waters about a place: north and east in turn, m, back to where they began. */
function outlinesOf(
  places: readonly Place[],
  plane: LocalPlane,
  about: { readonly x_m: number; readonly y_m: number },
): readonly (readonly number[])[] {
  return places
    .flatMap((place) => (isAerodrome(place) || !place.outline ? [] : [place.outline.map((at) => plane.toPlane(at))]))
    .filter(([first]) => Math.hypot(first.x_m - about.x_m, first.y_m - about.y_m) < EDGES_M)
    .slice(0, MOST_EDGES)
    .map((corners) => [...corners, corners[0]].flatMap(({ x_m, y_m }) => [y_m, x_m]));
}

/** Everything that a flight is set up from. */
export function useFlySet() {
  const situation = useSituation((state) => state.current);
  const terrainOrigin = useTerrain((state) => state.grid?.origin ?? null);
  const own = usePlaneOrigin();
  const ground_m = useGroundOrNearest_m();
  const all = useLandingEnds();
  const choice = useFly((state) => state.choice);
  // The ground's own plane, where there is ground: heights are read in it.
  const origin = terrainOrigin ?? own;
  const plane = useMemo(() => localPlane(origin), [origin]);
  const ends = useMemo(() => {
    const here = plane.toPlane(situation.position);
    return all
      .map((end) => ({ end, at: plane.toPlane(end.threshold) }))
      .map(({ end, at }) => ({ end, away_m: Math.hypot(at.x_m - here.x_m, at.y_m - here.y_m) }))
      .filter(({ away_m }) => away_m < 60_000)
      .toSorted((a, b) => a.away_m - b.away_m)
      .map(({ end }) => end);
  }, [all, plane, situation.position]);
  const places = useNearPlaces();
  const outlines = useMemo(
    () => outlinesOf(places, plane, plane.toPlane(situation.position)),
    [places, plane, situation.position],
  );
  const runways = useMemo(() => ends.filter(({ unprepared }) => !unprepared).slice(0, MOST_ENDS), [ends]);
  const wind = useMemo(() => {
    const profile = windProfile(situation.wind, ground_m);
    return profile.ok ? profile.value(ground_m + 10) : { east_mps: 0, north_mps: 0 };
  }, [situation.wind, ground_m]);
  const departs = useMemo(
    () =>
      ends.find(({ id }) => id === situation.departure.endId) ??
      departureRunways({ position: situation.position, wind: situation.wind }, [...ends])[0] ??
      null,
    [ends, situation.departure.endId, situation.position, situation.wind],
  );
  return { situation, plane, ends, outlines, runways, departs, ground_m, wind, choice };
}

/** @see useFlySet */
export type FlySet = ReturnType<typeof useFlySet>;
