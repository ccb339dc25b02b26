// What a log tells of a figure: its value with the bound that it is known to and what it rests on, or why it cannot be
// known from this log.

/** What a figure rests on. */
export type Sensor =
  | "position"
  | "GPS height"
  | "pressure height"
  | "airspeed"
  | "attitude"
  | "engine"
  | "accelerometer"
  | "ground speed"
  | "aircraft's polar"
  | "wind given";

/** @see figure */
export type Figure =
  | {
      readonly known: true;
      /** SI; of the figure's own meaning. */
      readonly value: number;
      /** One standard deviation: two of them hold in 95 of 100. */
      readonly sigma: number;
      readonly sensors: readonly Sensor[];
    }
  | {
      readonly known: false;
      /** For a pilot: why, and what would make it known. */
      readonly reason: string;
    };

/** A figure that is known. */
export function figure(value: number, sigma: number, ...sensors: readonly Sensor[]): Figure {
  return Number.isFinite(value) && Number.isFinite(sigma)
    ? { known: true, value, sigma, sensors: [...new Set(sensors)] }
    : unknown("The log does not hold enough at this moment.");
}

/** A figure that cannot be known. */
export function unknown(reason: string): Figure {
  return { known: false, reason };
}
