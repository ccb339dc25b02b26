// Rows of a flight's trace as a glide: where each figure stands, from when on it glides, when it was acted, when it
// turns.
import { TRACE_CHANNELS, TRACE_HZ, type TraceChannel } from "../simulation/flight-trace";

/** A row of the trace of a flight. */
export type Row = readonly number[];

const column = (channel: TraceChannel) => TRACE_CHANNELS.indexOf(channel);
/** Where each figure stands in a row. */
export const AT = {
  time: column("time_s"),
  north: column("north_m"),
  east: column("east_m"),
  altitude: column("altitude_m"),
  height: column("height_m"),
  ias: column("ias_mps"),
  tas: column("tas_mps"),
  climb: column("climb_mps"),
  bank: column("bank_rad"),
  pitch: column("pitch_rad"),
  heading: column("heading_rad"),
  beta: column("beta_rad"),
  ball: column("ball"),
  load: column("loadFactor"),
  overStall: column("overStall"),
  stickRight: column("stickRight"),
  foot: column("rightFoot"),
  rpm1: column("rpm1"),
  throttle0: column("throttle0"),
  throttle1: column("throttle1"),
  thrust0: column("thrust0_N"),
  thrust1: column("thrust1_N"),
  flap: column("flap"),
  gear: column("gear"),
  touch: column("touch"),
  power0: column("power0_W"),
  power1: column("power1_W"),
};

/** Levers that a trace shows. */
const LEVERS = [AT.throttle0, AT.throttle1, AT.flap, AT.gear];
/** Something is done when bank, nose or a lever have moved so far from where they were. Common practice. */
const [ACTED_BANK_RAD, ACTED_PITCH_RAD, ACTED_LEVER] = [(5 * Math.PI) / 180, (3 * Math.PI) / 180, 0.05];
/** Banked more than this for a while it turns; a while, rows to each side. */
const [TURNS_RAD, WHILE] = [(10 * Math.PI) / 180, TRACE_HZ];
/** Lower than this it is landed, m. */
const FLARE_M = 15;
/** An engine of a helicopter that gives less has gone out, W. */
const NO_POWER_W = 1000;
/** In the air once it was so high, m. */
const ALOFT_M = 3;

/** The row from which on it is judged: since the first engine stopped pulling in the air; the first where none did. */
export function failedFrom(rows: readonly Row[]): number {
  // Engines of a helicopter give power, all others pull.
  const driven = rows.some((row) => row[AT.power0] > 0 || row[AT.power1] > 0);
  const [first0, first1, none] = driven ? [AT.power0, AT.power1, NO_POWER_W] : [AT.thrust0, AT.thrust1, 0];
  const pulls = (row: Row) => row[first0] > none && (row[AT.rpm1] === 0 || row[first1] > none);
  const ran = rows.findIndex(pulls);
  const first = rows.findIndex((row, i) => i > ran && ran >= 0 && !pulls(row) && row[AT.touch] === 0);
  return first < 0 ? 0 : first;
}

/**
 * The side of the one engine of two that pulls while the other drags: −1 left, 1 right; 0 where both do the same, and
 * of one engine.
 */
export function liveSide(left_N: number, right_N: number): -1 | 0 | 1 {
  if (left_N > 0 && right_N < 0) return -1;
  return right_N > 0 && left_N < 0 ? 1 : 0;
}

/** The touch: where, how fast, how hard; null where it never was in the air and touched. */
export function touchOf(rows: readonly Row[]) {
  const aloft = rows.findIndex((row) => row[AT.touch] === 0 && row[AT.height] > ALOFT_M);
  const i = rows.findIndex((row, k) => aloft >= 0 && k > aloft && row[AT.touch] === 1);
  if (i < 0) return null;
  const before = rows[i - 1];
  return {
    row: i,
    time_s: rows[i][AT.time],
    north_m: rows[i][AT.north],
    east_m: rows[i][AT.east],
    sink_mps: -before[AT.climb],
    ias_mps: before[AT.ias],
  };
}

/** From a row until it is landed. */
export function gliding(rows: readonly Row[], from: number): readonly Row[] {
  const begun = rows.slice(Math.max(from, 0));
  const end = begun.findIndex((row) => row[AT.touch] === 1 || row[AT.height] < FLARE_M);
  return end < 0 ? begun : begun.slice(0, end);
}

/** The row at which something is done; the last where nothing is. */
export function actedAt(rows: readonly Row[]): number {
  const [first] = rows;
  const moved = (row: Row, at: number, by: number) => Math.abs(row[at] - first[at]) > by;
  const at = rows.findIndex(
    (row) =>
      moved(row, AT.bank, ACTED_BANK_RAD) ||
      moved(row, AT.pitch, ACTED_PITCH_RAD) ||
      LEVERS.some((lever) => moved(row, lever, ACTED_LEVER)),
  );
  return at < 0 ? rows.length - 1 : at;
}

/** Whether it turns, row by row: banked over a while. */
export function turningAt(rows: readonly Row[]): boolean[] {
  const sums = [0];
  for (const row of rows) sums.push(sums[sums.length - 1] + row[AT.bank]);
  return rows.map((_, i) => {
    const [low, high] = [Math.max(i - WHILE, 0), Math.min(i + WHILE + 1, rows.length)];
    return Math.abs((sums[high] - sums[low]) / (high - low)) > TURNS_RAD;
  });
}

/** Change of heading over some rows, left and right alike. */
export function turned_rad(rows: readonly Row[]): number {
  const by = rows[rows.length - 1][AT.heading] - rows[0][AT.heading];
  return Math.abs(by - 2 * Math.PI * Math.round(by / (2 * Math.PI)));
}
