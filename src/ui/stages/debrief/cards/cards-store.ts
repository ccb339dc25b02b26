// Test cards: the one that is open, and what is done with it.
import { toast } from "sonner";
import { create } from "zustand";
import { filledCard } from "@/core/series/fill-card";
import type { CardRun } from "@/core/series/test-card";
import { TestCardOfAnyVersion } from "@/core/series/test-card-versions";
import { ownDocumentsStore } from "@/ui/library/own/own-documents-store";
import { readKept } from "../debrief-store";
import { useMarks } from "./marks-store";

/** Test cards of the account; kept in the browser, for they are marked where there is no network. */
export const useCards = ownDocumentsStore("/api/test-cards", TestCardOfAnyVersion, "test-cards");

/** How a card is looked at. */
export type CardMode = "result" | "plan" | "mark";

interface CardLook {
  readonly mode: CardMode;
  /** Run that is looked at, by its id; null for none. */
  readonly run: string | null;
}

/** @see CardLook */
export const useCardLook = create<CardLook>()(() => ({ mode: "result", run: null }));

/** Opens a card, or the first that there is. */
export function openCard(id: string | null): void {
  const { own, edit } = useCards.getState();
  const found = own?.find((card) => card.id === id) ?? own?.at(0);
  if (found) edit(found.document, found);
  useCardLook.setState({ run: null, mode: "result" });
}

/** Adds the runs of a kept log to the card that is open. The first log says what day it was. */
export async function fillFrom(logId: string): Promise<void> {
  const read = await readKept(logId);
  const { draft: card, change } = useCards.getState();
  if (!read || !card) return;
  const { log, found } = read;
  const marks = useMarks.getState().of[card.id] ?? [];
  const filled = filledCard(
    card,
    {
      id: logId,
      name: log.name,
      begins_s: found.summary.begins_s,
      flights: found.flights,
      drawn: found.drawn,
      holes: found.holes,
      airKnown: found.airKnown,
      mass_kg: log.mass_kg,
      deviation_K: log.deviation_K,
    },
    marks,
    () => crypto.randomUUID(),
  );
  const added = filled.runs.length - card.runs.length;
  if (added === 0)
    return void toast(
      card.kind === "half-turn"
        ? "No half turn with the engine idle or off is found in this log that the card does not have."
        : "No glide of half a minute is found in this log that the card does not have.",
    );
  const first = card.runs.length === 0;
  change({
    ...filled,
    ...(first ? { mass_kg: log.mass_kg, ...(log.deviation_K === null ? {} : { deviation_K: log.deviation_K }) } : {}),
  });
  const other =
    log.aircraft !== null && log.aircraft.name !== card.aircraft.name ? ` It was flown with ${log.aircraft.name}.` : "";
  toast(
    `${added} ${added === 1 ? "run" : "runs"} of ${log.name}.${first ? " Mass and air are that day’s." : ""}${other}`,
  );
}

/** Changes one run of the card that is open. */
export function changeRun(id: string, change: Partial<CardRun>): void {
  const { draft, change: put } = useCards.getState();
  if (draft) put({ ...draft, runs: draft.runs.map((run) => (run.id === id ? { ...run, ...change } : run)) });
}

/** Takes one run off the card. */
export function removeRun(id: string): void {
  const { draft, change } = useCards.getState();
  if (draft) change({ ...draft, runs: draft.runs.filter((run) => run.id !== id) });
  useCardLook.setState({ run: null });
}
