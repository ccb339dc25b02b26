// Every failure height from lift-off to 2,500 ft and every option at it.
import type { LocalPlane } from "../earth/local-plane";
import type { TerrainGrid } from "../earth/terrain";
import { plannedReaction_s } from "../situation/pilot-practice";
import { M_PER_FT } from "../quantities/constants";
import { type AheadSector, aheadOption, aheadSector } from "./ahead-sector";
import { type DepartureDay, type DepartureQuestion, TOP_M } from "./departure-day";
import { type FailureStart, failureStart } from "./failure-start";
import type { DepartureOption } from "./option";
import { endOptions, reachAfterFailure } from "./other-ends";
import { runwayFrame } from "./runway-frame";
import { type StopAhead, stopAhead, stopOption } from "./stop-ahead";
import { type Turnback, bestTurnback } from "./turnback-search";

/** Heights of failure: every 25 ft to 1,000 ft, where it matters most, then 18 more to 2,500 ft. */
export const SCAN_HEIGHTS_M: readonly number[] = [
  ...Array.from({ length: 40 }, (_, i) => 25 * (i + 1) * M_PER_FT),
  ...Array.from({ length: 18 }, (_, i) => 1000 * M_PER_FT + ((i + 1) / 18) * (TOP_M - 1000 * M_PER_FT)),
];

/** Banks that are compared, rad: 20, 30, 45 and 60°. */
export const COMPARED_BANKS_RAD: readonly number[] = [20, 30, 45, 60].map((angle_deg) => (angle_deg * Math.PI) / 180);

/** Turning back at one height with one bank, both ways; null entries where the reaction ended in a stall. */
export interface TurnbackAtHeight {
  readonly height_m: number;
  readonly stalledAfter_s: number | null;
  readonly left: Turnback | null;
  readonly right: Turnback | null;
}

/** The ground in front at one height. */
export interface GroundAhead {
  /** Null once the runway is not ahead any more. */
  readonly stop: StopAhead | null;
  readonly sector: AheadSector;
}

/** Everything but turning back at one height. */
export interface AheadAtHeight extends GroundAhead {
  readonly height_m: number;
  readonly options: readonly DepartureOption[];
}

/** The start of a failure as the departure's plan has it. */
export function plannedFailure(
  day: DepartureDay,
  { plan, pilot }: DepartureQuestion,
  height_m: number,
): FailureStart | null {
  return failureStart(day, height_m, plan.reaction, plannedReaction_s(pilot));
}

/** Turning back at a height with a bank. */
export function turnbackAt(
  day: DepartureDay,
  question: DepartureQuestion,
  height_m: number,
  bank_rad: number,
): TurnbackAtHeight {
  const start = plannedFailure(day, question, height_m);
  if (!start || start.reaction.stalledAfter_s !== null)
    return { height_m, stalledAfter_s: start?.reaction.stalledAfter_s ?? null, left: null, right: null };
  const [left, right] = ([-1, 1] as const).map((side) =>
    bestTurnback(day, start.acting, start.reaction_s, { side, bank_rad, stallMargin: question.plan.stallMargin }),
  );
  return { height_m, stalledAfter_s: null, left, right };
}

/**
 * The runway left and what lies within 30° of the nose.
 *
 * @param plane - of the terrain; used only with it
 */
export function groundAhead(
  day: DepartureDay,
  question: DepartureQuestion,
  start: FailureStart,
  terrain: TerrainGrid | null,
  plane: LocalPlane,
): GroundAhead {
  return {
    stop: stopAhead(day, start),
    sector: aheadSector(day, start, question.runway.elevation_m, terrain, runwayFrame(question.runway, plane)),
  };
}

/** The options other than turning back at a height; null outside the climb. */
export function aheadAt(
  day: DepartureDay,
  question: DepartureQuestion,
  height_m: number,
  terrain: TerrainGrid | null,
  plane: LocalPlane,
): AheadAtHeight | null {
  const start = plannedFailure(day, question, height_m);
  if (!start) return null;
  const ground = groundAhead(day, question, start, terrain, plane);
  const reached = reachAfterFailure(question, start, question.ends, terrain);
  const stopped = stopOption(ground.stop);
  return {
    height_m,
    ...ground,
    options: [
      ...(stopped ? [stopped] : []),
      aheadOption(ground.sector),
      ...(reached.ok ? endOptions(day, question, reached.value) : []),
    ],
  };
}

/** Heights between which something works: `to_m` is null when it works up to the highest height looked at. */
export interface Band {
  readonly from_m: number;
  readonly to_m: number | null;
}

/**
 * The bands in which a score is 0 or more, their edges interpolated.
 *
 * @param points - by rising height; a null score does not work
 */
export function bandsOf(points: readonly { readonly height_m: number; readonly score_m: number | null }[]): Band[] {
  const bands: Band[] = [];
  let from_m: number | null = null;
  points.forEach(({ height_m, score_m }, i) => {
    const works = score_m !== null && score_m >= 0;
    const before = points[i - 1];
    // Without a score on one side there is nothing to interpolate with: the height itself is the edge.
    const edge_m =
      before && before.score_m !== null && score_m !== null
        ? before.height_m + ((height_m - before.height_m) * before.score_m) / (before.score_m - score_m)
        : height_m;
    if (works && from_m === null) from_m = before ? edge_m : height_m;
    if (!works && from_m !== null) {
      bands.push({ from_m, to_m: before.score_m !== null && score_m !== null ? edge_m : before.height_m });
      from_m = null;
    }
  });
  if (from_m !== null) bands.push({ from_m, to_m: null });
  return bands;
}

/** The better side; null where neither is flown. */
export function betterSide({ left, right }: TurnbackAtHeight): Turnback | null {
  if (!left || !right) return left ?? right;
  return left.score_m >= right.score_m ? left : right;
}
