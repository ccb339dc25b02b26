import { G0 } from "../quantities/constants";
import type { AsymmetricCase } from "./asymmetric-case";
import { loadingAt } from "./equilibrium";
import { stallEas_mps, zeroSideslip } from "./one-engine-climb";
import { yawRateDerivatives } from "./yaw-rate";

/** Control left in a level turn on one engine, one side. */
export interface TurnControl {
  /** Share of full rudder and of full aileron that the turn holds. */
  readonly rudder: number;
  readonly aileron: number;
  readonly rate_radps: number;
  /**
   * Slowest speed, equivalent, at which rudder and aileron still hold this turn; the stall in the turn where that is
   * first.
   */
  readonly least_mps: number;
}

/** Half a knot: finer than a pilot holds a speed. */
const STEP_MPS = 0.257;

/** Both sides at the same speed and bank. */
export interface TurnControls {
  readonly towardsLive: TurnControl;
  readonly towardsDead: TurnControl;
}

/**
 * What a turn without sideslip at a bank from the wings-level-in-balance bank asks of rudder and aileron, each side.
 *
 * With β = 0 and φ = φ0 ± bank, φ0 being the bank of straight flight without sideslip: side CYδr·δr + CYr·r̂ + CW·sinφ
 * = CW·V·r/g, yaw Cnδr·δr + Cnδa·δa + Cnr·r̂ + Cn_T = 0, roll Clδr·δr + Clδa·δa + Clr·r̂ + Cl_T = 0, r̂ = r·b/(2V):
 * three equations for δr, δa, r.
 *
 * @param eas_mps - of the turn
 * @param bank_rad - of the turn, beyond that of straight flight
 * @returns null where no bank holds straight flight without sideslip
 */
export function turnControls(flight: AsymmetricCase, eas_mps: number, bank_rad: number): TurnControls | null {
  const straight = zeroSideslip(flight, eas_mps);
  if (!straight) return null;
  const stall_mps = stallEas_mps(flight, 0) / Math.sqrt(Math.cos(bank_rad));
  const side = (towards: 1 | -1): TurnControl => {
    const at = (speed_mps: number) =>
      turnAt(flight, speed_mps, straight.bank_rad + towards * flight.liveSide * bank_rad);
    let least_mps = eas_mps;
    while (least_mps - STEP_MPS > stall_mps && held(at(least_mps - STEP_MPS))) least_mps -= STEP_MPS;
    return { ...at(eas_mps), least_mps: least_mps - STEP_MPS > stall_mps ? least_mps : stall_mps };
  };
  return { towardsLive: side(1), towardsDead: side(-1) };
}

function held({ rudder, aileron }: Pick<TurnControl, "rudder" | "aileron">): boolean {
  return rudder <= 1 && aileron <= 1;
}

function turnAt(flight: AsymmetricCase, eas_mps: number, bank_rad: number): Omit<TurnControl, "least_mps"> {
  const { asymmetric: a, wing, cg_m, cnDeltaR } = flight;
  const load = loadingAt(flight, eas_mps, bank_rad);
  const cyRudder = (-cnDeltaR * wing.span_m) / a.finArm_m;
  const rollRudder = (cyRudder * a.finHeight_m) / wing.span_m;
  const yawRudder = cnDeltaR + (cyRudder * cg_m) / wing.span_m;
  const { cyR, clR, cnR } = yawRateDerivatives(flight, load.cl);
  const reduced = wing.span_m / (2 * load.tas_mps);
  // r from the side force in terms of the rudder, the aileron from the roll, then the yaw is linear in the rudder.
  const turning = (load.cw * load.tas_mps) / G0 - cyR * reduced;
  const r0 = (load.cw * Math.sin(bank_rad)) / turning;
  const r1 = cyRudder / turning;
  const a0 = -(load.clThrust + clR * reduced * r0) / a.clDeltaA;
  const a1 = -(rollRudder + clR * reduced * r1) / a.clDeltaA;
  const rudder_rad =
    -(load.cnThrust + a.cnDeltaA * a0 + cnR * reduced * r0) / (yawRudder + a.cnDeltaA * a1 + cnR * reduced * r1);
  return {
    rudder: Math.abs(rudder_rad) / a.rudderMax_rad,
    aileron: Math.abs(a0 + a1 * rudder_rad) / a.aileronMax_rad,
    rate_radps: Math.abs(r0 + r1 * rudder_rad),
  };
}
