import { z } from "zod";
import { calculation } from "../calculation";
import { CallQuestion, type DistressCall, distressCall } from "../landing/distress-call";
import { success } from "../outcome";
import { degrees } from "../quantities/angle";
import { WorkingStep } from "../working";

const SOURCE = "ICAO Annex 10 volume II, chapter 5 (memory)";

/** How the position is given from a place. */
function fromPlace(near: NonNullable<DistressCall["near"]>): WorkingStep[] {
  return [
    {
      figure: "position",
      symbol: "from",
      meaning: "nearest named place",
      formula: "",
      value: near.name,
      unit: "",
      source: "places",
    },
    {
      figure: "position",
      symbol: "d",
      meaning: "distance from it",
      formula: "geodesic, WGS 84",
      value: near.distance_m,
      unit: "m",
      source: "GeographicLib",
    },
    {
      figure: "position",
      symbol: "θ",
      meaning: "bearing from it, magnetic, degrees",
      formula: "true − variation",
      value: degrees(near.bearingMagnetic_rad),
      unit: "°",
      source: "World Magnetic Model",
    },
  ];
}

/** The distress or urgency call of the situation, to be read aloud. */
export const callCalculation = calculation({
  name: "call",
  cost: "instant",
  question: "What do I say on the radio, in which order?",
  sources: [SOURCE],
  input: CallQuestion,
  output: z.object({
    lines: z.array(z.object({ part: z.string(), text: z.string(), spoken: z.string() })),
    time_s: z.number(),
    near: z.object({ name: z.string(), bearingMagnetic_rad: z.number(), distance_m: z.number() }).nullable(),
    working: z.array(WorkingStep),
  }),
  run(question) {
    const outcome = distressCall(question);
    if (!outcome.ok) return outcome;
    const { lines, time_s, near } = outcome.value;
    return success({
      lines: [...lines],
      time_s,
      near,
      working: [
        ...(near ? fromPlace(near) : []),
        {
          figure: "call",
          symbol: "t",
          meaning: "to say it at 100 words a minute",
          formula: "words/100·60",
          value: time_s,
          unit: "s",
          source: "common practice",
        },
        ...lines.map((line): WorkingStep => ({
          figure: "call",
          symbol: line.part,
          meaning: line.text,
          formula: "",
          value: line.spoken,
          unit: "",
          source: SOURCE,
        })),
      ],
    });
  },
});
