import { z } from "zod";
import { calculation } from "../calculation";
import { allowedBanks, bestOf, bestByHeight } from "../departure/best-bank";
import { departureFacts, departurePlane } from "../departure/departure-answer";
import { DepartureQuestion, TOP_M, departureDay } from "../departure/departure-day";
import { SCAN_HEIGHTS_M, aheadAt, bandsOf, turnbackAt, type TurnbackAtHeight } from "../departure/scan";
import { InlineTerrain, gridOf } from "../earth/inline-terrain";
import { success } from "../outcome";
import { WorkingStep } from "../working";

const MODEL = "point mass in wind, midpoint steps of 0.2 s";
const Option = z.object({
  id: z.string(),
  kind: z.enum(["stop", "ahead", "field", "runway", "turnback"]),
  name: z.string(),
  score_m: z.number().nullable(),
  margin_m: z.number().nullable(),
  spare_m: z.number().nullable(),
  note: z.string().nullable(),
});

/** Every failure height of a departure and what works there. */
export const departureCalculation = calculation({
  name: "departure",
  cost: "long",
  question: "At which failure heights does which option work: stop, ahead, a field, another runway, turning back?",
  sources: ["Newton's law for a point mass in wind", "L. E. Dubins, Amer. J. Math. 79 (1957), for the ways to fields"],
  input: DepartureQuestion.extend({
    heights_m: z
      .array(z.number().min(1).max(TOP_M))
      .min(2, "At least two heights.")
      .max(58, "At most 58 heights.")
      .default([...SCAN_HEIGHTS_M]),
    terrain: InlineTerrain.nullable().default(null),
  }),
  output: z.object({
    heights: z.array(
      z.object({ height_m: z.number(), stalledAfter_s: z.number().nullable(), options: z.array(Option) }),
    ),
    /** Between which turning back works. */
    bands: z.array(z.object({ from_m: z.number(), to_m: z.number().nullable() })),
    working: z.array(WorkingStep),
  }),
  run({ heights_m, terrain, ...input }, progress) {
    const outcome = departureDay(input);
    if (!outcome.ok) return outcome;
    const day = outcome.value;
    const grid = gridOf(terrain, input.runway.threshold);
    const plane = departurePlane(input, grid);
    const banks = allowedBanks(input.plan);
    const heights: {
      height_m: number;
      stalledAfter_s: number | null;
      options: z.input<typeof Option>[];
    }[] = [];
    const scanned: TurnbackAtHeight[] = [];
    for (const [i, height_m] of [...heights_m].sort((a, b) => a - b).entries()) {
      if (progress && !progress(i / heights_m.length)) break;
      const scans = banks.map((bank) => turnbackAt(day, input, height_m, bank));
      scanned.push(...scans);
      const turnbacks = ([-1, 1] as const).map((side) => ({ side, best: bestOf(scans, side) }));
      const options: z.input<typeof Option>[] = turnbacks.map(({ side, best }) => ({
        id: side === -1 ? "left" : "right",
        kind: "turnback",
        name: `Turn back ${side === -1 ? "left" : "right"}`,
        score_m: best?.score_m ?? null,
        margin_m: best?.result.margin_m ?? null,
        spare_m: best?.result.spare_m ?? null,
        note: best ? null : "the reaction ends in a stall",
      }));
      heights.push({
        height_m,
        stalledAfter_s: scans[0].stalledAfter_s,
        options: [...options, ...(aheadAt(day, input, height_m, grid, plane)?.options ?? [])],
      });
    }
    const bands = bandsOf(bestByHeight(scanned));
    const against = departureFacts(day).against;
    return success({
      heights,
      bands,
      working: [
        {
          figure: "bands",
          symbol: "run",
          meaning: "ground run",
          formula: "Σ V·Δt",
          value: day.climb.run_m,
          unit: "m",
          source: MODEL,
        },
        {
          figure: "bands",
          symbol: "h",
          meaning: "turning back works",
          formula: "min(M, 0.1·spare) ≥ 0",
          value:
            bands.length === 0
              ? "at no height"
              : bands
                  .map(
                    (band) =>
                      `${band.from_m.toFixed(0)} m to ${band.to_m === null ? "the top" : `${band.to_m.toFixed(0)} m`}`,
                  )
                  .join(", "),
          unit: "",
          source: MODEL,
        },
        ...(against
          ? [
              {
                figure: "bands",
                symbol: "dM/dh",
                meaning: "margin gained for each metre of height, beyond the turn",
                formula: "1 − c/g, distance out against distance back for each metre",
                value: against.gain ?? "no way back against this wind",
                unit: "",
                source: MODEL,
              },
            ]
          : []),
      ],
    });
  },
});
