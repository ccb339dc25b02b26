"use client";
import { useMemo } from "react";
import { exposureQuestion } from "@/core/debrief/asked-exposure";
import type { Exposure } from "@/core/debrief/exposure";
import type { ExposureQuestion } from "@/core/debrief/exposure-question";
import { type LatLon, geodesicBetween } from "@/core/earth/geodesic";
import type { Answer, Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useSituation } from "@/ui/situation/situation-store";
import { useNearPlaces } from "@/ui/situation/useNearPlaces";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { useDebrief } from "./debrief-store";

/** What is asked, on which plane. */
export interface ExposureAsked {
  readonly question: ExposureQuestion;
  readonly origin: LatLon;
}

/** Farther from the situation than this a flight has none of its places and none of its terrain, m. */
const FAR_M = 150_000;

/** How far from the situation a log was flown, where that is too far; null where it is near. */
export function useAway_m(): number | null {
  const drawn = useDebrief((state) => state.open?.found?.drawn ?? null);
  const origin = usePlaneOrigin();
  if (!drawn) return null;
  const place = { latitude_deg: drawn.latitude_deg[0], longitude_deg: drawn.longitude_deg[0] };
  const { distance_m } = geodesicBetween(origin, place);
  return distance_m > FAR_M ? distance_m : null;
}

const ask: Ask<ExposureAsked, Exposure> = (core, { question, origin }) => core.exposure(question, origin);

/**
 * Exposure of the log that is open.
 *
 * @param wanted - it is looked at
 */
export function useExposure(wanted: boolean): Answer<ExposureAsked, Exposure> {
  const open = useDebrief((state) => state.open);
  const air = useSituation((state) => state.current.air);
  const pilot = useSituation((state) => state.current.pilot);
  const plan = useSituation((state) => state.current.plan);
  const landing = useSituation((state) => state.current.landing);
  const route = useSituation((state) => state.current.route);
  const places = useNearPlaces();
  const origin = usePlaneOrigin();
  const away = useAway_m() !== null;
  const asked = useMemo((): ExposureAsked | null => {
    if (!wanted || away || !open?.found?.heightKnown || !open.log.aircraft) return null;
    const { log, found } = open;
    const question = exposureQuestion(log, open.log.aircraft, found, { air, pilot, plan, landing, route }, places);
    return { question, origin };
  }, [wanted, away, open, air, pilot, plan, landing, route, places, origin]);
  return useAnswer(asked, ask, "cover");
}
