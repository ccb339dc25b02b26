import { z } from "zod";
import { fitHandbook } from "../aircraft/fit-handbook";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { WorkingStep } from "../working";

const SOURCE = "least squares on the parabolic polar through the handbook's figures";
const speed_mps = z
  .number()
  .min(5, "A speed below 10 kt is not a handbook's.")
  .max(200, "A glide above 390 kt is not a handbook's.");

/** A polar from the figures a handbook prints. */
export const fitCalculation = calculation({
  name: "fit",
  cost: "instant",
  question: "Which polar goes with these handbook figures, how well does it meet them, and does it look plausible?",
  sources: [SOURCE],
  input: z.strictObject({
    mass_kg: z
      .number()
      .min(50, "A mass is at least 50 kg.")
      .max(700_000, "A mass is at most 700 t.")
      .describe("that the figures are printed for"),
    wingArea_m2: z.number().min(1, "A wing area is 1 to 2 000 m².").max(2000, "A wing area is 1 to 2 000 m²."),
    span_m: z.number().min(2, "A span is 2 to 120 m.").max(120, "A span is 2 to 120 m."),
    vbg_mps: speed_mps,
    bestGlideRatio: z.number().min(1.5, "A glide ratio is 1.5 to 80.").max(80, "A glide ratio is 1.5 to 80."),
    stall_mps: z
      .array(z.strictObject({ flap: z.string().min(1).max(20), speed_mps }))
      .max(8)
      .default([]),
    points: z
      .array(
        z.strictObject({
          eas_mps: speed_mps,
          sink_mps: z
            .number()
            .min(0.01, "A sink is 0.01 to 60 m/s (2 to 11 800 ft/min).")
            .max(60, "A sink is 0.01 to 60 m/s (2 to 11 800 ft/min)."),
          weight: z.number().min(0).max(100).default(1),
        }),
      )
      .max(200, "At most 200 points.")
      .default([]),
  }),
  output: z.object({
    cd0: z.number(),
    k: z.number(),
    oswald: z.number(),
    clMax: z.array(z.object({ flap: z.string(), clMax: z.number() })),
    residuals: z.array(z.object({ name: z.string(), unit: z.enum(["m/s", ""]), book: z.number(), model: z.number() })),
    doubts: z.array(z.string()),
    working: z.array(WorkingStep),
  }),
  run(figures) {
    const fit = fitHandbook(figures);
    if (!fit.ok) return fit;
    const { cd0, k, oswald, clMax, residuals, doubts } = fit.value;
    const figure = "fit";
    return success({
      cd0,
      k,
      oswald,
      clMax: [...clMax],
      residuals: [...residuals],
      doubts: [...doubts],
      working: [
        {
          figure,
          symbol: "CD0",
          meaning: "drag without lift",
          formula: "CD0 + k·CL*² = CL*·ε, CD0 = k·CL*², and each point",
          value: cd0,
          unit: "",
          source: SOURCE,
        },
        {
          figure,
          symbol: "k",
          meaning: "drag by lift",
          formula: "CD = CD0 + k·CL²",
          value: k,
          unit: "",
          source: SOURCE,
        },
        {
          figure,
          symbol: "e",
          meaning: "share of the ideal wing",
          formula: "1/(π·AR·k)",
          value: oswald,
          unit: "",
          source: SOURCE,
        },
        ...clMax.map((entry) => ({
          figure,
          symbol: "CLmax",
          meaning: `flap ${entry.flap}`,
          formula: "2(W/S)/(ρ0·V_S²)",
          value: entry.clMax,
          unit: "",
          source: "handbook's stall speed",
        })),
        ...residuals.map((residual) => ({
          figure: "residuals",
          symbol: "book → model",
          meaning: residual.name,
          formula: `book ${residual.book.toPrecision(4)}`,
          value: residual.model,
          unit: residual.unit,
          source: SOURCE,
        })),
      ],
    });
  },
});
