// Terrain from tiles in degrees of longitude and latitude: read, joined, and laid on a plane. What has to be made
// coarser keeps the highest of what a cell covers, so that no ridge is lost; ridges and shores grow by as much.
import { formatNumber } from "../quantities/units";
import { type Outcome, failure, success } from "../outcome";
import { MAX_TERRAIN_POINTS, POLEWARD_DEG, WIDEST_M } from "./esri-ascii";
import { geodesicBetween } from "./geodesic";
import { degreesRaster, layTerrain } from "./lay-terrain";
import { HOLE_M, type TerrainGrid } from "./terrain";

/** A tile: elevations at points a step apart, rows from the south-west, `HOLE_M` where nothing is known. */
export interface ElevationTile {
  /** Of its file, for messages. */
  readonly name: string;
  /** Of the south-western point. */
  readonly west_deg: number;
  readonly south_deg: number;
  readonly stepEast_deg: number;
  readonly stepNorth_deg: number;
  readonly columns: number;
  readonly rows: number;
  readonly elevations: Int16Array | Float32Array;
}

/** Sides that a tile of a degree may have: 30″, 3″ and 1″. */
const HGT_SIDES = [121, 1201, 3601];

/**
 * Reads a tile of a square degree in the HGT layout: big-endian 16-bit metres, rows from the north, its south-western
 * corner in its name.
 *
 * @param name - such as N47E008.hgt
 * @returns `hgt_name`, `hgt_size` for a file that is cut off or something else
 * @see Shuttle Radar Topography Mission, Quickstart: SRTM topography, section 2 (from memory)
 */
export function readHgt(name: string, bytes: Uint8Array): Outcome<ElevationTile> {
  const match = /(?:^|[^A-Z0-9])([NS])(\d{2})([EW])(\d{3})(?![0-9])/i.exec(name);
  if (!match)
    return failure("hgt_name", `${name}: the name of such a tile begins with its corner, such as N47E008.`, "terrain");
  const side = HGT_SIDES.find((points) => points * points * 2 === bytes.byteLength);
  if (side === undefined)
    return failure(
      "hgt_size",
      `${name} has ${formatNumber(bytes.byteLength)} bytes; a tile of 3″ has ${formatNumber(1201 * 1201 * 2)}, one of 1″ ${formatNumber(3601 * 3601 * 2)}. It is cut off, packed or something else.`,
      "terrain",
    );
  const south_deg = Number(match[2]) * (match[1].toUpperCase() === "S" ? -1 : 1);
  const west_deg = Number(match[4]) * (match[3].toUpperCase() === "W" ? -1 : 1);
  if (Math.abs(south_deg) > 90 || Math.abs(west_deg) > 180)
    return failure("hgt_name", `${name}: there is no such corner.`, "terrain");
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const elevations = new Int16Array(side * side);
  for (let row = 0; row < side; row += 1) {
    const from = (side - 1 - row) * side;
    for (let column = 0; column < side; column += 1)
      elevations[from + column] = view.getInt16((row * side + column) * 2, false);
  }
  const step = 1 / (side - 1);
  return success({
    name,
    west_deg,
    south_deg,
    stepEast_deg: step,
    stepNorth_deg: step,
    columns: side,
    rows: side,
    elevations,
  });
}

/** What was joined. */
export interface JoinedTerrain {
  readonly grid: TerrainGrid;
  /** Share of the grid where nothing is known, 0 to 1. */
  readonly holes: number;
  /** Squares of a degree inside the whole that no tile covers, by their corner: "N47E009". */
  readonly missing: readonly string[];
  /** Points of the tiles to one of the grid, along a side. */
  readonly coarser: number;
}

/** Most tiles joined at once, and how finely their steps may differ, as a share. */
const MOST_TILES = 64;
const STEP_DIFFERS = 1e-4;
const [LEAST_M, GREATEST_M] = [-500, 9000];

/**
 * Joins tiles and lays them on a plane about their middle.
 *
 * @param tell - is told the share done
 * @returns `tiles_none`, `tiles_many`, `tiles_steps` when they differ in resolution, `terrain_too_large`,
 *   `terrain_value` for heights that are none
 */
export function joinTiles(
  tiles: readonly ElevationTile[],
  tell: (share: number) => void = () => {},
): Outcome<JoinedTerrain> {
  if (tiles.length === 0) return failure("tiles_none", "There is no tile here.", "terrain");
  if (tiles.length > MOST_TILES)
    return failure("tiles_many", `At most ${MOST_TILES} tiles are joined at once.`, "terrain");
  const [{ stepEast_deg, stepNorth_deg }] = tiles;
  const other = tiles.find(
    (tile) =>
      Math.abs(tile.stepEast_deg / stepEast_deg - 1) > STEP_DIFFERS ||
      Math.abs(tile.stepNorth_deg / stepNorth_deg - 1) > STEP_DIFFERS,
  );
  if (other)
    return failure(
      "tiles_steps",
      `${tiles[0].name} and ${other.name} differ in resolution: join tiles of one kind.`,
      "terrain",
    );
  const box = boxOf(tiles);
  if (box.south < -POLEWARD_DEG || box.north > POLEWARD_DEG)
    return failure("terrain_too_large", `Tiles beyond ${POLEWARD_DEG}° of latitude are not joined.`, "terrain");
  const middle = { latitude_deg: (box.south + box.north) / 2, longitude_deg: (box.west + box.east) / 2 };
  const meridian = (latitude_deg: number) => ({ latitude_deg, longitude_deg: middle.longitude_deg });
  const height_m = geodesicBetween(meridian(box.south), meridian(box.north)).distance_m;
  const width_m = 2 * geodesicBetween(middle, { ...middle, longitude_deg: box.west }).distance_m;
  if (!(Math.max(height_m, width_m) <= WIDEST_M && box.east - box.west < 90))
    return failure("terrain_too_large", "The tiles reach over 1 000 km: no plane serves that far.", "terrain");
  const native_m = (height_m / (box.north - box.south)) * stepNorth_deg;
  if (!(native_m >= 1)) return failure("terrain_value", "The points lie less than a metre apart.", "terrain");
  const points = (width_m / native_m + 1) * (height_m / native_m + 1);
  const coarser = Math.max(1, Math.ceil(Math.sqrt(points / MAX_TERRAIN_POINTS)));
  const raster = rasterOf(tiles, box, coarser, (share) => tell(share / 2));
  if (!raster.ok) return raster;
  const cell_m = native_m * coarser;
  const columns = Math.max(2, Math.floor(width_m / cell_m) + 1);
  const rows = Math.max(2, Math.floor(height_m / cell_m) + 1);
  const grid = layTerrain(
    raster.value,
    {
      origin: middle,
      west_m: (-(columns - 1) * cell_m) / 2,
      south_m: (-(rows - 1) * cell_m) / 2,
      cell_m,
      columns,
      rows,
    },
    (share) => tell(0.5 + share / 2),
  );
  let holes = 0;
  for (const z of grid.elevations_m) if (z === HOLE_M) holes += 1;
  return success({ grid, holes: holes / grid.elevations_m.length, missing: missingSquares(tiles, box), coarser });
}

