// The ratings of a helicopter's engines in a flight by hand: by the engine that gives most, ten times a second.
import { GAMMA_AIR, P0_PA, R_AIR, T0_K } from "../quantities/constants";
import { availablePower } from "../rotor/power-available";
import { type RatingsClock, bandOf, clockAfter, freshClock } from "../rotor/ratings-clock";
import type { Flight } from "./flight";
import { TRACE_CHANNELS, TRACE_HZ } from "./flight-trace";

const [NR, POWER0, POWER1] = (["nr", "power0_W", "power1_W"] as const).map((name) => TRACE_CHANNELS.indexOf(name));
/** An engine that is just at its limit is not above it, share. */
const AT_LIMIT = 1.01;

/** A band is in use once it has been drawn for so long: on the way up the others are only passed through, rows. */
const SETTLED = TRACE_HZ;

/** The clock a row later, by the rows so far; null of what has no ratings. */
export function ratingsAfter(
  { model, air }: Flight,
  clock: RatingsClock | null,
  rows: readonly (readonly number[])[],
): RatingsClock | null {
  if (model.kind !== "rotorcraft" || model.lift.kind !== "helicopter") return null;
  const { ratings } = model.lift.aircraft.engines;
  const now = clock ?? freshClock(ratings);
  const theta = (air.speedOfSound_mps * air.speedOfSound_mps) / (GAMMA_AIR * R_AIR) / T0_K;
  const day = { delta: air.pressure_Pa / P0_PA, theta };
  const limitsOf = (row: readonly number[]) =>
    ratings.map((rating) => AT_LIMIT * availablePower(day, rating, Math.max(row[NR], 0.3)).power_W);
  const drawn = (row: readonly number[]) => bandOf(limitsOf(row), Math.max(row[POWER0], row[POWER1]));
  const last = rows.slice(-SETTLED).map(drawn);
  const band = last[last.length - 1];
  const settles = now.band === null || band === -1 || last.every((other) => other === band);
  // Bands by number: what lies in one is drawn at its limit.
  const steps = ratings.map((_, k) => ratings.length - k);
  const held = settles ? band : (now.band ?? band);
  return clockAfter(now, ratings, steps, steps[held] ?? ratings.length + 1, 1 / TRACE_HZ);
}

/** The clock over all rows; fresh before the first. */
export function ratingsSoFar(flight: Flight, rows: readonly (readonly number[])[]): RatingsClock | null {
  const { model } = flight;
  if (model.kind !== "rotorcraft" || model.lift.kind !== "helicopter") return null;
  return rows.reduce<RatingsClock | null>(
    (clock, _, i) => ratingsAfter(flight, clock, rows.slice(Math.max(i + 1 - SETTLED, 0), i + 1)),
    freshClock(model.lift.aircraft.engines.ratings),
  );
}
