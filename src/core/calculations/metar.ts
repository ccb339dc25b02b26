import { z } from "zod";
import { readMetar } from "../air/metar";
import { deviationAtStation_K } from "../air/altimetry";
import { calculation } from "../calculation";
import { success } from "../outcome";
import { WorkingStep } from "../working";

const FM_15 = "WMO-No. 306, FM 15 METAR (memory)";

/** A METAR into air and wind. */
export const metarCalculation = calculation({
  name: "metar",
  cost: "instant",
  question: "What air and wind does this report give, and what in it was not understood?",
  sources: [FM_15],
  input: z.strictObject({
    text: z.string().min(1, "Paste a METAR.").max(2000, "A METAR is under 2 000 characters."),
    elevation_m: z.number().min(-430).max(9000).default(0).describe("of the station, for the deviation from standard"),
  }),
  output: z.object({
    station: z.string(),
    day: z.number().nullable(),
    hour: z.number().nullable(),
    minute: z.number().nullable(),
    automatic: z.boolean(),
    cavok: z.boolean(),
    wind: z
      .object({
        from_rad: z.number().nullable(),
        speed_mps: z.number(),
        gust_mps: z.number().nullable(),
        variesBetween_rad: z.tuple([z.number(), z.number()]).readonly().nullable(),
        atLeast: z.boolean(),
      })
      .nullable(),
    temperature_K: z.number().nullable(),
    dewPoint_K: z.number().nullable(),
    qnh_Pa: z.number().nullable(),
    deviation_K: z.number().nullable(),
    missing: z.array(z.string()).readonly(),
    notUnderstood: z.array(z.string()).readonly(),
    working: z.array(WorkingStep),
  }),
  run({ text, elevation_m }) {
    const read = readMetar(text);
    if (!read.ok) return read;
    const report = read.value;
    const deviation_K =
      report.temperature_K !== null && report.qnh_Pa !== null
        ? deviationAtStation_K(report.temperature_K, elevation_m, report.qnh_Pa)
        : null;
    const working: WorkingStep[] = [];
    if (report.wind)
      working.push(
        {
          figure: "wind",
          symbol: "w",
          meaning: "wind at 10 m, from",
          formula: "dddff(Gfmfm)",
          value: report.wind.from_rad ?? "variable",
          unit: "rad",
          source: FM_15,
        },
        {
          figure: "wind",
          symbol: "ff",
          meaning: "wind speed",
          formula: "",
          value: report.wind.speed_mps,
          unit: "m/s",
          source: FM_15,
        },
      );
    if (deviation_K !== null)
      working.push({
        figure: "deviation_K",
        symbol: "ΔISA",
        meaning: "temperature minus standard at the station",
        formula: "T − T_standard(hp)",
        value: deviation_K,
        unit: "K",
        source: "ICAO Doc 7488",
      });
    return success({ ...report, deviation_K, working });
  },
});
