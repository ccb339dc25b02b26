// Those who look on: what they do is done in the flight, what they are told is what has changed.
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { FlightDid, FlightEvent } from "@/core/exercise/flight-crew";
import type { CrewRole } from "@/core/procedure/crew-run";
import type { FlightView } from "@/core/simulation/flight-view";
import { useCrew } from "../../crew/crew-store";
import { type UnderWay, useFly } from "../fly-store";
import { askOthers, sendAway, showAgain, useOthers } from "./others";

const done: string[] = [];
vi.mock("../flight-lane", () => {
  const say =
    (name: string) =>
    (...of: unknown[]) =>
      void done.push(`${name} ${JSON.stringify(of)}`);
  return {
    actInDrill: say("drill"),
    failLater: say("later"),
    failNow: say("now"),
    goBack: say("back"),
    letGo: say("go"),
    set: say("set"),
    toFail: () => [],
  };
});
const told: Record<string, unknown>[] = [];
let away = false;
vi.mock("@/ui/kit/request", () => ({
  send: (_: string, url: string, body: Record<string, unknown>) => {
    if (url === "/api/crews") return { ok: true, value: { id: "one", code: "ABCD-EFGH" } };
    if (url.endsWith("/join")) return { ok: true, value: {} };
    if (url.endsWith("/shown")) {
      if (away) return { ok: false, away: true, issues: [] };
      told.push(body);
    }
    return { ok: true, value: {} };
  },
}));
// The store asks for it as it is made.
const kept = vi.hoisted(() => {
  const rows = new Map<string, string>();
  vi.stubGlobal("sessionStorage", {
    getItem: (key: string) => rows.get(key) ?? null,
    setItem: (key: string, value: string) => void rows.set(key, value),
    removeItem: (key: string) => void rows.delete(key),
  });
  return rows;
});

const clock = { time_s: 0, running: false, told_ms: 5 };
const line = (seq: number, role: CrewRole, did: FlightDid): FlightEvent => ({ seq, time_s: 0, role, did });
const under = { words: "A flight.", flown: { setUp: { aircraft: { name: "x" }, mass_kg: 900 } }, map: { ends: [] } };
const view = { time_s: 1.234_567_89, north_m: 3 } as FlightView;
const flies = (more: Partial<ReturnType<typeof useFly.getState>> = {}) =>
  useFly.setState({ under: under as unknown as UnderWay, view, running: true, drill: null, path: [1, 2], ...more });
const parts = () => told.map((one) => Object.keys(one).sort().join());

beforeEach(() => {
  vi.useFakeTimers();
  done.length = 0;
  told.length = 0;
  away = false;
  kept.clear();
  useCrew.setState({ open: () => () => undefined, log: [], clock, link: "there" });
  useFly.setState({ under: null, view: null, drill: null, running: false, path: [] });
});
afterEach(() => {
  sendAway();
  vi.useRealTimers();
});

describe("what others do", () => {
  it("is done in the flight, once, but for one's own and for what is about no flight", async () => {
    await askOthers("Alder S1");
    expect(useOthers.getState()).toEqual({ code: "ABCD-EFGH", id: "one" });
    const fire = { kind: "fire", engine: 1 } as const;
    useCrew.setState({ log: [line(1, "instructor", { kind: "fail", what: fire, when: null })] });
    expect(done).toEqual([]);
    flies();
    const log = [
      line(1, "instructor", { kind: "fail", what: fire, when: null }),
      line(2, "instructor", { kind: "fail", what: fire, when: null }),
      line(3, "instructor", { kind: "fail", what: fire, when: { what: "time", value: 9 } }),
      line(4, "instructor", { kind: "calm" }),
      line(5, "monitoring", { kind: "set", control: 6, value: 10 }),
      line(6, "flying", { kind: "go" }),
      line(7, "instructor", { kind: "stop" }),
      line(8, "monitoring", { kind: "go" }),
      line(9, "instructor", { kind: "back", seconds: 10 }),
      line(10, "monitoring", { kind: "hand", event: { type: "say", actor: "monitoring" } }),
    ];
    useCrew.setState({ log });
    useCrew.setState({ log: [...log] });
    expect(done).toEqual([
      'now ["fire",1]',
      'later [{"kind":"fire","engine":1,"when":{"what":"time","value":9}}]',
      "later [null]",
      "set [6,10]",
      "go [false]",
      "go [true]",
      "back [10]",
      'drill [{"type":"say","actor":"monitoring"},"monitoring"]',
    ]);
  });

  it("was done before the page was loaded anew, and is not done again; one's code is still there", async () => {
    await askOthers("Alder S1");
    const stored = kept.get("utrimax-others") ?? "";
    sendAway();
    expect(useOthers.getState().code).toBeNull();
    kept.set("utrimax-others", stored);
    flies();
    useCrew.setState({ log: [], clock: { ...clock, told_ms: 0 } });
    await showAgain();
    expect(useOthers.getState().code).toBe("ABCD-EFGH");
    const before = line(1, "instructor", { kind: "back", seconds: 10 });
    useCrew.setState({ log: [before] });
    useCrew.setState({ clock });
    useCrew.setState({ log: [before, line(2, "instructor", { kind: "back", seconds: 20 })] });
    expect(done).toEqual(["back [20]"]);
    // Nobody is of it any more.
    useCrew.setState({ link: "gone" });
    expect(useOthers.getState().code).toBeNull();
  });
});

describe("what others are told", () => {
  const tick = () => vi.advanceTimersByTimeAsync(260);

  it("is the flight once, then how it stands when it has changed, and now and then that it is still there", async () => {
    await askOthers("Alder S1");
    await tick();
    expect(told).toEqual([]);
    flies();
    await tick();
    expect(parts()).toEqual(["drill,flight,now"]);
    expect(told[0]).toMatchObject({ now: { view: { time_s: 1.234_568 }, running: true, over: false, path: [1, 2] } });
    await tick();
    expect(told).toHaveLength(1);
    useFly.setState({ view: { ...view, time_s: 2 } });
    await tick();
    useFly.setState({ running: false });
    await tick();
    expect(parts().slice(1)).toEqual(["now", "now"]);
    await vi.advanceTimersByTimeAsync(2300);
    expect(told).toHaveLength(4);
    useFly.setState({ drill: { began_s: 1, run: { events: [] } } as never });
    await tick();
    expect(parts().slice(4)).toEqual(["drill,now"]);
    useFly.setState({ under: null, view: null, drill: null });
    await vi.advanceTimersByTimeAsync(5000);
    expect(told.slice(5)).toMatchObject([{ now: { over: true, running: false } }]);
    flies();
    await tick();
    expect(parts().at(-1)).toBe("drill,flight,now");
  });

  it("is told the next time when the line was lost", async () => {
    await askOthers("Alder S1");
    away = true;
    flies();
    await tick();
    expect(told).toEqual([]);
    away = false;
    await tick();
    expect(parts()).toEqual(["drill,flight,now"]);
  });
});
