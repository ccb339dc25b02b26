import type { AsymmetricCase } from "./asymmetric-case";
import { engineForce } from "../engine/engine-force";
import { RHO0 } from "../quantities/constants";

/** Forces that do not depend on the controls, at a speed and bank. */
export interface Loading {
  readonly tas_mps: number;
  readonly q: number;
  readonly cw: number;
  readonly cl: number;
  readonly thrust_N: number;
  readonly deadDrag_N: number;
  /** Of thrust and dead drag about the vertical axis, as a coefficient. */
  readonly cnThrust: number;
  /** Of slipstream and torque about the long axis. */
  readonly clThrust: number;
}

/** A steady state on one engine. */
export interface Equilibrium extends Loading {
  readonly eas_mps: number;
  readonly bank_rad: number;
  readonly beta_rad: number;
  readonly aileron_rad: number;
  readonly rudder_rad: number;
  /** Sideways push of the fin: β + kfin·δr, which stalls it. */
  readonly fin_rad: number;
  readonly pedal_N: number;
  readonly drag_N: number;
  readonly sinGamma: number;
  readonly climb_mps: number;
}

/**
 * Forces of the live and the dead engine at a speed and bank.
 *
 * Cn_T = −s[T·arm + D_dead·ye]/(qSb), arm = ye + s·rot·cP·Dp·α; Cl_T = −s·Kpw·CL·(Dp·c/S)[(1 + 2vi/V)² − 1]·arm/b −
 * rot·(P/Ω)/(qSb).
 *
 * @param eas_mps - equivalent airspeed, more than 0
 */
export function loadingAt(flight: Omit<AsymmetricCase, "cnDeltaR">, eas_mps: number, bank_rad: number): Loading {
  const { asymmetric, wing, question, liveSide: s, rotation } = flight;
  const { engines } = question.aircraft;
  const q = 0.5 * RHO0 * eas_mps ** 2;
  const tas_mps = eas_mps / Math.sqrt(flight.state.sigma);
  const qS = q * wing.area_m2;
  const cw = flight.weight_N / qS;
  const cl = cw * Math.cos(bank_rad);
  const live = engineForce(engines, flight.engineAir, tas_mps, question.setting, flight.sigmaCritical);
  const alpha = (cl - asymmetric.cl0 - flight.flapCl0) / asymmetric.clAlpha + asymmetric.thrustIncidence_rad;
  const propeller = engines.kind === "propeller" ? engines.propeller : null;
  const arm_m = asymmetric.armY_m + s * rotation * (propeller?.pFactor ?? 0) * (propeller?.diameter_m ?? 0) * alpha;
  const deadDrag_N = q * flight.deadArea_m2;
  const slipstream = propeller
    ? (propeller.slipstreamRoll ?? 0) *
      cl *
      ((propeller.diameter_m * (propeller.localChord_m ?? 0)) / wing.area_m2) *
      ((1 + (2 * live.induced_mps) / tas_mps) ** 2 - 1) *
      (arm_m / wing.span_m)
    : 0;
  const torque =
    engines.kind === "propeller"
      ? (rotation * live.power_W) / ((engines.speed_rpm * 2 * Math.PI) / 60) / (qS * wing.span_m)
      : 0;
  return {
    tas_mps,
    q,
    cw,
    cl,
    thrust_N: live.thrust_N,
    deadDrag_N,
    cnThrust: (-s * (live.thrust_N * arm_m + deadDrag_N * asymmetric.armY_m)) / (qS * wing.span_m),
    clThrust: -s * slipstream - torque,
  };
}

/**
 * Sideslip, aileron and rudder that hold a speed and bank without turning.
 *
 * Side: CYβ·β + CYδr·δr + CW·sinφ = 0; roll: Clβ·β + Clδa·δa + Clδr·δr + Cl_T = 0; yaw: Cnβ·β + Cnδr·δr + Cnδa·δa +
 * Cn_T = 0, with CYδr = −Cnδr·b/lv, Clδr = CYδr·zv/b, and the fin's part moved with the centre of gravity.
 *
 * @returns the state whatever the controls' stops; null when the three equations have no solution
 */
export function equilibriumAt(flight: AsymmetricCase, eas_mps: number, bank_rad: number): Equilibrium | null {
  const load = loadingAt(flight, eas_mps, bank_rad);
  const { asymmetric: a, wing, cg_m, cnDeltaR } = flight;
  const cyR = (-cnDeltaR * wing.span_m) / a.finArm_m;
  const rollR = (cyR * a.finHeight_m) / wing.span_m;
  const yawB = a.cnBeta + (a.cyBeta * cg_m) / wing.span_m;
  const yawR = cnDeltaR + (cyR * cg_m) / wing.span_m;
  // Rudder from the side force, aileron from the roll, both in terms of sideslip; then the yaw is linear in sideslip.
  const r0 = (-load.cw * Math.sin(bank_rad)) / cyR;
  const r1 = -a.cyBeta / cyR;
  const a0 = -(load.clThrust + rollR * r0) / a.clDeltaA;
  const a1 = -(a.clBeta + rollR * r1) / a.clDeltaA;
  const slope = yawB + yawR * r1 + a.cnDeltaA * a1;
  if (!(Math.abs(slope) > 1e-9)) return null;
  const beta_rad = -(load.cnThrust + yawR * r0 + a.cnDeltaA * a0) / slope;
  const rudder_rad = r0 + r1 * beta_rad;
  const aileron_rad = a0 + a1 * beta_rad;
  const qS = load.q * wing.area_m2;
  const cd =
    flight.cd0 +
    flight.k * load.cl ** 2 +
    a.cdBeta * beta_rad ** 2 +
    a.cdDeltaR * rudder_rad ** 2 +
    a.cdDeltaA * aileron_rad ** 2;
  const drag_N = qS * cd + load.deadDrag_N;
  const sinGamma = (load.thrust_N - drag_N) / flight.weight_N;
  // Named one by one: this runs some ten thousand times for a table, and copying by spread is sixty times slower.
  const { tas_mps, q, cw, cl, thrust_N, deadDrag_N, cnThrust, clThrust } = load;
  return {
    tas_mps,
    q,
    cw,
    cl,
    thrust_N,
    deadDrag_N,
    cnThrust,
    clThrust,
    eas_mps,
    bank_rad,
    beta_rad,
    rudder_rad,
    aileron_rad,
    drag_N,
    sinGamma,
    fin_rad: beta_rad + a.finRudderFactor * rudder_rad,
    pedal_N:
      a.rudderGearing_radpm *
      load.q *
      a.rudderArea_m2 *
      a.rudderChord_m *
      (a.chDelta * rudder_rad + a.chBeta * beta_rad),
    climb_mps: sinGamma * load.tas_mps,
  };
}

/** No bank holds it straight, or drag beyond the weight leaves no steady path: what is asked is outside the model. */
export const NO_STEADY_PATH = {
  code: "no_steady_path",
  path: "",
  message:
    "At this speed and configuration there is no steady straight flight on one engine: no bank holds it, or it drags more than it weighs.",
} as const;

/** Gradient of a path, tanγ; null where there is no steady one. */
export function gradientOf(sinGamma: number): number | null {
  return Math.abs(sinGamma) < 1 ? sinGamma / Math.sqrt(1 - sinGamma ** 2) : null;
}