interface Box {
  readonly west: number;
  readonly east: number;
  readonly south: number;
  readonly north: number;
}

/** Of all points; tiles on both sides of 180° lie beside each other. */
function boxOf(tiles: readonly ElevationTile[]): Box {
  const [first] = tiles;
  const west = (tile: ElevationTile) =>
    first.west_deg + ((((tile.west_deg - first.west_deg + 180) % 360) + 360) % 360) - 180;
  return {
    west: Math.min(...tiles.map(west)),
    east: Math.max(...tiles.map((tile) => west(tile) + (tile.columns - 1) * tile.stepEast_deg)),
    south: Math.min(...tiles.map((tile) => tile.south_deg)),
    north: Math.max(...tiles.map((tile) => tile.south_deg + (tile.rows - 1) * tile.stepNorth_deg)),
  };
}

/** All tiles in one raster, the highest of each block of points. */
function rasterOf(
  tiles: readonly ElevationTile[],
  box: Box,
  coarser: number,
  tell: (share: number) => void,
): Outcome<Parameters<typeof layTerrain>[0]> {
  const [{ stepEast_deg, stepNorth_deg }] = tiles;
  const columns = Math.floor(Math.round((box.east - box.west) / stepEast_deg) / coarser) + 1;
  const rows = Math.floor(Math.round((box.north - box.south) / stepNorth_deg) / coarser) + 1;
  if (columns < 2 || rows < 2) return failure("terrain_too_large", "The tiles hold no area.", "terrain");
  const elevations = new Float32Array(columns * rows).fill(HOLE_M);
  const eastOf = degreesRaster(box.west, box.south, stepEast_deg, stepNorth_deg);
  for (const [k, tile] of tiles.entries()) {
    const { u, v } = eastOf({ latitude_deg: tile.south_deg, longitude_deg: tile.west_deg });
    const [left, bottom] = [Math.round(u), Math.round(v)];
    for (let row = 0; row < tile.rows; row += 1) {
      const line = Math.floor((bottom + row) / coarser) * columns;
      for (let column = 0; column < tile.columns; column += 1) {
        const z = tile.elevations[row * tile.columns + column];
        if (z === HOLE_M) continue;
        if (!(z >= LEAST_M && z <= GREATEST_M))
          return failure(
            "terrain_value",
            `${tile.name} holds ${z} in row ${tile.rows - row}, column ${column + 1}: elevations are metres between ${LEAST_M} and ${GREATEST_M}.`,
            "terrain",
          );
        const at = line + Math.floor((left + column) / coarser);
        if (z > elevations[at]) elevations[at] = z;
      }
    }
    tell((k + 1) / tiles.length);
  }
  // A block's height stands in its middle.
  const shift = (coarser - 1) / 2;
  return success({
    columns,
    rows,
    elevations,
    highest: coarser > 1,
    cellAt: (place) => {
      const { u, v } = eastOf(place);
      return { u: (u - shift) / coarser, v: (v - shift) / coarser };
    },
  });
}

/** Squares of a degree inside the box in which no tile has its middle. */
function missingSquares(tiles: readonly ElevationTile[], box: Box): string[] {
  const missing: string[] = [];
  for (let south = Math.floor(box.south + 0.5); south < box.north - 0.5; south += 1)
    for (let west = Math.floor(box.west + 0.5); west < box.east - 0.5; west += 1) {
      const [latitude, longitude] = [south + 0.5, west + 0.5];
      const covered = tiles.some(
        (tile) =>
          latitude >= tile.south_deg &&
          latitude <= tile.south_deg + (tile.rows - 1) * tile.stepNorth_deg &&
          (((longitude - tile.west_deg) % 360) + 360) % 360 <= (tile.columns - 1) * tile.stepEast_deg,
      );
      if (!covered) missing.push(cornerName(south, west));
    }
  return missing.slice(0, MOST_TILES);
}

function cornerName(south: number, west: number): string {
  const lean = ((((west + 180) % 360) + 360) % 360) - 180;
  return `${south < 0 ? "S" : "N"}${String(Math.abs(south)).padStart(2, "0")}${lean < 0 ? "W" : "E"}${String(Math.abs(lean)).padStart(3, "0")}`;
}
