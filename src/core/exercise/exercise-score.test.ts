import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { PROCEDURES } from "../procedure/library/procedures";
import { singleInCruise } from "../procedure/library/single";
import { rightRun } from "../procedure/right-way";
import { runResult } from "../procedure/run-document";
import { M_PER_FT } from "../quantities/constants";
import { drillTrace } from "./drill-trace";
import { Exercise, FlightTestProfile } from "./exercise";
import { type ExerciseScore, exerciseScore, flightTestResult } from "./exercise-score";
import { EXERCISES, FLIGHT_TESTS } from "./library";
import { Trace } from "./trace";

const RAD_PER_DEG = Math.PI / 180;
const find = (id: string): Exercise => {
  const found = EXERCISES.find((exercise) => exercise.id === id);
  if (!found) throw new Error(id);
  return found;
};
const slow = { ...find("slow-flight"), procedure: null };
/** Ten-second samples from a height, feet, and headings, degrees. */
const trace = (heights_ft: readonly (number | null)[], headings_deg?: readonly (number | null)[]): Trace =>
  Trace.parse({
    source: "log",
    time_s: heights_ft.map((_, i) => i * 10),
    channels: {
      height: heights_ft.map((ft) => (ft === null ? null : ft * M_PER_FT)),
      ...(headings_deg ? { heading: headings_deg.map((deg) => (deg === null ? null : deg * RAD_PER_DEG)) } : {}),
    },
  });
const score = (exercise: Exercise, flown: Trace, drill: Parameters<typeof exerciseScore>[2]["drill"] = null) => {
  const scored = exerciseScore(exercise, flown, { drill, book_mps: 34.5 });
  if (!scored.ok) throw new Error(scored.issue.message);
  return scored.value;
};
const STRAIGHT = [350, 352, 358, 2, 355];

describe("a tolerance", () => {
  // FAA airman certification standards (memory): slow flight within 100 ft and 10°.
  it("of 100 ft and 10° is held at 100 ft and 10°, round north too, and not beyond", () => {
    const held = score(slow, trace([3000, 3100, 2900, 3000, 3050], [355, 5, 345, 355, 0]));
    expect(held.verdict).toBe("passed");
    const high = score(slow, trace([3000, 3101, 3000, 3000, 3000], STRAIGHT));
    expect(high.verdict).toBe("failed");
    expect(high.tolerances[0].busts).toMatchObject([{ from_s: 10, to_s: 20 }]);
    expect(high.tolerances[0].busts[0].worst / M_PER_FT).toBeCloseTo(1, 6);
    const turned = score(slow, trace([3000, 3000, 3000, 3000, 3000], [355, 0, 7, 355, 355]));
    expect(turned.tolerances[1]).toMatchObject({ held: false });
    expect((turned.tolerances[1].greatest ?? 0) / RAD_PER_DEG).toBeCloseTo(12, 6);
  });

  it("forgives what is short, and tells how much of the time it was held", () => {
    const patient = { ...slow, tolerances: [{ ...slow.tolerances[0], forgiven_s: 10 }] };
    const flown = trace([3000, 3150, 3000, 3000, 3000]);
    expect(score(patient, flown).tolerances[0]).toMatchObject({ held: true, within: 0.75, busts: [] });
    expect(score(patient, trace([3000, 3150, 3150, 3000, 3000])).tolerances[0]).toMatchObject({
      held: false,
      within: 0.5,
    });
    // Above, then below, is two stretches: neither is long.
    expect(score(patient, trace([3000, 3150, 2850, 3000, 3000])).tolerances[0].held).toBe(true);
  });

  it("of what was not measured is neither held nor broken, and what rests on it is not called passed", () => {
    const unknown = score(slow, trace([3000, 3010, 3000]));
    expect(unknown.tolerances[1]).toMatchObject({ held: null, within: null, target: null });
    expect(unknown.verdict).toBe("unmeasured");
    // A break is a break all the same.
    expect(score(slow, trace([3000, 3500, 3000])).verdict).toBe("failed");
    // A gap in the samples is not nought.
    expect(score(slow, trace([3000, null, 3000], [355, null, 355])).verdict).toBe("passed");
  });
});

