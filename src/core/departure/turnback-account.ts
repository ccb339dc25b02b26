// One turnback in full: the path, the account in height, what the chart and the map need.
import type { LedgerEntry } from "../glide/glide-path";
import type { DepartureDay, DepartureQuestion } from "./departure-day";
import { type FailureStart, failureStart, motionFrom } from "./failure-start";
import { plannedReaction_s } from "../situation/pilot-practice";
import { worth_m } from "./option";
import { type FlightPart, type FlightPoint, type Technique, type TurnbackResult, flyTurnback } from "./turnback-flight";

/** A turnback flown and accounted for. */
export interface TurnbackAccount {
  readonly height_m: number;
  readonly start: FailureStart;
  readonly technique: Technique;
  /** From the failure to alignment or the runway's end, a fifth of a second or more apart. */
  readonly points: readonly FlightPoint[];
  readonly result: TurnbackResult;
  readonly score_m: number;
  readonly ledger: readonly LedgerEntry[];
  readonly leastStallMargin: number;
  readonly greatestLoad: number;
  /** Of heading, through the air, from the failure to the end of the path. */
  readonly headingChange_rad: number;
  readonly sinkInTurn_mps: number;
  /** Which of the two binds. */
  readonly limit: "reaching" | "stopping";
}

const PART_NAMES: Record<FlightPart, { account: LedgerEntry["account"]; name: string }> = {
  reaction: { account: "reaction", name: "Reaction" },
  extension: { account: "straight", name: "Straight on" },
  turn: { account: "turn", name: "Turn" },
  intercept: { account: "turn", name: "To the line" },
  final: { account: "approach", name: "Final" },
};
/** What has to be left where the account ends: at alignment over the runway, or over its end. */
const LEFT_ALIGNED_M = 10;
const LEFT_END_M = 3;

/**
 * Flies a technique from a height and accounts for every foot.
 *
 * @returns null when the climb does not pass the height, or the reaction ends in a stall
 */
export function turnbackAccount(
  day: DepartureDay,
  { plan, pilot }: DepartureQuestion,
  height_m: number,
  technique: Technique,
): TurnbackAccount | null {
  const points: FlightPoint[] = [];
  const start = failureStart(day, height_m, plan.reaction, plannedReaction_s(pilot), null, (point) =>
    points.push(point),
  );
  if (!start || start.reaction.stalledAfter_s !== null) return null;
  const result = flyTurnback(day, motionFrom(start.acting), technique, start.reaction_s, {
    record: (point) => points.push(point),
  });
  const { margin_m, spare_m, alignedHeight_m, endHeight_m } = result;
  const endsOverEnd = endHeight_m !== null && endHeight_m - LEFT_END_M <= alignedHeight_m - LEFT_ALIGNED_M;
  const lowest_m = endsOverEnd && endHeight_m !== null ? endHeight_m : alignedHeight_m;
  const ledger: LedgerEntry[] = [];
  let from = { height_m, time_s: 0 };
  for (const part of Object.keys(PART_NAMES) as FlightPart[]) {
    const own = points.filter((point) => point.part === part);
    if (own.length === 0 || (part === "final" && !endsOverEnd)) continue;
    const next = points[points.indexOf(own[own.length - 1]) + 1];
    const last =
      next !== undefined && !(next.part === "final" && !endsOverEnd)
        ? next
        : { height_m: lowest_m, time_s: result.time_s };
    ledger.push({ ...PART_NAMES[part], height_m: from.height_m - last.height_m, time_s: last.time_s - from.time_s });
    from = last;
  }
  ledger.push({
    account: "reserve",
    name: endsOverEnd ? "Over the end" : "When aligned",
    height_m: endsOverEnd ? LEFT_END_M : LEFT_ALIGNED_M,
    time_s: 0,
  });
  const turning = points.filter((point) => point.part === "turn");
  const last = points[points.length - 1];
  return {
    height_m,
    start,
    technique,
    points,
    result,
    ledger,
    score_m: spare_m === null ? margin_m : worth_m(margin_m, spare_m),
    leastStallMargin: Math.min(...points.map((point) => point.stallMargin)),
    greatestLoad: Math.max(...points.map((point) => point.loadFactor)),
    headingChange_rad: Math.abs(last.psi_rad - points[0].psi_rad),
    sinkInTurn_mps:
      turning.length > 1
        ? (turning[0].height_m - turning[turning.length - 1].height_m) /
          (turning[turning.length - 1].time_s - turning[0].time_s)
        : 0,
    limit: spare_m !== null && worth_m(margin_m, spare_m) < margin_m ? "stopping" : "reaching",
  };
}
