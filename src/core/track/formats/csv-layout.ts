// What the columns of a table hold: recognised from its heading, a row of units, and its first figures; shown for
// confirmation, and kept for tables of the same heading. What is not certain is asked.
import Papa from "papaparse";
import { z } from "zod";
import { LOG_COLUMNS, type LogColumn } from "../log";
import { CSV_UNITS, type CsvKind, unitOfWord } from "./csv-units";

/** Columns that make a time. */
const TIME_COLUMNS = ["date", "clock", "moment", "elapsed"] as const;
/** Each of them alone tells when. */
const TIMES = ["clock", "moment", "elapsed"] as const;
type TimeColumn = (typeof TIME_COLUMNS)[number];
const isTime = (name: string): name is TimeColumn => (TIME_COLUMNS as readonly string[]).includes(name);

/** Names that a column may be given. */
export const COLUMN_NAMES = [...TIME_COLUMNS, ...(Object.keys(LOG_COLUMNS) as LogColumn[])] as const;
/** @see COLUMN_NAMES */
export type ColumnName = (typeof COLUMN_NAMES)[number];

/** Kind of quantity by the end of the column's name. */
export function kindOf(name: ColumnName): CsvKind | null {
  if (name === "elapsed") return "seconds";
  if (isTime(name)) return null;
  if (name === "loadFactor") return "load";
  if (name.startsWith("rpm")) return "rate";
  if (name === "latitude_deg" || name === "longitude_deg") return null;
  const kinds: Record<string, CsvKind> = {
    m: "height",
    mps: "speed",
    rad: "angle",
    K: "temperature",
    Pa: "pressure",
    m3ps: "flow",
    W: "power",
  };
  return kinds[name.slice(name.lastIndexOf("_") + 1)] ?? null;
}

/** One column of a table. */
export const LayoutColumn = z.strictObject({
  heading: z.string().max(200),
  name: z.enum(COLUMN_NAMES).nullable(),
  /** Of its kind; null where it has none, or where it is not known. */
  unit: z.string().max(10).nullable(),
});
/** @see LayoutColumn */
export type LayoutColumn = z.infer<typeof LayoutColumn>;

/** How a table is read. */
export const CsvLayout = z.strictObject({
  separator: z.enum([",", ";", "\t"]),
  decimalComma: z.boolean(),
  /** Lines before the first figures. */
  skip: z.int().min(0).max(60),
  columns: z.array(LayoutColumn).min(2).max(200),
});
/** @see CsvLayout */
export type CsvLayout = z.infer<typeof CsvLayout>;

/** Columns without an engine's number. */
const NAMES: readonly (readonly [RegExp, ColumnName])[] = [
  [/^(date|datelocal|dateutc|utcdate|lcldate|datum|day)$/, "date"],
  [/^(timestamp|datetime|utcdatetime|iso8601|isotime)$/, "moment"],
  [/^(time|timeutc|utctime|utc|lcltime|localtime|zeit|uhrzeit|timeofday|clock)$/, "clock"],
  [/^(elapsed|elapsedtime|seconds|secs|timesincestart|runtime|t|session|sessiontime)$/, "elapsed"],
  [/^(lat|latitude|breite|gpslat|gpslatitude)$/, "latitude_deg"],
  [/^(lon|long|lng|longitude|laenge|länge|gpslon|gpslongitude)$/, "longitude_deg"],
  [
    /^(alt|altitude|gpsalt|altgps|gpsaltitude|altitudegps|altmsl|msl|altitudemsl|gnssalt|ele|elevation|hoehe|höhe)$/,
    "altitudeGps_m",
  ],
  [
    /^(pressalt|pressurealt|pressurealtitude|altpress|altb|baroalt|baroaltitude|altbaro|baro|palt|qnealt|stdalt)$/,
    "altitudePressure_m",
  ],
  [/^(gs|gspd|gndspd|groundspeed|gndspeed|speedoverground|sog|gpsspeed|speedgps|gpsgroundspeed)$/, "groundSpeed_mps"],
  [/^(trk|track|cog|courseoverground|gpstrack|groundtrack|gpscourse|truetrack)$/, "track_rad"],
  [/^(ias|indicatedairspeed|airspeed|indicatedspeed|cas|kias|calibratedairspeed)$/, "ias_mps"],
  [/^(tas|trueairspeed|ktas)$/, "tas_mps"],
  [/^(roll|bank|rollangle|bankangle)$/, "roll_rad"],
  [/^(pitch|pitchangle)$/, "pitch_rad"],
  [/^(hdg|heading|headingtrue|trueheading|yaw)$/, "heading_rad"],
  [
    /^(accz|accelz|normac|normalacceleration|nz|g|gload|loadfactor|vertg|verticalg|verticalacceleration)$/,
    "loadFactor",
  ],
  [/^(oat|outsideairtemperature|outsideairtemp|outsideair)$/, "outsideAir_K"],
];
/** Columns of an engine; its number follows. */
const ENGINE_NAMES: readonly (readonly [RegExp, "rpm" | "fuelFlow" | "manifold" | "egt" | "cht" | "power"])[] = [
  [/^(rpm|enginerpm|enginespeed|proprpm|np)$/, "rpm"],
  [/^(ff|fuelflow|fflow|flow|fuelflowrate|kraftstofffluss)$/, "fuelFlow"],
  [/^(map|manifoldpressure|mp|manifold|ladedruck)$/, "manifold"],
  [/^(egt|exhaustgastemperature|exhaustgastemp|tit|itt)$/, "egt"],
  [/^(cht|cylinderheadtemperature|cylinderheadtemp)$/, "cht"],
  [/^(power|shaftpower|enginepower|shp|leistung)$/, "power"],
];
const UNIT_OF_ENGINE = { rpm: "", fuelFlow: "_m3ps", manifold: "_Pa", egt: "_K", cht: "_K", power: "_W" } as const;

