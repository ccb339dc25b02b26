import { z } from "zod";
import { calculation } from "../calculation";
import { driftAnswer } from "../drift/drift-answer";
import { driftField } from "../drift/drift-field";
import { driftHere, driftWorking } from "../drift/drift-here";
import { DriftQuestion } from "../drift/drift-question";
import { LatLon } from "../earth/geodesic";
import { InlineTerrain, gridOf } from "../earth/inline-terrain";
import { failure, success } from "../outcome";
import { routeAnswer } from "../route/route-answer";
import { routeField } from "../route/route-field";
import { WorkingStep } from "../working";

/** Altitude, m; or why there is none. */
const Ceiling = z.union([z.number(), z.enum(["above", "none"])]);

/** A planned flight on one engine of two: which alternate is reached over the ground, and from where none is. */
export const oneEngineRouteCalculation = calculation({
  name: "one-engine-route",
  cost: "long",
  question: "Where along this flight does one engine carry to an alternate over the ground, and where to none?",
  sources: [
    "equilibrium on one engine at the best rate (jets: best gradient)",
    "14 CFR 25.123 (memory) for the net decrement, 121.191 (memory) for the clearance: examples of rules",
    "straight legs between turn points over the grid (A. Nash et al., AAAI 2007, memory)",
  ],
  input: DriftQuestion.extend({
    at_m: z.number().min(0).max(5_000_000).default(0).describe("point of the flight whose ways are shown"),
    terrain: InlineTerrain.nullable().default(null),
  }),
  output: z.object({
    alternates: z.array(z.string()),
    service: Ceiling,
    absolute: Ceiling,
    net: Ceiling,
    withoutWay_s: z.number(),
    gaps: z.array(
      z.object({
        from_m: z.number(),
        to_m: z.number(),
        time_s: z.number(),
        short_m: z.number().nullable(),
        closing: z.object({ altitude_m: z.number(), descent_mps: z.number().nullable() }).nullable(),
      }),
    ),
    equalTime: z
      .object({
        distance_m: z.number(),
        position: LatLon,
        time_s: z.number(),
        first: z.string(),
        second: z.string(),
      })
      .nullable(),
    ways: z.array(
      z.object({
        place: z.string(),
        by: z.enum(["straight", "round", "route"]),
        distance_m: z.number(),
        time_s: z.number(),
        margin_m: z.number(),
      }),
    ),
    flat: z.boolean(),
    working: z.array(WorkingStep),
  }),
  run({ at_m, terrain, ...question }, progress) {
    const [first] = question.route.points;
    if (!first) return failure("route_short", "A route has two points at least.", "route.points");
    const { centreOfGravity: _cg, feather_s: _feather, ...allEngines } = question;
    const grid = gridOf(terrain, first.position);
    const cover = routeField(allEngines, grid, grid?.origin ?? first.position, "nominal", progress);
    if (!cover.ok) return cover;
    const flight = routeAnswer(allEngines, cover.value, grid);
    if (!flight.ok) return flight;
    const drift = driftField(question, cover.value, grid, progress);
    if (!drift.ok) return drift;
    const answer = driftAnswer(question, cover.value, drift.value, flight.value);
    const here = driftHere(cover.value, drift.value, answer, at_m);
    return success({
      alternates: answer.places.map(({ name }) => name),
      service: answer.service,
      absolute: answer.absolute,
      net: answer.net,
      withoutWay_s: answer.withoutWay_s,
      gaps: answer.gaps.map(({ from_m, to_m, time_s, short_m, closing }) => ({
        from_m,
        to_m,
        time_s,
        short_m,
        closing,
      })),
      equalTime: answer.equalTime && {
        distance_m: answer.equalTime.distance_m,
        position: answer.equalTime.position,
        time_s: answer.equalTime.time_s,
        first: answer.equalTime.first.name,
        second: answer.equalTime.second.name,
      },
      ways: here.ways.map(({ place, by, distance_m, time_s, margin_m }) => ({
        place: place.name,
        by,
        distance_m,
        time_s,
        margin_m,
      })),
      flat: answer.flat,
      working: driftWorking(here, 0),
    });
  },
});
