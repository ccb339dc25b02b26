// The metric of a gliding aeroplane: its polar in the air of every height.
import { type AirMass, airAtAltitude } from "../air/altimetry";
import type { Polar } from "../aircraft/polar";
import { accelerationFactor } from "../glide/acceleration-factor";
import { heldCas_mps } from "../glide/steady-descent";
import { type StraightGlide, bestGlide, speedRange, straightGlide } from "../glide/straight-glide";
import type { CoverMetric } from "./cover-metric";
import { type Counted, descentMetric } from "./descent-metric";

/** What the metric of a glide is made from. */
export interface GlideOfField extends Counted {
  readonly polar: Polar;
  /** The book's best glide, or the speed that goes farthest in the wind of each height. */
  readonly speed: "book" | "wind";
  readonly air: AirMass;
}

/** Speeds tried for the wind, from the slowest that is offered to this many times the best glide's. */
const SPEEDS = 12;
const FASTEST = 1.6;

/** The metric. */
export function glideMetric({ polar, speed, air, ...counted }: GlideOfField): CoverMetric {
  const best = bestGlide(polar);
  const glides = speed === "book" ? [best] : fasterGlides(polar, best);
  return descentMetric((altitude_m) => {
    const root = Math.sqrt(airAtAltitude(altitude_m, air).sigma);
    return glides.map(({ eas_mps, angle_rad, sinkEas_mps }) => ({
      tas_mps: (eas_mps * Math.cos(angle_rad)) / root,
      sink_mps: sinkEas_mps / root / (1 + accelerationFactor(heldCas_mps(eas_mps, altitude_m, air), altitude_m, air)),
    }));
  }, counted);
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
