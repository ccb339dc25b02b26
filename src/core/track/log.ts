// A flight log as it was read: times and columns of numbers. What a log does not have is not in it; what it does not
// know at a moment is NaN there. Everything in SI; angles from true north.
import type { Issue } from "../outcome";

/** What a log may hold, with the least and the greatest value that is believed. */
export const LOG_COLUMNS = {
  latitude_deg: [-90, 90],
  longitude_deg: [-180, 180],
  /** Over mean sea level by the receiver. */
  altitudeGps_m: [-500, 25_000],
  /** In the standard atmosphere. */
  altitudePressure_m: [-1500, 25_000],
  groundSpeed_mps: [0, 400],
  track_rad: [-7, 7],
  ias_mps: [0, 400],
  tas_mps: [0, 400],
  /** Right wing down. */
  roll_rad: [-4, 4],
  pitch_rad: [-2, 2],
  heading_rad: [-7, 7],
  /** Along the aeroplane's own upward axis, of g: 1 at rest. */
  loadFactor: [-20, 20],
  outsideAir_K: [150, 350],
  rpm1: [0, 60_000],
  rpm2: [0, 60_000],
  fuelFlow1_m3ps: [0, 0.01],
  fuelFlow2_m3ps: [0, 0.01],
  manifold1_Pa: [0, 400_000],
  manifold2_Pa: [0, 400_000],
  egt1_K: [200, 2000],
  egt2_K: [200, 2000],
  cht1_K: [200, 1000],
  cht2_K: [200, 1000],
  /** On the shaft of a helicopter's engine. */
  power1_W: [0, 5_000_000],
  power2_W: [0, 5_000_000],
} as const satisfies Record<string, readonly [number, number]>;

/** @see LOG_COLUMNS */
export type LogColumn = keyof typeof LOG_COLUMNS;

/** A line that could not be read. */
export interface LogFault {
  /** As the file counts them, from 1. */
  readonly line: number;
  readonly message: string;
}

/** @see LogBuilder */
export interface FlightLog {
  readonly format: "igc" | "gpx" | "nmea" | "csv";
  /** Seconds since 1970, UTC; since the beginning of the recording where it does not tell. */
  readonly time_s: Float64Array;
  readonly clock: "utc" | "elapsed";
  readonly columns: Readonly<Partial<Record<LogColumn, Float64Array>>>;
  /** The first of them; `faultCount` counts all. */
  readonly faults: readonly LogFault[];
  readonly faultCount: number;
  /** What the file calls the aircraft. */
  readonly aircraft: string | null;
}

/** Most fixes of a log: ten hours at ten a second, and as much again. */
export const MOST_FIXES = 720_000;
/** Most faults that are kept by line. */
const MOST_FAULTS = 200;
const FIRST_CAPACITY = 4096;

function grown(values: Float64Array, capacity: number): Float64Array {
  const more = new Float64Array(capacity).fill(NaN);
  more.set(values);
  return more;
}

/** Gathers a log fix by fix. Values out of bounds are left out and told as a fault of their line. */
export class LogBuilder {
  #time: Float64Array = new Float64Array(FIRST_CAPACITY);
  readonly #columns = new Map<LogColumn, Float64Array>();
  #length = 0;
  readonly #faults: LogFault[] = [];
  #faultCount = 0;

  /** Begins a fix. @returns false when there is room for no more */
  begin(time_s: number): boolean {
    if (this.#length >= MOST_FIXES) return false;
    if (this.#length === this.#time.length) {
      const capacity = Math.min(this.#time.length * 2, MOST_FIXES);
      this.#time = grown(this.#time, capacity);
      for (const [name, values] of this.#columns) this.#columns.set(name, grown(values, capacity));
    }
    this.#time[this.#length] = time_s;
    this.#length += 1;
    return true;
  }

  /** A value of the fix that was begun; NaN for none. */
  set(column: LogColumn, value: number, line: number): void {
    if (Number.isNaN(value)) return;
    const [least, most] = LOG_COLUMNS[column];
    if (!(value >= least && value <= most)) {
      this.fault(line, `${column} cannot be ${Number.isFinite(value) ? Number(value.toPrecision(6)) : "that much"}.`);
      return;
    }
    let values = this.#columns.get(column);
    if (!values) {
      values = new Float64Array(this.#time.length).fill(NaN);
      this.#columns.set(column, values);
    }
    values[this.#length - 1] = value;
  }

  /** Keeps a fault. */
  fault(line: number, message: string): void {
    this.#faultCount += 1;
    if (this.#faults.length < MOST_FAULTS) this.#faults.push({ line, message });
  }

  /** What was gathered. */
  log(of: Pick<FlightLog, "format" | "clock" | "aircraft">): FlightLog {
    const columns: Partial<Record<LogColumn, Float64Array>> = {};
    for (const [name, values] of this.#columns) columns[name] = values.slice(0, this.#length);
    return {
      ...of,
      time_s: this.#time.slice(0, this.#length),
      columns,
      faults: this.#faults,
      faultCount: this.#faultCount,
    };
  }
}

/** Told how far reading is, 0 to 1; returns false to end it. */
export type ReadProgress = (share: number) => boolean;

/** Why a file is no log, or that it was given up. */
export const NO_LOG: Readonly<Record<"empty" | "cancelled" | "unknown", Issue>> = {
  empty: { code: "no_fixes", path: "", message: "There is no position with a time in this file." },
  cancelled: { code: "cancelled", path: "", message: "Reading was given up." },
  unknown: {
    code: "no_log",
    path: "",
    message: "This is no flight log: IGC, GPX 1.1, NMEA 0183 and tables (CSV) of times and positions are read.",
  },
};
