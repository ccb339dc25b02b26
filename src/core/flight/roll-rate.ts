import { clamp } from "../numeric/clamp";

/** How fast a pilot in a hurry rolls into and out of a turn, rad/s. Common practice. */
export const ROLL_RADPS = (20 * Math.PI) / 180;
/** How fast a turn of a normal climb is rolled into, rad/s. Common practice. */
export const GENTLE_ROLL_RADPS = (10 * Math.PI) / 180;

/** The bank a step of time later, rolled towards the one that is wanted. */
export function rolledTowards(bank_rad: number, wanted_rad: number, step_s: number, rate_radps = ROLL_RADPS): number {
  return bank_rad + clamp(wanted_rad - bank_rad, -rate_radps * step_s, rate_radps * step_s);
}
