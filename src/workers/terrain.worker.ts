// Reads, joins and packs terrain of one's own, in a worker that is ended when nobody waits any more.
import * as Comlink from "comlink";
import { readEsriAscii } from "@/core/earth/esri-ascii";
import type { LatLon } from "@/core/earth/geodesic";
import type { TerrainGrid } from "@/core/earth/terrain";
import { type ElevationTile, joinTiles, readHgt } from "@/core/earth/terrain-tiles";
import { type Outcome, success } from "@/core/outcome";
import { readGeoTiff } from "./read-geotiff";

/** A terrain as it is sent: gzip of 16-bit little-endian metres. */
export interface PackedFiles {
  readonly frame: Omit<TerrainGrid, "elevations_m">;
  readonly packed: ArrayBuffer;
  /** Cells without a height, as a share. */
  readonly holes: number;
  readonly missing: readonly string[];
  readonly coarser: number;
}

async function tileOf(file: File, tell: (share: number) => void): Promise<Outcome<ElevationTile>> {
  const bytes = await file.arrayBuffer();
  return /\.hgt$/i.test(file.name) ? readHgt(file.name, new Uint8Array(bytes)) : readGeoTiff(file.name, bytes, tell);
}

async function gridOf(
  files: readonly File[],
  origin: LatLon | null,
  tell: (share: number, what: string) => void,
): Promise<Outcome<Omit<PackedFiles, "frame" | "packed"> & { readonly grid: TerrainGrid }>> {
  const [first] = files;
  if (files.length === 1 && /\.(asc|txt|grd)$/i.test(first.name)) {
    const read = readEsriAscii(await first.text(), origin);
    if (!read.ok) return read;
    const { grid, missingCells } = read.value;
    return success({ grid, holes: missingCells / grid.elevations_m.length, missing: [], coarser: 1 });
  }
  const tiles: ElevationTile[] = [];
  for (const [i, file] of files.entries()) {
    const tile = await tileOf(file, (share) => tell((0.5 * (i + share)) / files.length, file.name));
    if (!tile.ok) return tile;
    tiles.push(tile.value);
    tell((0.5 * (i + 1)) / files.length, file.name);
  }
  const joined = joinTiles(tiles, (share) => tell(0.5 + 0.45 * share, "laying it on a plane"));
  return joined.ok ? success(joined.value) : joined;
}

const api = {
  /**
   * Reads files of one terrain.
   *
   * @param tell - is told the share done and what is at hand
   */
  async read(
    files: readonly File[],
    origin: LatLon | null,
    tell: (share: number, what: string) => void,
  ): Promise<Outcome<PackedFiles>> {
    const read = await gridOf(files, origin, tell);
    if (!read.ok) return read;
    const { grid, ...about } = read.value;
    const { elevations_m, ...frame } = grid;
    const whole = Int16Array.from(elevations_m, Math.round);
    const stream = new Blob([whole]).stream().pipeThrough(new CompressionStream("gzip"));
    const packed = await new Response(stream).arrayBuffer();
    tell(1, "sending");
    return Comlink.transfer(success({ frame, packed, ...about }), [packed]);
  },
};

/** What the worker offers. */
export type TerrainWorker = typeof api;

Comlink.expose(api);
