// Torque that the air and the engine's own friction put on a propeller's shaft. Runs inside a step: functions of
// numeric/exact only.
import { atan2, cos, sin } from "../numeric/exact";

/** What of a propeller its torque depends on. */
interface Blades {
  readonly diameter_m: number;
  readonly chord_m: number;
}

/** Part of the radius at which one station stands for the blade, and the part of it that works. */
const [STATION, WORKING] = [0.75, 0.6];
/** Lift slope of the section; it stalls over these angles, rad; drag of the section by its angle squared. */
const [SLOPE, STALL_FROM, STALL_TO] = [5.7, 0.2, 0.36];
const [DRAG_0, DRAG_2] = [0.012, 0.5];
/** Tips near the speed of sound: this limits a runaway propeller. */
const [TIP_MACH, TIP_DRAG] = [0.84, 8];
/** Compression is felt below this, rad/s. */
const COMPRESSION_RADPS = 115;

/**
 * Torque that the air asks of a propeller; negative turns it.
 *
 * Q = ½ρW²·Bc·ΔR·(cl·sinφ + cd·cosφ)·0.75R, φ = atan2(V + vi, Ω·0.75R), both sides of the stall, a flat plate beyond.
 *
 * @param blade_rad - at 0.75 R from the disc's plane
 * @param axial_mps - air through the disc
 * @see blade element theory, one station; common practice
 */
export function bladeTorque_Nm(
  { diameter_m, chord_m }: Blades,
  blade_rad: number,
  omega_radps: number,
  axial_mps: number,
  density: number,
  speedOfSound_mps: number,
): number {
  const radius_m = diameter_m / 2;
  const arm_m = STATION * radius_m;
  const swept = omega_radps * arm_m;
  const w2 = axial_mps * axial_mps + swept * swept;
  const phi = atan2(axial_mps, swept);
  const alpha = blade_rad - phi;
  const a = Math.abs(alpha);
  const stalled = a <= STALL_FROM ? 0 : a >= STALL_TO ? 1 : (a - STALL_FROM) / (STALL_TO - STALL_FROM);
  const sinA = sin(alpha);
  const lift = (1 - stalled) * SLOPE * alpha + stalled * 2 * sinA * cos(alpha);
  const tip = Math.sqrt(axial_mps * axial_mps + omega_radps * radius_m * (omega_radps * radius_m)) / speedOfSound_mps;
  const wave = tip > TIP_MACH ? TIP_DRAG * (tip - TIP_MACH) * (tip - TIP_MACH) : 0;
  const drag = (1 - stalled) * (DRAG_0 + DRAG_2 * alpha * alpha) + stalled * (DRAG_0 + 1.3 * sinA * sinA) + wave;
  const force = 0.5 * density * w2 * chord_m * WORKING * radius_m;
  return force * (lift * sin(phi) + drag * cos(phi)) * arm_m;
}

/** Torque that an engine which is turned takes: friction, and compression when it barely turns. */
export function engineFriction_Nm(
  friction_Nm: number,
  compression_Nm: number,
  omega_radps: number,
  speed_radps: number,
): number {
  const slow = omega_radps < COMPRESSION_RADPS ? 1 - omega_radps / COMPRESSION_RADPS : 0;
  return friction_Nm * (0.55 + (0.45 * omega_radps) / speed_radps) + compression_Nm * slow;
}
