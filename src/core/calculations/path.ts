import { z } from "zod";
import { calculation } from "../calculation";
import { InlineTerrain, gridOf } from "../earth/inline-terrain";
import { localPlane } from "../earth/local-plane";
import { LandingEnd } from "../landing/landing-end";
import { landingChoice } from "../landing/landing-choice";
import { LandingQuestion } from "../landing/landing-question";
import { reachWorking } from "../landing/reach-working";
import { success } from "../outcome";
import { WorkingStep } from "../working";

const Ledger = z.array(z.object({ account: z.string(), name: z.string(), height_m: z.number(), time_s: z.number() }));

/** Every landing end with its best glide path, in the order of the places to land on. */
export const pathCalculation = calculation({
  name: "path",
  cost: "long",
  question: "Which landing ends can I make from here, by which path, and what does each cost in height?",
  sources: ["L. E. Dubins, Amer. J. Math. 79 (1957)", "equilibrium of straight and turning glides", "ICAO Doc 7488"],
  input: LandingQuestion.extend({
    // Ways are drawn point by point: the answer of this many is two megabytes.
    ends: z.array(LandingEnd).min(1, "At least one landing end is needed.").max(60, "At most 60 ends in one answer."),
    terrain: InlineTerrain.nullable().default(null),
    explainEndId: z.string().nullable().default(null),
  }),
  output: z.object({
    ends: z.array(
      z.object({
        endId: z.string(),
        name: z.string(),
        bearingTrue_rad: z.number(),
        distance_m: z.number(),
        status: z.enum(["reached", "reserve", "short", "terrain", "none"]),
        reason: z.string().nullable(),
        words: z.string().nullable(),
        margin_m: z.number().nullable(),
        used_m: z.number().nullable(),
        time_s: z.number().nullable(),
        ledger: Ledger,
        ways: z.array(z.object({ words: z.string(), margin_m: z.number() })),
        failedWays: z.array(z.object({ words: z.string(), message: z.string() })),
        clearance_m: z.number().nullable(),
        tailwind_mps: z.number(),
        crosswind_mps: z.number(),
        points: z.array(
          z.object({
            latitude_deg: z.number(),
            longitude_deg: z.number(),
            altitude_m: z.number(),
            time_s: z.number(),
            entry: z.number(),
          }),
        ),
      }),
    ),
    working: z.array(WorkingStep),
  }),
  run({ terrain, explainEndId, ...input }) {
    const grid = gridOf(terrain, input.position);
    const choice = landingChoice(input, grid);
    if (!choice.ok) return choice;
    const { reach } = choice.value;
    const plane = localPlane(grid?.origin ?? input.position);
    const explained = reach.ends.find((end) => end.endId === explainEndId) ?? reach.ends[0];
    return success({
      ends: reach.ends.map((end) => ({
        endId: end.endId,
        name: end.name,
        bearingTrue_rad: end.bearingTrue_rad,
        distance_m: end.distance_m,
        status: end.status,
        reason: end.issue?.message ?? null,
        words: end.path?.words.join(" ") ?? null,
        margin_m: end.path?.margin_m ?? null,
        used_m: end.path?.used_m ?? null,
        time_s: end.path?.time_s ?? null,
        ledger: [...(end.path?.ledger ?? [])],
        ways: end.ways.map((way) => ({ ...way, words: way.words.join(" ") })),
        failedWays: end.failedWays.map((way) => ({ ...way, words: way.words.join(" ") })),
        clearance_m: end.clearance?.least_m ?? null,
        tailwind_mps: end.tailwind_mps,
        crosswind_mps: end.crosswind_mps,
        points: end.points.map(({ x_m, y_m, ...point }) => ({ ...plane.toLatLon({ x_m, y_m }), ...point })),
      })),
      working: reachWorking(input, reach, explained),
    });
  },
});
