// Elevations as they are stored and sent: gzip of 16-bit little-endian metres.
import { promisify } from "node:util";
import { gunzip, gzip } from "node:zlib";
import type { TerrainGrid } from "@/core/earth/terrain";

/** A terrain as it is stored. */
export interface PackedTerrain {
  readonly frame: Omit<TerrainGrid, "elevations_m">;
  readonly elevations: Uint8Array;
  /** Cells that held nothing and count as sea. */
  readonly missingCells: number;
}

/** Packs a grid. */
export async function packedTerrain(grid: TerrainGrid, missingCells = 0): Promise<PackedTerrain> {
  const { elevations_m, ...frame } = grid;
  const elevations = await promisify(gzip)(Buffer.from(Int16Array.from(elevations_m, Math.round).buffer));
  return { frame, elevations, missingCells };
}

/**
 * Elevations from their stored form.
 *
 * @throws when they are damaged or not as many as the frame says; no more than those are unpacked
 */
export async function unpackElevations(
  packed: Uint8Array,
  { columns, rows }: Pick<TerrainGrid, "columns" | "rows">,
): Promise<Int16Array> {
  const expected = columns * rows * Int16Array.BYTES_PER_ELEMENT;
  const raw = await promisify(gunzip)(packed, { maxOutputLength: expected });
  if (raw.byteLength !== expected)
    throw new Error(`unpackElevations: expected ${expected} bytes, got ${raw.byteLength}`);
  return new Int16Array(raw.buffer, raw.byteOffset, columns * rows);
}
