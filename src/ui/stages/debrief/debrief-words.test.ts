import { beforeAll, describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation } from "../../../../demo/read-demo";
import { demoLog } from "../../../../demo/read-logs";
import { besideFailure } from "@/core/debrief/beside-failure";
import type { TurnBackBeside } from "@/core/debrief/turn-back-beside";
import { landingEnds } from "@/core/landing/landing-end";
import { radians } from "@/core/quantities/angle";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { type TrackAnalysis, analyse } from "@/core/track/analyse";
import { readLog } from "@/core/track/formats/read-log";
import { type KeptLog, dayOf, summaryOf } from "@/core/track/kept-log";
import { trackWorking } from "@/core/track/track-working";
import { type Format, formatIn } from "@/ui/kit/units/units-store";
import { lesson, partWords } from "./beside-words";
import {
  dayWords,
  failureRows,
  failureSaid,
  glideRows,
  jobWords,
  landingRows,
  momentWords,
  slowedRows,
  stopWords,
  summaryWords,
  turnRows,
  windWords,
  withBound,
} from "./debrief-words";
import { labelled } from "./mark-labels";
import { roundedSum } from "./rounded-sum";
import { lookedAt, trackMarks } from "./track-marks";

/** In plain blanks, to be read here. */
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, " ");
const format: Format = (...asked) => plain(formatIn(DEFAULT_UNITS)(...asked));
const ends = landingEnds(demoPlaces()).filter(({ unprepared }) => !unprepared);
const alder = demoAircraft("alder-s1");

const kept = (name: string, deviation_K: number): KeptLog => ({
  schema: "utrimax/log",
  version: 3,
  stops: null,
  also: [],
  name,
  text: demoLog(name),
  layout: null,
  aircraft: alder,
  mass_kg: 1000,
  deviation_K,
  wind: name === "turnback.igc" ? { from_rad: radians(160), speed_mps: 4 } : null,
  ends,
});

