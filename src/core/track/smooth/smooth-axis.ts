// A measured line made smooth: position, speed and acceleration at every fix from all fixes before and after it. A
// Kalman filter forward, and the modified Bryson–Frazier recursion backward, which gives what a fixed-interval smoother
// gives and inverts nothing.
// @see H. E. Rauch, F. Tung, C. T. Striebel, AIAA J. 3 (1965); G. J. Bierman, Automatica 9 (1973) (memory)

/** What the measurements are worth. */
export interface AxisNoise {
  /** White jerk, m²/s⁵: one for all, or one for each fix's step from the one before. */
  readonly jerk: number | Float64Array;
  /** Variance of a position, m². */
  readonly position: number;
  /** Variance of a speed that is measured as such, m²/s². */
  readonly speed?: number;
}

/** At each fix. */
export interface SmoothAxis {
  readonly position: Float64Array;
  readonly speed: Float64Array;
  readonly acceleration: Float64Array;
}

/** Beyond so many standard deviations, and so many metres, a measurement is not believed; after some in a row it is. */
const [GATE_SIGMA, GATE_M, BELIEVE_AFTER] = [5, 25, 5];
/** What is not known at first: speed, m²/s², and acceleration, m²/s⁴. */
const [FIRST_SPEED, FIRST_ACCELERATION] = [100 ** 2, 3 ** 2];
/** Stored for the way back: state 3, covariance 6, innovation and its variance of position and of speed. */
const KEPT = 13;

/**
 * Smooths one axis.
 *
 * The state is position, speed and acceleration under white jerk q: Q = q·[dt⁵/20 dt⁴/8 dt³/6; · dt³/3 dt²/2; · · dt].
 *
 * @param time_s - rising
 * @param measured - positions; NaN where there is none
 * @param measuredSpeed - of speeds, where they are measured as such
 * @returns null where nothing was measured
 */
export function smoothAxis(
  time_s: Float64Array,
  measured: Float64Array,
  noise: AxisNoise,
  measuredSpeed?: Float64Array,
): SmoothAxis | null {
  const count = time_s.length;
  const first = measured.findIndex((value) => Number.isFinite(value));
  if (first < 0) return null;
  const kept = new Float64Array(count * KEPT);
  let [x0, x1, x2] = [measured[first], 0, 0];
  let [p00, p01, p02, p11, p12, p22] = [noise.position, 0, 0, FIRST_SPEED, 0, FIRST_ACCELERATION];
  let refused = 0;
  for (let i = 0; i < count; i += 1) {
    if (i > 0) {
      const dt = time_s[i] - time_s[i - 1];
      const half = (dt * dt) / 2;
      x0 += x1 * dt + x2 * half;
      x1 += x2 * dt;
      // P ← F·P·Fᵀ + Q
      const a00 = p00 + dt * p01 + half * p02;
      const a01 = p01 + dt * p11 + half * p12;
      const a02 = p02 + dt * p12 + half * p22;
      const a11 = p11 + dt * p12;
      const a12 = p12 + dt * p22;
      const q = typeof noise.jerk === "number" ? noise.jerk : noise.jerk[i];
      const [dt2, dt3] = [dt * dt, dt * dt * dt];
      p00 = a00 + dt * a01 + half * a02 + (q * dt2 * dt3) / 20;
      p01 = a01 + dt * a02 + (q * dt2 * dt2) / 8;
      p02 = a02 + (q * dt3) / 6;
      p11 = a11 + dt * a12 + (q * dt3) / 3;
      p12 = a12 + (q * dt2) / 2;
      p22 += q * dt;
    }
    const at = i * KEPT;
    kept[at] = x0;
    kept[at + 1] = x1;
    kept[at + 2] = x2;
    kept[at + 3] = p00;
    kept[at + 4] = p01;
    kept[at + 5] = p02;
    kept[at + 6] = p11;
    kept[at + 7] = p12;
    kept[at + 8] = p22;
    kept[at + 10] = 0;
    kept[at + 12] = 0;
    const z = measured[i];
    if (z === z) {
      const s = p00 + noise.position;
      const y = z - x0;
      const far = Math.abs(y) > Math.max(GATE_SIGMA * Math.sqrt(s), GATE_M);
      if (far && refused < BELIEVE_AFTER) refused += 1;
      else {
        refused = 0;
        kept[at + 9] = y;
        kept[at + 10] = s;
        const [k0, k1, k2] = [p00 / s, p01 / s, p02 / s];
        x0 += k0 * y;
        x1 += k1 * y;
        x2 += k2 * y;
        p22 -= k2 * p02;
        p12 -= k1 * p02;
        p11 -= k1 * p01;
        p02 -= k0 * p02;
        p01 -= k0 * p01;
        p00 -= k0 * p00;
      }
    }
    const v = measuredSpeed ? measuredSpeed[i] : NaN;
    if (v === v && noise.speed !== undefined) {
      const s = p11 + noise.speed;
      const y = v - x1;
      if (Math.abs(y) <= Math.max(GATE_SIGMA * Math.sqrt(s), GATE_M)) {
        kept[at + 11] = y;
        kept[at + 12] = s;
        const [k0, k1, k2] = [p01 / s, p11 / s, p12 / s];
        x0 += k0 * y;
        x1 += k1 * y;
        x2 += k2 * y;
        p00 -= k0 * p01;
        p02 -= k0 * p12;
        p22 -= k2 * p12;
        p01 -= k0 * p11;
        p12 -= k1 * p12;
        p11 -= k1 * p11;
      }
    }
  }
  return backward(time_s, kept);
}

/** The way back: λ gathers what later measurements say of each state. */
function backward(time_s: Float64Array, kept: Float64Array): SmoothAxis {
  const count = time_s.length;
  const [position, speed, acceleration] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  let [l0, l1, l2] = [0, 0, 0];
  for (let i = count - 1; i >= 0; i -= 1) {
    const at = i * KEPT;
    const [p00, p01, p02, p11, p12, p22] = [
      kept[at + 3],
      kept[at + 4],
      kept[at + 5],
      kept[at + 6],
      kept[at + 7],
      kept[at + 8],
    ];
    const s = kept[at + 10];
    const sv = kept[at + 12];
    if (sv > 0) {
      // The gain of the speed is that of the covariance after the position was taken.
      const f = s > 0 ? 1 / s : 0;
      const [b01, b11, b12] = [p01 - p00 * p01 * f, p11 - p01 * p01 * f, p12 - p01 * p02 * f];
      const gain = (b01 * l0 + b11 * l1 + b12 * l2) / sv;
      l1 -= kept[at + 11] / sv + gain;
    }
    if (s > 0) {
      const gain = (p00 * l0 + p01 * l1 + p02 * l2) / s;
      l0 -= kept[at + 9] / s + gain;
    }
    position[i] = kept[at] - (p00 * l0 + p01 * l1 + p02 * l2);
    speed[i] = kept[at + 1] - (p01 * l0 + p11 * l1 + p12 * l2);
    acceleration[i] = kept[at + 2] - (p02 * l0 + p12 * l1 + p22 * l2);
    if (i > 0) {
      // λ ← Fᵀ·λ
      const dt = time_s[i] - time_s[i - 1];
      l2 += dt * l1 + ((dt * dt) / 2) * l0;
      l1 += dt * l0;
    }
  }
  return { position, speed, acceleration };
}