interface Heading {
  readonly base: string;
  readonly engine: 1 | 2;
  readonly words: readonly string[];
}

const isUnit = (word: string) => Object.keys(CSV_UNITS).some((kind) => unitOfWord(kind as CsvKind, word) !== null);

/** `E1 FFlow (gal/h)` as its name, its engine and the words that may be a unit. */
function headingOf(heading: string): Heading {
  const words: string[] = [];
  let plain = heading.replace(/[([{]([^)\]}]*)[)\]}]/g, (_, unit: string) => {
    words.push(unit);
    return " ";
  });
  // A unit at the end before words are told apart by their capitals: `kW` is one.
  const tail = /[_\-. ]([^_\-. ]+)$/.exec(plain.trim());
  if (tail && /[a-z][A-Z]/.test(tail[1]) && isUnit(tail[1])) {
    words.push(tail[1]);
    plain = plain.trim().slice(0, tail.index);
  }
  plain = plain
    .replace(/([a-zäöü])([A-Z])/g, "$1 $2")
    .replace(/[_\-.]/g, " ")
    .trim()
    .toLowerCase();
  const parts = plain.split(/\s+/).filter(Boolean);
  let engine: 1 | 2 = 1;
  const ofEngine = /^(?:e|eng|engine)([12])$/;
  const rest = parts.filter((part, i) => {
    const numbered = ofEngine.exec(part);
    if (numbered) engine = numbered[1] === "2" ? 2 : 1;
    const side = i === 0 && parts.length > 1 && /^(l|left|r|right)$/.test(part);
    if (side) engine = part.startsWith("r") ? 2 : 1;
    return !numbered && !side;
  });
  const last = rest[rest.length - 1];
  if (rest.length > 1 && last !== undefined && isUnit(last)) {
    words.push(last);
    rest.pop();
  }
  return { base: rest.join(""), engine, words };
}

function nameOf({ base, engine }: Heading): ColumnName | null {
  const plain = base.replace(/[^a-zäöü0-9]/g, "");
  const found = NAMES.find(([pattern]) => pattern.test(plain));
  if (found) return found[1];
  // A figure after the name is the engine's, or of temperatures the cylinder's: the first stands for all.
  const numbered = /^([a-zäöü]+?)(\d*)$/.exec(plain);
  if (!numbered) return null;
  const ofEngine = ENGINE_NAMES.find(([pattern]) => pattern.test(numbered[1]));
  if (!ofEngine) return null;
  const cylinders = ofEngine[1] === "egt" || ofEngine[1] === "cht";
  const number = cylinders ? engine : numbered[2] === "2" ? 2 : engine;
  if (cylinders ? Number(numbered[2] || 1) !== 1 : Number(numbered[2] || 1) > 2) return null;
  return `${ofEngine[1]}${number}${UNIT_OF_ENGINE[ofEngine[1]]}` as ColumnName;
}

const figureOf = (text: string | undefined, decimalComma: boolean) => {
  const plain = (decimalComma ? (text ?? "").replace(",", ".") : (text ?? "")).trim();
  return /^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(plain) ? Number(plain) : NaN;
};

/** What figures tell of a unit that no word told. @returns null where they do not */
function unitOfFigures(name: ColumnName, figures: readonly number[]): string | null {
  const most = Math.max(...figures.map(Math.abs), 0);
  if (name.startsWith("egt")) return most > 1000 ? "degF" : null;
  if (name.startsWith("cht")) return most > 260 ? "degF" : null;
  if (name.startsWith("manifold")) return most > 200 ? "hPa" : null;
  if (name === "roll_rad" || name === "pitch_rad") return most > 0 && most <= 1.6 ? "rad" : "deg";
  if (name === "heading_rad" || name === "track_rad") return most > 6.3 ? "deg" : null;
  if (name === "loadFactor") return most > 0 && most < 6 ? "g" : "mps2";
  if (name.startsWith("rpm")) return "rpm";
  if (name === "elapsed") return "s";
  return null;
}

