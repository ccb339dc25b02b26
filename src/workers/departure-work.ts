// The departure's computations as the worker offers them. No formulas here; what is set up for a question is kept for
// the next about the same.
import { bestBank } from "@/core/departure/best-bank";
import { type ChanceCount, type PlannedHeight, countChance } from "@/core/departure/chance";
import { type Scatter, draws, pilotScatter } from "@/core/situation/scatter";
import { type DepartureDay, type DepartureQuestion, departureDay } from "@/core/departure/departure-day";
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
import { type WorksFrom, worksFrom } from "@/core/departure/works-from";
import type { LatLon } from "@/core/earth/geodesic";
import type { TerrainGrid } from "@/core/earth/terrain";
import { type Outcome, failure, success } from "@/core/outcome";
import type { WorkingStep } from "@/core/working";

/** Draws for the tolerance of a practice turn. */
const PRACTICE_DRAWS = 150;

let kept: { key: string; day: Outcome<DepartureDay> } | null = null;

function dayOf(question: DepartureQuestion): Outcome<DepartureDay> {
  const key = JSON.stringify(question);
  if (kept?.key !== key) kept = { key, day: departureDay(question) };
  return kept.day;
}

/** The part of the worker that departures ask. */
export function departureWork(terrain: () => TerrainGrid | null) {
  const withDay = <T>(question: DepartureQuestion, run: (day: DepartureDay) => T): Outcome<T> => {
    const day = dayOf(question);
    return day.ok ? success(run(day.value)) : day;
  };
  return {
    departureFacts: (question: DepartureQuestion): Outcome<DepartureFacts> => withDay(question, departureFacts),

    departureTurnbacks: (
      question: DepartureQuestion,
      bank_rad: number,
      heights_m: readonly number[],
    ): Outcome<TurnbackAtHeight[]> =>
      withDay(question, (day) => heights_m.map((height_m) => turnbackAt(day, question, height_m, bank_rad))),

    departureWorksFrom: (question: DepartureQuestion, bank_rad: number): Outcome<WorksFrom> =>
      withDay(question, (day) => worksFrom(day, question, bank_rad)),

    departureAhead: (question: DepartureQuestion, heights_m: readonly number[]): Outcome<AheadAtHeight[]> =>
      withDay(question, (day) =>
        heights_m.flatMap(
          (height_m) => aheadAt(day, question, height_m, terrain(), departurePlane(question, terrain())) ?? [],
        ),
      ),

    departureAt: (question: DepartureQuestion, lookedAt: LookedAt, origin: LatLon): Outcome<DepartureAtHeight> =>
      withDay(question, (day) => departureAt(day, question, lookedAt, terrain(), origin)),

    departurePlanned: (question: DepartureQuestion, height_m: number): Outcome<PlannedHeight | null> =>
      withDay(question, (day) => {
        const best = bestBank(day, question, height_m);
        return best && { height_m, technique: best.technique };
      }),

    departureChance: (
      question: DepartureQuestion,
      planned: PlannedHeight,
      scatter: Scatter,
      slice: { seed: number; samples: number; from: number; to: number },
      hindsight: boolean,
    ): Outcome<ChanceCount> =>
      withDay(question, (day) =>
        countChance(
          day,
          question,
          planned,
          scatter,
          draws(slice.seed, slice.samples).slice(slice.from, slice.to),
          hindsight,
        ),
      ),

    departurePractice: (question: DepartureQuestion, bank_rad: number): Outcome<PracticeTarget[]> =>
      withDay(question, (day) =>
        (["climb", "level"] as const).flatMap((entry) =>
          [Math.PI, 2 * Math.PI].flatMap(
            (turn_rad) =>
              practiceTarget(
                day,
                question,
                entry,
                { bank_rad, stallMargin: question.plan.stallMargin },
                turn_rad,
                pilotScatter(question.pilot),
                draws(1, PRACTICE_DRAWS),
              ) ?? [],
          ),
        ),
      ),

    departureWorking: (question: DepartureQuestion, height_m: number, side: 1 | -1 | null): Outcome<WorkingStep[]> => {
      const day = dayOf(question);
      if (!day.ok) return day;
      const best = bestBank(day.value, question, height_m, side);
      const account = best && turnbackAccount(day.value, question, height_m, best.technique);
      return account
        ? success(turnbackWorking(day.value, question, account))
        : failure("stalls", "The reaction ends in a stall at this height: there is no turn to account for.");
    },
  };
}
