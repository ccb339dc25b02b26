// One turn–straight–turn leg in wind, from a pose at a height to a pose on the ground frame: the heart of "can I make
// it from here?".
//
// The leg is found in the air mass and drifts with it: the target moves by −∫w dt, the arrival heading is the crabbed
// one. The drift depends on the path and the path on the drift, so it is iterated with Aitken's relaxation, which
// starts at 0.8 and settles in about six rounds. Heights below the target are continued (the ground is not there) so
// that a shortfall is a smooth number. What is flown through the air costs energy height; the air mass gives it its
// altitude (descent-integrals.ts). Not here: the time to roll into a bank, speed changes between segments, gusts.
import { clamp } from "../numeric/clamp";
import type { DescentIntegrals, IntegralsAt } from "./descent-integrals";
import { type Pose, type TurnStraightTurn, type Word, turnSigns, turnStraightTurn } from "./dubins";
import { type Outcome, failure, success } from "../outcome";
import { type Displacement, radiusChange } from "./turn-arc";

/** What the aircraft does in the leg, at sea-level density. */
export interface LegPerformance {
  /** Straight glide: rate of descent and horizontal distance over height. */
  readonly straightSinkEas_mps: number;
  readonly straightRatio: number;
  /** Horizontal part of the straight glide's speed. */
  readonly straightHorizontalEas_mps: number;
  /** Turn: rate of descent, radius and height per radian. */
  readonly turnSinkEas_mps: number;
  readonly turnRadiusSeaLevel_m: number;
  readonly turnHeightPerRadianSeaLevel_m: number;
}

/** Where the leg starts and where it must arrive. */
export interface LegProblem {
  readonly performance: LegPerformance;
  readonly integrals: DescentIntegrals;
  readonly start: Pose & { readonly altitude_m: number };
  /** Point and *track* over the ground at arrival. */
  readonly arrival: Pose;
  /** Straight ground distance along the arrival track before the arrival point; 0 for none. */
  readonly final_m: number;
  /**
   * How far the first turn may come out below zero and still count as no turn; left out, only rounding errors do. From
   * a key that is lower than its circuit needs the leg asks for slightly more room than there is. It is then flown
   * without a first turn and told as short of height, not as impossible.
   */
  readonly slack_rad?: number;
}

/** A leg that was found: altitudes at its joints, going down. */
export interface SolvedLeg {
  readonly word: Word;
  readonly turn1_rad: number;
  readonly straight_m: number;
  readonly turn2_rad: number;
  /** Through-the-air length and heading of the final. */
  readonly finalAir_m: number;
  readonly finalHeading_rad: number;
  readonly straightHeading_rad: number;
  readonly radius1_m: number;
  readonly radius2_m: number;
  /** Change of radius for each radian turned. */
  readonly radiusSlope1_mprad: number;
  readonly radiusSlope2_mprad: number;
  /** Start, end of turn 1, of the straight, of turn 2, of the final. */
  readonly altitudes_m: readonly [number, number, number, number, number];
  /** Seconds of turn 1, straight, turn 2, final. */
  readonly times_s: readonly [number, number, number, number];
  readonly rounds: number;
}

const TURN = 2 * Math.PI;
/** The drift has settled when it moves by less than this, m: under the width of a line on any map. */
const SETTLED_M = 0.02;
/** Rounds before giving up. Settling takes 5 to 10; only winds close to the airspeed need more. */
const MAX_ROUNDS = 80;

// Scratch space of `solveLeg`, which is called hundreds of thousands of times a second and never re-entered.
const START: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
const JOINT_1: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
const JOINT_2: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
const JOINT_3: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
const END: IntegralsAt = { time_m: 0, east_m2ps: 0, north_m2ps: 0 };
const BEND_1: Displacement = { x_m: 0, y_m: 0 };
const BEND_2: Displacement = { x_m: 0, y_m: 0 };
const PARTS: TurnStraightTurn = { turn1_rad: 0, straight_m: 0, turn2_rad: 0, heading_rad: 0 };

/**
 * A turn that ends up this close to a full circle is first tried as a small turn the other way, rad. The turn's angle
 * then runs on smoothly through zero while the drift settles; jumping from none to a full circle, it would settle on
 * the circle or not at all.
 */
const BACK_RAD = 1;
/**
 * A settled turn less than this below zero counts as no turn: the difference is rounding. 1e-6 rad of a 1 km radius is
 * 1 mm.
 */
const NO_TURN_RAD = 1e-6;