/** Most lines in which a heading is looked for, and rows whose figures are looked at. */
const [HEADING_LINES, LOOKED_AT] = [40, 400];

/** A layout as it was recognised, and what of it must be asked: columns whose unit is not known. */
export interface RecognisedLayout {
  readonly layout: CsvLayout;
  readonly asked: readonly number[];
}

/**
 * Recognises a table.
 *
 * The heading is the first of 40 lines with a latitude and a longitude; the separator is the one under which most
 * columns are known. A unit stands in brackets, at the end of a heading, or in a row of its own; what none of them
 * tells is told by the figures where they can be only one, or asked: heights, fuel flows, airspeeds are never guessed.
 *
 * @param placed - a heading has a position; that of a second recorder may have none
 * @returns null where there is no heading with a time and a position, or with a time and something else
 */
export function recogniseLayout(text: string, placed = true): RecognisedLayout | null {
  const lines = text.slice(0, 200_000).split(/\r?\n/, HEADING_LINES + LOOKED_AT);
  const split = (line: string | undefined, separator: string) =>
    (Papa.parse<string[]>(line ?? "", { delimiter: separator }).data[0] ?? []).slice(0, 200);
  let best: { line: number; separator: CsvLayout["separator"]; headings: string[]; known: number } | null = null;
  for (let i = 0; i < Math.min(HEADING_LINES, lines.length) && !best; i += 1)
    for (const separator of [",", ";", "\t"] as const) {
      const headings = split(lines[i], separator).map((heading) => heading.trim().slice(0, 200));
      const names = new Set(headings.map((heading) => nameOf(headingOf(heading))));
      // A line of the maker's above it may name a date and an aircraft; a heading has a place.
      const heads = placed
        ? names.has("latitude_deg") && names.has("longitude_deg")
        : TIMES.some((name) => names.has(name)) && [...names].filter((name) => name !== null).length > 1;
      if (heads && names.size > (best?.known ?? 0)) best = { line: i, separator, headings, known: names.size };
    }
  if (!best) return null;
  const { line, separator, headings } = best;
  const unitRow = split(lines[line + 1], separator);
  const isUnits =
    unitRow.filter((cell) => unitIn(cell)).length >= 2 && !unitRow.some((cell) => figureOf(cell, true) > 0);
  const skip = line + (isUnits ? 2 : 1);
  const rows = lines.slice(skip, skip + LOOKED_AT).map((row) => split(row, separator));
  const decimalComma = separator !== "," && rows.some((row) => row.some((cell) => /^\s*-?\d+,\d+\s*$/.test(cell)));
  const taken = new Set<ColumnName>();
  const columns = headings.map((heading, i): LayoutColumn => {
    const read = headingOf(heading);
    const name = nameInTable(nameOf(read), rows, i);
    if (!name || taken.has(name)) return { heading, name: null, unit: null };
    taken.add(name);
    const kind = kindOf(name);
    if (!kind) return { heading, name, unit: null };
    const words = [...read.words, ...(isUnits ? [unitRow[i] ?? ""] : [])].map((word) => word.replace(/[()[\]]/g, ""));
    const told = words.map((word) => unitOfWord(kind, word)).find((unit) => unit !== null);
    const figures = rows.map((row) => figureOf(row[i], decimalComma)).filter((value) => !Number.isNaN(value));
    return { heading, name, unit: told ?? unitOfFigures(name, figures) };
  });
  const has = (...names: ColumnName[]) => names.some((name) => taken.has(name));
  if (!has(...TIMES) || (placed && !(has("latitude_deg") && has("longitude_deg")))) return null;
  const asked = columns.flatMap(({ name, unit }, i) => (name && kindOf(name) && unit === null ? [i] : []));
  return { layout: { separator, decimalComma, skip, columns }, asked };
}

/** Whether a cell is a unit of any kind. */
function unitIn(cell: string): boolean {
  const word = cell.replace(/[()[\]]/g, "");
  return word !== "" && Object.keys(CSV_UNITS).some((kind) => unitOfWord(kind as CsvKind, word) !== null);
}

/** `time` holds a clock, a moment, or seconds: its first cell tells. */
function nameInTable(name: ColumnName | null, rows: readonly (readonly string[])[], i: number): ColumnName | null {
  if (name !== "clock" && name !== "elapsed" && name !== "moment") return name;
  const first = rows.map((row) => (row[i] ?? "").trim()).find((cell) => cell !== "") ?? "";
  if (/^\d{4}-\d\d-\d\d[T ]/.test(first)) return "moment";
  if (/^\d{1,2}:\d\d/.test(first)) return "clock";
  return /^\d/.test(first) ? "elapsed" : name;
}
