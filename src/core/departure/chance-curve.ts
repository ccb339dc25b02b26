// The chance of a turn back by failure height, put together from counts, and the gate that follows from it.
import { schoolGates, type SchoolGates, gateOf } from "./gate";
import { type ChanceCount, addCounts, wilson } from "./chance";
import type { DeparturePlan } from "../situation/departure-plan";

/** A point of the chance curve. */
export interface ChanceCurvePoint {
  readonly height_m: number;
  /** Share that aligned, reached and stopped, with its 95 % band. */
  readonly chance: number;
  readonly low: number;
  readonly high: number;
  /** Share that a technique chosen knowing the draw would have saved; null where none was looked for. */
  readonly hindsight: number | null;
  /** Share that stalled before the pilot acted. */
  readonly stalled: number;
}

/**
 * The curve of counts, by rising height.
 *
 * @param heights_m - all that were asked about; one without a count stalls in the reaction and has no chance
 * @param hindsight - whether the counts looked for a technique in hindsight
 */
export function chanceCurve(
  heights_m: readonly number[],
  counts: readonly ChanceCount[],
  hindsight: boolean,
): ChanceCurvePoint[] {
  const sums = addCounts([counts]);
  return [...heights_m]
    .sort((a, b) => a - b)
    .map((height_m) => {
      const count = sums.find((candidate) => candidate.height_m === height_m);
      if (!count) return { height_m, chance: 0, low: 0, high: 0, hindsight: hindsight ? 0 : null, stalled: 1 };
      return {
        height_m,
        chance: count.succeeded / count.flown,
        ...wilson(count.succeeded, count.flown),
        hindsight: hindsight ? count.succeededInHindsight / count.flown : null,
        stalled: count.stalled / count.flown,
      };
    });
}

/** The gates that follow from a curve. */
export function chanceGates(
  plan: Pick<DeparturePlan, "school" | "fixedConsider_m" | "requiredChance">,
  curve: readonly ChanceCurvePoint[],
): SchoolGates {
  return schoolGates(plan, gateOf(curve, plan.requiredChance));
}

/**
 * The heights between which the gate lies: more draws there settle it, and nowhere else.
 *
 * @returns the highest at which the chance is missed and the next above it; one alone at either end of the curve
 */
export function gateBracket_m(curve: readonly ChanceCurvePoint[], required: number): number[] {
  const last = curve.findLastIndex((point) => point.chance < required);
  return curve.slice(Math.max(last, 0), last + 2).map(({ height_m }) => height_m);
}

/** The chance at a height between the curve's points; null outside them. */
export function chanceAt(
  curve: readonly Pick<ChanceCurvePoint, "height_m" | "chance">[],
  height_m: number,
): number | null {
  const i = curve.findIndex((point) => point.height_m >= height_m);
  if (i < 0) return null;
  if (i === 0) return curve[0].height_m === height_m ? curve[0].chance : null;
  const [a, b] = [curve[i - 1], curve[i]];
  return a.chance + ((b.chance - a.chance) * (height_m - a.height_m)) / (b.height_m - a.height_m);
}
