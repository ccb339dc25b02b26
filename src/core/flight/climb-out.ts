// From standstill to a height with the engine running: ground run, lift-off, gathering speed, climb, optional early
// turn crosswind. Not here: obstacle clearance, ground effect, flap retraction (its drag is left at lift-off), engine
// warm-up.
import { clamp } from "../numeric/clamp";
import { GENTLE_ROLL_RADPS, rolledTowards } from "./roll-rate";
import { type Outcome, failure, success } from "../outcome";
import { formatNumber } from "../quantities/units";
import { G0, RHO0 } from "../quantities/constants";
import { type AirColumn, type AirSample, airSample, readAir } from "./air-column";
import { type Body, type Control, type Motion, advance, thrustOverWeight } from "./point-mass";
import { loadToHoldSpeed } from "./speed-hold";

/** How the aeroplane takes off and climbs. */
export interface ClimbPlan {
  /** With take-off flap, on the wheels. */
  readonly ground: Body;
  /** In the climb, engine running. */
  readonly climb: Body;
  /** Equivalent airspeed of the climb. */
  readonly climb_mps: number;
  readonly turn: EarlyTurn | null;
}

/** A turn crosswind before the circuit asks for it, so that the runway stays near. */
export interface EarlyTurn {
  readonly height_m: number;
  readonly side: 1 | -1;
}

/** A moment of the climb. */
export interface ClimbPoint extends Readonly<Motion> {
  readonly time_s: number;
}

/** The climb by height; the first point is lift-off. */
export interface ClimbOut {
  readonly run_m: number;
  readonly liftOffEas_mps: number;
  /** Horizontal distance over the ground per height gained, at climb speed at the start of the climb. */
  readonly points: readonly ClimbPoint[];
}

/** Rolling friction on a hard dry runway, and the lift carried while rolling. Common practice. */
export const FRICTION = 0.04;
/** @see FRICTION */
export const ROLLING_CL = 0.4;
/** Induced drag left in ground effect on the run. */
export const GROUND_EFFECT = 0.7;
/** Lift-off at this many times the stall speed with take-off flap. */
const LIFT_OFF = 1.1;
/** Wind on the run is that of this height. */
const RUN_WIND_M = 3;
/** Steps: of the run, of the climb, s. */
const RUN_STEP_S = 0.1;
const CLIMB_STEP_S = 0.25;
/** Shallow bank of the early turn. Common practice below circuit height. */
const EARLY_TURN_BANK_RAD = (20 * Math.PI) / 180;
/** An offset from the runway's line is flown off over about this length. */
const LINE_M = 200;
/** A run or climb that takes longer than this does not work. */
const RUN_LIMIT_S = 120;
const CLIMB_LIMIT_S = 900;

/**
 * Flies the take-off and climb.
 *
 * @param top_m - height at which the climb ends
 * @param start_m - of the standstill along the runway from its beginning
 * @returns points a quarter of a second apart; `no_lift_off` when the run takes too long, `no_climb` when `top_m` is
 *   not reached
 */
