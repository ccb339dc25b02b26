import { describe, expect, it } from "vitest";
import { cleanGlide } from "@/core/aircraft/configuration";
import { PISTON_FLOW } from "@/core/restart/cause-flow";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { type RestartQuestion, restartBudget } from "@/core/restart/restart-budget";
import { formatIn } from "@/ui/kit/units/units-store";
import { demoAircraft } from "../../../../demo/read-demo";
import { type Tick, behind_s, budgetHeadline, budgetSentence, runLog, timeInWords } from "./restart-words";

const format = formatIn(DEFAULT_UNITS);
const asked = (name: string, change: Partial<RestartQuestion> = {}): RestartQuestion => {
  const aircraft = demoAircraft(name);
  return {
    aircraft,
    mass_kg: aircraft.mass.usual_kg,
    configuration: cleanGlide(aircraft),
    air: { qnh_Pa: 101_325, deviation_K: 0 },
    altitude_m: 1200,
    commit_m: 400,
    ground_m: 0,
    reaction_s: 4,
    stopped: "both",
    centreOfGravity: 0.5,
    flow: [...PISTON_FLOW],
    ...change,
  };
};
const of = (question: RestartQuestion) => {
  const found = restartBudget(question);
  if (!found.ok) throw new Error(found.issue.message);
  const sentence = budgetSentence(found.value, question, 122, format);
  return { ...sentence, spine: budgetHeadline(found.value, question).text };
};

describe("the decision in a sentence", () => {
  it.each([
    ["alder-s1", 1200, "pine", "The whole flow fits, 33 s of it; then call, passengers, secure."],
    ["alder-s1", 470, "ochre", "; then land."],
    ["rowan-r1", 470, "ochre", "; then land."],
    ["larch-t2", 440, "ochre", "; then feather and land."],
    ["alder-s1", 410, "brick", "There is no height for a cause check"],
  ])("%s at %d m it is %s: %s", (name, altitude_m, tone, words) => {
    const sentence = of(asked(name, { altitude_m }));
    expect(sentence.tone).toBe(tone);
    expect(sentence.rest).toContain(words);
    if (tone === "brick") expect([sentence.lead, sentence.spine]).toEqual(["Fly and land.", "fly and land"]);
    else expect(sentence.lead).toMatch(/^\d+ (seconds|minutes)\.$/);
  });

  it("only what can be feathered is feathered", () => {
    for (const [name, lead] of [
      ["alder-s1", "Fly and land."],
      ["larch-t2", "Fly, feather, land."],
    ])
      expect(of(asked(name, { altitude_m: 402 })).lead).toBe(lead);
  });

  it("without a flow it tells the time only, minutes when it is long", () => {
    expect(of(asked("alder-s1", { flow: [] })).rest).toContain("no cause check");
    expect(of(asked("cedar-j2", { flow: [], altitude_m: 11_000 })).lead).toMatch(/^\d\d minutes\.$/);
    expect([timeInWords(119.9), timeInWords(1616)]).toEqual(["119 seconds", "26 minutes"]);
  });

  it("a jet at its commit height lands, whatever the relight; one item alone is said as one", () => {
    expect(of(asked("cedar-j2", { flow: [], altitude_m: 400.5 }))).toMatchObject({
      lead: "Land.",
      tone: "brick",
      spine: "land",
    });
    const one = [430, 432, 434, 436, 438]
      .map((altitude_m) => of(asked("larch-t2", { altitude_m })))
      .find(({ rest }) => rest.startsWith("Only"));
    expect(one?.rest).toMatch(/^Only the first of 9 fits, to /);
  });

  it("with the other engine running there is time, but not down low", () => {
    const held = of(
      asked("larch-t2", {
        stopped: "left",
        configuration: { ...cleanGlide(demoAircraft("larch-t2")), propeller: "feathered" },
      }),
    );
    expect([held.lead, held.spine]).toEqual(["Time is plenty.", "one engine: level"]);
    expect(held.rest).toMatch(/The other engine holds it: [\d\u202f]+\u00a0ft\/min of climb at \d+\u00a0kt/);
    expect(of(asked("larch-t2", { stopped: "right", altitude_m: 100, commit_m: 50 })).lead).toBe(
      "Fly and climb first.",
    );
    // Windmilling it sinks, feathered it climbs: nobody is told to land for want of feathering.
    const heavy = asked("hornbeam-t2c", {
      stopped: "left",
      mass_kg: 3175,
      air: { qnh_Pa: 101_325, deviation_K: 25 },
      altitude_m: 402,
    });
    expect(of(heavy)).toMatchObject({
      lead: "Fly and feather.",
      tone: "ochre",
      spine: "fly and feather",
      rest: expect.stringMatching(/as configured; mended it climbs \d+\u00a0ft\/min\.$/),
    });
    expect(of({ ...heavy, stopped: "both" })).toMatchObject({ lead: "Fly, feather, land.", tone: "brick" });
  });
});

describe("a run against the clock", () => {
  const ticks: Tick[] = [
    { id: "last", name: "What did I touch last?", at_s: 7, planned_s: 6 },
    { id: "selector", name: "Fuel selector", at_s: 9, planned_s: 9 },
  ];

  it("is behind by the last item, or by the one that is still to do", () => {
    expect(behind_s([], 3, 6)).toBe(0);
    expect(behind_s(ticks.slice(0, 1), 8, 9)).toBe(1);
    expect(behind_s(ticks, 14, 11)).toBe(3);
    expect(behind_s(ticks, 99, null)).toBe(0);
  });

  it("is kept in order with its seconds", () => {
    expect(runLog(ticks)).toBe("1. What did I touch last?: 7.0 s (flow 6 s)\n2. Fuel selector: 9.0 s (flow 9 s)");
  });
});
