// Work that is not saved yet, kept in the browser so that a reload or a dead database loses nothing.
import type { SituationDocument } from "@/core/situation/situation-document";
import { readSituation } from "@/core/situation/situation-versions";

/** Unsaved work. */
export interface Draft {
  /** Of the stored situation that it was made from; null in drafts of an older program. */
  readonly version: number | null;
  readonly document: SituationDocument;
  /** It was to be saved when nothing could be. */
  readonly asked: boolean;
}

const key = (id: string) => `utrimax:draft:${id}`;

/** What was left unsaved of a situation in this browser; a damaged draft counts as none. */
export function draftOf(id: string): Draft | undefined {
  const stored = localStorage.getItem(key(id));
  if (!stored) return undefined;
  try {
    const kept: { version?: unknown; document?: unknown; asked?: unknown } = JSON.parse(stored);
    const read = readSituation(kept.document ?? kept);
    if (!read.ok) return undefined;
    const version = kept.document && typeof kept.version === "number" ? kept.version : null;
    return { version, document: read.value, asked: kept.asked === true };
  } catch {
    return undefined;
  }
}

/** Keeps unsaved work, or forgets it once it is saved. */
export function keepDraft(id: string, draft: Draft | null): void {
  if (draft) localStorage.setItem(key(id), JSON.stringify(draft));
  else localStorage.removeItem(key(id));
}
