// The angle at which a wing stalls, found so that the greatest lift in balance is what the document says.
import { bisect } from "../numeric/bisect";
import { LEFT_EARLIER_RAD, settledAttached } from "./separation";

/** What balances in pitch. */
interface Pitching {
  readonly clWing0: number;
  readonly clWingAlpha: number;
  readonly flapLift: number;
  readonly clDeltaE: number;
  readonly cm0: number;
  readonly cmFlap: number;
  readonly cmAlpha: number;
  readonly cmDeltaE: number;
}

/** The greatest lift lies so near the angle of half separation. */
const [BEFORE_RAD, AFTER_RAD, STEP_RAD] = [0.14, 0.06, 0.001];
const HALVINGS = 26;

/** The angle of half separation at which the greatest trimmed lift is CLmax. */
export const stallAngle_rad = (of: Pitching, deltaCl0: number, clMax: number): number =>
  bisect((stall_rad) => greatestLift(of, deltaCl0, stall_rad) < clMax, 0.05, 0.6, HALVINGS).high;

/** Greatest lift coefficient in balance, the elevator having whatever travel that takes. */
function greatestLift(of: Pitching, deltaCl0: number, stall_rad: number): number {
  let most = 0;
  for (let alpha = stall_rad - BEFORE_RAD; alpha < stall_rad + AFTER_RAD; alpha += STEP_RAD) {
    const right = settledAttached(alpha, stall_rad);
    const left = settledAttached(alpha, stall_rad - LEFT_EARLIER_RAD);
    const attached = (left + right) / 2;
    const half = (x: number) => ((1 + Math.sqrt(x)) / 2) ** 2;
    const lift = of.clWing0 + deltaCl0 * of.flapLift + of.clWingAlpha * alpha;
    const elevator =
      -(of.cm0 + of.cmFlap * deltaCl0 + of.cmAlpha * alpha - 0.08 * (1 - attached)) /
      (of.cmDeltaE * (0.5 + 0.5 * attached));
    most = Math.max(most, ((half(left) + half(right)) / 2) * lift + of.clDeltaE * elevator);
  }
  return most;
}
