/** A corner of an envelope. */
export interface EnvelopeCorner {
  readonly speedCalibrated_mps: number;
  readonly altitudePressure_m: number;
}

/** As near as this to an edge it is on it: corners are written with four decimals. */
const EDGE = 1e-2;

/**
 * Whether a speed and altitude lie in an envelope, its edge included.
 *
 * @param corners - of a polygon without crossings, in order
 */
export function inEnvelope(corners: readonly EnvelopeCorner[], cas_mps: number, altitudePressure_m: number): boolean {
  let inside = false;
  for (let i = 0, j = corners.length - 1; i < corners.length; j = i, i += 1) {
    const [a, b] = [corners[i], corners[j]];
    const [dv, dh] = [b.speedCalibrated_mps - a.speedCalibrated_mps, b.altitudePressure_m - a.altitudePressure_m];
    const away =
      (dv * (altitudePressure_m - a.altitudePressure_m) - dh * (cas_mps - a.speedCalibrated_mps)) / Math.hypot(dv, dh);
    const within = (value: number, from: number, to: number) =>
      value >= Math.min(from, to) - EDGE && value <= Math.max(from, to) + EDGE;
    if (
      Math.abs(away) < EDGE &&
      within(cas_mps, a.speedCalibrated_mps, b.speedCalibrated_mps) &&
      within(altitudePressure_m, a.altitudePressure_m, b.altitudePressure_m)
    )
      return true;
    if (
      a.altitudePressure_m > altitudePressure_m !== b.altitudePressure_m > altitudePressure_m &&
      cas_mps < (dv * (altitudePressure_m - a.altitudePressure_m)) / dh + a.speedCalibrated_mps
    )
      inside = !inside;
  }
  return inside;
}
