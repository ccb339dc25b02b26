import type { AutorotationLanding } from "./autorotation-landing";

/** Steady for less than this, s, an autorotation is not settled before its flare. Common practice. */
const LEAST_STEADY_S = 5;
/** Flare height that is counted with where the energy does not suffice, m: 150 ft. */
const HIGH_FLARE_M = 46;

/** A point of the way down. */
export interface DownKey {
  readonly name: "engines stop" | "steady" | "flare" | "touchdown";
  /** Above the place of landing. */
  readonly height_m: number;
  /** Over the ground, from where the engines stop; negative where the wind carries it back. */
  readonly ground_m: number;
  readonly tas_mps: number;
}

/** The way down from a height. */
export interface WayDown {
  readonly keys: readonly DownKey[];
  /** Steady, between entry and flare, s and m over the ground until the flare; 0 where there is nothing left. */
  readonly steady_s: number;
  readonly toFlare_m: number;
  /** There is height for entry, for five seconds of steady flight, and for the flare. */
  readonly settled: boolean;
}

/**
 * Entry, steady part, flare and touchdown from a height.
 *
 * @param height_m - above the place of landing when the engines stop; 0 and more
 * @returns keys from the top down; heights never under the ground
 * @see arithmetic over `autorotationLanding`; the flare's ground is a sketch
 */
export function wayDown(landing: AutorotationLanding, height_m: number): WayDown {
  const { entry_m, entryGround_m, entry_mps, steady, groundRatio, flareGround_m, touchdown_mps } = landing;
  const flare_m = Math.min(landing.flare_m ?? HIGH_FLARE_M, height_m);
  const steady_m = Math.max(height_m - entry_m - flare_m, 0);
  const toFlare_m = entryGround_m + steady_m * groundRatio;
  return {
    keys: [
      { name: "engines stop", height_m, ground_m: 0, tas_mps: entry_mps },
      {
        name: "steady",
        height_m: Math.max(height_m - entry_m, flare_m),
        ground_m: entryGround_m,
        tas_mps: steady.tas_mps,
      },
      { name: "flare", height_m: flare_m, ground_m: toFlare_m, tas_mps: steady.tas_mps },
      {
        name: "touchdown",
        height_m: 0,
        ground_m: toFlare_m + flareGround_m,
        tas_mps: touchdown_mps,
      },
    ],
    steady_s: steady_m / steady.sink_mps,
    toFlare_m,
    settled: steady_m >= LEAST_STEADY_S * steady.sink_mps,
  };
}
