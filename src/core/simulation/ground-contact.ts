// What the ground does to what stands, rolls or slides on it. Runs inside a step: functions of numeric/exact only.
import { cos, sin } from "../numeric/exact";
import type { Turned } from "./rigid-body";
import * as S from "./state";

/** A wheel or another point that may touch the ground: body axes from the centre of gravity, m. */
export interface TouchPoint {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  /** N/m and N s/m. */
  readonly spring: number;
  readonly damper: number;
  readonly kind: "nose" | "main" | "hull" | "skid";
}

/** The ground below, above the sea, and its slope to the north and the east; what of the wheels is out and held. */
interface Below {
  readonly ground_m: number;
  readonly slopeNorth: number;
  readonly slopeEast: number;
  readonly wheelsDown: boolean;
  readonly brakes: number;
  readonly rudder_rad: number;
}

/** What stands on points; none of them is farther from the middle than the span. */
export interface Standing {
  readonly points: readonly TouchPoint[];
  readonly span_m: number;
  readonly rudderMax_rad: number;
}

/** Ground: rolling, braked, sideways, on the hull; friction comes in over these, m/s. */
const [ROLLING, BRAKED, SIDEWAYS, HULL] = [0.04, 0.45, 0.7, 0.45];
const [GRIP_MPS, SIDE_GRIP] = [0.15, 0.08];
/** The third wheel is turned so far by the whole pedal, less as it rolls faster. */
const [STEERED_RAD, STEERED_MPS] = [(18 * Math.PI) / 180, 12];

const TOUCHED = { fx: 0, fy: 0, fz: 0, mx: 0, my: 0, mz: 0, touch_N: 0, hull_N: 0 };

/** Springs under the wheels and the hull, friction along and across: −μN·v/√(v² + v0²). */
export function groundContact(m: Standing, y: Float64Array, at: Below, t: Turned): typeof TOUCHED {
  const g = TOUCHED;
  g.fx = g.fy = g.fz = g.mx = g.my = g.mz = g.touch_N = g.hull_N = 0;
  // Nothing reaches down from so high.
  if (-y[S.DOWN] - at.ground_m > m.span_m) return g;
  const p = y[S.P];
  const q = y[S.Q];
  const r = y[S.R];
  // The ground's up, in body axes; along and across the nose on the ground.
  const length = Math.sqrt(1 + at.slopeNorth * at.slopeNorth + at.slopeEast * at.slopeEast);
  const un = -at.slopeNorth / length;
  const ue = -at.slopeEast / length;
  const ud = -1 / length;
  const ux = t.r11 * un + t.r12 * ue + t.r13 * ud;
  const uy = t.r21 * un + t.r22 * ue + t.r23 * ud;
  const uz = t.r31 * un + t.r32 * ue + t.r33 * ud;
  const rolling = Math.sqrt(y[S.U] * y[S.U] + y[S.V] * y[S.V]);
  const steered = STEERED_RAD / (1 + (rolling / STEERED_MPS) * (rolling / STEERED_MPS));
  for (const point of m.points) {
    if (point.kind !== "hull" && !at.wheelsDown) continue;
    const { x, y: py, z } = point;
    // How deep it is below the ground's plane.
    const north = t.r11 * x + t.r21 * py + t.r31 * z;
    const east = t.r12 * x + t.r22 * py + t.r32 * z;
    const down = y[S.DOWN] + t.r13 * x + t.r23 * py + t.r33 * z;
    const depth = (down + at.ground_m + at.slopeNorth * north + at.slopeEast * east) / length;
    if (depth <= 0) continue;
    const vx = y[S.U] + q * z - r * py;
    const vy = y[S.V] + r * x - p * z;
    const vz = y[S.W] + p * py - q * x;
    const rising = vx * ux + vy * uy + vz * uz;
    const normal = point.spring * depth - point.damper * rising;
    if (normal <= 0) continue;
    // Along the wheel, across it, both in the ground's plane.
    const turn = point.kind === "nose" ? steered * (at.rudder_rad / m.rudderMax_rad) : 0;
    const c = cos(turn);
    const s = sin(turn);
    const lean = c * ux + s * uy;
    const px = c - lean * ux;
    const pyy = s - lean * uy;
    const pz = -lean * uz;
    const norm = Math.sqrt(px * px + pyy * pyy + pz * pz);
    if (norm < 0.05) continue;
    const ax = px / norm;
    const ay = pyy / norm;
    const az = pz / norm;
    const bx = az * uy - ay * uz;
    const by = ax * uz - az * ux;
    const bz = ay * ux - ax * uy;
    const along = vx * ax + vy * ay + vz * az;
    const across = vx * bx + vy * by + vz * bz;
    const slides = point.kind === "hull" || point.kind === "skid";
    const mu = slides ? HULL : ROLLING + (point.kind === "main" ? BRAKED * at.brakes : 0);
    const gripSide = slides ? HULL : SIDEWAYS;
    const forward = (-mu * normal * along) / Math.sqrt(along * along + GRIP_MPS * GRIP_MPS);
    const side0 = GRIP_MPS + SIDE_GRIP * Math.abs(along);
    const side = (-gripSide * normal * across) / Math.sqrt(across * across + side0 * side0);
    const fx = normal * ux + forward * ax + side * bx;
    const fy = normal * uy + forward * ay + side * by;
    const fz = normal * uz + forward * az + side * bz;
    g.fx += fx;
    g.fy += fy;
    g.fz += fz;
    g.mx += py * fz - z * fy;
    g.my += z * fx - x * fz;
    g.mz += x * fy - py * fx;
    if (normal > g.touch_N) g.touch_N = normal;
    if (point.kind === "hull" && normal > g.hull_N) g.hull_N = normal;
  }
  return g;
}
