import { create } from "zustand";

/** Where the positions come from. */
export type FollowSource = "simulated" | "file" | "device";

interface FollowState {
  /** Null while nothing is followed. */
  readonly source: FollowSource | null;
  /** `waiting` until the first position; `lost` when none has come for some seconds. */
  readonly signal: "waiting" | "here" | "lost";
  /** The last position told its height; otherwise the situation's stays. */
  readonly withHeight: boolean;
  /** Of the simulated aircraft. */
  readonly running: boolean;
  /** What changes is said aloud. */
  readonly aloud: boolean;
  /** Why it ended by itself. */
  readonly fault: string | null;
  set(patch: Partial<Omit<FollowState, "set">>): void;
}

/** An aircraft that is followed. */
export const useFollow = create<FollowState>()((set) => ({
  source: null,
  signal: "waiting",
  withHeight: true,
  running: true,
  aloud: false,
  fault: null,
  set: (patch) => set(patch),
}));
