import { describe, expect, it } from "vitest";
import { cleanGlide } from "@/core/aircraft/configuration";
import { PISTON_FLOW } from "@/core/restart/cause-flow";
import { restartBudget } from "@/core/restart/restart-budget";
import { demoAircraft } from "../../../demo/read-demo";
import { type Tick, behind_s, budgetSentence, runLog } from "./restart-words";

const alder = demoAircraft("alder-s1");
const feet = (si: number) => `${Math.round(si / 0.3048)} ft`;
const said = (altitude_m: number, flow = [...PISTON_FLOW]) => {
  const found = restartBudget({ aircraft: alder, mass_kg: 1000, configuration: cleanGlide(alder), air: { qnh_Pa: 101_325, deviation_K: 0 }, altitude_m, commit_m: 400, ground_m: 0, reaction_s: 4, flow });
  if (!found.ok) throw new Error(found.issue.message);
  return budgetSentence(found.value, feet);
};

describe("the decision in a sentence", () => {
  it.each([
    [1200, "pine", "The whole flow fits, 33 s of it."],
    [470, "ochre", "then feather and land"],
    [410, "brick", "There is no height for a cause check"],
  ])("at %d m it is %s: %s", (altitude_m, tone, words) => {
    const sentence = said(altitude_m);
    expect(sentence.tone).toBe(tone);
    expect(sentence.rest).toContain(words);
    if (tone === "brick") expect(sentence.lead).toBe("Fly, feather, land.");
    else expect(sentence.lead).toMatch(/^\d+ seconds\.$/);
  });

  it("without a flow it tells the seconds only", () => {
    expect(said(1200, []).rest).toContain("no cause check");
  });
});

describe("a run against the clock", () => {
  const ticks: Tick[] = [{ id: "last", name: "What did I touch last?", at_s: 7, planned_s: 6 }, { id: "selector", name: "Fuel selector", at_s: 9, planned_s: 9 }];

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
