import { describe, expect, it } from "vitest";
import { newEntry } from "@/core/logbook/drafted-entry";
import type { LogbookEntry } from "@/core/logbook/logbook-entry";
import { radians } from "@/core/quantities/angle";
import { MPS_PER_KT, M_PER_FT } from "@/core/quantities/constants";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { entryParts, entrySub } from "./entry-lines";

const format = formatIn(DEFAULT_UNITS);
const blank = newEntry("one", "2026-03-07T14:05:00Z", "Alder S1");
const read = (change: Partial<LogbookEntry>) =>
  Object.fromEntries(
    entryParts({ ...blank, ...change }, format).map(({ head, lines }) => [
      head,
      lines.map(({ before, words }) => `${before}|${words}`.replace(/\s/g, " ")),
    ]),
  );

describe("an entry as it is read", () => {
  it("tells when, where and in what; nothing of an aircraft that is not named", () => {
    expect(entrySub(blank)).toMatch(/ · 14:05 UTC · in flight · Alder S1$/);
    expect(entrySub({ ...blank, aircraft: "", kind: "drill" })).toMatch(/ · 14:05 UTC · a drill$/);
  });

  it("of a blank entry nothing is told", () => {
    expect(read({})).toEqual({});
  });

  it("causes come in the order of their chain, actions with their time, before the failure too", () => {
    const told = read({
      causes: [
        { kind: "technical", words: "plug fouled" },
        { kind: "procedure", words: "mixture rich at idle" },
      ],
      actions: [
        { at_s: -65, words: "felt it first" },
        { at_s: 4, words: "best glide" },
        { at_s: null, words: "called" },
      ],
    });
    expect(told.Why).toEqual(["technical|plug fouled", "procedure|mixture rich at idle"]);
    expect(told["What was done"]).toEqual(["−1:05|felt it first", "0:04|best glide", "|called"]);
  });

  it("height that was lost rounds up, height that was gained rounds down", () => {
    const lost = read({ cost: { height_m: 401 * M_PER_FT, time_s: 95 } });
    expect(lost["What it cost"]).toEqual(["height lost|410 ft", "time|1:35"]);
    const gained = read({ cost: { height_m: -409 * M_PER_FT, time_s: null } });
    expect(gained["What it cost"]).toEqual(["height gained|400 ft"]);
    expect(read({ cost: { height_m: null, time_s: 5 } })["What it cost"]).toEqual(["time|0:05"]);
  });

  it("an engine that was shut down: which, how high, for how long, and whether it came back", () => {
    const shutdown = { engine: "left", height_m: 5000 * M_PER_FT, off_s: 312, tries: 1, started: true, oil_K: 343.15 };
    expect(read({ shutdown } as Partial<LogbookEntry>)["Engine shut down"]).toEqual([
      "engine|left",
      "at|5 000 ft",
      "off for|5:12",
      "restart|started, 1 try",
      "oil|70 °C",
    ]);
    const single = { engine: "the engine", height_m: null, off_s: 60, tries: 3, started: false, oil_K: null };
    expect(read({ shutdown: single } as Partial<LogbookEntry>)["Engine shut down"]).toEqual([
      "engine|one",
      "off for|1:00",
      "restart|not started, 3 tries",
    ]);
  });

  it("a trim tab with its signs: right is plus", () => {
    const tab = { speed_mps: 90 * MPS_PER_KT, before_rad: radians(-3), after_rad: radians(4), ball: -0.5 };
    expect(read({ tab })["Trim tab"]).toEqual(["speed|90 kt", "tab, right +|−3° to +4°", "ball, feet off|−0.5 widths"]);
    expect(read({ tab: { ...tab, before_rad: 0, ball: 0 } })["Trim tab"].slice(1)).toEqual([
      "tab, right +|0° to +4°",
      "ball, feet off|0.0 widths",
    ]);
  });

  it("who took part is told once where names are left out", () => {
    expect(
      read({
        people: [
          { name: "Ines", role: "instructor" },
          { name: "student", role: "student" },
        ],
      }).Who,
    ).toEqual(["instructor|Ines", "|student"]);
  });

  it("what it counts as, what was learnt, what will change, and tags", () => {
    const told = read({
      practised: ["turn-back", "minimum-control"],
      learnt: "look at the wind first",
      change: "lean on the ground",
      tags: ["winter", "oil"],
    });
    expect(told).toEqual({
      Learnt: ["|look at the wind first"],
      "What will change": ["|lean on the ground"],
      "Counts as": ["|turn back", "|minimum control speed"],
      Tags: ["|winter, oil"],
    });
  });
});
