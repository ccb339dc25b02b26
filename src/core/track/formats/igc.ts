// A recorder's file of letters and fixed places: B is a fix, I tells what follows it, HFDTE is the day. Positions in
// thousandths of a minute, pressure altitude and the receiver's. Not here: signatures, tasks, K records.
// @see FAI, Technical Specification for IGC-Approved GNSS Flight Recorders (memory)
import { type Outcome, failure, success } from "../../outcome";
import { radians } from "../../quantities/angle";
import { ZERO_CELSIUS_K } from "../../quantities/constants";
import { type FlightLog, LogBuilder, type LogColumn, NO_LOG, type ReadProgress } from "../log";
import { eachLine } from "./lines";

const DAY_S = 86_400;
/** Time that falls by more than this is the next day's. */
const NEXT_DAY_S = DAY_S / 2;
const B = /^B(\d\d)(\d\d)(\d\d)(\d\d)(\d\d)(\d{3})([NS])(\d{3})(\d\d)(\d{3})([EW])([AV])(-\d{4}|\d{5})(-\d{4}|\d{5})/;

/** Three letters of what may follow a fix: which column, and SI of one of its steps. */
const EXTENSIONS: Readonly<Record<string, readonly [LogColumn, (value: number) => number]>> = {
  IAS: ["ias_mps", (kmh) => kmh / 3.6],
  TAS: ["tas_mps", (kmh) => kmh / 3.6],
  GSP: ["groundSpeed_mps", (kmh) => kmh / 3.6],
  TRT: ["track_rad", radians],
  HDT: ["heading_rad", radians],
  RPM: ["rpm1", (rpm) => rpm],
  OAT: ["outsideAir_K", (degC) => degC + ZERO_CELSIUS_K],
};
/** More digits of a position's minutes, and of a second. */
const DIGITS = new Set(["LAD", "LOD", "TDS"]);

interface Extension {
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

/** `I033638FXA3940SIU4143IAS` as where each begins and ends; from 0, the end not counted. */
function extensionsOf(line: string): Extension[] | null {
  const count = Number(line.slice(1, 3));
  if (!/^I\d\d/.test(line) || line.length < 3 + 7 * count) return null;
  const found: Extension[] = [];
  for (let i = 0; i < count; i += 1) {
    const part = /^(\d\d)(\d\d)([A-Z0-9]{3})$/.exec(line.slice(3 + 7 * i, 10 + 7 * i));
    if (!part) return null;
    found.push({ name: part[3], from: Number(part[1]) - 1, to: Number(part[2]) });
  }
  return found;
}

/** `HFDTE201126`, or with the words that newer files put before it, in s since 1970; null when it is none. */
function dayOf_s(line: string): number | null {
  const date = /^HFDTE(?:DATE:)?\s*(\d\d)(\d\d)(\d\d)/.exec(line);
  if (!date) return null;
  const [day, month, year] = date.slice(1).map(Number);
  const at = new Date(Date.UTC(year >= 80 ? 1900 + year : 2000 + year, month - 1, day));
  return at.getUTCDate() === day && at.getUTCMonth() === month - 1 ? at.getTime() / 1000 : null;
}

/** A fraction from its digits: "7" is .7, "74" .74; 0 for none. */
function fraction(digits: string): number {
  return /^\d+$/.test(digits) ? Number(digits) / 10 ** digits.length : 0;
}

/** Reads the lines of one file. */
class IgcReader {
  readonly #log = new LogBuilder();
  #extensions: readonly Extension[] = [];
  #day_s: number | null = null;
  #dated = false;
  #last_s = -Infinity;
  #aircraft: string | null = null;
  fixes = 0;

  read(line: string, number: number): boolean {
    if (line.startsWith("B")) return this.#fix(line, number);
    if (line.startsWith("HFDTE")) this.#date(line, number);
    else if (line.startsWith("I")) {
      const extensions = extensionsOf(line);
      if (extensions) this.#extensions = extensions;
      else this.#log.fault(number, "What follows a fix is not told as it should be.");
    } else if (/^H.GTY/.test(line)) this.#aircraft = line.slice(line.indexOf(":") + 1, 80).trim() || null;
    return true;
  }

  #date(line: string, number: number): void {
    const day_s = dayOf_s(line);
    if (day_s === null) this.#log.fault(number, "The date is none.");
    else {
      this.#day_s = day_s;
      this.#dated = true;
      this.#last_s = -Infinity;
    }
  }

  #fix(line: string, number: number): boolean {
    const parts = B.exec(line);
    if (!parts) {
      this.#log.fault(number, "A fix has a time, a position and two altitudes.");
      return true;
    }
    const [hour, minute, second, latDeg, latMin, latMilli, , lonDeg, lonMin, lonMilli] = parts.slice(1).map(Number);
    if (!(hour < 24 && minute < 60 && second < 60 && latMin < 60 && lonMin < 60)) {
      this.#log.fault(number, "There is no such time or position.");
      return true;
    }
    const digits = new Map<string, string>();
    for (const { name, from, to } of this.#extensions) if (DIGITS.has(name)) digits.set(name, line.slice(from, to));
    let ofDay_s = hour * 3600 + minute * 60 + second + fraction(digits.get("TDS") ?? "");
    this.#day_s ??= 0;
    if (ofDay_s < this.#last_s - NEXT_DAY_S) this.#day_s += DAY_S;
    this.#last_s = ofDay_s;
    ofDay_s += this.#day_s;
    if (!this.#log.begin(ofDay_s)) return false;
    this.fixes += 1;
    const set = (column: LogColumn, value: number) => this.#log.set(column, value, number);
    const lat = latDeg + (latMin + (latMilli + fraction(digits.get("LAD") ?? "")) / 1000) / 60;
    const lon = lonDeg + (lonMin + (lonMilli + fraction(digits.get("LOD") ?? "")) / 1000) / 60;
    set("latitude_deg", parts[7] === "S" ? -lat : lat);
    set("longitude_deg", parts[11] === "W" ? -lon : lon);
    // Nought is what a recorder without that sensor writes; V has no height by satellites.
    const [pressure, gps] = [Number(parts[13]), Number(parts[14])];
    if (pressure !== 0) set("altitudePressure_m", pressure);
    if (gps !== 0 && parts[12] === "A") set("altitudeGps_m", gps);
    for (const { name, from, to } of this.#extensions) {
      const known = EXTENSIONS[name];
      const text = line.slice(from, to);
      if (known && /^-?\d+$/.test(text)) set(known[0], known[1](Number(text)));
    }
    return true;
  }

  log(): FlightLog {
    return this.#log.log({ format: "igc", clock: this.#dated ? "utc" : "elapsed", aircraft: this.#aircraft });
  }
}

/** Reads a file. @returns `no_fixes`, `cancelled` */
export function readIgc(text: string, progress: ReadProgress = () => true): Outcome<FlightLog> {
  const reader = new IgcReader();
  if (!eachLine(text, (line, number) => reader.read(line, number), progress))
    return { ok: false, issue: NO_LOG.cancelled };
  if (reader.fixes === 0) return failure(NO_LOG.empty.code, NO_LOG.empty.message);
  return success(reader.log());
}
