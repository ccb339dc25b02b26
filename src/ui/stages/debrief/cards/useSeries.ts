"use client";
import { type Outcome, failure, issuesOf } from "@/core/outcome";
import { type SeriesResult, seriesResult } from "@/core/series/series-result";
import type { TestCard } from "@/core/series/test-card";
import { TestCardOfAnyVersion } from "@/core/series/test-card-versions";

/** By card, which is never changed but replaced: two views that show one ask once. */
const known = new WeakMap<TestCard, Outcome<SeriesResult>>();

/** Words that are still to be written are nothing to the prediction. */
const WORDS = { name: "card", task: "task", rules: [], marks: ["mark"] };

function computed(card: TestCard): Outcome<SeriesResult> {
  const sound = TestCardOfAnyVersion.safeParse({ ...card, ...WORDS });
  if (sound.success) return seriesResult(sound.data);
  const [{ message, path }] = issuesOf(sound.error);
  return failure("card_invalid", message, path);
}

/** A card beside its prediction: some milliseconds, so at once. Null without a card. */
export function useSeries(card: TestCard | null): Outcome<SeriesResult> | null {
  if (!card) return null;
  const answer = known.get(card) ?? computed(card);
  known.set(card, answer);
  return answer;
}
