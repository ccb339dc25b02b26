// Tracks of a GPX 1.1 file: points with a time. What a damaged file still holds is read, point by point.
// @see the GPX 1.1 schema (memory): trk, trkseg, trkpt, ele, time; speed and course as extensions write them
import sax from "sax";
import { type Outcome, success } from "../../outcome";
import { radians } from "../../quantities/angle";
import { type FlightLog, LogBuilder, type LogColumn, NO_LOG, type ReadProgress } from "../log";

/** Characters between two reports. */
const PIECE = 1 << 20;
/** Longest text of an element that is looked at. */
const MOST_TEXT = 60;
/** Elements of a point that are read, by their name without a prefix: which column, SI of one. */
const ELEMENTS: Readonly<Record<string, readonly [LogColumn, (value: number) => number]>> = {
  ele: ["altitudeGps_m", (m) => m],
  speed: ["groundSpeed_mps", (mps) => mps],
  course: ["track_rad", radians],
};
const figure = (text: string | undefined) =>
  text !== undefined && /^\s*-?\d+(\.\d*)?\s*$/.test(text) ? Number(text) : NaN;
const ISO = /^\s*\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?(Z|[+-]\d\d:\d\d)\s*$/;

interface Point {
  readonly line: number;
  readonly lat: number;
  readonly lon: number;
  time_s: number;
  readonly values: [LogColumn, number][];
}

/** Reads a file. @returns `no_log` where it has no track, `no_fixes`, `cancelled` */
export function readGpx(text: string, progress: ReadProgress = () => true): Outcome<FlightLog> {
  const log = new LogBuilder();
  const parser = sax.parser(true, { position: true });
  let point: Point | null = null;
  let element = "";
  let content = "";
  let [fixes, tracks, full] = [0, 0, false];
  const line = () => parser.line + 1;

  const keep = ({ time_s, lat, lon, values, line: at }: Point) => {
    if (Number.isNaN(time_s) || !(Math.abs(lat) <= 90 && Math.abs(lon) <= 180)) {
      log.fault(at, "A point has a latitude, a longitude and a time.");
      return;
    }
    if (full || !log.begin(time_s)) {
      full = true;
      return;
    }
    fixes += 1;
    log.set("latitude_deg", lat, at);
    log.set("longitude_deg", lon, at);
    for (const [column, value] of values) log.set(column, value, at);
  };

  parser.onopentag = ({ name, attributes }) => {
    element = name.slice(name.indexOf(":") + 1);
    content = "";
    if (element === "trk") tracks += 1;
    if (element === "trkpt") {
      const { lat, lon } = attributes as Record<string, string | undefined>;
      point = { line: line(), lat: figure(lat), lon: figure(lon), time_s: NaN, values: [] };
    }
  };
  parser.ontext = (part) => {
    if (point && content.length < MOST_TEXT) content += part;
  };
  parser.onclosetag = (name) => {
    if (!point) return;
    if (name === "trkpt") {
      keep(point);
      point = null;
    } else if (element === "time" && ISO.test(content)) point.time_s = Date.parse(content.trim()) / 1000;
    else if (Object.hasOwn(ELEMENTS, element)) {
      const [column, si] = ELEMENTS[element];
      point.values.push([column, si(figure(content))]);
    }
    element = "";
  };
  parser.onerror = ({ message }) => {
    log.fault(line(), message.split("\n")[0].slice(0, 120));
    // What comes after is read as if the fault had not been.
    parser.error = null as unknown as Error;
    parser.resume();
  };

  for (let from = 0; from < text.length; from += PIECE) {
    parser.write(text.slice(from, from + PIECE));
    if (!progress(Math.min(from + PIECE, text.length) / text.length)) return { ok: false, issue: NO_LOG.cancelled };
  }
  parser.close();
  if (tracks === 0) return { ok: false, issue: NO_LOG.unknown };
  if (fixes === 0) return { ok: false, issue: NO_LOG.empty };
  return success(log.log({ format: "gpx", clock: "utc", aircraft: null }));
}
