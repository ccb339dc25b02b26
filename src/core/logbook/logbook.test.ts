import { readFileSync } from "node:fs";
import path from "node:path";
import { describe, expect, it } from "vitest";
import { singleForcedLanding } from "../procedure/library/single";
import type { DrillRun } from "../procedure/drill-run";
import { runResult } from "../procedure/run-document";
import type { Failure } from "../track/analyse";
import { figure, unknown } from "../track/figure";
import { demoFlownResult } from "../../../demo/demo-kept-flight";
import {
  type CurrencyRule,
  CurrencyRule as Rule,
  EXAMPLE_RULES,
  type Practised,
  currencyOf,
  isZone,
  rulesInForce,
} from "./currency";
import { entryOfFailure, entryOfFlight, entryOfRun, newEntry } from "./drafted-entry";
import { LogbookEntry } from "./logbook-entry";
import {
  countedOnce,
  practisedByDrill,
  practisedByEntry,
  practisedByLog,
  practisedByRecall,
  practisedBySimulator,
} from "./practised";
import { withoutNames } from "./without-names";

const rule = (change: Partial<CurrencyRule>): CurrencyRule => Rule.parse({ ...EXAMPLE_RULES[0], ...change });
const had = (at: string, change: Partial<Practised> = {}): Practised => ({
  practice: "turn-back",
  way: "flight",
  at_ms: Date.parse(at),
  words: "flown",
  of: [],
  ...change,
});
const now = (at: string) => Date.parse(at);
const months = (count: number) => rule({ within: { count, unit: "months" } });
const days = (count: number) => rule({ within: { count, unit: "days" } });

describe("what is kept", () => {
  it("is read in every version that was ever written", () => {
    const read = (name: string): unknown =>
      JSON.parse(readFileSync(path.resolve(import.meta.dirname, "versions", name), "utf8"));
    expect(LogbookEntry.safeParse(read("entry-1-shutdown.json")).error?.issues ?? []).toEqual([]);
    expect(Rule.safeParse(read("rule-1-turn-back.json")).error?.issues ?? []).toEqual([]);
  });
});

