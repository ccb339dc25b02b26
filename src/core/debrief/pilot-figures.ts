// A pilot's own figures from what was flown and simulated: how long it takes to act, how steeply is turned, with the
// spread and from how many.
import type { FlownResult } from "../exercise/flown-result";
import type { OwnFigures } from "../situation/situation-document";

/** What one engine stop that was flown to the ground shows of the hand; null where it does not. */
export interface FlownHand {
  /** UTC, s since 1970; null where the log does not tell. */
  readonly at_s: number | null;
  readonly reaction_s: number | null;
  readonly bank_rad: number | null;
  /** Where it touched, past the threshold, m; left out where that is not known. */
  readonly spot_m?: number;
}

/** A figure from several: its mean and standard deviation (0 of one). */
export interface OwnFigure {
  readonly mean: number;
  readonly spread: number;
  readonly count: number;
}

/** @see pilotFigures */
export interface PilotFigures {
  /** Engine stops in logs, and flights by hand in the simulator, that show something. */
  readonly flown: number;
  readonly simulated: number;
  readonly reaction_s: OwnFigure | null;
  readonly bank_rad: OwnFigure | null;
  /** Speed beside the one to hold, of flights by hand; where it touched past the threshold, of logs. */
  readonly speed_mps: OwnFigure | null;
  readonly spot_m: OwnFigure | null;
  /** When the last of them was, UTC, s since 1970; null where none tells. */
  readonly last_s: number | null;
}

/** Mean and standard deviation of a sample; null of none. */
function figureOf(values: readonly number[]): OwnFigure | null {
  const count = values.length;
  if (count === 0) return null;
  const mean = values.reduce((sum, value) => sum + value, 0) / count;
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return { mean, spread: count > 1 ? Math.sqrt(squares / (count - 1)) : 0, count };
}

const known = (values: readonly (number | null)[]) => values.filter((value): value is number => value !== null);

/**
 * Pools them; each counts alike.
 *
 * @returns null where nothing shows a hand
 * @see mean and sample standard deviation, n − 1
 */
export function pilotFigures(
  flown: readonly FlownHand[],
  simulated: readonly (Pick<FlownResult, "hand"> & { readonly at_s: number })[],
): PilotFigures | null {
  const shown = flown.filter(({ reaction_s, bank_rad }) => reaction_s !== null || bank_rad !== null);
  const byHand = simulated.flatMap(({ hand, at_s }) => (hand ? [{ ...hand, at_s }] : []));
  const times = known([...shown, ...byHand].map(({ at_s }) => at_s));
  if (shown.length + byHand.length === 0) return null;
  return {
    flown: shown.length,
    simulated: byHand.length,
    last_s: times.length > 0 ? Math.max(...times) : null,
    reaction_s: figureOf([
      ...known(shown.map(({ reaction_s }) => reaction_s)),
      ...byHand.map(({ reaction_s }) => reaction_s),
    ]),
    bank_rad: figureOf([
      ...known(shown.map(({ bank_rad }) => bank_rad)),
      ...known(byHand.map(({ bank }) => bank?.mean_rad ?? null)),
    ]),
    speed_mps: figureOf(byHand.map(({ speed }) => speed.off_mps)),
    spot_m: figureOf(known(flown.map(({ spot_m }) => spot_m ?? null))),
  };
}

/** Figures that a situation can hold: standard deviations with their counts, and the day of the last. */
export function ownFiguresOf({ reaction_s, bank_rad, last_s }: PilotFigures): OwnFigures {
  const spreadOf = (figure: OwnFigure | null, most: number) =>
    figure && { spread: Math.min(figure.spread, most), count: Math.min(figure.count, 100_000) };
  return {
    reaction_s: spreadOf(reaction_s, 15),
    bank_rad: spreadOf(bank_rad, 0.8),
    last: last_s === null ? null : new Date(last_s * 1000).toISOString().slice(0, 10),
  };
}
