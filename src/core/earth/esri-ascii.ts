// Terrain files in the open Esri ASCII grid format, in metres of a local plane or in degrees (then resampled to a
// plane). Missing cells count as sea level: the demo world is islands, and a hole must not stop a glide path in
// mid-air. They are counted.
import { type Outcome, failure, success } from "../outcome";
import { type LatLon, geodesicBetween } from "./geodesic";
import { degreesRaster, layTerrain } from "./lay-terrain";
import { HOLE_M, type TerrainGrid } from "./terrain";

/** Largest grid accepted, points: 2,048 squared. */
export const MAX_TERRAIN_POINTS = 2048 * 2048;
/** Lowest and highest ground accepted, m: a little beyond the Dead Sea's shore and Everest. */
const ELEVATION_RANGE_M = [-500, 9000] as const;

/** A plane serves no farther than this, m; and no nearer to a pole, degrees of latitude. */
export const [WIDEST_M, POLEWARD_DEG] = [1_000_000, 85];
/** A metre or so. */
const LEAST_CELL_DEG = 1e-5;

/** A terrain that was read, and what had to be filled. */
export interface ReadTerrain {
  readonly grid: TerrainGrid;
  readonly missingCells: number;
}

interface Header {
  ncols: number;
  nrows: number;
  xllcorner?: number;
  yllcorner?: number;
  xllcenter?: number;
  yllcenter?: number;
  cellsize: number;
  nodata_value?: number;
}

/**
 * Reads an Esri ASCII grid.
 *
 * @param text - header (ncols, nrows, xllcorner or xllcenter, yllcorner or yllcenter, cellsize, optional
 *   NODATA_value), then rows from the north
 * @param planeOrigin - place of x 0, y 0 when the file is in metres; null when it is in degrees of longitude and
 *   latitude
 * @returns `terrain_header`, `terrain_truncated`, `terrain_too_large`, `terrain_value` with the line or count at
 *   fault
 */
export function readEsriAscii(text: string, planeOrigin: LatLon | null): Outcome<ReadTerrain> {
  const header: Partial<Header> = {};
  let position = 0;
  for (;;) {
    const end = text.indexOf("\n", position);
    const line = text.slice(position, end < 0 ? undefined : end).trim();
    const match = /^([A-Za-z_]+)\s+(\S+)$/.exec(line);
    if (!match) break;
    const value = Number(match[2]);
    if (!Number.isFinite(value))
      return failure("terrain_header", `The header line “${line}” has no number.`, "terrain");
    header[match[1].toLowerCase() as keyof Header] = value;
    if (end < 0) return failure("terrain_truncated", "The file ends inside the header.", "terrain");
    position = end + 1;
  }
  const checked = checkHeader(header);
  if (!checked.ok) return checked;
  const { columns, rows, cell, west, south, noData } = checked.value;
  const elevations = new Float32Array(columns * rows);
  const values = readNumbers(text, position, elevations.length);
  if (!values.ok) return values;
  let missingCells = 0;
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const z = values.value[row * columns + column];
      const at = (rows - 1 - row) * columns + column;
      if (z === noData) missingCells += 1;
      else if (!(z >= ELEVATION_RANGE_M[0] && z <= ELEVATION_RANGE_M[1])) {
        return failure(
          "terrain_value",
          `Row ${row + 1}, column ${column + 1} holds ${z}; elevations are metres between ${ELEVATION_RANGE_M[0]} and ${ELEVATION_RANGE_M[1]}.`,
          "terrain",
        );
      } else elevations[at] = z;
    }
  }
  if (planeOrigin) {
    if (!(cell >= 1))
      return failure("terrain_header", "A cell size under 1 m in a file of metres: is the file in degrees?", "terrain");
    const far_m = Math.max(Math.abs(west), Math.abs(south), west + cell * (columns - 1), south + cell * (rows - 1));
    if (!(far_m <= WIDEST_M))
      return failure("terrain_header", "The grid reaches over 1 000 km from the place of its x 0, y 0.", "terrain");
    return success({
      grid: {
        origin: planeOrigin,
        west_m: west,
        south_m: south,
        cell_m: cell,
        columns,
        rows,
        elevations_m: elevations,
      },
      missingCells,
    });
  }
  if (!(west >= -180 && west + cell * columns <= 181 && south >= -90 && south + cell * rows <= 91)) {
    return failure(
      "terrain_header",
      "The corner is not a longitude and latitude in degrees: does the file hold metres of a plane?",
      "terrain",
    );
  }
  if (!(cell >= LEAST_CELL_DEG))
    return failure("terrain_header", `cellsize is at least ${LEAST_CELL_DEG}° in a file of degrees.`, "terrain");
  if (south < -POLEWARD_DEG || south + cell * (rows - 1) > POLEWARD_DEG)
    return failure(
      "terrain_header",
      `Beyond ${POLEWARD_DEG}° north or south a grid is needed in metres of a plane.`,
      "terrain",
    );
  return resampled({ columns, rows, cell, west, south, elevations }, missingCells);
}

