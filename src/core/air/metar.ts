// A station's METAR report to air and wind. The words are read by metar-taf-parser; here they become SI, what is
// missing is named, and what was not understood is listed instead of being passed over.
import { type IMetar, parseMetar } from "metar-taf-parser";
import { type Outcome, failure, success } from "../outcome";
import { radians } from "../quantities/angle";
import { MPS_PER_KT, PA_PER_INHG, ZERO_CELSIUS_K } from "../quantities/constants";

/** A report in SI. Null where the report is silent or the group is missing (slashes). */
export interface MetarReport {
  readonly station: string;
  readonly day: number | null;
  readonly hour: number | null;
  readonly minute: number | null;
  readonly automatic: boolean;
  readonly cavok: boolean;
  readonly wind: {
    /** From, true; null when variable. */
    readonly from_rad: number | null;
    readonly speed_mps: number;
    readonly gust_mps: number | null;
    /** Direction varies between these two, clockwise. */
    readonly variesBetween_rad: readonly [number, number] | null;
    /** True when the report says "99 kt or more". */
    readonly atLeast: boolean;
  } | null;
  readonly temperature_K: number | null;
  readonly dewPoint_K: number | null;
  readonly qnh_Pa: number | null;
  /** Groups given as slashes: "wind", "temperature". */
  readonly missing: readonly string[];
  /** Words of the report that had no effect on the result. */
  readonly notUnderstood: readonly string[];
}

const SPEED_UNIT_MPS: Record<string, number> = { KT: MPS_PER_KT, MPS: 1, "KM/H": 1 / 3.6, KMH: 1 / 3.6 };
/** Wind of "99 kt or more": the parser knows the number, not the letter before it. */
const AT_LEAST_99 = /\b(\d{3}|VRB)P99(KT)\b/;
const AT_LEAST_49 = /\b(\d{3}|VRB)P49(MPS)\b/;
/** Groups that a station sends as slashes when a sensor fails. */
const MISSING_GROUPS: readonly (readonly [RegExp, string])[] = [
  [/^\/{5}(KT|MPS)$/, "wind"],
  [/^\/{4}$/, "visibility"],
  [/^(\/\/\/(\/\/|M?\d\d)|M?\d\d\/\/\/)$/, "temperature"],
  [/^[QA]\/{4}$/, "pressure"],
  [/^\/{6,9}(CB|TCU)?$/, "cloud"],
];
/** Lowest and highest sea-level pressures ever met with, rounded outward, Pa. */
const QNH_RANGE_PA = [85_000, 109_000] as const;
/** Longest report read; real ones are under 500 characters. */
const MAX_LENGTH = 2000;
/** Most groups read; each is left out once to see whether it says anything, so the work grows with their square. */
const MAX_GROUPS = 120;

/**
 * Reads one METAR or SPECI.
 *
 * @param text - with or without the leading word METAR and the closing `=`
 * @returns `metar_unreadable` when neither wind, temperature nor pressure could be read
 * @see WMO-No. 306, FM 15 METAR
 */
