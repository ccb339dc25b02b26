// Key positions of the glide approach in today's wind: where to be at which height, left and right, and what cutting
// the corner saves.
import type { LatLon } from "../earth/geodesic";
import { type KeyChoice, type PathPoint, type PathProblem, pathPoints, searchPaths } from "../glide/glide-path";
import { keyCircuit } from "../glide/key-positions";
import { type Outcome, success } from "../outcome";
import { wrapHalfTurn } from "../quantities/angle";
import { approachProblem } from "./approach-problem";
import { type HeightAdvice, heightAdvice } from "./height-advice";
import type { LandingEnd } from "./landing-end";
import type { ReachQuestion } from "./reach-question";

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
  /** From overhead by abeam down to the aim point. */
  readonly points: readonly PathPoint[];
  readonly final_m: number;
  /**
   * How much longer than planned the final is, because in this wind the planned one leaves no room for a circuit, m.
   */
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
  /** What the height at hand means; null without a circuit. */
  readonly advice: HeightAdvice | null;
  /** Why a side has none. */
  readonly issues: readonly { readonly side: "left" | "right"; readonly message: string }[];
}

/** Final grows in these steps up to this length when the wind closes the base leg. */
const LENGTHEN_M = 100;
const LONGEST_M = 1500;
/** Final of the corner that is cut. */
const CUT_FINAL_M = 100;
/**
 * The keys of an end for left and right.
 *
 * @param origin - of the plane that places are in
 * @returns failures of the polar and the wind; a side without a circuit is told in `issues`
 */
export function approachKeys(
  question: Omit<ReachQuestion, "ends">,
  end: LandingEnd,
  origin: LatLon,
): Outcome<ApproachKeys> {
  const outcome = approachProblem(question, end, origin);
  if (!outcome.ok) return outcome;
  const { problem } = outcome.value;
  const circuits: KeyCircuit[] = [];
  const issues: { side: "left" | "right"; message: string }[] = [];
  for (const side of ["left", "right"] as const) {
    const circuit = circuitOf(problem, side);
    if (circuit.ok) circuits.push(circuit.value);
    else issues.push({ side, message: circuit.issue.message });
  }
  return success({ circuits, advice: heightAdvice(circuits, question.plan.reserve_m), issues });
}

/**
 * The circuit with the planned final. Where the wind blows the base leg so far that no downwind is left, the final
 * grows until there is one.
 */
function circuitOf(problem: PathProblem, side: "left" | "right"): Outcome<KeyCircuit> {
  const planned_m = problem.choices.final_m;
  const open = (final_m: number) =>
    keyCircuit({ ...problem, choices: { ...problem.choices, final_m } }, `abeam-${side}`).ok;
  let final_m = planned_m;
  while (!open(final_m) && final_m < LONGEST_M) final_m += LENGTHEN_M;
  // No length helps: what the planned final gives is shown, or why there is none.
  return open(final_m)
    ? circuitWith(problem, side, final_m, final_m - planned_m)
    : circuitWith(problem, side, planned_m, 0);
}

function circuitWith(
  problem: PathProblem,
  side: "left" | "right",
  final_m: number,
  lengthened_m: number,
): Outcome<KeyCircuit> {
  const key = (name: "overhead" | "abeam"): Exclude<KeyChoice, "none"> => `${name}-${side}`;
  const overhead = keyCircuit({ ...problem, choices: { ...problem.choices, final_m } }, key("overhead"));
  if (!overhead.ok) return overhead;
  const { target } = problem;
  const { problem: flown, path } = overhead.value;
  const points = pathPoints(flown, path).filter((point) => point.entry > 0);
  const total_s = path.time_s;
  const place = (name: ApproachKey["name"], { x_m, y_m, altitude_m, time_s }: PathPoint): ApproachKey => ({
    name,
    x_m,
    y_m,
    height_m: altitude_m - target.altitude_m,
    before_s: total_s - time_s,
  });
  const abeam = abeamOn(points, target);
  const square = squareTo(
    points.filter((point) => point.entry === 3),
    target.heading_rad,
  );
  const finalStart = points.findLast((point) => point.entry === 3) ?? points[points.length - 1];
  const abeamHeight_m = abeam.point.altitude_m - target.altitude_m;
  const cut = cutCorner(
    { ...flown, start: { ...abeam.point, heading_rad: abeam.track_rad } },
    Math.min(CUT_FINAL_M, final_m),
    abeamHeight_m,
  );
  return success({
    side,
    final_m,
    lengthened_m,
    points,
    keys: [
      place("overhead", { ...flown.start, time_s: 0, entry: 0 }),
      place("abeam", abeam.point),
      place("base", square),
      place("final", finalStart),
    ],
    cutHeight_m: cut,
    cutSaves_m: cut === null ? null : abeamHeight_m - cut,
    finalTurn_rad: path.legs[0].turn2_rad,
    fromHere: { overhead_m: passing(problem, key("overhead")), abeam_m: passing(problem, key("abeam")) },
  });
}

/** Where the circuit, turned back, passes abeam the landing point, with its track there. */
function abeamOn(points: readonly PathPoint[], target: PathProblem["target"]): { point: PathPoint; track_rad: number } {
  const along = (point: PathPoint) =>
    (point.x_m - target.x_m) * Math.sin(target.heading_rad) + (point.y_m - target.y_m) * Math.cos(target.heading_rad);
  const turnedBack = (i: number) =>
    Math.abs(wrapHalfTurn(headingBetween(points[i - 1], points[i]) - target.heading_rad)) > Math.PI / 2;
  for (let i = 1; i < points.length; i += 1) {
    if (!turnedBack(i) || along(points[i]) > 0) continue;
    const [a, b] = [points[i - 1], points[i]];
    const share = along(a) > 0 ? along(a) / (along(a) - along(b)) : 1;
    const between = (from: number, to: number) => from + share * (to - from);
    return {
      point: {
        ...b,
        x_m: between(a.x_m, b.x_m),
        y_m: between(a.y_m, b.y_m),
        altitude_m: between(a.altitude_m, b.altitude_m),
        time_s: between(a.time_s, b.time_s),
      },
      track_rad: headingBetween(a, b),
    };
  }
  return { point: points[0], track_rad: target.heading_rad };
}

/** The point of the last turn at which it heads square to the runway, between drawing steps by its angle. */
function squareTo(turn: readonly PathPoint[], heading_rad: number): PathPoint {
  const away = (i: number) => Math.abs(wrapHalfTurn(headingBetween(turn[i - 1], turn[i]) - heading_rad)) - Math.PI / 2;
  const middle = (i: number): PathPoint => ({
    ...turn[i],
    x_m: (turn[i - 1].x_m + turn[i].x_m) / 2,
    y_m: (turn[i - 1].y_m + turn[i].y_m) / 2,
    altitude_m: (turn[i - 1].altitude_m + turn[i].altitude_m) / 2,
    time_s: (turn[i - 1].time_s + turn[i].time_s) / 2,
  });
  for (let i = 2; i < turn.length; i += 1) {
    // A chord heads as the arc does at its middle.
    const [before, after] = [away(i - 1), away(i)];
    if (before > 0 && after <= 0) {
      const [a, b, share] = [middle(i - 1), middle(i), before / (before - after)];
      const between = (from: number, to: number) => from + share * (to - from);
      return {
        ...b,
        x_m: between(a.x_m, b.x_m),
        y_m: between(a.y_m, b.y_m),
        altitude_m: between(a.altitude_m, b.altitude_m),
        time_s: between(a.time_s, b.time_s),
      };
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
