import { z } from "zod";
import { calculation } from "../calculation";
import { failure, success } from "../outcome";
import { availablePower } from "../rotor/power-available";
import { HelicopterQuestion } from "../rotor/helicopter-question";
import { helicopterCase } from "../rotor/helicopter-case";
import { clockAfter, freshClock, inspectionDue } from "../rotor/ratings-clock";
import { WorkingStep } from "../working";

const SOURCE = "14 CFR 1.1 (memory): 30-second and 2-minute ratings, three uses each";
/** Steps of the clock, s. */
const STEP_S = 0.1;

/** What a flight's power used of each rating. */
export const ratingsCalculation = calculation({
  name: "ratings",
  cost: "instant",
  question: "How much of each rating has been used, how often, and what was overdone?",
  sources: [SOURCE],
  input: HelicopterQuestion.extend({
    /** Power of one engine from a moment on until the next. */
    samples: z
      .array(
        z.strictObject({
          time_s: z.number().min(0, "A time is 0 to 3 600 s.").max(3600, "A time is 0 to 3 600 s."),
          power_W: z.number().min(0, "A power is 0 to 20 MW.").max(2e7, "A power is 0 to 20 MW."),
        }),
      )
      .min(2, "At least two moments are needed: a power counts until the next.")
      .max(2000, "At most 2 000 moments."),
  }),
  output: z.object({
    bands: z.array(
      z.object({
        name: z.string(),
        uses: z.number(),
        usesLeft: z.number().nullable(),
        left_s: z.number().nullable(),
        total_s: z.number(),
      }),
    ),
    exceedances: z.array(z.object({ name: z.string(), kind: z.enum(["time", "uses", "power"]), over_s: z.number() })),
    inspection: z.boolean(),
    working: z.array(WorkingStep),
  }),
  run({ samples, ...question }) {
    const flight = helicopterCase(question);
    if (!flight.ok) return flight;
    if (samples.some(({ time_s }, i) => i > 0 && !(time_s > samples[i - 1].time_s)))
      return failure("not_in_order", "The moments stand in the order of time.", "samples");
    const { ratings } = question.aircraft.engines;
    const limits = ratings.map((rating) => availablePower(flight.value, rating).power_W);
    let clock = freshClock(ratings);
    for (const [i, { time_s, power_W }] of samples.slice(0, -1).entries()) {
      const length_s = samples[i + 1].time_s - time_s;
      const steps = Math.ceil(length_s / STEP_S);
      for (let step = 0; step < steps; step += 1) clock = clockAfter(clock, ratings, limits, power_W, length_s / steps);
    }
    return success({
      bands: clock.bands.map(({ name, uses, usesLeft, left_s, total_s }) => ({
        name,
        uses,
        usesLeft,
        left_s,
        total_s,
      })),
      exceedances: [...clock.exceedances],
      inspection: inspectionDue(clock, ratings),
      working: ratings.map(({ name }, i): WorkingStep => ({
        figure: "ratings",
        symbol: `P ${name}`,
        meaning: "up to this power the band is this rating’s",
        formula: "min(rated·0.97·δ·θ^−2.3, gearbox)",
        value: limits[i],
        unit: "W",
        source: SOURCE,
      })),
    });
  },
});
