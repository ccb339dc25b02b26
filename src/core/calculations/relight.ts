import { z } from "zod";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { RelightQuestion, relightPlans } from "../restart/relight";
import { WorkingStep } from "../working";

const SOURCE = "energy and drag along the way, parabolic drag polar";
const Point = z.object({ time_s: z.number(), altitude_m: z.number(), cas_mps: z.number() });
const Plan = z.object({
  kind: z.enum(["windmill", "assisted"]),
  cas_mps: z.number(),
  attempts: z.array(z.object({ from: Point, to: Point })),
  dive_m: z.number(),
  back_m: z.number(),
  left_m: z.number(),
  chance: z.number(),
  why: z.string().nullable(),
});

/** Attempts to light a jet engine again that end above the commit height. */
export const relightCalculation = calculation({
  name: "relight",
  cost: "instant",
  question:
    "How many attempts to light the engine again fit above the commit height, windmilling or with auxiliary power?",
  sources: [SOURCE, "relight envelope and times of the aircraft document"],
  input: RelightQuestion,
  output: z.object({
    windmill: Plan,
    assisted: Plan,
    better: z.enum(["windmill", "assisted"]).nullable(),
    working: z.array(WorkingStep),
  }),
  run(question) {
    const outcome = relightPlans(question);
    if (!outcome.ok) return outcome;
    const { windmill, assisted, better } = outcome.value;
    const plain = ({ kind, cas_mps, attempts, dive_m, back_m, left_m, chance, why }: typeof windmill) => ({
      kind,
      cas_mps,
      attempts: [...attempts],
      dive_m,
      back_m,
      left_m,
      chance,
      why,
    });
    return success({
      windmill: plain(windmill),
      assisted: plain(assisted),
      better,
      working: [windmill, assisted].flatMap((plan): WorkingStep[] => [
        {
          figure: plan.kind,
          symbol: "V",
          meaning: `calibrated speed of an attempt, ${plan.kind === "windmill" ? "windmilling" : "with auxiliary power"}`,
          formula: "",
          value: plan.cas_mps,
          unit: "m/s",
          source: "aircraft document",
        },
        {
          figure: plan.kind,
          symbol: "Δh_d",
          meaning: "height that the dive takes beyond gliding the same time",
          formula: "V̇ = g(sinγ − D/W), γ 5° steeper than the glide there",
          value: plan.dive_m,
          unit: "m",
          source: SOURCE,
        },
        {
          figure: plan.kind,
          symbol: "n",
          meaning: "attempts that end above the commit height, inside the envelope",
          formula: "",
          value: plan.why ?? plan.attempts.length,
          unit: "",
          source: SOURCE,
        },
        {
          figure: plan.kind,
          symbol: "Δh_b",
          meaning: "worth of slowing down to best glide afterwards",
          formula: "sink·(V − v)/(g·D/W)",
          value: plan.back_m,
          unit: "m",
          source: SOURCE,
        },
        {
          figure: plan.kind,
          symbol: "P",
          meaning: "chance that one succeeds",
          formula: "1 − (1 − p)ⁿ",
          value: plan.chance,
          unit: "",
          source: "chance of one attempt as given",
        },
      ]),
    });
  },
});
