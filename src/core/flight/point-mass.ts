// An aeroplane as a point mass in wind that changes with height: speed, path angle and heading through the air,
// position over the ground. x is along the take-off direction, y to its right, headings turn clockwise from x. Not
// here: pitch dynamics, gusts. Source of the equations: Newton's law along and across the path in axes that move with
// the air; the wind's gradient enters as the acceleration of those axes.
import { G0, RHO0 } from "../quantities/constants";
import { type AirColumn, airSample, readAir } from "./air-column";

/** Where the aeroplane is and how it moves; written in place by `advance`. */
export interface Motion {
  /** True airspeed. */
  tas_mps: number;
  /** Path through the air, up positive. */
  gamma_rad: number;
  /** Heading through the air from the take-off direction, clockwise, not wrapped: a full turn is 2π. */
  psi_rad: number;
  x_m: number;
  y_m: number;
  /** Above the runway. */
  height_m: number;
}

/** The aeroplane: its polar in the configuration flown, and its engine while it runs. */
export interface Body {
  readonly cd0: number;
  readonly k: number;
  readonly clMax: number;
  /** N/m². */
  readonly wingLoading: number;
  /** Lift slope, per radian. */
  readonly clAlpha: number;
  /** Thrust over weight at no speed and its slope, s/m; null with the engine stopped. */
  readonly thrust: { readonly static: number; readonly slope_spm: number } | null;
}

/**
 * What the pilot holds over a step: a load factor (as far as `clLimit` allows), a lift coefficient (hands off), or the
 * pitch attitude above the angle of no lift.
 */
export interface Control {
  hold: "load" | "lift" | "attitude";
  value: number;
  clLimit: number;
  bank_rad: number;
}

/** Lift and load that a control gives at a motion, and the drag that goes with it. */
export interface Loads {
  cl: number;
  /** Lift over weight. */
  n: number;
  /** Drag over weight. */
  drag: number;
  /** Lift cut off by the limit: stall, or the margin kept over it. */
  limited: boolean;
}

/**
 * Lift and drag over weight at a motion.
 *
 * @param out - written; owned by the caller
 */
export function loadsOf(body: Body, motion: Motion, control: Control, density: number, out: Loads): void {
  const q = 0.5 * density * motion.tas_mps * motion.tas_mps;
  const scale = q / body.wingLoading;
  const wanted =
    control.hold === "load"
      ? control.value / scale
      : control.hold === "lift"
        ? control.value
        : body.clAlpha * (control.value - motion.gamma_rad);
  out.limited = wanted > control.clLimit;
  out.cl = out.limited ? control.clLimit : wanted;
  out.n = out.cl * scale;
  out.drag = (body.cd0 + body.k * out.cl * out.cl) * scale;
}

const LOADS: Loads = { cl: 0, n: 0, drag: 0, limited: false };
const MIDDLE: Motion = { tas_mps: 0, gamma_rad: 0, psi_rad: 0, x_m: 0, y_m: 0, height_m: 0 };
const AIR = airSample();
/** Rates of change, in the order of `Motion`. */
const RATE = new Float64Array(6);

/**
 * Rates of change of a motion.
 *
 * V̇ = g(T/W − D/W − sinγ) − cosγ·s_v; γ̇ = [g(n·cosφ − cosγ) + sinγ·s_v]/V; ψ̇ = (g·n·sinφ − s_s)/(V·cosγ);
 * s_v and s_s are the wind's change along and across the heading as the height changes.
 */
function rates(motion: Motion, body: Body, air: AirColumn, control: Control, sinBank: number, cosBank: number): void {
  const { tas_mps: v, gamma_rad, psi_rad, height_m } = motion;
  const { density, along_mps, across_mps, alongSlope_ps, acrossSlope_ps } = readAir(air, height_m, AIR);
  loadsOf(body, motion, control, density, LOADS);
  const sinGamma = Math.sin(gamma_rad);
  // The path stays within a quarter turn of level, where a root is cheaper than a cosine.
  const cosGamma = Math.sqrt(1 - sinGamma * sinGamma);
  const sinPsi = Math.sin(psi_rad);
  const cosPsi = Math.cos(psi_rad);
  const climb = v * sinGamma;
  const sv = climb * (alongSlope_ps * cosPsi + acrossSlope_ps * sinPsi);
  const ss = climb * (acrossSlope_ps * cosPsi - alongSlope_ps * sinPsi);
  const thrust = body.thrust ? thrustOverWeight(body.thrust, v, density) : 0;
  RATE[0] = G0 * (thrust - LOADS.drag - sinGamma) - cosGamma * sv;
  RATE[1] = (G0 * (LOADS.n * cosBank - cosGamma) + sinGamma * sv) / v;
  RATE[2] = (G0 * LOADS.n * sinBank - ss) / (v * cosGamma);
  RATE[3] = v * cosGamma * cosPsi + along_mps;
  RATE[4] = v * cosGamma * sinPsi + across_mps;
  RATE[5] = climb;
}

/**
 * Thrust over weight of a naturally aspirated engine: (1.132σ − 0.132)·(T0 − T1·V)/W.
 *
 * @see Gagg and Farrar, SAE 340096 (1934) (memory), for the fall of power with density
 */
export function thrustOverWeight(thrust: NonNullable<Body["thrust"]>, tas_mps: number, density: number): number {
  return (1.132 * (density / RHO0) - 0.132) * (thrust.static - thrust.slope_spm * tas_mps);
}

/**
 * Moves the aeroplane on by one step, midpoint rule (second order): a tenth to a fifth of a second keeps a turnback
 * within a metre.
 *
 * @param motion - written in place
 */
export function advance(motion: Motion, body: Body, air: AirColumn, control: Control, step_s: number): void {
  const sinBank = Math.sin(control.bank_rad);
  const cosBank = Math.cos(control.bank_rad);
  rates(motion, body, air, control, sinBank, cosBank);
  const half = step_s / 2;
  MIDDLE.tas_mps = motion.tas_mps + half * RATE[0];
  MIDDLE.gamma_rad = motion.gamma_rad + half * RATE[1];
  MIDDLE.psi_rad = motion.psi_rad + half * RATE[2];
  MIDDLE.x_m = motion.x_m + half * RATE[3];
  MIDDLE.y_m = motion.y_m + half * RATE[4];
  MIDDLE.height_m = motion.height_m + half * RATE[5];
  rates(MIDDLE, body, air, control, sinBank, cosBank);
  motion.tas_mps += step_s * RATE[0];
  motion.gamma_rad += step_s * RATE[1];
  motion.psi_rad += step_s * RATE[2];
  motion.x_m += step_s * RATE[3];
  motion.y_m += step_s * RATE[4];
  motion.height_m += step_s * RATE[5];
}
