import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { Configuration } from "../aircraft/configuration";
import { polarOf, stallSpeed_mps } from "../aircraft/polar";
import { calculation } from "../calculation";
import { bestGlide, leastSink, straightGlide } from "../glide/straight-glide";
import { success } from "../outcome";
import { SituationDocument } from "../situation/situation-document";
import { WorkingStep } from "../working";

const SOURCE = "parabolic drag polar; equilibrium of a straight glide";
/** Points on the curve: enough to draw it smoothly. */
const CURVE_POINTS = 60;

const Glide = z.object({
  eas_mps: z.number(),
  sinkEas_mps: z.number(),
  ratio: z.number(),
  cl: z.number(),
  cd: z.number(),
  angle_rad: z.number(),
  limitedByStall: z.boolean(),
});

/** Sink against speed of one configuration, with best glide, least sink and stall. */
export const polarCalculation = calculation({
  name: "polar",
  cost: "instant",
  question:
    "How does this aircraft glide in this configuration: best glide, least sink, stall, and everything between?",
  sources: [SOURCE],
  input: z.strictObject({
    aircraft: Aeroplane,
    mass_kg: SituationDocument.shape.mass_kg,
    configuration: Configuration,
  }),
  output: z.object({
    cd0: z.number(),
    k: z.number(),
    clMax: z.number(),
    wingLoading_Npm2: z.number(),
    shares: z.array(z.object({ name: z.string(), deltaCd: z.number() })),
    vs1_mps: z.number(),
    bestGlide: Glide,
    leastSink: Glide,
    curve: z.array(z.object({ eas_mps: z.number(), sinkEas_mps: z.number(), ratio: z.number() })),
    working: z.array(WorkingStep),
  }),
  run({ aircraft, mass_kg, configuration }) {
    const configured = polarOf(aircraft, mass_kg, configuration);
    if (!configured.ok) return configured;
    const { polar, shares } = configured.value;
    const best = bestGlide(polar);
    const least = leastSink(polar);
    const vs1_mps = stallSpeed_mps(polar);
    const curve = Array.from({ length: CURVE_POINTS }, (_, i) => {
      // Even steps in 1/√CL are nearly even steps in speed, from the stall to about 2.5 times its speed.
      const cl = polar.clMax / (1 + (1.6 * i) / (CURVE_POINTS - 1)) ** 2;
      const { eas_mps, sinkEas_mps, ratio } = straightGlide(polar, cl);
      return { eas_mps, sinkEas_mps, ratio };
    });
    const figure = "bestGlide";
    return success({
      cd0: polar.cd0,
      k: polar.k,
      clMax: polar.clMax,
      wingLoading_Npm2: polar.wingLoading,
      shares,
      vs1_mps,
      bestGlide: best,
      leastSink: least,
      curve,
      working: [
        {
          figure,
          symbol: "W/S",
          meaning: "wing loading",
          formula: "m·g/S",
          value: polar.wingLoading,
          unit: "N/m²",
          source: "aircraft document",
        },
        ...shares.map((share) => ({
          figure,
          symbol: "ΔCD",
          meaning: share.name,
          formula: "",
          value: share.deltaCd,
          unit: "",
          source: "aircraft document",
        })),
        {
          figure,
          symbol: "CD0",
          meaning: "drag without lift",
          formula: "Σ ΔCD",
          value: polar.cd0,
          unit: "",
          source: SOURCE,
        },
        {
          figure,
          symbol: "CL*",
          meaning: "lift coefficient of best glide",
          formula: "√(CD0/k)",
          value: best.cl,
          unit: "",
          source: SOURCE,
        },
        {
          figure,
          symbol: "V_BG",
          meaning: "best glide, equivalent airspeed",
          formula: "√(2·(W/S)/(ρ0·√(CL² + CD²)))",
          value: best.eas_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure,
          symbol: "L/D",
          meaning: "glide ratio",
          formula: "CL/CD",
          value: best.ratio,
          unit: "",
          source: SOURCE,
        },
        {
          figure: "vs1_mps",
          symbol: "V_S",
          meaning: "stall in this configuration",
          formula: "√(2·(W/S)/(ρ0·CLmax))",
          value: vs1_mps,
          unit: "m/s",
          source: SOURCE,
        },
      ],
    });
  },
});
