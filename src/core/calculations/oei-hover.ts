import { z } from "zod";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { HelicopterQuestion, HoverWind, RotorSpeed, SkidsHeight } from "../rotor/helicopter-question";
import { helicopterCase } from "../rotor/helicopter-case";
import { hoistCase } from "../rotor/hoist-case";
import { hoverFactors } from "../rotor/hover-factors";
import { hoverOnOne } from "../rotor/hover-on-one";
import { hoverPowerSteps, ratingSteps } from "../rotor/hover-working";
import { WorkingStep } from "../working";

/** Whether a hover can be held on one engine, on which rating, and for how long. */
export const oeiHoverCalculation = calculation({
  name: "oei-hover",
  cost: "instant",
  question: "Can this hover be held on one engine, on which rating, for how long, and what changes that most?",
  sources: ["momentum theory with ground effect and section drag", "14 CFR 1.1 for ratings (memory)"],
  input: HelicopterQuestion.extend({
    wind_mps: HoverWind.default(0),
    skids_m: SkidsHeight.default(null),
    nr: RotorSpeed.default(1),
    /** Until the person on the hoist is inside; null without one. */
    needed_s: z
      .number("Seconds needed are 0 to 600.")
      .min(0, "Seconds needed are 0 to 600.")
      .max(600, "Seconds needed are 0 to 600.")
      .nullable()
      .default(null),
  }),
  output: z.object({
    required_W: z.number(),
    stalled: z.boolean(),
    holdsOn: z.string().nullable(),
    ratings: z.array(
      z.object({
        name: z.string(),
        duration_s: z.number().nullable(),
        uses: z.number().nullable(),
        available_W: z.number(),
        binds: z.enum(["engine", "gearbox"]),
        margin_W: z.number(),
        greatestMass_kg: z.number(),
        slowestLevel_mps: z.number().nullable(),
        fastestLevel_mps: z.number().nullable(),
      }),
    ),
    factors: z.array(z.object({ name: z.string(), change_W: z.number() })),
    hoist: z
      .object({
        holds: z.boolean(),
        spare_s: z.number().nullable(),
        lighterBy_kg: z.number().nullable(),
      })
      .nullable(),
    working: z.array(WorkingStep),
  }),
  run({ wind_mps, skids_m, nr, needed_s, ...question }) {
    const flight = helicopterCase(question);
    if (!flight.ok) return flight;
    // A rotor does not mind from where the wind comes: its speed counts.
    const state = { tas_mps: Math.abs(wind_mps), climb_mps: 0, skids_m, nr };
    const hover = hoverOnOne(flight.value, state);
    if (!hover.ok) return hover;
    const { required, ratings, holdsOn, stalled } = hover.value;
    const hoist = needed_s === null ? null : hoistCase(hover.value, question.mass_kg, needed_s);
    return success({
      required_W: required.shaft_W,
      stalled,
      holdsOn: holdsOn === null ? null : ratings[holdsOn].rating.name,
      ratings: ratings.map(({ rating, available, margin_W, greatestMass_kg, level }) => ({
        name: rating.name,
        duration_s: rating.duration_s,
        uses: rating.uses,
        available_W: available.power_W,
        binds: available.binds,
        margin_W,
        greatestMass_kg,
        slowestLevel_mps: level?.slowest_mps ?? null,
        fastestLevel_mps: level?.fastest_mps ?? null,
      })),
      factors: hoverFactors(question, state, holdsOn ?? 0),
      hoist: hoist && { holds: hoist.holds, spare_s: hoist.spare_s, lighterBy_kg: hoist.lighterBy_kg },
      working: [...hoverPowerSteps(flight.value, state, required), ...ratingSteps(flight.value, ratings)],
    });
  },
});
