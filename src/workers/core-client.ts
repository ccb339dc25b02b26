import * as Comlink from "comlink";
import type { CoreWorker } from "./core.worker";

/** The core as it is asked from the page. */
export type Core = Comlink.Remote<CoreWorker>;

/** A worker with the core in it. */
export interface StartedCore {
  readonly core: Core;
  readonly worker: Worker;
}

/** Starts a worker with the core in it. The caller ends it. */
export function startCore(): StartedCore {
  const worker = new Worker(new URL("./core.worker.ts", import.meta.url), { type: "module", name: "core" });
  return { core: Comlink.wrap<CoreWorker>(worker), worker };
}
