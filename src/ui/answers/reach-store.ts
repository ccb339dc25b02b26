import { create } from "zustand";
import type { LatLon } from "@/core/earth/geodesic";
import type { Reach } from "@/core/landing/reach";
import type { EndReach } from "@/core/landing/way-to-end";
import type { LandingQuestion } from "@/core/landing/landing-question";
import type { Site, Sites } from "@/core/landing/sites";
import type { Issue } from "@/core/outcome";

/** The latest answer of the core, with the plane its points are in. */
export interface ReachAnswer {
  /** What it answers. */
  readonly question: LandingQuestion;
  readonly reach: Reach | null;
  /** The places, ranked as the ends of the reach are. */
  readonly sites: Sites | null;
  readonly issue: Issue | null;
  readonly ground_m: number | null;
  readonly origin: LatLon;
  readonly took_ms: number;
}

interface ReachState {
  readonly answer: ReachAnswer | null;
  /** The end the user has picked; null follows the best. */
  readonly pinnedId: string | null;
  /** Index of the ledger block that is pointed at, on the ledger or on the map. */
  readonly pointedEntry: number | null;
  setAnswer(answer: ReachAnswer | null): void;
  pin(endId: string | null): void;
  point(entry: number | null): void;
}

/** The answer to "which runway can I make from here?" and what of it is looked at. */
export const useReach = create<ReachState>()((set) => ({
  answer: null,
  pinnedId: null,
  pointedEntry: null,
  setAnswer: (answer) => set({ answer }),
  pin: (pinnedId) => set({ pinnedId, pointedEntry: null }),
  point: (pointedEntry) => set({ pointedEntry }),
}));

/** Picks a landing end. */
export const pickEnd = (endId: string): void => useReach.getState().pin(endId);

/** Points at a block of the ledger of the shown way. */
export const pointAt = (entry: number | null): void => {
  if (useReach.getState().pointedEntry !== entry) useReach.getState().point(entry);
};

/** The end that is looked at: the picked one, otherwise the best; null without an answer. */
export function shownEnd({ answer, pinnedId }: Pick<ReachState, "answer" | "pinnedId">): EndReach | null {
  const ends = answer?.reach?.ends;
  return ends?.find((end) => end.endId === pinnedId) ?? ends?.[0] ?? null;
}

/** The place of the end that is looked at; null without one. */
export function shownSite(state: Pick<ReachState, "answer" | "pinnedId">): Site | null {
  const id = shownEnd(state)?.endId;
  return state.answer?.sites?.sites.find((site) => site.end.id === id) ?? null;
}
