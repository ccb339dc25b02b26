// Angles are radians, clockwise from north when they are directions.

const TURN = 2 * Math.PI;

/** Radians from degrees. */
export function radians(angle_deg: number): number {
  return (angle_deg * Math.PI) / 180;
}

/** Degrees from radians. */
export function degrees(angle_rad: number): number {
  return (angle_rad * 180) / Math.PI;
}

/** The same direction in 0 ≤ angle < 2π; NaN stays NaN. */
export function wrapTurn(angle_rad: number): number {
  const wrapped = angle_rad - TURN * Math.floor(angle_rad / TURN);
  // A tiny negative angle rounds to a full turn, which is no longer below 2π.
  return wrapped >= TURN ? 0 : wrapped;
}

/** The same direction in −π ≤ angle < π. */
export function wrapHalfTurn(angle_rad: number): number {
  return wrapTurn(angle_rad + Math.PI) - Math.PI;
}

/** A direction in three figures, 001 to 360. */
export function threeFigures(angle_rad: number): string {
  return String(Math.round(degrees(wrapTurn(angle_rad))) % 360 || 360).padStart(3, "0");
}

/** Where something lies as on a clock face, 12 ahead: 1 to 12. */
export function oClock(bearing_rad: number, heading_rad: number): number {
  return Math.round((wrapTurn(bearing_rad - heading_rad) * 6) / Math.PI) % 12 || 12;
}
