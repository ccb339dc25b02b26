// How an aeroplane climbs with all engines, by altitude.
import type { PoweredFlight } from "../engine/powered-flight";
import { accelerationFactor } from "../glide/acceleration-factor";
import { heldCas_mps } from "../glide/steady-descent";
import { M_PER_FT } from "../quantities/constants";
import type { RouteQuestion } from "./route-question";

/** It climbs no farther when the rate has fallen to this. Service ceiling of one engine: 100 ft/min. */
export const CEILING_MPS = (100 * M_PER_FT) / 60;
/** Steps of the climb's table, m. */
export const BAND_M = 100;

/** Rate of climb and true airspeed by altitude, joined linearly. */
export interface ClimbTable {
  readonly eas_mps: number;
  readonly ceiling_m: number;
  at(altitude_m: number): { readonly rate_mps: number; readonly tas_mps: number };
}

/** The table, at the speed of the best rate or the rate that the route gives. */
export function climbTable(
  flight: PoweredFlight,
  question: Pick<RouteQuestion, "air"> & { readonly route: Pick<RouteQuestion["route"], "climb_mps"> },
  low_m: number,
  high_m: number,
): ClimbTable {
  const count = Math.max(2, Math.ceil((high_m - low_m) / BAND_M) + 1);
  const eas_mps = flight.bestRate_mps(low_m);
  const rows = Array.from({ length: count }, (_, i) => {
    const altitude_m = low_m + i * BAND_M;
    const { tas_mps, sine } = flight.excess(eas_mps, altitude_m);
    const factor = 1 + accelerationFactor(heldCas_mps(eas_mps, altitude_m, question.air), altitude_m, question.air);
    return { rate_mps: question.route.climb_mps ?? (tas_mps * sine) / factor, tas_mps };
  });
  const last = rows.findIndex(({ rate_mps }) => rate_mps <= CEILING_MPS);
  return {
    eas_mps,
    ceiling_m: last < 0 ? Infinity : low_m + Math.max(0, last - 1) * BAND_M,
    at: (altitude_m: number) => {
      const place = Math.min(Math.max((altitude_m - low_m) / BAND_M, 0), count - 1);
      const i = Math.min(Math.floor(place), count - 2);
      const mix = (of: "rate_mps" | "tas_mps") => rows[i][of] + (place - i) * (rows[i + 1][of] - rows[i][of]);
      return { rate_mps: mix("rate_mps"), tas_mps: mix("tas_mps") };
    },
  };
}
