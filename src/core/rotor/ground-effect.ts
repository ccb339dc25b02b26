/**
 * Induced power near the ground over that away from it, in the hover.
 *
 * @param hub_m - height of the hub above the ground; more than 0
 * @returns k = min(1, 1/(0.9926 + 0.0379(2R/z)²)), 1 from about two radii up
 * @see J. S. Hayden, the effect of the ground on helicopter hovering power required, AHS 1976 (memory)
 */
export function groundEffect(hub_m: number, radius_m: number): number {
  const diameters = (2 * radius_m) / hub_m;
  return Math.min(1, 1 / (0.9926 + 0.0379 * diameters * diameters));
}
