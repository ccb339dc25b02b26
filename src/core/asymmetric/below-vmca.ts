import { bisect } from "../numeric/bisect";
import { G0 } from "../quantities/constants";
import { type Outcome, success } from "../outcome";
import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import type { AsymmetricCase } from "./asymmetric-case";
import { loadingAt } from "./equilibrium";
import { stallEas_mps } from "./one-engine-climb";
import { vmca } from "./vmca";
import { yawRateDerivatives } from "./yaw-rate";

/** What happens below minimum control speed with the rudder at its stop. */
export interface BelowVmca {
  readonly eas_mps: number;
  /** Steady turn towards the dead engine, rad/s, positive; 0 at or above minimum control speed. */
  readonly yaw_radps: number;
  /** Aileron of its travel that holds the bank meanwhile; above 1 it rolls: a departure, which is not modelled. */
  readonly aileron: number;
  /**
   * Share of the live engine's power at which control returns at this speed; null when not even at idle, or the stall
   * is first.
   */
  readonly controlledSetting: number | null;
  /** Height that the nose-down way costs: to minimum control speed and the margin at full power, m. */
  readonly height_m: number;
  /** This is at or below the stall. */
  readonly stalled: boolean;
}

/** Speed regained above minimum control speed before power comes back, m/s: 5 kt. Common practice. */
const MARGIN_MPS = 2.572;
/** Least power asked about, and halvings of the search. */
const IDLE = 0.02;
const HALVINGS = 20;

/**
 * A steady state with full rudder at a speed too low for it: the rest of the yawing moment turns the aeroplane.
 *
 * Side: CYβ·β + CYδr·δr + CYr·r̂ + CW·sinφ = (W/g)·V·r/(qS); roll and yaw as in equilibrium with Clr·r̂ and Cnr·r̂
 * added, r̂ = r·b/(2V): linear in β, δa and r.
 *
 * @param bank_rad - into the live engine; what is held
 * @param eas_mps - of the flight, more than 0
 * @returns failures of the case
 * @see flight-mechanics textbooks, lateral equations with a yaw rate
 */
export function belowVmca(question: AsymmetricQuestion, eas_mps: number, bank_rad: number): Outcome<BelowVmca> {
  const outcome = asymmetricCase(question);
  if (!outcome.ok) return outcome;
  const flight = outcome.value;
  const limit = vmca(flight, bank_rad);
  const stall_mps = stallEas_mps(flight, bank_rad);
  const target = Math.max(limit.eas_mps ?? 0, stall_mps) + MARGIN_MPS;
  const turn = eas_mps < (limit.eas_mps ?? 0) ? turnAtFullRudder(flight, eas_mps, bank_rad) : null;
  return success({
    eas_mps,
    yaw_radps: turn?.yaw_radps ?? 0,
    aileron: turn?.aileron ?? 0,
    controlledSetting: controlledSetting(question, eas_mps, bank_rad),
    height_m: Math.max((target ** 2 - eas_mps ** 2) / (2 * G0 * flight.state.sigma), 0),
    stalled: eas_mps <= stall_mps,
  });
}

/** The greatest setting whose minimum control speed is not above a speed; null when there is none. */
function controlledSetting(question: AsymmetricQuestion, eas_mps: number, bank_rad: number): number | null {
  const controlled = (setting: number) => {
    const flight = asymmetricCase({ ...question, setting });
    if (!flight.ok) return false;
    const minimum = vmca(flight.value, bank_rad);
    return (
      eas_mps > minimum.stall_mps && (minimum.eas_mps === null ? minimum.binding === null : minimum.eas_mps <= eas_mps)
    );
  };
  if (controlled(question.setting)) return question.setting;
  if (!controlled(IDLE)) return null;
  return bisect(controlled, IDLE, question.setting, HALVINGS).low;
}

/**
 * Sideslip, aileron and yaw rate with the rudder at its stop, eliminated one after the other; towards the dead engine
 * positive.
 */
function turnAtFullRudder(
  flight: AsymmetricCase,
  eas_mps: number,
  bank_rad: number,
): { yaw_radps: number; aileron: number } {
  const { asymmetric: a, wing, cg_m, cnDeltaR, liveSide: s } = flight;
  const load = loadingAt(flight, eas_mps, s * bank_rad);
  const rudder = s * a.rudderMax_rad;
  const cyR = (-cnDeltaR * wing.span_m) / a.finArm_m;
  const yawB = a.cnBeta + (a.cyBeta * cg_m) / wing.span_m;
  const yawR = cnDeltaR + (cyR * cg_m) / wing.span_m;
  // Side force turns the path: m·V·r = qS·CY + W·sinφ; so β falls by the turn, per r: m·V/(qS).
  const turning = (load.cw * load.tas_mps) / G0;
  const side = cyR * rudder + load.cw * Math.sin(s * bank_rad);
  const beta0 = -side / a.cyBeta;
  const { cyR: cyYaw, clR, cnR } = yawRateDerivatives(flight, load.cl);
  const reduced = wing.span_m / (2 * load.tas_mps);
  const betaR = (turning - cyYaw * reduced) / a.cyBeta;
  const roll0 = load.clThrust + ((cyR * a.finHeight_m) / wing.span_m) * rudder;
  const aileron0 = -(roll0 + a.clBeta * beta0) / a.clDeltaA;
  const aileronR = -(a.clBeta * betaR + clR * reduced) / a.clDeltaA;
  const yaw0 = load.cnThrust + yawR * rudder + yawB * beta0 + a.cnDeltaA * aileron0;
  const slope = yawB * betaR + a.cnDeltaA * aileronR + cnR * reduced;
  const rate = -yaw0 / slope;
  return { yaw_radps: -s * rate, aileron: Math.abs(aileron0 + aileronR * rate) / a.aileronMax_rad };
}
