import { z } from "zod";
import { calculation } from "../calculation";
import { Exercise } from "../exercise/exercise";
import { exerciseScore } from "../exercise/exercise-score";
import { CHANNEL_UNIT, Channel, Trace } from "../exercise/trace";
import { success } from "../outcome";
import { WorkingStep } from "../working";

const Result = z.strictObject({
  over: z.boolean(),
  ground: z.boolean(),
  took_s: z.number().min(0).max(3600),
  wrong: z.int().min(0).max(2000),
  slow: z.int().min(0).max(2000),
  back: z.int().min(0).max(2000),
  lost_m: z.number().min(-20_000).max(20_000),
});

/** How an exercise was flown, from a drill, the simulator or a log. */
export const exerciseScoreCalculation = calculation({
  name: "exercise-score",
  cost: "instant",
  question: "Was this exercise flown within its tolerances, and what failed it?",
  sources: ["the exercise’s own figures, each with its source"],
  input: z.strictObject({
    exercise: Exercise,
    trace: Trace,
    /** What came of the drill that was run with it. */
    drill: Result.nullable().default(null),
    /** The book's speed for the failure, m/s. */
    book_mps: z.number().min(0).max(300).nullable().default(null),
  }),
  output: z.object({
    verdict: z.enum(["passed", "failed", "unmeasured"]),
    from_s: z.number(),
    to_s: z.number(),
    tolerances: z.array(
      z.object({
        channel: Channel,
        unit: z.string(),
        target: z.number().nullable(),
        held: z.boolean().nullable(),
        within: z.number().nullable(),
        least: z.number().nullable(),
        greatest: z.number().nullable(),
        busts: z.array(z.object({ from_s: z.number(), to_s: z.number(), worst: z.number() })),
      }),
    ),
    failed: z.array(z.object({ channel: Channel, is: z.string(), value: z.number(), at_s: z.number() })),
    deck_s: z.number().nullable(),
    drill: z.object({ wrong: z.boolean(), slow: z.boolean() }).nullable(),
    working: z.array(WorkingStep),
  }),
  run({ exercise, trace, drill, book_mps }) {
    const score = exerciseScore(exercise, trace, { drill, book_mps });
    if (!score.ok) return score;
    const { tolerances, failed, ...rest } = score.value;
    return success({
      ...rest,
      tolerances: tolerances.map(({ tolerance, busts, ...held }) => ({
        channel: tolerance.channel,
        unit: CHANNEL_UNIT[tolerance.channel],
        ...held,
        busts: busts.map((bust) => ({ ...bust })),
      })),
      failed: failed.map(({ event, at_s }) => ({ ...event, at_s })),
      working: tolerances.map(({ tolerance, within, target }) => ({
        figure: "tolerances",
        symbol: tolerance.channel,
        meaning: `share of the time within −${tolerance.below} and +${tolerance.above} of ${target ?? "what was not measured"}`,
        formula: "time within / whole time",
        value: within ?? 0,
        unit: "1",
        source: tolerance.source,
      })),
    });
  },
});
