// Back onto the pad from a hover: a sketch. One second of reaction, down on what the rating gives, and the rotor's
// energy spent on the last of the sink.
import type { Rating } from "../aircraft/helicopter";
import { G0 } from "../quantities/constants";
import { REACTION_S, atFailure } from "./fly-away";
import type { HelicopterCase } from "./helicopter-case";
import { livePower } from "./hover-on-one";
import { motionAfter, pitchOf, stallThrust_N } from "./rotor-motion";
import { mainPower_W, rotorPower, shaftPower_W } from "./shaft-power";

/** Steps, s, and the highest hover that is looked at, m. */
const [STEP_S, HIGHEST_M, LONGEST_S] = [0.05, 150, 40];
/** Touchdown no faster than 2 m/s: 393 ft/min. */
export const GENTLE_MPS = 2;
/** Rotor speed while the flare is flown, share of the nominal: between what is held and what may be left. */
const FLARE_NR = 0.9;
/** Height of the skids while the ground helps the flare, m. */
const FLARE_SKIDS_M = 2;

/** A reject from a height. */
export interface Reject {
  readonly skids_m: number;
  /** Sink that has built up above the ground. */
  readonly sink_mps: number;
  /** What the rotor has to give, and what stopping the sink takes, J. */
  readonly has_J: number;
  readonly takes_J: number;
  readonly gentle: boolean;
}

/** Stops a sink just above the ground, by energy: what the rotor holds between its speeds, and what it takes. */
function flareEnergy(flight: HelicopterCase, rating: Rating, sink_mps: number, nr: number, tas_mps: number) {
  const { rotor } = flight.aircraft;
  const omega = rotor.tipSpeed_mps / rotor.radius_m;
  const has_J = 0.5 * rotor.polarInertia_kgm2 * omega ** 2 * Math.max(nr ** 2 - rotor.nrMinTouchdown ** 2, 0);
  const over_mps = Math.max(sink_mps - GENTLE_MPS, 0);
  const thrust_N = stallThrust_N(flight, FLARE_NR);
  const slows = thrust_N / flight.weight_N - 1;
  if (over_mps === 0) return { has_J, takes_J: 0 };
  if (!(slows > 0)) return { has_J, takes_J: Infinity };
  const time_s = over_mps / (slows * G0);
  const power = rotorPower(flight, {
    thrust_N,
    inPlane_mps: tas_mps,
    through_mps: -(sink_mps + GENTLE_MPS) / 2,
    nr: FLARE_NR,
    hub_m: FLARE_SKIDS_M + rotor.hubAboveSkids_m,
  });
  const lacking_W = shaftPower_W(mainPower_W(power), tas_mps) - livePower(flight, rating, FLARE_NR).power_W;
  return { has_J, takes_J: Math.max(lacking_W, 0) * time_s };
}

/**
 * The reject from every height up to 150 m, in steps of the fall: how fast it comes down, and whether it is stopped.
 *
 * @param wind_mps - hovered in
 * @returns by height of the skids, rising
 */
export function rejects(flight: HelicopterCase, wind_mps: number, rating: Rating): Reject[] {
  const { hover, motion } = atFailure(flight, wind_mps);
  const pitch_rad = pitchOf(flight, hover, wind_mps);
  const found: Reject[] = [];
  let now = motion;
  for (let i = 0; i * STEP_S < LONGEST_S && -now.height_m < HIGHEST_M; i += 1) {
    const frozen = now.time_s < REACTION_S - 1e-9;
    now = motionAfter(flight, now, { pitch_rad: frozen ? pitch_rad : null, tilt_rad: hover.tilt_rad, rating }, STEP_S);
    const sink_mps = Math.max(-now.climb_mps, 0);
    // On what the rating gives it may hold the hover: then there is nothing to fall.
    if (now.climb_mps >= 0 && !frozen) break;
    const energy = flareEnergy(flight, rating, sink_mps, now.nr, now.tas_mps);
    found.push({
      skids_m: -now.height_m,
      sink_mps,
      ...energy,
      gentle: energy.takes_J <= energy.has_J && now.nr >= flight.aircraft.rotor.nrMinTouchdown,
    });
  }
  return found;
}

/**
 * Height of the skids up to which a reject touches down gently, m; null where even the lowest does not, and the highest
 * looked at where all do.
 */
export function rejectHeight_m(flight: HelicopterCase, wind_mps: number, rating: Rating): number | null {
  const found = rejects(flight, wind_mps, rating);
  const rough = found.findIndex(({ gentle }) => !gentle);
  if (rough < 0) return HIGHEST_M;
  return rough === 0 ? null : found[rough - 1].skids_m;
}
