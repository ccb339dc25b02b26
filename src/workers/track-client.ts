import * as Comlink from "comlink";
import type { TrackWorker } from "./track.worker";

/** A worker that reads flight logs. The caller ends it. */
export function startTrack(): { readonly track: Comlink.Remote<TrackWorker>; readonly worker: Worker } {
  const worker = new Worker(new URL("./track.worker.ts", import.meta.url), { type: "module", name: "track" });
  return { track: Comlink.wrap<TrackWorker>(worker), worker };
}

/** A listener as it is handed to a worker. */
export const told = <T extends (...of: never[]) => void>(listener: T): T => Comlink.proxy(listener);
