import { create } from "zustand";
import type { Issue } from "@/core/outcome";
import type { Assistance } from "@/core/simulation/cockpit";
import type { FlightView } from "@/core/simulation/flight-view";
import type { KeptFlight } from "@/core/simulation/kept-flight";
import type { Flown } from "@/workers/flight.worker";
import { FIRST_CHOICE, type FlyChoice } from "./fly-set-up";

/** Where one looks. */
export type Look = "ahead" | "left" | "right" | "behind" | "map";

/** A flight that is over, with the rows that it is looked at by. */
export interface FlownFlight {
  readonly flight: KeptFlight;
  readonly rows: readonly (readonly number[])[];
}

interface FlyState {
  readonly choice: FlyChoice;
  readonly assistance: Assistance;
  readonly sound: boolean;
  readonly look: Look;
  readonly dusk: boolean;
  /** Set up: what flies, in words; null before. */
  readonly under: { readonly flown: Flown; readonly words: string; readonly exerciseId: string | null } | null;
  readonly view: FlightView | null;
  readonly issue: Issue | null;
  readonly running: boolean;
  readonly half: boolean;
  /** Track so far, over the ground: north and east in turn, m. */
  readonly path: readonly number[];
  readonly last: FlownFlight | null;
  choose(choice: Partial<FlyChoice>): void;
  help(assistance: Partial<Assistance>): void;
}

/** The flight of this page. */
export const useFly = create<FlyState>()((set) => ({
  choice: FIRST_CHOICE,
  assistance: { attitude: true, ball: true, bank_rad: Math.PI / 3, speed_mps: null },
  sound: true,
  look: "ahead",
  dusk: false,
  under: null,
  view: null,
  issue: null,
  running: false,
  half: false,
  path: [],
  last: null,
  choose: (choice) => set((state) => ({ choice: { ...state.choice, ...choice } })),
  help: (assistance) => set((state) => ({ assistance: { ...state.assistance, ...assistance } })),
}));
