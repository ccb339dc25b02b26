"use client";
import { useMemo } from "react";
import { create } from "zustand";
import type { EnvelopeQuestion, OneEngineEnvelope } from "@/core/rotor/one-engine-envelope";
import { type Answer, asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { useHelicopter } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";

/** The rating that is looked at, an index; null for the one without a limit, the last. */
export const useEnvelopeRating = create<{ rating: number | null; choose(rating: number): void }>()((set) => ({
  rating: null,
  choose: (rating) => set({ rating }),
}));

const envelope = asking(
  "pointed",
  (core, question: EnvelopeQuestion) => core.oneEngineEnvelope(question),
  ({ aircraft }) => JSON.stringify(aircraft),
);

/** Level flight on one engine over altitude. */
export function useEnvelope(): Answer<EnvelopeQuestion, OneEngineEnvelope> & { readonly asked: EnvelopeQuestion } {
  const { document } = useHelicopter();
  const { mass_kg, air } = useSituation((state) => state.current);
  const chosen = useEnvelopeRating((state) => state.rating);
  const last = document.engines.ratings.length - 1;
  const rating = Math.min(chosen ?? last, last);
  const asked = useMemo(() => ({ aircraft: document, mass_kg, air, rating }), [document, mass_kg, air, rating]);
  return { ...useKept(envelope, asked), asked };
}
