import type { LatLon } from "@/core/earth/geodesic";
import type { TerrainGrid } from "@/core/earth/terrain";
import { type Core, type StartedCore, startCore } from "@/workers/core-client";
import { terrainSettled, useTerrain } from "./terrain";

/** Something that the core is asked. */
export type Work<T> = (core: Core) => PromiseLike<T>;

/** A worker that is started again when it dies. */
export interface CoreLink {
  /** How many askings are not answered yet. */
  readonly waiting: () => number;
  /**
   * Asks the worker, one asking after the other; it holds the terrain by then. A worker that dies, or is silent for
   * longer than it may, is replaced and asked once more; after the second time the promise is rejected with the reason.
   */
  readonly ask: <T>(work: Work<T>) => Promise<T>;
}

class WorkerDied extends Error {}

interface Running extends StartedCore {
  /** Rejected when it dies. */
  readonly died: Promise<never>;
  readonly kill: (reason: string) => void;
  given: TerrainGrid | null;
  /** Of the plane that it was given on. */
  origin: LatLon | null;
}

function run(): Running {
  const started = startCore();
  let kill: (reason: string) => void = () => {};
  const died = new Promise<never>((_, reject) => {
    kill = (reason) => reject(new WorkerDied(reason));
  });
  // Nobody may be waiting when it dies.
  died.catch(() => {});
  started.worker.addEventListener("error", (event) => kill(event.message || "the worker could not be started"));
  return { ...started, died, kill, given: null, origin: null };
}

/** @param limit_ms - how long one asking may take */
export function coreLink(limit_ms: number): CoreLink {
  let running: Running | null = null;
  let waiting = 0;
  let last: Promise<unknown> = Promise.resolve();

  const once = async <T>(work: Work<T>): Promise<T> => {
    const grid = await terrainSettled();
    const here = (running ??= run());
    const timer = setTimeout(() => here.kill(`no answer within ${limit_ms / 1000} s`), limit_ms);
    const asked = async () => {
      const { origin } = useTerrain.getState();
      if (here.given !== grid || here.origin !== origin) {
        await here.core.useTerrain(grid, origin);
        here.given = grid;
        here.origin = origin;
      }
      return work(here.core);
    };
    try {
      return await Promise.race([asked(), here.died]);
    } catch (error) {
      if (error instanceof WorkerDied) {
        here.worker.terminate();
        running = null;
      }
      throw error;
    } finally {
      clearTimeout(timer);
    }
  };
  const twice = async <T>(work: Work<T>): Promise<T> => {
    try {
      return await once(work);
    } catch (error) {
      if (!(error instanceof WorkerDied)) throw error;
      return once(work);
    }
  };
  return {
    waiting: () => waiting,
    ask: (work) => {
      waiting += 1;
      const answer = last.then(() => twice(work)).finally(() => (waiting -= 1));
      last = answer.catch(() => {});
      return answer;
    },
  };
}
