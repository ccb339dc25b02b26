// Sentences of a position receiver, line by line as they come. Position sentences (RMC, GGA) are joined by their time;
// others are passed over. @see NMEA 0183 (memory): RMC, GGA, checksum as the XOR of what stands between $ and *
import { MPS_PER_KT } from "../../quantities/constants";
import { radians } from "../../quantities/angle";
import type { Fix } from "./fix";

/** What a line was. */
export type NmeaLine =
  | { readonly kind: "fix"; readonly fix: Fix }
  | { readonly kind: "nothing" }
  | { readonly kind: "fault"; readonly message: string };

/** Longest line that is looked at; the standard allows 82. */
const MOST_CHARACTERS = 200;
const DAY_MS = 86_400_000;

interface Pending {
  readonly time: string;
  rmc: { position: Fix["position"]; groundSpeed_mps: number | null; track_rad: number | null } | null;
  gga: { position: Fix["position"]; altitude_m: number | null } | null;
  told: boolean;
}

const fault = (message: string): NmeaLine => ({ kind: "fault", message });
const NOTHING: NmeaLine = { kind: "nothing" };

/** Fields of a sentence whose checksum is right; a message otherwise. */
function fieldsOf(line: string): readonly string[] | string {
  if (line.length > MOST_CHARACTERS) return "A sentence has at most 82 characters.";
  const sentence = /^\$([^*$]+)\*([0-9A-Fa-f]{2})$/.exec(line);
  if (!sentence) return "A sentence begins with $ and ends with * and its checksum.";
  let sum = 0;
  for (let i = 0; i < sentence[1].length; i += 1) sum ^= sentence[1].charCodeAt(i);
  if (sum !== Number.parseInt(sentence[2], 16)) return "The checksum is wrong.";
  return sentence[1].split(",");
}

/** A number within bounds; null for an empty field, undefined for another thing. */
function numberOf(text: string | undefined, least: number, most: number): number | null | undefined {
  if (text === undefined || text === "") return null;
  const value = /^-?\d+(\.\d+)?$/.test(text) ? Number(text) : NaN;
  return value >= least && value <= most ? value : undefined;
}

/** `4807.038,N` in degrees; undefined when it is none. */
function angleOf(text: string, side: string, most_deg: number, sides: string): number | undefined {
  if (!/^\d{3,5}(\.\d+)?$/.test(text) || !sides.includes(side) || side.length !== 1) return undefined;
  const value = Number(text);
  const minutes = value % 100;
  const angle_deg = Math.floor(value / 100) + minutes / 60;
  return minutes < 60 && angle_deg <= most_deg ? (side === sides[1] ? -angle_deg : angle_deg) : undefined;
}

function positionOf(fields: readonly string[], at: number): Fix["position"] | null {
  const latitude_deg = angleOf(fields[at] ?? "", fields[at + 1] ?? "", 90, "NS");
  const longitude_deg = angleOf(fields[at + 2] ?? "", fields[at + 3] ?? "", 180, "EW");
  return latitude_deg === undefined || longitude_deg === undefined ? null : { latitude_deg, longitude_deg };
}

function timeOf_ms(text: string): number | null {
  const parts = /^([01]\d|2[0-3])([0-5]\d)([0-5]\d(?:\.\d+)?)$/.exec(text);
  return parts ? (Number(parts[1]) * 3600 + Number(parts[2]) * 60 + Number(parts[3])) * 1000 : null;
}

/** Day of an RMC sentence, ms since 1970; null when it is none. Two figures of a year from 80 on are of the 1900s. */
function dateOf_ms(text: string): number | null {
  const parts = /^([0-3]\d)([01]\d)(\d\d)$/.exec(text);
  if (!parts) return null;
  const [day, month, year] = parts.slice(1).map(Number);
  const date_ms = Date.UTC(year >= 80 ? 1900 + year : 2000 + year, month - 1, day);
  return new Date(date_ms).getUTCDate() === day ? date_ms : null;
}

/**
 * Reads sentences one after another. A fix is told as soon as both sentences of its time are there; one that stays
 * alone is told when the next time begins.
 */
export function nmeaReader(): (line: string) => NmeaLine {
  let day_ms = 0;
  let lastOfDay_ms: number | null = null;
  let pending: Pending | null = null;

  const fixOf = ({ time, rmc, gga }: Pending): Fix | null => {
    const position = rmc?.position ?? gga?.position;
    const ofDay_ms = timeOf_ms(time);
    if (!position || ofDay_ms === null) return null;
    // Without a date of its own the day follows the clock: past midnight it is the next.
    if (lastOfDay_ms !== null && !rmc && ofDay_ms < lastOfDay_ms - DAY_MS / 2) day_ms += DAY_MS;
    lastOfDay_ms = ofDay_ms;
    return {
      time_ms: day_ms + ofDay_ms,
      position,
      altitude_m: gga?.altitude_m ?? null,
      track_rad: rmc?.track_rad ?? null,
      groundSpeed_mps: rmc?.groundSpeed_mps ?? null,
    };
  };

  /** The sentence's time becomes the present one; what the time before left alone is told. */
  const at = (time: string): { now: Pending; left: Fix | null } => {
    if (pending?.time === time) return { now: pending, left: null };
    const left = pending && !pending.told ? fixOf(pending) : null;
    pending = { time, rmc: null, gga: null, told: false };
    return { now: pending, left };
  };

  const told = (now: Pending, left: Fix | null): NmeaLine => {
    if (now.rmc && now.gga && !now.told) {
      const fix = fixOf(now);
      now.told = true;
      if (fix) return { kind: "fix", fix };
    }
    return left ? { kind: "fix", fix: left } : NOTHING;
  };

  return (text) => {
    const line = text.trim();
    if (line === "") return NOTHING;
    const fields = fieldsOf(line);
    if (typeof fields === "string") return fault(fields);
    const kind = fields[0].slice(2);
    if (kind !== "RMC" && kind !== "GGA") return NOTHING;
    if (timeOf_ms(fields[1] ?? "") === null) return fault("The time is none.");
    // What a receiver sends before it knows where it is.
    if (kind === "RMC" ? fields[2] === "V" : fields[6] === "0") return NOTHING;
    const position = positionOf(fields, kind === "RMC" ? 3 : 2);
    if (!position) return fault("The position is none.");
    if (kind === "GGA") {
      const altitude_m = numberOf(fields[9], -500, 60_000);
      if (altitude_m === undefined) return fault("The height is none.");
      const { now, left } = at(fields[1]);
      now.gga = { position, altitude_m };
      return told(now, left);
    }
    const [speed_kt, track_deg, date_ms] = [
      numberOf(fields[7], 0, 2000),
      numberOf(fields[8], 0, 360),
      dateOf_ms(fields[9] ?? ""),
    ];
    if (speed_kt === undefined || track_deg === undefined) return fault("Speed or track is none.");
    if (date_ms === null) return fault("The date is none.");
    const { now, left } = at(fields[1]);
    day_ms = date_ms;
    now.rmc = {
      position,
      groundSpeed_mps: speed_kt === null ? null : speed_kt * MPS_PER_KT,
      track_rad: track_deg === null ? null : radians(track_deg),
    };
    return told(now, left);
  };
}
