import { z } from "zod";
import { calculation } from "../calculation";
import { failure, success } from "../outcome";
import { MPS_PER_KT } from "../quantities/constants";
import { GyroEngine, GyroQuestion, Headwind } from "../rotor/gyro-question";
import { gyroBestGlide, gyroGlideAt, gyroLeastSink } from "../rotor/gyro-glide";
import { gyroCase } from "../rotor/gyro-rotor";
import { WorkingStep } from "../working";

const SOURCE = "blade-element thrust and energy balance of an autorotating rotor";
const Glide = z.object({ tas_mps: z.number(), sink_mps: z.number(), ratio: z.number(), rotor_radps: z.number() });

/** A gyroplane's glide. */
export const gyroGlideCalculation = calculation({
  name: "gyro-glide",
  cost: "instant",
  question: "How does it glide with the engine stopped, or idling as in practice, and which speed reaches farthest?",
  sources: [SOURCE],
  input: GyroQuestion.extend({ engine: GyroEngine.default("stopped"), headwind_mps: Headwind.default(0) }),
  output: z.object({
    leastSink: Glide,
    best: Glide,
    groundRatio: z.number(),
    vertical_mps: z.number(),
    curve: z.array(Glide),
    working: z.array(WorkingStep),
  }),
  run({ engine, headwind_mps, ...question }) {
    const flight = gyroCase(question);
    if (!flight.ok) return flight;
    const least = gyroLeastSink(flight.value, engine);
    const best = gyroBestGlide(flight.value, engine, headwind_mps);
    const vertical = gyroGlideAt(flight.value, 0, engine);
    if (!least || !best || !vertical)
      return failure("no_glide", "At no speed does it make way against this wind.", "headwind_mps");
    const glide = ({ tas_mps, sink_mps, ratio, rotor_radps }: typeof least) => ({
      tas_mps,
      sink_mps,
      ratio,
      rotor_radps,
    });
    const figure = "gyroGlide";
    return success({
      leastSink: glide(least),
      best: glide(best),
      groundRatio: (best.tas_mps - headwind_mps) / best.sink_mps,
      vertical_mps: vertical.sink_mps,
      curve: Array.from({ length: 17 }, (_, i) => gyroGlideAt(flight.value, i * 5 * MPS_PER_KT, engine)).flatMap(
        (at) => (at ? [glide(at)] : []),
      ),
      working: [
        {
          figure,
          symbol: "T",
          meaning: "rotor thrust at best glide",
          formula: "√(H² + (W − Z)²)",
          value: best.thrust_N,
          unit: "N",
          source: "balance of forces",
        },
        {
          figure,
          symbol: "vi",
          meaning: "induced velocity",
          formula: "λ√(μ² + (μz + λ)²) = 1",
          value: best.induced_mps,
          unit: "m/s",
          source: "momentum theory",
        },
        {
          figure,
          symbol: "tip",
          meaning: "tip speed that carries the thrust",
          formula: "T = ½ρσaA·tip²(θ0(1/3 + μ²/2) + λ/2)",
          value: best.tip_mps,
          unit: "m/s",
          source: "blade element",
        },
        {
          figure,
          symbol: "w",
          meaning: "sink at best glide",
          formula: "T·vn + κT·vi + P0 = 0",
          value: best.sink_mps,
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
      ],
    });
  },
});
