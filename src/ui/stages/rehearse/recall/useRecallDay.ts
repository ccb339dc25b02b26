"use client";
import { useEffect, useMemo, useState } from "react";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { Procedure } from "@/core/procedure/procedure";
import { type CardReview, type RecallDay, type recallDay } from "@/core/recall/recall-day";
import { useLibraryAircraft } from "@/ui/library/library-aircraft";
import { useSituation } from "@/ui/situation/situation-store";
import type { Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { useProcedures } from "@/ui/library/own/own-documents";
import { useReviews } from "./reviews-store";

interface Asked {
  readonly fleet: Parameters<typeof recallDay>[0];
  readonly reviews: readonly CardReview[];
  readonly now_ms: number;
  readonly dayEnd_ms: number;
  readonly own: readonly Procedure[];
}

const askDay: Ask<Asked, RecallDay> = (core, { fleet, reviews, now_ms, dayEnd_ms, own }) =>
  core.recallDay(fleet, reviews, now_ms, dayEnd_ms, own);

/** The clock is looked at so often, ms: what was missed comes back in minutes. */
const LOOK_MS = 60_000;

/** Today’s cards: of the aircraft flown, then of one’s own and those asked before; null until they have come. */
export function useRecallDay(): RecallDay | null {
  const reviews = useReviews((state) => state.reviews);
  const procedures = useProcedures((state) => state.own);
  const aircraftId = useSituation((state) => state.current.aircraftId);
  const library = useLibraryAircraft();
  const [now_ms, setNow] = useState(() => Date.now());
  useEffect(() => {
    void useReviews.getState().load();
    void useProcedures.getState().load();
    const timer = setInterval(() => setNow(Date.now()), LOOK_MS);
    return () => clearInterval(timer);
  }, []);
  const asked = useMemo(() => {
    if (!reviews || !procedures) return null;
    const flown = library.filter(({ id }) => id === aircraftId);
    const askedBefore = new Set(reviews.map(({ card }) => card.split("/")[0]));
    const others = library.filter(({ id, shared }) => id !== aircraftId && (!shared || askedBefore.has(id)));
    const fleet: readonly { id: string; document: AircraftDocument }[] = [...flown, ...others].map(
      ({ id, document }) => ({ id, document }),
    );
    // What was answered just now has been, whatever the clock said a moment ago.
    const at_ms = Math.max(now_ms, ...reviews.map((review) => review.at_ms));
    return {
      fleet,
      reviews: reviews.map(({ card, at_ms: when, grade }) => ({ card, at_ms: when, grade })),
      now_ms: at_ms,
      dayEnd_ms: new Date(at_ms).setHours(24, 0, 0, 0),
      own: procedures.map(({ document }) => document),
    };
  }, [reviews, procedures, aircraftId, library, now_ms]);
  return useAnswer(asked, askDay, "long").value;
}
