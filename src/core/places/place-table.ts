// Places from a table of any column names: one row a place or a runway. Nothing is taken of a row that is at fault.
import { type LatLon, destination } from "../earth/geodesic";
import { magneticVariation } from "../earth/magnetic-variation";
import { parsePosition } from "../earth/parse-position";
import { M_PER_FT } from "../quantities/constants";
import { radians } from "../quantities/angle";
import { newAerodrome, newSite } from "./new-place";
import { type Aerodrome, Place, type Surface, isAerodrome } from "./place";
import { placeFaults } from "./place-faults";

/** What a column may hold. */
export const TABLE_FIELDS = [
  "name",
  "kind",
  "position",
  "latitude",
  "longitude",
  "elevation",
  "runway",
  "direction",
  "length",
  "width",
  "surface",
  "latitude1",
  "longitude1",
  "latitude2",
  "longitude2",
  "notes",
] as const;
/** @see TABLE_FIELDS */
export type TableField = (typeof TABLE_FIELDS)[number];

/** Which column holds what. */
export type TableColumns = Readonly<Partial<Record<TableField, number>>>;

/** Words that columns are called by, without case and signs. */
const NAMES: Record<TableField, RegExp> = {
  name: /^(name|place|title|ident|designation|ort|platz|nom|nombre)$/,
  kind: /^(kind|type|art)$/,
  position: /^(position|pos|coordinates?|koordinaten|latlon|latlong)$/,
  latitude: /^(lat|latitude|latitudedeg|breite|y|north|n)$/,
  longitude: /^(lon|long|lng|longitude|longitudedeg|länge|laenge|x|east|e)$/,
  elevation: /^(elev|elevation|elevationm|elevationft|altitude|alt|hoehe|höhe|height)$/,
  runway: /^(runway|runways|rwy|rwys|piste|bahn|ends|designator|designators)$/,
  direction: /^(direction|directiontrue|heading|headingtrue|hdg|bearing|course|richtung)$/,
  length: /^(length|lengthm|lengthft|len|länge|laenge|rwylength|runwaylength)$/,
  width: /^(width|widthm|widthft|breite|rwywidth|runwaywidth)$/,
  surface: /^(surface|surf|belag|revetement)$/,
  latitude1: /^(lat1|latitude1|threshold1lat|thr1lat|alat|lata)$/,
  longitude1: /^(lon1|long1|longitude1|threshold1lon|thr1lon|alon|lona)$/,
  latitude2: /^(lat2|latitude2|threshold2lat|thr2lat|blat|latb)$/,
  longitude2: /^(lon2|long2|longitude2|threshold2lon|thr2lon|blon|lonb)$/,
  notes: /^(notes?|remarks?|comments?|bemerkung|description|desc)$/,
};

/** Guesses from their names which columns hold what: the first of each kind. */
export function guessColumns(header: readonly string[]): TableColumns {
  const columns: Partial<Record<TableField, number>> = {};
  header.forEach((name, i) => {
    const plain = name
      .toLowerCase()
      .replace(/\(.*?\)|\[.*?\]/g, "")
      .replace(/[^a-zäöüé0-9]/g, "");
    const field = TABLE_FIELDS.find((candidate) => NAMES[candidate].test(plain) && columns[candidate] === undefined);
    if (field) columns[field] = i;
  });
  return columns;
}

/** Units of a table that does not say them beside its figures. */
export interface TableUnits {
  readonly elevation: "m" | "ft";
  readonly length: "m" | "ft";
}

/** What a table's names say of its units: `elevation_ft`, `length (m)`. */
export function guessUnits(header: readonly string[], columns: TableColumns): TableUnits {
  const unit = (field: TableField) => {
    const i = columns[field];
    return i !== undefined && /(^|[^a-z])(ft|feet)([^a-z]|$)/i.test(header[i]) ? "ft" : "m";
  };
  return { elevation: unit("elevation"), length: unit("length") };
}

/** A place that was read, and from which line. */
export interface ReadPlace {
  readonly line: number;
  readonly place: Place;
}

