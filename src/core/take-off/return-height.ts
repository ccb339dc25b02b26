import { bestPropeller } from "../asymmetric/climb-ledger";
import { zeroSideslip } from "../asymmetric/one-engine-climb";
import { type TurnControls, turnControls } from "../asymmetric/turn-control";
import { G0 } from "../quantities/constants";
import type { TakeOffDay } from "./take-off-day";
import type { PathPoint, TakeOffPath } from "./take-off-path";

/** Turning back for a landing on one engine. */
export interface ReturnHeight {
  /** Height lost in half a turn; negative gains. */
  readonly loss_m: number;
  /** Least height to begin the turn at. */
  readonly height_m: number;
  /** Where the way on one engine has it; null when it does not come so high. */
  readonly at: PathPoint | null;
  readonly radius_m: number;
  /** Control left in that turn, either side; null where no bank holds it straight. */
  readonly control: TurnControls | null;
}

/**
 * Bank of the turn, and the height above the runway that it must leave: 15° towards either engine; 500 ft. Common
 * practice.
 */
export const RETURN_BANK_RAD = (15 * Math.PI) / 180;
/** @see RETURN_BANK_RAD */
export const RETURN_FLOOR_M = 152.4;

/**
 * The height from which half a turn on one engine, mended, at V_YSE, leaves 500 ft.
 *
 * In the turn the lift is n times the weight, and induced drag n² times as great: ΔRoC = −V·k·CL²·(n² − 1)·qS/W.
 */
export function returnHeight(day: TakeOffDay, path: TakeOffPath): ReturnHeight {
  const { speeds, question } = day;
  const flight = day.at(RETURN_FLOOR_M, { gearDown: false, flap: 0, deadPropeller: bestPropeller(question) });
  const straight = zeroSideslip(flight, speeds.oneEngine_mps);
  const tas_mps = straight?.tas_mps ?? speeds.oneEngine_mps;
  const qS = (straight?.q ?? 0) * flight.wing.area_m2;
  const n = 1 / Math.cos(RETURN_BANK_RAD);
  const cl = straight?.cw ?? 0;
  const climb_mps =
    (straight?.climb_mps ?? -Infinity) - (tas_mps * flight.k * cl * cl * (n * n - 1) * qS) / flight.weight_N;
  const rate = (G0 * Math.tan(RETURN_BANK_RAD)) / tas_mps;
  const loss_m = (-climb_mps * Math.PI) / rate;
  const height_m = RETURN_FLOOR_M + Math.max(loss_m, 0);
  return {
    loss_m,
    height_m,
    at: path.points.find((point) => point.height_m >= height_m) ?? null,
    radius_m: tas_mps / rate,
    control: turnControls(flight, speeds.oneEngine_mps, RETURN_BANK_RAD),
  };
}
