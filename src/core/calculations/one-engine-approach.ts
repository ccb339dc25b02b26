import { z } from "zod";
import { AsymmetricQuestion } from "../asymmetric/asymmetric-question";
import { calculation } from "../calculation";
import { oneEngineApproach } from "../landing/one-engine-approach";
import { success } from "../outcome";
import { DEFAULT_ONE_ENGINE, OneEnginePlan } from "../situation/one-engine-plan";
import { TakeOffPlan } from "../situation/take-off-plan";
import { WorkingStep } from "../working";

const SOURCE = "lateral equilibrium; actuator disc; parabolic drag polar";

/** A twin's approach on one engine and its last go-around. */
export const oneEngineApproachCalculation = calculation({
  name: "one-engine-approach",
  cost: "instant",
  question:
    "With what power and rudder do I come down on one engine, and below which height is a go-around no longer offered?",
  sources: [SOURCE, "common practice for times and margins"],
  input: AsymmetricQuestion.omit({ flap: true, gearDown: true, setting: true }).extend({
    gearUp_s: TakeOffPlan.shape.gearUp_s.default(8),
    oneEngine: OneEnginePlan.default(DEFAULT_ONE_ENGINE),
  }),
  output: z.object({
    parts: z.array(
      z.object({
        name: z.string(),
        flapName: z.string(),
        eas_mps: z.number(),
        setting: z.number().nullable(),
        rudder: z.number().nullable(),
        full_mps: z.number(),
        limit: z.object({ name: z.string(), speed_mps: z.number() }).nullable(),
        overLimit: z.boolean(),
      }),
    ),
    vyse_mps: z.number(),
    vref_mps: z.number(),
    vmca_mps: z.number().nullable(),
    steps: z.array(z.object({ name: z.string(), time_s: z.number(), height_m: z.number() })),
    lost_m: z.number(),
    floor_m: z.number().nullable(),
    advisedFloor_m: z.number().nullable(),
    away_mps: z.number(),
    awayGradient: z.number(),
    awaySpeed_mps: z.number(),
    gearCost_mps: z.number(),
    earlyGear_m: z.number(),
    working: z.array(WorkingStep),
  }),
  run(question) {
    const outcome = oneEngineApproach(question);
    if (!outcome.ok) return outcome;
    const { parts, steps, ...answer } = outcome.value;
    const figure = "floor";
    return success({
      ...answer,
      parts: parts.map((part) => ({ ...part, limit: part.limit && { ...part.limit } })),
      steps: [...steps],
      working: [
        {
          figure,
          symbol: "V_ref",
          meaning: "approach with landing flap, at least V_MCA",
          formula: "max(1.3·V_S0, V_MCA)",
          value: answer.vref_mps,
          unit: "m/s",
          source: "common practice",
        },
        ...steps.map((step): WorkingStep => ({
          figure,
          symbol: "Δh",
          meaning: `${step.name}, ${step.time_s.toFixed(1)} s`,
          formula:
            step.name === "level off"
              ? "V²γ²/(2·0.2·g)"
              : step.name === "accelerate"
                ? "level, t = ΔV²/2g/RoC"
                : "−RoC·t",
          value: step.height_m,
          unit: "m",
          source: SOURCE,
        })),
        {
          figure,
          symbol: "Σ",
          meaning: "to the lowest point",
          formula: "Σ Δh",
          value: answer.lost_m,
          unit: "m",
          source: SOURCE,
        },
        {
          figure,
          symbol: "h_g",
          meaning: "go-around no lower than this",
          formula: "Σ + 50 ft",
          value: answer.floor_m ?? "never: it does not climb away",
          unit: answer.floor_m === null ? "" : "m",
          source: "common practice",
        },
        {
          figure,
          symbol: "h_a",
          meaning:
            question.oneEngine.least === "height"
              ? "advised: no lower than the least height chosen; gear down below it is a commitment"
              : "advised: while it climbs away as fast as is asked for",
          formula: question.oneEngine.least === "height" ? "max(h_g, least height)" : "RoC ≥ least climb",
          value: answer.advisedFloor_m ?? "never",
          unit: answer.advisedFloor_m === null ? "" : "m",
          source: "situation; 400 ft by common practice",
        },
        ...parts.flatMap((part): WorkingStep[] =>
          part.limit
            ? [
                {
                  figure: part.name,
                  symbol: part.limit.name,
                  meaning: part.overLimit
                    ? "limit of the configuration, under the slowest safe speed"
                    : "limit of the configuration: flown no faster",
                  formula: "",
                  value: part.limit.speed_mps,
                  unit: "m/s",
                  source: "aircraft document",
                },
              ]
            : [],
        ),
        {
          figure: "gear",
          symbol: "ΔRoC",
          meaning: "climb that the gear costs, level at V_YSE",
          formula: "RoC_up − RoC_down",
          value: answer.gearCost_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure: "gear",
          symbol: "Δh",
          meaning: "gear from 1 000 ft against from 300 ft, at full power",
          formula: "ΔRoC·t",
          value: answer.earlyGear_m,
          unit: "m",
          source: SOURCE,
        },
        ...parts.map((part): WorkingStep => ({
          figure: part.name,
          symbol: "P/P_full",
          meaning: `power for ${part.name}`,
          formula: "T = D − W·sinγ, by bisection",
          value: part.setting ?? "more than there is",
          unit: "",
          source: SOURCE,
        })),
        ...parts.map((part): WorkingStep => ({
          figure: part.name,
          symbol: "δr/δr,max",
          meaning: `rudder for ${part.name}, no sideslip`,
          formula: "Cy, Cl, Cn = 0",
          value: part.rudder ?? "–",
          unit: "",
          source: SOURCE,
        })),
      ],
    });
  },
});
