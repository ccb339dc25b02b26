import * as Comlink from "comlink";
import type { LatLon } from "@/core/earth/geodesic";
import type { Outcome } from "@/core/outcome";
import type { PackedFiles, TerrainWorker } from "./terrain.worker";

/**
 * Reads files of a terrain in a worker of their own.
 *
 * @param signal - ends it
 * @throws when the worker cannot be started or was ended
 */
export async function readTerrainFiles(
  files: readonly File[],
  origin: LatLon | null,
  tell: (share: number, what: string) => void,
  signal: AbortSignal,
): Promise<Outcome<PackedFiles>> {
  const worker = new Worker(new URL("./terrain.worker.ts", import.meta.url), { type: "module", name: "terrain" });
  try {
    const failed = new Promise<never>((_, reject) => {
      worker.addEventListener("error", (event) =>
        reject(new Error(event.message || "the worker could not be started")),
      );
      signal.addEventListener("abort", () => reject(new Error("ended")));
    });
    return await Promise.race([Comlink.wrap<TerrainWorker>(worker).read(files, origin, Comlink.proxy(tell)), failed]);
  } finally {
    worker.terminate();
  }
}
