// A log as a file of each of the formats that are read, within what the format can hold.
import { degrees, wrapTurn } from "../../quantities/angle";
import { MPS_PER_KT } from "../../quantities/constants";
import { type FlightLog, LOG_COLUMNS, type LogColumn } from "../log";

/** Value of a column; NaN where there is none. */
const at = ({ columns }: FlightLog, column: LogColumn, i: number) => columns[column]?.[i] ?? NaN;
const two = (value: number) => String(value).padStart(2, "0");

/** Indices of fixes that have a place. */
function placed(log: FlightLog): number[] {
  const found: number[] = [];
  for (let i = 0; i < log.time_s.length; i += 1)
    if (Number.isFinite(at(log, "latitude_deg", i)) && Number.isFinite(at(log, "longitude_deg", i))) found.push(i);
  return found;
}

/** Degrees and minutes of a position: `4707.8000` with so many decimals, never 60 minutes. */
function degreesMinutes(value_deg: number, width: number, decimals: number): string {
  const scale = 10 ** decimals;
  const minutes = Math.round(Math.abs(value_deg) * 60 * scale);
  const whole = Math.floor(minutes / (60 * scale));
  const rest = (minutes - whole * 60 * scale) / scale;
  return `${String(whole).padStart(width, "0")}${rest.toFixed(decimals).padStart(decimals + 3, "0")}`;
}

