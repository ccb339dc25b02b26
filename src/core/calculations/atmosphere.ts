import { z } from "zod";
import { ATMOSPHERE_MAX_M, ATMOSPHERE_MIN_M, atmosphereAt, densityAltitude_m } from "../air/atmosphere";
import { pressureAltitudeOnQnh_m } from "../air/altimetry";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { G0, P0_PA, R_AIR, T0_K } from "../quantities/constants";
import { WorkingStep } from "../working";

const DOC_7488 = "ICAO Doc 7488";

/** Air at an altitude on QNH, with density altitude. */
export const atmosphereCalculation = calculation({
  name: "atmosphere",
  cost: "instant",
  question: "What is the air like at this altitude today, and what altitude does the aeroplane feel?",
  sources: [DOC_7488],
  input: z.strictObject({
    altitude_m: z
      .number()
      .min(ATMOSPHERE_MIN_M + 1500, "An altitude is −500 m to 18 000 m.")
      .max(ATMOSPHERE_MAX_M - 2000, "An altitude is −500 m to 18 000 m."),
    qnh_Pa: z.number().min(85_000, "QNH is 850 to 1090 hPa.").max(109_000, "QNH is 850 to 1090 hPa.").default(P0_PA),
    deviation_K: z.number().min(-60, "A deviation is within 60 °C.").max(60, "A deviation is within 60 °C.").default(0),
  }),
  output: z.object({
    altitudePressure_m: z.number(),
    temperature_K: z.number(),
    pressure_Pa: z.number(),
    density_kgpm3: z.number(),
    speedOfSound_mps: z.number(),
    sigma: z.number(),
    altitudeDensity_m: z.number(),
    working: z.array(WorkingStep),
  }),
  run({ altitude_m, qnh_Pa, deviation_K }) {
    const altitudePressure_m = pressureAltitudeOnQnh_m(altitude_m, qnh_Pa);
    const air = atmosphereAt(altitudePressure_m, deviation_K);
    if (!air.ok) return air;
    const { temperature_K, pressure_Pa, density, speedOfSound_mps, sigma } = air.value;
    const altitudeDensity_m = densityAltitude_m(density);
    const figure = "altitudeDensity_m";
    return success({
      altitudePressure_m,
      temperature_K,
      pressure_Pa,
      density_kgpm3: density,
      speedOfSound_mps,
      sigma,
      altitudeDensity_m,
      working: [
        { figure, symbol: "h", meaning: "altitude on QNH", formula: "", value: altitude_m, unit: "m", source: "input" },
        {
          figure,
          symbol: "hp",
          meaning: "pressure altitude",
          formula: "hp = h + hp(QNH)",
          value: altitudePressure_m,
          unit: "m",
          source: DOC_7488,
        },
        {
          figure,
          symbol: "p",
          meaning: "pressure",
          formula: `p = ${P0_PA}·(1 − 0.0065·hp/${T0_K})^(${G0}/(0.0065·${R_AIR}))`,
          value: pressure_Pa,
          unit: "Pa",
          source: DOC_7488,
        },
        {
          figure,
          symbol: "T",
          meaning: "temperature",
          formula: "T = T_standard + deviation",
          value: temperature_K,
          unit: "K",
          source: DOC_7488,
        },
        {
          figure,
          symbol: "ρ",
          meaning: "density",
          formula: "ρ = p/(R·T)",
          value: density,
          unit: "kg/m³",
          source: DOC_7488,
        },
        {
          figure,
          symbol: "hρ",
          meaning: "density altitude: the standard altitude of this density",
          formula: "ρ_standard(hρ) = ρ",
          value: altitudeDensity_m,
          unit: "m",
          source: DOC_7488,
        },
      ],
    });
  },
});
