/** A value kept between a least and a greatest one; NaN stays NaN. */
export function clamp(value: number, least: number, greatest: number): number {
  return Math.min(Math.max(value, least), greatest);
}
