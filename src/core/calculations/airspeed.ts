import { z } from "zod";
import { airspeedsFromCas, airspeedsFromEas, airspeedsFromMach, airspeedsFromTas } from "../air/airspeed";
import { atmosphereAt } from "../air/atmosphere";
import { calculation } from "../calculation";
import { assertNever, success } from "../outcome";
import { WorkingStep } from "../working";

const SOURCE = "compressible pitot equations; ICAO Doc 7488 for the air";

/** One airspeed into the other three. */
export const airspeedCalculation = calculation({
  name: "airspeed",
  cost: "instant",
  question: "What are calibrated, equivalent and true airspeed and Mach number of each other here?",
  sources: [SOURCE],
  input: z.strictObject({
    from: z.enum(["cas", "eas", "tas", "mach"]),
    value: z
      .number()
      .min(0, "A speed is zero or more.")
      .max(340, "A speed in m/s, or a Mach number, below the speed of sound."),
    altitudePressure_m: z.number().min(-2000).max(20_000),
    deviation_K: z.number().min(-60).max(60).default(0),
  }),
  output: z.object({
    cas_mps: z.number(),
    eas_mps: z.number(),
    tas_mps: z.number(),
    mach: z.number(),
    working: z.array(WorkingStep),
  }),
  run({ from, value, altitudePressure_m, deviation_K }) {
    const air = atmosphereAt(altitudePressure_m, deviation_K);
    if (!air.ok) return air;
    const speeds = (() => {
      switch (from) {
        case "cas":
          return airspeedsFromCas(value, air.value);
        case "eas":
          return airspeedsFromEas(value, air.value);
        case "tas":
          return airspeedsFromTas(value, air.value);
        case "mach":
          return airspeedsFromMach(value, air.value);
        default:
          return assertNever(from);
      }
    })();
    if (!speeds.ok) return speeds;
    const figure = "tas_mps";
    return success({
      ...speeds.value,
      working: [
        {
          figure,
          symbol: "a",
          meaning: "speed of sound",
          formula: "a = √(1.4·R·T)",
          value: air.value.speedOfSound_mps,
          unit: "m/s",
          source: "ICAO Doc 7488",
        },
        {
          figure,
          symbol: "M",
          meaning: "Mach number",
          formula: "qc/p = (1 + 0.2·M²)^3.5 − 1",
          value: speeds.value.mach,
          unit: "",
          source: SOURCE,
        },
        {
          figure,
          symbol: "TAS",
          meaning: "true airspeed",
          formula: "TAS = M·a",
          value: speeds.value.tas_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure,
          symbol: "CAS",
          meaning: "calibrated airspeed",
          formula: "qc = p0·[(1 + 0.2·(CAS/a0)²)^3.5 − 1]",
          value: speeds.value.cas_mps,
          unit: "m/s",
          source: SOURCE,
        },
        {
          figure,
          symbol: "EAS",
          meaning: "equivalent airspeed",
          formula: "EAS = TAS·√(ρ/ρ0)",
          value: speeds.value.eas_mps,
          unit: "m/s",
          source: SOURCE,
        },
      ],
    });
  },
});
