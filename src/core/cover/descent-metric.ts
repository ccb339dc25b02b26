// The metric of whatever descends: its speeds with their sink, and the wind, by height.
import type { WindVector } from "../air/wind";
import { type CoverMetric, coverMetric } from "./cover-metric";

/** A steady descent: horizontal speed through the air, and sink. */
export interface SteadyDescent {
  readonly tas_mps: number;
  readonly sink_mps: number;
}

/** What of it is counted on, and where. */
export interface Counted {
  /** Air motion by altitude, in the plane. */
  readonly wind: (altitude_m: number) => WindVector;
  /** Altitudes that count. */
  readonly low_m: number;
  readonly high_m: number;
  /** Share of the ratio that is counted on; 1 for all of it. */
  readonly ratioShare: number;
  /** Wind from ahead that is counted on besides, whichever way it is flown. */
  readonly against_mps: number;
}

/** Step of the table: over it the wind near the ground bends by less than a foot of height. */
const STEP_M = 20;

/**
 * The metric: of the descents of a height the one that covers most ground.
 *
 * @param descentsAt - what may be flown at an altitude; none where it is not known
 */
export function descentMetric(
  descentsAt: (altitude_m: number) => readonly SteadyDescent[],
  { wind, low_m, high_m, ratioShare, against_mps }: Counted,
): CoverMetric {
  // Asked a height after the other: the last one is kept.
  let level: (WindVector & { readonly altitude_m: number; readonly descents: readonly SteadyDescent[] }) | null = null;
  const levelAt = (altitude_m: number) => {
    if (level?.altitude_m === altitude_m) return level;
    const descents = descentsAt(altitude_m).map(({ tas_mps, sink_mps }) => ({
      tas_mps,
      sink_mps: sink_mps / ratioShare,
    }));
    return (level = { ...wind(altitude_m), altitude_m, descents });
  };
  return coverMetric(
    (east, north, altitude_m) => {
      const { east_mps, north_mps, descents } = levelAt(altitude_m);
      const along = east_mps * east + north_mps * north - against_mps;
      const across = east_mps * north - north_mps * east;
      let most = 0;
      for (const { tas_mps, sink_mps } of descents) {
        const forward2 = tas_mps * tas_mps - across * across;
        if (forward2 > 0) most = Math.max(most, (Math.sqrt(forward2) + along) / sink_mps);
      }
      return most;
    },
    { low_m, high_m, step_m: STEP_M },
  );
}
