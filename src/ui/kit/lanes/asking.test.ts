import { beforeEach, describe, expect, it, vi } from "vitest";
import { failure, success } from "@/core/outcome";
import { asking } from "./asking";
import { useTerrain, wantTerrain } from "./terrain";

const lanes: string[] = [];
vi.mock("./lanes", () => ({
  askCore: (lane: string, work: (core: unknown) => Promise<unknown>) => {
    lanes.push(lane);
    return work({});
  },
}));

const settle = () => new Promise((done) => setTimeout(done, 0));

beforeEach(() => wantTerrain(null));

/** Something asked whose answers are given by hand. */
function byHand(about?: (question: { n: number; aircraft?: string }) => unknown) {
  const asked: number[] = [];
  const give: ((value: number | Error) => void)[] = [];
  const one = asking<{ n: number; aircraft?: string }, number>(
    "pointed",
    (_, { n }) =>
      new Promise((done, fail) => {
        asked.push(n);
        give.push((value) => {
          if (value instanceof Error) fail(value);
          else done(value < 0 ? failure("too_low", "Too low.") : success(value));
        });
      }),
    about,
  );
  return { one, asked, give };
}

describe("asking", () => {
  it("asks once for questions of the same value", async () => {
    const { one, asked, give } = byHand();
    one.put({ n: 1 });
    one.put({ n: 1 });
    give[0](10);
    await settle();
    one.put({ n: 1 });
    expect(asked).toEqual([1]);
    expect(one.get()).toEqual({ state: "ok", value: 10, issue: null, question: { n: 1 }, stale: false });
  });

  it("keeps the old answer, marked, until the new one comes, and skips what was asked between", async () => {
    const { one, asked, give } = byHand();
    one.put({ n: 1 });
    one.put({ n: 2 });
    one.put({ n: 3 });
    give[0](10);
    await settle();
    expect(one.get()).toMatchObject({ value: 10, question: { n: 1 }, stale: true });
    give[1](30);
    await settle();
    expect(asked).toEqual([1, 3]);
    expect(one.get()).toMatchObject({ value: 30, question: { n: 3 }, stale: false });
  });

  it("tells a refusal as an issue, and a break as failed", async () => {
    const { one, give } = byHand();
    one.put({ n: 1 });
    give[0](-1);
    await settle();
    expect(one.get()).toMatchObject({ state: "issue", value: null, issue: { code: "too_low" } });
    one.put({ n: 2 });
    give[1](new Error("the worker died"));
    await settle();
    expect(one.get()).toMatchObject({ state: "failed", value: null });
    expect(one.get().issue?.message).toContain("the worker died");
  });

  it("forgets at once what is about something else, also when it comes late", async () => {
    const { one, give } = byHand(({ aircraft }) => aircraft);
    one.put({ n: 1, aircraft: "Alder" });
    give[0](10);
    await settle();
    one.put({ n: 2, aircraft: "Alder" });
    one.put({ n: 2, aircraft: "Larch" });
    expect(one.get()).toMatchObject({ state: "pending", value: null });
    give[1](20);
    await settle();
    expect(one.get()).toMatchObject({ state: "pending", value: null });
    give[2](30);
    await settle();
    expect(one.get()).toMatchObject({ state: "ok", value: 30 });
  });

  it("asks in the lane that is right when it asks", async () => {
    let open = false;
    const one = asking<{ n: number }, number>(
      () => (open ? "pointed" : "aside"),
      async (_, { n }) => success(n),
    );
    lanes.length = 0;
    one.put({ n: 1 });
    await settle();
    open = true;
    one.put({ n: 2 });
    await settle();
    expect(lanes).toEqual(["aside", "pointed"]);
  });

  it("asks nothing and forgets for no question", async () => {
    const { one, asked, give } = byHand();
    one.put({ n: 1 });
    one.put(null);
    give[0](10);
    await settle();
    expect(asked).toEqual([1]);
    expect(one.get()).toMatchObject({ state: "pending", value: null });
  });

  it("asks again when the terrain turns out to be away, and when another is taken", async () => {
    vi.stubGlobal("fetch", () => Promise.reject(new Error("away")));
    const { one, asked, give } = byHand();
    one.put({ n: 1 });
    give[0](10);
    await settle();
    wantTerrain({ id: "islands", url: "/islands", frame: {} as never });
    one.put({ n: 1 });
    await settle();
    give[1](11);
    await settle();
    expect(useTerrain.getState().state).toBe("away");
    one.put({ n: 1 });
    await settle();
    expect(asked).toEqual([1, 1, 1]);
    wantTerrain(null);
  });
});
