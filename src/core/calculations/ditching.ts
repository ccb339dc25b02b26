import { z } from "zod";
import { calculation } from "../calculation";
import { DitchingQuestion, ditching } from "../landing/ditching";
import { ditchingItems } from "../landing/ditching-list";
import { success } from "../outcome";
import { degrees } from "../quantities/angle";
import { WorkingStep } from "../working";

const RULES = "FAA Aeronautical Information Manual 6-3-3 (memory)";
const WAVES = "linear waves in deep water";
const Heading = z.object({
  heading_rad: z.number(),
  headwind_mps: z.number(),
  crosswind_mps: z.number(),
  groundSpeed_mps: z.number(),
  sides: z.array(z.enum(["along", "into the face", "down the back"])),
  score: z.number(),
});

/** Where to head on the water, how fast, and what is done by which height. */
export const ditchingCalculation = calculation({
  name: "ditching",
  cost: "instant",
  question: "On which heading do I ditch in this wind and swell, how fast, and what is done by which height?",
  sources: [RULES, WAVES, "score for ties: Utrimax", "common practice for the list by height"],
  input: DitchingQuestion,
  output: z.object({
    rule: z.string(),
    why: z.string(),
    best: Heading,
    other: Heading.nullable(),
    rose: z.array(Heading),
    swells: z.array(z.object({ length_m: z.number(), speed_mps: z.number(), slope_rad: z.number() })),
    stallEas_mps: z.number(),
    approachEas_mps: z.number(),
    touchdownEas_mps: z.number(),
    flapName: z.string(),
    pitch_rad: z.number(),
    sink_mps: z.number(),
    glideSink_mps: z.number(),
    glideRatio: z.number(),
    items: z.array(z.object({ by_m: z.number().nullable(), who: z.string(), what: z.string() })),
    working: z.array(WorkingStep),
  }),
  run(question) {
    const outcome = ditching(question);
    if (!outcome.ok) return outcome;
    const { best, other, rose, swells, ...answer } = outcome.value;
    const plain = (heading: typeof best) => ({ ...heading, sides: [...heading.sides] });
    const figure = "heading";
    return success({
      ...answer,
      best: plain(best),
      other: other && plain(other),
      rose: rose.map(plain),
      swells: swells.map(({ length_m, speed_mps, slope_rad }) => ({ length_m, speed_mps, slope_rad })),
      items: ditchingItems(question.aircraft),
      working: [
        { figure, symbol: "rule", meaning: answer.why, formula: "", value: answer.rule, unit: "", source: RULES },
        {
          figure,
          symbol: "ψ",
          meaning: "heading, true, degrees",
          formula: "",
          value: degrees(best.heading_rad),
          unit: "°",
          source: RULES,
        },
        {
          figure,
          symbol: "w",
          meaning: "headwind on it",
          formula: "w·cos(from − ψ)",
          value: best.headwind_mps,
          unit: "m/s",
          source: "situation",
        },
        {
          figure,
          symbol: "Vg",
          meaning: "touchdown over the water",
          formula: "1.1·V_S0·√(ρ0/ρ) − w",
          value: best.groundSpeed_mps,
          unit: "m/s",
          source: "common practice",
        },
        {
          figure,
          symbol: "score",
          meaning: "ours, for ties: ground speed, surface thrown up, drift",
          formula: "(Vg² + 25·Σ[(πH/L)(Vg·cosΔ + c)]² + 4·x²)/V_td²",
          value: best.score,
          unit: "",
          source: "Utrimax",
        },
        ...swells.flatMap(({ swell, length_m, speed_mps, slope_rad }, i): WorkingStep[] => [
          {
            figure: `swell ${i + 1}`,
            symbol: "L",
            meaning: `length of a swell of ${swell.period_s} s`,
            formula: "g·T²/2π",
            value: length_m,
            unit: "m",
            source: WAVES,
          },
          {
            figure: `swell ${i + 1}`,
            symbol: "c",
            meaning: "its speed",
            formula: "L/T",
            value: speed_mps,
            unit: "m/s",
            source: WAVES,
          },
          {
            figure: `swell ${i + 1}`,
            symbol: "πH/L",
            meaning: "steepest slope, degrees",
            formula: "π·H/L",
            value: degrees(slope_rad),
            unit: "°",
            source: WAVES,
          },
        ]),
        {
          figure: "speed",
          symbol: "V_app",
          meaning: `approach, flap ${answer.flapName}`,
          formula: "1.3·V_S0",
          value: answer.approachEas_mps,
          unit: "m/s",
          source: "common practice",
        },
        {
          figure: "speed",
          symbol: "V_td",
          meaning: "touchdown",
          formula: "1.1·V_S0",
          value: answer.touchdownEas_mps,
          unit: "m/s",
          source: "common practice",
        },
        {
          figure: "speed",
          symbol: "θ",
          meaning: "nose above the horizon at touchdown, degrees, about",
          formula: "(CL − CL0 − ΔCL0)/CLα",
          value: degrees(answer.pitch_rad),
          unit: "°",
          source: "lift slope of the aircraft document or lifting-line theory",
        },
        {
          figure: "speed",
          symbol: "sink",
          meaning: "on the approach without power, before it is levelled off",
          formula: "V·sinγ",
          value: answer.sink_mps,
          unit: "m/s",
          source: "parabolic drag polar",
        },
      ],
    });
  },
});