describe("currency", () => {
  // Each by hand, from a calendar.
  it.each([
    // Twelve months from 29 February of a leap year end on the 28th, from the 28th of the year before a leap year too.
    [months(12), "2024-02-29T12:00:00Z", "2025-02-28"],
    [months(12), "2023-02-28T12:00:00Z", "2024-02-28"],
    [months(48), "2024-02-29T12:00:00Z", "2028-02-29"],
    [months(1), "2026-01-31T12:00:00Z", "2026-02-28"],
    [months(6), "2026-08-31T12:00:00Z", "2027-02-28"],
    [days(90), "2026-11-29T12:00:00Z", "2027-02-27"],
    [days(1), "2024-02-28T12:00:00Z", "2024-02-29"],
    [days(366), "2024-01-01T12:00:00Z", "2025-01-01"],
  ])("holds until the right day, case %#", (of, at, until) => {
    expect(currencyOf(of, [had(at)], now(at), "UTC").until).toBe(until);
  });

  it("counts the days of the pilot’s own calendar", () => {
    // At 23:30 UTC it is the next day in Auckland, and still the same in New York.
    const flown = had("2026-03-10T23:30:00Z");
    expect(currencyOf(days(10), [flown], flown.at_ms, "Pacific/Auckland").until).toBe("2026-03-21");
    expect(currencyOf(days(10), [flown], flown.at_ms, "America/New_York").until).toBe("2026-03-20");
    // Over the change to summer time a day is a day.
    const before = had("2026-03-28T23:30:00Z");
    const over = currencyOf(days(1), [before], now("2026-03-29T21:59:00Z"), "Europe/Berlin");
    expect([over.until, over.days, over.state]).toEqual(["2026-03-30", 1, "soon"]);
  });

  it("holds on its last day and is overdue on the next", () => {
    const at = "2026-01-01T12:00:00Z";
    const on = (day: string) => currencyOf(days(30), [had(at)], now(`${day}T23:00:00Z`), "UTC");
    expect([on("2026-01-16").state, on("2026-01-17").state]).toEqual(["current", "soon"]);
    expect([on("2026-01-31").days, on("2026-01-31").state]).toEqual([0, "soon"]);
    expect([on("2026-02-01").days, on("2026-02-01").state]).toEqual([-1, "overdue"]);
  });

  it("of several times runs out with the oldest of the latest", () => {
    const three = rule({ times: 3, within: { count: 90, unit: "days" } });
    const flown = ["2026-05-01", "2026-06-01", "2026-07-01", "2026-08-01"].map((day) => had(`${day}T10:00:00Z`));
    expect(currencyOf(three, flown, now("2026-08-02T00:00:00Z"), "UTC")).toMatchObject({
      until: "2026-08-30",
      by: { at_ms: now("2026-06-01T10:00:00Z") },
    });
    expect(currencyOf(three, flown.slice(0, 2), now("2026-08-02T00:00:00Z"), "UTC").state).toBe("never");
  });

  it("counts only what the rule lets count, nothing of the far future, and follows a changed rule at once", () => {
    const simulated = had("2026-06-01T10:00:00Z", { way: "simulator" });
    const at = now("2026-06-02T10:00:00Z");
    expect(currencyOf(rule({ ways: ["flight"] }), [simulated], at, "UTC").state).toBe("never");
    expect(currencyOf(rule({ ways: ["flight", "simulator"] }), [simulated], at, "UTC").state).toBe("current");
    expect(currencyOf(days(90), [had("2026-09-01T10:00:00Z")], at, "UTC").state).toBe("never");
    expect(currencyOf(days(90), [had("2026-06-01T10:00:00Z", { practice: "shutdown" })], at, "UTC").state).toBe(
      "never",
    );
  });

  it("takes a rule of one’s own in the place of its example, and leaves the others", () => {
    const own = rule({ id: "own-1", inPlaceOf: "last-turn-back", within: { count: 7, unit: "days" } });
    const inForce = rulesInForce([own, rule({ id: "own-2", inPlaceOf: null })]);
    expect(inForce).toHaveLength(EXAMPLE_RULES.length + 1);
    expect(inForce.filter(({ practice }) => practice === "turn-back").map(({ id }) => id)).toEqual(["own-1", "own-2"]);
    expect(EXAMPLE_RULES.every(({ note }) => note.startsWith("An example"))).toBe(true);
  });

  it("refuses a rule of 0 days, of half a time, of nothing that counts, of too many months", () => {
    const faults = (change: object) =>
      Rule.safeParse({ ...EXAMPLE_RULES[0], ...change }).error?.issues.map(({ message }) => message);
    expect(faults({ within: { count: 0, unit: "days" } })).toEqual(["A rule is of 1 day at least."]);
    expect(faults({ within: { count: 61, unit: "months" } })).toEqual(["At most 60 months."]);
    expect(faults({ times: 1.5 })).toEqual(["A whole number."]);
    expect(faults({ ways: [] })).toEqual(["Something must count."]);
  });

  it("knows a zone from a word", () => {
    expect([isZone("Pacific/Auckland"), isZone("Nowhere/At_all")]).toEqual([true, false]);
  });
});

