// The best turnback from a height for one side and bank: over the intercept angle and the straight extension.
import { clamp } from "../numeric/clamp";
import { goldenMinimum } from "../numeric/golden-section";
import { RUNWAY_SHARE, worth_m } from "./option";
import { motionFrom } from "./failure-start";
import type { Motion } from "../flight/point-mass";
import { type Technique, type TurnbackCase, type TurnbackResult, flyTurnback } from "./turnback-flight";

/** A turnback with what it is worth. */
export interface Turnback {
  readonly technique: Technique;
  readonly result: TurnbackResult;
  /** min(margin, a tenth of the spare runway), m; it works when this is 0 or more. */
  readonly score_m: number;
}

/** Intercept angles tried first, and how fine the best is then settled. */
const COARSE_RAD = [4, 10, 18, 27, 38, 50, 64, 80].map((angle_deg) => (angle_deg * Math.PI) / 180);
const FINEST_RAD = (2 * Math.PI) / 180;
/** Extensions that bracket the one at which reaching and stopping bind alike, s; the last is the longest looked at. */
const EXTENSIONS_S = [3, 8, 16, 30, 60, 110];
const EXTENSION_FINEST_S = 0.3;
/** Rounds in which extension and angle are settled in turn, and the angles tried in each, over the one before. */
const ANGLES = [
  [0.5, 0.75, 1, 1.35, 1.8],
  [0.85, 1, 1.15],
];

/** A score this near to the most there can be is not improved further, m. */
const CEILING_TOLERANCE_M = 0.1;

/** Flies a technique from the end of the reaction and says what it is worth. */
export function turnbackBy(
  day: TurnbackCase,
  acting: Readonly<Motion>,
  began_s: number,
  technique: Technique,
): Turnback {
  const result = flyTurnback(day, motionFrom(acting), technique, began_s);
  // A flight that never aligns has no runway to speak of; it is compared by its height alone.
  return {
    technique,
    result,
    score_m: result.spare_m === null ? result.margin_m : worth_m(result.margin_m, result.spare_m),
  };
}

/**
 * The best turnback of a side and bank.
 *
 * The angle is searched on a grid and refined by golden section. While reaching binds, extending only costs height;
 * when stopping binds, the extension at which both bind alike is solved for, continuously, because a grid finds gaps
 * that are not there; then the angle is settled again, and both once more.
 *
 * @param began_s - length of the reaction
 */
export function bestTurnback(
  day: TurnbackCase,
  acting: Readonly<Motion>,
  began_s: number,
  fixed: Pick<Technique, "side" | "bank_rad" | "stallMargin">,
): Turnback {
  const fly = (intercept_rad: number, extension_s: number) =>
    turnbackBy(day, acting, began_s, { ...fixed, intercept_rad, extension_s });
  let best = fly(COARSE_RAD[0], 0);
  const keep = (candidate: Turnback): Turnback => {
    if (candidate.score_m > best.score_m) best = candidate;
    return candidate;
  };
  const settleAngle = (angles: readonly number[], extension_s: number) => {
    const cost = (angle: number) => -keep(fly(angle, extension_s)).score_m;
    const costs = angles.map(cost);
    const i = costs.indexOf(Math.min(...costs));
    goldenMinimum(cost, angles[Math.max(i - 1, 0)], angles[Math.min(i + 1, angles.length - 1)], FINEST_RAD);
  };
  /** Positive while stopping binds. */
  const excess = ({ result }: Turnback) =>
    result.spare_m === null ? Infinity : result.margin_m - RUNWAY_SHARE * result.spare_m;
  const settleExtension = (intercept_rad: number, from: Turnback) => {
    let [low, low_s] = [excess(from), from.technique.extension_s];
    for (const extension_s of EXTENSIONS_S) {
      if (extension_s <= low_s) continue;
      let [high, high_s] = [excess(keep(fly(intercept_rad, extension_s))), extension_s];
      if (high > 0) {
        [low, low_s] = [high, high_s];
        continue;
      }
      // Regula falsi, with the end that stays put weakened each time (Illinois).
      while (high_s - low_s > EXTENSION_FINEST_S) {
        const share = Number.isFinite(low - high) ? clamp(low / (low - high), 0.1, 0.9) : 0.5;
        const middle_s = low_s + share * (high_s - low_s);
        const middle = excess(keep(fly(intercept_rad, middle_s)));
        if (middle > 0) [low, low_s, high] = [middle, middle_s, high / 2];
        else [high, high_s, low] = [middle, middle_s, low / 2];
        if (Math.abs(middle) < 0.5) break;
      }
      return;
    }
  };
  settleAngle(COARSE_RAD, 0);
  // Landing at the very end of the runway leaves the most that any technique can.
  const { flare_m, roll_m } = best.result.roll;
  const ceiling_m = RUNWAY_SHARE * (day.runway.length_m - flare_m - roll_m) - CEILING_TOLERANCE_M;
  for (const angles of ANGLES) {
    if (best.result.spare_m === null || excess(best) <= 0 || best.score_m > ceiling_m) return best;
    const { intercept_rad } = best.technique;
    settleExtension(intercept_rad, best);
    const { technique } = best;
    settleAngle(
      angles.map((factor) => Math.min(technique.intercept_rad * factor, Math.PI / 2)),
      technique.extension_s,
    );
  }
  return best;
}
