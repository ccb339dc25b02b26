import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { calculation } from "../calculation";
import { failure, success } from "../outcome";
import { SituationDocument } from "../situation/situation-document";
import { fitFlownPolar } from "../track/measure/polar-fit";
import { polarFitWorking } from "../track/measure/polar-fit-working";
import { WorkingStep } from "../working";

/** A polar from glides that were flown. */
export const refitCalculation = calculation({
  name: "refit",
  cost: "instant",
  question: "Which polar do these glides show, and how well?",
  sources: [
    "least squares of the parabolic polar, each glide by how well it is known: common practice of flight tests",
  ],
  input: z.strictObject({
    aircraft: Aeroplane,
    mass_kg: SituationDocument.shape.mass_kg,
    glides: z
      .array(
        z.strictObject({
          eas_mps: z.number().min(10).max(150),
          tas_mps: z.number().min(10).max(250),
          sink_mps: z.number().min(0.1).max(40),
          sinkSigma_mps: z.number().min(0.005).max(10),
        }),
      )
      .min(2, "A polar needs two glides at least.")
      .max(200, "At most 200 glides."),
  }),
  output: z.object({
    cd0: z.number(),
    k: z.number(),
    cd0Sigma: z.number(),
    kSigma: z.number(),
    bestRatio: z.number(),
    bestRatioSigma: z.number(),
    bestEas_mps: z.number(),
    bestEasSigma_mps: z.number(),
    chiSquared: z.number(),
    doubts: z.array(z.string()),
    working: z.array(WorkingStep),
  }),
  run({ aircraft, mass_kg, glides }) {
    if (!aircraft.wing) return failure("no_wing", `${aircraft.name} has no wing area yet.`, "aircraft.wing");
    if (glides.some(({ sink_mps, tas_mps }) => sink_mps >= tas_mps))
      return failure("no_polar", "A glide sinks slower than it flies.", "glides");
    const fit = fitFlownPolar(glides, mass_kg, aircraft.wing.area_m2);
    if (!fit.ok) return fit;
    return success({
      ...fit.value,
      doubts: [...fit.value.doubts],
      working: polarFitWorking(fit.value, mass_kg, aircraft.wing.area_m2, glides.length),
    });
  },
});
