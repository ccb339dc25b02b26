import { z } from "zod";
import { calculation } from "../calculation";
import { failure, success } from "../outcome";
import { flyAway } from "../rotor/fly-away";
import { flyAwaySteps } from "../rotor/fly-away-working";
import { HelicopterQuestion, HoverWind } from "../rotor/helicopter-question";
import { helicopterCase } from "../rotor/helicopter-case";
import { rejectHeight_m } from "../rotor/vertical-reject";
import { WorkingStep } from "../working";

/** Flying away from a hover when an engine fails, and up to which height one goes back down. */
export const flyAwayCalculation = calculation({
  name: "fly-away",
  cost: "long",
  question: "How much height does it cost to fly away from this hover on one engine, and how low may I go back down?",
  sources: [
    "point mass with rotor speed and engine lag in the vertical plane",
    "vertical reject: an energy balance, a sketch",
  ],
  input: HelicopterQuestion.extend({
    wind_mps: HoverWind.default(0),
    rating: z.string().max(20, "A rating’s name has at most 20 characters."),
  }),
  output: z.object({
    tilt_rad: z.number(),
    loss_m: z.number(),
    reaction_m: z.number(),
    accelerating_m: z.number(),
    levelling_m: z.number(),
    time_s: z.number(),
    along_m: z.number(),
    leastNr: z.number(),
    vToss_mps: z.number(),
    climb_mps: z.number(),
    audit: z.number(),
    rejectBelow_m: z.number().nullable(),
    working: z.array(WorkingStep),
  }),
  run({ wind_mps, rating: name, ...question }) {
    const flight = helicopterCase(question);
    if (!flight.ok) return flight;
    const rating = question.aircraft.engines.ratings.find((candidate) => candidate.name === name);
    if (!rating) return failure("no_such_rating", `${question.aircraft.name} has no rating “${name}”.`, "rating");
    // Flown away against the wind, wherever it comes from.
    const away = flyAway(flight.value, Math.abs(wind_mps), rating);
    if (!away.ok) return away;
    const { path: _path, ...figures } = away.value;
    return success({
      ...figures,
      rejectBelow_m: rejectHeight_m(flight.value, Math.abs(wind_mps), rating),
      working: flyAwaySteps(away.value, rating),
    });
  },
});
