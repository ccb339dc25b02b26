// The departure's computations as the worker offers them. No formulas here; what is set up for a question is kept for the next about the same.
import { bestBank } from "@/core/departure/best-bank";
import {
  type ChanceCount,
  type PlannedHeight,
  type Scatter,
  countChance,
  draws,
  pilotScatter,
} from "@/core/departure/chance";
import { type ClimbAgainstGlide, climbAgainstGlide } from "@/core/departure/climb-against-glide";
import { type DepartureDay, type DepartureInput, departureDay } from "@/core/departure/departure-day";
import { failureReach, reachAfterFailure } from "@/core/departure/other-ends";
import { type PracticeTarget, practiceTarget } from "@/core/departure/practice";
import {
  type AheadAtHeight,
  type GroundAhead,
  type TurnbackAtHeight,
  aheadAt,
  groundAhead,
  plannedFailure,
  turnbackAt,
} from "@/core/departure/scan";
import { type TurnbackAccount, turnbackAccount } from "@/core/departure/turnback-account";
import type { Technique } from "@/core/departure/turnback-flight";
import { bestTurnback } from "@/core/departure/turnback-search";
import { turnbackWorking } from "@/core/departure/turnback-working";
import type { LatLon } from "@/core/earth/geodesic";
import { localPlane } from "@/core/earth/local-plane";
import type { TerrainGrid } from "@/core/earth/terrain";
import type { EndReach } from "@/core/landing/reach";
import type { ReachInput } from "@/core/landing/reach-input";
import { type Outcome, failure, success } from "@/core/outcome";
import type { WorkingStep } from "@/core/working";

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
  readonly reachInput: ReachInput | null;
}

/** Draws for the tolerance of a practice turn. */
const PRACTICE_DRAWS = 150;

let kept: { key: string; day: Outcome<DepartureDay> } | null = null;

function dayOf(input: DepartureInput): Outcome<DepartureDay> {
  const key = JSON.stringify(input);
  if (kept?.key !== key) kept = { key, day: departureDay(input) };
  return kept.day;
}

/** The part of the worker that departures ask. */
export function departureWork(terrain: () => TerrainGrid | null) {
  const planeOf = (input: DepartureInput) => localPlane(terrain()?.origin ?? input.runway.threshold);
  const withDay = <T>(input: DepartureInput, run: (day: DepartureDay) => T): Outcome<T> => {
    const day = dayOf(input);
    return day.ok ? success(run(day.value)) : day;
  };
  return {
    departureFacts: (input: DepartureInput): Outcome<DepartureFacts> =>
      withDay(input, (day) => ({
        run_m: day.climb.run_m,
        climbEas_mps: day.climbEas_mps,
        bestEas_mps: day.best_mps,
        stallEas_mps: day.stallEas_mps,
        flapName: day.flapName,
        against: climbAgainstGlide(day, 150, 450),
        climb: day.climb.points
          .filter((_, i) => i % 4 === 0 || i === day.climb.points.length - 1)
          .map(({ x_m, y_m, height_m }) => ({ x_m, y_m, height_m })),
      })),

    departureTurnbacks: (
      input: DepartureInput,
      bank_rad: number,
      heights_m: readonly number[],
    ): Outcome<TurnbackAtHeight[]> =>
      withDay(input, (day) => heights_m.map((height_m) => turnbackAt(day, input, height_m, bank_rad))),

    departureAhead: (input: DepartureInput, heights_m: readonly number[]): Outcome<AheadAtHeight[]> =>
      withDay(input, (day) =>
        heights_m.flatMap((height_m) => aheadAt(day, input, height_m, terrain(), planeOf(input)) ?? []),
      ),

    /** `flown` is what the scan found best near this height: only that side and bank are searched then. */
    departureAt: (
      input: DepartureInput,
      height_m: number,
      side: 1 | -1 | null,
      flown: Pick<Technique, "side" | "bank_rad"> | null,
      endId: string | null,
      origin: LatLon,
    ): Outcome<DepartureAtHeight> =>
      withDay(input, (day) => {
        const start = plannedFailure(day, input, height_m);
        const stalls = start?.reaction.stalledAfter_s !== null;
        const best =
          !start || stalls
            ? null
            : flown
              ? bestTurnback(day, start.acting, start.reaction_s, { ...flown, stallMargin: input.plan.stallMargin })
              : bestBank(day, input, height_m, side);
        const candidates = input.ends.filter((end) => end.id === endId);
        const reached = start && endId !== null ? reachAfterFailure(input, start, candidates, terrain(), origin) : null;
        return {
          height_m,
          failure: start && { x_m: start.failure.x_m, y_m: start.failure.y_m },
          stalledAfter_s: start?.reaction.stalledAfter_s ?? null,
          account: best && turnbackAccount(day, input, height_m, best.technique),
          ahead: start && groundAhead(day, input, start, terrain(), planeOf(input)),
          reached: reached?.ok ? (reached.value[0] ?? null) : null,
          reachInput: start && endId !== null ? failureReach(input, start, candidates) : null,
        };
      }),

    departurePlanned: (input: DepartureInput, height_m: number): Outcome<PlannedHeight | null> =>
      withDay(input, (day) => {
        const best = bestBank(day, input, height_m);
        return best && { height_m, technique: best.technique };
      }),

    departureChance: (
      input: DepartureInput,
      planned: PlannedHeight,
      scatter: Scatter,
      slice: { seed: number; samples: number; from: number; to: number },
      hindsight: boolean,
    ): Outcome<ChanceCount> =>
      withDay(input, (day) =>
        countChance(
          day,
          input,
          planned,
          scatter,
          draws(slice.seed, slice.samples).slice(slice.from, slice.to),
          hindsight,
        ),
      ),

    departurePractice: (input: DepartureInput, bank_rad: number): Outcome<PracticeTarget[]> =>
      withDay(input, (day) =>
        (["climb", "level"] as const).flatMap((entry) =>
          [Math.PI, 2 * Math.PI].flatMap(
            (turn_rad) =>
              practiceTarget(
                day,
                input,
                entry,
                { bank_rad, stallMargin: input.plan.stallMargin },
                turn_rad,
                pilotScatter(input.pilot),
                draws(1, PRACTICE_DRAWS),
              ) ?? [],
          ),
        ),
      ),

    departureWorking: (input: DepartureInput, height_m: number, side: 1 | -1 | null): Outcome<WorkingStep[]> => {
      const day = dayOf(input);
      if (!day.ok) return day;
      const best = bestBank(day.value, input, height_m, side);
      const account = best && turnbackAccount(day.value, input, height_m, best.technique);
      return account
        ? success(turnbackWorking(day.value, input, account))
        : failure("stalls", "The reaction ends in a stall at this height: there is no turn to account for.");
    },
  };
}
