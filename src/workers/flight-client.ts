import * as Comlink from "comlink";
import type { FlightWorker } from "./flight.worker";

/** A worker that flies. The caller ends it. */
export function startFlight(): { readonly flown: Comlink.Remote<FlightWorker>; readonly worker: Worker } {
  const worker = new Worker(new URL("./flight.worker.ts", import.meta.url), { type: "module", name: "flight" });
  return { flown: Comlink.wrap<FlightWorker>(worker), worker };
}

/** A listener as it is handed to a worker. */
export const heard = <T extends (...of: never[]) => void>(listener: T): T => Comlink.proxy(listener);
