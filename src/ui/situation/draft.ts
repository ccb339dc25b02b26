// Work that is not saved yet, kept in the browser so that a reload or a dead database loses nothing.
import type { SituationDocument } from "@/core/situation/situation-document";
import { readSituation } from "@/core/situation/situation-versions";

const key = (id: string) => `utrimax:draft:${id}`;

/** What was left unsaved of a situation in this browser; a damaged draft counts as none. */
export function draftOf(id: string): SituationDocument | undefined {
  const stored = localStorage.getItem(key(id));
  if (!stored) return undefined;
  try {
    const read = readSituation(JSON.parse(stored));
    return read.ok ? read.value : undefined;
  } catch {
    return undefined;
  }
}

/** Keeps unsaved work, or forgets it once it is saved. */
export function keepDraft(id: string, document: SituationDocument | null): void {
  if (document) localStorage.setItem(key(id), JSON.stringify(document));
  else localStorage.removeItem(key(id));
}
