// Turn–straight–turn between two poses, each turn with a radius of its own. Headings clockwise from north, x east, y
// north. Source: L. E. Dubins, Amer. J. Math. 79 (1957); here only the words with a straight middle, which a pilot
// flies.

/** Direction of the two turns. */
export type Word = "LSL" | "RSR" | "LSR" | "RSL";

/** All four, in the order in which ties are settled. */
export const WORDS: readonly Word[] = ["LSL", "RSR", "LSR", "RSL"];

/** +1 for a right turn, −1 for a left one. */
export function turnSigns(word: Word): readonly [1 | -1, 1 | -1] {
  return [word[0] === "R" ? 1 : -1, word[2] === "R" ? 1 : -1];
}

/** A point with a direction. */
export interface Pose {
  readonly x_m: number;
  readonly y_m: number;
  readonly heading_rad: number;
}

/** The three parts. */
export interface TurnStraightTurn {
  turn1_rad: number;
  straight_m: number;
  turn2_rad: number;
  /** Heading of the straight. */
  heading_rad: number;
}

const TURN = 2 * Math.PI;
/**
 * A turn this close to a whole circle is no turn: rounding put it on the wrong side of zero. 1e-6 rad of a 1 km radius
 * is 1 mm.
 */
const WHOLE_CIRCLE = TURN - 1e-6;

function turned(angle_rad: number): number {
  const wrapped = angle_rad - TURN * Math.floor(angle_rad / TURN);
  return wrapped > WHOLE_CIRCLE ? 0 : wrapped;
}

/**
 * One word between two poses.
 *
 * With centres c = p + s·r·n(ψ), n the unit vector to the right, c2 − c1 = L·u(χ) + (s2·r2 − s1·r1)·n(χ) gives the
 * straight's length L and heading χ directly.
 *
 * @param out - filled and returned; the caller owns it, so that searching allocates nothing
 * @returns null when the circles overlap so that this word does not exist
 */
export function turnStraightTurn(
  x1: number,
  y1: number,
  heading1: number,
  radius1: number,
  sign1: number,
  x2: number,
  y2: number,
  heading2: number,
  radius2: number,
  sign2: number,
  out: TurnStraightTurn,
): TurnStraightTurn | null {
  const a1 = sign1 * radius1;
  const a2 = sign2 * radius2;
  const dx = x2 + a2 * Math.cos(heading2) - x1 - a1 * Math.cos(heading1);
  const dy = y2 - a2 * Math.sin(heading2) - y1 + a1 * Math.sin(heading1);
  const offset = a2 - a1;
  const square = dx * dx + dy * dy - offset * offset;
  // Two turns the same way round always join: circles that differ by a few metres of radius and lie inside each other
  // (a full circle back to where one is) are joined without a straight, at most |r2 − r1| beside the point.
  if (sign1 !== sign2 && !(square >= 0)) return null;
  const straight = Math.sqrt(Math.max(square, 0));
  const heading = Math.atan2(dx, dy) - Math.atan2(offset, straight);
  out.turn1_rad = turned(sign1 * (heading - heading1));
  out.turn2_rad = turned(sign2 * (heading2 - heading));
  out.straight_m = straight;
  out.heading_rad = heading;
  return out;
}
