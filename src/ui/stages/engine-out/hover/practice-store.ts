import { create } from "zustand";
import { clamp } from "@/core/numeric/clamp";
import { type Practice, type PracticeCase, freshPractice, practiceAfter } from "@/core/rotor/rating-practice";

/** How the practice is run. */
export interface PracticePlan {
  /** Both engines run; one is shown failed. */
  readonly training: boolean;
  /** Above the ground; training never starts lower. */
  readonly floor_m: number;
  /** Power that the collective asks for, over that of the hover. */
  readonly demand: number;
  /** Index of the rating that the engine is held to; null overrides the limiter. */
  readonly limiter: number | null;
}

interface PracticeState extends PracticePlan {
  readonly state: Practice | null;
  readonly running: boolean;
  plan(patch: Partial<PracticePlan>): void;
  start(about: PracticeCase): void;
  /** Time that has passed, s. */
  tick(about: PracticeCase, passed_s: number): void;
  stop(): void;
  clear(): void;
}

/** Steps of the practice, s, and the longest pause that is caught up. */
const [STEP_S, CAUGHT_UP_S] = [0.05, 1];

/** The running clock of a practice over the ratings. */
export const usePractice = create<PracticeState>()((set, get) => ({
  training: false,
  floor_m: 152.4,
  demand: 1,
  limiter: 0,
  state: null,
  running: false,
  plan: (patch) => set(patch),
  start: (about) => set({ state: get().state ?? freshPractice(about), running: true }),
  tick: (about, passed_s) => {
    let { state } = get();
    const { demand, limiter, running } = get();
    if (!state || !running) return;
    const steps = Math.max(1, Math.round(clamp(passed_s, STEP_S, CAUGHT_UP_S) / STEP_S));
    for (let i = 0; i < steps; i += 1) state = practiceAfter(about, state, demand, limiter, STEP_S);
    set({ state, running: !state.over });
  },
  stop: () => set({ running: false }),
  clear: () => set({ state: null, running: false, training: false }),
}));
