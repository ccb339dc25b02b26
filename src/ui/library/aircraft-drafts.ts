// Aircraft being changed and not saved yet, by id; kept in the browser, so that a reload or a dead database loses
// nothing.
import { temporal } from "zundo";
import { create } from "zustand";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
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
