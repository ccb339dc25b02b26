import { z } from "zod";
import { calculation } from "../calculation";
import { localPlane } from "../earth/local-plane";
import { approachKeys } from "../landing/approach-keys";
import { LandingEnd } from "../landing/landing-end";
import { ReachQuestion } from "../landing/reach-question";
import { success } from "../outcome";
import { WorkingStep } from "../working";

const SOURCE = "equilibrium of straight and turning glides, exact mean wind of each height band";

/** Key positions of the glide approach in today's wind, left and right. */
export const keysCalculation = calculation({
  name: "keys",
  cost: "instant",
  question:
    "Where must I be at which height on the way round to this landing place, left or right, and what does cutting the corner save?",
  sources: [SOURCE, "common practice for the speed in turns"],
  input: ReachQuestion.omit({ ends: true }).extend({ end: LandingEnd }),
  output: z.object({
    circuits: z.array(
      z.object({
        side: z.enum(["left", "right"]),
        final_m: z.number(),
        lengthened_m: z.number(),
        cutHeight_m: z.number().nullable(),
        cutSaves_m: z.number().nullable(),
        finalTurn_rad: z.number(),
        overheadFromHere_m: z.number().nullable(),
        abeamFromHere_m: z.number().nullable(),
        keys: z.array(
          z.object({
            name: z.enum(["overhead", "abeam", "base", "final"]),
            latitude_deg: z.number(),
            longitude_deg: z.number(),
            height_m: z.number(),
            before_s: z.number(),
          }),
        ),
      }),
    ),
    advice: z
      .object({
        kind: z.enum(["high", "overhead", "overhead-missed", "both-missed"]),
        side: z.enum(["left", "right"]),
        off_m: z.number(),
        overhead_m: z.number(),
        abeam_m: z.number(),
      })
      .nullable(),
    issues: z.array(z.object({ side: z.enum(["left", "right"]), message: z.string() })),
    working: z.array(WorkingStep),
  }),
  run({ end, ...input }) {
    const outcome = approachKeys(input, end, input.position);
    if (!outcome.ok) return outcome;
    const plane = localPlane(input.position);
    const { circuits, advice, issues } = outcome.value;
    return success({
      circuits: circuits.map(
        ({ side, final_m, lengthened_m, cutHeight_m, cutSaves_m, finalTurn_rad, keys, fromHere }) => ({
          side,
          final_m,
          lengthened_m,
          cutHeight_m,
          cutSaves_m,
          finalTurn_rad,
          overheadFromHere_m: fromHere.overhead_m,
          abeamFromHere_m: fromHere.abeam_m,
          keys: keys.map(({ x_m, y_m, ...key }) => ({ ...plane.toLatLon({ x_m, y_m }), ...key })),
        }),
      ),
      advice: advice && { ...advice },
      issues: [...issues],
      working: circuits
        .flatMap(({ side, keys, final_m, lengthened_m, cutHeight_m }): WorkingStep[] => [
          {
            figure: side,
            symbol: "final",
            meaning:
              lengthened_m > 0 ? "straight final, lengthened because the wind closes the base leg" : "straight final",
            formula: "",
            value: final_m,
            unit: "m",
            source: "situation",
          },
          ...keys.map((key): WorkingStep => ({
            figure: `${side} ${key.name}`,
            symbol: "h",
            meaning: `${key.name}, ${side}: over the aim point, no reserve`,
            formula: "Σ height of the turns and straights from there",
            value: key.height_m,
            unit: "m",
            source: SOURCE,
          })),
          ...keys.map((key): WorkingStep => ({
            figure: `${side} ${key.name}`,
            symbol: "t",
            meaning: `${key.name}, ${side}: before the aim point`,
            formula: "",
            value: key.before_s,
            unit: "s",
            source: SOURCE,
          })),
          {
            figure: `${side} cut`,
            symbol: "h_c",
            meaning: `abeam, ${side}, with the corner cut and a final of 100 m`,
            formula: "least of the ways from there",
            value: cutHeight_m ?? "saves nothing",
            unit: "m",
            source: SOURCE,
          },
        ])
        .concat(
          issues.map(({ side, message }) => ({
            figure: side,
            symbol: "–",
            meaning: message,
            formula: "",
            value: "none",
            unit: "",
            source: SOURCE,
          })),
        ),
    });
  },
});
