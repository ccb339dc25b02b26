"use client";
import { useMemo } from "react";
import { create } from "zustand";
import type { LatLon } from "@/core/earth/geodesic";
import { endsWithinGlide } from "@/core/landing/ends-within-glide";
import { type RotorEnd, type RotorReachQuestion, rotorReachQuestion } from "@/core/landing/rotor-reach";
import { failure } from "@/core/outcome";
import { type Answer, asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import type { WorkingSource } from "@/ui/kit/working/working-store";
import { useRotorcraft } from "@/ui/situation/useAircraftOfKind";
import { useLandingEnds } from "@/ui/situation/useNearPlaces";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { useSituation } from "@/ui/situation/situation-store";

interface Looked {
  /** The end that was picked; null follows the best. */
  readonly pinnedId: string | null;
  /** Index of the ledger block that is pointed at. */
  readonly pointedEntry: number | null;
  /** The way to a spot that was picked; null follows the first. */
  readonly pinnedWay: string | null;
  pin(endId: string | null): void;
  pinWay(name: string): void;
  point(entry: number | null): void;
}

/** What is looked at among the places of a rotorcraft. */
export const useRotorLooked = create<Looked>()((set) => ({
  pinnedId: null,
  pointedEntry: null,
  pinnedWay: null,
  pinWay: (pinnedWay) => set({ pinnedWay }),
  pin: (pinnedId) => set({ pinnedId, pointedEntry: null }),
  point: (pointedEntry) => set({ pointedEntry }),
}));

/** A question about places, and the plane that the ways are drawn in. */
export interface RotorPlacesAsked {
  readonly question: RotorReachQuestion;
  readonly origin: LatLon;
}

const places = asking(
  "pointed",
  (core, { question, origin }: RotorPlacesAsked) => core.rotorLanding(question, origin),
  ({ question }) => JSON.stringify(question.aircraft),
);

/** Ways to every landing end near, with the room on each; for helicopters and gyroplanes. */
export function useRotorPlaces(): Answer<RotorPlacesAsked, RotorEnd[]> & { readonly asked: RotorPlacesAsked } {
  const situation = useSituation((state) => state.current);
  const { document } = useRotorcraft();
  const ends = useLandingEnds();
  const origin = usePlaneOrigin();
  const asked = useMemo(() => {
    const { position, altitude_m } = situation;
    return { question: rotorReachQuestion(situation, document, endsWithinGlide(ends, position, altitude_m)), origin };
  }, [situation, document, ends, origin]);
  return { ...useKept(places, asked), asked };
}

/** The end that is looked at: the picked one, otherwise the best. */
export function shownOf(ends: readonly RotorEnd[] | null, pinnedId: string | null): RotorEnd | null {
  return ends?.find(({ end }) => end.id === pinnedId) ?? ends?.[0] ?? null;
}

/** How the figures of a rotorcraft's way to an end come about. */
export function workingOfRotorEnd({ question, origin }: RotorPlacesAsked, endId: string): WorkingSource {
  return {
    ask: (core) =>
      question.ends.some(({ id }) => id === endId)
        ? core.rotorWorking(question, origin, endId)
        : Promise.resolve(failure("no_answer", "The answer that this figure belonged to is no longer there.")),
  };
}
