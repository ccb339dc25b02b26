// A run as it is kept and sent: checked at every edge.
import { z } from "zod";
import { type DrillEntry, isWrong } from "./drill";
import { type DrillRun, isOnGround, isRunOver, runAt } from "./drill-run";
import { Actor, Procedure } from "./procedure";

const Side = z.enum(["left", "right"]);
const Name = z.string().max(40);
/** A drill is over after an hour, whatever is done. */
export const LONGEST_RUN_S = 3600;
const Time = z.number().min(0).max(LONGEST_RUN_S);
const Height = z.number().min(0).max(20_000);
const Rate = z.number().min(-100).max(100);

/** Something done by hand. */
export const HandEventDocument = z.discriminatedUnion("type", [
  z.strictObject({
    type: z.literal("set"),
    actor: Actor,
    control: Name,
    side: Side.nullable().default(null),
    position: Name,
  }),
  z.strictObject({ type: z.literal("say"), actor: Actor }),
  z.strictObject({ type: z.literal("name"), actor: Actor, side: Side }),
  z.strictObject({ type: z.literal("answer"), actor: Actor, answer: Name }),
  z.strictObject({ type: z.literal("warning"), name: Name, on: z.boolean() }),
  z.strictObject({ type: z.literal("back") }),
]);

/** @see DrillRun */
export const RunDocument = z.strictObject({
  procedure: Procedure,
  dead: Side.nullable(),
  propeller: Name,
  height_m: Height,
  speed_mps: z.number().min(0).max(400),
  climb_mps: Rate,
  without_mps: Rate.nullable().optional(),
  lampGoes: z.boolean(),
  events: z
    .array(
      z.union([
        z.strictObject({ time_s: Time, event: HandEventDocument }),
        z.strictObject({ time_s: Time, height_m: Height }),
        z.strictObject({ time_s: Time, climb_mps: Rate }),
      ]),
    )
    .max(1000, "At most 1 000 events."),
});

/** What came of a run. */
export interface RunResult {
  readonly over: boolean;
  /** The ground came before the end. */
  readonly ground: boolean;
  readonly took_s: number;
  readonly wrong: number;
  readonly slow: number;
  readonly back: number;
  /** Negative where height was gained. */
  readonly lost_m: number;
}

/**
 * What came of a run, by flying it again.
 *
 * @param until_s - when it was looked at last, 0 to 3,600
 */
export function runResult(run: DrillRun, until_s: number): RunResult {
  const state = runAt(run, until_s);
  const { log, flown } = state.drill;
  const count = (test: (entry: DrillEntry) => boolean) => log.filter(test).length;
  return {
    over: isRunOver(run, state),
    ground: isOnGround(state),
    took_s: flown.time_s,
    wrong: count(({ outcome }) => isWrong(outcome)),
    slow: count(({ outcome }) => outcome === "slow"),
    back: count(({ outcome }) => outcome === "back"),
    lost_m: run.height_m - flown.height_m,
  };
}
