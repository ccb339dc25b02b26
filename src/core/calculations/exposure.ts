import { z } from "zod";
import { calculation } from "../calculation";
import { exposure } from "../debrief/exposure";
import { ExposureQuestion } from "../debrief/exposure-question";
import { exposureWorking } from "../debrief/exposure-working";
import { LatLon } from "../earth/geodesic";
import { InlineTerrain, gridOf } from "../earth/inline-terrain";
import { success } from "../outcome";
import { routeField } from "../route/route-field";
import { WorkingStep } from "../working";

/** A flown flight: how long no place was in reach, and what would have changed that. */
export const exposureCalculation = calculation({
  name: "exposure",
  cost: "long",
  question: "How long was no landing place in reach on this flight, and what would have changed that?",
  sources: [
    "straight legs between turn points over the grid (A. Nash et al., AAAI 2007, memory)",
    "equilibrium of the straight glide",
    "wind by height",
  ],
  input: ExposureQuestion.extend({ terrain: InlineTerrain.nullable().default(null) }),
  output: z.object({
    length_m: z.number(),
    judged_s: z.number(),
    exposed_s: z.number(),
    byPhase: z.array(z.object({ phase: z.string(), time_s: z.number(), exposed_s: z.number() })).readonly(),
    apart: z.object({ low: z.number(), stopped: z.number(), beyond: z.number(), hole: z.number() }),
    gaps: z.array(
      z.object({
        fromTime_s: z.number(),
        exposed_s: z.number(),
        short_m: z.number().nullable(),
        groundDecides: z.boolean(),
        round: z.object({ extra_s: z.number(), altitude_m: z.number(), points: z.array(LatLon).readonly() }).nullable(),
      }),
    ),
    higher: z.array(z.object({ lift_m: z.number(), exposed_s: z.number() })).readonly(),
    closing_m: z.number().nullable(),
    flat: z.boolean(),
    working: z.array(WorkingStep),
  }),
  run({ terrain, ...question }, progress) {
    const { position } = question.track[0];
    const grid = gridOf(terrain, position);
    const cover = routeField(question, grid, grid?.origin ?? position, "nominal", progress);
    if (!cover.ok) return cover;
    const found = exposure(question, cover.value, grid);
    if (!found.ok) return found;
    const { gaps, points: _points, places: _places, left: _left, ...rest } = found.value;
    return success({
      ...rest,
      gaps: gaps.map(({ fromTime_s, exposed_s, short_m, groundDecides, round }) => ({
        fromTime_s,
        exposed_s,
        short_m,
        groundDecides,
        round,
      })),
      working: exposureWorking(found.value, cover.value),
    });
  },
});
