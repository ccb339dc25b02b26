// Tells every browser of a crew that its log has grown: within this process, and through Redis to the others.
import { EventEmitter } from "node:events";
import { log } from "./log";
import { redis } from "./redis";

const CHANNEL = "utrimax:crews";

// One a process, kept across reloads in development.
const globals = globalThis as typeof globalThis & { utrimaxCrews?: EventEmitter };

function listeners(): EventEmitter {
  if (globals.utrimaxCrews) return globals.utrimaxCrews;
  const emitter = new EventEmitter().setMaxListeners(0);
  globals.utrimaxCrews = emitter;
  // A connection that listens can do nothing else: it has one of its own, which waits for the store to come back.
  const subscriber = redis()?.duplicate({ maxRetriesPerRequest: null });
  const told = (error: unknown) => log().warn({ err: error }, "crews of other processes are not heard");
  subscriber?.on("error", told);
  subscriber?.on("message", (_, crewId) => emitter.emit(crewId));
  subscriber?.subscribe(CHANNEL).catch(told);
  return emitter;
}

/** A crew's log has grown. What is not heard elsewhere is found there by looking, some seconds later. */
export function tellCrew(crewId: string): void {
  listeners().emit(crewId);
  redis()
    ?.publish(CHANNEL, crewId)
    .catch((error: unknown) => log().warn({ err: error }, "crews of other processes are not told"));
}

/** Calls when a crew's log has grown; returns how to stop. */
export function hearCrew(crewId: string, listener: () => void): () => void {
  const emitter = listeners().on(crewId, listener);
  return () => void emitter.off(crewId, listener);
}
