// Moments of a run marked by hand: kept in the browser at once, sent when the server can be reached, and merged with
// what other devices have marked.
import { create } from "zustand";
import { z } from "zod";
import { mergedMarks } from "@/core/series/merged-marks";
import { CardMark } from "@/core/series/test-card";
import { keptAs } from "@/ui/kit/kept";
import { send } from "@/ui/kit/request";

interface MarksState {
  /** By card. */
  readonly of: Readonly<Record<string, readonly CardMark[]>>;
  /** Of the open card, not sent yet. */
  readonly waiting: number;
  /** Why the server did not take them; null where it did, or is away. */
  readonly fault: string | null;
}

/** @see MarksState */
export const useMarks = create<MarksState>()(() => ({ of: {}, waiting: 0, fault: null }));

/** Most that are sent at once. */
const TOGETHER = 100;

const Kept = z.array(CardMark).max(1200);
const keyOf = (cardId: string, what: "marks" | "unsent") => keptAs(`card-${what}:${cardId}`);

function kept(cardId: string, what: "marks" | "unsent"): CardMark[] {
  try {
    const read = Kept.safeParse(JSON.parse(localStorage.getItem(keyOf(cardId, what)) ?? "[]"));
    return read.success ? read.data : [];
  } catch {
    return [];
  }
}

function keep(cardId: string, marks: readonly CardMark[], unsent: readonly CardMark[]): void {
  localStorage.setItem(keyOf(cardId, "marks"), JSON.stringify(marks));
  localStorage.setItem(keyOf(cardId, "unsent"), JSON.stringify(unsent));
  useMarks.setState(({ of }) => ({ of: { ...of, [cardId]: marks }, waiting: unsent.length }));
}

/** Marks something, or takes a mark back. */
export function putMark(cardId: string, mark: CardMark): void {
  keep(cardId, mergedMarks(kept(cardId, "marks"), [mark]), mergedMarks(kept(cardId, "unsent"), [mark]));
  void syncMarks(cardId);
}

let syncing = false;

/** Sends what waits and brings what others have marked; nothing is lost while the server is away. */
export async function syncMarks(cardId: string): Promise<void> {
  keep(cardId, kept(cardId, "marks"), kept(cardId, "unsent"));
  if (syncing) return;
  syncing = true;
  try {
    // What was marked while the others were under way is sent after them.
    while ((await sent(cardId)) && kept(cardId, "unsent").length > 0);
  } finally {
    syncing = false;
  }
}

/** Sends some, and takes what all devices have marked. @returns whether the server took them */
async function sent(cardId: string): Promise<boolean> {
  const some = kept(cardId, "unsent").slice(0, TOGETHER);
  const answer = await send<{ marks: CardMark[] }>("POST", `/api/test-cards/${cardId}/marks`, { marks: some });
  if (!answer.ok) {
    useMarks.setState({ fault: answer.away ? null : answer.issues.map(({ message }) => message).join(" ") });
    return false;
  }
  const left = kept(cardId, "unsent").filter(
    (mark) => !some.some(({ id, removed }) => id === mark.id && removed === mark.removed),
  );
  keep(cardId, mergedMarks(kept(cardId, "marks"), answer.value.marks), left);
  useMarks.setState({ fault: null });
  return true;
}
