import { z } from "zod";
import { asymmetricCase } from "../asymmetric/anchored-case";
import { AsymmetricQuestion, LiveBank } from "../asymmetric/asymmetric-question";
import { CONTROLS, vmca } from "../asymmetric/vmca";
import { vmcaFactors } from "../asymmetric/vmca-factors";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { WorkingStep } from "../working";

const SOURCE = "lateral equilibrium, scanned down in speed";
const Limit = z.enum(["rudder", "aileron", "fin", "pedal"]);
const LimitSpeed = z.union([
  z.object({ kind: z.literal("at"), eas_mps: z.number() }),
  z.object({ kind: z.literal("everywhere") }),
  z.object({ kind: z.literal("never") }),
]);

/** Minimum control speed today, and what each thing does to it. */
export const vmcaCalculation = calculation({
  name: "vmca",
  cost: "instant",
  question: "How slow may I fly on one engine today before a control reaches its stop, and what changes that most?",
  sources: [SOURCE, "14 CFR 23.149 as it was before 2017 (memory)"],
  input: AsymmetricQuestion.extend({ bank_rad: LiveBank }),
  output: z.object({
    eas_mps: z.number().nullable(),
    binding: Limit.nullable(),
    stall_mps: z.number(),
    stallFirst: z.boolean(),
    limits: z.object({ rudder: LimitSpeed, aileron: LimitSpeed, fin: LimitSpeed, pedal: LimitSpeed }),
    factors: z.array(z.object({ name: z.string(), change_mps: z.number().nullable() })),
    working: z.array(WorkingStep),
  }),
  run({ bank_rad, ...question }) {
    const flight = asymmetricCase(question);
    if (!flight.ok) return flight;
    const minimum = vmca(flight.value, bank_rad);
    const figure = "vmca";
    return success({
      ...minimum,
      limits: { ...minimum.limits },
      factors: vmcaFactors(question, bank_rad),
      working: [
        {
          figure,
          symbol: "V_MCA,book",
          meaning: "published, light, aft centre of gravity, 5°, critical engine windmilling, sea level",
          formula: "",
          value: flight.value.asymmetric.publishedVmca_mps,
          unit: "m/s",
          source: "aircraft document",
        },
        {
          figure,
          symbol: "Cnδr",
          meaning: "rudder power that makes the published speed",
          formula: "three equations, linear in β, δa, Cnδr",
          value: flight.value.cnDeltaR,
          unit: "",
          source: SOURCE,
        },
        ...CONTROLS.map((limit): WorkingStep => {
          const limitSpeed = minimum.limits[limit];
          return {
            figure,
            symbol: limit,
            meaning: `speed at which the ${limit} limit is met`,
            formula: "",
            value: limitSpeed.kind === "at" ? limitSpeed.eas_mps : limitSpeed.kind,
            unit: limitSpeed.kind === "at" ? "m/s" : "",
            source: SOURCE,
          };
        }),
        {
          figure,
          symbol: "V_S",
          meaning: "stall in this straight banked flight",
          formula: "V_S·√cosφ",
          value: minimum.stall_mps,
          unit: "m/s",
          source: "parabolic drag polar, aircraft document",
        },
        {
          figure,
          symbol: "V_MCA",
          meaning: minimum.stallFirst ? "the stall comes first" : `today, the ${minimum.binding ?? "controls"} bind`,
          formula: "the highest",
          value: minimum.eas_mps ?? "none",
          unit: minimum.eas_mps === null ? "" : "m/s",
          source: SOURCE,
        },
      ],
    });
  },
});
