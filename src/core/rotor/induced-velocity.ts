// Air that a rotor draws through its disc: momentum theory, and a fit where the rotor descends into its own wake.
// Sources: Glauert's momentum theory for edgewise flow; a cubic fitted to measured vortex-ring states (memory).

/** Most steps of the safeguarded Newton search; about six are needed. */
const MOST = 40;
/** Relative change at which the search ends. */
const CLOSE = 1e-11;

/**
 * Whether momentum theory fails: the wake is neither above nor below the disc.
 *
 * @param mu - speed in the plane of the disc over vh
 * @param muz - speed through it over vh, positive as in a climb
 */
export function inVortexRing(mu: number, muz: number): boolean {
  return 1.5 * mu * mu + (2 * muz + 3) * (2 * muz + 3) < 1;
}

/**
 * Induced velocity over that of the hover, vi/vh, with vh = √(T/(2ρA)).
 *
 * λi√(μ² + (μz + λi)²) = 1; where 1.5μ² + (2μz + 3)² < 1 the empirical fit λi = μz(0.373μz² + 0.598μ² − 1.991). Of the
 * three flows that momentum theory allows in a steep descent the windmill's is taken: the wake is above the disc.
 *
 * @param mu - 0 to 20
 * @param muz - −20 to 20
 * @returns more than 0, to 1e-9
 * @see H. Glauert, momentum theory of the rotor in edgewise flow; R. P. Coleman's fit of the vortex ring (memory)
 */
export function inducedRatio(mu: number, muz: number): number {
  if (inVortexRing(mu, muz)) return muz * (0.373 * muz * muz + 0.598 * mu * mu - 1.991);
  const g = (x: number) => x * x * (mu * mu + (muz + x) * (muz + x)) - 1;
  // Where g has a maximum before its minimum, the smallest root lies below it if it reaches nought there.
  const discriminant = muz * muz - 8 * mu * mu;
  const peak = muz < 0 && discriminant >= 0 ? (-3 * muz - Math.sqrt(discriminant)) / 4 : 0;
  let [low, high] = g(peak) >= 0 ? [0, peak] : [peak, 2 + Math.max(-muz, 0)];
  // About right in a climb, in level flight and in slow descents; otherwise the middle.
  const guess = Math.max(0.05, 1 / Math.sqrt(1 + mu * mu) - muz / 2);
  let x = guess > low && guess < high ? guess : (low + high) / 2;
  for (let i = 0; i < MOST; i += 1) {
    const value = g(x);
    if (value < 0) low = x;
    else high = x;
    const slope = 2 * x * (mu * mu + (muz + x) * (muz + x)) + 2 * x * x * (muz + x);
    const newton = x - value / slope;
    const next = newton > low && newton < high ? newton : (low + high) / 2;
    if (Math.abs(next - x) <= CLOSE * next) return next;
    x = next;
  }
  return x;
}

/** How much of what a hovering rotor does is left at a speed: F = 1/(1 + (vt/vh)²). */
export function hoverShare(mu: number): number {
  return 1 / (1 + mu * mu);
}
