// Key positions of the glide approach in today's wind: where to be at which height, left and right, and what cutting the corner saves.
import type { LatLon } from "../earth/geodesic";
import { type KeyChoice, type PathPoint, type PathProblem, pathPoints, searchPaths } from "../glide/glide-path";
import { keyCircuit } from "../glide/key-positions";
import { type Outcome, success } from "../outcome";
import { wrapHalfTurn } from "../quantities/angle";
import { approachProblem } from "./approach-problem";
import type { LandingEnd } from "./landing-end";
import type { ReachInput } from "./reach";

/** A place to pass and the height to have there. */
export interface ApproachKey {
  readonly name: "overhead" | "abeam" | "base" | "final";
  readonly x_m: number;
  readonly y_m: number;
  /** Over the aim point, without reserve. */
  readonly height_m: number;
  /** Seconds before the aim point. */
  readonly before_s: number;
}

/** A circuit to one side. */
export interface KeyCircuit {
  readonly side: "left" | "right";
  /** In the order in which they are passed. */
  readonly keys: readonly ApproachKey[];
  /** From overhead down to the aim point, and from abeam. */
  readonly points: readonly PathPoint[];
  readonly fromAbeam: readonly PathPoint[];
  readonly final_m: number;
  /** By how much final had to grow because the wind left no circuit with the planned one. */
  readonly lengthened_m: number;
  /** From abeam with the corner cut: turned at once, a final of 100 m at most. */
  readonly cutHeight_m: number | null;
  readonly cutSaves_m: number | null;
  /** Turn on to final, of the heading. */
  readonly finalTurn_rad: number;
  /** Flown from here: height over the aim point when the overhead and the abeam key are passed; null without a way. */
  readonly fromHere: { readonly overhead_m: number | null; readonly abeam_m: number | null };
}

/** Keys of both sides. */
export interface ApproachKeys {
  readonly circuits: readonly KeyCircuit[];
  /** Why a side has none. */
  readonly issues: readonly { readonly side: "left" | "right"; readonly message: string }[];
}

/** Final grows in these steps up to this length when the wind closes the base leg. */
const LENGTHEN_M = 100;
const LONGEST_M = 1500;
/** Final of the corner that is cut. */
const CUT_FINAL_M = 100;
/** A turn on to final beyond this comes from a base leg that the wind has closed: final is lengthened. */
const CLOSED_RAD = (225 * Math.PI) / 180;

/**
 * The keys of an end for left and right.
 *
 * @param origin - of the plane that places are in
 * @returns failures of the polar and the wind; a side without a circuit is told in `issues`
 */
export function approachKeys(input: Omit<ReachInput, "ends">, end: LandingEnd, origin: LatLon): Outcome<ApproachKeys> {
  const found = approachProblem(input, end, origin);
  if (!found.ok) return found;
  const { problem } = found.value;
  const circuits: KeyCircuit[] = [];
  const issues: { side: "left" | "right"; message: string }[] = [];
  for (const side of ["left", "right"] as const) {
    const circuit = circuitOf(problem, side);
    if (circuit.ok) circuits.push(circuit.value);
    else issues.push({ side, message: circuit.issue.message });
  }
  return success({ circuits, issues });
}

function circuitOf(problem: PathProblem, side: "left" | "right"): Outcome<KeyCircuit> {
  const planned_m = problem.choices.final_m;
  const longest_m = Math.max(LONGEST_M, planned_m);
  let last: Outcome<KeyCircuit> | null = null;
  for (let final_m = planned_m; final_m <= longest_m; final_m += LENGTHEN_M) {
    const found = circuitWith(problem, side, final_m, final_m - planned_m);
    if (found.ok && found.value.finalTurn_rad < CLOSED_RAD) return found;
    last ??= found;
  }
  // No length helps: what the planned final gives is shown, or why there is none.
  return last ?? circuitWith(problem, side, planned_m, 0);
}

