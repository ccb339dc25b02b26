// What a flight on one engine of two is held against: V_YSE, clean, the dead one feathered, without a slip.
import { asymmetricCase } from "../asymmetric/anchored-case";
import type { AsymmetricCase } from "../asymmetric/asymmetric-case";
import { type Climb, oneEngineSpeeds, zeroSideslip } from "../asymmetric/one-engine-climb";
import { G0, RHO0 } from "../quantities/constants";
import { AT, type Row } from "./glide-rows";
import { type Beyond, type SpentSetUp, type Yardstick, besides, leastDrag, step_s } from "./height-account";

/** @see oneEngineOf */
export interface OneEngine {
  readonly flight: AsymmetricCase;
  readonly best: Climb;
}

/** Pulls less than this share of the weight on the whole are none. */
const NO_PULL = 0.01;

/**
 * The planner's case of the engine that has failed, at the height that was flown.
 *
 * @returns null where it is not one of two that pulls, or the planner has no climb for it
 */
export function oneEngineOf(setUp: SpentSetUp, { model }: Yardstick, flown: readonly Row[]): OneEngine | null {
  if (model.engines.length !== 2) return null;
  const mean = (at: number) => flown.reduce((sum, row) => sum + row[at], 0) / flown.length;
  const [left, right] = [mean(AT.thrust0), mean(AT.thrust1)];
  const none = NO_PULL * model.mass_kg * G0;
  if (Math.max(left, right) < none || Math.min(left, right) > none) return null;
  const made = asymmetricCase({
    aircraft: setUp.aircraft,
    mass_kg: setUp.mass_kg,
    centreOfGravity: setUp.centreOfGravity,
    altitude_m: mean(AT.altitude),
    air: setUp.air,
    flap: 0,
    gearDown: !model.retractable,
    items: [],
    deadPropeller: leastDrag(setUp).propeller,
    failed: left < right ? "left" : "right",
    setting: 1,
  });
  if (!made.ok) return null;
  const best = oneEngineSpeeds(made.value).rate;
  return Number.isFinite(best.climb_mps) ? { flight: made.value, best } : null;
}

/** A piece on one engine. @returns what it needs in its time: negative where it can climb */
export function oneEngineLeast(
  piece: readonly Row[],
  by: Yardstick,
  { flight, best }: OneEngine,
  beyond: Beyond,
): number {
  const { model } = by;
  let time_s = 0;
  for (let i = 0; i + 1 < piece.length; i += 1) time_s += step_s(piece, i);
  const middle = piece[Math.floor(piece.length / 2)];
  const eas_mps = middle[AT.tas] * Math.sqrt(by.density(middle[AT.altitude]) / RHO0);
  // So slow that no control holds it straight it is as at its best speed; the rest is the air's.
  const state = zeroSideslip(flight, eas_mps) ?? zeroSideslip(flight, best.eas_mps);
  const { loaded_m, level_m } = besides(piece, by, beyond, {
    deadCd: by.deadCd / 2,
    pull_N: state?.thrust_N ?? 0,
    trimCd: state ? model.cdDeltaR * state.rudder_rad ** 2 + model.cdDeltaA * state.aileron_rad ** 2 : 0,
  });
  beyond.bank += loaded_m - level_m;
  beyond.speed += (best.climb_mps - (state?.climb_mps ?? best.climb_mps)) * time_s;
  return -best.climb_mps * time_s;
}
