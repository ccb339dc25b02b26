import { z } from "zod";
import { calculation } from "../calculation";
import { DepartureQuestion, TOP_M, departureDay } from "../departure/departure-day";
import { bestBank } from "../departure/best-bank";
import { plannedFailure } from "../departure/scan";
import { turnbackAccount } from "../departure/turnback-account";
import { turnbackWorking } from "../departure/turnback-working";
import { failure, success } from "../outcome";
import { WorkingStep } from "../working";

/** One turnback: from one failure height, the best way back. */
export const turnbackCalculation = calculation({
  name: "turnback",
  cost: "long",
  question: "The engine stops at this height after take-off: does turning back work, how, and what does it cost?",
  sources: [
    "Newton's law for a point mass in wind",
    "D. F. Rogers, J. Aircraft 32 (1995) (memory), for the shape of the path",
    "W. Gagg and E. Farrar, SAE 340096 (1934) (memory)",
  ],
  input: DepartureQuestion.extend({
    height_m: z
      .number()
      .min(1, "A failure height is 1 to 762 m (2 500 ft).")
      .max(TOP_M, "A failure height is 1 to 762 m (2 500 ft)."),
    /** −1 left, +1 right; null takes the better. */
    side: z
      .union([z.literal(-1), z.literal(1)])
      .nullable()
      .default(null),
  }),
  output: z.object({
    works: z.boolean(),
    limit: z.enum(["reaching", "stopping"]),
    score_m: z.number(),
    margin_m: z.number(),
    spare_m: z.number().nullable(),
    technique: z.object({
      side: z.union([z.literal(-1), z.literal(1)]),
      bank_rad: z.number(),
      stallMargin: z.number(),
      intercept_rad: z.number(),
      extension_s: z.number(),
    }),
    tailwind_mps: z.number(),
    touchdownGroundSpeed_mps: z.number(),
    roll_m: z.number(),
    leastStallMargin: z.number(),
    greatestLoad: z.number(),
    headingChange_rad: z.number(),
    ledger: z.array(z.object({ account: z.string(), name: z.string(), height_m: z.number(), time_s: z.number() })),
    points: z.array(
      z.object({
        time_s: z.number(),
        x_m: z.number(),
        y_m: z.number(),
        height_m: z.number(),
        tas_mps: z.number(),
        psi_rad: z.number(),
        bank_rad: z.number(),
        loadFactor: z.number(),
        stallMargin: z.number(),
        part: z.string(),
      }),
    ),
    working: z.array(WorkingStep),
  }),
  run({ height_m, side, ...input }) {
    const day = departureDay(input);
    if (!day.ok) return day;
    const start = plannedFailure(day.value, input, height_m);
    if (!start) return failure("outside_climb", "The climb does not pass this height.", "height_m");
    const { stalledAfter_s } = start.reaction;
    if (stalledAfter_s !== null)
      return failure(
        "stalls",
        `Holding the attitude stalls the wing ${stalledAfter_s.toFixed(1)} s after the engine stops: there is nothing to turn back from. A quicker push is the answer, not a height.`,
        "plan.reaction",
      );
    const best = bestBank(day.value, input, height_m, side);
    const account = best && turnbackAccount(day.value, input, height_m, best.technique);
    if (!account) throw new Error("turnback: expected a flight after a reaction without a stall");
    const { result } = account;
    return success({
      works: account.score_m >= 0,
      limit: account.limit,
      score_m: account.score_m,
      margin_m: result.margin_m,
      spare_m: result.spare_m,
      technique: { ...account.technique },
      tailwind_mps: result.roll.tailwind_mps,
      touchdownGroundSpeed_mps: result.roll.touchdownGroundSpeed_mps,
      roll_m: result.roll.roll_m,
      leastStallMargin: account.leastStallMargin,
      greatestLoad: account.greatestLoad,
      headingChange_rad: account.headingChange_rad,
      ledger: [...account.ledger],
      points: account.points.map(
        ({ time_s, x_m, y_m, height_m: h, tas_mps, psi_rad, bank_rad, loadFactor, stallMargin, part }) => ({
          time_s,
          x_m,
          y_m,
          height_m: h,
          tas_mps,
          psi_rad,
          bank_rad,
          loadFactor,
          stallMargin,
          part,
        }),
      ),
      working: turnbackWorking(day.value, input, account),
    });
  },
});
