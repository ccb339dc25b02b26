"use client";
import { useMemo } from "react";
import { type LatLon, geodesicBetween } from "@/core/earth/geodesic";
import { type LandingEnd, landingEnds } from "@/core/landing/landing-end";
import { type Place, isAerodrome, positionOf } from "@/core/places/place";
import { faultOfPlace } from "@/ui/library/place-fault";
import { usePlacesStore } from "@/ui/library/places-store";
import type { StoredPlace } from "@/server/places";
import { useWorkspace } from "@/ui/library/workspace";
import { usePlaneOrigin } from "./usePlaneOrigin";

/** Places farther from the middle of the working plane than this are of another part of the world, m. */
const NEAR_M = 150_000;
/** Of more places than these the nearest count: no more can be looked at in the time of a drag. */
const MOST = 200;

/** Sound places of one's own and of the shared library, those near the aircraft, the nearest first. */
export function useNearPlaces(): readonly Place[] {
  return useNear().places;
}

function useNear(): Near {
  const { places: stored } = useWorkspace().library;
  const own = usePlacesStore((state) => state.places);
  const origin = usePlaneOrigin();
  return near(own, stored, origin);
}

interface Near {
  readonly own: readonly Place[];
  readonly stored: readonly StoredPlace[];
  readonly origin: LatLon;
  readonly places: readonly Place[];
  readonly ends: LandingEnd[];
}

/** Worked out once for all that ask. */
let last: Near | null = null;

function near(own: readonly Place[], stored: readonly StoredPlace[], origin: LatLon): Near {
  if (last && last.own === own && last.stored === stored && samePlace(last.origin, origin)) return last;
  const lent = stored.flatMap(({ shared, document }) => (shared ? [document] : []));
  const places = [...own.filter((place) => faultOfPlace(place) === null), ...lent]
    .map((place) => ({ place, away_m: geodesicBetween(origin, positionOf(place)).distance_m }))
    .filter(({ away_m }) => away_m <= NEAR_M)
    .sort((a, b) => a.away_m - b.away_m)
    .slice(0, MOST)
    .map(({ place }) => place);
  last = { own, stored, origin, places, ends: landingEnds(places) };
  return last;
}

const samePlace = (a: LatLon, b: LatLon) => a.latitude_deg === b.latitude_deg && a.longitude_deg === b.longitude_deg;

/** Every end near the aircraft that can be landed on. */
export function useLandingEnds(): LandingEnd[] {
  return useNear().ends;
}

/** Aerodromes and helipads near the aircraft. */
export function useAerodromes() {
  const places = useNearPlaces();
  return useMemo(() => places.filter(isAerodrome), [places]);
}
