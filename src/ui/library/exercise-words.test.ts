import { describe, expect, it } from "vitest";
import type { Exercise, Tolerance } from "@/core/exercise/exercise";
import type { ExerciseScore, FlightTestResult, HeldTolerance } from "@/core/exercise/exercise-score";
import { radians } from "@/core/quantities/angle";
import { MPS_PER_KT, M_PER_FT } from "@/core/quantities/constants";
import { DEFAULT_UNITS, type UnitChoice } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { exerciseLines, failWords, heldWords, testWords, toleranceWords } from "./exercise-words";

const format = formatIn(DEFAULT_UNITS);
const metric = formatIn({ ...DEFAULT_UNITS, height: "m" } as UnitChoice);
const plain = (text: string) => text.replace(/\s/g, " ");
const tolerance = (change: Partial<Tolerance>): Tolerance => ({
  channel: "height",
  target: "entry",
  below: 100 * M_PER_FT,
  above: 100 * M_PER_FT,
  forgiven_s: 3,
  source: "common practice",
  ...change,
});

describe("what a tolerance asks for", () => {
  it.each([
    [{}, "height as at entry, ±100 ft"],
    [{ below: 50 * M_PER_FT }, "height as at entry, −50 ft, +100 ft"],
    [{ channel: "speed", target: "book", below: 0, above: 5 * MPS_PER_KT }, "speed the book’s, −0 kt, +5 kt"],
    [{ channel: "bank", target: 0, below: radians(5), above: radians(5) }, "bank level, ±5°"],
    [{ channel: "verticalSpeed", target: 0, below: 0.508, above: 0.508 }, "vertical speed level, ±100 ft/min"],
    // North is a heading, not level.
    [{ channel: "heading", target: 0, below: radians(10), above: radians(10) }, "heading 0°, ±10°"],
    [{ channel: "bank", target: radians(-30), below: radians(5), above: radians(5) }, "bank 30°, ±5°"],
    [{ target: 300 * M_PER_FT }, "height 300 ft, ±100 ft"],
  ] as const)("%j", (change, words) => {
    expect(plain(toleranceWords(tolerance(change), format))).toBe(words);
  });

  it("in the user's own units", () => {
    expect(plain(toleranceWords(tolerance({ below: 30, above: 30 }), metric))).toBe("height as at entry, ±30 m");
  });

  it("what fails at once keeps its sign", () => {
    expect(plain(failWords({ channel: "verticalSpeed", is: "below", value: -5.08 }, format))).toMatch(
      /^vertical speed below −1 000 ft\/min$/,
    );
    expect(plain(failWords({ channel: "height", is: "above", value: 300 * M_PER_FT }, format))).toBe(
      "height above 300 ft",
    );
  });
});

describe("how it was held", () => {
  const held = (change: Partial<HeldTolerance>): HeldTolerance => ({
    tolerance: tolerance({}),
    held: true,
    target: 0,
    least: -10,
    greatest: 10,
    within: 1,
    busts: [],
    ...change,
  });
  const bust = (from_s: number, worst: number) => ({ from_s, to_s: from_s + 5, worst });

  it.each([
    [{ held: null, within: null }, "not measured"],
    [{}, "held"],
    [{ within: null }, "held"],
    [{ within: 0.934 }, "held, 93 % of the time"],
  ])("%j", (change, words) => {
    expect(plain(heldWords(held(change), format))).toBe(words);
  });

  it("the worst of what was out of it is told, whichever way, with when it began", () => {
    const busts = [bust(12, 150 * M_PER_FT), bust(75, -310 * M_PER_FT), bust(130, 200 * M_PER_FT)];
    expect(plain(heldWords(held({ held: false, busts }), format))).toBe("310 ft too little at 1:15");
    expect(plain(heldWords(held({ held: false, busts: busts.slice(0, 1) }), format))).toBe("150 ft too much at 0:12");
  });

  it("by a clock of one's own", () => {
    const busts = [bust(12, 40)];
    expect(heldWords(held({ held: false, busts }), format, (time_s) => `${time_s} after`)).toMatch(/at 12 after$/);
  });
});

describe("how a flight test stands", () => {
  const score = (verdict: ExerciseScore["verdict"]) => ({ verdict }) as FlightTestResult["exercises"][number];
  const test = (verdict: FlightTestResult["verdict"], verdicts: readonly ExerciseScore["verdict"][], repeatsLeft = 1) =>
    testWords(
      { verdict, exercises: verdicts.map(score), repeatsLeft } as unknown as FlightTestResult,
      { name: "Single engine" } as Parameters<typeof testWords>[1],
    );

  it.each([
    [
      "passed",
      ["passed", "unmeasured", "passed"],
      "Single engine: passed.",
      /^3 of 3 with the drill in order; 1 may/,
      true,
    ],
    ["going", ["passed", "failed"], "Single engine: going on.", /^1 of 2 with the drill in order, 1 not; 1 may/, true],
    ["failed", ["failed", "failed"], "Single engine: not passed.", /^0 of 2 with the drill in order, 2 not/, false],
  ] as const)("%s", (verdict, verdicts, lead, rest, good) => {
    const said = test(verdict as FlightTestResult["verdict"], verdicts);
    expect(said).toMatchObject({ lead, good });
    expect(said.rest).toMatch(rest);
    // A drill in order is not a flight.
    expect(said.rest).toContain("Drills alone pass nothing that must be flown.");
  });
});

describe("an exercise on a card", () => {
  const exercise = {
    setUp: { configuration: "clean, trimmed", speed_mps: null, height_m: 900, hardDeck_m: 300 },
    tolerances: [tolerance({}), tolerance({ channel: "bank", target: 0, below: 0.1, above: 0.1 })],
    drill: { wrong: 0, seconds: 20 },
    lookOuts: ["below first"],
    calls: ["practice"],
    fails: [{ channel: "height", is: "below", value: 250 }],
  } as unknown as Exercise;

  it("says all that is asked for, in the order in which it is flown", () => {
    expect(exerciseLines(exercise, format).map(({ name }) => name)).toEqual([
      "Set up",
      "Height",
      "Hard deck",
      "Within",
      "Within",
      "Drill in",
      "Fails at once",
      "Look-out",
      "Call",
    ]);
  });

  it("leaves out what there is none of", () => {
    const bare = {
      ...exercise,
      setUp: { ...exercise.setUp, hardDeck_m: null },
      drill: { wrong: 0, seconds: null },
      lookOuts: [],
    };
    const names = exerciseLines(bare, format).map(({ name }) => name);
    expect(names).not.toContain("Hard deck");
    expect(names).not.toContain("Drill in");
    expect(names).not.toContain("Look-out");
  });
});
