// What ends the flight of a helicopter or a gyroplane. Runs inside a step.
import { cos } from "../numeric/exact";
import { eulerAngles } from "./attitude";
import { G0 } from "../quantities/constants";
import { type Ending, type Flight, STEP_S } from "./flight";
import type { RotorcraftModel } from "./rotorcraft-model";
import * as S from "./state";
import { touching } from "./touching";

/** Beyond these it ends: of the never-exceed speed, of the load, of the weight on one skid or wheel. */
const [TOO_FAST, OVERLOAD, CRASH] = [1.1, 1.5, 2.5];
/** A rotor slower than this, of its nominal speed, does not come back. */
const SLOWEST_NR = 0.6;
/** A gyroplane's rotor that carries less than this for so long slows down and is not loaded again. */
const [UNLOADED, UNLOADED_S] = [0.15, 1];
/** Steeper than these it is flown no more, and lies on its side on the ground, rad. */
const [BANKED_RAD, NOSE_RAD, LIES_RAD] = [1.48, 1.3, 0.8];
/** Backwards faster than this nothing of the tail holds it, m/s. */
const BACKWARDS_MPS = 18;
/** So high above its skids it flies, m. */
const FLIES_M = 1;

/** Why it goes on no more; null while it does. */
export function rotorcraftEnding({ state: s, seen, ground, forces }: Flight, model: RotorcraftModel): Ending | null {
  const airborne = seen.touch_N === 0;
  const flies = airborne && -s[S.DOWN] - forces.ground_m > model.hullHeight_m + FLIES_M;
  const { bank_rad, pitch_rad } = eulerAngles(s);
  if (s[S.ASI] > TOO_FAST * model.vne_mps) return { kind: "too-fast" };
  if (flies) {
    if (s[S.NR] < SLOWEST_NR) return { kind: "rotor-slow" };
    const backwards = -seen.tas_mps * cos(seen.alpha_rad) * cos(seen.beta_rad) > BACKWARDS_MPS;
    if (backwards || Math.abs(bank_rad) > BANKED_RAD || Math.abs(pitch_rad) > NOSE_RAD) return { kind: "departed" };
    if (Math.abs(seen.fz) > OVERLOAD * model.loadFactor * G0) return { kind: "overload" };
  }
  const carries = forces.rotor.thrust_N / (model.mass_kg * G0);
  const unloaded = flies && model.lift.kind === "gyroplane" && carries < UNLOADED;
  s[S.UNLOADED_S] = unloaded ? s[S.UNLOADED_S] + STEP_S : 0;
  if (s[S.UNLOADED_S] > UNLOADED_S) return { kind: "unloaded" };
  if (airborne) return null;
  const touch = touching(s);
  if (ground.water(s[S.NORTH], s[S.EAST])) return { kind: "water", ...touch };
  const broken = seen.touch_N > CRASH * model.mass_kg * G0 || Math.abs(bank_rad) > LIES_RAD;
  return broken ? { kind: "crash", ...touch } : null;
}
