// What the engines of a helicopter have to give: main rotor, tail rotor, gearbox, accessories.
import { groundEffect } from "./ground-effect";
import { profilePower_W } from "./blade-drag";
import type { HelicopterCase } from "./helicopter-case";
import { hoverShare, inducedRatio } from "./induced-velocity";

/** Induced power in forward flight over that in the hover: the disc is loaded less evenly. Common practice. */
const FORWARD_INDUCED = 0.07;
/** Weight that the downwash presses on the fuselage in the hover, share of weight. Common practice. */
export const DOWNLOAD = 0.04;
/** Tail rotor's share of the main rotor's power: in cruise, added in the hover, and the speed at which half is left. */
const [TAIL, TAIL_HOVER, TAIL_MPS] = [0.05, 0.05, 18];
/** Gearbox, and what pumps and generators take, W. Typical of the class. */
export const GEARBOX = 0.975;
export const ACCESSORIES_W = 12_000;

/** The main rotor at a moment. */
export interface RotorMoment {
  readonly thrust_N: number;
  /** Speed of the air in the plane of the disc, and through it as in a climb. */
  readonly inPlane_mps: number;
  readonly through_mps: number;
  /** Rotor speed over the nominal one. */
  readonly nr: number;
  /** Height of the hub; null out of ground effect. */
  readonly hub_m: number | null;
}

/** What the main rotor takes, and what of it is lost. */
export interface RotorPower {
  readonly induced_W: number;
  readonly profile_W: number;
  /** Work of the thrust: T·vn; negative in a descent. */
  readonly thrust_W: number;
  readonly induced_mps: number;
  /** Share of hover-like behaviour, 1 in the hover. */
  readonly share: number;
}

/**
 * Power of the main rotor: κ·k·T·vi + P0 + T·vn.
 *
 * @param moment - thrust more than 0; the blade's own stall is not in it (CT/σ is checked where thrust is commanded)
 * @see momentum theory, Hayden's ground effect, Bailey's section drag; κ is common practice
 */
export function rotorPower(
  flight: Pick<HelicopterCase, "density" | "blades" | "aircraft">,
  moment: RotorMoment,
): RotorPower {
  const { density, blades, aircraft } = flight;
  const { rotor } = aircraft;
  const vh = Math.sqrt(moment.thrust_N / (2 * density * blades.discArea_m2));
  const mu = Math.abs(moment.inPlane_mps) / vh;
  const induced_mps = vh * inducedRatio(mu, moment.through_mps / vh);
  const share = hoverShare(mu);
  const kappa = rotor.inducedFactor + FORWARD_INDUCED * (1 - share);
  const ground = moment.hub_m === null ? 1 : 1 - (1 - groundEffect(moment.hub_m, rotor.radius_m)) * share;
  return {
    induced_W: kappa * ground * moment.thrust_N * induced_mps,
    profile_W: profilePower_W(blades, moment.thrust_N, rotor.tipSpeed_mps * moment.nr, moment.inPlane_mps, density),
    thrust_W: moment.thrust_N * moment.through_mps,
    induced_mps,
    share,
  };
}

/** The main rotor's power altogether, W. */
export const mainPower_W = ({ induced_W, profile_W, thrust_W }: RotorPower): number => induced_W + profile_W + thrust_W;

/** Tail rotor over main rotor: 5 % of it, 10 % in the hover, fading with speed. */
export function tailShare(tas_mps: number): number {
  const speed = tas_mps / TAIL_MPS;
  return TAIL + TAIL_HOVER / (1 + speed * speed);
}

/** What the engines give for a main rotor's power at an airspeed: with tail rotor, gearbox and accessories, W. */
export function shaftPower_W(main_W: number, tas_mps: number): number {
  return (main_W * (1 + tailShare(tas_mps))) / GEARBOX + ACCESSORIES_W;
}
