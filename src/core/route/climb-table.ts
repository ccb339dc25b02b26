// How an aircraft climbs with all engines, by altitude.
import { M_PER_FT } from "../quantities/constants";
import type { RoutePower } from "./route-power";
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
  power: RoutePower,
  { climb_mps }: Pick<RouteQuestion["route"], "climb_mps">,
  low_m: number,
  high_m: number,
): ClimbTable {
  const count = Math.max(2, Math.ceil((high_m - low_m) / BAND_M) + 1);
  const eas_mps = power.climbEas_mps(low_m);
  const rows = Array.from({ length: count }, (_, i) => {
    const flown = power.climb(eas_mps, low_m + i * BAND_M);
    return { ...flown, rate_mps: climb_mps ?? flown.rate_mps };
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
