import { z } from "zod";
import { calculation } from "../calculation";
import { bestBank } from "../departure/best-bank";
import { type ChanceCount, chanceHeights_m, countChance } from "../departure/chance";
import { draws, pilotScatter } from "../situation/scatter";
import { DepartureQuestion, TOP_M, departureDay } from "../departure/departure-day";
import { chanceCurve, chanceGates } from "../departure/chance-curve";
import { failure, success } from "../outcome";
import { WorkingStep } from "../working";

const ScatterInput = z.strictObject({
  delay_s: z.number().min(0).max(10),
  bank_rad: z.number().min(0).max(0.5),
  speed: z.number().min(0).max(0.3),
  headwind_mps: z.number().min(0).max(20),
  crosswind_mps: z.number().min(0).max(20),
  glide: z.number().min(0).max(0.3),
  intercept_rad: z.number().min(0).max(0.8),
});
/** Draws of one height that are flown between two looks at the progress. */
const SLICE = 50;
const MODEL = "Monte Carlo of the turnback, seeded";

/** How likely a turn back works by height, and the gate that follows. */
export const departureChanceCalculation = calculation({
  name: "departure-chance",
  cost: "long",
  question: "From which height does turning back work often enough, when pilot and air scatter?",
  sources: [
    "E. B. Wilson, J. Amer. Statist. Assoc. 22 (1927) (memory), for the confidence band",
    "scatter of pilots: common practice, with the pilot's own where measured",
  ],
  input: DepartureQuestion.extend({
    heights_m: z
      .array(z.number().min(1).max(TOP_M))
      .min(1)
      .max(11, "At most 11 heights.")
      .default(() => chanceHeights_m(null)),
    samples: z.int().min(10, "At least 10 samples.").max(1000, "At most 1 000 samples.").default(300),
    seed: z
      .int()
      .min(0)
      .max(2 ** 31)
      .default(1),
    scatter: ScatterInput.nullable()
      .default(null)
      .describe("null takes the usual scatter, wider after a time without practice"),
    hindsight: z.boolean().default(false),
  }),
  output: z.object({
    curve: z.array(
      z.object({
        height_m: z.number(),
        chance: z.number(),
        low: z.number(),
        high: z.number(),
        hindsight: z.number().nullable(),
        stalled: z.number().describe("share that stalled before the pilot acted"),
      }),
    ),
    gates: z.object({
      fixed_m: z.number(),
      computed_m: z.number().nullable(),
      gate_m: z.number().nullable(),
      decides: z.enum(["fixed", "computed", "none"]),
    }),
    working: z.array(WorkingStep),
  }),
  run({ heights_m, samples, seed, scatter: given, hindsight, ...input }, progress) {
    const scatter = given ?? pilotScatter(input.pilot);
    const day = departureDay(input);
    if (!day.ok) return day;
    const sample = draws(seed, samples);
    const counts: ChanceCount[] = [];
    const total = heights_m.length * samples;
    let flown = 0;
    for (const height_m of heights_m) {
      const best = bestBank(day.value, input, height_m);
      for (let from = 0; from < samples; from += SLICE) {
        const part = sample.slice(from, from + SLICE);
        if (best)
          counts.push(countChance(day.value, input, { height_m, technique: best.technique }, scatter, part, hindsight));
        flown += part.length;
        if (progress && !progress(flown / total)) return failure("cancelled", "Stopped before the end.");
      }
    }
    const curve = chanceCurve(heights_m, counts, hindsight);
    const gates = chanceGates(input.plan, curve);
    return success({
      curve,
      gates: { ...gates },
      working: [
        {
          figure: "gate",
          symbol: "N",
          meaning: "draws at each height",
          formula: "",
          value: samples,
          unit: "",
          source: MODEL,
        },
        {
          figure: "gate",
          symbol: "p",
          meaning: "chance asked for",
          formula: "",
          value: input.plan.requiredChance,
          unit: "",
          source: "chosen",
        },
        ...curve.map((point) => ({
          figure: "gate",
          symbol: `p(${point.height_m.toFixed(0)} m)`,
          meaning: "share that aligned, reached and stopped",
          formula: "successes/N",
          value: point.chance,
          unit: "",
          source: MODEL,
        })),
        {
          figure: "gate",
          symbol: "gate",
          meaning: "lowest height from which the chance stays",
          formula: "interpolated",
          value: gates.computed_m ?? "none",
          unit: gates.computed_m === null ? "" : "m",
          source: MODEL,
        },
      ],
    });
  },
});
