"use client";
import { useMemo } from "react";
import { type Outcome, failure } from "@/core/outcome";
import { type SeriesResult, seriesResult } from "@/core/series/series-result";
import { type TestCard } from "@/core/series/test-card";
import { TestCardOfAnyVersion } from "@/core/series/test-card-versions";
import { issuesOf } from "@/core/outcome";

/** A card beside its prediction: some milliseconds, so at once. Null without a card. */
export function useSeries(card: TestCard | null): Outcome<SeriesResult> | null {
  return useMemo(() => {
    if (!card) return null;
    const sound = TestCardOfAnyVersion.safeParse(card);
    if (sound.success) return seriesResult(sound.data);
    const [{ message, path }] = issuesOf(sound.error);
    return failure("card_invalid", message, path);
  }, [card]);
}
