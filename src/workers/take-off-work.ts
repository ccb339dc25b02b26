// A take-off with two engines as the worker offers it. No formulas here.
import { bestPropeller } from "@/core/asymmetric/climb-ledger";
import { zeroSideslip } from "@/core/asymmetric/one-engine-climb";
import { localPlane } from "@/core/earth/local-plane";
import type { TerrainGrid } from "@/core/earth/terrain";
import { type Outcome, success } from "@/core/outcome";
import type { Accelerate } from "@/core/take-off/accelerate";
import { type Clearance, NET_DECREMENT, clearances } from "@/core/take-off/obstacle-clearance";
import type { Phases } from "@/core/take-off/phases";
import type { ReturnHeight } from "@/core/take-off/return-height";
import { type MassLimit, type Segment, massLimit, takeOffSegments } from "@/core/take-off/segments";
import { type SpeedMark, speedMarks } from "@/core/take-off/speed-marks";
import type { TakeOffDay, TakeOffInput } from "@/core/take-off/take-off-day";
import { wholeTakeOff } from "@/core/take-off/whole-take-off";
import { type GroundPoint, groundObstacles, groundUnderDeparture } from "@/core/take-off/terrain-ahead";

/** Everything that the Departure stage shows of a twin or a jet. */
export interface TakeOffAnswer {
  readonly input: TakeOffInput;
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
  readonly took_ms: number;
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

/** The part of the worker that take-offs ask. */
export function takeOffWork(terrain: () => TerrainGrid | null) {
  return {
    takeOff(input: TakeOffInput): Outcome<TakeOffAnswer> {
      const began = performance.now();
      const grid = terrain();
      const ground = grid ? groundUnderDeparture(input.runway, grid, localPlane(grid.origin)) : [];
      const obstacles = groundObstacles(ground, input.runway.length_m);
      const made = wholeTakeOff(input, obstacles);
      if (!made.ok) return made;
      const { day, phases, accelerate, balanced_mps, back } = made.value;
      const marks = speedMarks(day, phases.both);
      if (!marks.ok) return marks;
      const decrement = day.jet ? NET_DECREMENT : 0;
      const { path } = accelerate;
      const overGround = path ? clearances(path, obstacles, decrement) : [];
      const mended = zeroSideslip(
        day.at(0, { gearDown: false, flap: 0, deadPropeller: bestPropeller(input) }),
        day.speeds.oneEngine_mps,
      );
      return success({
        input,
        jet: day.jet,
        speeds: day.speeds,
        screen_m: day.screen_m,
        accelerate,
        balanced_mps,
        phases,
        back,
        marks: marks.value,
        ground,
        clear: path ? clearances(path, input.plan.obstacles, decrement) : [],
        lowest: overGround.reduce<Clearance | null>(
          (least, at) =>
            at.over_m !== null && (least === null || at.over_m < (least.over_m ?? Infinity)) ? at : least,
          null,
        ),
        climb_mps: mended?.climb_mps ?? -Infinity,
        took_ms: performance.now() - began,
      });
    },

    takeOffSegments(input: TakeOffInput): Outcome<SegmentsAnswer> {
      const question = { aircraft: input.aircraft, altitude_m: input.runway.elevation_m, air: input.air };
      const segments = takeOffSegments({ ...question, mass_kg: input.mass_kg });
      if (!segments.ok) return segments;
      const today = massLimit(question);
      if (!today.ok) return today;
      const table = TABLE_M.map((altitude_m) => ({
        altitude_m,
        limits: TABLE_K.flatMap((deviation_K) => {
          const limit = massLimit({ ...question, altitude_m, air: { ...input.air, deviation_K } });
          return limit.ok ? [{ deviation_K, limit: limit.value }] : [];
        }),
      }));
      return success({ segments: segments.value, today: today.value, table });
    },
  };
}
