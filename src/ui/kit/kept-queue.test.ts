import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { keptQueue } from "./kept-queue";

/** A browser's store, and a server that answers as it is told. */
const store = new Map<string, string>();
let answers: (() => Response)[] = [];
const posted: unknown[] = [];
const taken = () => new Response("{}", { status: 201 });
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
  vi.stubGlobal("fetch", async (_: string, init: { body: string }) => {
    posted.push(JSON.parse(init.body));
    return (answers.shift() ?? taken)();
  });
});
afterEach(() => vi.unstubAllGlobals());

const queue = (together = 2) =>
  keptQueue<{ id: string }>("things", "/api/things", (some) => some.map(({ id }) => id), together);

describe("what is kept until the server has it", () => {
  it("is sent at once and waits no more", async () => {
    const things = queue();
    expect(await things.put({ id: "a" })).toBeNull();
    expect(posted).toEqual([["a"]]);
    expect(things.waiting()).toEqual([]);
  });

  it("waits while the server is away, over a reload, and goes in its order so many at a time", async () => {
    answers = [away, away, away];
    for (const id of ["a", "b", "c"]) expect(await queue().put({ id })).toBeNull();
    const again = queue();
    expect(again.waiting().map(({ id }) => id)).toEqual(["a", "b", "c"]);
    posted.length = 0;
    expect(await again.flush()).toBeNull();
    expect(posted).toEqual([["a", "b"], ["c"]]);
    expect(again.waiting()).toEqual([]);
  });

  it("is told, and not kept, when the server does not take it; what comes after it is sent", async () => {
    answers = [refused];
    const things = queue(1);
    expect(await things.put({ id: "a" })).toBe("It is full.");
    expect(things.waiting()).toEqual([]);
    expect(await things.put({ id: "b" })).toBeNull();
    expect(posted).toEqual([["a"], ["b"]]);
  });

  it("keeps what was put in while the first is on its way", async () => {
    const things = queue(1);
    await Promise.all([things.put({ id: "a" }), things.put({ id: "b" })]);
    expect(posted).toEqual([["a"], ["b"]]);
    expect(things.waiting()).toEqual([]);
  });

  it("begins anew where what the browser kept is damaged", async () => {
    for (const key of ["utrimax::things"]) store.set(key, "{damaged");
    expect(queue().waiting()).toEqual([]);
    store.set("utrimax::things", '"no list"');
    expect(queue().waiting()).toEqual([]);
  });
});
