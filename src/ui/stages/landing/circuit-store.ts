import { create } from "zustand";

/** Where on the circuit the pilot is taken to be, and how that differs from the plan. */
interface CircuitState {
  /** Null takes the side of the place's own circuit. */
  readonly side: "left" | "right" | null;
  /** Share of the time from overhead to the aim point, 0 to 1. */
  readonly share: number;
  /** Height over what is planned there, m. */
  readonly deviation_m: number;
  /**
   * Height over the aim point, and how much of it is too much, as the Too high view was asked; null takes them from the
   * path shown.
   */
  readonly lose: { readonly height_m: number; readonly lose_m: number } | null;
  set(patch: Partial<Pick<CircuitState, "side" | "share" | "deviation_m" | "lose">>): void;
}

/** What is tried out on the circuit; not part of the situation. */
export const useCircuit = create<CircuitState>()((set) => ({
  side: null,
  share: 0,
  deviation_m: 0,
  lose: null,
  set: (patch) => set(patch),
}));
