// What to do when an engine stops, by how far the take-off has come: stop, land on what is left, land ahead, go on.
import { deadDragArea_m2 } from "../engine/engine-force";
import { airSample, readAir } from "../flight/air-column";
import { type LandingBody, landingRoll } from "../landing/landing-roll";
import { type Outcome, failure, success } from "../outcome";
import { formatNumber } from "../quantities/units";
import { G0, RHO0 } from "../quantities/constants";
import type { Obstacle } from "../situation/take-off-plan";
import { clearances } from "./obstacle-clearance";
import { rollOn, standing } from "./ground-roll";
import type { TakeOffDay } from "./take-off-day";
import { PATH_TOP_M, type PathPoint, type TakeOffPath, toRotation, takeOffPath } from "./take-off-path";

/**
 * Why it cannot go on: it does not climb, it sinks back, something stands ahead; or its speed falls below control or
 * stall, which lowering the nose mends.
 */
export type GoFailure = "climb" | "sinks" | "obstacle" | "control" | "stall";

/** A failure in the air at a height. */
export interface FailureInAir {
  readonly height_m: number;
  readonly at: PathPoint;
  /** Runway left after landing straight on; negative runs off the end. */
  readonly landSpare_m: number;
  /** It climbs away on one engine over everything listed, flown without error. */
  readonly goes: boolean;
  /**
   * The condition that fails; null when none does. `control` and `stall`: too slow while the path is held until the
   * failure is recognised.
   */
  readonly fails: GoFailure | null;
  /** Lowest that it sinks to after the failure. */
  readonly lowest_m: number;
  /** Slowest equivalent airspeed after the failure. */
  readonly slowest_mps: number;
  readonly path: TakeOffPath;
}

/** The take-off on both engines, and what a failure does at each height. */
export interface Phases {
  readonly both: TakeOffPath;
  /** Height from which the gear comes up: from there no landing on the runway fits any more. */
  readonly gearUp_m: number;
  readonly failures: readonly FailureInAir[];
  /** Up to here it can land on the runway that is left; null when not even at lift-off. */
  readonly landUntil_m: number | null;
  /**
   * From here on, at every height above, it climbs away flown without error; null when it does at none, and then why.
   */
  readonly goFrom_m: number | null;
  readonly goFails: GoFailure | null;
  /** The same, with the least height or climb that the pilot asks for; null when that is never met. */
  readonly advisedFrom_m: number | null;
  /**
   * The worst failure in the climb on both engines: held for the recognition it comes below minimum control speed or
   * the stall; null when none does.
   */
  readonly slow: {
    readonly from_m: number;
    readonly eas_mps: number;
    readonly limit_mps: number;
    readonly limit: "V_MCA" | "V_S";
  } | null;
}

/** Heights of failure, m: closer near the ground. */
const HEIGHTS_M = [1, 4, 8, 12, 16, 20, 25, 30, 40, 50, 60, 75, 90, 120, 150, 200, 250, 300];
/** The gear's height is looked for in steps, m. */
const GEAR_STEP_M = 3;
/** Sinking back to less than this over the runway is not going on. */
const LOWEST_M = 5;
/** What counts as no sinking at all, m. */
const NO_SINK_M = 0.5;

/**
 * The phases of a take-off.
 *
 * @param ground - what stands ahead besides the plan's obstacles
 * @returns failures of the roll; `runway_too_short` when it does not lift off on the runway
 */
export function phases(day: TakeOffDay, ground: readonly Obstacle[] = []): Outcome<Phases> {
  const roll = rollOn(day, standing(day), 2, toRotation(day));
  if (!roll.ok) return roll;
  const low = takeOffPath(day, roll.value, { kind: "never" }, PATH_TOP_M);
  const liftOff = low.events.find((event) => event.kind === "lift-off")?.point;
  const { runway } = day.question;
  const length_m = runway.takeOff?.tora_m ?? runway.length_m;
  if (liftOff && liftOff.x_m > length_m)
    return failure(
      "runway_too_short",
      `Even with both engines it lifts off ${formatNumber(liftOff.x_m)} m along a runway of ${formatNumber(length_m)} m: this take-off does not fit.`,
      "runway",
    );
  const gearUp_m = gearHeight_m(day, low);
  const both = takeOffPath(day, roll.value, { kind: "never" }, gearUp_m);
  const failures = HEIGHTS_M.map((height_m): FailureInAir => {
    const path = takeOffPath(day, roll.value, { kind: "height", height_m }, gearUp_m);
    const failed = path.events.find((event) => event.kind === "failure")?.point ?? path.points[path.points.length - 1];
    const after = path.points.filter((point) => point.time_s > failed.time_s);
    const lowest_m = after.reduce((least, point) => Math.min(least, point.height_m), height_m);
    const slowest_mps = after.reduce((least, point) => Math.min(least, point.eas_mps), failed.eas_mps);
    const clear = clearances(path, [...day.question.plan.obstacles, ...ground], 0).every(
      ({ over_m }) => over_m === null || over_m >= day.question.plan.clearance_m,
    );
    const fails = !path.climbs
      ? "climb"
      : lowest_m < Math.min(LOWEST_M, height_m - NO_SINK_M)
        ? "sinks"
        : !clear
          ? "obstacle"
          : slowest_mps < day.speeds.stall_mps
            ? "stall"
            : slowest_mps < (day.speeds.vmca_mps ?? 0)
              ? "control"
              : null;
    return {
      height_m,
      at: failed,
      path,
      lowest_m,
      slowest_mps,
      landSpare_m: landingSpare_m(day, failed),
      goes: fails === null || isSlow(fails),
      fails,
    };
  });
  // Going on must hold at every height above, landing at every height below.
  const lastNot = failures.findLastIndex((inAir) => !inAir.goes);
  const firstLong = failures.findIndex((inAir) => inAir.landSpare_m < 0);
  const landable = firstLong < 0 ? failures : failures.slice(0, firstLong);
  return success({
    both,
    gearUp_m,
    failures,
    landUntil_m: landable.length === 0 ? null : landable[landable.length - 1].height_m,
    goFrom_m: lastNot === failures.length - 1 ? null : failures[lastNot + 1].height_m,
    goFails: lastNot === failures.length - 1 ? failures[lastNot].fails : null,
    advisedFrom_m: advisedFrom_m(failures.slice(lastNot + 1), day),
    slow: slowOf(day, failures),
  });
}

