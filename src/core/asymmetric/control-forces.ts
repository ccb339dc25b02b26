import type { AsymmetricCase } from "./asymmetric-case";
import type { Equilibrium } from "./equilibrium";

/** Forces and moments that hold one another in steady straight flight; each group sums to nothing. */
export interface ControlForces {
  /** Sideways, right positive, N. */
  readonly side: { readonly rudder_N: number; readonly sideslip_N: number; readonly weight_N: number };
  /** About the vertical axis, nose right positive, N·m. */
  readonly yaw: {
    readonly engines_Nm: number;
    readonly rudder_Nm: number;
    readonly sideslip_Nm: number;
    readonly aileron_Nm: number;
  };
  /** About the long axis, right wing down positive, N·m. */
  readonly roll: {
    readonly engines_Nm: number;
    readonly rudder_Nm: number;
    readonly sideslip_Nm: number;
    readonly aileron_Nm: number;
  };
}

/**
 * What pushes and turns the aeroplane in a state of equilibrium, to be drawn to scale.
 *
 * @param state - from `equilibriumAt` or `zeroSideslip` of the same case
 * @see the equations of `equilibriumAt`
 */
export function controlForces(
  { asymmetric: a, wing, cg_m, cnDeltaR, weight_N }: AsymmetricCase,
  state: Equilibrium,
): ControlForces {
  const qS = state.q * wing.area_m2;
  const qSb = qS * wing.span_m;
  const cyR = (-cnDeltaR * wing.span_m) / a.finArm_m;
  const { beta_rad: beta, rudder_rad: rudder, aileron_rad: aileron } = state;
  return {
    side: {
      rudder_N: qS * cyR * rudder,
      sideslip_N: qS * a.cyBeta * beta,
      weight_N: weight_N * Math.sin(state.bank_rad),
    },
    yaw: {
      engines_Nm: qSb * state.cnThrust,
      rudder_Nm: qSb * (cnDeltaR + (cyR * cg_m) / wing.span_m) * rudder,
      sideslip_Nm: qSb * (a.cnBeta + (a.cyBeta * cg_m) / wing.span_m) * beta,
      aileron_Nm: qSb * a.cnDeltaA * aileron,
    },
    roll: {
      engines_Nm: qSb * state.clThrust,
      rudder_Nm: qS * cyR * rudder * a.finHeight_m,
      sideslip_Nm: qSb * a.clBeta * beta,
      aileron_Nm: qSb * a.clDeltaA * aileron,
    },
  };
}
