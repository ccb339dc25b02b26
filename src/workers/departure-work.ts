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
import { type DepartureDay, type DepartureInput, departureDay } from "@/core/departure/departure-day";
import { type PracticeTarget, practiceTarget } from "@/core/departure/practice";
import { type AheadAtHeight, type TurnbackAtHeight, aheadAt, turnbackAt } from "@/core/departure/scan";
import { turnbackAccount } from "@/core/departure/turnback-account";
import { turnbackWorking } from "@/core/departure/turnback-working";
import {
  type DepartureAtHeight,
  type DepartureFacts,
  type LookedAt,
  departureAt,
  departureFacts,
  departurePlane,
} from "@/core/departure/departure-answer";
import type { LatLon } from "@/core/earth/geodesic";
import type { TerrainGrid } from "@/core/earth/terrain";
import { type Outcome, failure, success } from "@/core/outcome";
import type { WorkingStep } from "@/core/working";

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
  const withDay = <T>(input: DepartureInput, run: (day: DepartureDay) => T): Outcome<T> => {
    const day = dayOf(input);
    return day.ok ? success(run(day.value)) : day;
  };
  return {
    departureFacts: (input: DepartureInput): Outcome<DepartureFacts> => withDay(input, departureFacts),

    departureTurnbacks: (
      input: DepartureInput,
      bank_rad: number,
      heights_m: readonly number[],
    ): Outcome<TurnbackAtHeight[]> =>
      withDay(input, (day) => heights_m.map((height_m) => turnbackAt(day, input, height_m, bank_rad))),

    departureAhead: (input: DepartureInput, heights_m: readonly number[]): Outcome<AheadAtHeight[]> =>
      withDay(input, (day) =>
        heights_m.flatMap(
          (height_m) => aheadAt(day, input, height_m, terrain(), departurePlane(input, terrain())) ?? [],
        ),
      ),

    departureAt: (input: DepartureInput, at: LookedAt, origin: LatLon): Outcome<DepartureAtHeight> =>
      withDay(input, (day) => departureAt(day, input, at, terrain(), origin)),

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
