// Units at the edges: every kind of quantity with the units a pilot may choose. Inside the core everything is SI.
import {
  G0,
  KG_PER_LB,
  M3_PER_IMPERIAL_GALLON,
  M3_PER_US_GALLON,
  M_PER_FT,
  M_PER_NMI,
  M_PER_SM,
  MPS_PER_KT,
  PA_PER_INHG,
  W_PER_HP,
  ZERO_CELSIUS_K,
} from "./constants";

/** SI value = shown · factor + offset. */
interface Unit {
  readonly label: string;
  readonly factor: number;
  readonly offset?: number;
  /** Decimals that the value deserves when shown. */
  readonly digits: number;
  /** Round the shown value to this step (heights to 10 ft); 1 when left out. */
  readonly step?: number;
  /** No gap between thousands: 1016 hPa is never written otherwise. */
  readonly plain?: boolean;
}

/** The kinds of quantity and their units; the first of each is the default. */
export const UNITS = {
  speed: {
    kt: { label: "kt", factor: MPS_PER_KT, digits: 0 },
    mph: { label: "mph", factor: M_PER_SM / 3600, digits: 0 },
    kmh: { label: "km/h", factor: 1 / 3.6, digits: 0 },
  },
  height: {
    ft: { label: "ft", factor: M_PER_FT, digits: 0, step: 10 },
    m: { label: "m", factor: 1, digits: 0 },
  },
  distance: {
    nmi: { label: "NM", factor: M_PER_NMI, digits: 1 },
    sm: { label: "sm", factor: M_PER_SM, digits: 1 },
    km: { label: "km", factor: 1000, digits: 1 },
  },
  length: {
    m: { label: "m", factor: 1, digits: 0, step: 10 },
    ft: { label: "ft", factor: M_PER_FT, digits: 0, step: 10 },
  },
  mass: {
    kg: { label: "kg", factor: 1, digits: 0 },
    lb: { label: "lb", factor: KG_PER_LB, digits: 0 },
    t: { label: "t", factor: 1000, digits: 2 },
  },
  pressure: {
    hPa: { label: "hPa", factor: 100, digits: 0, plain: true },
    inHg: { label: "inHg", factor: PA_PER_INHG, digits: 2 },
  },
  temperature: {
    degC: { label: "°C", factor: 1, offset: ZERO_CELSIUS_K, digits: 0 },
    degF: { label: "°F", factor: 5 / 9, offset: ZERO_CELSIUS_K - 32 * (5 / 9), digits: 0 },
  },
  verticalSpeed: {
    fpm: { label: "ft/min", factor: M_PER_FT / 60, digits: 0, step: 10 },
    mps: { label: "m/s", factor: 1, digits: 1 },
  },
  force: {
    lbf: { label: "lbf", factor: KG_PER_LB * G0, digits: 0 },
    daN: { label: "daN", factor: 10, digits: 0 },
    N: { label: "N", factor: 1, digits: 0, step: 10 },
  },
  power: {
    kW: { label: "kW", factor: 1000, digits: 0 },
    hp: { label: "hp", factor: W_PER_HP, digits: 0 },
  },
  glide: {
    ratio: { label: ":1", factor: 1, digits: 1 },
    nmi: { label: "NM/1\u202f000 ft", factor: M_PER_NMI / (1000 * M_PER_FT), digits: 2 },
    ft: { label: "ft/1\u202f000 ft", factor: 0.001, digits: 0, step: 10 },
  },
  area: {
    m2: { label: "m²", factor: 1, digits: 1 },
    ft2: { label: "ft²", factor: M_PER_FT ** 2, digits: 0 },
  },
  dimension: {
    m: { label: "m", factor: 1, digits: 3 },
    ft: { label: "ft", factor: M_PER_FT, digits: 2 },
    in: { label: "in", factor: M_PER_FT / 12, digits: 1 },
  },
  volume: {
    L: { label: "L", factor: 0.001, digits: 0 },
    usgal: { label: "US gal", factor: M3_PER_US_GALLON, digits: 1 },
    impgal: { label: "imp gal", factor: M3_PER_IMPERIAL_GALLON, digits: 1 },
  },
} as const satisfies Record<string, Record<string, Unit>>;

/** A kind of quantity with a choice of units. */
export type QuantityKind = keyof typeof UNITS;

/** The unit chosen for each kind. */
export type UnitChoice = { [K in QuantityKind]: keyof (typeof UNITS)[K] & string };

/** What a pilot of most countries expects. */
export const DEFAULT_UNITS: UnitChoice = {
  speed: "kt",
  height: "ft",
  distance: "nmi",
  length: "m",
  mass: "kg",
  pressure: "hPa",
  temperature: "degC",
  verticalSpeed: "fpm",
  force: "lbf",
  power: "kW",
  glide: "ratio",
  area: "m2",
  dimension: "m",
  volume: "L",
};

/** The unit's entry; the default one when the name is unknown (a stored choice of an older version). */
export function unitOf(kind: QuantityKind, name: string): Unit {
  const units: Record<string, Unit> = UNITS[kind];
  return units[name] ?? units[DEFAULT_UNITS[kind]];
}

/** SI from a value in a unit: `toSi("speed", "kt", 60)` is 30.87 m/s. */
export function toSi(kind: QuantityKind, name: string, shown: number): number {
  const unit = unitOf(kind, name);
  return shown * unit.factor + (unit.offset ?? 0);
}

/** Value in a unit from SI, unrounded. */
export function fromSi(kind: QuantityKind, name: string, si: number): number {
  const unit = unitOf(kind, name);
  return (si - (unit.offset ?? 0)) / unit.factor;
}

/**
 * Digits as they are shown, without the unit: rounded to what the value deserves, thin spaces between thousands.
 *
 * @returns "1 620"; "–" for a value that is not finite
 */
export function formatNumber(value: number, digits = 0, step = 1): string {
  if (!Number.isFinite(value)) return "–";
  const rounded = step === 1 ? value : Math.round(value / step) * step;
  const [whole, fraction] = Math.abs(rounded).toFixed(digits).split(".");
  const grouped = whole.length > 3 ? whole.replace(/\B(?=(\d{3})+$)/g, "\u202f") : whole;
  const negative = rounded < 0 && (Number(whole) !== 0 || Number(fraction ?? 0) !== 0);
  return `${negative ? "−" : ""}${grouped}${fraction ? `.${fraction}` : ""}`;
}

/** How a figure is rounded: margins down, shortfalls up, everything else to the nearest. */
export type Rounding = "nearest" | "down" | "up";

/** SI value in the chosen unit, rounded, with the unit after a space that does not break: "1 620 ft". */
export function formatSi(kind: QuantityKind, name: string, si: number, rounding: Rounding = "nearest"): string {
  const unit = unitOf(kind, name);
  const step = unit.step ?? 10 ** -unit.digits;
  // A ten-thousandth of a step forgives the conversion: 500 ft in metres are 500 ft again, 10 kt in five figures 10 kt.
  const steps = fromSi(kind, name, si) / step;
  const value =
    rounding === "nearest"
      ? fromSi(kind, name, si)
      : (rounding === "down" ? Math.floor(steps + 1e-4) : Math.ceil(steps - 1e-4)) * step;
  const number = formatNumber(value, unit.digits, unit.step);
  return `${unit.plain ? number.replace("\u202f", "") : number}\u00a0${unit.label}`;
}

/** A height for a message that does not know the reader's units. */
export function heightInBothUnits(height_m: number): string {
  return `${formatSi("height", "ft", height_m)} (${formatSi("height", "m", height_m)})`;
}
