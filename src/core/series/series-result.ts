// A series beside its prediction: each run with its difference and what explains it, all that count together, the curve
// that was flown, what it says of the aircraft.
import { bestGlide } from "../glide/straight-glide";
import { goldenMinimum } from "../numeric/golden-section";
import { type Outcome, success } from "../outcome";
import { radians } from "../quantities/angle";
import { MPS_PER_KT } from "../quantities/constants";
import { type CardDay, briefedSpeed_mps, cardDay, middle_m, predictedRun } from "./predicted-run";
import { OUTLIER_SCORE, type SeriesStatistics, outlierScores, seriesStatistics } from "./series-statistics";
import { type CardRun, MOST_BANK_RAD, type TestCard } from "./test-card";

/** Speed or bank that changes by more than this within a run is not held, m/s and rad. Common practice. */
const [STEADY_MPS, STEADY_RAD] = [10 * MPS_PER_KT, radians(12)];
/** A turn flown so far from its briefed speed is another one, m/s. Common practice. */
const OFF_BRIEF_MPS = 5 * MPS_PER_KT;
/** So many standard deviations hold in 95 of 100; half of a run's bound is taken for common to all. Common practice. */
const [TWO_SIGMA, COMMON_SHARE] = [2, 0.5];

/** @see seriesResult */
export interface SeriesRow {
  readonly run: CardRun;
  /** Null where nothing is predicted there: `reason` says why. */
  readonly predicted: number | null;
  readonly reason: string | null;
  /** Equivalent airspeed that was briefed for its bank; of a glide its own. */
  readonly briefedEas_mps: number;
  /** Flown less predicted; likewise of what follows. */
  readonly difference: number | null;
  /** Of the difference: what another speed than the briefed one costs, and what speed was gained. */
  readonly bySpeed: number | null;
  readonly byGain: number | null;
  /** Modified score among the runs that count, or would. */
  readonly score: number;
  readonly doubts: readonly RunDoubt[];
}

/** Why a run may not count. */
export type RunDoubt = "speed" | "bank" | "hole" | "outlier";

/** A point of a curve. */
export interface CurvePoint {
  readonly value: number;
  readonly predicted: number;
}

/** @see seriesResult */
export interface SeriesResult {
  readonly rows: readonly SeriesRow[];
  /** Of flown over predicted of the runs that count; null where none does. */
  readonly asBriefed: SeriesStatistics | null;
  /** The same for the speed and the change of speed as they were flown: what it says of the aircraft alone. */
  readonly aircraft: SeriesStatistics | null;
  /** Share that all runs may be off by together: they are measured by one way, and more runs do not mend that. */
  readonly common: number;
  readonly curve: readonly CurvePoint[];
  readonly briefed: {
    readonly predicted: number;
    readonly time_s: number;
    readonly eas_mps: number;
    readonly overStall: number;
  };
  /** Where the curve is least, of half turns. */
  readonly least: CurvePoint | null;
  /** Best glide of the book. */
  readonly bookRatio: number;
}

/** Points of a curve. */
const CURVE_POINTS = 60;

function curveOf(day: CardDay, card: TestCard): CurvePoint[] {
  const values = [...card.points, card.briefed, ...card.runs.map(({ value }) => value)];
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const margin = Math.max((most - least) * 0.08, most * 0.05);
  const [from, to] = [Math.max(least - margin, 0.06), most + margin];
  return Array.from({ length: CURVE_POINTS + 1 }, (_, i) => from + ((to - from) * i) / CURVE_POINTS).flatMap(
    (value) => {
      const predicted = predictedRun(day, value, middle_m(card));
      return predicted.ok ? [{ value, predicted: predicted.value.amount }] : [];
    },
  );
}

function rowOf(card: TestCard, run: CardRun): Omit<SeriesRow, "score"> & { readonly aircraft: number | null } {
  const none = { predicted: null, difference: null, bySpeed: null, byGain: null, aircraft: null };
  const ownDay = cardDay(card, run);
  if (!ownDay.ok) return { run, ...none, briefedEas_mps: run.value, reason: ownDay.issue.message, doubts: [] };
  const day = ownDay.value;
  const predicted = predictedRun(day, run.value, run.altitude_m);
  const doubts = steadyDoubts(day, run);
  const turning = card.kind === "half-turn";
  const briefedEas_mps = turning && run.value < MOST_BANK_RAD ? briefedSpeed_mps(day, run.value) : run.value;
  if (!predicted.ok) return { run, ...none, briefedEas_mps, reason: predicted.issue.message, doubts };
  const own = turning && run.speed ? predictedRun(day, run.value, run.altitude_m, run.speed.mean) : predicted;
  const amount = predicted.value.amount;
  return {
    run,
    predicted: amount,
    reason: null,
    briefedEas_mps,
    difference: run.flown - amount,
    bySpeed: own.ok ? own.value.amount - amount : null,
    byGain: run.flown - run.energy,
    doubts,
    aircraft: own.ok ? run.energy / own.value.amount : null,
  };
}

