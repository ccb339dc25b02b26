import { z } from "zod";
import { calculation } from "../calculation";
import { TouchdownQuestion, touchdown } from "../landing/touchdown";
import { success } from "../outcome";
import { WorkingStep } from "../working";

const SOURCE =
  "FAA-H-8083-3, emergency approaches and landings (memory): d = V²/(2·N·g), energy by the square of the ground speed";

/** Energy and stopping of a touchdown. */
export const touchdownCalculation = calculation({
  name: "touchdown",
  cost: "instant",
  question: "With how much energy do I touch down, and in what length and load does it stop?",
  sources: [SOURCE, "common practice for gear by surface"],
  input: TouchdownQuestion,
  output: z.object({
    touchdownEas_mps: z.number(),
    groundSpeed_mps: z.number(),
    energy_J: z.number(),
    needed_g: z.number().nullable(),
    cases: z.array(
      z.object({
        name: z.string(),
        groundSpeed_mps: z.number(),
        energy_J: z.number(),
        ratio: z.number(),
        stop_m: z.number(),
      }),
    ),
    stops: z.array(z.object({ g: z.number(), distance_m: z.number(), time_s: z.number() })),
    slide: z.object({ g: z.number(), distance_m: z.number(), time_s: z.number() }).nullable(),
    gear: z.object({ gear: z.enum(["down", "up", "fixed"]), flown: z.enum(["down", "up", "fixed"]), why: z.string() }),
    working: z.array(WorkingStep),
  }),
  run(question) {
    const outcome = touchdown(question);
    if (!outcome.ok) return outcome;
    const { cases, stops, ...answer } = outcome.value;
    return success({
      ...answer,
      cases: [...cases],
      stops: [...stops],
      working: [
        {
          figure: "speed",
          symbol: "V_td",
          meaning: "touchdown, equivalent",
          formula: "1.1·V_S0",
          value: answer.touchdownEas_mps,
          unit: "m/s",
          source: "common practice",
        },
        {
          figure: "speed",
          symbol: "Vg",
          meaning: "over the ground",
          formula: "V_td·√(ρ0/ρ) + w",
          value: answer.groundSpeed_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure: "energy",
          symbol: "E",
          meaning: "energy to get rid of",
          formula: "m·Vg²/2",
          value: answer.energy_J,
          unit: "J",
          source: SOURCE,
        },
        ...cases.map((entry): WorkingStep => ({
          figure: entry.name,
          symbol: "E/E₀",
          meaning: entry.name,
          formula: "(Vg/Vg₀)²",
          value: entry.ratio,
          unit: "",
          source: SOURCE,
        })),
        ...cases.map((entry): WorkingStep => ({
          figure: entry.name,
          symbol: "d",
          meaning: `${entry.name}: stop at ${question.stopping} g`,
          formula: "Vg²/(2·N·g)",
          value: entry.stop_m,
          unit: "m",
          source: SOURCE,
        })),
        ...stops.map((stop): WorkingStep => ({
          figure: `stop ${stop.g}`,
          symbol: "d",
          meaning: `stop at a mean ${stop.g} g`,
          formula: "Vg²/(2·N·g)",
          value: stop.distance_m,
          unit: "m",
          source: SOURCE,
        })),
        ...(answer.slide
          ? [
              {
                figure: "slide",
                symbol: "d",
                meaning: `slide on the belly at a mean ${answer.slide.g} g`,
                formula: "Vg²/(2·N·g)",
                value: answer.slide.distance_m,
                unit: "m",
                source: "common practice",
              },
            ]
          : []),
        ...(answer.needed_g === null
          ? []
          : [
              {
                figure: "needed",
                symbol: "N",
                meaning: "mean load that the length left asks for, g",
                formula: "Vg²/(2·g·L)",
                value: answer.needed_g,
                unit: "",
                source: SOURCE,
              },
            ]),
      ],
    });
  },
});