describe("what counts as practice", () => {
  it("of a drill is what it drills, once it is over", () => {
    const run = {
      id: "r",
      procedureId: "single-turn-back",
      procedure: "Turn back",
      beganAt: "2026-06-01T10:00:00.000Z",
      result: { over: true },
    };
    expect(practisedByDrill(run)).toEqual([
      { practice: "turn-back", way: "drill", at_ms: now(run.beganAt), words: "Turn back", of: ["r"] },
    ]);
    expect(practisedByDrill({ ...run, result: { over: false } })).toEqual([]);
    expect(practisedByDrill({ ...run, procedureId: "landing-check" })).toEqual([]);
  });

  it("of a flight by hand is a turn back only where it came round from low, and nothing where it crashed", () => {
    const flight = (turned_rad: number, lost_m: number, ended = "down") =>
      practisedBySimulator({
        id: "f",
        flownAt: "2026-06-01T10:00:00.000Z",
        words: "x",
        exerciseId: null,
        result: { ended, verdict: null, glide: { lost_m }, hand: { turned_rad } },
      }).map(({ practice }) => practice);
    expect(flight(3.1, 200)).toEqual(["turn-back"]);
    expect(flight(3.1, 900)).toEqual(["forced-landing"]);
    expect(flight(0.3, 200)).toEqual(["forced-landing"]);
    expect(flight(3.1, 200, "crash")).toEqual([]);
  });

  it("of an exercise is had where it was passed", () => {
    const flight = (verdict: string) =>
      practisedBySimulator({
        id: "f",
        flownAt: "2026-06-01T10:00:00.000Z",
        words: "x",
        exerciseId: "one-engine-approach",
        result: { ended: "air", verdict, glide: null, hand: null },
      });
    expect(flight("passed").map(({ practice }) => practice)).toEqual(["one-engine-approach"]);
    expect(flight("failed")).toEqual([]);
  });

  it("of a log, of recall and of an entry is what they show; on the ground nothing is practised", () => {
    const log = (begins_s: number | null) => ({
      id: "l",
      name: "a.igc",
      summary: { begins_s, hands: [{ turned_rad: 3, lost_m: 180 }, {}] },
    });
    expect(practisedByLog(log(1000)).map(({ practice, at_ms }) => [practice, at_ms])).toEqual([
      ["turn-back", 1_000_000],
      ["forced-landing", 1_000_000],
    ]);
    expect(practisedByLog(log(null))).toEqual([]);
    expect(practisedByRecall([{ at_ms: 5 }, { at_ms: 9 }, { at_ms: 7 }])).toMatchObject([
      { at_ms: 9, practice: "recall" },
    ]);
    expect(practisedByRecall([])).toEqual([]);
    const entry = { ...newEntry("own-1", "2026-06-01T10:00:00.000Z", "Alder S1"), practised: ["shutdown" as const] };
    expect(practisedByEntry(entry)).toMatchObject([{ practice: "shutdown", way: "flight" }]);
    expect(practisedByEntry({ ...entry, kind: "ground" })).toEqual([]);
  });
});

describe("practice that an entry tells of", () => {
  const flown = had("2026-06-01T10:00:00Z", { of: ["log-1"] });
  const told = (practice: Practised["practice"], ...of: string[]) => had("2026-06-01T10:00:00Z", { practice, of });

  it("counts once with the log that it was made from, and for what the log does not show", () => {
    expect(countedOnce([flown], [told("turn-back", "log-1")])).toEqual([flown]);
    const other = told("shutdown", "log-1");
    expect(countedOnce([flown], [other])).toEqual([flown, other]);
    const elsewhere = told("turn-back", "log-2");
    // Two entries of one flight are one practice; two of nothing are two.
    expect(countedOnce([flown], [elsewhere, elsewhere])).toEqual([flown, elsewhere]);
    expect(countedOnce([], [told("turn-back"), told("turn-back")])).toHaveLength(2);
  });
});

