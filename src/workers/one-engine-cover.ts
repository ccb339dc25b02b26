// The covers of several alternates as one, for the map: which of those in reach is the nearest.
// Drawing only; flights are worked out by each alternate's own field.
import type { DriftField } from "@/core/drift/drift-field";
import type { DrawnCover } from "./cover-pixels";

/** The cover at an altitude, by index of the alternates. */
export function oneEngineCover({ alternates, path }: DriftField, altitude_m: number): DrawnCover {
  const { grid } = alternates[0].field;
  const { columns, rows, west_m, south_m, cell_m } = grid;
  const { feathering_m } = path.at(altitude_m);
  const lowest_m = new Float32Array(columns * rows);
  const site = new Int16Array(columns * rows);
  for (let cell = 0; cell < lowest_m.length; cell += 1) {
    const [x_m, y_m] = [west_m + (cell % columns) * cell_m, south_m + Math.floor(cell / columns) * cell_m];
    let [nearest, nearest_m] = [-1, Infinity];
    lowest_m[cell] = Infinity;
    alternates.forEach(({ field, spot }, i) => {
      const needed_m = field.altitude_m[cell] + feathering_m;
      lowest_m[cell] = Math.min(lowest_m[cell], needed_m);
      const away_m = Math.hypot(spot.x_m - x_m, spot.y_m - y_m);
      if (needed_m <= altitude_m && away_m < nearest_m) [nearest, nearest_m] = [i, away_m];
    });
    site[cell] = nearest;
  }
  return { grid, altitude_m: lowest_m, site };
}
