// The ratings of a helicopter's engines in a flight by hand: by the engine that gives most, ten times a second.
import { GAMMA_AIR, P0_PA, R_AIR, T0_K } from "../quantities/constants";
import { availablePower } from "../rotor/power-available";
import { type RatingsClock, clockAfter, freshClock } from "../rotor/ratings-clock";
import type { Flight } from "./flight";
import { TRACE_CHANNELS, TRACE_HZ } from "./flight-trace";

const [NR, POWER0, POWER1] = (["nr", "power0_W", "power1_W"] as const).map((name) => TRACE_CHANNELS.indexOf(name));
/** An engine that is just at its limit is not above it, share. */
const AT_LIMIT = 1.002;

/** The clock a row later; null of what has no ratings. */
export function ratingsAfter(
  { model, air }: Flight,
  clock: RatingsClock | null,
  row: readonly number[],
): RatingsClock | null {
  if (model.kind !== "rotorcraft" || model.lift.kind !== "helicopter") return null;
  const { ratings } = model.lift.aircraft.engines;
  const theta = (air.speedOfSound_mps * air.speedOfSound_mps) / (GAMMA_AIR * R_AIR) / T0_K;
  const limits_W = ratings.map(
    (rating) =>
      AT_LIMIT * availablePower({ delta: air.pressure_Pa / P0_PA, theta }, rating, Math.max(row[NR], 0.3)).power_W,
  );
  return clockAfter(clock ?? freshClock(ratings), ratings, limits_W, Math.max(row[POWER0], row[POWER1]), 1 / TRACE_HZ);
}

/** The clock over all rows; fresh before the first. */
export function ratingsSoFar(flight: Flight, rows: readonly (readonly number[])[]): RatingsClock | null {
  const { model } = flight;
  if (model.kind !== "rotorcraft" || model.lift.kind !== "helicopter") return null;
  return rows.reduce<RatingsClock | null>(
    (clock, row) => ratingsAfter(flight, clock, row),
    freshClock(model.lift.aircraft.engines.ratings),
  );
}
