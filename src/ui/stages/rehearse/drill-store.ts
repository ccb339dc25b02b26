import { create } from "zustand";
import type { Drill, DrillEvent, Side } from "@/core/procedure/drill";

/** A drill under way, or just over. */
export interface DrillRun {
  readonly procedureId: string;
  readonly dead: Side;
  readonly drill: Drill;
  /** Height when it began, and how fast it goes. */
  readonly began_m: number;
  readonly climb_mps: number;
  /** What burns goes out when the first wait is over; otherwise it burns on. */
  readonly lampGoes: boolean;
  readonly over: boolean;
  readonly paused: boolean;
}

interface DrillState {
  /** What is chosen; null takes the first that fits the aircraft. */
  readonly chosenId: string | null;
  /** The engine that fails, of two. */
  readonly failing: "left" | "right";
  readonly run: DrillRun | null;
  fail(side: "left" | "right"): void;
  choose(id: string): void;
  /** Begins, or ends with null. */
  put(run: DrillRun | null): void;
  /** Leads on what runs; the state after an event comes from the core, which is loaded with the stage. */
  lead(lead: (run: DrillRun) => DrillRun): void;
  pause(paused: boolean): void;
}

/** The drill of this page. */
export const useDrill = create<DrillState>()((set) => ({
  chosenId: null,
  failing: "right",
  run: null,
  fail: (failing) => set({ failing, run: null }),
  choose: (chosenId) => set({ chosenId, run: null }),
  put: (run) => set({ run }),
  lead: (lead) => set(({ run }) => (run && !run.over ? { run: lead(run) } : {})),
  pause: (paused) => set(({ run }) => (run ? { run: { ...run, paused } } : {})),
}));

type Without<E> = E extends { readonly actor: unknown } ? Omit<E, "actor"> : never;

/** What is done by hand, but for whose hand: alone one does everything. */
export type HandEvent = Without<DrillEvent> | { readonly type: "back" };
