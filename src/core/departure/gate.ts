// From which height to turn back: by chance, by school.
import { assertNever } from "../outcome";
import type { DeparturePlan } from "../situation/departure-plan";

/** A point of the chance curve. */
export interface ChancePoint {
  readonly height_m: number;
  /** Share that succeeded, 0 to 1. */
  readonly chance: number;
}

/**
 * The lowest height from which the chance stays at the level asked for, over all heights above it that were looked at.
 *
 * @param curve - by rising height
 * @returns interpolated between the points; the first height when the level holds from there; null when it is not
 *   held at the top
 */
export function gateOf(curve: readonly ChancePoint[], required: number): number | null {
  const last = curve.findLastIndex((point) => point.chance < required);
  if (last === curve.length - 1) return null;
  if (last < 0) return curve[0].height_m;
  const [a, b] = [curve[last], curve[last + 1]];
  return a.height_m + ((b.height_m - a.height_m) * (required - a.chance)) / (b.chance - a.chance);
}

/** The gates of the schools, side by side. */
export interface SchoolGates {
  /** Ahead below; considered from here on. */
  readonly fixed_m: number;
  readonly computed_m: number | null;
  /** What the chosen school makes of them; null: no turning back. */
  readonly gate_m: number | null;
  /** Which of them decides. */
  readonly decides: "fixed" | "computed" | "none";
}

/**
 * The gate of the chosen school. `spot-ahead` keeps a landable place in front instead of turning back: it has no gate.
 *
 * @param computed_m - by chance; null when the level asked for is never held
 */
export function schoolGates(
  { school, fixedConsider_m }: Pick<DeparturePlan, "school" | "fixedConsider_m">,
  computed_m: number | null,
): SchoolGates {
  const gates = { fixed_m: fixedConsider_m, computed_m };
  switch (school) {
    case "fixed":
      return { ...gates, gate_m: fixedConsider_m, decides: "fixed" };
    case "computed":
      return { ...gates, gate_m: computed_m, decides: computed_m === null ? "none" : "computed" };
    case "higher":
      if (computed_m === null) return { ...gates, gate_m: null, decides: "none" };
      return computed_m > fixedConsider_m
        ? { ...gates, gate_m: computed_m, decides: "computed" }
        : { ...gates, gate_m: fixedConsider_m, decides: "fixed" };
    case "spot-ahead":
      return { ...gates, gate_m: null, decides: "none" };
    default:
      return assertNever(school);
  }
}
