import { z } from "zod";
import { calculation } from "../calculation";
import { failure, success } from "../outcome";
import { MPS_PER_KT } from "../quantities/constants";
import { autorotationAt, bestRangeAutorotation, leastSinkAutorotation } from "../rotor/autorotation";
import { Headwind } from "../rotor/gyro-question";
import { HelicopterQuestion, RotorSpeed } from "../rotor/helicopter-question";
import { helicopterCase } from "../rotor/helicopter-case";
import { WorkingStep } from "../working";

const SOURCE = "energy balance of the rotor: κT·vi + P0 + T·vn = −accessories·η";
const Glide = z.object({ tas_mps: z.number(), sink_mps: z.number(), ratio: z.number(), vortexRing: z.boolean() });

/** A helicopter's steady autorotation. */
export const autorotationCalculation = calculation({
  name: "autorotation",
  cost: "instant",
  question: "How fast does it come down in autorotation at each speed, and which speeds sink least and reach farthest?",
  sources: [SOURCE],
  input: HelicopterQuestion.extend({ headwind_mps: Headwind.default(0), nr: RotorSpeed.default(1) }),
  output: z.object({
    leastSink: Glide,
    bestRange: Glide,
    groundRatio: z.number(),
    curve: z.array(Glide),
    working: z.array(WorkingStep),
  }),
  run({ headwind_mps, nr, ...question }) {
    const flight = helicopterCase(question);
    if (!flight.ok) return flight;
    const least = leastSinkAutorotation(flight.value, nr);
    const best = bestRangeAutorotation(flight.value, headwind_mps, nr);
    if (!least || !best)
      return failure("no_autorotation", "At no speed does the air turn the rotor at this rotor speed.", "nr");
    const glide = ({ tas_mps, sink_mps, ratio, vortexRing }: typeof least) => ({
      tas_mps,
      sink_mps,
      ratio,
      vortexRing,
    });
    const figure = "autorotation";
    return success({
      leastSink: glide(least),
      bestRange: glide(best),
      groundRatio: (best.tas_mps - headwind_mps) / best.sink_mps,
      curve: Array.from({ length: 13 }, (_, i) => autorotationAt(flight.value, i * 10 * MPS_PER_KT, nr)).flatMap(
        (at) => (at ? [glide(at)] : []),
      ),
      working: [
        {
          figure,
          symbol: "V",
          meaning: "speed of least sink",
          formula: "least w(V)",
          value: least.tas_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure,
          symbol: "w",
          meaning: "least sink",
          formula: "κT·vi + P0 + T·vn = −Pacc·η",
          value: least.sink_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure,
          symbol: "V R",
          meaning: "speed of best range",
          formula: "greatest (V − wind)/w",
          value: best.tas_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure,
          symbol: "E",
          meaning: "ratio through the air",
          formula: "V/w",
          value: best.ratio,
          unit: "",
          source: SOURCE,
        },
        {
          figure,
          symbol: "CT/σ",
          meaning: "blade loading",
          formula: "T/(ρA·tip²·σ)",
          value: best.ctSigma,
          unit: "",
          source: "aircraft document",
        },
      ],
    });
  },
});