/** Why a line gave none. */
export interface LineFault {
  readonly line: number;
  readonly message: string;
}

/** What a file held. */
export interface ReadPlaces {
  readonly places: readonly ReadPlace[];
  readonly faults: readonly LineFault[];
}

interface Reading {
  readonly newId: () => string;
  readonly day: Date;
  readonly units: TableUnits;
}

/** Most rows that are read of one file. */
export const MOST_ROWS = 5000;

class Fault extends Error {}

/** A number with a point or a comma, and perhaps its unit; null for nothing. */
function lengthIn(text: string, what: string, unit: "m" | "ft"): number | null {
  const match = /^\s*([+-]?\d+(?:[.,]\d+)?)\s*(m|ft|feet|'|km)?\s*$/i.exec(text.replaceAll("−", "-"));
  if (text.trim() === "") return null;
  if (!match) throw new Fault(`${what} “${text.trim()}” is not a number.`);
  const value = Number(match[1].replace(",", "."));
  const said = match[2]?.toLowerCase() ?? unit;
  return said === "m" ? value : said === "km" ? value * 1000 : value * M_PER_FT;
}

/**
 * Places from the rows of a table. Rows of one name that follow one another are runways of one aerodrome.
 *
 * @param rows - without the header
 * @param firstLine - number of the first of them in the file
 */
export function placesOfTable(
  rows: readonly (readonly string[])[],
  columns: TableColumns,
  reading: Reading,
  firstLine = 2,
): ReadPlaces {
  const places: ReadPlace[] = [];
  const faults: LineFault[] = [];
  rows.slice(0, MOST_ROWS).forEach((row, i) => {
    const line = firstLine + i;
    if (row.every((cell) => cell.trim() === "")) return;
    try {
      const place = placeOfRow(row, columns, reading);
      const before = places.at(-1);
      if (before && isAerodrome(place) && isAerodrome(before.place) && before.place.name === place.name) {
        const joined = checked({ ...before.place, runways: [...before.place.runways, ...place.runways] }, reading.day);
        places[places.length - 1] = { ...before, place: joined };
      } else places.push({ line, place: checked(place, reading.day) });
    } catch (error) {
      if (!(error instanceof Fault)) throw error;
      faults.push({ line, message: error.message });
    }
  });
  if (rows.length > MOST_ROWS)
    faults.push({ line: firstLine + MOST_ROWS, message: `At most ${MOST_ROWS} rows are read; the others were left.` });
  return { places, faults };
}

/** @throws {Fault} for a place that cannot be */
function checked(place: Place, day: Date): Place {
  const parsed = Place.safeParse(place);
  if (!parsed.success) throw new Fault(parsed.error.issues[0].message);
  const fault = placeFaults(parsed.data, day).find(({ severity }) => severity === "fault");
  if (fault) throw new Fault(fault.message);
  return parsed.data;
}

function placeOfRow(row: readonly string[], columns: TableColumns, { newId, day, units }: Reading): Place {
  const cell = (field: TableField) => {
    const i = columns[field];
    return i === undefined ? "" : (row[i] ?? "").trim();
  };
  const name = cell("name");
  if (name === "") throw new Fault("A name is needed.");
  const kind = kindOf(cell("kind"));
  const ends = endsOf(cell, units, day);
  const position = ends ? null : positionOf(cell("position"), cell("latitude"), cell("longitude"));
  const made = {
    newId,
    name,
    day,
    elevation_m: lengthIn(cell("elevation"), "The elevation", units.elevation) ?? 0,
  };
  if (kind === "field" || kind === "beach" || kind === "water") {
    if (!ends) throw new Fault(`A ${kind} needs two ends, or a direction and a length.`);
    const site = newSite(kind, ends, null, made);
    const width_m = lengthIn(cell("width"), "The width", units.length);
    return {
      ...site,
      lookedAt: null,
      notes: cell("notes"),
      strip: { ...site.strip, ...(width_m === null ? {} : { width_m }) },
    } as Place;
  }
  const aerodrome = newAerodrome(ends ?? position ?? { latitude_deg: 0, longitude_deg: 0 }, made);
  return {
    ...aerodrome,
    kind: kind === "helipad" ? "helipad" : "aerodrome",
    notes: cell("notes"),
    runways: aerodrome.runways.map((runway) => described(runway, cell, units)),
  };
}

function described(
  runway: Aerodrome["runways"][number],
  cell: (field: TableField) => string,
  units: TableUnits,
): Aerodrome["runways"][number] {
  const width_m = lengthIn(cell("width"), "The width", units.length);
  const surface = surfaceOf(cell("surface"));
  const names = cell("runway")
    .split(/[/\-–]/)
    .map((name) => name.trim().toUpperCase());
  const [a, b] = runway.ends;
  const named = names.length === 2 && names.every((name) => name.length > 0 && name.length <= 12);
  return {
    ...runway,
    ...(width_m === null ? {} : { width_m }),
    ...(surface ? { surface } : {}),
    ends: named
      ? [
          { ...a, designator: padded(names[0]) },
          { ...b, designator: padded(names[1]) },
        ]
      : [a, b],
  };
}

/** "9" is painted "09". */
const padded = (name: string) => (/^\d[LRC]?$/.test(name) ? `0${name}` : name);

function kindOf(text: string): Place["kind"] {
  const plain = text.toLowerCase();
  if (/heli/.test(plain)) return "helipad";
  if (/field|wiese|meadow|paddock/.test(plain) && !/air/.test(plain)) return "field";
  if (/beach|strand|sand/.test(plain)) return "beach";
  if (/water|lake|see|bay/.test(plain)) return "water";
  return "aerodrome";
}

const SURFACES: readonly (readonly [RegExp, Exclude<Surface, "water">])[] = [
  [/asph|tarmac|bitum|paved/, "asphalt"],
  [/conc|beton/, "concrete"],
  [/grav|kies|dirt|earth/, "gravel"],
  [/gras|turf|wiese/, "grass"],
  [/sand/, "sand"],
];

function surfaceOf(text: string): Exclude<Surface, "water"> | null {
  if (text === "") return null;
  const found = SURFACES.find(([pattern]) => pattern.test(text.toLowerCase()));
  if (!found) throw new Fault(`The surface “${text}” is not known: ${SURFACES.map(([, name]) => name).join(", ")}.`);
  return found[1];
}

function positionOf(whole: string, latitude: string, longitude: string): LatLon {
  const angle = (text: string) => text.replace(",", ".");
  if (whole === "" && (latitude === "" || longitude === "")) throw new Fault("A position is needed.");
  const read = parsePosition(whole !== "" ? whole : `${angle(latitude)}; ${angle(longitude)}`);
  if (!read.ok) throw new Fault(read.issue.message);
  return read.value;
}

/** The two thresholds of a row; null where it has only a position. */
function endsOf(cell: (field: TableField) => string, units: TableUnits, day: Date): readonly [LatLon, LatLon] | null {
  if (cell("latitude1") !== "" || cell("latitude2") !== "")
    return [
      positionOf("", cell("latitude1"), cell("longitude1")),
      positionOf("", cell("latitude2"), cell("longitude2")),
    ];
  const length_m = lengthIn(cell("length"), "The length", units.length);
  const direction = cell("direction");
  const number = /^\s*(\d{1,2})\s*[LRC]?\s*(?:[/\-–]|$)/i.exec(cell("runway"));
  if (length_m === null || (direction === "" && !number)) return null;
  const middle = positionOf(cell("position"), cell("latitude"), cell("longitude"));
  const heading_rad =
    direction !== ""
      ? directionOf(direction)
      : radians(Number(number?.[1]) * 10) + magneticVariation(middle, day).variation_rad;
  return [destination(middle, heading_rad + Math.PI, length_m / 2), destination(middle, heading_rad, length_m / 2)];
}

/** A true direction in degrees. */
function directionOf(text: string): number {
  const value = Number(text.replace(",", ".").replace(/\s*°\s*T?$/i, ""));
  if (!(value >= 0 && value <= 360)) throw new Fault(`The direction “${text}” is not 0 to 360°.`);
  return radians(value);
}
