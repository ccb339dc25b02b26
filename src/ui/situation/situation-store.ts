// The situation being worked on, what of it is saved, and the way back.
import { temporal } from "zundo";
import { create } from "zustand";
import type { SituationDocument } from "@/core/situation/situation-document";
import type { StoredSituation } from "@/server/situations";
import { undoGroups } from "@/ui/kit/undo-groups";
import type { Draft } from "./draft";

/**
 * What the page is doing about the database. `away`: nothing can be saved at present, the work is kept here and saved
 * later.
 */
type Link = "idle" | "saving" | "away";

/** Why nothing can be saved at present. */
export type AwayReason = "database" | "server" | "disk";

/** How the work stands to what is stored. */
export type SaveState = "saved" | "unsaved" | "saving" | "away";

/** A situation as it is stored: the part of it that the page works with. */
export type Opened = Pick<StoredSituation, "id" | "version" | "document">;

interface SituationState {
  readonly id: string;
  /** That the work was made from. */
  readonly version: number;
  readonly saved: SituationDocument;
  readonly current: SituationDocument;
  readonly link: Link;
  readonly awayReason: AwayReason;
  /** What was saved elsewhere since; the user says what becomes of the two. */
  readonly meanwhile: Opened | null;
  /** Opens another situation; the draft, if any, is what was left unsaved in this browser. */
  open(stored: Opened, draft?: Draft): void;
  change(patch: Partial<SituationDocument> | ((current: SituationDocument) => Partial<SituationDocument>)): void;
  setLink(link: Link, awayReason?: AwayReason): void;
  markSaved(document: SituationDocument, version: number): void;
  setMeanwhile(stored: Opened | null): void;
}

const groups = undoGroups();

/** Stands there until a situation is opened; nothing that reads it is shown before that. */
const EMPTY = {} as SituationDocument;

/** The store; `useSituation.temporal` undoes and redoes. */
export const useSituation = create<SituationState>()(
  temporal(
    (set) => ({
      id: "",
      version: 0,
      meanwhile: null,
      saved: EMPTY,
      current: EMPTY,
      link: "idle",
      awayReason: "database",
      open: ({ id, version, document: saved }, draft) => {
        set({
          id,
          // Work that was begun on an older version is saved over that one, and the other is not lost unnoticed.
          version: draft?.version ?? version,
          saved,
          current: draft?.document ?? saved,
          // What was to be saved before the page was loaded again is tried on.
          link: draft?.asked ? "away" : "idle",
          awayReason: "server",
          meanwhile: null,
        });
        // Opening is not a change to undo, and the next change is a step of its own however soon it comes.
        useSituation.temporal.getState().clear();
        groups.end();
      },
      change: (patch) =>
        set((state) => ({
          current: { ...state.current, ...(typeof patch === "function" ? patch(state.current) : patch) },
        })),
      setLink: (link, awayReason = "database") => set({ link, awayReason }),
      markSaved: (document, version) => set({ saved: document, version, link: "idle", meanwhile: null }),
      setMeanwhile: (meanwhile) => set({ meanwhile, link: "idle" }),
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
