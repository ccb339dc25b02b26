// How much of the flow stays attached to half a wing: a share X that lags what its angle asks for, with hysteresis.
// Runs inside a step: functions of numeric/exact only.
import { exp } from "../numeric/exact";

/** The left half stalls so much earlier: one wing drops. */
export const LEFT_EARLIER_RAD = 0.34 * 0.017453292519943295;
/** How sharply it separates, per radian, and what has separated separates earlier by this. */
const [SHARPNESS, HYSTERESIS_RAD] = [75, 3 * 0.017453292519943295];
/** The flow settles within so many chords flown. */
export const SETTLING_CHORDS = 5;
/** Rounds at most, and what is settled. */
const ROUNDS = 60;
const SETTLED = 1e-13;

/** The share that an angle asks for, as it is attached now. @see Kirchhoff's separated flow; common practice */
export const askedAttached = (alpha_rad: number, stall_rad: number, attached: number): number =>
  1 / (1 + exp(SHARPNESS * (alpha_rad - stall_rad + HYSTERESIS_RAD * (1 - attached))));

/** The share that stays when the angle was reached slowly from below. */
export function settledAttached(alpha_rad: number, stall_rad: number): number {
  let attached = 1;
  for (let i = 0; i < ROUNDS; i += 1) {
    const next = askedAttached(alpha_rad, stall_rad, attached);
    if (Math.abs(next - attached) < SETTLED) return next;
    attached = next;
  }
  return attached;
}
