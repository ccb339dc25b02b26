// A take-off put together, and the segments beside it.
import { bestPropeller } from "../asymmetric/climb-ledger";
import { zeroSideslip } from "../asymmetric/one-engine-climb";
import { localPlane } from "../earth/local-plane";
import type { TerrainGrid } from "../earth/terrain";
import { type Outcome, success } from "../outcome";
import type { Accelerate } from "./accelerate";
import { type Clearance, NET_DECREMENT, clearances } from "./obstacle-clearance";
import type { Phases } from "./phases";
import type { ReturnHeight } from "./return-height";
import { type MassLimit, type Segment, massLimit, takeOffSegments } from "./segments";
import { type SpeedMark, speedMarks } from "./speed-marks";
import type { TakeOffDay, TakeOffQuestion } from "./take-off-day";
import { wholeTakeOff } from "./whole-take-off";
import { type GroundPoint, groundObstacles, groundUnderDeparture } from "./terrain-ahead";

/** Everything that the Departure stage shows of a twin or a jet. */
export interface TakeOffAnswer {
  readonly question: TakeOffQuestion;
  readonly jet: boolean;
  readonly speeds: TakeOffDay["speeds"];
  readonly screen_m: number;
  readonly accelerate: Accelerate;
  readonly balanced_mps: number;
  readonly phases: Phases;
  readonly back: ReturnHeight;
  readonly marks: readonly SpeedMark[];
  readonly ground: readonly GroundPoint[];
  /** Over the plan's obstacles, failure on the runway; net for jets. Empty when it does not get into the air. */
  readonly clear: readonly Clearance[];
  /** The least over the ground ahead, the same way; null where no ground stands above the runway. */
  readonly lowest: Clearance | null;
  /** Climb on one engine at its speed, everything mended, at the runway. */
  readonly climb_mps: number;
}

/** Segments at the day's mass, and the mass limited by climb over heights and temperatures. */
export interface SegmentsAnswer {
  readonly segments: readonly Segment[];
  readonly today: MassLimit;
  readonly table: readonly {
    readonly altitude_m: number;
    readonly limits: readonly { readonly deviation_K: number; readonly limit: MassLimit }[];
  }[];
}

/** Heights and deviations from the standard temperature of the mass table. */
const TABLE_M = [0, 609.6, 1219.2, 1828.8, 2438.4];
const TABLE_K = [-15, 0, 10, 20, 30];

/**
 * A take-off with everything that is decided by it: stop or go, phases, obstacles of the plan and of the ground ahead.
 *
 * @param terrain - ground ahead; null when none is known, then `ground` is empty and `lowest` null
 * @returns failures of the take-off
 */
export function takeOffAnswer(question: TakeOffQuestion, terrain: TerrainGrid | null): Outcome<TakeOffAnswer> {
  const ground = terrain ? groundUnderDeparture(question.runway, terrain, localPlane(terrain.origin)) : [];
  const obstacles = groundObstacles(ground, question.runway.length_m);
  const takeOff = wholeTakeOff(question, obstacles);
  if (!takeOff.ok) return takeOff;
  const { day, phases, accelerate, balanced_mps, back } = takeOff.value;
  const marks = speedMarks(day, phases.both);
  if (!marks.ok) return marks;
  const decrement = day.jet ? NET_DECREMENT : 0;
  const { path } = accelerate;
  const overGround = path ? clearances(path, obstacles, decrement) : [];
  const mended = zeroSideslip(
    day.at(0, { gearDown: false, flap: 0, deadPropeller: bestPropeller(question) }),
    day.speeds.oneEngine_mps,
  );
  return success({
    question,
    jet: day.jet,
    speeds: day.speeds,
    screen_m: day.screen_m,
    accelerate,
    balanced_mps,
    phases,
    back,
    marks: marks.value,
    ground,
    clear: path ? clearances(path, question.plan.obstacles, decrement) : [],
    lowest: overGround.reduce<Clearance | null>(
      (least, clearance) =>
        clearance.over_m !== null && (least === null || clearance.over_m < (least.over_m ?? Infinity))
          ? clearance
          : least,
      null,
    ),
    climb_mps: mended?.climb_mps ?? -Infinity,
  });
}

/** Segments at the day's mass, and the mass that climb allows over heights and temperatures. */
export function takeOffSegmentsAnswer(question: TakeOffQuestion): Outcome<SegmentsAnswer> {
  const flight = { aircraft: question.aircraft, altitude_m: question.runway.elevation_m, air: question.air };
  const segments = takeOffSegments({ ...flight, mass_kg: question.mass_kg });
  if (!segments.ok) return segments;
  const today = massLimit(flight);
  if (!today.ok) return today;
  const table = TABLE_M.map((altitude_m) => ({
    altitude_m,
    limits: TABLE_K.flatMap((deviation_K) => {
      const limit = massLimit({ ...flight, altitude_m, air: { ...question.air, deviation_K } });
      return limit.ok ? [{ deviation_K, limit: limit.value }] : [];
    }),
  }));
  return success({ segments: segments.value, today: today.value, table });
}
