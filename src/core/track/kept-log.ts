// A flight log as it is kept: the file as it came, and what is known beside it: the aircraft, its mass, the day, the
// runways near. From both its measures are made anew.
import { z } from "zod";
import type { Aeroplane } from "../aircraft/aeroplane";
import { AircraftDocument } from "../aircraft/aircraft-document";
import { isAeroplane } from "../aircraft/aircraft-kind";
import { WindLayer, windVector } from "../air/wind";
import { LandingEnd } from "../landing/landing-end";
import { SituationDocument } from "../situation/situation-document";
import type { MeasuredTurn, TrackAnalysis, TrackDay } from "./analyse";
import { StopsByHand } from "./events/stops-by-hand";
import { CsvLayout } from "./formats/csv-layout";

/** Most characters of a file: ten hours at ten a second as a table. */
export const MOST_CHARACTERS = 48_000_000;
/** The present version of the document. */
export const KEPT_LOG_VERSION = 3;

/** Most characters of a file of another recorder, and most recorders besides the first. */
const [MOST_MORE, MOST_RECORDERS] = [12_000_000, 3];

/** Another recorder of the same flight. */
export const AnotherRecorder = z.strictObject({
  name: z.string().trim().min(1).max(120),
  text: z.string().min(1, "The file is empty.").max(MOST_MORE, "A file of another recorder is at most 12 MB."),
  layout: CsvLayout.nullable(),
  /** To be added to its times, s. */
  offset_s: z.number().min(-5e9, "An offset is a number of seconds.").max(5e9, "An offset is a number of seconds."),
});
/** @see AnotherRecorder */
export type AnotherRecorder = z.infer<typeof AnotherRecorder>;

/** A kept log. */
export const KeptLog = z
  .strictObject({
    schema: z.literal("utrimax/log"),
    version: z.literal(KEPT_LOG_VERSION),
    /** The file's name. */
    name: z.string().trim().min(1).max(120),
    text: z.string().min(1, "The file is empty.").max(MOST_CHARACTERS, "A log is at most 48 MB."),
    /** Of a table; null for the other formats. */
    layout: CsvLayout.nullable(),
    /** As it was when it flew; null where nobody says which. */
    aircraft: AircraftDocument.nullable(),
    mass_kg: SituationDocument.shape.mass_kg,
    /** Outside temperature minus standard, K; null where nobody knows. */
    deviation_K: z.number().min(-60, "A deviation is −60 to 60 °C.").max(60, "A deviation is −60 to 60 °C.").nullable(),
    /** As it was told near the ground; null where nobody knows. */
    wind: WindLayer.omit({ altitude_m: true }).nullable(),
    /** Runways that it may have used. */
    ends: z.array(LandingEnd).max(40, "At most 40 landing ends."),
    /** Engine stops as the pilot says they were; null: as they are found. */
    stops: StopsByHand.nullable(),
    /** What other recorders of this flight wrote. */
    also: z.array(AnotherRecorder).max(MOST_RECORDERS, "At most three files besides the first."),
  })
  .refine(({ text, also }) => also.reduce((sum, more) => sum + more.text.length, text.length) <= MOST_CHARACTERS, {
    message: "All files of a flight together are at most 48 MB.",
    path: ["also"],
  });
/** @see KeptLog */
export type KeptLog = z.infer<typeof KeptLog>;

/** Most engine stops whose hand a list keeps. */
const MOST_HANDS = 50;

