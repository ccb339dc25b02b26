import { z } from "zod";
import { AsymmetricQuestion } from "../asymmetric/asymmetric-question";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { massLimit, takeOffSegments } from "../take-off/segments";
import { WorkingStep } from "../working";

const SOURCE = "equilibrium on one engine without sideslip; jet lapse";
const Name = z.enum(["first", "second", "final", "approach", "landing"]);

/** Take-off segments of a jet and the mass that meets them. */
export const segmentsCalculation = calculation({
  name: "segments",
  cost: "instant",
  question: "Does the jet meet the least gradients with one engine stopped, and at which mass does it just?",
  sources: [SOURCE, "14 CFR 25.107, 25.119, 25.121 (memory)"],
  input: AsymmetricQuestion.pick({ aircraft: true, mass_kg: true, altitude_m: true, air: true }),
  output: z.object({
    segments: z.array(
      z.object({ name: Name, eas_mps: z.number(), gradient: z.number(), required: z.number(), complies: z.boolean() }),
    ),
    limit: z.object({ mass_kg: z.number().nullable(), binding: Name.nullable() }),
    working: z.array(WorkingStep),
  }),
  run(question) {
    const outcome = takeOffSegments(question);
    if (!outcome.ok) return outcome;
    const limit = massLimit(question);
    if (!limit.ok) return limit;
    return success({
      segments: [...outcome.value],
      limit: { ...limit.value },
      working: [
        ...outcome.value.flatMap(({ name, eas_mps, gradient, required }): WorkingStep[] => [
          {
            figure: name,
            symbol: "V",
            meaning: `equivalent airspeed of the ${name} segment`,
            formula: "over the stall of its flap; V_2 at least 1.1 V_MCA",
            value: eas_mps,
            unit: "m/s",
            source: "14 CFR 25.107 (memory)",
          },
          {
            figure: name,
            symbol: "tanγ",
            meaning: "gradient",
            formula: name === "landing" ? "(2T − D)/W" : "(T − D)/W on one engine, no sideslip",
            value: gradient,
            unit: "",
            source: SOURCE,
          },
          {
            figure: name,
            symbol: "least",
            meaning: name === "first" ? "above nothing" : "asked for",
            formula: "",
            value: required,
            unit: "",
            source: "14 CFR 25.119, 25.121 (memory)",
          },
        ]),
        {
          figure: "limit",
          symbol: "m",
          meaning:
            limit.value.binding === null ? "the structure’s maximum" : `the ${limit.value.binding} segment binds`,
          formula: "halving on mass",
          value: limit.value.mass_kg ?? "none",
          unit: limit.value.mass_kg === null ? "" : "kg",
          source: SOURCE,
        },
      ],
    });
  },
});
