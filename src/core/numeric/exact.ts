// Functions that give the same bits on every machine: made of + − × ÷ and √ alone, which IEEE 754 fixes. What an engine
// of JavaScript gives for Math.sin and its like is its own affair and differs in the last bit. Coefficients: fdlibm,
// Sun Microsystems (memory), checked against Math to the last bits.

/** Two parts of π/2 and of ln 2, so that multiples of the first are exact. */
const [HALF_PI_1, HALF_PI_2] = [1.57079632673412561417, 6.07710050650619224932e-11];
const [LN2_1, LN2_2] = [6.9314718036912381649e-1, 1.90821492927058770002e-10];
const PER_HALF_PI = 6.36619772367581382433e-1;
const PER_LN2 = 1.442695040888963387;
const SQRT2 = 1.4142135623730950488;
/** π as the nearest double. */
export const PI = 3.141592653589793116;

/** Of an angle within ±π/4. */
function sinKernel(x: number): number {
  const z = x * x;
  const r =
    8.33333333332248946124e-3 +
    z *
      (-1.98412698298579493134e-4 +
        z * (2.75573137070700676789e-6 + z * (-2.50507602534068634195e-8 + z * 1.58969099521155010221e-10)));
  return x + z * x * (-1.66666666666666324348e-1 + z * r);
}

/** Of an angle within ±π/4. */
function cosKernel(x: number): number {
  const z = x * x;
  const r =
    z *
    (4.16666666666666019037e-2 +
      z *
        (-1.38888888888741095749e-3 +
          z *
            (2.48015872894767294178e-5 +
              z * (-2.75573143513906633035e-7 + z * (2.0875723212981748279e-9 + z * -1.13596475577881948265e-11)))));
  const half = 0.5 * z;
  const w = 1 - half;
  return w + (1 - w - half + z * r);
}

/**
 * Sine.
 *
 * @param x - radians, within ±1e6: beyond it the reduction to a quarter turn is coarse
 */
export function sin(x: number): number {
  const n = Math.round(x * PER_HALF_PI);
  const y = x - n * HALF_PI_1 - n * HALF_PI_2;
  switch (((n % 4) + 4) % 4) {
    case 0:
      return sinKernel(y);
    case 1:
      return cosKernel(y);
    case 2:
      return -sinKernel(y);
    default:
      return -cosKernel(y);
  }
}

/** Cosine. @see sin */
export function cos(x: number): number {
  const n = Math.round(x * PER_HALF_PI);
  const y = x - n * HALF_PI_1 - n * HALF_PI_2;
  switch (((n % 4) + 4) % 4) {
    case 0:
      return cosKernel(y);
    case 1:
      return -sinKernel(y);
    case 2:
      return -cosKernel(y);
    default:
      return sinKernel(y);
  }
}

/** Tangent. @see sin */
export const tan = (x: number): number => sin(x) / cos(x);

/** Arcs whose tangents are ½, 1, 1½ and without end, and what the double of each leaves out. */
const ATAN_HIGH = [4.63647609000806093515e-1, 7.85398163397448278999e-1, 9.82793723247329054082e-1, PI / 2];
const ATAN_LOW = [
  2.26987774529616870924e-17, 3.06161699786838301793e-17, 1.39033110312309984516e-17, 6.12323399573676603587e-17,
];

/** Arc tangent, radians. */
export function atan(x: number): number {
  const a = Math.abs(x);
  if (a < 0.4375) return x - x * atanShare(x);
  let [y, part] = [-1 / a, 3];
  if (a < 0.6875) [y, part] = [(2 * a - 1) / (2 + a), 0];
  else if (a < 1.1875) [y, part] = [(a - 1) / (a + 1), 1];
  else if (a < 2.4375) [y, part] = [(a - 1.5) / (1 + 1.5 * a), 2];
  const arc = ATAN_HIGH[part] - (y * atanShare(y) - ATAN_LOW[part] - y);
  return x < 0 ? -arc : arc;
}

function atanShare(x: number): number {
  const z = x * x;
  const w = z * z;
  const odd =
    z *
    (3.33333333333329318027e-1 +
      w *
        (1.42857142725034663711e-1 +
          w *
            (9.09088713343650656196e-2 +
              w * (6.66107313738753120669e-2 + w * (4.97687799461593236017e-2 + w * 1.62858201153657823623e-2)))));
  const even =
    w *
    (-1.99999999998764832476e-1 +
      w *
        (-1.1111110405462355788e-1 +
          w * (-7.69187620504482999495e-2 + w * (-5.83357013379057348645e-2 + w * -3.6531572744216915527e-2))));
  return odd + even;
}

/** The arc of a point, −π…π; 0 where both are. */
export function atan2(y: number, x: number): number {
  if (x === 0) return y > 0 ? PI / 2 : y < 0 ? -PI / 2 : 0;
  const arc = atan(y / x);
  if (x > 0) return arc;
  return y < 0 ? arc - PI : arc + PI;
}

/** Arc sine, radians; of what is beyond ±1 that of ±1. */
export function asin(x: number): number {
  return atan2(x, Math.sqrt(Math.max(0, (1 - x) * (1 + x))));
}

/** 2 to a whole power. */
function powerOf2(n: number): number {
  let [result, base, left] = [1, n < 0 ? 0.5 : 2, Math.abs(n)];
  // Eleven rounds at most: beyond 2^1074 there is no double.
  for (left = Math.min(left, 2000); left > 0; left = Math.floor(left / 2)) {
    if (left % 2 === 1) result *= base;
    base *= base;
  }
  return result;
}

/** e to a power; 0 below −745, without end above 709. */
export function exp(x: number): number {
  if (x < -745.2) return 0;
  if (x > 709.8) return Infinity;
  const k = Math.round(x * PER_LN2);
  const high = x - k * LN2_1;
  const low = k * LN2_2;
  const r = high - low;
  const t = r * r;
  const c =
    r -
    t *
      (1.66666666666666019037e-1 +
        t *
          (-2.77777777770155933842e-3 +
            t * (6.61375632143793436117e-5 + t * (-1.6533902205465251539e-6 + t * 4.13813679705723846039e-8))));
  const y = 1 - (low - (r * c) / (2 - c) - high);
  // In two parts, so that neither is out of range where their product is not.
  const half = Math.floor(k / 2);
  return y * powerOf2(half) * powerOf2(k - half);
}

/** Natural logarithm of something more than 0; −∞ of 0, NaN of less. */
export function log(x: number): number {
  if (!(x > 0)) return x === 0 ? -Infinity : NaN;
  if (x === Infinity) return x;
  let [m, k] = [x, 0];
  // Halved or doubled into √½…√2; 1,075 rounds at most.
  for (; m > SQRT2; m *= 0.5) k += 1;
  for (; m < SQRT2 / 2; m *= 2) k -= 1;
  const f = m - 1;
  const s = f / (2 + f);
  const z = s * s;
  const w = z * z;
  const even = w * (3.999999999940941908e-1 + w * (2.222219843214978396e-1 + w * 1.531383769920937332e-1));
  const odd =
    z *
    (6.66666666666673513e-1 +
      w * (2.857142874366239149e-1 + w * (1.818357216161805012e-1 + w * 1.479819860511658591e-1)));
  const half = 0.5 * f * f;
  return k * LN2_1 - (half - (s * (half + odd + even) + k * LN2_2) - f);
}

/** A power of something more than 0. */
export const pow = (base: number, power: number): number => (base === 0 ? 0 : exp(power * log(base)));
