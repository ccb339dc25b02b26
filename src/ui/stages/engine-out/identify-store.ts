import { create } from "zustand";
import { FAULTS, type FaultKind } from "@/core/engine/engine-fault";
import type { GaugeName } from "@/core/engine/gauges";

/** What the user says settles it. */
export type SaidCue = GaugeName | "foot";
/** Which engine it is; `neither` when both are well. */
export type SaidEngine = "left" | "right" | "neither";

interface IdentifyState {
  /** Drawn by lot and not told until answered; otherwise as chosen. */
  readonly hidden: boolean;
  readonly fault: FaultKind;
  readonly engine: "left" | "right";
  readonly time_s: number;
  readonly closed: { readonly engine: "left" | "right"; readonly time_s: number } | null;
  readonly said: { readonly engine: SaidEngine; readonly cue: SaidCue } | null;
  set(patch: Partial<Omit<IdentifyState, "set">>): void;
}

/** The exercise in identifying the dead engine. */
export const useIdentify = create<IdentifyState>()((set) => ({
  hidden: false,
  fault: "starvation",
  engine: "left",
  time_s: 20,
  closed: null,
  said: null,
  set: (patch) => set(patch),
}));

/**
 * A fault by lot.
 *
 * @param random - 0 to 1, one for the fault and one for the engine
 */
export function drawFault(
  jet: boolean,
  random: readonly [number, number],
): { fault: FaultKind; engine: "left" | "right" } {
  const faults = FAULTS.filter((fault) => !jet || fault.jet);
  return {
    fault: faults[Math.min(Math.floor(random[0] * faults.length), faults.length - 1)].kind,
    engine: random[1] < 0.5 ? "left" : "right",
  };
}

/** The right answer: the engine that has the fault, or neither when only a gauge has failed. */
export function rightEngine(fault: FaultKind, engine: "left" | "right"): SaidEngine {
  return fault === "gauge" ? "neither" : engine;
}
