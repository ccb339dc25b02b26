import { failure, success, type Outcome } from "../outcome";
import { type KeyChoice, type PathProblem, searchPaths } from "./glide-path";
import type { Pose } from "./dubins";

/** Height over the landing point at which a key is passed so that the circuit just arrives. */
export interface KeyPosition {
  readonly key: KeyChoice;
  readonly height_m: number;
}

/** The height has settled when it moves by less than this, m. */
const SETTLED_M = 1e-6;
const MAX_ROUNDS = 60;

/**
 * Height needed at the overhead or abeam key for the circuit flown to the landing point, in the problem's wind.
 *
 * @param key - which key and side
 * @returns metres over the target without reserve; the path's own failures otherwise
 */
export function keyPosition(problem: Omit<PathProblem, "start">, key: Exclude<KeyChoice, "none">): Outcome<KeyPosition> {
  const { target } = problem;
  let height_m = 200;
  for (let round = 0; round < MAX_ROUNDS; round += 1) {
    // Start at the target's pose: the first leg then has no length, and what is used is the circuit from the key.
    const start: Pose & { altitude_m: number } = { ...target, altitude_m: target.altitude_m + height_m };
    const search = searchPaths({ ...problem, start, choices: { ...problem.choices, key, reaction_s: 0, reserve_m: 0 } });
    if (!search.ok) return search;
    const best = search.value.paths[0];
    const used = best.legStarts[1].altitude_m - best.legs[1].altitudes_m[4];
    if (Math.abs(used - height_m) < SETTLED_M) return success({ key, height_m });
    height_m = used;
  }
  return failure("not_settled", "The key's height does not settle in this wind.");
}
