import { gunzipSync } from "node:zlib";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { demoFlownResult, demoKeptFlight } from "../../../../../demo/demo-kept-flight";
import { useFlights } from "./flights-store";
import { fetchFlight, sendWaiting } from "./send-flights";

/** A browser's store, and a server that answers as it is told. */
const store = new Map<string, string>();
let answers: (() => Response)[] = [];
const posted: { id: string; flight: { at: string } }[] = [];
const refused = () =>
  new Response(JSON.stringify({ issues: [{ code: "full", path: "", message: "It is full." }] }), { status: 403 });
const away = () => new Response(JSON.stringify({ issues: [] }), { status: 503 });

beforeEach(() => {
  store.clear();
  posted.length = 0;
  answers = [];
  vi.stubGlobal("localStorage", {
    getItem: (key: string) => store.get(key) ?? null,
    setItem: (key: string, value: string) => void store.set(key, value),
  });
  vi.stubGlobal("fetch", async (_: string, init?: { body: ArrayBuffer }) => {
    if (init) posted.push(JSON.parse(gunzipSync(Buffer.from(init.body)).toString()) as (typeof posted)[number]);
    return (answers.shift() ?? (() => new Response("{}", { status: 201 })))();
  });
  useFlights.setState({ flights: [], waiting: [] });
});
afterEach(() => vi.unstubAllGlobals());

const at = (minute: number) => new Date(Date.UTC(2026, 10, 28, 9, minute)).toISOString();
const one = (minute: number) => ({
  id: `00000000-0000-4000-8000-0000000000${minute}`,
  at: at(minute),
  result: demoFlownResult(),
});
const waiting = () => useFlights.getState().waiting.map((flight) => flight.at);

describe("flights that wait for the server", () => {
  it("go the oldest first, packed, with what came of them; those the server has wait no more", async () => {
    const { keep } = useFlights.getState();
    for (const minute of [20, 21]) keep(demoKeptFlight(at(minute)), one(minute));
    keep(demoKeptFlight(at(21)), one(21));
    expect(waiting()).toEqual([at(21), at(20)]);
    expect(await sendWaiting()).toBeNull();
    expect(posted.map(({ id, flight }) => [id, flight.at])).toEqual([
      [one(20).id, at(20)],
      [one(21).id, at(21)],
    ]);
    expect(waiting()).toEqual([]);
    expect(useFlights.getState().flights).toHaveLength(2);
  });

  it("wait on while the server is away, also in the browser's store; what it refuses is told and not asked again", async () => {
    useFlights.getState().keep(demoKeptFlight(at(20)), one(20));
    answers = [away];
    expect(await sendWaiting()).toBeNull();
    expect(waiting()).toEqual([at(20)]);
    useFlights.setState({ flights: [], waiting: [] }, false);
    store.set(
      [...store.keys()][0],
      JSON.stringify({ state: { flights: [demoKeptFlight(at(20))], waiting: [one(20), 1] }, version: 1 }),
    );
    await useFlights.persist.rehydrate();
    expect(waiting()).toEqual([at(20)]);
    answers = [refused];
    expect(await sendWaiting()).toBe("It is full.");
    expect(waiting()).toEqual([]);
  });

  it("one that is fetched is unpacked; what is none is null", async () => {
    const { gzipSync } = await import("node:zlib");
    answers = [
      () => new Response(gzipSync(JSON.stringify({ flight: { words: "A" } }))),
      () => new Response("no gzip"),
      () => new Response("{}", { status: 404 }),
    ];
    expect(await fetchFlight("1", null)).toEqual({ words: "A" });
    expect(await fetchFlight("1", "s")).toBeNull();
    expect(await fetchFlight("1", null)).toBeNull();
  });
});
