import { z } from "zod";
import { AsymmetricQuestion, FlightSpeed } from "../asymmetric/asymmetric-question";
import { driftdown } from "../asymmetric/driftdown";
import { driftdownClearance } from "../asymmetric/driftdown-clearance";
import { calculation } from "../calculation";
import { failure, success } from "../outcome";
import { SituationDocument } from "../situation/situation-document";
import { WorkingStep } from "../working";

const SOURCE = "equilibrium at constant equivalent airspeed, midpoint rule in height";

/** The way down after an engine has failed above the one-engine ceiling. */
export const driftdownCalculation = calculation({
  name: "driftdown",
  cost: "instant",
  question: "From this altitude on one engine: how far and how long until it levels off?",
  sources: [SOURCE, "14 CFR 25.123 (memory) for the net decrement, 121.191 (memory) for the clearance"],
  input: AsymmetricQuestion.omit({ altitude_m: true }).extend({
    from_m: SituationDocument.shape.altitude_m,
    to_m: SituationDocument.shape.altitude_m,
    eas_mps: FlightSpeed,
    decrement: z.number().min(0, "A decrement is 0 to 0.05.").max(0.05, "A decrement is 0 to 0.05.").default(0),
    ground: z
      .array(
        z.strictObject({
          distance_m: z.number().min(0).max(2_000_000, "Ground is looked at up to 2 000 km out."),
          elevation_m: z.number().min(-430).max(9000),
        }),
      )
      .max(2000, "At most 2 000 points of ground.")
      .default([])
      .describe("the highest ground within 5 statute miles of the track, by distance"),
  }),
  output: z.object({
    levelsOff: z.boolean(),
    points: z.array(z.object({ altitude_m: z.number(), time_s: z.number(), distance_m: z.number() })),
    clearance: z.object({ least_m: z.number().nullable(), at_m: z.number().nullable(), clears: z.boolean() }),
    working: z.array(WorkingStep),
  }),
  run({ from_m, to_m, eas_mps, decrement, ground, ...question }) {
    if (!(from_m > to_m)) return failure("not_down", "A drift-down goes down: its end is below its beginning.", "to_m");
    const outcome = driftdown({ ...question, altitude_m: from_m }, from_m, to_m, eas_mps, decrement);
    if (!outcome.ok) return outcome;
    const last = outcome.value.points[outcome.value.points.length - 1];
    const clearance = driftdownClearance(outcome.value.points, ground);
    const figure = "driftdown";
    return success({
      levelsOff: outcome.value.levelsOff,
      points: [...outcome.value.points],
      clearance: { ...clearance },
      working: [
        {
          figure,
          symbol: "sinγ",
          meaning: "path",
          formula: "[(T − D)/W − decrement]/(1 + (V/g)·dV/dh)",
          value: outcome.value.levelsOff ? "falls to 50 ft/min" : "steeper than 50 ft/min to the end",
          unit: "",
          source: SOURCE,
        },
        {
          figure,
          symbol: "h",
          meaning: outcome.value.levelsOff ? "levels off" : "ends",
          formula: "",
          value: last.altitude_m,
          unit: "m",
          source: SOURCE,
        },
        { figure, symbol: "t", meaning: "time", formula: "Σ Δh/w", value: last.time_s, unit: "s", source: SOURCE },
        {
          figure,
          symbol: "d",
          meaning: "distance, still air",
          formula: "Σ Δh/tanγ",
          value: last.distance_m,
          unit: "m",
          source: SOURCE,
        },
        {
          figure: "clearance",
          symbol: "Δh",
          meaning:
            ground.length === 0
              ? "no ground given"
              : clearance.clears
                ? "least over the ground: clears by 2 000 ft"
                : "least over the ground: does not clear by 2 000 ft all the way",
          formula: "h − elevation",
          value: clearance.least_m ?? "none",
          unit: clearance.least_m === null ? "" : "m",
          source: "14 CFR 121.191 (memory)",
        },
      ],
    });
  },
});