/**
 * Finds one word of the leg; of two ways to fly it, the one without a needless circle.
 *
 * @returns `word_impossible` when the circles overlap, `wind_exceeds_airspeed` when the final or the leg makes no
 *   headway, `turn_flips` when a turn would be none with one drift and a full circle with the next, so that this way
 *   round has no steady solution, `not_settled` when the drift does not converge for another reason (wind near the
 *   airspeed)
 */
export function solveLeg(problem: LegProblem, word: Word): Outcome<SolvedLeg> {
  const short = settle(problem, word, BACK_RAD);
  if (short.ok && short.value.turn1_rad >= -(problem.slack_rad ?? NO_TURN_RAD) && short.value.turn2_rad >= -NO_TURN_RAD)
    return short;
  return settle(problem, word, 0);
}

/**
 * Iterates the drift; turns within `back_rad` of a full circle count as small ones the other way, and may end below
 * zero.
 */
function settle(problem: LegProblem, word: Word, back_rad: number): Outcome<SolvedLeg> {
  const { performance, integrals, start, arrival, final_m } = problem;
  const [sign1, sign2] = turnSigns(word);
  const trackX = Math.sin(arrival.heading_rad);
  const trackY = Math.cos(arrival.heading_rad);
  integrals.at(start.altitude_m, START);

  let driftX = 0;
  let driftY = 0;
  let relaxation = 0.8;
  let lastResidualX = 0;
  let lastResidualY = 0;
  // First guess of the joints: everything at the start. The rounds correct it.
  let h1 = start.altitude_m;
  let h2 = h1;
  let h3 = h1;
  let h4 = h1;
  let lastTurn1 = 0;
  let lastTurn2 = 0;
  let flips = 0;
  for (let round = 1; round <= MAX_ROUNDS; round += 1) {
    // Final: crab against the mean wind of its own height band.
    // With no band yet (first round, or no final at all) the wind over one metre is the wind there.
    const finalBand = Math.max(h3 - h4, 1);
    integrals.at(h3, JOINT_3);
    integrals.at(h3 - finalBand, END);
    const weight = JOINT_3.time_m - END.time_m;
    const windX = (JOINT_3.east_m2ps - END.east_m2ps) / weight;
    const windY = (JOINT_3.north_m2ps - END.north_m2ps) / weight;
    const along = windX * trackX + windY * trackY;
    const across = windX * trackY - windY * trackX;
    const speed = performance.straightHorizontalEas_mps / integrals.rootSigmaAt(h3 - finalBand / 2);
    const forward2 = speed * speed - across * across;
    if (!(forward2 > 0))
      return failure(
        "wind_exceeds_airspeed",
        "The crosswind on final is faster than the glide: the final cannot be held.",
      );
    const groundSpeed = Math.sqrt(forward2) + along;
    if (!(groundSpeed > 0))
      return failure("wind_exceeds_airspeed", "The headwind on final is faster than the glide: no headway.");
    const finalTime = final_m / groundSpeed;
    const finalAir = finalTime * speed;
    const finalEnergy = finalAir / performance.straightRatio;
    const finalHeading = arrival.heading_rad - Math.asin(across / speed);

    const sigma1 = integrals.rootSigmaAt((start.altitude_m + h1) / 2) ** 2;
    const sigma2 = integrals.rootSigmaAt((h2 + h3) / 2) ** 2;
    const radius1 = performance.turnRadiusSeaLevel_m / sigma1;
    const radius2 = performance.turnRadiusSeaLevel_m / sigma2;
    const parts = turnStraightTurn(
      start.x_m,
      start.y_m,
      start.heading_rad,
      radius1,
      sign1,
      arrival.x_m - driftX - finalAir * Math.sin(finalHeading),
      arrival.y_m - driftY - finalAir * Math.cos(finalHeading),
      finalHeading,
      radius2,
      sign2,
      PARTS,
    );
    if (!parts) return failure("word_impossible", "The two turns overlap: this way round does not exist.");
    if (parts.turn1_rad > TURN - back_rad) parts.turn1_rad -= TURN;
    if (parts.turn2_rad > TURN - back_rad) parts.turn2_rad -= TURN;
    const n1 = integrals.descend(
      start.altitude_m,
      (parts.turn1_rad * performance.turnHeightPerRadianSeaLevel_m) / sigma1,
    );
    const n2 = integrals.descend(n1, parts.straight_m / performance.straightRatio);
    const n3 = integrals.descend(n2, (parts.turn2_rad * performance.turnHeightPerRadianSeaLevel_m) / sigma2);
    const n4 = integrals.descend(n3, finalEnergy);
    if (!(start.altitude_m - n4 < MAX_DROP_M))
      return failure(
        "wind_exceeds_airspeed",
        "Against this wind the way costs more height than any aircraft has: no headway.",
      );
    integrals.at(n1, JOINT_1);
    integrals.at(n2, JOINT_2);
    integrals.at(n3, JOINT_3);
    integrals.at(n4, END);
    const turnSink = performance.turnSinkEas_mps;
    const straightSink = performance.straightSinkEas_mps;
    const turnX = START.east_m2ps - JOINT_1.east_m2ps + JOINT_2.east_m2ps - JOINT_3.east_m2ps;
    const turnY = START.north_m2ps - JOINT_1.north_m2ps + JOINT_2.north_m2ps - JOINT_3.north_m2ps;
    const straightX = JOINT_1.east_m2ps - JOINT_2.east_m2ps + JOINT_3.east_m2ps - END.east_m2ps;
    const straightY = JOINT_1.north_m2ps - JOINT_2.north_m2ps + JOINT_3.north_m2ps - END.north_m2ps;
    const slope1 = radiusSlope(problem, start.altitude_m, n1, parts.turn1_rad);
    const slope2 = radiusSlope(problem, n2, n3, parts.turn2_rad);
    radiusChange(start.heading_rad, sign1, slope1, parts.turn1_rad, parts.turn1_rad, BEND_1);
    radiusChange(parts.heading_rad, sign2, slope2, parts.turn2_rad, parts.turn2_rad, BEND_2);
    const residualX = turnX / turnSink + straightX / straightSink + BEND_1.x_m + BEND_2.x_m - driftX;
    const residualY = turnY / turnSink + straightY / straightSink + BEND_1.y_m + BEND_2.y_m - driftY;
    const moved = Math.abs(h1 - n1) + Math.abs(h2 - n2) + Math.abs(h3 - n3) + Math.abs(h4 - n4);
    h1 = n1;
    h2 = n2;
    h3 = n3;
    h4 = n4;
    if (Math.abs(residualX) + Math.abs(residualY) < SETTLED_M && moved < SETTLED_M) {
      return success({
        word,
        turn1_rad: parts.turn1_rad,
        straight_m: parts.straight_m,
        turn2_rad: parts.turn2_rad,
        finalAir_m: finalAir,
        finalHeading_rad: finalHeading,
        straightHeading_rad: parts.heading_rad,
        radius1_m: radius1,
        radius2_m: radius2,
        radiusSlope1_mprad: slope1,
        radiusSlope2_mprad: slope2,
        altitudes_m: [start.altitude_m, h1, h2, h3, h4],
        times_s: [
          (START.time_m - JOINT_1.time_m) / turnSink,
          (JOINT_1.time_m - JOINT_2.time_m) / straightSink,
          (JOINT_2.time_m - JOINT_3.time_m) / turnSink,
          (JOINT_3.time_m - END.time_m) / straightSink,
        ],
        rounds: round,
      });
    }
    if (round > 1) {
      const changeX = residualX - lastResidualX;
      const changeY = residualY - lastResidualY;
      const change2 = changeX * changeX + changeY * changeY;
      if (change2 > 0) relaxation *= -(lastResidualX * changeX + lastResidualY * changeY) / change2;
      // Kept between a crawl and a leap: a word that flips between two solutions would otherwise throw it about.
      relaxation = clamp(relaxation, 0.3, 1.6);
    }
    if (
      round > 1 &&
      (Math.abs(parts.turn1_rad - lastTurn1) > Math.PI || Math.abs(parts.turn2_rad - lastTurn2) > Math.PI)
    )
      flips += 1;
    lastTurn1 = parts.turn1_rad;
    lastTurn2 = parts.turn2_rad;
    driftX += relaxation * residualX;
    driftY += relaxation * residualY;
    lastResidualX = residualX;
    lastResidualY = residualY;
  }
  if (flips > MAX_ROUNDS / 8)
    return failure(
      "turn_flips",
      "In this wind a turn of this way round flips between none and a full circle: it has no steady solution. Another way round does.",
    );
  return failure("not_settled", "The wind drift does not settle for this way round (wind close to the glide speed).");
}

/** A leg that costs more than this is no headway at all, m. */
const MAX_DROP_M = 60_000;

/** Change of radius for each radian of a turn between two altitudes. */
function radiusSlope({ performance, integrals }: LegProblem, from_m: number, to_m: number, angle_rad: number): number {
  if (angle_rad === 0) return 0;
  return (
    (performance.turnRadiusSeaLevel_m * (integrals.rootSigmaAt(to_m) ** -2 - integrals.rootSigmaAt(from_m) ** -2)) /
    angle_rad
  );
}