function circuitWith(problem: PathProblem, side: "left" | "right", final_m: number, lengthened_m: number): Outcome<KeyCircuit> {
  const asked: PathProblem = { ...problem, choices: { ...problem.choices, final_m } };
  const key = (name: "overhead" | "abeam"): Exclude<KeyChoice, "none"> => `${name}-${side}`;
  const overhead = keyCircuit(asked, key("overhead"));
  if (!overhead.ok) return overhead;
  const abeam = keyCircuit(asked, key("abeam"));
  if (!abeam.ok) return abeam;
  const { target } = problem;
  const over = pathPoints(overhead.value.problem, overhead.value.path).filter((point) => point.entry > 0);
  // From abeam on it is the abeam circuit that is drawn: the two differ by what the wind does to the first turn.
  const down = pathPoints(abeam.value.problem, abeam.value.path);
  const total_s = abeam.value.path.time_s;
  const place = (name: ApproachKey["name"], at: Pick<PathPoint, "x_m" | "y_m" | "altitude_m">, before_s: number): ApproachKey => ({ name, x_m: at.x_m, y_m: at.y_m, height_m: at.altitude_m - target.altitude_m, before_s });
  const square = squareTo(down.filter((point) => point.entry === 3), target.heading_rad);
  const finalStart = down.findLast((point) => point.entry === 3) ?? down[down.length - 1];
  const cut = cutCorner(abeam.value.problem, Math.min(CUT_FINAL_M, final_m), abeam.value.height_m);
  return success({
    side, final_m, lengthened_m,
    keys: [
      place("overhead", overhead.value.problem.start, overhead.value.path.time_s),
      place("abeam", abeam.value.problem.start, total_s),
      place("base", square, total_s - square.time_s),
      place("final", finalStart, total_s - finalStart.time_s),
    ],
    points: over, fromAbeam: down,
    cutHeight_m: cut,
    cutSaves_m: cut === null ? null : abeam.value.height_m - cut,
    finalTurn_rad: abeam.value.path.legs[0].turn2_rad,
    fromHere: { overhead_m: passing(problem, key("overhead")), abeam_m: passing(problem, key("abeam")) },
  });
}

/** The point of the last turn at which it heads square to the runway, between drawing steps by its angle. */
function squareTo(turn: readonly PathPoint[], heading_rad: number): PathPoint {
  const away = (i: number) => Math.abs(wrapHalfTurn(headingBetween(turn[i - 1], turn[i]) - heading_rad)) - Math.PI / 2;
  const middle = (i: number): PathPoint => ({ ...turn[i], x_m: (turn[i - 1].x_m + turn[i].x_m) / 2, y_m: (turn[i - 1].y_m + turn[i].y_m) / 2, altitude_m: (turn[i - 1].altitude_m + turn[i].altitude_m) / 2, time_s: (turn[i - 1].time_s + turn[i].time_s) / 2 });
  for (let i = 2; i < turn.length; i += 1) {
    // A chord heads as the arc does at its middle.
    const [before, after] = [away(i - 1), away(i)];
    if (before > 0 && after <= 0) {
      const [a, b, share] = [middle(i - 1), middle(i), before / (before - after)];
      const between = (from: number, to: number) => from + share * (to - from);
      return { ...b, x_m: between(a.x_m, b.x_m), y_m: between(a.y_m, b.y_m), altitude_m: between(a.altitude_m, b.altitude_m), time_s: between(a.time_s, b.time_s) };
    }
  }
  return turn[0];
}

function headingBetween(from: PathPoint, to: PathPoint): number {
  return Math.atan2(to.x_m - from.x_m, to.y_m - from.y_m);
}

/** Height that the shortest way from abeam needs with a short final; null when there is none or it saves nothing. */
function cutCorner(abeam: PathProblem, final_m: number, planned_m: number): number | null {
  const search = searchPaths({ ...abeam, choices: { ...abeam.choices, final_m } });
  if (!search.ok) return null;
  const used = search.value.paths[0].used_m;
  return used < planned_m ? used : null;
}

/** Height over the aim point at which a key is passed on the best way from here; null when there is none. */
function passing(problem: PathProblem, key: KeyChoice): number | null {
  const search = searchPaths({ ...problem, choices: { ...problem.choices, key } });
  if (!search.ok) return null;
  return search.value.paths[0].legStarts[1].altitude_m - problem.target.altitude_m;
}
