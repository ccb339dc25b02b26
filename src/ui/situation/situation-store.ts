// The situation being worked on, what of it is saved, and the way back.
import { temporal } from "zundo";
import { create } from "zustand";
import type { SituationDocument } from "@/core/situation/situation-document";

/** How the work stands to what is stored. `away`: the database cannot be reached, the work is kept here and saved later. */
export type SaveState = "saved" | "unsaved" | "saving" | "away";

interface SituationState {
  readonly id: string;
  readonly saved: SituationDocument;
  readonly current: SituationDocument;
  readonly saveState: SaveState;
  /** Opens another situation; the draft, if any, is what was left unsaved in this browser. */
  open(id: string, saved: SituationDocument, draft?: SituationDocument): void;
  change(patch: Partial<SituationDocument> | ((current: SituationDocument) => Partial<SituationDocument>)): void;
  setSaveState(saveState: SaveState): void;
  markSaved(document: SituationDocument): void;
}

/** Changes closer together than this are one step to undo: a drag, a word typed. */
const STEP_MS = 700;

/** Grouping of changes: calls through at the start of a group only. */
function grouped<A extends unknown[]>(call: (...args: A) => void): (...args: A) => void {
  let last = -Infinity;
  return (...args) => {
    const now = performance.now();
    if (now - last > STEP_MS) call(...args);
    last = now;
  };
}

const EMPTY = {} as SituationDocument;

/** The store; `useSituation.temporal` undoes and redoes. */
export const useSituation = create<SituationState>()(
  temporal(
    (set) => ({
      id: "",
      saved: EMPTY,
      current: EMPTY,
      saveState: "saved",
      open: (id, saved, draft) => set({ id, saved, current: draft ?? saved, saveState: draft ? "unsaved" : "saved" }),
      change: (patch) =>
        set((state) => ({
          current: { ...state.current, ...(typeof patch === "function" ? patch(state.current) : patch) },
          saveState: state.saveState === "away" ? "away" : "unsaved",
        })),
      setSaveState: (saveState) => set({ saveState }),
      markSaved: (document) => set((state) => ({ saved: document, saveState: state.current === document ? "saved" : "unsaved" })),
    }),
    {
      partialize: ({ current }) => ({ current }),
      equality: (a, b) => a.current === b.current,
      limit: 200,
      handleSet: (handleSet) => grouped(handleSet as (...args: unknown[]) => void) as typeof handleSet,
    },
  ),
);
