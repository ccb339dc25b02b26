import { G0, M_PER_FT, MPS_PER_KT } from "../quantities/constants";
import { type Outcome, failure, success } from "../outcome";
import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import { oneEngineSpeeds } from "./one-engine-climb";
import { type ControlLimit, vmca } from "./vmca";

/** How minimum control speed is to be shown. */
export interface DemonstrationPlan {
  /** Height of the ground below, m above the sea. */
  readonly ground_m: number;
  /** Recovery is complete no lower than this above the ground, m; the usual 3,000 ft at least. */
  readonly floor_m: number;
  /** Speed lost each second, m/s. */
  readonly deceleration_mps2: number;
  readonly bank_rad: number;
}

/** A moment of the exercise. */
export interface DemonstrationMark {
  readonly name: "entry" | "stall-warning" | "loss" | "recovered";
  readonly eas_mps: number;
  readonly time_s: number;
}

/** The exercise as it will go. */
export interface Demonstration {
  readonly entry_mps: number;
  readonly vmca_mps: number | null;
  readonly binding: ControlLimit | null;
  readonly stall_mps: number;
  readonly stallWarning_mps: number;
  /** What ends it: loss of directional control, or the stall's warning. */
  readonly ends: "loss" | "stall-warning";
  /** The stall or its warning comes before control is lost: not to be shown by slowing down. */
  readonly stallFirst: boolean;
  readonly recoveryTarget_mps: number;
  readonly recoveryHeight_m: number;
  /** Lowest altitude to begin at, above the sea. */
  readonly lowestEntry_m: number;
  /** The altitude asked about is too low. */
  readonly tooLow: boolean;
  readonly marks: readonly DemonstrationMark[];
}

/** Stall warning comes this much before the stall, m/s: 5 kt or 5 %. 14 CFR 23.207 as it was before 2017 (memory). */
const WARNING_KT = 5;
const WARNING_SHARE = 1.05;
/** From the first sign until the power is off and the nose down, s. Common practice. */
const REACTION_S = 2;
/** Share of its weight that the aeroplane gains speed with, power off and nose down about 10°. Common practice. */
const NOSE_DOWN = 0.12;
/** Height of recovery that is planned for over the computed one. Common practice. */
const RESERVE = 1.5;

/**
 * Plans a demonstration of minimum control speed: idle propeller windmilling, full power on the other, slowing by a
 * knot a second.
 *
 * @param question - as it will be flown: the altitude is that of the entry
 * @param plan - bank into the live engine up to 5°; deceleration 0.2…2 m/s²
 * @returns failures of the case; `no_entry` when there is no speed from which to slow down
 * @see practice of multi-engine flight tests: heading ±20°, speed ±5 kt, bank at most 5°, recovery at the first sign
 *   (memory)
 */
export function demonstration(question: AsymmetricQuestion, plan: DemonstrationPlan): Outcome<Demonstration> {
  const outcome = asymmetricCase(question);
  if (!outcome.ok) return outcome;
  const flight = outcome.value;
  const speeds = oneEngineSpeeds(flight);
  const minimum = vmca(flight, plan.bank_rad);
  const { handbook } = question.aircraft;
  const entry_mps = Math.max(
    handbook.vyse_mps ?? speeds.rate.eas_mps,
    (minimum.eas_mps ?? minimum.stall_mps) + 10 * MPS_PER_KT,
  );
  const stallWarning_mps = Math.max(minimum.stall_mps * WARNING_SHARE, minimum.stall_mps + WARNING_KT * MPS_PER_KT);
  if (minimum.binding !== null && minimum.eas_mps === null)
    return failure("no_control", "A control is beyond its stop at every speed: this cannot be flown.", "setting");
  const stallFirst = minimum.eas_mps === null || minimum.eas_mps <= stallWarning_mps;
  const end_mps = stallFirst ? stallWarning_mps : (minimum.eas_mps ?? stallWarning_mps);
  const recoveryTarget_mps = Math.max(handbook.vsse_mps ?? 0, speeds.angle.eas_mps, end_mps + 5 * MPS_PER_KT);
  const reached_s = (entry_mps - end_mps) / plan.deceleration_mps2;
  const sigmaRoot = Math.sqrt(flight.state.sigma);
  // Speed comes back by going down: what the slope does not give is height lost to drag.
  const speedUp_s = (recoveryTarget_mps - end_mps) / sigmaRoot / (NOSE_DOWN * G0);
  const mean = (recoveryTarget_mps + end_mps) / 2 / sigmaRoot;
  const sinking_m = Math.max(-speeds.rate.climb_mps, 0) * REACTION_S;
  const recoveryHeight_m = RESERVE * (sinking_m + mean * speedUp_s * (NOSE_DOWN + 0.1));
  const lowestEntry_m = plan.ground_m + plan.floor_m + recoveryHeight_m;
  return success({
    entry_mps,
    vmca_mps: minimum.eas_mps,
    binding: minimum.binding,
    stall_mps: minimum.stall_mps,
    stallWarning_mps,
    stallFirst,
    ends: stallFirst ? "stall-warning" : "loss",
    recoveryTarget_mps,
    recoveryHeight_m,
    lowestEntry_m,
    tooLow: question.altitude_m < lowestEntry_m,
    marks: [
      { name: "entry", eas_mps: entry_mps, time_s: 0 },
      { name: stallFirst ? "stall-warning" : "loss", eas_mps: end_mps, time_s: reached_s },
      { name: "recovered", eas_mps: recoveryTarget_mps, time_s: reached_s + REACTION_S + speedUp_s },
    ],
  });
}

/** Floor of the exercise above ground, m: 3,000 ft. Common practice of flight tests. */
export const DEMONSTRATION_FLOOR_M = 3000 * M_PER_FT;
