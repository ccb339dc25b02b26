// Units that tables write, and the factor and offset to SI of each.
import {
  G0,
  KG_PER_LB,
  M3_PER_IMPERIAL_GALLON,
  M3_PER_US_GALLON,
  M_PER_FT,
  M_PER_SM,
  MPS_PER_KT,
  PA_PER_INHG,
  ZERO_CELSIUS_K,
} from "../../quantities/constants";

/** Kinds of quantity of a table's columns. */
export type CsvKind =
  "angle" | "height" | "speed" | "load" | "rate" | "flow" | "pressure" | "temperature" | "power" | "seconds";

interface CsvUnit {
  /** As tables write it, lower case, without dots and blanks. */
  readonly words: readonly string[];
  readonly factor: number;
  readonly offset?: number;
}

/** Mass of a litre of aviation petrol, kg: for tables that weigh their fuel. Common practice. */
const KG_PER_L = 0.72;
const HOUR_S = 3600;
/** A mechanical and a metric horsepower, W. */
const [W_PER_HP, W_PER_PS] = [745.6998715822702, 735.49875];

/** By kind and by the name that a layout keeps. */
export const CSV_UNITS: Readonly<Record<CsvKind, Readonly<Record<string, CsvUnit>>>> = {
  angle: {
    deg: { words: ["deg", "degree", "degrees", "°", "grad"], factor: Math.PI / 180 },
    rad: { words: ["rad", "radian", "radians"], factor: 1 },
  },
  height: {
    ft: { words: ["ft", "feet", "foot", "ftmsl", "ftagl", "ftwgs", "ftgps", "ftbaro"], factor: M_PER_FT },
    m: { words: ["m", "meter", "meters", "metre", "metres", "mmsl"], factor: 1 },
  },
  speed: {
    kt: { words: ["kt", "kts", "knot", "knots", "kn"], factor: MPS_PER_KT },
    kmh: { words: ["km/h", "kmh", "kph", "kmph"], factor: 1 / 3.6 },
    mph: { words: ["mph", "mi/h"], factor: M_PER_SM / HOUR_S },
    mps: { words: ["m/s", "mps", "ms"], factor: 1 },
  },
  load: {
    g: { words: ["g", "gs"], factor: 1 },
    mps2: { words: ["m/s2", "m/s^2", "m/s²", "mps2"], factor: 1 / G0 },
  },
  rate: { rpm: { words: ["rpm", "1/min", "r/min", "u/min"], factor: 1 } },
  flow: {
    gph: { words: ["gal/h", "gph", "gal/hr", "usgal/h", "usg/h", "gallh"], factor: M3_PER_US_GALLON / HOUR_S },
    impgph: { words: ["impgal/h", "igph"], factor: M3_PER_IMPERIAL_GALLON / HOUR_S },
    m3ps: { words: ["m3/s", "m³/s"], factor: 1 },
    lph: { words: ["l/h", "lph", "l/hr", "ltr/h"], factor: 0.001 / HOUR_S },
    kgph: { words: ["kg/h", "kgph", "kg/hr"], factor: 0.001 / KG_PER_L / HOUR_S },
    pph: { words: ["lb/h", "pph", "lbs/h", "lb/hr"], factor: (0.001 * KG_PER_LB) / KG_PER_L / HOUR_S },
  },
  pressure: {
    inHg: { words: ["inhg", "hg", "in", "inches", "in.hg"], factor: PA_PER_INHG },
    Pa: { words: ["pa", "pascal"], factor: 1 },
    hPa: { words: ["hpa", "mbar", "mb"], factor: 100 },
    kPa: { words: ["kpa"], factor: 1000 },
    bar: { words: ["bar"], factor: 100_000 },
  },
  temperature: {
    degC: { words: ["c", "°c", "degc", "celsius"], factor: 1, offset: ZERO_CELSIUS_K },
    degF: { words: ["f", "°f", "degf", "fahrenheit"], factor: 5 / 9, offset: ZERO_CELSIUS_K - 32 * (5 / 9) },
    K: { words: ["k", "kelvin"], factor: 1 },
  },
  power: {
    W: { words: ["w", "watt", "watts"], factor: 1 },
    kW: { words: ["kw", "kilowatt", "kilowatts"], factor: 1000 },
    hp: { words: ["hp", "shp", "bhp"], factor: W_PER_HP },
    ps: { words: ["ps"], factor: W_PER_PS },
  },
  seconds: {
    s: { words: ["s", "sec", "secs", "second", "seconds"], factor: 1 },
    ms: { words: ["ms", "msec", "millis", "milliseconds"], factor: 0.001 },
    min: { words: ["min", "minutes"], factor: 60 },
  },
};

/** The unit of a kind that a word means; null for none. */
export function unitOfWord(kind: CsvKind, word: string): string | null {
  const plain = word.toLowerCase().replace(/[\s.]/g, "");
  return Object.entries(CSV_UNITS[kind]).find(([, { words }]) => words.includes(plain))?.[0] ?? null;
}