function steadyDoubts(day: CardDay, { speed, bank, hole_s, value }: CardRun): RunDoubt[] {
  const turning = day.card.kind === "half-turn";
  const doubts: RunDoubt[] = [];
  const offBrief = turning && speed ? Math.abs(speed.mean - briefedSpeed_mps(day, value)) > OFF_BRIEF_MPS : false;
  if (speed && (offBrief || speed.most - speed.least > STEADY_MPS)) doubts.push("speed");
  if (turning && bank && bank.most - bank.least > STEADY_RAD) doubts.push("bank");
  if (hole_s > 0) doubts.push("hole");
  return doubts;
}

/**
 * A card's runs beside their prediction. Each counts alike; those that are left out are shown and not counted.
 *
 * @returns failures of the polar, and of the prediction at the briefed value
 */
export function seriesResult(card: TestCard): Outcome<SeriesResult> {
  const day = cardDay(card);
  if (!day.ok) return day;
  const briefed = predictedRun(day.value, card.briefed, middle_m(card));
  if (!briefed.ok) return briefed;
  const rows = card.runs.map((run) => rowOf(card, run));
  const ratio = ({ run, predicted }: (typeof rows)[number]) => (predicted === null ? null : run.flown / predicted);
  const known = rows.filter((row) => row.predicted !== null);
  const scores = outlierScores(known.map((row) => ratio(row) ?? 1));
  const counted = rows.filter(({ run, predicted }) => run.leftOut === null && predicted !== null);
  const curve = curveOf(day.value, card);
  return success({
    rows: rows.map(({ aircraft: _, ...row }) => {
      const score = scores[known.findIndex(({ run }) => run.id === row.run.id)] ?? 0;
      // Within what the log can tell nothing is an outlier.
      const beyond = Math.abs(row.difference ?? 0) > TWO_SIGMA * row.run.flownSigma;
      const out = Math.abs(score) > OUTLIER_SCORE && beyond;
      return { ...row, score, doubts: out ? [...row.doubts, "outlier" as const] : row.doubts };
    }),
    asBriefed: seriesStatistics(counted.map((row) => ratio(row) ?? 1)),
    aircraft: seriesStatistics(counted.flatMap(({ aircraft }) => (aircraft === null ? [] : [aircraft]))),
    common: commonOf(counted),
    curve,
    briefed: {
      predicted: briefed.value.amount,
      time_s: briefed.value.time_s,
      eas_mps: briefed.value.eas_mps,
      overStall: briefed.value.overStall,
    },
    least: card.kind === "half-turn" ? leastOf(day.value, card, curve) : null,
    bookRatio: bestGlide(day.value.polar).ratio,
  });
}

function commonOf(rows: readonly { readonly run: CardRun; readonly predicted: number | null }[]): number {
  const shares = rows.map(({ run, predicted }) => (TWO_SIGMA * run.flownSigma) / Math.max(predicted ?? 1, 1e-6));
  return shares.length > 0 ? (COMMON_SHARE * shares.reduce((sum, share) => sum + share, 0)) / shares.length : 0;
}

/** Bound of a mean with what all runs share; null of fewer than two. */
export function wholeBound({ meanBound }: SeriesStatistics, common: number): number | null {
  return meanBound === null ? null : Math.hypot(meanBound, common);
}

/** The bank of least height within the curve. */
function leastOf(day: CardDay, card: TestCard, curve: readonly CurvePoint[]): CurvePoint | null {
  const [first, last] = [curve.at(0), curve.at(-1)];
  if (!first || !last) return null;
  const at = (bank: number) => {
    const run = predictedRun(day, bank, middle_m(card));
    return run.ok ? run.value.amount : Infinity;
  };
  const value = goldenMinimum(at, first.value, last.value, 1e-4);
  return { value, predicted: at(value) };
}

/** What the runs say of the book: it holds, is too good or too poor by a share, or too few runs tell. */
export type SeriesVerdict =
  | { readonly says: "too few" }
  | { readonly says: "agrees" | "too good" | "too poor"; readonly by: number; readonly bound: number };

/** Fewer runs than this say nothing of a book. Common practice. */
export const LEAST_RUNS = 3;

/** What the runs say of the aircraft: different only where the bound of the mean leaves 1 outside. */
export function seriesVerdict({ aircraft, common }: Pick<SeriesResult, "aircraft" | "common">): SeriesVerdict {
  const bound = aircraft && wholeBound(aircraft, common);
  if (!aircraft || bound === null || aircraft.count < LEAST_RUNS) return { says: "too few" };
  const by = aircraft.mean - 1;
  return { says: Math.abs(by) <= bound ? "agrees" : by > 0 ? "too good" : "too poor", by: Math.abs(by), bound };
}