function isSlow(fails: GoFailure): boolean {
  return fails === "control" || fails === "stall";
}

/**
 * The least that is asked for: a height of failure, or a climb in the minute after it. A jet goes from V_1 whatever the
 * height.
 */
function advisedFrom_m(going: readonly FailureInAir[], { jet, question: { oneEngine } }: TakeOffDay): number | null {
  if (going.length === 0) return null;
  if (jet) return going[0].height_m;
  if (oneEngine.least === "height") return Math.max(going[0].height_m, oneEngine.leastHeight_m);
  const lastWeak = going.findLastIndex((failure) => climbAfter_mps(failure) < oneEngine.leastClimb_mps);
  return going[lastWeak + 1]?.height_m ?? null;
}

/** Time after the failure over which the climb counts, s. */
const AFTER_S = 60;

/** Mean rate of climb in the minute after a failure, or to the top when that is sooner. */
function climbAfter_mps({ at, path }: FailureInAir): number {
  const end = path.points.find((point) => point.time_s >= at.time_s + AFTER_S) ?? path.points[path.points.length - 1];
  return end.time_s > at.time_s ? (end.height_m - at.height_m) / (end.time_s - at.time_s) : 0;
}

/** The slowest of the failures that come below a limit, from the lowest of them. */
function slowOf({ speeds }: TakeOffDay, failures: readonly FailureInAir[]): Phases["slow"] {
  const slow = failures.filter(({ fails }) => fails !== null && isSlow(fails));
  if (slow.length === 0) return null;
  const limit = (speeds.vmca_mps ?? 0) > speeds.stall_mps ? "V_MCA" : "V_S";
  return {
    from_m: slow[0].height_m,
    eas_mps: Math.min(...slow.map((failure) => failure.slowest_mps)),
    limit_mps: Math.max(speeds.vmca_mps ?? 0, speeds.stall_mps),
    limit,
  };
}

/** First height of the climb with the gear down at which no landing on the runway fits. */
function gearHeight_m(day: TakeOffDay, low: TakeOffPath): number {
  for (let height_m = GEAR_STEP_M; height_m < PATH_TOP_M; height_m += GEAR_STEP_M) {
    const reached = low.points.find((point) => point.height_m >= height_m);
    if (!reached || landingSpare_m(day, reached) < 0) return height_m;
  }
  return PATH_TOP_M;
}

/**
 * Runway left after closing both throttles and landing straight on, from a moment of the climb.
 *
 * During the recognition it goes on level at its speed; then the distance is that of the energy height h + (V² −
 * Vapp²)/(2g) at the glide of the flap that is out, gear down, both propellers windmilling; flare and roll.
 */
export function landingSpare_m(day: TakeOffDay, point: PathPoint): number {
  const { question, braking } = day;
  const flight = day.at(point.height_m, { flap: day.flap, gearDown: true });
  const dead = deadDragArea_m2(question.aircraft, day.jet ? "none" : "windmilling") ?? 0;
  const air = readAir(day.air, point.height_m, airSample());
  const body: LandingBody = {
    wingLoading: flight.weight_N / flight.wing.area_m2,
    clMax: flight.clMax,
    steepCd0: flight.cd0 + (2 * dead) / flight.wing.area_m2,
    k: flight.k,
  };
  const roll = landingRoll(body, air.density, air.along_mps, braking);
  const tas_mps = point.eas_mps * Math.sqrt(RHO0 / air.density);
  const energyHeight_m = Math.max(0, point.height_m + (tas_mps ** 2 - roll.approachTas_mps ** 2) / (2 * G0));
  return (
    question.runway.length_m -
    (point.x_m +
      question.plan.recognition_s * (tas_mps + air.along_mps) +
      energyHeight_m * roll.steepRatio +
      roll.flare_m +
      roll.roll_m)
  );
}
