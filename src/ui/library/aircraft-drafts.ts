// Aircraft being changed and not saved yet, by id; kept in the browser, so that a reload or a dead database loses
// nothing.
import { temporal } from "zundo";
import { create } from "zustand";
import { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { upgradedAircraft } from "@/core/aircraft/aircraft-versions";
import { z } from "zod";
import { keptAs } from "@/ui/kit/kept";
import { undoGroups } from "@/ui/kit/undo-groups";

/** A draft of an aircraft that has no id yet. */
export const NEW_ID = "new";

interface DraftsState {
  readonly drafts: Readonly<Record<string, AircraftDocument>>;
  /** The version of the stored aircraft that each draft was begun on. */
  readonly bases: Readonly<Record<string, number>>;
  put(id: string, document: AircraftDocument, version: number): void;
  drop(id: string): void;
}

const groups = undoGroups();

const KEY = "aircraft-drafts";
const BASES_KEY = "aircraft-draft-versions";

/** The store; `useDrafts.temporal` undoes and redoes. */
export const useDrafts = create<DraftsState>()(
  temporal(
    (set) => ({
      drafts: {},
      bases: {},
      put: (id, document, version) =>
        set(({ drafts, bases }) => ({
          drafts: { ...drafts, [id]: document },
          bases: drafts[id] === undefined ? { ...bases, [id]: version } : bases,
        })),
      drop: (id) =>
        set((state) => ({ drafts: Object.fromEntries(Object.entries(state.drafts).filter(([key]) => key !== id)) })),
    }),
    {
      partialize: ({ drafts }) => ({ drafts }),
      equality: (a, b) => a.drafts === b.drafts,
      limit: 200,
      handleSet: (handleSet) => groups.grouped(handleSet as (...args: unknown[]) => void) as typeof handleSet,
    },
  ),
);

/**
 * Figures outside their range, or against each other, are what drafts are for, and what a type does not know of; all
 * else has to be right.
 */
const DRAFTED = ["too_small", "too_big", "custom"];

function isDraft(value: unknown): value is AircraftDocument {
  const parsed = AircraftDocument.safeParse(value);
  return parsed.success || parsed.error.issues.every(({ code }) => DRAFTED.includes(code));
}

/** Until drafts were kept by account they were nobody's: whoever comes first takes them. */
function takeOfNobody(): string | null {
  const key = "utrimax:aircraft-drafts";
  const stored = localStorage.getItem(key);
  localStorage.removeItem(key);
  return stored;
}

/** Takes up what was left in this browser, and keeps what is changed from now on. Damaged drafts count as none. */
export function keepDrafts(): () => void {
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(keptAs(KEY)) ?? takeOfNobody() ?? "{}");
    if (typeof stored === "object" && stored !== null && Object.keys(useDrafts.getState().drafts).length === 0) {
      const drafts = Object.entries(stored).flatMap(([id, value]) => {
        const upgraded = upgradedAircraft(value);
        return isDraft(upgraded) ? [[id, upgraded] as const] : [];
      });
      const bases = z
        .record(z.string(), z.number())
        .safeParse(JSON.parse(localStorage.getItem(keptAs(BASES_KEY)) ?? "{}"));
      if (drafts.length > 0)
        useDrafts.setState({ drafts: Object.fromEntries(drafts), bases: bases.success ? bases.data : {} });
    }
  } catch {
    localStorage.removeItem(keptAs(KEY));
  }
  forgetHistory();
  return useDrafts.subscribe(({ drafts, bases }) => {
    localStorage.setItem(keptAs(KEY), JSON.stringify(drafts));
    localStorage.setItem(keptAs(BASES_KEY), JSON.stringify(bases));
  });
}

/**
 * Takes note that a draft was saved. What was typed while it was being saved stays a draft: of the aircraft under which
 * it was saved.
 *
 * @param document - what was saved
 * @param savedAs - the id that it has now
 * @param version - the version that it has now
 */
export function draftSaved(id: string, document: AircraftDocument, savedAs: string, version: number): void {
  const { drafts, put, drop } = useDrafts.getState();
  const draft = drafts[id];
  if (draft === undefined) return;
  if (draft === document) {
    drop(id);
    forgetHistory();
  } else if (savedAs === id) useDrafts.setState(({ bases }) => ({ bases: { ...bases, [id]: version } }));
  else {
    put(savedAs, draft, version);
    drop(id);
    forgetHistory();
  }
}

/** The changes of aircraft that can be undone; null when there are none. */
export function aircraftHistory() {
  const changes = useDrafts.temporal.getState();
  return changes.pastStates.length + changes.futureStates.length > 0 ? changes : null;
}

/** What was changed before cannot be undone any more, and the next change is a step of its own. */
export function forgetHistory(): void {
  useDrafts.temporal.getState().clear();
  groups.end();
}