export function climbOut(plan: ClimbPlan, air: AirColumn, start_m: number, top_m: number): Outcome<ClimbOut> {
  const { density } = readAir(air, 0, airSample());
  const { ground, climb } = plan;
  const liftOff_mps = LIFT_OFF * Math.sqrt((2 * ground.wingLoading) / (density * ground.clMax));
  const along = readAir(air, RUN_WIND_M, airSample()).along_mps;
  let [tas, run_m, time_s] = [Math.max(0, -along), 0, 0];
  while (tas < liftOff_mps) {
    const scale = (0.5 * density * tas * tas) / ground.wingLoading;
    const drag = (ground.cd0 + GROUND_EFFECT * ground.k * ROLLING_CL ** 2) * scale;
    const thrust = ground.thrust ? thrustOverWeight(ground.thrust, tas, density) : 0;
    const acceleration = G0 * (thrust - drag - FRICTION * Math.max(0, 1 - ROLLING_CL * scale));
    const groundSpeed = tas + along;
    if (!(acceleration > 0.05) || time_s > RUN_LIMIT_S)
      return failure(
        "no_lift_off",
        "The engine does not bring it to lift-off speed: too heavy, too high or too hot for this aeroplane.",
        "mass_kg",
      );
    // A tailwind is met at standstill already, with the airspeed at nothing: the run begins when the ground moves.
    run_m += groundSpeed * RUN_STEP_S + (acceleration * RUN_STEP_S ** 2) / 2;
    tas += acceleration * RUN_STEP_S;
    time_s += RUN_STEP_S;
  }
  const motion: Motion = {
    tas_mps: tas,
    gamma_rad: 0,
    psi_rad: crab(readAir(air, 0, airSample()), tas, 0),
    x_m: start_m + run_m,
    y_m: 0,
    height_m: 0,
  };
  const points: ClimbPoint[] = [{ ...motion, time_s }];
  const here = airSample();
  // The flap of the take-off is still out while the speed is low.
  const clLimit = ground.clMax / LIFT_OFF ** 2;
  let bank_rad = 0;
  let tops = false;
  while (!tops) {
    readAir(air, motion.height_m, here);
    const target = plan.climb_mps * Math.sqrt(RHO0 / here.density);
    const track = plan.turn && motion.height_m >= plan.turn.height_m ? (plan.turn.side * Math.PI) / 2 : 0;
    // On the way out the runway's line is held, not only its direction.
    const back = track === 0 ? -Math.atan(motion.y_m / LINE_M) : 0;
    const error = crab(here, motion.tas_mps, track) + back - motion.psi_rad;
    const wanted = clamp(Math.atan((motion.tas_mps * 0.5 * error) / G0), -EARLY_TURN_BANK_RAD, EARLY_TURN_BANK_RAD);
    bank_rad = rolledTowards(bank_rad, wanted, CLIMB_STEP_S, GENTLE_ROLL_RADPS);
    const control: Control = {
      hold: "load",
      value: loadToHoldSpeed(motion, climb, here, target, bank_rad, clLimit, true),
      clLimit,
      bank_rad,
    };
    advance(motion, climb, air, control, CLIMB_STEP_S);
    // Settling in the first moment, it rolls on.
    if (motion.height_m < 0) {
      motion.height_m = 0;
      motion.gamma_rad = 0;
    }
    time_s += CLIMB_STEP_S;
    points.push({ ...motion, time_s });
    tops = motion.height_m >= top_m;
    if (!tops && time_s > CLIMB_LIMIT_S)
      return failure(
        "no_climb",
        `It does not climb to ${formatNumber(top_m)} m in ${CLIMB_LIMIT_S / 60} minutes: too heavy, too high or too hot.`,
        "mass_kg",
      );
  }
  return success({ run_m, liftOffEas_mps: liftOff_mps * Math.sqrt(density / RHO0), points });
}

/** Heading that keeps a track in the wind of a height; 0 and ±90° only, which is what a departure flies. */
function crab({ along_mps, across_mps }: AirSample, tas_mps: number, track_rad: number): number {
  const drift = across_mps * Math.cos(track_rad) - along_mps * Math.sin(track_rad);
  // A wind stronger than the aeroplane is slow cannot be crabbed against; it is then flown across as far as it goes.
  return track_rad - Math.asin(clamp(drift / tas_mps, -0.9, 0.9));
}

/** The aeroplane at a height of the climb, between the points; null outside it. */
export function climbAt(climb: ClimbOut, height_m: number): ClimbPoint | null {
  const { points } = climb;
  if (!(height_m >= points[0].height_m && height_m <= points[points.length - 1].height_m)) return null;
  let [low, high] = [0, points.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (points[middle].height_m > height_m) high = middle;
    else low = middle;
  }
  const [a, b] = [points[low], points[high]];
  const share = b.height_m > a.height_m ? (height_m - a.height_m) / (b.height_m - a.height_m) : 0;
  const mix = (from: number, to: number) => from + share * (to - from);
  return {
    tas_mps: mix(a.tas_mps, b.tas_mps),
    gamma_rad: mix(a.gamma_rad, b.gamma_rad),
    psi_rad: mix(a.psi_rad, b.psi_rad),
    x_m: mix(a.x_m, b.x_m),
    y_m: mix(a.y_m, b.y_m),
    height_m,
    time_s: mix(a.time_s, b.time_s),
  };
}
