import { beforeEach, describe, expect, it, vi } from "vitest";
import type * as lanes from "./lanes";

vi.mock("@/workers/core-client", () => ({
  startCore: () => ({ core: { useTerrain: async () => {}, name: Symbol("core") }, worker: new EventTarget() }),
}));

let askAll: typeof lanes.askAll;
let askCore: typeof lanes.askCore;

beforeEach(async () => {
  vi.resetModules();
  vi.stubGlobal("navigator", { hardwareConcurrency: 4 });
  ({ askAll, askCore } = await import("./lanes"));
  (await import("./terrain")).wantTerrain(null);
});

const wait = (time_ms: number) => new Promise<void>((done) => setTimeout(done, time_ms));

describe("work on every core", () => {
  it("keeps the order of the tasks whatever order they end in, and leaves one core free", async () => {
    let [running, most] = [0, 0];
    const workers = new Set<unknown>();
    const results = await askAll(
      [30, 5, 15, 1, 10, 2].map((time_ms, i) => async (worker: unknown) => {
        workers.add(worker);
        running += 1;
        most = Math.max(most, running);
        await wait(time_ms);
        running -= 1;
        return i;
      }),
      new AbortController().signal,
    );
    expect(results).toEqual([0, 1, 2, 3, 4, 5]);
    expect(most).toBe(3);
    expect(workers.size).toBe(3);
  });

  it("tells how many are done, after each", async () => {
    const told: number[] = [];
    await askAll(
      [1, 2, 3, 4].map(() => async () => 0),
      new AbortController().signal,
      (finished) => told.push(finished),
    );
    expect(told).toEqual([1, 2, 3, 4]);
  });

  it("starts nothing more once it is stopped", async () => {
    const stop = new AbortController();
    let started = 0;
    const work = askAll(
      Array.from({ length: 20 }, () => async () => {
        started += 1;
        await wait(5);
        if (started >= 4) stop.abort(new Error("stopped by the user"));
      }),
      stop.signal,
    );
    await expect(work).rejects.toThrow("stopped by the user");
    await wait(30);
    expect(started).toBeLessThan(10);
  });

  it("a task that fails fails the whole, with its own reason", async () => {
    await expect(
      askAll([async () => 1, async () => Promise.reject(new Error("no climb"))], new AbortController().signal),
    ).rejects.toThrow("no climb");
  });

  it.each([
    ["something is pointed at", "pointed"],
    ["a cover is asked for", "cover"],
  ] as const)("on two cores rests while %s, and works on both when it is still", async (_what, lane) => {
    vi.stubGlobal("navigator", { hardwareConcurrency: 2 });
    let asked = true;
    const most = { asked: 0, still: 0 };
    let running = 0;
    const pieces = Array.from({ length: 40 }, () => async () => {
      running += 1;
      const now = asked ? "asked" : "still";
      most[now] = Math.max(most[now], running);
      await wait(10);
      running -= 1;
    });
    let release = () => {};
    void askCore(lane, () => new Promise<void>((done) => (release = done)));
    const work = askAll(pieces, new AbortController().signal);
    await wait(80);
    asked = false;
    release();
    await work;
    expect(most).toEqual({ asked: 0, still: 2 });
  });

  it("begins at once while a cover is asked for where a core is left", async () => {
    void askCore("cover", () => new Promise(() => {}));
    expect(await askAll([async () => 1], new AbortController().signal)).toEqual([1]);
  });

  it("has nothing to do for no tasks", async () => {
    expect(await askAll([], new AbortController().signal)).toEqual([]);
  });
});

describe("what a stage that is not open shows", () => {
  const order = async () => {
    const order: string[] = [];
    // Asked before the cover, in the same moment: stages ask in no order.
    const aside = askCore("aside", async () => void order.push("aside"));
    const cover = askCore("cover", async () => {
      await wait(30);
      order.push("cover");
    });
    await cover;
    order.push("drawn");
    await aside;
    return order;
  };

  it("waits on two cores until a cover has come and is drawn", async () => {
    vi.stubGlobal("navigator", { hardwareConcurrency: 2 });
    expect(await order()).toEqual(["cover", "drawn", "aside"]);
  });

  it("waits for nothing where a core is left", async () => {
    expect(await order()).toEqual(["aside", "cover", "drawn"]);
  });

  it("is asked where what is pointed at is asked, one after the other", async () => {
    const workers = new Set<unknown>();
    const say = async (core: unknown) => void workers.add(core);
    await Promise.all([askCore("aside", say), askCore("pointed", say)]);
    expect(workers.size).toBe(1);
  });
});

describe("what is asked about a cover besides", () => {
  it("comes after the cover and its drawing, in the order in which it was asked", async () => {
    const order: string[] = [];
    const ask = (lane: "cover" | "besides", name: string) =>
      askCore(lane, async () => {
        await wait(5);
        order.push(name);
      });
    const cover = ask("cover", "cover");
    const besides = [ask("besides", "ways round"), ask("besides", "less counted on")];
    await cover;
    await wait(20);
    await Promise.all([...besides, ask("cover", "drawing")]);
    expect(order).toEqual(["cover", "drawing", "ways round", "less counted on"]);
  });
});