describe("an exercise", () => {
  it("is failed below its hard deck and by what fails it at once, with the second", () => {
    const deck = score(slow, trace([3000, 2950, 1490, 3000], STRAIGHT.slice(0, 4)));
    expect(deck).toMatchObject({ verdict: "failed", deck_s: 20 });
    const banked = score(
      { ...find("steep-turns"), procedure: null },
      Trace.parse({
        source: "log",
        time_s: [0, 1, 2],
        channels: { height: [900, 900, 900], speed: [50, 50, 50], bank: [0, 0.8, 1.1] },
      }),
    );
    expect(banked.failed).toMatchObject([{ at_s: 2 }]);
  });

  it("begins and ends where it says, and says when it never began", () => {
    const part = {
      ...slow,
      begins: { channel: "height" as const, is: "above" as const, value: 3000 * M_PER_FT - 1 },
      ends: { channel: "height" as const, is: "below" as const, value: 2000 * M_PER_FT },
    };
    const flown = trace([1000, 3000, 3000, 1900, 500], STRAIGHT);
    expect(score(part, flown)).toMatchObject({ from_s: 10, to_s: 30 });
    expect(exerciseScore(part, trace([100, 200]), { drill: null, book_mps: null })).toMatchObject({
      ok: false,
      issue: { code: "never_begun" },
    });
  });

  it("with a drill takes its wrong steps and its time, and the same document scores the drill’s own trace", () => {
    const failure = find("engine-failure-single");
    const begun = {
      procedure: PROCEDURES.find(({ id }) => id === singleInCruise.id) ?? singleInCruise,
      dead: null,
      propeller: "windmilling",
      height_m: 900,
      speed_mps: 34.5,
      climb_mps: -3,
      lampGoes: false,
      events: [],
    };
    const { run, until_s } = rightRun(begun, () => 3, { running: 1, height: 1 });
    const flown = drillTrace(run, until_s);
    expect(Trace.parse(flown)).toEqual(flown);
    expect(flown.channels.height?.at(-1)).toBeCloseTo(900 - 3 * Math.floor(until_s), 6);
    const result = runResult(run, until_s);
    expect(score(failure, flown, result)).toMatchObject({ verdict: "passed", drill: { wrong: false, slow: false } });
    expect(score(failure, flown, { ...result, wrong: 1 }).verdict).toBe("failed");
    expect(score(failure, flown, { ...result, took_s: 121 })).toMatchObject({ drill: { slow: true } });
    expect(score(failure, flown, { ...result, over: false }).verdict).toBe("failed");
    expect(score(failure, flown).verdict).toBe("unmeasured");
    // Ten knots and more beside the book’s speed.
    const fast = { ...flown, channels: { ...flown.channels, speed: flown.time_s.map(() => 41) } };
    expect(score(failure, fast, result).verdict).toBe("failed");
  });

  it("any trace gives a score without a NaN, and the busts lie within it", () => {
    const channel = (n: number) => fc.array(fc.option(evenly(-1000, 5000)), { minLength: n, maxLength: n });
    const flown = fc.integer({ min: 1, max: 40 }).chain((n) =>
      fc.record({ height: channel(n), heading: channel(n), speed: channel(n), bank: channel(n) }).map((channels) => ({
        source: "log" as const,
        time_s: Array.from({ length: n }, (_, i) => i * 2),
        channels,
      })),
    );
    fc.assert(
      fc.property(fc.constantFrom(...EXERCISES), flown, (exercise, any) => {
        const { from_s, to_s, tolerances } = score(exercise, any);
        for (const { within, busts, least, greatest, held } of tolerances) {
          expect([within, least, greatest].some((value) => Number.isNaN(value))).toBe(false);
          if (within !== null) expect(within).toBeGreaterThanOrEqual(0);
          if (within !== null) expect(within).toBeLessThanOrEqual(1);
          expect(held === true).toBe(held !== null && busts.length === 0);
          for (const bust of busts) {
            expect(bust.from_s).toBeGreaterThanOrEqual(from_s);
            expect(bust.to_s).toBeLessThanOrEqual(to_s);
            expect(bust.worst).not.toBe(0);
          }
        }
      }),
      { seed: 11, numRuns: 200 },
    );
  });
});

describe("the library of exercises", () => {
  it.each(EXERCISES.map((exercise) => [exercise.name, exercise] as const))("%s is sound", (_, exercise) => {
    expect(Exercise.parse(JSON.parse(JSON.stringify(exercise)))).toEqual(exercise);
    const drill = PROCEDURES.find(({ id }) => id === exercise.procedure);
    expect(drill).toBeDefined();
    for (const kind of exercise.fits) expect(drill?.fits).toContain(kind);
    const { height_m, hardDeck_m } = exercise.setUp;
    if (hardDeck_m !== null) expect(height_m).toBeGreaterThan(hardDeck_m + 200);
    expect(exercise.tolerances.every(({ source }) => source.length > 0)).toBe(true);
  });

  it.each(FLIGHT_TESTS.map((profile) => [profile.name, profile] as const))("%s is made of them", (_, profile) => {
    expect(FlightTestProfile.parse(JSON.parse(JSON.stringify(profile)))).toEqual(profile);
    for (const id of profile.exercises) expect(EXERCISES.map((exercise) => exercise.id)).toContain(id);
  });
});

describe("a flight test", () => {
  const profile = { ...FLIGHT_TESTS[0], exercises: ["a", "b", "c"], repeats: 1, stopsAtFailure: false };
  const flown = (text: string) =>
    text
      .split(" ")
      .filter(Boolean)
      .map((part) => ({ id: part[0], verdict: VERDICT[part[1] as "+" | "-" | "?"] }));
  const VERDICT: Record<"+" | "-" | "?", ExerciseScore["verdict"]> = {
    "+": "passed",
    "-": "failed",
    "?": "unmeasured",
  };

  it.each([
    ["", "going on", 1],
    ["a+ b+ c+", "passed", 1],
    ["a+ b- c+", "going on", 1],
    ["a+ b- c+ b+", "passed", 0],
    ["a+ b- c+ b-", "failed", 0],
    ["a- b- c+", "failed", 1],
    ["a+ b? c+", "going on", 1],
    ["a+ b- b- b+ c+", "failed", 0],
  ])("%s: %s", (order, verdict, repeatsLeft) => {
    expect(flightTestResult(profile, flown(order))).toMatchObject({ verdict, repeatsLeft });
  });

  it("that stops at a failure is over with the one too many, though others are left", () => {
    const strict = { ...profile, repeats: 0, stopsAtFailure: true };
    expect(flightTestResult(strict, flown("a+ b-"))).toMatchObject({ verdict: "failed" });
    expect(flightTestResult({ ...strict, stopsAtFailure: false }, flown("a+ b-"))).toMatchObject({
      verdict: "going on",
    });
  });
});
