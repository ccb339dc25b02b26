import { create } from "zustand";
import { allowedBanks, bestOf, type BestAtHeight, bestByHeight } from "@/core/departure/best-bank";
import type { ScatterKind } from "@/core/situation/scatter";
import type { DepartureQuestion } from "@/core/departure/departure-day";
import type { ChanceCurvePoint } from "@/core/departure/chance-curve";
import type { SchoolGates } from "@/core/departure/gate";
import { type AheadAtHeight, type Band, type TurnbackAtHeight, bandsOf } from "@/core/departure/scan";
import type { TurnbackAccount } from "@/core/departure/turnback-account";
import type { Technique } from "@/core/departure/turnback-flight";
import type { Issue } from "@/core/outcome";
import type { DepartureAtHeight, DepartureFacts } from "@/core/departure/departure-answer";

/** The scan of a question: the banks that may be flown, and the others beside them for comparison. */
export interface DepartureScan {
  readonly question: DepartureQuestion;
  readonly facts: DepartureFacts;
  /** By bank, rad. */
  readonly byBank: ReadonlyMap<number, readonly TurnbackAtHeight[]>;
  readonly ahead: readonly AheadAtHeight[];
  /** The best at each height over the banks that may be flown; null where the reaction stalls. */
  readonly best: readonly BestAtHeight[];
  readonly bands: readonly Band[];
  /** Every bank is there that will be. */
  readonly complete: boolean;
  readonly took_ms: number;
}

/** The chance by height and what follows from it. */
export interface ChanceAnswer {
  readonly question: DepartureQuestion;
  readonly curve: readonly ChanceCurvePoint[];
  /** False while only the gate is settled and the rest of the curve stands on fewer draws. */
  readonly complete: boolean;
  readonly gates: SchoolGates;
  /** The turnback at the gate; null without a gate. */
  readonly atGate: TurnbackAccount | null;
  readonly chanceAtGate: number | null;
  /** How much the chance at one height gains when a kind is exact, the most first. */
  readonly sensitivity: {
    readonly height_m: number;
    readonly chance: number;
    readonly exact: readonly { readonly kind: ScatterKind; readonly chance: number }[];
  } | null;
  readonly took_ms: number;
}

interface DepartureState {
  readonly scan: DepartureScan | null;
  /** Why there is no scan. */
  readonly issue: Issue | null;
  readonly at: DepartureAtHeight | null;
  readonly chance: ChanceAnswer | null;
  /** Share done of the chance that is being computed; null when none is. */
  readonly progress: number | null;
  /** The user stopped the computation; it waits to be asked for again. */
  readonly stopped: boolean;
  /** Failure height that is looked at. */
  readonly height_m: number;
  /** Option that is looked at: `best`, `left`, `right`, `stop`, `ahead`, or a landing end's id. */
  readonly choice: string;
  /** Index of the ledger block that is pointed at. */
  readonly pointedEntry: number | null;
  set(patch: Partial<Omit<DepartureState, "set">>): void;
}

/** What the departure's stage shows. */
export const useDeparture = create<DepartureState>()((set) => ({
  scan: null,
  issue: null,
  at: null,
  chance: null,
  progress: null,
  stopped: false,
  height_m: 213.36,
  choice: "best",
  pointedEntry: null,
  set: (patch) => set(patch),
}));

/** The chance of the departure that is shown; null while only an older one is there. */
export function currentChance({ scan, chance }: Pick<DepartureState, "scan" | "chance">): ChanceAnswer | null {
  return chance !== null && chance.question === scan?.question ? chance : null;
}

/** Side of a choice that turns back; null takes the better. */
export function sideOf(choice: string): 1 | -1 | null {
  return choice === "left" ? -1 : choice === "right" ? 1 : null;
}

/** Whether a choice turns back. */
export function turnsBack(choice: string): boolean {
  return choice === "best" || sideOf(choice) !== null;
}

/** Side and bank that the scan found best at the height nearest to one; null without a scan of this question. */
export function flownNear(
  scan: DepartureScan | null,
  question: DepartureQuestion,
  height_m: number,
  side: 1 | -1 | null,
): Pick<Technique, "side" | "bank_rad"> | null {
  if (scan?.question !== question) return null;
  const nearest = scan.best.reduce((best, entry) =>
    Math.abs(entry.height_m - height_m) < Math.abs(best.height_m - height_m) ? entry : best,
  );
  const scans = allowedBanks(question.plan).flatMap(
    (bank) => scan.byBank.get(bank)?.find((entry) => entry.height_m === nearest.height_m) ?? [],
  );
  const technique = bestOf(scans, side)?.technique;
  return technique ? { side: technique.side, bank_rad: technique.bank_rad } : null;
}

/** Puts a scan together from its banks. */
export function scanOf(parts: Omit<DepartureScan, "best" | "bands">, allowed: readonly number[]): DepartureScan {
  const best = bestByHeight(allowed.flatMap((bank) => parts.byBank.get(bank) ?? []));
  return { ...parts, best, bands: bandsOf(best) };
}
