// Lays elevations that lie in some other raster (degrees, another plane) on the square grid of a plane; bilinear, so
// peaks may lose a few metres.
import type { LatLon } from "./geodesic";
import { localPlane } from "./local-plane";
import { HOLE_M, type TerrainGrid } from "./terrain";

/** Places are worked out this far apart, m; between them they are bilinear and off by under 1 m. */
const NODE_DISTANCE_M = 2000;
/** Half a cell outside a raster its edge still serves: the square grid is not quite the other's shape. */
const EDGE = 0.5;

/** Elevations in a raster of their own, rows from the south-west, `HOLE_M` where nothing is known. */
export interface ElevationRaster {
  readonly columns: number;
  readonly rows: number;
  readonly elevations: Int16Array | Float32Array;
  /** Takes the highest of the four points about a place instead of what lies between them. */
  readonly highest?: boolean;
  /** Column and row of a place, with fractions; beyond the raster too. */
  readonly cellAt: (place: LatLon) => { readonly u: number; readonly v: number };
}

/** Where places lie in a raster of degrees that begins in the south-west. */
export function degreesRaster(
  west_deg: number,
  south_deg: number,
  eastward_deg: number,
  northward_deg: number,
): (place: LatLon) => { u: number; v: number } {
  return ({ latitude_deg, longitude_deg }) => ({
    // Across 180° the raster goes on.
    u: (((((longitude_deg - west_deg + 90) % 360) + 360) % 360) - 90) / eastward_deg,
    v: (latitude_deg - south_deg) / northward_deg,
  });
}

/**
 * The raster on a plane.
 *
 * @param frame - the grid to fill
 * @param tell - is told the share done, about a hundred times
 * @returns a grid with holes where the raster has none or ends
 */
export function layTerrain(
  raster: ElevationRaster,
  frame: Omit<TerrainGrid, "elevations_m">,
  tell: (share: number) => void = () => {},
): TerrainGrid {
  const { columns, rows, cell_m, west_m, south_m, origin } = frame;
  const plane = localPlane(origin);
  const out = new Float32Array(columns * rows);
  // A geodesic for each of millions of points takes half a minute: between nodes the places are bilinear too.
  const step = Math.max(1, Math.floor(NODE_DISTANCE_M / cell_m));
  const nodeColumns = Math.ceil((columns - 1) / step) + 1;
  const nodes = (j: number) =>
    Array.from({ length: nodeColumns }, (_, k) =>
      raster.cellAt(plane.toLatLon({ x_m: west_m + k * step * cell_m, y_m: south_m + j * step * cell_m })),
    );
  let [below, above] = [nodes(0), nodes(1)];
  const told = Math.max(1, Math.floor(rows / 100));
  for (let j = 0; j < rows; j += 1) {
    if (j % told === 0) tell(j / rows);
    if (j > 0 && j % step === 0) [below, above] = [above, nodes(j / step + 1)];
    const north = (j % step) / step;
    const row = below.map((node, k) => ({
      u: (1 - north) * node.u + north * above[k].u,
      v: (1 - north) * node.v + north * above[k].v,
    }));
    for (let i = 0; i < columns; i += 1) {
      const k = Math.min(Math.floor(i / step), nodeColumns - 2);
      const east = i / step - k;
      out[j * columns + i] = elevationIn(
        raster,
        (1 - east) * row[k].u + east * row[k + 1].u,
        (1 - east) * row[k].v + east * row[k + 1].v,
      );
    }
  }
  tell(1);
  return { ...frame, elevations_m: out };
}

function elevationIn({ columns, rows, elevations, highest }: ElevationRaster, column: number, row: number): number {
  if (!(column >= -EDGE && row >= -EDGE && column <= columns - 1 + EDGE && row <= rows - 1 + EDGE)) return HOLE_M;
  const u = Math.min(Math.max(column, 0), columns - 1);
  const v = Math.min(Math.max(row, 0), rows - 1);
  const a = Math.min(Math.floor(u), columns - 2);
  const b = Math.min(Math.floor(v), rows - 2);
  const at = b * columns + a;
  const [s, t] = [u - a, v - b];
  const [sw, se, nw, ne] = [elevations[at], elevations[at + 1], elevations[at + columns], elevations[at + columns + 1]];
  if (sw === HOLE_M || se === HOLE_M || nw === HOLE_M || ne === HOLE_M) return HOLE_M;
  if (highest) return Math.max(sw, se, nw, ne);
  return (1 - t) * ((1 - s) * sw + s * se) + t * ((1 - s) * nw + s * ne);
}
