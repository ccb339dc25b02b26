import { beforeEach, describe, expect, it, vi } from "vitest";
import type * as link from "./core-link";
import type * as ground from "./terrain";

/** Workers started so far; each answers with its number, unless it dies or is silent. */
const started: { worker: EventTarget & { terminate: () => void }; ended: boolean; grids: unknown[] }[] = [];

vi.mock("@/workers/core-client", () => ({
  startCore: () => {
    const number = started.length;
    const worker = Object.assign(new EventTarget(), { terminate: () => void (started[number].ended = true) });
    started.push({ worker, ended: false, grids: [] });
    return { core: { number, useTerrain: async (grid: unknown) => started[number].grids.push(grid) }, worker };
  },
}));

let coreLink: typeof link.coreLink;
let terrain: typeof ground;

beforeEach(async () => {
  started.length = 0;
  vi.resetModules();
  ({ coreLink } = await import("./core-link"));
  terrain = await import("./terrain");
  terrain.wantTerrain(null);
});

const numberOf = async (core: unknown) => (core as { number: number }).number;
const die = (number: number) =>
  started[number].worker.dispatchEvent(Object.assign(new Event("error"), { message: "out of memory" }));

describe("a link to the core", () => {
  it("starts one worker, when it is first asked, and keeps it", async () => {
    const { ask } = coreLink(1000);
    expect(started).toHaveLength(0);
    expect([await ask(numberOf), await ask(numberOf)]).toEqual([0, 0]);
    expect(started).toHaveLength(1);
  });

  it("asks one question after the other and counts those that wait", async () => {
    const { ask, waiting } = coreLink(1000);
    const order: string[] = [];
    const first = ask(async () => {
      await new Promise((done) => setTimeout(done, 20));
      order.push("first");
    });
    const second = ask(async () => void order.push("second"));
    expect(waiting()).toBe(2);
    await Promise.all([first, second]);
    expect(order).toEqual(["first", "second"]);
    expect(waiting()).toBe(0);
  });

  it("replaces a worker that dies, and asks again", async () => {
    const { ask } = coreLink(1000);
    const answer = ask(async (core) => {
      const number = await numberOf(core);
      if (number > 0) return number;
      die(number);
      return new Promise<number>(() => {});
    });
    expect(await answer).toBe(1);
    expect(started[0].ended).toBe(true);
    expect(await ask(numberOf)).toBe(1);
  });

  it("tells when the second dies too, and asks a third for what comes next", async () => {
    const { ask } = coreLink(1000);
    const answer = ask(async (core) => {
      die(await numberOf(core));
      return new Promise<number>(() => {});
    });
    await expect(answer).rejects.toThrow("out of memory");
    expect(await ask(numberOf)).toBe(2);
  });

  it("counts a worker that is silent for too long as dead", async () => {
    const { ask } = coreLink(20);
    await expect(ask(() => new Promise<number>(() => {}))).rejects.toThrow("no answer within 0.02 s");
    expect(started.map(({ ended }) => ended)).toEqual([true, true]);
  });

  it("does not ask again what the core itself refuses", async () => {
    const { ask } = coreLink(1000);
    let asked = 0;
    await expect(
      ask(async () => {
        asked += 1;
        throw new Error("no climb");
      }),
    ).rejects.toThrow("no climb");
    expect(asked).toBe(1);
    expect(started[0].ended).toBe(false);
  });

  it("gives the terrain before it asks, once, and again to a worker that is new", async () => {
    const grid = { columns: 1 } as never;
    terrain.useTerrain.setState({ state: "held", grid });
    const { ask } = coreLink(1000);
    await ask(numberOf);
    await ask(numberOf);
    expect(started[0].grids).toEqual([grid]);
    await expect(
      ask(async (core) => {
        die(await numberOf(core));
        return new Promise(() => {});
      }),
    ).rejects.toThrow();
    await ask(numberOf);
    expect(started[2].grids).toEqual([grid]);
  });
});
