import type { LatLon } from "../../earth/geodesic";

/** One moment of a flight as a receiver tells it; null where it does not. */
export interface Fix {
  /** UTC, ms since 1970; of the first of January 1970 where only the time of day is known. */
  readonly time_ms: number;
  readonly position: LatLon;
  /** Over mean sea level by the receiver: not what an altimeter shows. */
  readonly altitude_m: number | null;
  /** Over the ground, true. */
  readonly track_rad: number | null;
  readonly groundSpeed_mps: number | null;
}
