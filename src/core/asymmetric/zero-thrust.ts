import { type Outcome, failure, success } from "../outcome";
import { PA_PER_INHG } from "../quantities/constants";
import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import { deadDragArea_m2 } from "../engine/engine-force";
import { powerShare } from "../engine/power-share";

/** A power that imitates a feathered propeller. */
export interface ZeroThrust {
  /** Drag that the running propeller is to have: that of the feathered one. */
  readonly feathered_N: number;
  readonly windmilling_N: number;
  /** Power that the burning mixture gives; the shaft gives next to none. */
  readonly indicated_W: number;
  /** Of the indicated power at full throttle here. */
  readonly share: number;
  /** Estimates: the manual's figures come first. */
  readonly manifold_Pa: number;
  readonly speed_rpm: number;
}

/**
 * Manifold pressure at which the burning mixture gives no power, Pa: what is left is spent on exhaust gas and pumping.
 * Common practice.
 */
const NO_POWER_PA = 7 * PA_PER_INHG;
/**
 * Manifold pressure of full throttle at sea level without a turbocharger, Pa, an inch under the air's. Common practice.
 */
const FULL_PA = 29 * PA_PER_INHG;
/** Propeller speed of the exercise over the greatest. Common practice: about 2,200 of 2,700 rpm. */
const SPEED_SHARE = 0.8;

/**
 * Power that makes a running propeller drag like a feathered one at a speed.
 *
 * A windmilling propeller turns its engine with the share η of its drag's power, P_f = η·D_wm·V. Burning that much
 * takes the drag away; the drag of feathering is left when P_i = η(D_wm − D_f)V. Manifold pressure is a straight line
 * of the indicated power at one speed.
 *
 * @param eas_mps - more than 0
 * @returns `no_feathering` for jets and propellers that cannot feather
 * @see energy of a windmilling disc; settings by common practice, 10 to 12 inHg for light twins
 */
export function zeroThrust(question: AsymmetricQuestion, eas_mps: number): Outcome<ZeroThrust> {
  const { aircraft } = question;
  const { engines } = aircraft;
  const [windmilling, feathered] = [deadDragArea_m2(aircraft, "windmilling"), deadDragArea_m2(aircraft, "feathered")];
  if (engines.kind !== "propeller" || windmilling === null || feathered === null)
    return failure(
      "no_feathering",
      `${aircraft.name} has no propeller that feathers: there is nothing to imitate.`,
      "aircraft",
    );
  const flight = asymmetricCase({ ...question, deadPropeller: "windmilling" });
  if (!flight.ok) return flight;
  const { state, sigmaCritical } = flight.value;
  const tas_mps = eas_mps / Math.sqrt(state.sigma);
  const q = 0.5 * state.density * tas_mps ** 2;
  const { efficiency } = engines.propeller;
  const [windmilling_N, feathered_N] = [q * windmilling, q * feathered];
  const indicated_W = efficiency * (windmilling_N - feathered_N) * tas_mps;
  const friction_W = efficiency * windmilling_N * tas_mps;
  const full_W = engines.power_W * powerShare(state.sigma, sigmaCritical) + friction_W;
  // Full throttle at this height gives the sea-level line less what thinner air takes.
  const atSeaLevel_W = (engines.power_W + friction_W) * SPEED_SHARE;
  return success({
    feathered_N,
    windmilling_N,
    indicated_W,
    share: indicated_W / full_W,
    manifold_Pa: NO_POWER_PA + ((FULL_PA - NO_POWER_PA) * indicated_W) / atSeaLevel_W,
    speed_rpm: engines.speed_rpm * SPEED_SHARE,
  });
}