/** A GPX 1.1 track. */
export function writeGpx(log: FlightLog): string {
  const points = placed(log).map((i) => {
    const ele = at(log, "altitudeGps_m", i);
    const height = Number.isFinite(ele) ? `<ele>${ele.toFixed(1)}</ele>` : "";
    const time = `<time>${new Date(Math.round(log.time_s[i] * 1000)).toISOString()}</time>`;
    return `<trkpt lat="${at(log, "latitude_deg", i).toFixed(7)}" lon="${at(log, "longitude_deg", i).toFixed(7)}">${height}${time}</trkpt>`;
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<gpx version="1.1" creator="Utrimax" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>',
    ...points,
    "</trkseg></trk></gpx>",
    "",
  ].join("\n");
}

/** An IGC file without a signature: whole seconds and metres. */
export function writeIgc(log: FlightLog): string {
  const lines = ["AXXXUTR"];
  let day = "";
  let second = "";
  for (const i of placed(log)) {
    const time = new Date(Math.floor(log.time_s[i] * 1000));
    const date = `${two(time.getUTCDate())}${two(time.getUTCMonth() + 1)}${two(time.getUTCFullYear() % 100)}`;
    if (date !== day && day === "") lines.push(`HFDTEDATE:${date},01`);
    day = date;
    const clock = `${two(time.getUTCHours())}${two(time.getUTCMinutes())}${two(time.getUTCSeconds())}`;
    if (clock === second) continue;
    second = clock;
    const [lat, lon] = [at(log, "latitude_deg", i), at(log, "longitude_deg", i)];
    const height = (column: LogColumn) => {
      const value = Math.round(at(log, column, i)) || 0;
      return value < 0 ? `-${String(-value).padStart(4, "0")}` : String(value).padStart(5, "0");
    };
    const place = (value: number, width: number) => degreesMinutes(value, width, 3).replace(".", "");
    const valid = Number.isFinite(at(log, "altitudeGps_m", i)) ? "A" : "V";
    lines.push(
      `B${clock}${place(lat, 2)}${lat < 0 ? "S" : "N"}${place(lon, 3)}${lon < 0 ? "W" : "E"}${valid}${height("altitudePressure_m")}${height("altitudeGps_m")}`,
    );
  }
  return `${lines.join("\r\n")}\r\n`;
}

/** A sentence with its checksum. */
function sentence(body: string): string {
  let sum = 0;
  for (let i = 0; i < body.length; i += 1) sum ^= body.charCodeAt(i);
  return `$${body}*${sum.toString(16).toUpperCase().padStart(2, "0")}`;
}

/** NMEA 0183: a pair of sentences for each fix; hundredths of seconds, a ten-thousandth of a minute. */
export function writeNmea(log: FlightLog): string {
  const lines = placed(log).flatMap((i) => {
    const time = new Date(Math.round(log.time_s[i] * 100) * 10);
    const clock = `${two(time.getUTCHours())}${two(time.getUTCMinutes())}${two(time.getUTCSeconds())}.${two(time.getUTCMilliseconds() / 10)}`;
    const date = `${two(time.getUTCDate())}${two(time.getUTCMonth() + 1)}${two(time.getUTCFullYear() % 100)}`;
    const [lat, lon] = [at(log, "latitude_deg", i), at(log, "longitude_deg", i)];
    const place = `${degreesMinutes(lat, 2, 4)},${lat < 0 ? "S" : "N"},${degreesMinutes(lon, 3, 4)},${lon < 0 ? "W" : "E"}`;
    const number = (value: number, digits: number) => (Number.isFinite(value) ? value.toFixed(digits) : "");
    const track = at(log, "track_rad", i);
    return [
      sentence(`GPGGA,${clock},${place},1,,,${number(at(log, "altitudeGps_m", i), 1)},M,,M,,`),
      sentence(
        `GPRMC,${clock},A,${place},${number(at(log, "groundSpeed_mps", i) / MPS_PER_KT, 2)},${number(degrees(wrapTurn(track)), 2)},${date},,`,
      ),
    ];
  });
  return `${lines.join("\r\n")}\r\n`;
}

/** A table of all columns, in the units of their names. */
export function writeCsv(log: FlightLog): string {
  const names = (Object.keys(LOG_COLUMNS) as LogColumn[]).filter((name) => log.columns[name]);
  const rows = Array.from(log.time_s, (time_s, i) =>
    [
      log.clock === "utc" ? new Date(Math.round(time_s * 1000)).toISOString() : String(Number(time_s.toFixed(3))),
      ...names.map((name) => {
        const value = at(log, name, i);
        return Number.isFinite(value) ? String(Number(value.toPrecision(10))) : "";
      }),
    ].join(","),
  );
  const time = log.clock === "utc" ? "timestamp" : "elapsed_s";
  return [[time, ...names.map(headingOf)].join(","), ...rows, ""].join("\n");
}

/** A heading that is recognised again: its words, and its unit in brackets. */
function headingOf(name: LogColumn): string {
  const cut = name.lastIndexOf("_");
  const [base, unit] =
    cut < 0 ? [name, name.startsWith("rpm") ? "rpm" : "g"] : [name.slice(0, cut), name.slice(cut + 1)];
  const words: Record<string, string> = {
    altitudeGps: "GPS altitude",
    altitudePressure: "pressure altitude",
    groundSpeed: "ground speed",
    loadFactor: "load factor",
    outsideAir: "outside air",
  };
  const engine = /^(fuelFlow|manifold|egt|cht|rpm|power)([12])$/.exec(base);
  const plain = engine ? `E${engine[2]} ${engine[1] === "fuelFlow" ? "fuel flow" : engine[1]}` : (words[base] ?? base);
  return `${plain} (${unit === "mps" ? "m/s" : unit === "m3ps" ? "m3/s" : unit})`;
}

/** GeoJSON: the way as one line with heights, times beside it. */
export function writeGeoJson(log: FlightLog): string {
  const fixes = placed(log);
  return JSON.stringify({
    type: "FeatureCollection",
    features: [
      {
        type: "Feature",
        geometry: {
          type: "LineString",
          coordinates: fixes.map((i) => {
            const place = [
              Number(at(log, "longitude_deg", i).toFixed(7)),
              Number(at(log, "latitude_deg", i).toFixed(7)),
            ];
            const height = at(log, "altitudeGps_m", i);
            return Number.isFinite(height) ? [...place, Number(height.toFixed(1))] : place;
          }),
        },
        properties: { times: fixes.map((i) => new Date(Math.round(log.time_s[i] * 1000)).toISOString()) },
      },
    ],
  });
}