function analysed(log: KeptLog): TrackAnalysis {
  const read = readLog(log.text, log.layout);
  if (!read.ok) throw new Error(read.issue.message);
  const found = analyse(read.value, dayOf(log));
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

let turnback: TrackAnalysis;
let glides: TrackAnalysis;
let beside: TurnBackBeside;
beforeAll(() => {
  turnback = analysed(kept("turnback.igc", 8));
  glides = analysed(kept("glides.csv", 12));
  const { pilot, departure, plan } = demoSituation();
  const found = besideFailure(turnback, kept("turnback.igc", 8), 0, {
    pilot,
    plan: departure,
    approach: plan,
    qnh_Pa: 101_325,
  });
  if (!found.ok) throw new Error(found.issue.message);
  beside = found.value.turnBack;
});

describe("a log in words", () => {
  it("an engine stop is said in one sentence: height, delay, turn, where it came down", () => {
    const [flight] = turnback.flights;
    const { lead, rest } = failureSaid(flight.failures[0], flight, format);
    expect(lead).toBe("Power reduced or lost at 870 ft.");
    expect(rest).toMatch(
      /^First action after 3\.1 s, turned 211° at 45°, down 68 s later, [67]0 m beyond the end of Skerrow 29\.$/,
    );
    const glide = failureSaid(glides.flights[0].failures[0], glides.flights[0], format);
    expect(glide.lead).toBe("Engine stopped, windmilling.");
    expect(glide.rest).toBe("Power again after 73 s.");
  });

  it("which engine, how it stopped, and whether it is only possible", () => {
    expect(stopWords({ kind: "idle", engine: null, possible: false, name: null })).toBe("engine to idle");
    expect(stopWords({ kind: "stopped", engine: 2, possible: false, name: null })).toBe("right engine stopped");
    expect(stopWords({ kind: "reduced or lost", engine: null, possible: true, name: null })).toBe(
      "possibly power reduced or lost",
    );
  });

  it("every row has its figure with its bound and a working of that name, or its reason", () => {
    const steps = new Set([...trackWorking(turnback), ...trackWorking(glides)].map(({ figure }) => figure));
    const [flight] = turnback.flights;
    const [first] = glides.flights[0].failures;
    const rows = [
      ...failureRows(flight.failures[0], "1.1", format),
      ...turnRows(flight.turns[0], "1.1", format),
      ...glideRows(first.glides[0], "1.1.1", format),
      ...failureRows(first, "1.1", format),
      ...landingRows(flight, "1", format),
    ];
    expect(rows.length).toBeGreaterThan(9);
    for (const { value, figure, reason } of rows) {
      expect(steps.has(figure)).toBe(true);
      if (reason === undefined) expect(value).toContain("±");
      else expect(value).toBe("not known");
    }
    expect(rows.filter(({ reason }) => reason !== undefined)).toHaveLength(1);
    expect(landingRows(flight, "1", format).map(({ value }) => value)).toEqual([
      expect.stringMatching(/^1 2\d0 m ±\d0$/),
      expect.stringMatching(/kt ±/),
    ]);
    expect(landingRows(glides.flights[0], "1", format)).toEqual([]);
  });

  it("a twin’s slow-down to minimum control: from, to, how fast, how far it strayed", () => {
    const twin = analysed({ ...kept("minimum-control.csv", 5), aircraft: demoAircraft("larch-t2"), mass_kg: 1600 });
    const rows = slowedRows(twin.flights[0].slowed[0], "1.1", format);
    expect(rows.map(({ value }) => value)).toEqual([
      expect.stringMatching(/^[89]\d kt ±/),
      expect.stringMatching(/^6\d kt ±/),
      expect.stringMatching(/^1\.[01] kt ±0\.\d$/),
      expect.stringMatching(/^1\d° ±/),
      expect.stringMatching(/^[45]° ±/),
    ]);
    const steps = new Set(trackWorking(twin).map(({ figure }) => figure));
    expect(rows.every(({ figure }) => steps.has(figure))).toBe(true);
  });

  it("bounds are never shown smaller than they are", () => {
    expect(withBound(format, "height", 259, 3.2)).toBe("850 ft ±20");
    expect(withBound(format, "speed", 30.9, 0.6)).toBe("60 kt ±2");
  });

  it("wind, day, moment and summary", () => {
    expect(windWords(null, format)).toBe("not known");
    expect(windWords({ east_mps: 0, north_mps: -5, sigma_mps: 0.4 }, format)).toBe("360° 10 kt ±2");
    expect([dayWords(null), dayWords(Date.UTC(2026, 10, 20) / 1000)]).toEqual(["day not told", "20 Nov 2026"]);
    expect([momentWords(83.4, null), momentWords(30, Date.UTC(2026, 10, 20, 1, 10) / 1000)]).toEqual([
      "1:23",
      "01:10:30",
    ]);
    expect(summaryWords(summaryOf(turnback))).toBe("3 minutes · 1 engine stop");
    expect(summaryWords(summaryOf(glides))).toBe("16 minutes · 6 engine stops · no landing");
    expect(summaryWords({ ...summaryOf(glides), flights: 0, failures: 0, holes: 2 })).toBe(
      "16 minutes · no engine stop · not in the air · 2 holes",
    );
  });
});

describe("marks of a flight", () => {
  it("of one stop: the stop, the first action, the turn, the touch; of the whole log take-off and touch", () => {
    expect(trackMarks(turnback.flights, 0, format).map(({ label }) => label.split(",")[0])).toEqual([
      "power reduced or lost",
      "first action",
      "turn",
      "touch",
    ]);
    expect(trackMarks(turnback.flights, null, format).map(({ label }) => label.split(",")[0])).toEqual([
      "take-off",
      "power reduced or lost",
      "turn",
      "touch",
    ]);
    expect(trackMarks(glides.flights, 2, format).every(({ label }) => !label.startsWith("touch"))).toBe(true);
  });

  it("a stop is looked at from ten seconds before to after the touch, or to the power’s return", () => {
    const one = lookedAt(turnback.flights, 0, 195);
    expect(one.from_s).toBeCloseTo(turnback.flights[0].failures[0].time_s - 10, 6);
    expect(one.to_s).toBeCloseTo((turnback.flights[0].landing?.time_s ?? NaN) + 8, 6);
    expect(lookedAt(glides.flights, 1, 984).to_s).toBeCloseTo((glides.flights[0].failures[1].back_s ?? NaN) + 8, 6);
    expect(lookedAt(turnback.flights, null, 195)).toEqual({ from_s: 0, to_s: 195 });
  });

  it("labels that would lie on each other stand apart, the others where they mark", () => {
    const found = labelled([{ at: [0, 0] }, { at: [5, 5] }, { at: [8, 2] }, { at: [5000, 0] }], 1);
    expect(found[0].labelAt).toBe(found[0].at);
    expect(found[3].labelAt).toBe(found[3].at);
    for (const [i, a] of found.entries())
      for (const b of found.slice(i + 1))
        expect(Math.abs(a.labelAt[0] - b.labelAt[0]) > 190 || Math.abs(a.labelAt[1] - b.labelAt[1]) >= 21).toBe(true);
  });
});

describe("beside the plan", () => {
  it("parts say how they were flown and planned", () => {
    expect(partWords("reaction", beside, format)).toBe("3.1 s, plan 4.0");
    expect(partWords("turn", beside, format)).toMatch(/^45°, plan 45°; 6\d kt, plan 65 kt$/);
  });

  it("teaches the runway where height was there and runway was not", () => {
    const said = lesson(beside, 70, format);
    expect(said.lead).toBe("Too high for this runway.");
    expect(said.rest).toContain("70 m beyond the far end");
    expect(said.good).toBe(false);
  });

  it("teaches what cost most of what the pilot can change, and what the plan must carry", () => {
    const explained = { delay: -8, straight: 0, bank: -2, speed: -16, wind: -12 };
    const said = lesson({ ...beside, explained }, null, format);
    expect(said.lead).toMatch(/^Hold 65 kt in the turn and 6\d kt after it\.$/);
    expect(said.rest).toContain("it cost 50 ft");
    expect(said.rest).toContain("The wind cost 40 ft");
    const late = lesson({ ...beside, explained: { ...explained, delay: -30 } }, null, format);
    expect(late.lead).toBe("Act within 4.0 s.");
  });

  it("says where nothing cost, where it came down short, and where it never lined up", () => {
    const none = { delay: 0, straight: 0, bank: 0, speed: 0, wind: 0 };
    expect(lesson({ ...beside, explained: none }, null, format)).toMatchObject({
      lead: "Flown as planned.",
      good: true,
    });
    const short = { ...beside, explained: none, flown: { ...beside.flown, left_m: -20 } };
    expect(lesson(short, null, format).rest).toContain("short of the runway");
    expect(lesson(short, null, format).good).toBe(false);
    expect(lesson({ ...beside, flown: { ...beside.flown, left_m: null } }, null, format).lead).toBe("Never lined up.");
  });
});

describe("parts that are rounded", () => {
  it.each([
    [[3.4, 3.4, 3.4], 1, [4, 3, 3]],
    [[-14, -26, 41], 10, [-10, -30, 40]],
    [[0.2, -0.3], 10, [0, 0]],
    [[], 10, []],
  ])("%j by %d", (parts, step, expected) => {
    const found = roundedSum(parts, step);
    expect([...found].sort()).toEqual([...expected].sort());
    const whole = parts.reduce((sum, part) => sum + part, 0);
    expect(found.reduce((sum, part) => sum + part, 0)).toBe(Math.round(whole / step) * step || 0);
  });
});

describe("an analysis on the server", () => {
  it("waits, goes on, or says why there is none", () => {
    const words = (state: "waiting" | "running" | "failed", share: number, fault: string | null) =>
      jobWords({ state, share, fault }).replace(/[\u00a0\u202f]/gu, " ");
    expect(words("waiting", 0, null)).toBe("waits to be analysed");
    expect(words("running", 0.452, null)).toBe("analysed on the server, 45 %");
    expect(words("failed", 1, "No heights.")).toBe("not analysed: No heights.");
  });
});
