import { create } from "zustand";
import type { DrillEvent } from "@/core/procedure/drill";
import type { DrillRate } from "@/core/procedure/drill-rate";
import type { DrillRun, RunState } from "@/core/procedure/drill-run";

/** A drill under way, or just over. */
export interface Flying {
  /** Under which it is kept when it is over; null for one that was begun in its middle, which is not. */
  readonly id: string | null;
  /** When it began, ISO 8601. */
  readonly beganAt: string;
  readonly run: DrillRun;
  readonly state: RunState;
  readonly rate: DrillRate;
  readonly over: boolean;
  readonly paused: boolean;
}

/** A drill as it stands, wherever it is done: at a desk or while it is flown. */
export type DrillNow = Pick<Flying, "run" | "state" | "over" | "paused">;

interface DrillState {
  /** What is chosen; null takes the first that fits the aircraft. */
  readonly chosenId: string | null;
  /** The engine that fails, of two. */
  readonly failing: "left" | "right";
  /** Spoken and ticked, without a panel. */
  readonly spoken: boolean;
  readonly sound: boolean;
  readonly flying: Flying | null;
  fail(side: "left" | "right"): void;
  choose(id: string): void;
  prefer(what: { readonly spoken?: boolean; readonly sound?: boolean }): void;
  /** Begins, or ends with null. */
  put(flying: Flying | null): void;
  /** Leads on what runs; the state after an event comes from the core, which is loaded with the stage. */
  lead(lead: (flying: Flying) => Flying): void;
  pause(paused: boolean): void;
}

/** The drill of this page. */
export const useDrill = create<DrillState>()((set) => ({
  chosenId: null,
  failing: "right",
  spoken: false,
  sound: true,
  flying: null,
  fail: (failing) => set({ failing, flying: null }),
  choose: (chosenId) => set({ chosenId, flying: null }),
  prefer: (what) => set(what),
  put: (flying) => set({ flying }),
  lead: (lead) => set(({ flying }) => (flying && !flying.over ? { flying: lead(flying) } : {})),
  pause: (paused) => set(({ flying }) => (flying ? { flying: { ...flying, paused } } : {})),
}));

type Without<E> = E extends { readonly actor: unknown } ? Omit<E, "actor"> : never;

/** What is done by hand, but for whose hand: alone one does everything. */
export type HandEvent = Without<DrillEvent> | { readonly type: "back" };
