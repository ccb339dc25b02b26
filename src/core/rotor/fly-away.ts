// Flying away from a hover when an engine fails: height is paid for speed, and the search is for the cheapest tilt.
import type { Rating } from "../aircraft/helicopter";
import { goldenMinimum } from "../numeric/golden-section";
import { type Outcome, failure, success } from "../outcome";
import { MPS_PER_KT } from "../quantities/constants";
import { formatNumber } from "../quantities/units";
import type { HelicopterCase } from "./helicopter-case";
import { liveEngines, livePower } from "./hover-on-one";
import { type Motion, TILT_RATE, energy_J, motionAfter, pitchOf } from "./rotor-motion";
import { climbOnPower_mps, levelPower_W } from "./speeds-of-power";
import { HOVER, type SteadyPower, steadyPower } from "./steady-power";

/** The pilot's reaction, collective frozen, s. */
export const REACTION_S = 1;
/** Take-off safety speed where the manual prints none, m/s: 40 kt is usual. */
const USUAL_VTOSS_MPS = 40 * MPS_PER_KT;
/** Steps of the flight, s, and the longest that is flown where the rating has no limit. */
const [STEP_S, LONGEST_S] = [0.1, 40];
/** Tilts searched, rad: 1 to 25 degrees, first every so many, then to a fifth of a degree. */
const [TILT_FROM, TILT_TO, TILT_FIRST, TILT_CLOSE] = [1, 25, 4, 0.2].map((deg) => (deg * Math.PI) / 180);
/** It climbs. */
const CLIMBS_MPS = 0.2;
/** Deeper than this nobody hovers, m: the search ends. */
const DEEPEST_M = 300;

/** A fly-away at the tilt that loses the least. */
export interface FlyAway {
  /** Forward from level. */
  readonly tilt_rad: number;
  readonly loss_m: number;
  /** What the loss goes to. */
  readonly reaction_m: number;
  readonly accelerating_m: number;
  readonly levelling_m: number;
  readonly time_s: number;
  /** Over the ground against the wind that was hovered in. */
  readonly along_m: number;
  readonly leastNr: number;
  readonly vToss_mps: number;
  /** Climb at V_TOSS on the rating, m/s. */
  readonly climb_mps: number;
  /** Energy that the steps made or lost, share of what the engine gave. */
  readonly audit: number;
  readonly path: readonly Motion[];
}

/** Speed to be reached, through the air. */
export const vTossOf = ({ aircraft }: HelicopterCase): number => aircraft.handbook.vToss_mps ?? USUAL_VTOSS_MPS;

/** A hover at the moment of the failure: half its power is gone. */
export function atFailure(flight: HelicopterCase, wind_mps: number): { hover: SteadyPower; motion: Motion } {
  const hover = steadyPower(flight, { ...HOVER, tas_mps: wind_mps });
  const { count } = flight.aircraft.engines;
  return {
    hover,
    motion: {
      time_s: 0,
      tas_mps: wind_mps,
      climb_mps: 0,
      height_m: 0,
      along_m: 0,
      nr: 1,
      tilt_rad: hover.tilt_rad,
      engine_W: (hover.shaft_W * (count - 1)) / count,
      given_J: 0,
      lost_J: 0,
    },
  };
}

/**
 * Flies it at a tilt; null where it has not begun to climb within the rating's time, or falls deeper than is worth
 * flying on.
 */
function flown(
  flight: HelicopterCase,
  wind_mps: number,
  rating: Rating,
  tilt_rad: number,
  deepest_m = DEEPEST_M,
): Motion[] | null {
  const { hover, motion } = atFailure(flight, wind_mps);
  const pitch_rad = pitchOf(flight, hover, wind_mps);
  const level_rad = steadyPower(flight, { ...HOVER, tas_mps: vTossOf(flight) }).tilt_rad;
  const path = [motion];
  let now = motion;
  let fast = false;
  let last_mps = now.tas_mps;
  const longest_s = Math.min(rating.duration_s ?? LONGEST_S, LONGEST_S);
  for (let i = 0; i * STEP_S < longest_s; i += 1) {
    const frozen = now.time_s < REACTION_S - 1e-9;
    // The disc is brought back early enough for V_TOSS to be there as it comes level.
    const gain_mps = Math.max(now.tas_mps - last_mps, 0) / STEP_S;
    const levelling_s = Math.max(now.tilt_rad - level_rad, 0) / TILT_RATE;
    last_mps = now.tas_mps;
    fast ||= !frozen && now.tas_mps + (gain_mps * levelling_s) / 2 >= vTossOf(flight);
    const control = frozen
      ? { pitch_rad, tilt_rad: now.tilt_rad, rating }
      : { pitch_rad: null, tilt_rad: fast ? level_rad : tilt_rad, rating };
    now = motionAfter(flight, now, control, STEP_S);
    path.push(now);
    if (!frozen && fast && now.climb_mps > CLIMBS_MPS) return path;
    if (now.height_m < -deepest_m) return null;
  }
  return null;
}

