// Flights on their way to the server and back, packed as gzip.
import type { KeptFlight } from "@/core/simulation/kept-flight";
import { type Answer, sendRaw } from "@/ui/kit/request";
import { type WaitingFlight, useFlights } from "./flights-store";

const through = async (bytes: BlobPart, way: GenericTransformStream): Promise<ArrayBuffer> =>
  new Response(new Blob([bytes]).stream().pipeThrough(way)).arrayBuffer();

const post = async ({ id, result }: WaitingFlight, flight: KeptFlight): Promise<Answer<unknown>> =>
  sendRaw(
    "POST",
    "/api/flights",
    await through(JSON.stringify({ id, result, flight }), new CompressionStream("gzip")),
    { type: "application/gzip" },
  );

let sending = false;

/** Sends all that waits. Returns what the server does not take, in words; null otherwise, and while it is away. */
export async function sendWaiting(): Promise<string | null> {
  if (sending) return null;
  sending = true;
  try {
    if (!useFlights.persist.hasHydrated()) await useFlights.persist.rehydrate();
    const { waiting, flights, sent } = useFlights.getState();
    for (const one of waiting.toReversed()) {
      const flight = flights.find(({ at }) => at === one.at);
      const answer = flight ? await post(one, flight) : null;
      if (answer && !answer.ok && answer.away) return null;
      // What is refused would be refused again: it is told, and stays in this browser.
      sent(one.id);
      if (answer && !answer.ok) return answer.issues.map(({ message }) => message).join(" ");
    }
    return null;
  } finally {
    sending = false;
  }
}

/** A flight that the server keeps, unpacked and unchecked; null when it cannot be had. */
export async function fetchFlight(id: string, share: string | null): Promise<unknown> {
  try {
    const answer = await fetch(`/api/flights/${id}${share === null ? "" : `?share=${share}`}`);
    if (!answer.ok) return null;
    const text = new TextDecoder().decode(await through(await answer.arrayBuffer(), new DecompressionStream("gzip")));
    return (JSON.parse(text) as { flight?: unknown }).flight ?? null;
  } catch {
    return null;
  }
}
