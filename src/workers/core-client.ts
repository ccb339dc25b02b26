import * as Comlink from "comlink";
import type { CoreWorker } from "./core.worker";

/** Starts a worker with the core in it. The caller keeps it as long as the page lives. */
export function startCore(): Comlink.Remote<CoreWorker> {
  return Comlink.wrap<CoreWorker>(
    new Worker(new URL("./core.worker.ts", import.meta.url), { type: "module", name: "core" }),
  );
}
