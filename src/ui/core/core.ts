import type { Remote } from "comlink";
import { startCore } from "@/workers/core-client";
import type { CoreWorker } from "@/workers/core.worker";

let worker: Remote<CoreWorker> | undefined;

/** The core in its worker; started when first asked, one a page. */
export function core(): Remote<CoreWorker> {
  worker ??= startCore();
  return worker;
}
