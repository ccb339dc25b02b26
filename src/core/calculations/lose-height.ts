import { z } from "zod";
import { calculation } from "../calculation";
import { loseHeight } from "../landing/lose-height";
import { LoseQuestion } from "../landing/lose-question";
import { success } from "../outcome";
import { DEFAULT_LANDING, LossAction } from "../situation/landing-plan";
import { WorkingStep } from "../working";

const SOURCE = "equilibrium of straight and turning glides, parabolic drag polar";

/** Too high: what each thing loses, and an order that loses just enough. */
export const loseHeightCalculation = calculation({
  name: "lose-height",
  cost: "instant",
  question: "How do I lose this much height on the way in, in which order, within the speed limits?",
  sources: [SOURCE, "S-turns: path ratio ψm/sinψm", "common practice for the order"],
  input: LoseQuestion.extend({
    allowed: LoseQuestion.shape.allowed.default(DEFAULT_LANDING.allowed),
    turnFloor_m: LoseQuestion.shape.turnFloor_m.default(DEFAULT_LANDING.turnFloor_m),
    certain_m: LoseQuestion.shape.certain_m.default(DEFAULT_LANDING.certain_m),
    eas_mps: LoseQuestion.shape.eas_mps.default(null),
  }),
  output: z.object({
    eas_mps: z.number(),
    distance_m: z.number(),
    loses_m: z.number(),
    left_m: z.number(),
    time_s: z.number(),
    options: z.array(
      z.object({
        action: LossAction,
        name: z.string(),
        flap: z.number().nullable(),
        height_m: z.number(),
        time_s: z.number(),
        limit_mps: z.number().nullable(),
        refused: z.string().nullable(),
      }),
    ),
    steps: z.array(
      z.object({
        action: LossAction,
        name: z.string(),
        flap: z.number().nullable(),
        from_m: z.number(),
        to_m: z.number(),
        ground_m: z.number(),
        time_s: z.number(),
        loses_m: z.number(),
      }),
    ),
    working: z.array(WorkingStep),
  }),
  run(question) {
    const outcome = loseHeight(question);
    if (!outcome.ok) return outcome;
    const { options, steps, ...plan } = outcome.value;
    const figure = "plan";
    return success({
      ...plan,
      options: [...options],
      steps: [...steps],
      working: [
        {
          figure,
          symbol: "V",
          meaning: "speed flown, equivalent",
          formula: "",
          value: plan.eas_mps,
          unit: "m/s",
          source: question.eas_mps === null ? "best glide as configured" : "situation",
        },
        {
          figure,
          symbol: "D",
          meaning: "ground left: what the glide covers with the height that is not to be lost",
          formula: "(h − Δh)/tanγ",
          value: plan.distance_m,
          unit: "m",
          source: SOURCE,
        },
        ...options.map((option): WorkingStep => ({
          figure: option.name,
          symbol: "Δh",
          meaning: option.refused ? `${option.name}: ${option.refused}` : `${option.name} alone, where it may be used`,
          formula:
            option.action === "turn"
              ? "2π·dh/dψ"
              : option.action === "s-turns"
                ? "x·tanγ·(ψm/sinψm − 1) over the ground, ψm 45°"
                : "x·(tanγ₁ − tanγ₀)",
          value: option.height_m,
          unit: "m",
          source: SOURCE,
        })),
        ...steps.map((step): WorkingStep => ({
          figure,
          symbol: "−Δh",
          meaning: `${step.name}, over ${Math.round(step.ground_m)} m of ground`,
          formula: "what it loses on top of the steps before",
          value: step.loses_m,
          unit: "m",
          source: SOURCE,
        })),
        {
          figure,
          symbol: "Σ",
          meaning: "lost by the plan",
          formula: "Σ Δh",
          value: plan.loses_m,
          unit: "m",
          source: SOURCE,
        },
        {
          figure,
          symbol: "left",
          meaning: "still too high by",
          formula: "Δh − Σ",
          value: plan.left_m,
          unit: "m",
          source: SOURCE,
        },
      ],
    });
  },
});
