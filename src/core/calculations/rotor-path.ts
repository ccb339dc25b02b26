import { z } from "zod";
import { calculation } from "../calculation";
import { InlineTerrain, gridOf } from "../earth/inline-terrain";
import { localPlane } from "../earth/local-plane";
import { RotorReachQuestion, rotorReach } from "../landing/rotor-reach";
import { rotorWorking } from "../landing/rotor-working";
import { failure, success } from "../outcome";
import { WorkingStep } from "../working";

/** Landing ends of a rotorcraft without engines: the way to each and the room on it. */
export const rotorPathCalculation = calculation({
  name: "rotor-path",
  cost: "long",
  question:
    "Where does this rotorcraft come down without engines, is there room, and what does the way cost in height?",
  sources: [
    "energy balance of an autorotating rotor",
    "L. E. Dubins, Amer. J. Math. 79 (1957)",
    "common practice for room, slope and wind",
  ],
  input: RotorReachQuestion.extend({
    ends: RotorReachQuestion.shape.ends.max(60, "At most 60 ends in one answer."),
    terrain: InlineTerrain.nullable().default(null),
    explainEndId: z.string().max(140).nullable().default(null),
  }),
  output: z.object({
    ends: z.array(
      z.object({
        endId: z.string(),
        name: z.string(),
        verdict: z.enum(["fits", "reserve", "tight", "wind", "slope", "too-short", "too-narrow", "blocked", "short"]),
        reason: z.string().nullable(),
        margin_m: z.number().nullable(),
        used_m: z.number().nullable(),
        time_s: z.number().nullable(),
        tas_mps: z.number().nullable(),
        /** Null where it does not stop. */
        needed_m: z.number().nullable(),
        keys: z.array(
          z.object({
            name: z.enum(["steady", "final", "flare", "touchdown"]),
            latitude_deg: z.number(),
            longitude_deg: z.number(),
            height_m: z.number(),
            tas_mps: z.number(),
            time_s: z.number(),
          }),
        ),
      }),
    ),
    working: z.array(WorkingStep),
  }),
  run({ terrain, explainEndId, ...question }) {
    const grid = gridOf(terrain, question.position);
    const found = rotorReach(question, grid);
    if (!found.ok) return found;
    const plane = localPlane(grid?.origin ?? question.position);
    const explained = found.value.find(({ end }) => end.id === explainEndId) ?? found.value.at(0);
    if (!explained) return failure("no_ends", "At least one landing end is needed.", "ends");
    return success({
      ends: found.value.map(({ end, way, verdict, room, keys }) => ({
        endId: end.id,
        name: end.name,
        verdict,
        reason: way.issue?.message ?? null,
        margin_m: way.path?.margin_m ?? null,
        used_m: way.path?.used_m ?? null,
        time_s: way.path?.time_s ?? null,
        tas_mps: way.glide?.tas_mps ?? null,
        needed_m: Number.isFinite(room.needed_m) ? room.needed_m : null,
        keys: keys.map(({ x_m, y_m, ...key }) => ({ ...key, ...plane.toLatLon({ x_m, y_m }) })),
      })),
      working: rotorWorking(question, explained),
    });
  },
});
