import { create } from "zustand";
import type { Issue } from "@/core/outcome";
import type { TakeOffAnswer } from "@/core/take-off/take-off-answer";

interface TakeOffState {
  readonly answer: TakeOffAnswer | null;
  readonly issue: Issue | null;
  /** Which failure is looked at: −1 on the runway, else an index into the failures in the air. */
  readonly shown: number;
  set(patch: Partial<Omit<TakeOffState, "set">>): void;
}

/** What the Departure stage shows of twins and jets. */
export const useTakeOff = create<TakeOffState>()((set) => ({
  answer: null,
  issue: null,
  shown: -1,
  set: (patch) => set(patch),
}));
