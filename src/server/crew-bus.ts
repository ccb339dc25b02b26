// Tells every browser of a crew that its log has grown: within this process, and through Redis to the others.
import { EventEmitter } from "node:events";
import Redis from "ioredis";
import { log } from "./log";

const CHANNEL = "utrimax:crews";

// One set a process, kept across reloads in development.
const globals = globalThis as typeof globalThis & {
  utrimaxCrewBus?: { readonly emitter: EventEmitter; readonly publisher: Redis | null };
};

function bus() {
  if (globals.utrimaxCrewBus) return globals.utrimaxCrewBus;
  const emitter = new EventEmitter().setMaxListeners(0);
  const { REDIS_URL } = process.env;
  const publisher = REDIS_URL ? new Redis(REDIS_URL, { maxRetriesPerRequest: 2 }) : null;
  if (REDIS_URL) {
    const subscriber = new Redis(REDIS_URL);
    const told = (error: unknown) => log().warn({ err: error }, "crews of other processes are not heard");
    subscriber.on("error", told);
    publisher?.on("error", told);
    subscriber.on("message", (_, crewId) => emitter.emit(crewId));
    subscriber.subscribe(CHANNEL).catch(told);
  }
  globals.utrimaxCrewBus = { emitter, publisher };
  return globals.utrimaxCrewBus;
}

/** A crew's log has grown. What is not heard elsewhere is found there by looking, some seconds later. */
export function tellCrew(crewId: string): void {
  const { emitter, publisher } = bus();
  emitter.emit(crewId);
  publisher?.publish(CHANNEL, crewId).catch(() => undefined);
}

/** Calls when a crew's log has grown; returns how to stop. */
export function hearCrew(crewId: string, listener: () => void): () => void {
  const { emitter } = bus();
  emitter.on(crewId, listener);
  return () => emitter.off(crewId, listener);
}
