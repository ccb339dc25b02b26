"use client";
import { useMemo } from "react";
import { exposureQuestion } from "@/core/debrief/asked-exposure";
import type { Exposure } from "@/core/debrief/exposure";
import type { ExposureQuestion } from "@/core/debrief/exposure-question";
import type { LatLon } from "@/core/earth/geodesic";
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
  const asked = useMemo((): ExposureAsked | null => {
    if (!wanted || !open?.found || !open.log.aircraft) return null;
    const { log, found } = open;
    const question = exposureQuestion(log, open.log.aircraft, found, { air, pilot, plan, landing, route }, places);
    return { question, origin };
  }, [wanted, open, air, pilot, plan, landing, route, places, origin]);
  return useAnswer(asked, ask, "cover");
}
