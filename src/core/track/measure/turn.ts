// What a turn cost: height, energy and time for half a turn.
import { type Figure, figure, unknown } from "../figure";
import { type Flown, airSensors, heightSensors } from "../flown";
import { indexAt } from "../clean/index-at";
import { type Turn, valueAt } from "../events/turns";
import { radians } from "../../quantities/angle";

/** @see measureTurn */
export interface TurnMeasures {
  readonly bank_rad: Figure;
  readonly heading_rad: Figure;
  /** For 180°. */
  readonly height_m: Figure;
  /** Of energy height h + V²/2g, for 180°. */
  readonly energyHeight_m: Figure;
  readonly time_s: Figure;
  readonly tas_mps: Figure;
}

/** Bounds for 180° by what the log has: one standard deviation of height, m, of time, s, of bank, rad. */
const BOUNDS = {
  attitude: { height_m: 1.7, time_s: 0.45, shallow_rad: radians(0.5), steep_rad: radians(2) },
  airspeed: { height_m: 3.4, time_s: 0.95, shallow_rad: radians(0.7), steep_rad: radians(2.6) },
  pressure: { height_m: 4.2, time_s: 1.1, shallow_rad: radians(0.7), steep_rad: radians(3.2) },
  gps: { height_m: 5, time_s: 1, shallow_rad: radians(0.7), steep_rad: radians(2.8) },
};
const STEEP_RAD = radians(45);

/** Measures a turn. */
export function measureTurn(flown: Flown, { from_s, to_s, bank_rad, heading_rad }: Turn): TurnMeasures {
  const { time_s, altitude_m, energy_m, tas_mps, has, wind } = flown;
  const bound = has.attitude
    ? BOUNDS.attitude
    : has.airspeed
      ? BOUNDS.airspeed
      : has.pressure
        ? BOUNDS.pressure
        : BOUNDS.gps;
  const change = (values: Float64Array) => valueAt(time_s, values, to_s) - valueAt(time_s, values, from_s);
  const half = Math.PI / heading_rad;
  const air = airSensors(flown);
  const height = heightSensors(flown);
  const noWind = unknown("The wind is not known: turn through 125° at a steady speed, or give the wind.");
  const bankSigma = bound.shallow_rad + (bound.steep_rad - bound.shallow_rad) * Math.min(bank_rad / STEEP_RAD, 1.5);
  const known = has.airspeed || wind !== null;
  const bank = has.attitude
    ? figure(bank_rad, bankSigma, "attitude")
    : known
      ? figure(bank_rad, bankSigma, ...air)
      : noWind;
  const noHeight = unknown("The log has no heights.");
  return {
    bank_rad: bank,
    heading_rad: figure(heading_rad, radians(2), "position"),
    height_m: has.height
      ? figure(-change(altitude_m) * half, bound.height_m * Math.max(half, 0.7), ...height)
      : noHeight,
    energyHeight_m: !has.height
      ? noHeight
      : known
        ? figure(
            -change(energy_m) * half,
            bound.height_m * Math.max(half, 0.7) * (has.airspeed ? 1.2 : 2),
            ...height,
            ...air,
          )
        : noWind,
    time_s: figure((to_s - from_s) * half, bound.time_s, "position"),
    tas_mps: known ? figure(meanOver(flown, tas_mps, from_s, to_s), has.airspeed ? 0.6 : 1.5, ...air) : noWind,
  };
}

/** Mean of a column over a time. */
export function meanOver({ time_s }: Flown, values: Float64Array, from_s: number, to_s: number): number {
  const [from, to] = [indexAt(time_s, from_s), indexAt(time_s, to_s)];
  let sum = 0;
  for (let i = from; i < to; i += 1) sum += values[i];
  return to > from ? sum / (to - from) : valueAt(time_s, values, (from_s + to_s) / 2);
}
