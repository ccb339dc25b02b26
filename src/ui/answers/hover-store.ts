import { create } from "zustand";

/** What is tried out about a hover; null takes what the situation has. */
export interface HoverTrial {
  readonly mass_kg: number | null;
  readonly wind_mps: number | null;
  readonly altitude_m: number | null;
  readonly deviation_K: number | null;
  /** Height of the skids; null out of ground effect. */
  readonly skids_m: number | null;
  /** Until the person on the hoist is inside, s. */
  readonly needed_s: number;
  /** Rating of the fly-away, an index; null for the one that is left. */
  readonly rating: number | null;
}

/** As the situation has it, out of ground effect, with a person on the hoist for twenty seconds. */
export const FIRST_HOVER: HoverTrial = {
  mass_kg: null,
  wind_mps: null,
  altitude_m: null,
  deviation_K: null,
  skids_m: null,
  needed_s: 20,
  rating: null,
};

/** @see HoverTrial */
export const useHoverTrial = create<HoverTrial & { try(patch: Partial<HoverTrial>): void }>()((set) => ({
  ...FIRST_HOVER,
  try: (patch) => set(patch),
}));
