import { failure, success, type Outcome } from "../outcome";
import { abeamCircuit } from "./abeam-circuit";
import type { IntegralsAt } from "./descent-integrals";
import { type SolvedLeg, solveLeg } from "./glide-leg";
import { type GlidePath, type KeyChoice, type PathProblem, accountOf } from "./glide-path";

/** The circuit from a key down to the landing point. */
export interface KeyCircuit {
  readonly key: KeyChoice;
  /** Height over the landing point at which the key is passed so that the circuit just arrives. */
  readonly height_m: number;
  /** From the key on, with the problem that its points are drawn from. */
  readonly path: GlidePath;
  readonly problem: PathProblem;
}

/** The height has settled when it moves by less than this, m. */
const SETTLED_M = 1e-6;
const MAX_ROUNDS = 60;

/**
 * The circuit from the overhead or abeam key to the landing point, in the problem's wind. Abeam is worked back from the
 * landing point; overhead is passed along the runway's direction with the drift laid off, and both turns go to its own
 * side.
 *
 * @param key - which key and side
 * @returns metres over the target without reserve; `base_closed` and the legs' own failures otherwise, `not_settled`
 *   when the height does not
 */
export function keyCircuit(problem: Omit<PathProblem, "start">, key: Exclude<KeyChoice, "none">): Outcome<KeyCircuit> {
  const { target, choices, integrals, performance } = problem;
  const side = key.endsWith("left") ? "left" : "right";
  const asked = { ...problem, choices: { ...choices, key: "none" as const, reaction_s: 0, reserve_m: 0 } };
  const flown = (start: PathProblem["start"], leg: SolvedLeg): KeyCircuit => {
    const whole: PathProblem = { ...asked, start };
    return {
      key,
      height_m: start.altitude_m - target.altitude_m,
      problem: whole,
      path: accountOf(whole, [leg], [start]),
    };
  };
  if (key.startsWith("abeam")) {
    const circuit = abeamCircuit({ performance, integrals, target, final_m: choices.final_m, side });
    return circuit.ok ? success(flown(circuit.value.start, circuit.value.leg)) : circuit;
  }
  let height_m = 200;
  for (let round = 0; round < MAX_ROUNDS; round += 1) {
    const altitude_m = target.altitude_m + height_m;
    const across = acrossAt(problem, altitude_m, target.heading_rad);
    const speed = performance.straightHorizontalEas_mps / integrals.rootSigmaAt(altitude_m);
    if (!(Math.abs(across) < speed))
      return failure(
        "wind_exceeds_airspeed",
        "The wind across the key is faster than the glide: it cannot be passed along the runway.",
      );
    const start = { ...target, heading_rad: target.heading_rad - Math.asin(across / speed), altitude_m };
    const leg = solveLeg(
      { performance, integrals, start, arrival: target, final_m: choices.final_m },
      side === "left" ? "LSL" : "RSR",
    );
    if (!leg.ok) return leg;
    const used = altitude_m - leg.value.altitudes_m[4];
    if (Math.abs(used - height_m) < SETTLED_M) return success(flown(start, leg.value));
    height_m = used;
  }
  return failure("not_settled", "The key's height does not settle in this wind.");
}

/** Air motion across a track at an altitude, to its right positive. */
function acrossAt({ integrals }: Pick<PathProblem, "integrals">, altitude_m: number, track_rad: number): number {
  const high: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
  const low: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
  integrals.at(altitude_m, high);
  integrals.at(altitude_m - 1, low);
  const weight = high.time_m - low.time_m;
  return (
    ((high.east_m2ps - low.east_m2ps) * Math.cos(track_rad) -
      (high.north_m2ps - low.north_m2ps) * Math.sin(track_rad)) /
    weight
  );
}
