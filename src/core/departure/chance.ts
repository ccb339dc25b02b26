// The chance that a turn back works when the pilot and the air are not exactly as planned. Monte Carlo, seeded, in
// slices that can be computed anywhere and added up. Not here: gusts within a flight, a pilot who gives up halfway.
import { clamp } from "../numeric/clamp";
import { M_PER_FT } from "../quantities/constants";
import { plannedReaction_s } from "../situation/pilot-practice";
import { type Draw, type Scatter, delay_s, drawnBank_rad } from "../situation/scatter";
import type { AirColumn } from "../flight/air-column";
import type { DepartureDay, DepartureQuestion } from "./departure-day";
import { failureStart, motionFrom } from "./failure-start";
import { worth_m } from "./option";
import { type Technique, type TurnbackResult, flyTurnback } from "./turnback-flight";

const INTERCEPT_LEAST_RAD = Math.PI / 90;
/** No pilot flies a glide turn slower than this over the stall for long: the shaker, the buffet or the nose tells. */
const SPEED_LEAST = 1.02;

/** A technique planned for a height. */
export interface PlannedHeight {
  readonly height_m: number;
  readonly technique: Technique;
}

/** Counts of one height. */
export interface ChanceCount {
  readonly height_m: number;
  readonly flown: number;
  readonly succeeded: number;
  /** Succeeded with the best of several techniques, chosen knowing the draw: an upper bound. */
  readonly succeededInHindsight: number;
  /** Stalled before the pilot acted. */
  readonly stalled: number;
}

/** Techniques tried in hindsight, over the planned one's bank: intercept angle, straight extension. */
const HINDSIGHT = [20, 35, 50, 70].flatMap((angle_deg) =>
  [0, 6, 14].map((extension_s) => ({ intercept_rad: (angle_deg * Math.PI) / 180, extension_s })),
);

/**
 * Flies draws at a height and counts.
 *
 * @param hindsight - also look for a technique that would have worked
 */
export function countChance(
  day: DepartureDay,
  question: DepartureQuestion,
  planned: PlannedHeight,
  scatter: Scatter,
  sample: readonly Draw[],
  hindsight: boolean,
): ChanceCount {
  let [succeeded, succeededInHindsight, stalled] = [0, 0, 0];
  for (const draw of sample) {
    const flight = scattered(day, question, planned, scatter, draw);
    if (!flight) {
      stalled += 1;
      continue;
    }
    const { technique } = flight;
    if (works(flight.fly(technique))) {
      succeeded += 1;
      succeededInHindsight += 1;
    } else if (hindsight && HINDSIGHT.some((other) => works(flight.fly({ ...technique, ...other }))))
      succeededInHindsight += 1;
  }
  return { height_m: planned.height_m, flown: sample.length, succeeded, succeededInHindsight, stalled };
}

function works({ margin_m, spare_m }: TurnbackResult): boolean {
  return spare_m !== null && worth_m(margin_m, spare_m) >= 0;
}

/** The flight of one draw, ready to begin; null when the wing stalls before the pilot acts. */
function scattered(
  day: DepartureDay,
  question: DepartureQuestion,
  { height_m, technique }: PlannedHeight,
  scatter: Scatter,
  draw: Draw,
): { technique: Technique; fly(technique: Technique): TurnbackResult } | null {
  const [along, across] = [scatter.headwind_mps * draw.headwind, scatter.crosswind_mps * draw.crosswind];
  // A worse glide ratio is more drag at every lift.
  const drag = 1 / Math.max(1 + scatter.glide * draw.glide, 0.5);
  const speed = 1 + scatter.speed * draw.speed;
  const air = shiftedAir(day.air, along, across);
  const other: DepartureDay = {
    ...day,
    air,
    body: { ...day.body, cd0: day.body.cd0 * drag, k: day.body.k * drag },
    best_mps: day.best_mps * speed,
  };
  const start = failureStart(
    other,
    height_m,
    question.plan.reaction,
    delay_s(plannedReaction_s(question.pilot), scatter.delay_s, draw.delay),
    { along_mps: along, across_mps: across },
  );
  if (!start || start.reaction.stalledAfter_s !== null) return null;
  return {
    technique: {
      ...technique,
      bank_rad: drawnBank_rad(technique.bank_rad, scatter.bank_rad, draw.bank),
      stallMargin: Math.max(technique.stallMargin * speed, SPEED_LEAST),
      intercept_rad: clamp(
        technique.intercept_rad + scatter.intercept_rad * draw.intercept,
        INTERCEPT_LEAST_RAD,
        Math.PI / 2,
      ),
    },
    fly: (flown) => flyTurnback(other, motionFrom(start.acting), flown, start.reaction_s, { onlySuccess: true }),
  };
}

/** The air with the same change of wind at every height. */
function shiftedAir(air: AirColumn, along_mps: number, across_mps: number): AirColumn {
  return { ...air, alongShift_mps: air.alongShift_mps + along_mps, acrossShift_mps: air.acrossShift_mps + across_mps };
}

/**
 * Confidence band of a share: Wilson's score interval at 95 %.
 *
 * @see E. B. Wilson, J. Amer. Statist. Assoc. 22 (1927) (memory)
 */
export function wilson(succeeded: number, flown: number): { low: number; high: number } {
  const z = 1.959964;
  const share = succeeded / flown;
  const centre = share + (z * z) / (2 * flown);
  const half = z * Math.sqrt((share * (1 - share)) / flown + (z * z) / (4 * flown * flown));
  const scale = 1 + (z * z) / flown;
  return { low: Math.max(0, (centre - half) / scale), high: Math.min(1, (centre + half) / scale) };
}

/** Adds up slices of the same heights. */
export function addCounts(slices: readonly (readonly ChanceCount[])[]): ChanceCount[] {
  const sums = new Map<number, ChanceCount>();
  for (const count of slices.flat()) {
    const sum = sums.get(count.height_m);
    sums.set(
      count.height_m,
      sum
        ? {
            height_m: count.height_m,
            flown: sum.flown + count.flown,
            succeeded: sum.succeeded + count.succeeded,
            succeededInHindsight: sum.succeededInHindsight + count.succeededInHindsight,
            stalled: sum.stalled + count.stalled,
          }
        : count,
    );
  }
  return [...sums.values()].sort((a, b) => a.height_m - b.height_m);
}

/** Eleven heights about where turning back begins to work, rounded to 25 ft; 200 to 1,200 ft where it never does. */
export function chanceHeights_m(least_m: number | null): number[] {
  const step = 25 * M_PER_FT;
  const from = Math.max(Math.round(((least_m ?? 250 * M_PER_FT) - 50 * M_PER_FT) / step), 4) * step;
  return Array.from({ length: 11 }, (_, i) => from + i * 4 * step);
}
