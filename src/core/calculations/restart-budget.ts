import { z } from "zod";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { PISTON_FLOW } from "../restart/cause-flow";
import { RestartQuestion, restartBudget } from "../restart/restart-budget";
import { WorkingStep } from "../working";

const ONE = "equilibrium on one engine, best rate at nine heights";
const SOURCE = "equilibrium of a straight glide, parabolic drag polar";

const Placed = z.array(
  z.object({
    id: z.string(),
    from_s: z.number(),
    to_s: z.number(),
    cost_m: z.number(),
    end_m: z.number(),
    fits: z.boolean(),
  }),
);

/** Height turned into seconds, and the cause check that fits into them. */
export const restartBudgetCalculation = calculation({
  name: "restart-budget",
  cost: "instant",
  question: "How many seconds are there for a cause check, which items fit, and below which height is it fly and land?",
  sources: [SOURCE, "common practice for the flow and its times"],
  input: RestartQuestion.extend({ flow: RestartQuestion.shape.flow.default([...PISTON_FLOW]) }),
  output: z.object({
    eas_mps: z.number(),
    sink_mps: z.number(),
    spend_m: z.number(),
    spend_s: z.number().nullable(),
    fitting: z.number(),
    whole_s: z.number(),
    wholeFrom_m: z.number(),
    landFrom_m: z.number(),
    items: Placed,
    then: Placed,
    oneEngine: z
      .object({
        climb_mps: z.number(),
        eas_mps: z.number(),
        mended_mps: z.number().nullable(),
        levelsOff_m: z.number().nullable(),
        time_s: z.number().nullable(),
      })
      .nullable(),
    byPropeller: z.array(z.object({ state: z.string(), sink_mps: z.number(), eas_mps: z.number(), ratio: z.number() })),
    working: z.array(WorkingStep),
  }),
  run(question) {
    const outcome = restartBudget(question);
    if (!outcome.ok) return outcome;
    const { items, then, byPropeller, oneEngine, reaction_m, ...budget } = outcome.value;
    const placed = (entries: typeof items) => entries.map(({ item, ...entry }) => ({ id: item.id, ...entry }));
    const figure = "budget";
    return success({
      ...budget,
      items: placed(items),
      then: placed(then),
      oneEngine: oneEngine && { ...oneEngine },
      byPropeller: byPropeller.map((entry) => ({ ...entry })),
      working: [
        {
          figure,
          symbol: "h",
          meaning: "altitude at the failure",
          formula: "",
          value: question.altitude_m,
          unit: "m",
          source: "situation",
        },
        {
          figure,
          symbol: "h_c",
          meaning: "commit height: checking ends here",
          formula: "",
          value: question.commit_m,
          unit: "m",
          source: "situation",
        },
        oneEngine
          ? {
              figure,
              symbol: "V",
              meaning: "best rate on one engine as configured, equivalent",
              formula: "max (T − D)·V/W, no sideslip",
              value: budget.eas_mps,
              unit: "m/s",
              source: ONE,
            }
          : {
              figure,
              symbol: "V",
              meaning: "best glide as configured, equivalent",
              formula: "CL = √(CD0/k)",
              value: budget.eas_mps,
              unit: "m/s",
              source: SOURCE,
            },
        {
          figure,
          symbol: "sink",
          meaning: "at this altitude; negative climbs",
          formula: oneEngine ? "(D − T)·V/W" : "V·sinγ/√σ/(1 + AF)",
          value: budget.sink_mps,
          unit: "m/s",
          source: oneEngine ? ONE : SOURCE,
        },
        {
          figure,
          symbol: "Δh_r",
          meaning: "height gone before anything is done",
          formula: "∫sink dt over t_r",
          value: reaction_m,
          unit: "m",
          source: SOURCE,
        },
        {
          figure,
          symbol: "t",
          meaning: "seconds to spend",
          formula: "∫dh/sink from h − Δh_r to h_c",
          value: budget.spend_s ?? "without end: it does not come down to the commit height",
          unit: budget.spend_s === null ? "" : "s",
          source: oneEngine ? ONE : SOURCE,
        },
        {
          figure: "flow",
          symbol: "t_f",
          meaning: "seconds of the whole flow",
          formula: "Σ t",
          value: budget.whole_s,
          unit: "s",
          source: "flow, common practice",
        },
        {
          figure: "flow",
          symbol: "h_w",
          meaning: "lowest altitude for the whole flow",
          formula: "h_c + ∫sink dt over t_r + t_f",
          value: budget.wholeFrom_m,
          unit: "m",
          source: SOURCE,
        },
        {
          figure: "land",
          symbol: "h_0",
          meaning: "below this not even the first item fits: fly and land",
          formula: "h_c + ∫sink dt over t_r + t_1",
          value: budget.landFrom_m,
          unit: "m",
          source: SOURCE,
        },
        ...[...items, ...then].map(({ item, cost_m }): WorkingStep => ({
          figure: item.id,
          symbol: "Δh",
          meaning: `${item.name}, ${item.time_s} s`,
          formula: "sink·t",
          value: cost_m,
          unit: "m",
          source: SOURCE,
        })),
        ...byPropeller.map((entry): WorkingStep => ({
          figure: "propeller",
          symbol: "sink",
          meaning: `propeller ${entry.state}, at its best glide`,
          formula: "V·sinγ/√σ/(1 + AF)",
          value: entry.sink_mps,
          unit: "m/s",
          source: SOURCE,
        })),
      ],
    });
  },
});
