import { LOG_COLUMNS, type FlightLog, type LogColumn } from "../log";

/** Longer than so many of its intervals, and than this, a second recorder's silence is not bridged. */
const [MOST_INTERVALS, LEAST_HOLE_S] = [3.5, 2.5];

const isAngle = (name: LogColumn) => name.endsWith("_rad") || name.endsWith("_deg");

/**
 * A log with what a second recorder of the same flight has besides: columns that the first lacks, at the first's times.
 *
 * @param offset_s - to be added to the second's times
 */
export function mergedLog(first: FlightLog, second: FlightLog, offset_s: number): FlightLog {
  const names = (Object.keys(LOG_COLUMNS) as LogColumn[]).filter(
    (name) => second.columns[name] && !first.columns[name]?.some(Number.isFinite),
  );
  const order = Array.from(second.time_s, (_, i) => i).sort((i, j) => second.time_s[i] - second.time_s[j]);
  const times = Float64Array.from(order, (i) => second.time_s[i] + offset_s);
  const steps = times.slice(1).map((t, i) => t - times[i]);
  const median_s = [...steps].sort((a, b) => a - b)[steps.length >> 1] ?? 0;
  const hole_s = Math.max(MOST_INTERVALS * median_s, LEAST_HOLE_S);
  const columns: Partial<Record<LogColumn, Float64Array>> = { ...first.columns };
  for (const name of names) {
    const values = second.columns[name];
    if (!values) continue;
    const sorted = Float64Array.from(order, (i) => values[i]);
    let at = 0;
    columns[name] = first.time_s.map((wanted) => {
      // The first's times may be set back: begin anew.
      if (at > 0 && times[at] > wanted) at = 0;
      while (at < times.length - 2 && times[at + 1] <= wanted) at += 1;
      return valueBetween(times, sorted, at, wanted, hole_s, isAngle(name));
    });
  }
  return {
    ...first,
    columns,
    faults: [...first.faults, ...second.faults],
    faultCount: first.faultCount + second.faultCount,
    aircraft: first.aircraft ?? second.aircraft,
  };
}

function valueBetween(
  times: Float64Array,
  values: Float64Array,
  i: number,
  wanted: number,
  hole_s: number,
  nearest: boolean,
): number {
  const next = Math.min(i + 1, times.length - 1);
  const step = times[next] - times[i];
  const near = [i, next].find((at) => Math.abs(times[at] - wanted) <= hole_s / 2);
  if (step > hole_s || wanted < times[0] || wanted > times[times.length - 1])
    return near === undefined ? NaN : values[near];
  const share = step > 0 ? Math.min(Math.max((wanted - times[i]) / step, 0), 1) : 0;
  // Angles jump at a full turn: none is made up between two.
  if (nearest) return values[share < 0.5 ? i : next];
  return values[i] + share * (values[next] - values[i]);
}
