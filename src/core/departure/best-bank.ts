import type { DeparturePlan } from "../situation/departure-plan";
import type { DepartureDay, DepartureQuestion } from "./departure-day";
import { COMPARED_BANKS_RAD, type TurnbackAtHeight, betterSide, turnbackAt } from "./scan";
import type { Turnback } from "./turnback-search";

/** Banks nearer than this are the same bank: half a degree, since they are entered in whole degrees. */
const SAME_RAD = 0.009;

/**
 * The banks that may be flown: the chosen one, or all compared ones that have been practised, and the practised one
 * itself.
 */
export function allowedBanks({
  bank_rad,
  practisedBank_rad,
}: Pick<DeparturePlan, "bank_rad" | "practisedBank_rad">): number[] {
  if (bank_rad !== null) return [bank_rad];
  const below = COMPARED_BANKS_RAD.filter((bank) => bank < practisedBank_rad - SAME_RAD);
  return [...below, practisedBank_rad];
}

/** The best turnback of several scans at the same height; null where none is flown. */
export function bestOf(scans: readonly TurnbackAtHeight[], side: 1 | -1 | null = null): Turnback | null {
  let best: Turnback | null = null;
  for (const scan of scans) {
    const candidate = side === null ? betterSide(scan) : side === -1 ? scan.left : scan.right;
    if (candidate && (!best || candidate.score_m > best.score_m)) best = candidate;
  }
  return best;
}

/** The best turnback of a height. */
export interface BestAtHeight {
  readonly height_m: number;
  /** Null where the reaction stalls. */
  readonly turnback: Turnback | null;
  readonly score_m: number | null;
}

/** The best of scans with several banks at each height, by rising height. */
export function bestByHeight(scans: readonly TurnbackAtHeight[]): BestAtHeight[] {
  const heights = [...new Set(scans.map(({ height_m }) => height_m))].sort((a, b) => a - b);
  return heights.map((height_m) => {
    const turnback = bestOf(scans.filter((scan) => scan.height_m === height_m));
    return { height_m, turnback, score_m: turnback?.score_m ?? null };
  });
}

/** The best turnback at a height over the banks that may be flown. */
export function bestBank(
  day: DepartureDay,
  question: DepartureQuestion,
  height_m: number,
  side: 1 | -1 | null = null,
): Turnback | null {
  return bestOf(
    allowedBanks(question.plan).map((bank_rad) => turnbackAt(day, question, height_m, bank_rad)),
    side,
  );
}
