import { gzipSync } from "node:zlib";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { terrainSettled, useTerrain, wantTerrain } from "./terrain";

const FRAME = { origin: { latitude_deg: 0, longitude_deg: 0 }, columns: 2, rows: 1 } as never;
const source = (id: string) => ({ id, url: `/${id}`, frame: FRAME });
const given = () => new Response(gzipSync(new Uint8Array(new Int16Array([12, -3]).buffer)));

beforeEach(() => vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout"] }));
afterEach(() => {
  wantTerrain(null);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe("the terrain of the lanes", () => {
  it("is fetched and unpacked once", async () => {
    const fetched = vi.fn(async () => given());
    vi.stubGlobal("fetch", fetched);
    wantTerrain(source("islands"));
    wantTerrain(source("islands"));
    const grid = await terrainSettled();
    expect([...(grid?.elevations_m ?? [])]).toEqual([12, -3]);
    expect(fetched).toHaveBeenCalledTimes(1);
    expect(useTerrain.getState().state).toBe("held");
  });

  it("that cannot be had is none, and is tried again until it can", async () => {
    const answers = [Promise.reject(new Error("away")), Promise.resolve(new Response("no", { status: 503 }))];
    answers.forEach((answer) => answer.catch(() => {}));
    vi.stubGlobal("fetch", () => answers.shift() ?? Promise.resolve(given()));
    wantTerrain(source("islands"));
    expect(await terrainSettled()).toBeNull();
    expect(useTerrain.getState().state).toBe("away");
    await vi.advanceTimersByTimeAsync(3000);
    expect(useTerrain.getState().state).toBe("away");
    await vi.advanceTimersByTimeAsync(3000);
    await vi.waitFor(() => expect(useTerrain.getState().state).toBe("held"));
  });

  it("that comes after another was wanted is not taken", async () => {
    let late = (_: Response) => {};
    vi.stubGlobal("fetch", (url: string) =>
      url === "/first" ? new Promise<Response>((done) => (late = done)) : Promise.reject(new Error("away")),
    );
    wantTerrain(source("first"));
    wantTerrain(source("second"));
    expect(await terrainSettled()).toBeNull();
    late(given());
    await new Promise((done) => setImmediate(done));
    expect(useTerrain.getState().grid).toBeNull();
  });
});