/** A second counts as this much height, m: of two tilts that lose the same the faster one is flown. */
const SECOND_M = 1e-3;
const lossOf = (path: readonly Motion[]) => -Math.min(...path.map(({ height_m }) => height_m));

/**
 * The fly-away that loses the least height: one second of reaction with the collective frozen, then the collective
 * holds 98 % of rotor speed, the disc is tilted by 8°/s, held, and brought back so that it is level at V_TOSS.
 *
 * @param wind_mps - hovered in, against the flight; 0 to 30
 * @returns `one_engine`; `no_fly_away` where the rating does not climb at V_TOSS or no tilt gets there
 * @see point mass in the vertical plane with rotor speed and an engine's lag; the phases are common practice
 */
export function flyAway(flight: HelicopterCase, wind_mps: number, rating: Rating): Outcome<FlyAway> {
  if (liveEngines(flight) < 1)
    return failure(
      "one_engine",
      `${flight.aircraft.name} has one engine: without it there is no fly-away.`,
      "aircraft",
    );
  const vToss_mps = vTossOf(flight);
  const available_W = livePower(flight, rating).power_W;
  const spare_W = available_W - levelPower_W(flight, vToss_mps);
  if (!(spare_W > 0))
    return failure(
      "no_fly_away",
      `On ${rating.name} it does not climb at V_TOSS: ${formatNumber(-spare_W / 1000)} kW are missing.`,
      "mass_kg",
    );
  const lossAt = (tilt_rad: number, deepest_m = DEEPEST_M) => {
    const path = flown(flight, wind_mps, rating, tilt_rad, deepest_m);
    return path ? lossOf(path) + SECOND_M * path[path.length - 1].time_s : DEEPEST_M * 2;
  };
  let tilt_rad = TILT_FROM;
  let least = Infinity;
  for (let trial = TILT_FROM; trial <= TILT_TO; trial += TILT_FIRST) {
    const loss = lossAt(trial, Math.min(least, DEEPEST_M));
    if (loss < least) [tilt_rad, least] = [trial, loss];
  }
  const finer_rad = goldenMinimum(
    (trial) => lossAt(trial),
    Math.max(tilt_rad - TILT_FIRST, TILT_FROM),
    Math.min(tilt_rad + TILT_FIRST, TILT_TO),
    TILT_CLOSE,
  );
  if (lossAt(finer_rad) < least) tilt_rad = finer_rad;
  const path = flown(flight, wind_mps, rating, tilt_rad);
  if (!path)
    return failure("no_fly_away", "No tilt of the disc up to 25° reaches V_TOSS within the rating’s time.", "mass_kg");
  const last = path[path.length - 1];
  const lowest = path.reduce((a, b) => (b.height_m < a.height_m ? b : a));
  const reacted = path.find(({ time_s }) => time_s >= REACTION_S - 1e-9) ?? last;
  // Levelling begins where the disc comes back from its greatest tilt.
  const steepest = path.reduce((a, b) => (b.tilt_rad >= a.tilt_rad ? b : a));
  const reaction_m = Math.min(Math.max(-reacted.height_m, 0), -lowest.height_m);
  const untilFast = steepest.time_s < lowest.time_s ? -steepest.height_m : -lowest.height_m;
  const accelerating_m = Math.max(untilFast - reaction_m, 0);
  const loss_m = -lowest.height_m;
  const before = energy_J(flight, path[0]);
  return success({
    tilt_rad,
    loss_m,
    reaction_m,
    accelerating_m,
    levelling_m: Math.max(loss_m - reaction_m - accelerating_m, 0),
    time_s: last.time_s,
    along_m: last.along_m - wind_mps * last.time_s,
    leastNr: Math.min(...path.map(({ nr }) => nr)),
    vToss_mps,
    climb_mps: climbOnPower_mps(flight, vToss_mps, available_W),
    audit: Math.abs(energy_J(flight, last) - before - last.given_J + last.lost_J) / last.given_J,
    path,
  });
}
