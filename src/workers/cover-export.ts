// The cover as files: a grid of altitudes, and the areas from which a place is in reach, by altitude.
import { contours } from "d3-contour";
import type { CoverField } from "@/core/cover/cover-field";
import type { LocalPlane } from "@/core/earth/local-plane";
import { M_PER_FT } from "@/core/quantities/constants";

/** Stands for cells from which no altitude helps. */
const NODATA = -9999;
/** Areas are told every thousand feet, and no more of them than these. */
const STEP_M = 1000 * M_PER_FT;
const MOST_AREAS = 30;
/** Areas are drawn from a grid of at most so many points a side. */
const MOST_SIDE = 400;
/** Digits of a degree: a metre. */
const DIGITS = 5;

/** The lowest altitudes as an Esri ASCII grid, rows from the north, in metres of the working plane. */
export function coverAscii({ grid, altitude_m }: Pick<CoverField, "grid" | "altitude_m">): string {
  const { columns, rows, west_m, south_m, cell_m } = grid;
  const head = [
    `ncols ${columns}`,
    `nrows ${rows}`,
    `xllcenter ${west_m}`,
    `yllcenter ${south_m}`,
    `cellsize ${cell_m}`,
    `NODATA_value ${NODATA}`,
  ];
  const lines = Array.from({ length: rows }, (_, i) => {
    const row = rows - 1 - i;
    return Array.from(altitude_m.subarray(row * columns, (row + 1) * columns), (value) =>
      Number.isFinite(value) ? value.toFixed(1) : String(NODATA),
    ).join(" ");
  });
  return [...head, ...lines, ""].join("\n");
}

/** The areas from which some place is in reach, one feature for each altitude, as GeoJSON. */
export function coverAreas({ grid, altitude_m }: Pick<CoverField, "grid" | "altitude_m">, plane: LocalPlane): string {
  const { columns, rows, west_m, south_m, cell_m } = grid;
  const stride = Math.max(1, Math.ceil(Math.max(columns, rows) / MOST_SIDE));
  const [wide, high] = [Math.ceil(columns / stride), Math.ceil(rows / stride)];
  let [lowest_m, highest_m] = [Infinity, -Infinity];
  // Contours enclose what is higher: of the altitude's negative, from where less is needed.
  const values = Array.from({ length: wide * high }, (_, i) => {
    const value = altitude_m[Math.floor(i / wide) * stride * columns + (i % wide) * stride];
    if (!Number.isFinite(value)) return -1e6;
    lowest_m = Math.min(lowest_m, value);
    highest_m = Math.max(highest_m, value);
    return -value;
  });
  const first = Math.ceil(lowest_m / STEP_M);
  const count = Number.isFinite(lowest_m) ? Math.min(MOST_AREAS, Math.ceil(highest_m / STEP_M) - first + 1) : 0;
  const altitudes = Array.from({ length: count }, (_, i) => (first + i) * STEP_M);
  const trace = contours().size([wide, high]);
  const place = ([column, row]: readonly number[]) => {
    // A contour's 0.5 is the middle of the first cell.
    const point = {
      x_m: west_m + (column - 0.5) * stride * cell_m,
      y_m: south_m + (row - 0.5) * stride * cell_m,
    };
    const { longitude_deg, latitude_deg } = plane.toLatLon(point);
    return [Number(longitude_deg.toFixed(DIGITS)), Number(latitude_deg.toFixed(DIGITS))];
  };
  return JSON.stringify({
    type: "FeatureCollection",
    features: altitudes.map((from_m) => ({
      type: "Feature",
      properties: { fromAltitude_m: Number(from_m.toFixed(1)), fromAltitude_ft: Math.round(from_m / M_PER_FT) },
      geometry: {
        type: "MultiPolygon",
        coordinates: trace
          .contour(values, -from_m)
          .coordinates.map((polygon) => polygon.map((ring) => ring.map(place))),
      },
    })),
  });
}
