// What the airspeed indicator shows for a calibrated airspeed: the handbook's table of its position error.
import { z } from "zod";
import { formatSi } from "../quantities/units";

const speed_mps = z
  .number()
  .min(1, "A speed of less than 2 kt is not a flying speed.")
  .max(340, "Speeds are below the speed of sound.");

/** Rows by rising speed, flap up; between them straight lines, beyond them the error of the last. */
export const AirspeedCalibration = z
  .array(z.strictObject({ indicated_mps: speed_mps, calibrated_mps: speed_mps }))
  .min(2, "A calibration has at least two rows.")
  .max(30, "At most 30 rows.")
  .superRefine((rows, context) => {
    rows.slice(1).forEach((row, i) => {
      if (!(row.indicated_mps > rows[i].indicated_mps && row.calibrated_mps > rows[i].calibrated_mps))
        context.addIssue({ code: "custom", path: [i + 1], message: "Both speeds rise from row to row." });
    });
    rows.forEach(({ indicated_mps, calibrated_mps }, i) => {
      if (Math.abs(indicated_mps / calibrated_mps - 1) > 0.4)
        context.addIssue({
          code: "custom",
          path: [i],
          message: "Indicated and calibrated speed are more than 40 % apart: are the columns mixed up?",
        });
    });
  });
/** @see AirspeedCalibration */
export type AirspeedCalibration = z.infer<typeof AirspeedCalibration>;

type Column = keyof AirspeedCalibration[number];

function through(table: AirspeedCalibration, from: Column, to: Column, speed_mps: number): number {
  const upper = table.findIndex((row) => row[from] >= speed_mps);
  const last = table[table.length - 1];
  if (upper === -1) return speed_mps + last[to] - last[from];
  if (upper === 0) return speed_mps + table[0][to] - table[0][from];
  const [low, high] = [table[upper - 1], table[upper]];
  return low[to] + ((speed_mps - low[from]) / (high[from] - low[from])) * (high[to] - low[to]);
}

/** Indicated airspeed of a calibrated one, m/s; without a table they are the same. */
export function indicated_mps(table: AirspeedCalibration | null, calibrated_mps: number): number {
  return table ? through(table, "calibrated_mps", "indicated_mps", calibrated_mps) : calibrated_mps;
}

/**
 * A speed to fly as its indicator shows it, with the unit; marked IAS where there is a table.
 *
 * @param unit - name of a unit of speed
 * @param speed_mps - equivalent, taken as calibrated: they differ by less than a knot at a light aeroplane's heights
 */
export function airspeedInWords(table: AirspeedCalibration | null, unit: string, speed_mps: number): string {
  return `${formatSi("speed", unit, indicated_mps(table, speed_mps))}${table ? " IAS" : ""}`;
}

/** Calibrated airspeed of an indicated one, m/s; without a table they are the same. */
export function calibrated_mps(table: AirspeedCalibration | null, indicated: number): number {
  return table ? through(table, "indicated_mps", "calibrated_mps", indicated) : indicated;
}
