import { z } from "zod";
import { LatLon } from "./geodesic";
import type { TerrainGrid } from "./terrain";
import { terrainAbout } from "./terrain-about";

/** Of the grid from its origin: a plane is flat no farther than this. */
const offset_m = z
  .number()
  .min(-1_000_000, "A terrain begins within 1 000 km of its origin.")
  .max(1_000_000, "A terrain begins within 1 000 km of its origin.");

/** A small piece of terrain in a request itself: rows from the south-west, west to east. */
export const InlineTerrain = z
  .strictObject({
    origin: LatLon,
    west_m: offset_m,
    south_m: offset_m,
    cell_m: z.number().min(5, "A cell of terrain is 5 m to 20 km.").max(20_000, "A cell of terrain is 5 m to 20 km."),
    columns: z.int().min(2).max(512),
    rows: z.int().min(2).max(512),
    elevations_m: z.array(z.number().min(-500).max(9000)).max(512 * 512, "At most 512 × 512 points."),
  })
  .refine((grid) => grid.elevations_m.length === grid.columns * grid.rows, {
    message: "elevations_m holds columns × rows values.",
    path: ["elevations_m"],
  });

/** The grid of a request's terrain on the plane that serves a place; null without one. */
export function gridOf(terrain: z.infer<typeof InlineTerrain> | null, position: LatLon): TerrainGrid | null {
  return terrain && terrainAbout({ ...terrain, elevations_m: Float32Array.from(terrain.elevations_m) }, position);
}
