// The situation being worked on, what of it is saved, and the way back.
import { temporal } from "zundo";
import { create } from "zustand";
import type { SituationDocument } from "@/core/situation/situation-document";
import { undoGroups } from "@/ui/kit/undo-groups";

/** What the page is doing about the database. `away`: it cannot be reached, the work is kept here and saved later. */
type Link = "idle" | "saving" | "away";

/** How the work stands to what is stored. */
export type SaveState = "saved" | "unsaved" | "saving" | "away";

interface SituationState {
  readonly id: string;
  readonly saved: SituationDocument;
  readonly current: SituationDocument;
  readonly link: Link;
  /** Opens another situation; the draft, if any, is what was left unsaved in this browser. */
  open(id: string, saved: SituationDocument, draft?: SituationDocument): void;
  change(patch: Partial<SituationDocument> | ((current: SituationDocument) => Partial<SituationDocument>)): void;
  setLink(link: Link): void;
  markSaved(document: SituationDocument): void;
}

const groups = undoGroups();

/** Stands there until a situation is opened; nothing that reads it is shown before that. */
const EMPTY = {} as SituationDocument;

/** The store; `useSituation.temporal` undoes and redoes. */
export const useSituation = create<SituationState>()(
  temporal(
    (set) => ({
      id: "",
      saved: EMPTY,
      current: EMPTY,
      link: "idle",
      open: (id, saved, draft) => {
        set({ id, saved, current: draft ?? saved, link: "idle" });
        // Opening is not a change to undo, and the next change is a step of its own however soon it comes.
        useSituation.temporal.getState().clear();
        groups.end();
      },
      change: (patch) =>
        set((state) => ({
          current: { ...state.current, ...(typeof patch === "function" ? patch(state.current) : patch) },
        })),
      setLink: (link) => set({ link }),
      markSaved: (document) => set({ saved: document, link: "idle" }),
    }),
    {
      partialize: ({ current }) => ({ current }),
      equality: (a, b) => a.current === b.current,
      limit: 200,
      handleSet: (handleSet) => groups.grouped(handleSet as (...args: unknown[]) => void) as typeof handleSet,
    },
  ),
);

/** How the work stands to what is stored. */
export function saveStateOf({ link, saved, current }: Pick<SituationState, "link" | "saved" | "current">): SaveState {
  if (link !== "idle") return link;
  return saved === current ? "saved" : "unsaved";
}

/** While something is dragged everything is one step to undo, however long it pauses. */
export function holdUndo(): void {
  groups.hold();
}

/** @see holdUndo */
export function releaseUndo(): void {
  groups.end();
}
