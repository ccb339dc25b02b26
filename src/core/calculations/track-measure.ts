import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { WindLayer, windVector } from "../air/wind";
import { calculation } from "../calculation";
import { LandingEnd } from "../landing/landing-end";
import { success } from "../outcome";
import { SituationDocument } from "../situation/situation-document";
import { analyse } from "../track/analyse";
import { StopsByHand } from "../track/events/stops-by-hand";
import { FigureOut } from "../track/figure-schema";
import { CsvLayout } from "../track/formats/csv-layout";
import { readLog } from "../track/formats/read-log";
import { trackWorking } from "../track/track-working";
import { windSigma_mps } from "../track/wind/fitted-wind";
import { WorkingStep } from "../working";
import { MOST_LOG_CHARACTERS } from "./track-read";

const Glide = z.object({
  from_s: z.number(),
  to_s: z.number(),
  tas_mps: FigureOut,
  eas_mps: FigureOut,
  sink_mps: FigureOut,
  ratio: FigureOut,
});
const Turn = z.object({
  from_s: z.number(),
  to_s: z.number(),
  side: z.int(),
  measures: z.object({
    bank_rad: FigureOut,
    heading_rad: FigureOut,
    height_m: FigureOut,
    energyHeight_m: FigureOut,
    time_s: FigureOut,
    tas_mps: FigureOut,
  }),
});
const Failure = z.object({
  time_s: z.number(),
  sigma_s: z.number(),
  back_s: z.number().nullable(),
  engine: z.int().nullable(),
  kind: z.string(),
  by: z.string(),
  possible: z.boolean(),
  height_m: FigureOut,
  delay_s: FigureOut,
  glides: z.array(Glide).readonly(),
  toGround: z.object({ height_m: FigureOut, time_s: FigureOut }).nullable(),
});
const Slowed = z.object({
  from_s: z.number(),
  least_s: z.number(),
  entry_mps: FigureOut,
  least_mps: FigureOut,
  rate_mps2: FigureOut,
  heading_rad: FigureOut,
  bank_rad: FigureOut,
  recovered_s: FigureOut,
});
const Ground = z.object({ time_s: z.number(), sigma_s: z.number(), ground_m: z.number() }).nullable();
const Flight = z.object({
  begins_s: z.number(),
  ends_s: z.number(),
  takeOff: Ground,
  landing: Ground,
  landed: z
    .object({
      runway: z.string(),
      length_m: z.number(),
      along_m: FigureOut,
      across_m: FigureOut,
      groundSpeed_mps: FigureOut,
    })
    .nullable(),
  failures: z.array(Failure).readonly(),
  turns: z.array(Turn).readonly(),
  slowed: z.array(Slowed).readonly(),
});

/** What was flown, measured. */
export const trackMeasureCalculation = calculation({
  name: "track-measure",
  cost: "long",
  question: "What happened in this flight log, and how well is it known?",
  sources: [
    "H. E. Rauch, F. Tung, C. T. Striebel, AIAA J. 3 (1965) (memory), for the smoothing",
    "energy height: E. S. Rutowski, J. Aeronautical Sciences 21 (1954) (memory)",
    "bounds: measured against flights with a known truth",
  ],
  input: z.strictObject({
    text: z.string().max(MOST_LOG_CHARACTERS, "A log asked about here has at most four million characters."),
    layout: CsvLayout.nullable().default(null),
    aircraft: Aeroplane.nullable(),
    mass_kg: SituationDocument.shape.mass_kg,
    /** Outside temperature minus standard, K; null where nobody knows. */
    deviation_K: z.number().min(-60).max(60).nullable(),
    /** As it was told; used where the log shows none. */
    wind: WindLayer.omit({ altitude_m: true }).nullable().default(null),
    ends: z.array(LandingEnd).max(400, "At most 400 landing ends at once.").default([]),
    /** Engine stops as they are said to be; null: as they are found. */
    stops: StopsByHand.nullable().default(null),
  }),
  output: z.object({
    wind: z
      .object({ east_mps: z.number(), north_mps: z.number(), altitude_m: z.number(), sigma_mps: z.number() })
      .nullable(),
    flights: z.array(Flight).readonly(),
    notKnowable: z.array(z.string()).readonly(),
    working: z.array(WorkingStep),
  }),
  run({ text, layout, aircraft, mass_kg, deviation_K, wind, ends, stops }, progress = () => true) {
    const log = readLog(text, layout, (share) => progress(0.4 * share));
    if (!log.ok) return log;
    const found = analyse(log.value, {
      deviation_K,
      wind: wind && windVector(wind.from_rad, wind.speed_mps),
      calibration: aircraft?.airspeedCalibration ?? null,
      aircraft,
      mass_kg,
      runways: ends,
      stops,
    });
    if (!found.ok) return found;
    const { flown, flights, notKnowable } = found.value;
    return success({
      wind: flown.wind && {
        east_mps: flown.wind.east_mps,
        north_mps: flown.wind.north_mps,
        altitude_m: flown.wind.altitude_m,
        sigma_mps: windSigma_mps(flown.wind),
      },
      flights,
      notKnowable,
      working: trackWorking(found.value),
    });
  },
});
