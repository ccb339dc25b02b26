import { create } from "zustand";
import type { Issue } from "@/core/outcome";
import type { Assistance } from "@/core/simulation/at-controls";
import type { FlightShown } from "@/core/exercise/flight-crew";
import type { HeightSpent } from "@/core/exercise/height-account";
import type { FlightView } from "@/core/simulation/flight-view";
import type { Procedure } from "@/core/procedure/procedure";
import type { EndReach } from "@/core/landing/way-to-end";
import type { FlownInstead } from "@/core/simulation/planned-legs";
import type { KeptFlight } from "@/core/simulation/kept-flight";
import type { Flown } from "@/workers/flight.worker";
import type { FlownDrill } from "./fly-drill";
import { FIRST_CHOICE, type FlyChoice } from "./fly-set-up";

/** Where one looks. */
export type Look = "ahead" | "left" | "right" | "behind" | "map";

/** A flight that is over, with the rows that it is looked at by. */
export interface FlownFlight {
  readonly flight: KeptFlight;
  readonly rows: readonly (readonly number[])[];
}

/** What a flight is laid beside: the plan from where the engine failed, and where its height went. */
export interface FlightAccount {
  readonly planned: EndReach | null;
  readonly spent: HeightSpent | null;
  /** The plan flown by the modelled pilot, who acts at once; null where there is no such plan. */
  readonly atOnce: FlownInstead | null;
}

/** What flies, in words. */
export interface UnderWay {
  readonly flown: Flown;
  readonly words: string;
  readonly exerciseId: string | null;
  /** The drill that is done with it. */
  readonly procedure: Procedure | null;
  /** Something is to fail. */
  readonly fails: boolean;
  /** What a map of it needs, for those who look on. */
  readonly map: Pick<FlightShown, "origin" | "ends" | "wind">;
}

interface FlyState {
  readonly choice: FlyChoice;
  readonly assistance: Assistance;
  readonly sound: boolean;
  readonly look: Look;
  readonly dusk: boolean;
  /** Set up: what flies, in words; null before. */
  readonly under: UnderWay | null;
  /** The drill that is done with it; null before it begins, or where there is none. */
  readonly drill: FlownDrill | null;
  readonly view: FlightView | null;
  readonly issue: Issue | null;
  readonly running: boolean;
  readonly half: boolean;
  /** Track so far, over the ground: north and east in turn, m. */
  readonly path: readonly number[];
  readonly last: FlownFlight | null;
  /** Of the last flight; null until it is reckoned. */
  readonly account: FlightAccount | null;
  choose(choice: Partial<FlyChoice>): void;
  help(assistance: Partial<Assistance>): void;
}

const LOOKS: readonly Look[] = ["ahead", "left", "right", "behind", "map"];
/** Looks the next way. */
export const nextLook = (): void =>
  useFly.setState(({ look }) => ({ look: LOOKS[(LOOKS.indexOf(look) + 1) % LOOKS.length] }));

/** The flight of this page. */
export const useFly = create<FlyState>()((set) => ({
  choice: FIRST_CHOICE,
  assistance: { attitude: true, ball: true, bank_rad: Math.PI / 3, speed_mps: null },
  sound: true,
  look: "ahead",
  dusk: false,
  under: null,
  drill: null,
  view: null,
  issue: null,
  running: false,
  half: false,
  path: [],
  last: null,
  account: null,
  choose: (choice) => set((state) => ({ choice: { ...state.choice, ...choice } })),
  help: (assistance) => set((state) => ({ assistance: { ...state.assistance, ...assistance } })),
}));
