// Elevations from a GeoTIFF in degrees. What the package cannot read, and what lies on another figure of the Earth, is
// refused with the reason.
import { fromArrayBuffer } from "geotiff";
import { type Outcome, failure, success } from "@/core/outcome";
import { HOLE_M } from "@/core/earth/terrain";
import type { ElevationTile } from "@/core/earth/terrain-tiles";

/** WGS 84, ETRS89 and NAD 83, which lie within two metres of one another (EPSG codes, OGC GeoTIFF standard 1.1). */
const DATUMS = [4326, 4258, 4269];
/** GTModelTypeGeoKey of degrees, and the one of a projection. */
const [GEOGRAPHIC, PROJECTED] = [2, 1];
/** Most points read of one file: a tile of 1″ has 13 million. */
const MOST_POINTS = 40_000_000;
/** Rows read at a time, so that it can be said how far it is. */
const ROWS_AT_ONCE = 256;

/**
 * Reads a GeoTIFF.
 *
 * @param tell - is told the share done
 * @returns `geotiff_damaged` for what is cut off or something else, `geotiff_frame`, `geotiff_datum`,
 *   `terrain_too_large`
 */
export async function readGeoTiff(
  name: string,
  bytes: ArrayBuffer,
  tell: (share: number) => void = () => {},
): Promise<Outcome<ElevationTile>> {
  try {
    return await read(name, bytes, tell);
  } catch {
    return failure("geotiff_damaged", `${name} cannot be read: it is cut off, damaged, or no GeoTIFF.`, "terrain");
  }
}

async function read(name: string, bytes: ArrayBuffer, tell: (share: number) => void): Promise<Outcome<ElevationTile>> {
  const image = await (await fromArrayBuffer(bytes)).getImage();
  const [columns, rows] = [image.getWidth(), image.getHeight()];
  if (!(columns >= 2 && rows >= 2 && columns * rows <= MOST_POINTS))
    return failure(
      "terrain_too_large",
      `${name} has ${columns} × ${rows} points; at most ${MOST_POINTS} are read.`,
      "terrain",
    );
  const keys = (image.getGeoKeys() ?? {}) as Record<string, unknown>;
  const model = Number(keys.GTModelTypeGeoKey ?? GEOGRAPHIC);
  const datum = Number(keys.GeographicTypeGeoKey ?? DATUMS[0]);
  if (model === PROJECTED)
    return failure(
      "geotiff_datum",
      `${name} lies in a projection (${String(keys.ProjectedCSTypeGeoKey ?? "unnamed")}): transform it to degrees on WGS 84 (EPSG 4326) first.`,
      "terrain",
    );
  if (!DATUMS.includes(datum))
    return failure(
      "geotiff_datum",
      `${name} lies on another figure of the Earth (EPSG ${datum}): heights would stand up to some hundred metres beside where they are. Transform it to WGS 84 (EPSG 4326) first.`,
      "terrain",
    );
  const [originX, originY] = image.getOrigin();
  const [stepX, stepY] = image.getResolution();
  if (!(stepX > 0 && stepY < 0) || ![originX, originY].every(Number.isFinite))
    return failure("geotiff_frame", `${name} does not say where it lies, or is turned.`, "terrain");
  // The origin is a corner of the first area, or the first point itself.
  const half = image.pixelIsArea() ? 0.5 : 0;
  const stepNorth_deg = -stepY;
  const west_deg = originX + half * stepX;
  const south_deg = originY - half * stepNorth_deg - (rows - 1) * stepNorth_deg;
  if (!(west_deg >= -360 && west_deg <= 360 && south_deg >= -90.01 && south_deg + (rows - 1) * stepNorth_deg <= 90.01))
    return failure("geotiff_frame", `${name} does not lie in degrees.`, "terrain");
  const none = image.getGDALNoData();
  const elevations = new Float32Array(columns * rows);
  for (let top = 0; top < rows; top += ROWS_AT_ONCE) {
    const bottom = Math.min(top + ROWS_AT_ONCE, rows);
    const [band] = (await image.readRasters({ window: [0, top, columns, bottom], samples: [0] })) as unknown as [
      ArrayLike<number>,
    ];
    for (let row = top; row < bottom; row += 1)
      for (let column = 0; column < columns; column += 1) {
        const z = band[(row - top) * columns + column];
        elevations[(rows - 1 - row) * columns + column] = z === none || !Number.isFinite(z) ? HOLE_M : z;
      }
    tell(bottom / rows);
  }
  return success({ name, west_deg, south_deg, stepEast_deg: stepX, stepNorth_deg, columns, rows, elevations });
}