function checkHeader(
  header: Partial<Header>,
): Outcome<{ columns: number; rows: number; cell: number; west: number; south: number; noData: number }> {
  const { ncols, nrows, cellsize } = header;
  if (ncols === undefined || nrows === undefined || cellsize === undefined)
    return failure("terrain_header", "The header needs ncols, nrows, xllcorner, yllcorner and cellsize.", "terrain");
  if (!(Number.isInteger(ncols) && Number.isInteger(nrows) && ncols >= 2 && nrows >= 2))
    return failure("terrain_header", "ncols and nrows are whole numbers of at least 2.", "terrain");
  if (!(ncols * nrows <= MAX_TERRAIN_POINTS))
    return failure(
      "terrain_too_large",
      `${ncols} × ${nrows} points; at most ${MAX_TERRAIN_POINTS} are read. Use a coarser or smaller grid.`,
      "terrain",
    );
  if (!(cellsize > 0)) return failure("terrain_header", "cellsize is more than 0.", "terrain");
  const west = header.xllcenter ?? (header.xllcorner === undefined ? undefined : header.xllcorner + cellsize / 2);
  const south = header.yllcenter ?? (header.yllcorner === undefined ? undefined : header.yllcorner + cellsize / 2);
  if (west === undefined || south === undefined)
    return failure(
      "terrain_header",
      "The header needs xllcorner and yllcorner (or xllcenter and yllcenter).",
      "terrain",
    );
  return success({ columns: ncols, rows: nrows, cell: cellsize, west, south, noData: header.nodata_value ?? -9999 });
}

/** Splits by hand: a regular expression over a million numbers takes ten times as long. */
function readNumbers(text: string, start: number, count: number): Outcome<Float64Array> {
  const values = new Float64Array(count);
  let read = 0;
  let position = start;
  while (read < count) {
    while (position < text.length && text.charCodeAt(position) <= 32) position += 1;
    if (position >= text.length)
      return failure(
        "terrain_truncated",
        `The file ends after ${read} of ${count} elevations: it is cut off.`,
        "terrain",
      );
    const from = position;
    while (position < text.length && text.charCodeAt(position) > 32) position += 1;
    const value = Number(text.slice(from, position));
    if (!Number.isFinite(value))
      return failure(
        "terrain_value",
        `Elevation ${read + 1} reads “${text.slice(from, Math.min(position, from + 20))}”, which is not a number.`,
        "terrain",
      );
    values[read] = value;
    read += 1;
  }
  if (text.slice(position).trim().length > 0)
    return failure("terrain_value", `More than the ${count} elevations that the header announces.`, "terrain");
  return success(values);
}

/**
 * From degrees to a plane about the middle, with the north–south spacing as the cell; bilinear, so peaks may lose a few
 * metres.
 */
function resampled(
  source: { columns: number; rows: number; cell: number; west: number; south: number; elevations: Float32Array },
  missingCells: number,
): Outcome<ReadTerrain> {
  const { columns, rows, cell, west, south, elevations } = source;
  const origin = { latitude_deg: south + (cell * (rows - 1)) / 2, longitude_deg: west + (cell * (columns - 1)) / 2 };
  const height_m = geodesicBetween(
    { latitude_deg: south, longitude_deg: origin.longitude_deg },
    { latitude_deg: south + cell * (rows - 1), longitude_deg: origin.longitude_deg },
  ).distance_m;
  const width_m = 2 * geodesicBetween(origin, { latitude_deg: origin.latitude_deg, longitude_deg: west }).distance_m;
  const cell_m = height_m / (rows - 1);
  if (Math.max(height_m, width_m) > WIDEST_M)
    return failure("terrain_too_large", "The grid is over 1 000 km wide or high: no plane serves that far.", "terrain");
  const planeColumns = Math.max(2, Math.floor(width_m / cell_m) + 1);
  if (planeColumns * rows > MAX_TERRAIN_POINTS)
    return failure("terrain_too_large", "The grid is too large once laid on a plane.", "terrain");
  const grid = layTerrain(
    { columns, rows, elevations, cellAt: degreesRaster(west, south, cell, cell) },
    {
      origin,
      west_m: -((planeColumns - 1) * cell_m) / 2,
      south_m: -height_m / 2,
      cell_m,
      columns: planeColumns,
      rows,
    },
  );
  return success({ grid: { ...grid, elevations_m: grid.elevations_m.map(seaForHole) }, missingCells });
}

const seaForHole = (z: number) => (z === HOLE_M ? 0 : z);

/** Writes a grid in metres of its plane, elevations rounded to whole metres. */
export function writeEsriAscii(grid: TerrainGrid): string {
  const lines = [
    `ncols ${grid.columns}`,
    `nrows ${grid.rows}`,
    `xllcenter ${grid.west_m}`,
    `yllcenter ${grid.south_m}`,
    `cellsize ${grid.cell_m}`,
    "NODATA_value -9999",
  ];
  for (let row = grid.rows - 1; row >= 0; row -= 1) {
    lines.push(
      Array.from(grid.elevations_m.subarray(row * grid.columns, (row + 1) * grid.columns), (z) => Math.round(z)).join(
        " ",
      ),
    );
  }
  return `${lines.join("\n")}\n`;
}
