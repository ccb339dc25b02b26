import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { mergedMarks } from "@/core/series/merged-marks";
import type { CardMark } from "@/core/series/test-card";
import { putMark, syncMarks, useMarks } from "./marks-store";

const mark = (n: number, change: Partial<CardMark> = {}): CardMark => ({
  id: `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`,
  run: 1,
  mark: 0,
  at_ms: n * 1000,
  removed: false,
  ...change,
});

/** What the server has, and whether it can be reached. */
let [there, reached]: [CardMark[], "yes" | "away" | "refused"] = [[], "yes"];
let [posts, wait]: [number, Promise<void> | null] = [0, null];
const shelf = new Map<string, string>();

beforeEach(() => {
  [there, reached, posts, wait] = [[], "yes", 0, null];
  shelf.clear();
  useMarks.setState({ of: {}, waiting: 0, fault: null });
  vi.stubGlobal("localStorage", {
    getItem: (name: string) => shelf.get(name) ?? null,
    setItem: (name: string, value: string) => void shelf.set(name, value),
  });
  vi.stubGlobal("fetch", async (_: string, { body }: { body: string }) => {
    posts += 1;
    await wait;
    if (reached === "away") throw new TypeError("no network");
    if (reached === "refused")
      return new Response(JSON.stringify({ issues: [{ code: "full", path: "", message: "The card is full." }] }), {
        status: 403,
      });
    there = mergedMarks(there, (JSON.parse(body) as { marks: CardMark[] }).marks);
    return new Response(JSON.stringify({ marks: there }));
  });
});
afterEach(() => vi.unstubAllGlobals());

const now = () => useMarks.getState();
const settled = () => vi.waitFor(() => expect(now().waiting).toBe(0));

describe("marks of a card in the seat", () => {
  it("are shown at once, kept while the server is away, and sent when it is back", async () => {
    reached = "away";
    putMark("card", mark(1));
    putMark("card", mark(2));
    await vi.waitFor(() => expect(posts).toBeGreaterThan(0));
    expect([now().of.card.length, now().waiting, now().fault]).toEqual([2, 2, null]);
    reached = "yes";
    // As the view does it, again and again: one that is still under way may fail yet.
    await vi.waitFor(async () => {
      await syncMarks("card");
      expect(now().waiting).toBe(0);
    });
    expect(there).toEqual([mark(1), mark(2)]);
  });

  it("come in from other devices, and what those have taken back is taken back here", async () => {
    putMark("card", mark(1));
    await settled();
    there = [mark(1, { removed: true }), mark(5)];
    await syncMarks("card");
    expect(now().of.card).toEqual([mark(1, { removed: true }), mark(5)]);
  });

  it("that are made or taken back while others are under way are sent after them", async () => {
    let go = () => {};
    wait = new Promise((resolve) => (go = resolve));
    putMark("card", mark(1));
    putMark("card", mark(2));
    putMark("card", mark(1, { removed: true }));
    go();
    await settled();
    expect(there).toEqual([mark(1, { removed: true }), mark(2)]);
    expect(posts).toBe(2);
  });

  it("that the server refuses are told and stay here", async () => {
    reached = "refused";
    putMark("card", mark(1));
    await vi.waitFor(() => expect(now().fault).toBe("The card is full."));
    expect([now().of.card.length, now().waiting]).toEqual([1, 1]);
  });

  it("of a store that is damaged are none, and marking goes on", async () => {
    putMark("card", mark(1));
    await settled();
    for (const key of shelf.keys()) shelf.set(key, "{");
    there = [];
    putMark("card", mark(3));
    await settled();
    expect(there).toEqual([mark(3)]);
  });
});
