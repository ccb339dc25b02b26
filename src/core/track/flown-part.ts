import type { Flown } from "./flown";
import type { LogColumn } from "./log";

/** A stretch of a flight as a flight of its own: views of the same numbers and times. The end is not in it. */
export function flownPart(flown: Flown, from: number, to: number): Flown {
  const cut = (values: Float64Array) => values.subarray(from, to);
  const { log } = flown;
  const columns: Partial<Record<LogColumn, Float64Array>> = {};
  for (const [name, values] of Object.entries(log.columns) as [LogColumn, Float64Array][]) columns[name] = cut(values);
  return {
    ...flown,
    log: { ...log, time_s: cut(log.time_s), columns },
    time_s: cut(flown.time_s),
    east_m: cut(flown.east_m),
    north_m: cut(flown.north_m),
    eastOff_m: cut(flown.eastOff_m),
    northOff_m: cut(flown.northOff_m),
    altitude_m: cut(flown.altitude_m),
    climb_mps: cut(flown.climb_mps),
    groundEast_mps: cut(flown.groundEast_mps),
    groundNorth_mps: cut(flown.groundNorth_mps),
    groundSpeed_mps: cut(flown.groundSpeed_mps),
    tas_mps: cut(flown.tas_mps),
    eas_mps: cut(flown.eas_mps),
    course_rad: cut(flown.course_rad),
    bank_rad: cut(flown.bank_rad),
    energy_m: cut(flown.energy_m),
    energy_mps: cut(flown.energy_mps),
    sigma: cut(flown.sigma),
  };
}
