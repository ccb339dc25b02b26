import { z } from "zod";
import { AsymmetricQuestion } from "../asymmetric/asymmetric-question";
import { SERVICE_ONE_MPS, SERVICE_TWO_MPS, ceiling_m } from "../asymmetric/one-engine-climb";
import { calculation } from "../calculation";
import { type Outcome, success } from "../outcome";
import { WorkingStep } from "../working";

const DEFINITION = "definitions: 50 ft/min on one engine, 100 on two, 0 for the absolute ceiling";

/** How high it climbs on one engine and on two. */
export const ceilingsCalculation = calculation({
  name: "ceilings",
  cost: "instant",
  question: "Up to which altitude does it still climb, on one engine and on two?",
  sources: [DEFINITION],
  input: AsymmetricQuestion,
  output: z.object({
    serviceOne_m: z.number().nullable(),
    absoluteOne_m: z.number().nullable(),
    serviceTwo_m: z.number().nullable(),
    reason: z.string().nullable(),
    working: z.array(WorkingStep),
  }),
  run(question) {
    const ceilings: readonly (readonly [string, string, Outcome<number>])[] = [
      ["serviceOne_m", "service ceiling on one engine, 50 ft/min", ceiling_m(question, SERVICE_ONE_MPS, 1)],
      ["absoluteOne_m", "absolute ceiling on one engine", ceiling_m(question, 0, 1)],
      ["serviceTwo_m", "service ceiling on two engines, 100 ft/min", ceiling_m(question, SERVICE_TWO_MPS, 2)],
    ];
    const [one, absolute, two] = ceilings.map(([, , outcome]) => outcome);
    // A ceiling that is not there is an answer; a question that cannot be set up is not.
    const broken = ceilings
      .map(([, , outcome]) => outcome)
      .find((outcome) => !outcome.ok && !["never_climbs", "above_model"].includes(outcome.issue.code));
    if (broken && !broken.ok) return broken;
    const value = (outcome: Outcome<number>) => (outcome.ok ? outcome.value : null);
    return success({
      serviceOne_m: value(one),
      absoluteOne_m: value(absolute),
      serviceTwo_m: value(two),
      reason: ceilings.flatMap(([, , outcome]) => (outcome.ok ? [] : [outcome.issue.message]))[0] ?? null,
      working: ceilings.map(([figure, meaning, outcome]): WorkingStep => ({
        figure,
        symbol: "h",
        meaning,
        formula: "best RoC(h) = rate",
        value: outcome.ok ? outcome.value : outcome.issue.message,
        unit: outcome.ok ? "m" : "",
        source: DEFINITION,
      })),
    });
  },
});
