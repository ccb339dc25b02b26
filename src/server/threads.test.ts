// Threads: what holds a processor is bounded in time, number and share, and ends when nobody waits for it.
import { afterAll, beforeEach, describe, expect, it } from "vitest";
import { demoAircraft } from "../../demo/read-demo";
import { demoDepartureQuestion } from "../../demo/demo-departure";
import { forgetLimits, spendComputing } from "./rate-limit";
import { Refusal } from "./route";
import { endThreads, inThread } from "./threads";

beforeEach(forgetLimits);
afterAll(endThreads);

const never = new AbortController().signal;
let client = 0;
const asking = (more: object = {}) => ({ client: `client ${(client += 1)}`, signal: never, limit_ms: 20_000, ...more });
const light = { name: "atmosphere", text: JSON.stringify({ altitude_m: 1524, deviation_K: 0 }) };
/** Holds a thread for seconds. */
const heavy = {
  name: "departure-chance",
  text: JSON.stringify({ ...demoDepartureQuestion(), samples: 1000, hindsight: true }),
};

async function refusalOf(promise: Promise<unknown>): Promise<{ status: number; code: string; retry: string | null }> {
  const error: unknown = await promise.then(
    () => null,
    (reason: unknown) => reason,
  );
  if (!(error instanceof Refusal)) throw new Error(`expected a refusal, got ${String(error)}`);
  const { issues } = await error.answer.json();
  return { status: error.answer.status, code: issues[0].code, retry: error.answer.headers.get("retry-after") };
}

describe("a calculation in a thread", () => {
  it("answers as the core does, faults too", async () => {
    const right = await inThread("long", "calculate", light, asking());
    expect([right.status, JSON.parse(right.body).sigma]).toEqual([200, expect.closeTo(0.8617, 3)]);
    const wrong = await inThread("long", "calculate", { ...light, text: "{" }, asking());
    expect(wrong.status).toBe(400);
    const faulty = await inThread("long", "calculate", { ...light, text: '{"altitude_m":1e9}' }, asking());
    expect([faulty.status, JSON.parse(faulty.body).issues.length > 0]).toEqual([422, true]);
  });

  it("is ended at its limit, and the next one is not held up by it", async () => {
    const began = performance.now();
    expect(await refusalOf(inThread("long", "calculate", heavy, asking({ limit_ms: 300 })))).toEqual({
      status: 503,
      code: "took_too_long",
      retry: "30",
    });
    expect((await inThread("long", "calculate", light, asking())).status).toBe(200);
    expect(performance.now() - began).toBeLessThan(5000);
  });

  it("is ended when the client goes", async () => {
    const gone = new AbortController();
    const given = refusalOf(inThread("long", "calculate", heavy, asking({ signal: gone.signal })));
    setTimeout(() => gone.abort(), 200);
    expect((await given).code).toBe("gone");
    const began = performance.now();
    expect((await inThread("long", "calculate", light, asking())).status).toBe(200);
    expect(performance.now() - began).toBeLessThan(5000);
  });

  it("waits in a queue that has an end", async () => {
    const many = Array.from({ length: 40 }, () =>
      inThread("long", "calculate", heavy, asking({ limit_ms: 1500 })).then(
        () => null,
        async (error: unknown) => (error instanceof Refusal ? (await error.answer.json()).issues[0].code : error),
      ),
    );
    const codes = await Promise.all(many);
    expect(new Set(codes)).toEqual(new Set(["took_too_long", "busy"]));
    expect(codes.filter((code) => code === "busy").length).toBeGreaterThan(5);
  });

  it("one client has at most two at a time, and a share of every minute", async () => {
    const same = asking({ limit_ms: 500 });
    const first = [1, 2].map(() => refusalOf(inThread("long", "calculate", heavy, same)));
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect((await refusalOf(inThread("long", "calculate", light, same))).code).toBe("too_many");
    await Promise.all(first);
    await spendComputing(same.client, 60_000);
    const refused = await refusalOf(inThread("long", "calculate", light, same));
    expect([refused.status, refused.code]).toEqual([429, "too_much"]);
    expect(Number(refused.retry)).toBeGreaterThan(0);
    expect((await inThread("long", "calculate", light, asking())).status).toBe(200);
  });
});

describe("files that come in", () => {
  const bytesOf = (text: string) => new TextEncoder().encode(text);

  it("a terrain is read and packed, a damaged one refused", async () => {
    const grid = "ncols 2\nnrows 2\nxllcorner 0\nyllcorner 0\ncellsize 100\n1 2\n3 4\n";
    const origin = { latitude_deg: -47, longitude_deg: -131 };
    const read = await inThread("files", "readTerrain", { bytes: bytesOf(grid), origin }, asking());
    expect(read).toMatchObject({ ok: true, value: { frame: { columns: 2, rows: 2, cell_m: 100 }, missingCells: 0 } });
    const cut = await inThread("files", "readTerrain", { bytes: bytesOf(grid.slice(0, -3)), origin }, asking());
    expect(cut).toMatchObject({ ok: false, issue: { code: "terrain_truncated" } });
  });

  it("an archive is read, what is none refused", async () => {
    const archive = {
      schema: "utrimax/account",
      version: 2,
      preferences: {},
      aircraft: [{ id: "a", document: demoAircraft("alder-s1") }],
      aerodromes: [],
      sites: [],
      situations: [],
      terrains: [],
      unreadable: [],
    };
    const read = await inThread("files", "readArchive", { bytes: bytesOf(JSON.stringify(archive)) }, asking());
    expect(read).toMatchObject({ ok: true, value: { aircraft: [{ id: "a" }] } });
    for (const text of ["", "[]", JSON.stringify({ ...archive, version: 99 })])
      expect((await inThread("files", "readArchive", { bytes: bytesOf(text) }, asking())).ok, text).toBe(false);
  });
});
