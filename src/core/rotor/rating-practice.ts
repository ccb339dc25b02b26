// Practising with the ratings' clock: a demand of the collective, an engine that lags and a governor that gives what it
// may; the rotor droops when more is asked than there is.
import type { Rating } from "../aircraft/helicopter";
import { clamp } from "../numeric/clamp";
import { type RatingsClock, clockAfter, freshClock } from "./ratings-clock";
import { ENGINE_LAG_S } from "./rotor-motion";

/** Rotor speed is brought back within this, s, as far as the power reaches. */
const GOVERNOR_S = 1;
/** The governor lets the rotor be no faster than this, of 100 %. */
const MOST_NR = 1.1;

/** The helicopter that the practice is about. */
export interface PracticeCase {
  readonly ratings: readonly Rating[];
  /** What one engine gives at each rating now. */
  readonly limits_W: readonly number[];
  /** Of the hover, at nominal rotor speed. */
  readonly hover_W: number;
  /** Rotational energy at nominal rotor speed, twice: J·Ω². */
  readonly inertia_J: number;
  /** Rotor speeds, of 100 %: what is kept in flight, and below which it is over. */
  readonly nrMinFlight: number;
  readonly nrOver: number;
}

/** Where the practice stands. */
export interface Practice {
  readonly clock: RatingsClock;
  readonly nr: number;
  /** Of the live engine. */
  readonly engine_W: number;
  /** The rotor is too slow to go on. */
  readonly over: boolean;
}

/** Both engines share the hover, then one is gone. */
export function freshPractice({ ratings, hover_W }: PracticeCase): Practice {
  return { clock: freshClock(ratings), nr: 1, engine_W: hover_W / 2, over: false };
}

/**
 * A step of the practice.
 *
 * @param demand - power that the collective asks for, over that of the hover
 * @param limiter - index of the rating that the engine is held to; null overrides it: the engine gives what is asked,
 *   up to a tenth above its highest rating
 * @param step_s - 0.02 to 0.5
 */
export function practiceAfter(
  { ratings, limits_W, hover_W, inertia_J, nrOver }: PracticeCase,
  { clock, nr, engine_W, over }: Practice,
  demand: number,
  limiter: number | null,
  step_s: number,
): Practice {
  if (over) return { clock, nr, engine_W, over };
  // Blades at a pitch take power with the cube of their speed.
  const takes_W = demand * hover_W * nr ** 3;
  const most_W = limiter === null ? limits_W[0] * 1.1 : limits_W[limiter] * Math.min(nr, 1);
  const wanted_W = clamp(takes_W + (inertia_J * nr * (1 - nr)) / GOVERNOR_S, 0, most_W);
  const lagged_W = engine_W + (wanted_W - engine_W) * (1 - Math.exp(-step_s / ENGINE_LAG_S));
  const turned = nr + ((lagged_W - takes_W) / (inertia_J * nr)) * step_s;
  return {
    clock: clockAfter(clock, ratings, limits_W, lagged_W, step_s),
    nr: clamp(turned, nrOver, MOST_NR),
    engine_W: lagged_W,
    over: turned <= nrOver,
  };
}
