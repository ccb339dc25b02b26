// Flight logs read and analysed apart from the page; no formulas here. Ended by its client, which is how reading is
// given up.
import * as Comlink from "comlink";
import { type BesideFailure, type BesidePlan, besideFailure } from "@/core/debrief/beside-failure";
import { type Outcome, success } from "@/core/outcome";
import { type FoundFlight, analyse } from "@/core/track/analyse";
import type { Hole } from "@/core/track/clean/clean-log";
import { type DrawnTrack, drawnTrack } from "@/core/track/drawn-track";
import { type RecognisedLayout, recogniseLayout } from "@/core/track/formats/csv-layout";
import { type Alignment, alignLogs } from "@/core/track/align/align-logs";
import { formatOf, readRecorder } from "@/core/track/formats/read-log";
import { readKeptLog } from "@/core/track/read-kept-log";
import { writeCsv, writeGeoJson, writeGpx, writeIgc, writeNmea } from "@/core/track/formats/write-log";
import { type RatingsUsed, ratingsUsed } from "@/core/track/measure/ratings-used";
import { type AnotherRecorder, type KeptLog, type LogSummary, dayOf, summaryOf } from "@/core/track/kept-log";
import type { FlightLog, LogFault } from "@/core/track/log";
import { measuresCsv } from "@/core/track/measures-csv";
import { trackWorking } from "@/core/track/track-working";
import { type FittedWind, windSigma_mps } from "@/core/track/wind/fitted-wind";
import type { WorkingStep } from "@/core/working";

/** What a page has of a log. */
export interface DebriefedLog {
  readonly summary: LogSummary;
  readonly format: FlightLog["format"];
  readonly interval_s: number;
  readonly drawn: DrawnTrack;
  readonly flights: readonly FoundFlight[];
  readonly wind: (FittedWind & { readonly sigma_mps: number }) | null;
  /** Speed and heading through the air are known: by an indicator or a wind. */
  readonly airKnown: boolean;
  readonly heightKnown: boolean;
  readonly notKnowable: readonly string[];
  /** Of a helicopter's engines; null of what has no ratings. */
  readonly ratings: Outcome<RatingsUsed> | null;
  readonly holes: readonly Hole[];
  readonly faults: readonly LogFault[];
  readonly faultCount: number;
  readonly working: readonly WorkingStep[];
  readonly took_ms: number;
}

/** What a log can be written as. */
export type LogFormat = "gpx" | "igc" | "nmea" | "geojson" | "csv" | "measures";

const WRITERS: Record<Exclude<LogFormat, "measures">, (log: FlightLog) => string> = {
  gpx: writeGpx,
  igc: writeIgc,
  nmea: writeNmea,
  geojson: writeGeoJson,
  csv: writeCsv,
};

/** Reading is so much of the whole. */
const READING = 0.4;

const api = {
  /**
   * What a text is, and of a table which columns hold what.
   *
   * @param placed - a table without positions is none; of a second recorder it may be one
   */
  recognise(text: string, placed: boolean): { format: FlightLog["format"] | null; layout: RecognisedLayout | null } {
    const format = formatOf(text);
    const layout = format === null || format === "csv" ? recogniseLayout(text, placed) : null;
    return { format: layout ? "csv" : format, layout };
  },

  /** Reads and analyses a log. */
  debrief(log: KeptLog, progress: (share: number) => void): Outcome<DebriefedLog> {
    const began = performance.now();
    const read = readKeptLog(log, (share) => {
      progress(READING * share);
      return true;
    });
    if (!read.ok) return read;
    progress(READING);
    const found = analyse(read.value, dayOf(log));
    if (!found.ok) return found;
    const { flown, flights, notKnowable } = found.value;
    return success({
      summary: summaryOf(found.value),
      format: read.value.format,
      interval_s: flown.log.interval_s,
      drawn: drawnTrack(flown),
      flights,
      wind: flown.wind && { ...flown.wind, sigma_mps: windSigma_mps(flown.wind) },
      airKnown: flown.has.airspeed || flown.wind !== null,
      heightKnown: flown.has.height,
      notKnowable,
      ratings: log.aircraft?.category === "helicopter" ? ratingsUsed(flown, log.aircraft, log.deviation_K) : null,
      holes: flown.log.holes,
      faults: read.value.faults,
      faultCount: read.value.faultCount,
      working: trackWorking(found.value),
      took_ms: performance.now() - began,
    });
  },

  /** By how much the clock of another recorder's file is to be set. */
  align(log: KeptLog, also: Pick<AnotherRecorder, "text" | "layout">): Outcome<Alignment> {
    const [first, second] = [readKeptLog(log), readRecorder(also.text, also.layout)];
    if (!first.ok) return first;
    return second.ok ? alignLogs(first.value, second.value) : second;
  },

  /** A log in one of the formats, or its measures. */
  write(log: KeptLog, format: LogFormat): Outcome<string> {
    const read = readKeptLog(log);
    if (!read.ok) return read;
    if (format !== "measures") return success(WRITERS[format](read.value));
    const found = analyse(read.value, dayOf(log));
    return found.ok ? success(measuresCsv(found.value)) : found;
  },

  /** An engine stop beside the planner's way from the same moment. */
  beside(log: KeptLog, looked: number, plan: BesidePlan): Outcome<BesideFailure> {
    const read = readKeptLog(log);
    if (!read.ok) return read;
    const found = analyse(read.value, dayOf(log));
    return found.ok ? besideFailure(found.value, log, looked, plan) : found;
  },
};

/** What the worker offers. */
export type TrackWorker = typeof api;

Comlink.expose(api);
