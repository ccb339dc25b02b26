// Runs of a card taken out of a flight log: half turns and glides after an engine's stop or idle, in their order. What
// was marked by hand says which run it is.
import type { FoundFlight, MeasuredTurn } from "../track/analyse";
import type { Hole } from "../track/clean/clean-log";
import type { DrawnTrack } from "../track/drawn-track";
import type { Glide } from "../track/measure/glide";
import { type CardMark, type CardRun, MOST_BANK_RAD, MOST_RUNS, type TestCard } from "./test-card";

/** A log as far as runs are taken from it. */
export interface CardLog {
  readonly id: string;
  readonly name: string;
  /** UTC of its beginning, s since 1970; null where it does not tell. */
  readonly begins_s: number | null;
  readonly flights: readonly FoundFlight[];
  readonly drawn: DrawnTrack;
  readonly holes: readonly Hole[];
  /** Speed and bank through the air are known. */
  readonly airKnown: boolean;
  readonly mass_kg: number;
  /** Null where nobody knows: the card's stands for it. */
  readonly deviation_K: number | null;
}

/** A turn is a half turn from here on; how steady it was shows so much after its beginning to before its end, s. */
const [HALF_RAD, ENDS_S] = [2.6, 3];
/** A mark belongs to a run from so long before it to so long after, s. */
const MARK_S = 12;
/** The same run of the same log, s. */
const SAME_S = 5;

/** What a measured part comes to before it has a number. */
type FoundRun = Pick<
  CardRun,
  "from_s" | "to_s" | "value" | "valueSigma" | "flown" | "flownSigma" | "energy" | "time_s"
>;

function ofTurn({ from_s, to_s, heading_rad, measures }: MeasuredTurn): FoundRun | null {
  const { bank_rad, height_m, energyHeight_m, time_s } = measures;
  if (heading_rad < HALF_RAD || !bank_rad.known || !height_m.known || !time_s.known) return null;
  if (!(bank_rad.value > 0.05 && bank_rad.value < MOST_BANK_RAD)) return null;
  return {
    from_s,
    to_s,
    value: bank_rad.value,
    valueSigma: bank_rad.sigma,
    flown: height_m.value,
    flownSigma: height_m.sigma,
    energy: energyHeight_m.known ? energyHeight_m.value : height_m.value,
    time_s: time_s.value,
  };
}

function ofGlide({ from_s, to_s, eas_mps, sink_mps }: Glide): FoundRun | null {
  if (!eas_mps.known || !sink_mps.known || !(eas_mps.value > 0.05 && eas_mps.value < 200)) return null;
  return {
    from_s,
    to_s,
    value: eas_mps.value,
    valueSigma: eas_mps.sigma,
    flown: sink_mps.value,
    flownSigma: sink_mps.sigma,
    energy: sink_mps.value,
    time_s: to_s - from_s,
  };
}

/** Least and greatest of a column between two moments; null where there is none. */
function range({ time_s }: DrawnTrack, values: Float64Array, from_s: number, to_s: number) {
  let [least, most, sum, count] = [Infinity, -Infinity, 0, 0];
  for (let i = 0; i < time_s.length; i += 1) {
    if (time_s[i] < from_s || time_s[i] > to_s || !Number.isFinite(values[i])) continue;
    const value = Math.abs(values[i]);
    least = Math.min(least, value);
    most = Math.max(most, value);
    sum += value;
    count += 1;
  }
  return count > 0 ? { least, most, mean: sum / count } : null;
}

/** Number of the run that was marked about then; null where none was. */
function markedRun(marks: readonly CardMark[], begins_s: number | null, { from_s, to_s }: FoundRun): number | null {
  if (begins_s === null) return null;
  const [from_ms, to_ms] = [(begins_s + from_s - MARK_S) * 1000, (begins_s + to_s + MARK_S) * 1000];
  const near = marks.filter(({ removed, at_ms }) => !removed && at_ms >= from_ms && at_ms <= to_ms);
  const counts = new Map<number, number>();
  for (const { run } of near) counts.set(run, (counts.get(run) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || a[0] - b[0]).at(0)?.[0] ?? null;
}

/**
 * The card with the runs of a log added; what it has of that log already stays as it is.
 *
 * @param newId - an id that nothing has
 */
export function filledCard(card: TestCard, log: CardLog, marks: readonly CardMark[], newId: () => string): TestCard {
  const failures = log.flights.flatMap((flight) => flight.failures);
  const found = (
    card.kind === "half-turn"
      ? failures.flatMap(({ turns }) => turns.map(ofTurn))
      : failures.flatMap(({ glides }) => glides.map(ofGlide))
  )
    .filter((run) => run !== null)
    .sort((a, b) => a.from_s - b.from_s);
  const runs = [...card.runs];
  const taken = new Set(runs.map(({ number }) => number));
  const free = () => {
    let number = 1;
    while (taken.has(number)) number += 1;
    return number;
  };
  for (const run of found) {
    if (runs.length >= MOST_RUNS) break;
    if (runs.some(({ logId, from_s }) => logId === log.id && Math.abs(from_s - run.from_s) < SAME_S)) continue;
    const marked = markedRun(marks, log.begins_s, run);
    const number = marked !== null && !taken.has(marked) ? marked : free();
    taken.add(number);
    runs.push({
      ...run,
      ...about(log, run),
      mass_kg: log.mass_kg,
      deviation_K: log.deviation_K ?? card.deviation_K,
      id: newId(),
      number,
      logId: log.id,
      logName: log.name,
      leftOut: null,
    });
  }
  return { ...card, runs: runs.sort((a, b) => a.number - b.number) };
}

/** What else the log shows of a run. */
function about(
  { drawn, begins_s, holes, airKnown }: CardLog,
  { from_s, to_s, value }: FoundRun,
): Pick<CardRun, "at_s" | "altitude_m" | "speed" | "bank" | "hole_s"> {
  const within = to_s - from_s > 3 * ENDS_S ? ENDS_S : 0;
  const [from, to] = [from_s + within, to_s - within];
  const speed = airKnown ? range(drawn, drawn.eas_mps, from, to) : null;
  const bank = airKnown ? range(drawn, drawn.bank_rad, from, to) : null;
  const altitude = range(drawn, drawn.altitude_m, from_s, to_s)?.mean ?? 0;
  return {
    at_s: begins_s === null ? null : begins_s + from_s,
    altitude_m: Math.min(Math.max(altitude, -500), 12_000),
    speed:
      speed && speed.mean > 0.05 && speed.mean < 200
        ? { mean: speed.mean, least: speed.least, most: Math.min(speed.most, 400) }
        : null,
    bank: bank && value < MOST_BANK_RAD ? { least: Math.min(bank.least, 1.6), most: Math.min(bank.most, 1.6) } : null,
    hole_s: holes
      .map((hole) => Math.min(hole.to_s, to_s) - Math.max(hole.from_s, from_s))
      .reduce((sum, seconds) => sum + Math.max(seconds, 0), 0),
  };
}
