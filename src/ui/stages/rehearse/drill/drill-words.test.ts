import { describe, expect, it } from "vitest";
import { type DrillEntry, type DrillOutcome, isWrong } from "@/core/procedure/drill";
import { type DrillRun, beginRun } from "@/core/procedure/drill-run";
import { jetFire } from "@/core/procedure/library/jet";
import { twinInCruise } from "@/core/procedure/library/twin";
import type { Procedure } from "@/core/procedure/procedure";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { formatIn } from "@/ui/kit/units/units-store";
import { stepTimes } from "./drill-times";
import { OUTCOME_WORDS, cueWords, drillCsv, drillSummary, stepWords, upcoming, whyWords } from "./drill-words";

const format = formatIn(DEFAULT_UNITS);
const run: DrillRun = {
  procedure: jetFire,
  dead: "right",
  propeller: "windmilling",
  height_m: 900,
  speed_mps: 105,
  climb_mps: -5,
  lampGoes: false,
  events: [],
};
const entry = (step: string, outcome: DrillOutcome): DrillEntry => ({
  step,
  outcome,
  time_s: 12,
  height_m: 700,
  took_s: 4,
  meant: null,
});
const summary = (outcomes: readonly DrillOutcome[], height_m: number) =>
  drillSummary(
    {
      drill: {
        ...beginRun(run).drill,
        log: outcomes.map((outcome) => entry("cut", outcome)),
        flown: { time_s: 62, height_m, speed_mps: 40 },
      },
      from: { time_s: 0, height_m: 900, climb_mps: -4 },
    },
    { height_m: 900 },
    format,
  );
const step = (procedure: Procedure, id: string) => {
  const found = procedure.steps.find((candidate) => candidate.id === id);
  if (!found) throw new Error(id);
  return stepWords(found, procedure, "right");
};

describe("a drill in words", () => {
  it("in order and in time, with what it cost", () => {
    expect(summary(["done", "passed-over", "done"], 800)).toEqual({
      clean: true,
      lead: "In order, in time: 1:02.",
      rest: expect.stringMatching(/^It took 3[23]0\sft of height\.$/),
    });
    expect(summary(["done"], 900).rest).toBe("No height went.");
    expect(summary(["done"], 950).rest).toMatch(/^It gained 160\sft\.$/);
  });

  it("counts what was wrong, late and taken back, each by itself", () => {
    const said = summary(["wrong-engine", "unconfirmed", "slow", "back", "done"], 800);
    expect(said.lead).toBe("2 wrong, 1 late, 1 back: 1:02.");
    expect(said.clean).toBe(false);
    expect(summary(["slow"], 800).clean).toBe(true);
  });

  it("is over where the ground comes first, whatever was in order", () => {
    expect(summary(["done", "done"], 0)).toMatchObject({ clean: false, lead: "The ground came first, at 1:02." });
    expect(summary(["done"], 0.1).clean).toBe(true);
  });

  it("every outcome has words, and done or late is not wrong", () => {
    for (const [outcome, words] of Object.entries(OUTCOME_WORDS)) expect(words, outcome).not.toBe("");
    expect((["done", "slow", "passed-over", "back"] as const).some(isWrong)).toBe(false);
    expect((["wrong-engine", "too-early", "unconfirmed"] as const).every(isWrong)).toBe(true);
  });

  it("says which engine’s control, both where it is both", () => {
    expect(step(jetFire, "cut").wanted).toBe("right fuel lever cut off");
    expect(step(twinInCruise, "mixtures").wanted).toBe("both mixture rich");
    expect(step(jetFire, "thirty").wanted).toBe("30 s");
    expect(step(jetFire, "lamp").wanted).toBe("");
  });

  it("before it begins no side is named; the cue is the lamp, or the foot", () => {
    const cut = jetFire.steps.find(({ id }) => id === "cut");
    expect(cut && stepWords(cut, jetFire, null).wanted).toBe("the dead engine’s fuel lever cut off");
    expect(cueWords(jetFire, ["fire"], "right")).toBe("Lamp, right engine: fire.");
    expect(cueWords(twinInCruise, [], "right")).toBe("It swings to the right, the left foot holds it.");
    expect(cueWords(jetFire, [], "right")).toBe("Lamp out.");
    expect(cueWords(twinInCruise, [], null)).toBe("");
  });

  it("goes out as lines, with quotation marks kept", () => {
    const csv = drillCsv(jetFire, [entry("cut", "wrong-engine"), entry("bell", "done")]);
    expect(csv.split("\r\n")).toEqual([
      "step,outcome,time_s,took_s,height_m",
      '"Fuel lever, confirm",wrong-engine,12,4,700',
      '"Fire, which engine?",done,12,4,700',
    ]);
  });

  it("what was wrong is told with what comes later and why", () => {
    const wrong = (outcome: DrillOutcome, id: string, meant: string | null) =>
      whyWords({ ...entry(id, outcome), meant }, { ...run, procedure: twinInCruise, climb_mps: 0 }, format);
    expect(wrong("wrong-order", "verify", "feather")).toBe(
      "“Propeller of the dead engine” comes later. Below the start lock’s speed it does not feather any more.",
    );
    expect(wrong("wrong-engine", "verify", null)).toMatch(/^The wrong engine\. Nothing may change/);
    expect(wrong("wrong-control", "control", null)).toBe("Something else was due.");
  });

  it("what a mistake costs is told: the seconds that go on sinking, and no engine at all for the wrong one", () => {
    const cost = (outcome: DrillOutcome, climb_mps: number, without_mps?: number) =>
      whyWords(entry("cut", outcome), { ...run, climb_mps, without_mps }, format).replaceAll(/[\u00a0\u202f]/g, " ");
    // 2 m/s are 66 ft in 10 s; 7.62 m/s are 1,500 ft/min.
    expect(cost("wrong-position", -2)).toMatch(/Each 10 s until it is right are 70 ft\.$/);
    expect(cost("wrong-engine", -2, -7.62)).toMatch(/In the air no engine would be left: 1 500 ft\/min down\.$/);
    expect(cost("wrong-engine", -2)).toMatch(/are 70 ft\.$/);
    expect(cost("wrong-position", 2)).not.toMatch(/10 s/);
  });

  it("what comes after is told only as far as there is one way", () => {
    const ids = (id: string) =>
      upcoming(
        twinInCruise,
        twinInCruise.steps.findIndex((candidate) => candidate.id === id),
        3,
      ).map((later) => later.id);
    expect(ids("identify")).toEqual(["verify", "changed"]);
    expect(ids("changed")).toEqual([]);
    expect(ids("cut")).toEqual(["fuel-off", "ignition-off", "land"]);
  });

  it("a step's time counts from when it was due, with what was wrong before it was right", () => {
    const log = [entry("bell", "done"), entry("cut", "wrong-engine"), { ...entry("cut", "slow"), took_s: 9 }];
    expect(stepTimes(run, log)).toMatchObject([
      { step: { id: "bell" }, took_s: 4, target_s: 5, lost_m: 20, wrong: [] },
      { step: { id: "cut" }, took_s: 9, target_s: 5, lost_m: 45, wrong: ["wrong-engine"] },
    ]);
  });
});
