// A departure put together: what the whole has in common, and one failure height in full.
import type { LatLon } from "../earth/geodesic";
import { localPlane } from "../earth/local-plane";
import type { TerrainGrid } from "../earth/terrain";
import type { EndReach } from "../landing/way-to-end";
import type { ReachQuestion } from "../landing/reach-question";
import { bestBank } from "./best-bank";
import { type ClimbAgainstGlide, climbAgainstGlide } from "./climb-against-glide";
import type { DepartureDay, DepartureQuestion } from "./departure-day";
import { failureReach, reachAfterFailure } from "./other-ends";
import { type GroundAhead, groundAhead, plannedFailure } from "./scan";
import { type TurnbackAccount, turnbackAccount } from "./turnback-account";
import type { Technique } from "./turnback-flight";
import { bestTurnback } from "./turnback-search";

/** What the whole departure has in common, for headings and the map. */
export interface DepartureFacts {
  readonly run_m: number;
  readonly climbEas_mps: number;
  readonly bestEas_mps: number;
  readonly stallEas_mps: number;
  readonly flapName: string;
  readonly against: ClimbAgainstGlide | null;
  /** Climb track in the runway's frame. */
  readonly climb: readonly { readonly x_m: number; readonly y_m: number; readonly height_m: number }[];
}

/** One failure height in full. */
export interface DepartureAtHeight {
  readonly height_m: number;
  readonly stalledAfter_s: number | null;
  readonly account: TurnbackAccount | null;
  readonly ahead: GroundAhead | null;
  /** Where the engine stops, in the runway's frame. */
  readonly failure: { readonly x_m: number; readonly y_m: number } | null;
  /** The way to the end that was asked for, and the question that it answers. */
  readonly reached: EndReach | null;
  readonly reachQuestion: ReachQuestion | null;
}

/** Heights over which climb out and glide back are compared, m. */
const AGAINST_M = [150, 450] as const;

/** What the whole departure has in common. */
export function departureFacts(day: DepartureDay): DepartureFacts {
  return {
    run_m: day.climb.run_m,
    climbEas_mps: day.climbEas_mps,
    bestEas_mps: day.best_mps,
    stallEas_mps: day.stallEas_mps,
    flapName: day.flapName,
    against: climbAgainstGlide(day, ...AGAINST_M),
    climb: day.climb.points
      .filter((_, i) => i % 4 === 0 || i === day.climb.points.length - 1)
      .map(({ x_m, y_m, height_m }) => ({ x_m, y_m, height_m })),
  };
}

/** The plane in which the ground ahead of a departure is looked at. */
export function departurePlane({ runway }: DepartureQuestion, terrain: TerrainGrid | null) {
  return localPlane(terrain?.origin ?? runway.threshold);
}

/** What of a height is looked at. */
export interface LookedAt {
  readonly height_m: number;
  /** Side of the turn back; null takes the better. */
  readonly side: 1 | -1 | null;
  /** What the scan found best near this height: only that side and bank are searched then. */
  readonly flown: Pick<Technique, "side" | "bank_rad"> | null;
  /** Landing end to glide to instead; null for none. */
  readonly endId: string | null;
}

/**
 * One failure height in full.
 *
 * @param origin - of the plane that the points of the way to an end are in
 */
export function departureAt(
  day: DepartureDay,
  question: DepartureQuestion,
  { height_m, side, flown, endId }: LookedAt,
  terrain: TerrainGrid | null,
  origin: LatLon,
): DepartureAtHeight {
  const start = plannedFailure(day, question, height_m);
  const stalls = start?.reaction.stalledAfter_s !== null;
  const best =
    !start || stalls
      ? null
      : flown
        ? bestTurnback(day, start.acting, start.reaction_s, { ...flown, stallMargin: question.plan.stallMargin })
        : bestBank(day, question, height_m, side);
  const candidates = question.ends.filter((end) => end.id === endId);
  const reached = start && endId !== null ? reachAfterFailure(question, start, candidates, terrain, origin) : null;
  return {
    height_m,
    failure: start && { x_m: start.failure.x_m, y_m: start.failure.y_m },
    stalledAfter_s: start?.reaction.stalledAfter_s ?? null,
    account: best && turnbackAccount(day, question, height_m, best.technique),
    ahead: start && groundAhead(day, question, start, terrain, departurePlane(question, terrain)),
    reached: reached?.ok ? (reached.value[0] ?? null) : null,
    reachQuestion: start && endId !== null ? failureReach(question, start, candidates) : null,
  };
}
