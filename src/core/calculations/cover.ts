import { z } from "zod";
import { calculation } from "../calculation";
import { LatLon } from "../earth/geodesic";
import { InlineTerrain, gridOf } from "../earth/inline-terrain";
import { coverAt, wayFrom } from "../cover/cover-way";
import { success } from "../outcome";
import { routeField } from "../route/route-field";
import { RouteQuestion } from "../route/route-question";
import { WorkingStep } from "../working";

const SOURCE = "straight legs between turn points over the grid (A. Nash et al., AAAI 2007, memory); wind by height";

/** The lowest altitude at some points from which a place is in reach. */
export const coverCalculation = calculation({
  name: "cover",
  cost: "long",
  question: "How high must I be here to have a landing place in reach, which, and by which way?",
  sources: [SOURCE, "equilibrium of the straight glide", "ICAO Doc 7488"],
  input: RouteQuestion.extend({
    points: z.array(LatLon).min(1, "At least one point is needed.").max(200, "At most 200 points in one answer."),
    outlook: z.enum(["nominal", "pessimistic"]).default("nominal"),
    terrain: InlineTerrain.nullable().default(null),
  }),
  output: z.object({
    points: z.array(
      z.object({
        altitude_m: z.number().nullable(),
        place: z.string().nullable(),
        groundDecides: z.boolean(),
        turns: z.array(LatLon),
      }),
    ),
    flat: z.boolean(),
    working: z.array(WorkingStep),
  }),
  run({ points, outlook, terrain, ...question }, progress) {
    const grid = gridOf(terrain, points[0]);
    const cover = routeField(question, grid, grid?.origin ?? points[0], outlook, progress);
    if (!cover.ok) return cover;
    const { field, plane, places, flat, glide } = cover.value;
    const found = points.map((point) => {
      const { x_m, y_m } = plane.toPlane(point);
      const here = coverAt(field, x_m, y_m);
      const way = here && wayFrom(field, x_m, y_m, here.altitude_m);
      return {
        altitude_m: here?.altitude_m ?? null,
        place: here ? places[here.site].name : null,
        groundDecides: here?.groundDecides ?? false,
        turns: (way ?? []).slice(1, -1).map((turn) => plane.toLatLon(turn)),
      };
    });
    const step = (symbol: string, meaning: string, value: number | string, unit: string, source: string) => ({
      figure: "cover",
      symbol,
      meaning,
      formula: "",
      value,
      unit,
      source,
    });
    return success({
      points: found,
      flat,
      working: [
        step("V", "speed of the glide, equivalent", glide.eas_mps, "m/s", "equilibrium of the straight glide"),
        step("L/D", "distance for height in still air", glide.ratio, "", "equilibrium of the straight glide"),
        step("n", "places that count", places.length, "", "route plan"),
        step("", "ground", flat ? "not known: taken as flat" : "terrain with clearance", "", "terrain"),
        step(
          "h",
          "at the first point",
          found[0].altitude_m ?? "no altitude helps",
          found[0].altitude_m === null ? "" : "m",
          SOURCE,
        ),
      ],
    });
  },
});
