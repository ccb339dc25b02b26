// A simulated flight as a trace that exercises are scored from.
import { type TraceChannel, TRACE_CHANNELS } from "../simulation/flight-trace";
import type { Trace } from "./trace";

/** Most rows: an hour at ten a second. */
const MOST_ROWS = 36_000;

/**
 * The trace of a flight.
 *
 * @param rows - of the flight's own trace
 * @param from - the row that it is judged from: the failure's, say
 */
export function flownTrace(rows: readonly (readonly number[])[], from: number): Trace {
  const judged = rows.slice(Math.max(0, Math.min(from, rows.length - 1)), rows.length).slice(0, MOST_ROWS);
  const channel = (name: TraceChannel) => {
    const at = TRACE_CHANNELS.indexOf(name);
    return judged.map((row) => row[at]);
  };
  return {
    source: "simulator",
    time_s: channel("time_s"),
    channels: {
      height: channel("height_m"),
      heading: channel("heading_rad"),
      speed: channel("ias_mps"),
      bank: channel("bank_rad"),
      verticalSpeed: channel("climb_mps"),
    },
  };
}
