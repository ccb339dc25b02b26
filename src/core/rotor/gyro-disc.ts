// The disc of a rotor that no engine turns, at a moment: its induced velocity, the power that it lacks. Runs inside a
// step of a flight too: + − × ÷ and √ only.
import { profilePower_W } from "./blade-drag";
import type { DiscAir } from "./blade-thrust";
import type { GyroCase } from "./gyro-rotor";
import { hoverShare, inducedRatio } from "./induced-velocity";

/** Induced power in forward flight over an ideal rotor's; in a vertical descent the fit of the wake has it already. */
const FORWARD_INDUCED = 0.18;

/** What of a gyroplane its disc goes by. */
type DiscCase = Pick<GyroCase, "density" | "blades">;

/** Steady induced velocity of a thrust, m/s. */
export function inducedOf(flight: DiscCase, { through_mps, inPlane_mps }: DiscAir, thrust_N: number) {
  const vh = Math.sqrt(thrust_N / (2 * flight.density * flight.blades.discArea_m2));
  const mu = Math.abs(inPlane_mps) / vh;
  return { induced_mps: vh * inducedRatio(mu, through_mps / vh), share: hoverShare(mu) };
}

/**
 * Power that the rotor lacks, W: T·vn + κT·vi + P0; 0 in steady autorotation, negative where it speeds up.
 *
 * @param share - of hover-like behaviour
 */
export function rotorDeficit_W(
  flight: DiscCase,
  air: DiscAir,
  { thrust_N, induced_mps, share, tip_mps }: { thrust_N: number; induced_mps: number; share: number; tip_mps: number },
): number {
  const kappa = 1 + FORWARD_INDUCED * (1 - share);
  return (
    thrust_N * air.through_mps +
    kappa * thrust_N * induced_mps +
    profilePower_W(flight.blades, thrust_N, tip_mps, air.inPlane_mps, flight.density)
  );
}
