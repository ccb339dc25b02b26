import { z } from "zod";
import { calculation } from "../calculation";
import { LatLon } from "../earth/geodesic";
import { InlineTerrain, gridOf } from "../earth/inline-terrain";
import { failure, success } from "../outcome";
import { detours } from "../route/detour";
import { routeAnswer } from "../route/route-answer";
import { routeField } from "../route/route-field";
import { routeHere, routeWorking } from "../route/route-here";
import { RouteQuestion } from "../route/route-question";
import { WorkingStep } from "../working";

/** Points of the flight in one answer, at most. */
const MOST_POINTS = 1500;

/** A planned flight: where no place is in reach, and what closes the gaps. */
export const routeCalculation = calculation({
  name: "route",
  cost: "long",
  question: "Where along this flight is a landing place in reach, and what closes the gaps?",
  sources: [
    "straight legs between turn points over the grid (A. Nash et al., AAAI 2007, memory)",
    "geodesics: C. F. F. Karney (2013)",
    "triangle of velocities",
  ],
  input: RouteQuestion.extend({
    outlook: z.enum(["nominal", "pessimistic"]).default("nominal"),
    at_m: z.number().min(0).max(5_000_000).default(0).describe("point of the flight whose working is shown"),
    terrain: InlineTerrain.nullable().default(null),
  }),
  output: z.object({
    length_m: z.number(),
    time_s: z.number(),
    fuel_m3: z.number().nullable(),
    withoutPlace_s: z.number(),
    flat: z.boolean(),
    gaps: z.array(
      z.object({
        from_m: z.number(),
        to_m: z.number(),
        time_s: z.number(),
        short_m: z.number().nullable(),
        worstAt_m: z.number(),
        groundDecides: z.boolean(),
        closing: z.object({ altitude_m: z.number(), descent_mps: z.number().nullable() }).nullable(),
        detour: z.object({ extra_s: z.number(), points: z.array(LatLon), without: z.array(z.string()) }).nullable(),
      }),
    ),
    points: z.array(
      z.object({
        distance_m: z.number(),
        latitude_deg: z.number(),
        longitude_deg: z.number(),
        time_s: z.number(),
        altitude_m: z.number(),
        cover_m: z.number().nullable(),
        place: z.string().nullable(),
      }),
    ),
    working: z.array(WorkingStep),
  }),
  run({ outlook, at_m, terrain, ...question }, progress) {
    const [first] = question.route.points;
    if (!first) return failure("route_short", "A route has two points at least.", "route.points");
    const grid = gridOf(terrain, first.position);
    const cover = routeField(question, grid, grid?.origin ?? first.position, outlook, progress);
    if (!cover.ok) return cover;
    const answer = routeAnswer(question, cover.value, grid);
    if (!answer.ok) return answer;
    const { points, gaps, places, profile, length_m, time_s, withoutPlace_s, flat } = answer.value;
    const round = detours(question, cover.value, answer.value, grid);
    const every = Math.max(1, Math.ceil(points.length / MOST_POINTS));
    return success({
      length_m,
      time_s,
      fuel_m3: profile.fuel_m3,
      withoutPlace_s,
      flat,
      gaps: gaps.map(({ fromTime_s: _from, ...gap }, i) => {
        const way = round.find((detour) => detour.gap === i) ?? null;
        return {
          ...gap,
          detour: way && {
            extra_s: way.extra_s,
            points: way.points.map(({ position }) => position),
            without: [...way.without],
          },
        };
      }),
      points: points
        .filter((_, i) => i % every === 0 || i === points.length - 1)
        .map((point) => ({
          distance_m: point.distance_m,
          ...point.position,
          time_s: point.time_s,
          altitude_m: point.altitude_m,
          cover_m: point.cover_m,
          place: point.place >= 0 ? places[point.place].name : null,
        })),
      working: routeWorking(routeHere(question, cover.value, answer.value, at_m)),
    });
  },
});