describe("an entry that is begun", () => {
  const begun = { id: "own-1", sourceId: "s", at: "2026-06-01T10:00:00.000Z", aircraft: "Alder S1", practised: [] };

  it("from a drill has its steps as they were done, and what it cost", () => {
    const run: DrillRun = {
      procedure: singleForcedLanding,
      dead: null,
      propeller: "windmilling",
      height_m: 600,
      speed_mps: 33,
      climb_mps: -4,
      lampGoes: false,
      events: [
        { time_s: 7, event: { type: "say", actor: "single" } },
        { time_s: 9, event: { type: "set", actor: "single", control: "flap", side: null, position: "landing" } },
      ],
    };
    const entry = entryOfRun(run, runResult(run, 40), begun);
    expect(LogbookEntry.safeParse(entry).success).toBe(true);
    expect(entry.cost).toEqual({ height_m: 160, time_s: 40 });
    expect(entry.actions.map(({ at_s }) => at_s)).toEqual([7, 9]);
    expect(entry.actions[0].words).toMatch(/, late$/u);
    expect(entry.actions[1].words).toMatch(/wrong/u);
    expect(entry.sources).toEqual([{ kind: "run", id: "s", name: "Forced landing, piston single" }]);
  });

  it("from a flight by hand has what its result says", () => {
    const entry = entryOfFlight("Alder S1, engine stops", demoFlownResult(), {
      ...begun,
      practised: [{ practice: "turn-back", way: "simulator", at_ms: 0, words: "", of: [] }],
    });
    expect(LogbookEntry.safeParse(entry).success).toBe(true);
    expect(entry.cost).toEqual({ height_m: 200, time_s: 60 });
    expect(entry.practised).toEqual(["turn-back"]);
    expect(entry.actions.map(({ words }) => words)).toContain("stopped on the ground, 1.2 m/s at the touch");
  });

  it("from a log has stop, first action, turns and touch in the order of their time", () => {
    const known = (value: number) => figure(value, 1, "position");
    const stop = {
      engine: 1,
      kind: "stopped",
      time_s: 100,
      back_s: null,
      delay_s: known(4),
      turns: [{ from_s: 108, side: -1, heading_rad: Math.PI, measures: { bank_rad: known(Math.PI / 4) } }],
      toGround: { height_m: known(210), time_s: known(62) },
    } as unknown as Failure;
    const entry = entryOfFailure("a.igc", stop, begun);
    expect(LogbookEntry.safeParse(entry).success).toBe(true);
    expect(entry.name).toBe("Left engine stopped");
    expect(entry.actions).toEqual([
      { at_s: 0, words: "Left engine stopped" },
      { at_s: 4, words: "First action" },
      { at_s: 8, words: "Turned left through 180° at 45°" },
      { at_s: 62, words: "Touched down" },
    ]);
    expect(entry.cost).toEqual({ height_m: 210, time_s: 62 });
    const aloft = entryOfFailure("a.igc", { ...stop, toGround: null, back_s: 130, delay_s: unknown("no") }, begun);
    expect(aloft.actions.at(-1)).toEqual({ at_s: 30, words: "Power again" });
    expect(aloft.cost).toEqual({ height_m: null, time_s: 30 });
  });
});

describe("an entry without names", () => {
  const entry = LogbookEntry.parse({
    ...newEntry("own-1", "2026-06-01T10:00:00.000Z", "Alder S1"),
    name: "Bryony forgot the heat",
    causes: [{ kind: "human", words: "Bryony Marl looked at Ossel, not at the gauge." }],
    actions: [{ at_s: 3, words: "OSSEL said “heat”" }],
    learnt: "Marlow’s field is too short; bryony knew it. A C. in the margin stays.",
    change: "",
    people: [
      { name: "Bryony Marl", role: "student" },
      { name: "F. Ossel", role: "instructor" },
    ],
    sources: [{ kind: "log", id: "x", name: "bryony-marl.igc" }],
    tags: ["Marl"],
  });
  const told = withoutNames(entry);

  it("has roles wherever a name stood, in any spelling, and leaves words that only begin alike", () => {
    expect(told.name).toBe("the student forgot the heat");
    expect(told.causes[0].words).toBe("the student looked at the instructor, not at the gauge.");
    expect(told.actions[0].words).toBe("the instructor said “heat”");
    expect(told.learnt).toBe("Marlow’s field is too short; the student knew it. A C. in the margin stays.");
    expect(told.people).toEqual([
      { name: "student", role: "student" },
      { name: "instructor", role: "instructor" },
    ]);
    expect(told.tags).toEqual(["the student"]);
    expect(told.sources).toEqual([]);
    expect(JSON.stringify(told)).not.toMatch(/bryony|ossel/iu);
  });

  it("keeps every figure", () => {
    expect([told.cost, told.at, told.kind, told.aircraft]).toEqual([entry.cost, entry.at, entry.kind, entry.aircraft]);
  });
});
