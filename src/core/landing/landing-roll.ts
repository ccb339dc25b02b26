// From over the runway to a stop: steep descent with landing flap, flare, roll.
import { APPROACH, TOUCHDOWN } from "./approach-factors";
import { G0 } from "../quantities/constants";
import type { LandingEnd } from "./landing-end";

/** The aeroplane on its way to the ground. */
export interface LandingBody {
  readonly wingLoading: number;
  /** With landing flap. */
  readonly clMax: number;
  /** With landing flap and full slip. */
  readonly steepCd0: number;
  readonly k: number;
}

/** Deceleration in the flare, of g. */
const FLARE = 0.2;
/** Braking by surface, of g, dry. Common practice. */
const BRAKING: Record<LandingEnd["surface"], number> = {
  asphalt: 0.25,
  concrete: 0.25,
  gravel: 0.22,
  grass: 0.2,
  sand: 0.15,
};

/** Deceleration of the landing roll on a dry surface, of g. */
export function brakingOn(surface: LandingEnd["surface"]): number {
  return BRAKING[surface];
}

/** What a landing needs in the wind of one direction. */
export interface LandingRoll {
  readonly flare_m: number;
  readonly roll_m: number;
  readonly approachTas_mps: number;
  readonly touchdownTas_mps: number;
  readonly touchdownGroundSpeed_mps: number;
  /** Air motion along the landing direction: positive pushes. */
  readonly tailwind_mps: number;
  /** Distance over the ground per height lost in the steep descent. */
  readonly steepRatio: number;
}

/**
 * Flare and roll on landing: the flare lasts (Vapp − Vtd)/(0.2·g), the roll is Vg²/(2·N·g).
 *
 * @param tailwind_mps - of the flare and roll; a headwind is negative
 * @param density - kg/m³ at the runway
 * @param braking - N, of g: 0.25 on a hard dry runway
 */
export function landingRoll(body: LandingBody, density: number, tailwind_mps: number, braking: number): LandingRoll {
  const stall = Math.sqrt((2 * body.wingLoading) / (density * body.clMax));
  const [approach, touchdown] = [APPROACH * stall, TOUCHDOWN * stall];
  const flare_s = (approach - touchdown) / (FLARE * G0);
  const touchdownGroundSpeed_mps = Math.max(touchdown + tailwind_mps, 0);
  const cl = body.clMax / APPROACH ** 2;
  const ratio = cl / (body.steepCd0 + body.k * cl * cl);
  return {
    flare_m: Math.max(0, ((approach + touchdown) / 2 + tailwind_mps) * flare_s),
    roll_m: touchdownGroundSpeed_mps ** 2 / (2 * braking * G0),
    approachTas_mps: approach,
    touchdownTas_mps: touchdown,
    touchdownGroundSpeed_mps,
    tailwind_mps,
    steepRatio: Math.max(0, (ratio * (approach + tailwind_mps)) / approach),
  };
}
