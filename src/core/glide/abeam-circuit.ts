// The half circuit worked out backwards from the landing point: final, the turn on to it, a downwind parallel to the
// runway; so that where the downwind passes abeam, how wide and how high, follows from the wind.
import { type Outcome, failure, success } from "../outcome";
import { wrapTurn } from "../quantities/angle";
import type { DescentIntegrals, IntegralsAt } from "./descent-integrals";
import type { Pose } from "./dubins";
import type { LegPerformance, SolvedLeg } from "./glide-leg";

/** What is worked back from. */
export interface AbeamProblem {
  readonly performance: LegPerformance;
  readonly integrals: DescentIntegrals;
  readonly target: Pose & { readonly altitude_m: number };
  readonly final_m: number;
  readonly side: "left" | "right";
}

/** Where abeam is, with the way down from it. */
export interface AbeamCircuit {
  /** Heading is that through the air. */
  readonly start: Pose & { readonly altitude_m: number };
  readonly leg: SolvedLeg;
}

const MAX_ROUNDS = 60;
/** Settled when no height moves by more than this between rounds, m. */
const SETTLED_M = 1e-7;

/**
 * Works the circuit back.
 *
 * @returns `base_closed` when the turn would have to begin before the landing point is abeam: a longer final opens it
 *   again; `wind_exceeds_airspeed` when a track cannot be held
 */
export function abeamCircuit({ performance, integrals, target, final_m, side }: AbeamProblem): Outcome<AbeamCircuit> {
  const sign = side === "left" ? -1 : 1;
  const landing = { heading_rad: target.heading_rad, x: Math.sin(target.heading_rad), y: Math.cos(target.heading_rad) };
  const h4 = target.altitude_m;
  let [h1, h2, h3] = [h4 + 150, h4 + 120, h4 + 30];
  for (let round = 0; round < MAX_ROUNDS; round += 1) {
    const final = heldTrack(performance, integrals, landing.heading_rad, h3, h4);
    const down = heldTrack(performance, integrals, landing.heading_rad + Math.PI, h1, h2);
    if (!final || !down)
      return failure("wind_exceeds_airspeed", "Against this wind a leg of the circuit cannot be held.");
    const finalAir_m = (final_m / final.ground_mps) * final.speed_mps;
    const turn_rad = wrapTurn(sign * (final.heading_rad - down.heading_rad));
    const sigma = integrals.rootSigmaAt((h2 + h3) / 2) ** 2;
    const radius_m = performance.turnRadiusSeaLevel_m / sigma;
    const drift = driftBetween(integrals, h2, h3, performance.turnSinkEas_mps);
    const turnX = sign * radius_m * (Math.cos(down.heading_rad) - Math.cos(final.heading_rad)) + drift.x;
    const turnY = sign * radius_m * (Math.sin(final.heading_rad) - Math.sin(down.heading_rad)) + drift.y;
    // Where the turn begins, seen from the landing point.
    const beginX = -final_m * landing.x - turnX;
    const beginY = -final_m * landing.y - turnY;
    const length_m = -(beginX * landing.x + beginY * landing.y);
    if (!(length_m >= 0))
      return failure(
        "base_closed",
        "The wind closes the base leg: the turn would have to begin before the landing point is abeam.",
      );
    const downAir_m = (length_m / down.ground_mps) * down.speed_mps;
    const n3 = integrals.descend(h4, -finalAir_m / performance.straightRatio);
    const n2 = integrals.descend(n3, (-turn_rad * performance.turnHeightPerRadianSeaLevel_m) / sigma);
    const n1 = integrals.descend(n2, -downAir_m / performance.straightRatio);
    const moved = Math.abs(n1 - h1) + Math.abs(n2 - h2) + Math.abs(n3 - h3);
    [h1, h2, h3] = [n1, n2, n3];
    if (moved < SETTLED_M) {
      const along = length_m;
      return success({
        start: {
          x_m: target.x_m + beginX + along * landing.x,
          y_m: target.y_m + beginY + along * landing.y,
          heading_rad: down.heading_rad,
          altitude_m: h1,
        },
        leg: {
          word: side === "left" ? "LSL" : "RSR",
          turn1_rad: 0,
          straight_m: downAir_m,
          turn2_rad: turn_rad,
          finalAir_m,
          finalHeading_rad: final.heading_rad,
          straightHeading_rad: down.heading_rad,
          radius1_m: radius_m,
          radius2_m: radius_m,
          radiusSlope1_mprad: 0,
          radiusSlope2_mprad: 0,
          altitudes_m: [h1, h1, h2, h3, h4],
          times_s: [
            0,
            timeBetween(integrals, h1, h2) / performance.straightSinkEas_mps,
            timeBetween(integrals, h2, h3) / performance.turnSinkEas_mps,
            timeBetween(integrals, h3, h4) / performance.straightSinkEas_mps,
          ],
          rounds: round + 1,
        },
      });
    }
  }
  return failure("not_settled", "The circuit does not settle in this wind.");
}

const HIGH: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
const LOW: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };

function timeBetween(integrals: DescentIntegrals, high_m: number, low_m: number): number {
  integrals.at(high_m, HIGH);
  integrals.at(low_m, LOW);
  return HIGH.time_m - LOW.time_m;
}

function driftBetween(
  integrals: DescentIntegrals,
  high_m: number,
  low_m: number,
  sinkEas_mps: number,
): { x: number; y: number } {
  integrals.at(high_m, HIGH);
  integrals.at(low_m, LOW);
  return { x: (HIGH.east_m2ps - LOW.east_m2ps) / sinkEas_mps, y: (HIGH.north_m2ps - LOW.north_m2ps) / sinkEas_mps };
}

/**
 * Heading, airspeed and ground speed of a track held between two heights, in their mean wind; null when it cannot be
 * held.
 */
function heldTrack(
  performance: LegPerformance,
  integrals: DescentIntegrals,
  track_rad: number,
  high_m: number,
  low_m: number,
): { heading_rad: number; speed_mps: number; ground_mps: number } | null {
  // With no band yet the wind over one metre is the wind there.
  const band = Math.max(high_m - low_m, 1);
  const weight = timeBetween(integrals, high_m, high_m - band);
  const windX = (HIGH.east_m2ps - LOW.east_m2ps) / weight;
  const windY = (HIGH.north_m2ps - LOW.north_m2ps) / weight;
  const along = windX * Math.sin(track_rad) + windY * Math.cos(track_rad);
  const across = windX * Math.cos(track_rad) - windY * Math.sin(track_rad);
  const speed_mps = performance.straightHorizontalEas_mps / integrals.rootSigmaAt(high_m - band / 2);
  const forward2 = speed_mps ** 2 - across ** 2;
  const ground_mps = forward2 > 0 ? Math.sqrt(forward2) + along : 0;
  return ground_mps > 0 ? { heading_rad: track_rad - Math.asin(across / speed_mps), speed_mps, ground_mps } : null;
}
