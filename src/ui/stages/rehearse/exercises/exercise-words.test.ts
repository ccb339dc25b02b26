import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../../../demo/read-demo";
import type { Exercise } from "@/core/exercise/exercise";
import { EXERCISES, FLIGHT_TESTS } from "@/core/exercise/library";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import type { ListedRun } from "@/server/runs";
import { exerciseLines, failWords, heldWords, testWords, toleranceWords } from "@/ui/library/exercise-words";
import { bookSpeed_mps } from "@/core/exercise/book-speed";
import { exercisesOf, runsOf, testResult, verdictOf } from "./useExercises";

const format = formatIn(DEFAULT_UNITS);
const plain = (text: string) => text.replaceAll(/[\u00a0\u202f]/g, " ");
const find = (id: string): Exercise => {
  const found = EXERCISES.find((exercise) => exercise.id === id);
  if (!found) throw new Error(id);
  return found;
};

describe("an exercise in words", () => {
  it("says what is held, within what", () => {
    const words = (id: string) => find(id).tolerances.map((tolerance) => plain(toleranceWords(tolerance, format)));
    expect(words("slow-flight")).toEqual(["height as at entry, ±100 ft", "heading as at entry, ±10°"]);
    expect(words("one-engine-approach")).toEqual(["speed the book’s, −5 kt, +10 kt", "bank level, ±15°"]);
    expect(plain(failWords(find("one-engine-approach").fails[0], format))).toBe("vertical speed below −1 000 ft/min");
  });

  it("says how it was held, by the worst", () => {
    const [tolerance] = find("slow-flight").tolerances;
    const held = { tolerance, target: 900, least: 0, greatest: 0, within: 0.9, busts: [] };
    expect(heldWords({ ...held, held: null }, format)).toBe("not measured");
    expect(heldWords({ ...held, held: true }, format)).toBe("held, 90 % of the time");
    const busts = [
      { from_s: 10, to_s: 20, worst: 6.1 },
      { from_s: 70, to_s: 90, worst: -30.48 },
    ];
    expect(plain(heldWords({ ...held, held: false, busts }, format))).toBe("100 ft too little at 1:10");
  });

  it("has a line for everything that is asked for on its card", () => {
    const lines = exerciseLines(find("vmca-demo"), format);
    expect(lines.map(({ name }) => name)).toEqual([
      "Set up",
      "Height",
      "Hard deck",
      "Within",
      "Fails at once",
      "Look-out",
    ]);
  });

  it("says how a flight test stands", () => {
    const [profile] = FLIGHT_TESTS;
    const exercises = [
      { id: "a", verdict: "unmeasured" as const },
      { id: "b", verdict: "failed" as const },
    ];
    expect(testWords({ verdict: "going on", exercises, repeatsLeft: 1 }, profile)).toMatchObject({
      lead: "Check flight, one engine: going on.",
      good: true,
    });
    expect(testWords({ verdict: "failed", exercises, repeatsLeft: 0 }, profile).good).toBe(false);
  });
});

describe("exercises of an aircraft", () => {
  const run = (result: object): ListedRun => ({
    id: "1",
    beganAt: "2026-11-20T10:00:00.000Z",
    role: "single",
    procedureId: "single-in-cruise",
    procedure: "x",
    aircraft: "Alder S1",
    result: { over: true, ground: false, took_s: 60, wrong: 0, slow: 0, back: 0, lost_m: 1, ...result },
  });

  it("fit its kind; a flight test only where all of it does; the speed is the book’s for the failure", () => {
    const [alder, larch] = [demoAircraft("alder-s1"), demoAircraft("larch-t2")];
    expect(exercisesOf(alder).tests.map(({ id }) => id)).toEqual(["single-check"]);
    expect(exercisesOf(larch).tests.map(({ id }) => id)).toEqual(["twin-check"]);
    expect(bookSpeed_mps(larch)).toBeCloseTo(43.2, 1);
    expect(bookSpeed_mps(alder)).toBe(alder.handbook.vbg_mps);
  });

  it("a flight test stands by its last sitting: last month's drills take no repeats", () => {
    const test = { ...FLIGHT_TESTS[0], exercises: ["engine-failure-single"], repeats: 1, stopsAtFailure: true };
    const at = (beganAt: string, wrong: number) => ({ ...run({ wrong }), beganAt });
    const stands = (...runs: ListedRun[]) => testResult(test, EXERCISES, runs.toReversed(), "Alder S1");
    const today = at("2026-11-20T10:00:00.000Z", 0);
    const month = [1, 2, 3].map((day) => at(`2026-10-0${day}T10:00:00.000Z`, 1));
    expect(stands(...month, today)).toMatchObject({ verdict: "going on", repeatsLeft: 1 });
    expect(stands(at("2026-11-20T09:00:00.000Z", 1), today).repeatsLeft).toBe(0);
    const twice = [at("2026-11-20T08:00:00.000Z", 1), at("2026-11-20T09:00:00.000Z", 1)];
    expect(stands(...twice).verdict).toBe("failed");
    expect(stands().exercises).toEqual([{ id: "engine-failure-single", verdict: null }]);
  });

  it("a drill passes no more than the drill: what is flown is still to be flown", () => {
    const exercise = find("engine-failure-single");
    expect(verdictOf(exercise, run({}))).toBe("unmeasured");
    for (const bad of [{ wrong: 1 }, { took_s: 121 }, { ground: true }, { over: false }])
      expect(verdictOf(exercise, run(bad))).toBe("failed");
    expect(runsOf(exercise, [run({}), { ...run({}), aircraft: "Rowan R1" }], "Alder S1")).toHaveLength(1);
  });
});
