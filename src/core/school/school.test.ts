import { describe, expect, it } from "vitest";
import { EXERCISES } from "../exercise/library";
import { singleInCruise } from "../procedure/library/single";
import type { DrillRun } from "../procedure/drill-run";
import { rightRun } from "../procedure/right-way";
import { demoKeptFlight } from "../../../demo/demo-kept-flight";
import { type CountedHandIn, classTable } from "./class-table";
import { flightVerdict, lessonExercise, runVerdict } from "./handed-score";
import { Lesson, type LessonPart, SCHOOL_ROLES, type SchoolDeed, mayDo } from "./school";

describe("who may do what in a school", () => {
  const deeds: Record<SchoolDeed, string> = {
    dissolve: "owner",
    rename: "owner",
    "set roles": "owner",
    "invite instructors": "owner",
    "invite students": "owner instructor",
    "remove students": "owner instructor",
    share: "owner instructor",
    "set lessons": "owner instructor",
    "read everybody": "owner instructor",
    sign: "owner instructor",
    "hand in": "owner instructor student",
    read: "owner instructor student",
  };
  it.each(Object.entries(deeds))("%s: %s", (deed, who) => {
    expect(SCHOOL_ROLES.filter((role) => mayDo(role, deed as SchoolDeed)).join(" ")).toBe(who);
  });
});

const part = (change: Partial<LessonPart> = {}): LessonPart => ({
  exerciseId: "engine-failure-single",
  hardDeck_m: null,
  tolerance: 1,
  ways: ["run", "flight", "log"],
  ...change,
});

describe("a lesson", () => {
  it("asks for tolerances as wide as it says, and a deck that is never lower than the exercise’s own", () => {
    const own = EXERCISES.find(({ id }) => id === "engine-failure-single");
    const asked = (change: Partial<LessonPart>) => {
      const exercise = lessonExercise(part(change));
      if (!exercise.ok || !own) throw new Error("expected the exercise");
      return {
        deck: exercise.value.setUp.hardDeck_m,
        below: exercise.value.tolerances[0].below / own.tolerances[0].below,
      };
    };
    const deck = own?.setUp.hardDeck_m ?? 0;
    expect(asked({})).toEqual({ deck, below: 1 });
    expect(asked({ hardDeck_m: deck + 100, tolerance: 0.5 })).toEqual({ deck: deck + 100, below: 0.5 });
    expect(asked({ hardDeck_m: 0 }).deck).toBe(deck);
  });

  it("is refused with an exercise that there is none of, without any, or tolerances of nothing", () => {
    const faults = (parts: unknown) =>
      Lesson.safeParse({ name: "x", words: "", due: null, parts }).error?.issues.map(({ message }) => message);
    expect(faults([part({ exerciseId: "none-such" })])).toEqual(["There is no such exercise."]);
    expect(faults([])).toEqual(["A lesson has an exercise at least."]);
    expect(faults([part({ tolerance: 0 })])).toEqual(["Tolerances are a quarter to twice as wide."]);
    expect(faults([part({ ways: [] })])).toEqual(["Something must count."]);
  });
});

describe("what is handed in", () => {
  const exercise = (() => {
    const found = lessonExercise(part());
    if (!found.ok) throw new Error(found.issue.message);
    return found.value;
  })();
  const begun: DrillRun = {
    procedure: singleInCruise,
    dead: null,
    propeller: "windmilling",
    height_m: 900,
    speed_mps: 34,
    climb_mps: -3.7,
    lampGoes: true,
    events: [],
  };

  it("as a right drill is not failed, but not all is measured in a drill", () => {
    const { run, until_s } = rightRun(begun, () => 3, { running: 1, height: 1 });
    expect(runVerdict(exercise, run, until_s)).toEqual({ ok: true, value: "unmeasured" });
  });

  it("as a drill that was not done is failed", () => {
    expect(runVerdict(exercise, begun, 200)).toEqual({ ok: true, value: "failed" });
  });

  it("of another exercise is refused, a drill and a flight", () => {
    const other = { ...begun, procedure: { ...singleInCruise, id: "other" } };
    expect(runVerdict(exercise, other, 20)).toMatchObject({ ok: false, issue: { code: "other_exercise" } });
    expect(flightVerdict(exercise, demoKeptFlight("2026-06-01T10:00:00.000Z"))).toMatchObject({
      ok: false,
      issue: { code: "other_exercise" },
    });
  });

  it("as a flight is flown again and scored by the lesson’s limits, whatever its page said", () => {
    // Forty seconds at 500 m, hands off, near best glide and well above the deck; no drill was done with it.
    const flight = { ...demoKeptFlight("2026-06-01T10:00:00.000Z"), exerciseId: exercise.id };
    const long = { ...flight, recording: { ...flight.recording, steps: 120 * 40 } };
    expect(flightVerdict(exercise, long)).toEqual({ ok: true, value: "unmeasured" });
    const narrow = exercise.tolerances.map((held) => ({ ...held, below: 0.01, above: 0.01, forgiven_s: 0 }));
    expect(flightVerdict({ ...exercise, tolerances: narrow }, long)).toEqual({ ok: true, value: "failed" });
    const high = { ...exercise, setUp: { ...exercise.setUp, hardDeck_m: 2000 } };
    expect(flightVerdict(high, long)).toEqual({ ok: true, value: "failed" });
  });
});

describe("a class", () => {
  const handed = (
    accountId: string,
    exerciseId: string,
    at: string,
    verdict: "passed" | "failed",
    signed: boolean | null = null,
  ): CountedHandIn => ({
    id: `${accountId}${at}`,
    accountId,
    exerciseId,
    result: { at, verdict, kind: "flight" },
    signed,
  });

  it("shows each student’s last by the day it was flown, whatever order it came in, with tries and signatures", () => {
    const table = classTable(
      [
        handed("a", "stalls", "2026-06-03", "passed"),
        handed("a", "stalls", "2026-06-01", "failed", false),
        handed("b", "stalls", "2026-06-02", "passed", true),
        handed("b", "stalls", "2026-06-05", "failed"),
        handed("b", "vmca-demo", "2026-06-05", "passed"),
      ],
      ["steep-turns", "stalls", "stalls"],
    );
    expect(table.exercises).toEqual(["steep-turns", "stalls", "vmca-demo"]);
    expect(table.cells.get("a")?.get("stalls")).toMatchObject({
      tries: 2,
      passed: 1,
      signed: false,
      last: { result: { at: "2026-06-03" } },
    });
    expect(table.cells.get("b")?.get("stalls")).toMatchObject({
      tries: 2,
      signed: true,
      last: { result: { at: "2026-06-05" } },
    });
    expect(table.totals.get("stalls")).toEqual({ handedIn: 2, signed: 1 });
    expect(table.totals.get("steep-turns")).toEqual({ handedIn: 0, signed: 0 });
  });
});
