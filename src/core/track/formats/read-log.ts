// A flight log of any of the formats that are read.
import { type Outcome, failure } from "../../outcome";
import { type FlightLog, NO_LOG, type ReadProgress } from "../log";
import { readCsv } from "./csv";
import { type CsvLayout, recogniseLayout } from "./csv-layout";
import { readGpx } from "./gpx";
import { readIgc } from "./igc";
import { readNmeaLog } from "./nmea-log";

/** What a file is, by its first lines; null when it is none. */
export function formatOf(text: string): FlightLog["format"] | null {
  const start = text.slice(0, 20_000).trimStart();
  if (start.startsWith("<")) return "gpx";
  if (/^\$[A-Z]{2}(GGA|RMC|[A-Z]{3}),/m.test(start)) return "nmea";
  if (/^A[A-Z0-9]{3}/.test(start) || /^B\d{13}[NS]\d{8}[EW][AV]/m.test(start)) return "igc";
  return recogniseLayout(text) ? "csv" : null;
}

/**
 * Reads a log.
 *
 * @param layout - of a table; null takes what is recognised
 * @returns `no_log`, `no_fixes`, `cancelled`
 */
export function readLog(text: string, layout: CsvLayout | null = null, progress?: ReadProgress): Outcome<FlightLog> {
  switch (layout ? "csv" : formatOf(text)) {
    case "gpx":
      return readGpx(text, progress);
    case "nmea":
      return readNmeaLog(text, progress);
    case "igc":
      return readIgc(text, progress);
    case "csv": {
      const found = layout ?? recogniseLayout(text)?.layout;
      return found ? readCsv(text, found, progress) : { ok: false, issue: NO_LOG.unknown };
    }
    default:
      return failure(NO_LOG.unknown.code, NO_LOG.unknown.message);
  }
}

/** Reads a second recorder of a flight: a table may be without positions. @returns as `readLog` */
export function readRecorder(text: string, layout: CsvLayout | null): Outcome<FlightLog> {
  const format = formatOf(text);
  const table = layout ?? (format === null || format === "csv" ? (recogniseLayout(text, false)?.layout ?? null) : null);
  return table ? readCsv(text, table, undefined, false) : readLog(text);
}
