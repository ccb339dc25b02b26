import { z } from "zod";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { seriesResult, seriesVerdict } from "../series/series-result";
import { seriesWorking } from "../series/series-working";
import { TestCard } from "../series/test-card";
import { WorkingStep } from "../working";

const amount = z.number().nullable();
const Statistics = z
  .object({ count: z.number(), mean: z.number(), spread: z.number(), meanBound: amount, runBound: amount })
  .nullable();

/** Runs of a test card beside their prediction. */
export const seriesCalculation = calculation({
  name: "series",
  cost: "instant",
  question: "Do the runs agree with the prediction?",
  sources: [
    "steady gliding turn and glide of the aircraft's polar",
    "NIST/SEMATECH e-Handbook 1.3.5.2 (bounds of a mean), 1.3.5.17 (outliers)",
    "B. Iglewicz and D. Hoaglin (1993), modified score beyond 3.5",
  ],
  input: TestCard,
  output: z.object({
    says: z.enum(["too few", "agrees", "too good", "too poor"]),
    briefed: z.object({ predicted: z.number(), time_s: z.number(), eas_mps: z.number(), overStall: z.number() }),
    asBriefed: Statistics,
    aircraft: Statistics,
    runs: z.array(
      z.object({
        number: z.number(),
        flown: z.number(),
        predicted: amount,
        difference: amount,
        score: z.number(),
        doubts: z.array(z.enum(["speed", "bank", "hole", "outlier"])),
        counts: z.boolean(),
      }),
    ),
    working: z.array(WorkingStep),
  }),
  run(card) {
    const result = seriesResult(card);
    if (!result.ok) return result;
    const { briefed, asBriefed, aircraft, rows } = result.value;
    return success({
      says: seriesVerdict(result.value).says,
      briefed,
      asBriefed,
      aircraft,
      runs: rows.map(({ run, predicted, difference, score, doubts }) => ({
        number: run.number,
        flown: run.flown,
        predicted,
        difference,
        score,
        doubts: [...doubts],
        counts: run.leftOut === null && predicted !== null,
      })),
      working: seriesWorking(card, result.value),
    });
  },
});
