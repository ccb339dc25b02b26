// "Which runway can I make from here?": every landing end and the best glide path to each. Joins the aircraft's polar,
// the air, the wind and the terrain to the path search. Not here: length needed, obstacles, which one to take.
import { glidePerformance } from "../glide/glide-performance";
import { type DragShare, type Polar, levelTurnLoadFactor, polarOf, stallSpeed_mps } from "../aircraft/polar";
import { type WindVector, windProfile } from "../air/wind";
import type { LatLon } from "../earth/geodesic";
import { localPlane } from "../earth/local-plane";
import type { TerrainGrid } from "../earth/terrain";
import type { DescentIntegrals } from "../glide/descent-integrals";
import { type TurnSpeed, turnSpeed } from "../glide/gliding-turn";
import { speedToFly } from "../glide/speed-to-fly";
import { type StraightGlide, bestGlide } from "../glide/straight-glide";
import { type Outcome, success } from "../outcome";
import { integralsTo, startIn, turnedWind } from "./approach-problem";
import type { ReachQuestion } from "./reach-question";
import { type Descending, type EndReach, type Flown, byReach, wayToEnd } from "./way-to-end";

/**
 * The answer for all ends, what can be reached first, each by the height left. Which one to land on is chosen in
 * `landing-choice`.
 */
export interface Reach {
  readonly ends: readonly EndReach[];
  readonly polar: Polar;
  readonly shares: readonly DragShare[];
  readonly best: StraightGlide;
  readonly turn: ReachTurn;
}

/** The turns of every path: speed, and the stall that goes with the bank. */
export interface ReachTurn extends TurnSpeed {
  readonly loadFactor: number;
  readonly stallEas_mps: number;
}

/**
 * The ways to every landing end, ranked.
 *
 * @param terrain - ground to clear; null when none is known, then paths are not checked
 * @param origin - of the plane that the points of the paths are in: the terrain's, or any place near
 * @returns failures of the polar (`mass_outside`, …) and of the wind (`layers_repeat`); an end that cannot be reached
 *   is not a failure
 */
export function reachOf(
  question: ReachQuestion,
  terrain: TerrainGrid | null,
  origin: LatLon = terrain?.origin ?? question.position,
): Outcome<Reach> {
  const configured = polarOf(question.aircraft, question.mass_kg, question.configuration);
  if (!configured.ok) return configured;
  const { polar, shares } = configured.value;
  const loadFactor = levelTurnLoadFactor(question.pilot.bank_rad);
  const turn = {
    ...turnSpeed(polar, question.pilot.bank_rad, question.pilot.stallMargin),
    loadFactor,
    stallEas_mps: stallSpeed_mps(polar, loadFactor),
  };
  const best = bestGlide(polar);
  const flown = (glide: StraightGlide): Outcome<Flown<StraightGlide>> => {
    const performance = glidePerformance(polar, glide, question.pilot);
    return performance.ok ? success({ glide, performance: performance.value }) : performance;
  };
  const descending: Descending<StraightGlide> = {
    usual: flown(best),
    inWind: ({ along_mps, across_mps, rootSigma }) => {
      const faster = speedToFly(polar, { along_mps, across_mps, vertical_mps: 0 }, rootSigma ** 2);
      return faster.ok ? flown(faster.value) : faster;
    },
  };
  const plane = localPlane(origin);
  const start = startIn(plane, question);
  const turned = turnedWind(question.wind, plane.convergence_rad(question.position));
  const tables = new Map<number, { integrals: DescentIntegrals; wind: (altitude_m: number) => WindVector }>();
  const ends: EndReach[] = [];
  for (const end of question.ends) {
    let table = tables.get(end.elevation_m);
    if (!table) {
      const wind = windProfile(turned, end.elevation_m);
      if (!wind.ok) return wind;
      table = { wind: wind.value, integrals: integralsTo(end, question, wind.value, best) };
      tables.set(end.elevation_m, table);
    }
    ends.push(wayToEnd({ question, end, start, plane, terrain, descending, ...table }));
  }
  ends.sort(byReach);
  return success({ ends, polar, shares, best, turn });
}
