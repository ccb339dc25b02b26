import { z } from "zod";
import { LatLon } from "./geodesic";
import type { TerrainGrid } from "./terrain";

/** A small piece of terrain in a request itself: rows from the south-west, west to east. */
export const InlineTerrain = z
  .strictObject({ origin: LatLon, west_m: z.number(), south_m: z.number(), cell_m: z.number().positive(), columns: z.int().min(2).max(512), rows: z.int().min(2).max(512), elevations_m: z.array(z.number().min(-500).max(9000)) })
  .refine((grid) => grid.elevations_m.length === grid.columns * grid.rows, { message: "elevations_m holds columns × rows values.", path: ["elevations_m"] });

/** The grid of a request's terrain; null without one. */
export function gridOf(terrain: z.infer<typeof InlineTerrain> | null): TerrainGrid | null {
  return terrain && { ...terrain, elevations_m: Float32Array.from(terrain.elevations_m) };
}