/** What a list shows of a log. */
export const LogSummary = z.strictObject({
  /** UTC, s since 1970; null where the log does not tell. */
  begins_s: z.number().min(-1e11).max(1e11).nullable(),
  duration_s: z.number().min(0).max(1e11),
  fixes: z.int().min(0).max(1_000_000),
  holes: z.int().min(0).max(1_000_000),
  flights: z.int().min(0).max(100_000),
  landings: z.int().min(0).max(100_000),
  failures: z.int().min(0).max(100_000),
  /** Height of the first engine stop over the ground, m. */
  height_m: z.number().min(-1000).max(25_000).nullable(),
  /** Of engine stops that were flown to the ground: until something was done, s, and the bank of the greatest turn. */
  hands: z
    .array(
      z.strictObject({
        reaction_s: z.number().min(0).max(60).nullable(),
        bank_rad: z.number().min(0).max(1.6).nullable(),
        /** Of its greatest turn, and from the stop to the touch; summaries before they were told lack them. */
        turned_rad: z.number().min(0).max(400).optional(),
        lost_m: z.number().min(-1000).max(25_000).optional(),
        /** Where it touched, past the threshold of a known runway. */
        spot_m: z.number().min(-5000).max(20_000).optional(),
      }),
    )
    .max(MOST_HANDS),
});
/** @see LogSummary */
export type LogSummary = z.infer<typeof LogSummary>;

/** The aeroplane that flew a kept log; null for a rotorcraft, or where nobody says which. */
export const aeroplaneOf = ({ aircraft }: Pick<KeptLog, "aircraft">): Aeroplane | null =>
  aircraft && isAeroplane(aircraft) ? aircraft : null;

/** What is known of a kept log’s day beside the log itself. */
export function dayOf(
  log: Pick<KeptLog, "aircraft" | "mass_kg" | "deviation_K" | "wind" | "ends" | "stops">,
): TrackDay {
  const { aircraft, mass_kg, deviation_K, wind, ends, stops } = log;
  const aeroplane = aeroplaneOf(log);
  return {
    aircraft: aeroplane,
    rotorcraft: aircraft && !aeroplane ? aircraft.name : null,
    hovers: aircraft?.category === "helicopter",
    mass_kg,
    deviation_K,
    wind: wind && windVector(wind.from_rad, wind.speed_mps),
    calibration: aeroplane?.airspeedCalibration ?? null,
    runways: ends,
    stops,
  };
}

/** Turns under this say little of a pilot's bank, rad. */
const LEAST_TURN_RAD = 1;

/** Bank of the turn that goes farthest round; null where there is none that is known. */
function greatestBank(turns: readonly MeasuredTurn[]): number | null {
  const turn = turns.reduce<MeasuredTurn | null>(
    (most, one) => (one.heading_rad > (most?.heading_rad ?? LEAST_TURN_RAD) ? one : most),
    null,
  );
  return turn?.measures.bank_rad.known ? Math.min(turn.measures.bank_rad.value, 1.6) : null;
}

/** What a list shows of what was found. */
export function summaryOf({ flown: { log }, flights }: TrackAnalysis): LogSummary {
  const failures = flights.flatMap((flight) =>
    flight.failures.map((stop) => ({ ...stop, along: flight.landed?.along_m })),
  );
  const first = failures.at(0)?.height_m;
  return {
    begins_s: log.clock === "utc" ? log.begins_s : null,
    duration_s: log.time_s[log.time_s.length - 1],
    fixes: log.time_s.length,
    holes: log.holes.length,
    flights: flights.length,
    landings: flights.filter(({ landing }) => landing !== null).length,
    failures: failures.length,
    hands: failures
      .filter(({ toGround }) => toGround !== null)
      .slice(0, MOST_HANDS)
      .map(({ delay_s, turns, toGround, along }) => ({
        reaction_s: delay_s.known ? Math.min(delay_s.value, 60) : null,
        bank_rad: greatestBank(turns),
        turned_rad: Math.min(Math.max(0, ...turns.map(({ heading_rad }) => heading_rad)), 400),
        ...(toGround?.height_m.known ? { lost_m: Math.min(Math.max(toGround.height_m.value, -1000), 25_000) } : {}),
        ...(along?.known && Math.abs(along.value) < 5000 ? { spot_m: along.value } : {}),
      })),
    height_m: first?.known ? Math.min(Math.max(first.value, -1000), 25_000) : null,
  };
}
