// A handbook's glide chart, distance over height: points read off it, and the ratio of the line through them.
import { fromSi, toSi, unitOf } from "../quantities/units";

/** What points off a chart come to. */
export interface GlideChart {
  /** Distance over height; null without a point. */
  readonly ratio: number | null;
  /** How far the farthest point lies from the line, as a share of it. */
  readonly off: number;
  readonly faults: readonly string[];
}

/** Most points of a chart, and the ratios between which a glide lies. */
const [MOST, LEAST_RATIO, MOST_RATIO] = [40, 1, 80];

/**
 * Reads points of height and distance, one a line, in the units given, and lays the line through them and the origin:
 * Σhd/Σh², least squares of the distance.
 *
 * @returns good lines count, faults are listed by line
 */
export function readGlideChart(
  text: string,
  units: { readonly height: string; readonly distance: string },
): GlideChart {
  const faults: string[] = [];
  const points: { height_m: number; distance_m: number }[] = [];
  text.split(/\r?\n/).forEach((line, i) => {
    if (line.trim() === "") return;
    // Hard and thin spaces stand between thousands.
    const [height, distance, ...more] = line
      .replace(/[\u202f\u00a0]/g, "")
      .trim()
      .split(/[;\t]\s*|\s+/)
      .map((cell) => Number(cell.replace(",", ".")));
    const height_m = toSi("height", units.height, height);
    const distance_m = toSi("distance", units.distance, distance);
    const ratio = distance_m / height_m;
    if (more.length > 0 || !(height_m > 0 && distance_m > 0))
      faults.push(`Line ${i + 1}: “${line.trim().slice(0, 40)}” is not a height and a distance.`);
    else if (!(ratio >= LEAST_RATIO && ratio <= MOST_RATIO))
      faults.push(
        `Line ${i + 1}: ${distance} ${unitOf("distance", units.distance).label} from ${height} ${unitOf("height", units.height).label} is a glide of ${Math.round(fromSi("glide", "ratio", ratio))}:1: check the units.`,
      );
    else if (points.length >= MOST) faults.push(`Line ${i + 1}: more than ${MOST} points.`);
    else points.push({ height_m, distance_m });
  });
  if (points.length === 0) return { ratio: null, off: 0, faults };
  const sum = (of: (point: (typeof points)[number]) => number) => points.reduce((total, point) => total + of(point), 0);
  const ratio = sum(({ height_m, distance_m }) => height_m * distance_m) / sum(({ height_m }) => height_m ** 2);
  const off = Math.max(...points.map(({ height_m, distance_m }) => Math.abs(distance_m / (ratio * height_m) - 1)));
  return { ratio, off, faults };
}
