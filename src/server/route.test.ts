// Bodies that are too large, too slow or too many, and what every answer carries.
import { afterEach, describe, expect, it, vi } from "vitest";
import { z } from "zod";
import { Refusal, answerToSave, readBytes, readUpload, route, versionOf } from "./route";

afterEach(() => {
  vi.useRealTimers();
});

/** A request whose body comes in pieces; null: nothing more comes, and no end. */
function sending(pieces: readonly (number | null)[], headers: Record<string, string> = {}): Request {
  let next = 0;
  const body = new ReadableStream<Uint8Array>({
    pull(controller) {
      const size = pieces[next];
      next += 1;
      if (size === undefined) controller.close();
      else if (size === null) return new Promise(() => undefined);
      else controller.enqueue(new Uint8Array(size));
      return undefined;
    },
  });
  return new Request("http://localhost/", { method: "POST", body, headers, duplex: "half" } as RequestInit);
}

async function refusalOf(promise: Promise<unknown>): Promise<[number, string]> {
  const error: unknown = await promise.catch((reason: unknown) => reason);
  if (!(error instanceof Refusal)) throw new Error(`expected a refusal, got ${String(error)}`);
  return [error.answer.status, (await error.answer.json()).issues[0].code];
}

describe("a body", () => {
  it("is read to its end", async () => {
    expect((await readBytes(sending([10, 20, 5]), 100)).byteLength).toBe(35);
    expect((await readBytes(new Request("http://localhost/", { method: "POST" }), 100)).byteLength).toBe(0);
  });

  it("beyond the limit is refused before its end, by what it says and by what it is", async () => {
    expect(await refusalOf(readBytes(sending([50, 60, null]), 100))).toEqual([413, "too_large"]);
    expect(await refusalOf(readBytes(sending([null], { "content-length": "101" }), 100))).toEqual([413, "too_large"]);
  });

  it("that brings nothing for ten seconds is given up", async () => {
    vi.useFakeTimers();
    const refused = refusalOf(readBytes(sending([10, null]), 100));
    await vi.advanceTimersByTimeAsync(9_000);
    await vi.advanceTimersByTimeAsync(2_000);
    expect(await refused).toEqual([408, "too_slow"]);
  });

  it("that drips is given up after three minutes", async () => {
    vi.useFakeTimers();
    let given = false;
    const drip = new ReadableStream<Uint8Array>({
      async pull(controller) {
        await new Promise((resolve) => setTimeout(resolve, 5_000));
        if (!given) controller.enqueue(new Uint8Array(1));
      },
      cancel() {
        given = true;
      },
    });
    const request = new Request("http://localhost/", { method: "POST", body: drip, duplex: "half" } as RequestInit);
    const refused = refusalOf(readBytes(request, 1000));
    await vi.advanceTimersByTimeAsync(190_000);
    expect(await refused).toEqual([408, "too_slow"]);
  });
});

describe("uploads", () => {
  it("come one at a time from an account and four at a time in all, and make room when they end", async () => {
    vi.useFakeTimers();
    const stalled = ["a", "b", "c", "d"].map((account) => refusalOf(readUpload(sending([1, null]), 100, account)));
    await vi.advanceTimersByTimeAsync(10);
    expect(await refusalOf(readUpload(sending([1]), 100, "a"))).toEqual([429, "too_many"]);
    expect(await refusalOf(readUpload(sending([1]), 100, "e"))).toEqual([503, "busy"]);
    await vi.advanceTimersByTimeAsync(11_000);
    expect((await Promise.all(stalled)).map(([status]) => status)).toEqual([408, 408, 408, 408]);
    expect((await readUpload(sending([1]), 100, "e")).byteLength).toBe(1);
  });
});

describe("a save's version", () => {
  const naming = (match?: string) => new Request("http://localhost/", { headers: match ? { "if-match": match } : {} });

  it("is asked for, and read from its quotes", async () => {
    expect(versionOf(naming('"17"'))).toBe(17);
    for (const wrong of [undefined, "*", "17", '"-1"', '"1e3"', '"12345678901"'])
      expect(() => versionOf(naming(wrong)), wrong).toThrow(Refusal);
  });

  it("answers with the new one, or with what was saved meanwhile", async () => {
    const missing = () => new Response(null, { status: 404 });
    const saved = answerToSave({ state: "saved", version: 4 }, missing);
    expect([saved.status, saved.headers.get("etag"), await saved.json()]).toEqual([200, '"4"', { version: 4 }]);
    const changed = answerToSave({ state: "changed", stored: { version: 9 } }, missing);
    expect([changed.status, changed.headers.get("etag")]).toEqual([412, '"9"']);
    expect((await changed.json()).stored).toEqual({ version: 9 });
    expect(answerToSave({ state: "missing" }, missing).status).toBe(404);
  });
});

describe("a route", () => {
  const asked = (headers: Record<string, string>) => new Request("http://localhost/", { method: "POST", headers });
  const answers = route(async () => Response.json({ ok: true }));
  const statusOf = async (headers: Record<string, string>) => (await answers(asked(headers), undefined)).status;

  it("is kept by no browser, and answers no other site", async () => {
    expect((await answers(asked({}), undefined)).headers.get("cache-control")).toBe("no-store");
    expect(await statusOf({ origin: "http://elsewhere.example", host: "localhost" })).toBe(403);
    expect(await statusOf({ origin: "null", host: "localhost" })).toBe(403);
    expect(await statusOf({ origin: "http://localhost", host: "localhost" })).toBe(200);
    expect(await statusOf({ "sec-fetch-site": "cross-site" })).toBe(403);
    expect(await statusOf({ "sec-fetch-site": "same-site" })).toBe(403);
    expect(await statusOf({ "sec-fetch-site": "same-origin" })).toBe(200);
  });

  it("tells a database that is away, a disk that is full and a fault of ours apart, the last with a number", async () => {
    const failing = (error: unknown) =>
      route(async () => {
        throw error;
      })(asked({ "x-request-id": "number 7" }), undefined);
    expect((await failing({ code: "ECONNREFUSED" })).status).toBe(503);
    expect((await failing({ code: "ER_DISK_FULL" })).status).toBe(507);
    const damaged = await failing(z.object({ mass_kg: z.number() }).safeParse({ mass_kg: "x" }).error);
    expect([damaged.status, (await damaged.json()).issues[0].message]).toEqual([
      409,
      expect.stringContaining("mass_kg"),
    ]);
    const fault = await failing(new Error("ours"));
    expect(fault.status).toBe(500);
    const { issues } = await fault.json();
    expect(issues[0].message).toContain("number 7");
    expect(issues[0].message).not.toContain("ours");
  });
});