export function readMetar(text: string): Outcome<MetarReport> {
  const cleaned = text.trim().toUpperCase().replace(/=+$/, "").replace(/\s+/g, " ");
  if (cleaned.length === 0)
    return failure("metar_empty", "Paste a METAR, for example “TRSK 241200Z 25014KT 9999 12/08 Q1016”.", "text");
  if (cleaned.length > MAX_LENGTH)
    return failure("metar_too_long", `A METAR is under ${MAX_LENGTH} characters; this has ${cleaned.length}.`, "text");
  const words = cleaned.split(" ");
  if (words.length > MAX_GROUPS)
    return failure("metar_too_long", `A METAR has under ${MAX_GROUPS} groups; this has ${words.length}.`, "text");
  const notUnderstood: string[] = [];
  const missing: string[] = [];
  const atLeast = AT_LEAST_99.test(cleaned) || AT_LEAST_49.test(cleaned);

  const readable = words.filter((word) => {
    const group = MISSING_GROUPS.find(([pattern]) => pattern.test(word));
    if (group) missing.push(group[1]);
    else if (/^P\d\d(KT|MPS)$/.test(word)) notUnderstood.push(word);
    else return true;
    return false;
  });
  const parseText = readable.join(" ").replace(AT_LEAST_99, "$199$2").replace(AT_LEAST_49, "$149$2");
  const parsed = parse(parseText);
  if (!parsed)
    return failure(
      "metar_unreadable",
      "This does not read as a METAR: a station, a time and groups such as 25014KT 12/08 Q1016 are looked for.",
      "text",
    );

  const qnh_Pa = qnhOf(parsed);
  const wind = windOf(parsed, atLeast);
  if (!wind && parsed.temperature === undefined && qnh_Pa === null)
    return failure("metar_unreadable", "No wind, temperature or pressure could be read from this report.", "text");
  notUnderstood.push(...wordsWithoutEffect(parseText));
  if (parsed.wind && !wind) notUnderstood.push(...readable.filter((word) => /(KT|MPS|KMH)$/.test(word)));
  if (parsed.altimeter && qnh_Pa === null) notUnderstood.push(...readable.filter((word) => /^[QA]\d{4}$/.test(word)));
  return success({
    station: parsed.station,
    ...whenOf(parsed),
    automatic: parsed.auto ?? false,
    cavok: parsed.cavok ?? false,
    wind,
    temperature_K: kelvin(parsed.temperature),
    dewPoint_K: kelvin(parsed.dewPoint),
    qnh_Pa,
    missing,
    notUnderstood,
  });
}

function whenOf({ day, hour, minute }: IMetar): Pick<MetarReport, "day" | "hour" | "minute"> {
  return { day: day ?? null, hour: hour ?? null, minute: minute ?? null };
}

const kelvin = (celsius: number | undefined) => (celsius === undefined ? null : celsius + ZERO_CELSIUS_K);

/** Null without a pressure that can be one. */
function qnhOf({ altimeter }: IMetar): number | null {
  if (!altimeter) return null;
  const qnh_Pa = altimeter.value * (altimeter.unit === "inHg" ? PA_PER_INHG : 100);
  return qnh_Pa >= QNH_RANGE_PA[0] && qnh_Pa <= QNH_RANGE_PA[1] ? qnh_Pa : null;
}

/** Null without a wind that can be one. */
function windOf({ wind }: IMetar, atLeast: boolean): MetarReport["wind"] {
  const unit_mps = wind && SPEED_UNIT_MPS[wind.unit.toUpperCase()];
  if (!wind || !unit_mps) return null;
  const known = wind.direction === "VRB" || (wind.degrees !== undefined && wind.degrees <= 360);
  if (!known) return null;
  const varies = wind.minVariation !== undefined && wind.maxVariation !== undefined;
  return {
    from_rad: wind.direction === "VRB" ? null : radians(wind.degrees ?? 0),
    speed_mps: wind.speed * unit_mps,
    gust_mps: wind.gust === undefined ? null : wind.gust * unit_mps,
    variesBetween_rad: varies ? [radians(wind.minVariation ?? 0), radians(wind.maxVariation ?? 0)] : null,
    atLeast,
  };
}

function parse(text: string): IMetar | null {
  try {
    return parseMetar(text);
  } catch {
    // The parser throws its own error classes on text that has no station or time; the caller names the fault.
    return null;
  }
}

/** A word is understood when leaving it out changes what is read. Remarks (after RMK) are free text and not judged. */
function wordsWithoutEffect(text: string): string[] {
  const words = text.split(" ");
  const remark = words.indexOf("RMK");
  const whole = meaning(text);
  return words.filter((word, i) => {
    if (
      (remark >= 0 && i >= remark) ||
      /^(METAR|SPECI|AUTO|COR|NOSIG|TEMPO|BECMG|NSC|NCD|SKC|CLR|\$)$/.test(word) ||
      i === 0
    )
      return false;
    return meaning(words.filter((_, j) => j !== i).join(" ")) === whole;
  });
}

function meaning(text: string): string {
  const parsed = parse(text);
  return parsed ? JSON.stringify({ ...parsed, message: "" }) : "";
}
