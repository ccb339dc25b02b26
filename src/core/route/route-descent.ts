// How an aircraft descends without engines, as a flight's cover asks of it: an aeroplane's glide, an autorotation.
import { isAeroplane } from "../aircraft/aircraft-kind";
import { polarOf } from "../aircraft/polar";
import type { CoverMetric } from "../cover/cover-metric";
import { type Counted, type SteadyDescent, descentMetric } from "../cover/descent-metric";
import { glideMetric } from "../cover/glide-metric";
import { accelerationFactor } from "../glide/acceleration-factor";
import type { LegPerformance } from "../glide/glide-leg";
import { glidePerformance } from "../glide/glide-performance";
import { heldCas_mps } from "../glide/steady-descent";
import { bestGlide } from "../glide/straight-glide";
import { type Outcome, success } from "../outcome";
import { rotorDescent, rotorGlider } from "../rotor/rotor-descent";
import type { Rotorcraft } from "../rotor/rotor-question";
import type { RouteQuestion } from "./route-question";

/** The descent. */
export interface RouteDescent {
  /** Straight, at sea-level density. */
  readonly glide: { readonly eas_mps: number; readonly sinkEas_mps: number; readonly ratio: number };
  readonly performance: LegPerformance;
  metric(counted: Counted): CoverMetric;
}

type Asked = Pick<RouteQuestion, "aircraft" | "mass_kg" | "configuration" | "air" | "pilot" | "plan">;

/** A rotor's turns and reaction are those of the air so far above the lowest place, m. */
const ABOVE_PLACE_M = 500;
/** Speeds tried for the wind, about that of still air. */
const [SPEEDS, SLOWEST, FASTEST] = [12, 0.6, 1.6];

/**
 * Makes the descent of an aircraft ready.
 *
 * @param lowest_m - elevation of the lowest place
 * @returns failures of the polar and of the turns; of a rotor's mass, height and bank
 */
export function routeDescent(question: Asked, lowest_m: number): Outcome<RouteDescent> {
  const { aircraft, mass_kg, configuration, air, pilot, plan } = question;
  if (!isAeroplane(aircraft)) return ofRotor(question, aircraft, lowest_m + ABOVE_PLACE_M);
  const configured = polarOf(aircraft, mass_kg, configuration);
  if (!configured.ok) return configured;
  const { polar } = configured.value;
  const glide = bestGlide(polar);
  const performance = glidePerformance(polar, glide, pilot);
  if (!performance.ok) return performance;
  return success({
    glide,
    performance: performance.value,
    metric: (counted) => glideMetric({ polar, speed: plan.glideSpeed, air, ...counted }),
  });
}

function ofRotor({ mass_kg, air, pilot, plan }: Asked, aircraft: Rotorcraft, about_m: number): Outcome<RouteDescent> {
  const gliderAt = (altitude_m: number) => rotorGlider({ aircraft, mass_kg, air, altitude_m });
  const glider = gliderAt(about_m);
  if (!glider.ok) return glider;
  const about = rotorDescent(glider.value, 0, pilot.bank_rad);
  if (!about.ok) return about;
  const { eas_mps, ratio } = about.value.glide;
  const shares =
    plan.glideSpeed === "book"
      ? [1]
      : [1, ...Array.from({ length: SPEEDS }, (_, i) => SLOWEST + ((FASTEST - SLOWEST) * i) / (SPEEDS - 1))];
  const descentsAt = (altitude_m: number): SteadyDescent[] => {
    const here = gliderAt(altitude_m);
    // Higher than its rotor is computed nothing is counted on.
    if (!here.ok) return [];
    const { sink, sigma, vne_mps } = here.value;
    return shares.flatMap((share) => {
      const tas_mps = (share * eas_mps) / Math.sqrt(sigma);
      const sink_mps = vne_mps !== null && tas_mps > vne_mps ? null : sink(tas_mps, 1);
      if (sink_mps === null) return [];
      const factor = 1 + accelerationFactor(heldCas_mps(share * eas_mps, altitude_m, air), altitude_m, air);
      return [{ tas_mps, sink_mps: sink_mps / factor }];
    });
  };
  return success({
    glide: { eas_mps, ratio, sinkEas_mps: about.value.performance.straightSinkEas_mps },
    performance: about.value.performance,
    metric: (counted) => descentMetric(descentsAt, counted),
  });
}
