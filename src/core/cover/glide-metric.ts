// The metric of a gliding aeroplane: its polar, the air and the wind by height.
import { type AirMass, airAtAltitude } from "../air/altimetry";
import type { WindVector } from "../air/wind";
import type { Polar } from "../aircraft/polar";
import { accelerationFactor } from "../glide/acceleration-factor";
import { heldCas_mps } from "../glide/steady-descent";
import { type StraightGlide, bestGlide, speedRange, straightGlide } from "../glide/straight-glide";
import { type CoverMetric, coverMetric } from "./cover-metric";

/** What the metric of a glide is made from. */
export interface GlideOfField {
  readonly polar: Polar;
  /** The book's best glide, or the speed that goes farthest in the wind of each height. */
  readonly speed: "book" | "wind";
  readonly air: AirMass;
  /** Air motion by altitude, in the plane. */
  readonly wind: (altitude_m: number) => WindVector;
  /** Altitudes that count. */
  readonly low_m: number;
  readonly high_m: number;
  /** Share of the glide's ratio that is counted on; 1 for all of it. */
  readonly ratioShare: number;
  /** Wind from ahead that is counted on besides, whichever way it is flown. */
  readonly against_mps: number;
}

/** Step of the table: over it the wind near the ground bends by less than a foot of height. */
const STEP_M = 20;
/** Speeds tried for the wind, from the slowest that is offered to this many times the best glide's. */
const SPEEDS = 12;
const FASTEST = 1.6;

/** The metric. */
export function glideMetric({
  polar,
  speed,
  air,
  wind,
  low_m,
  high_m,
  ratioShare,
  against_mps,
}: GlideOfField): CoverMetric {
  const best = bestGlide(polar);
  const glides = speed === "book" ? [best] : fasterGlides(polar, best);
  const levels = new Map<number, { east_mps: number; north_mps: number; speeds: { tas: number; sink: number }[] }>();
  const levelAt = (altitude_m: number) => {
    let level = levels.get(altitude_m);
    if (!level) {
      const root = Math.sqrt(airAtAltitude(altitude_m, air).sigma);
      level = {
        ...wind(altitude_m),
        speeds: glides.map(({ eas_mps, angle_rad, sinkEas_mps }) => ({
          tas: (eas_mps * Math.cos(angle_rad)) / root,
          sink:
            sinkEas_mps /
            root /
            (1 + accelerationFactor(heldCas_mps(eas_mps, altitude_m, air), altitude_m, air)) /
            ratioShare,
        })),
      };
      levels.set(altitude_m, level);
    }
    return level;
  };
  return coverMetric(
    (east, north, altitude_m) => {
      const { east_mps, north_mps, speeds } = levelAt(altitude_m);
      const along = east_mps * east + north_mps * north - against_mps;
      const across = east_mps * north - north_mps * east;
      let most = 0;
      for (const { tas, sink } of speeds) {
        const forward2 = tas * tas - across * across;
        if (forward2 > 0) most = Math.max(most, (Math.sqrt(forward2) + along) / sink);
      }
      return most;
    },
    { low_m, high_m, step_m: STEP_M },
  );
}

/** Glides of other speeds: one of them is within 1 % of the best in any wind. */
function fasterGlides(polar: Polar, best: StraightGlide): StraightGlide[] {
  const slow_mps = Math.min(speedRange(polar).slow_mps, best.eas_mps);
  const fast_mps = best.eas_mps * FASTEST;
  return Array.from({ length: SPEEDS }, (_, i) => slow_mps + ((fast_mps - slow_mps) * i) / (SPEEDS - 1)).map(
    (eas_mps) =>
      // The lift that goes with a speed, near enough for a spread of them; the glide is exact for that lift.
      straightGlide(polar, Math.min(best.cl * (best.eas_mps / eas_mps) ** 2, polar.clMax)),
  );
}
