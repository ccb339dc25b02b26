// What to do by phase, in words that a pilot may take as they stand: what is left rounds down, what lacks rounds up.
import { describe, expect, it } from "vitest";
import { DEFAULT_UNITS } from "@/core/quantities/units";
import { takeOffAnswer } from "@/core/take-off/take-off-answer";
import { formatIn } from "@/ui/kit/units/units-store";
import { demoTakeOffQuestion } from "../../../../../demo/demo-take-off";
import { phaseOf, phaseRows } from "./phase-rows";

const format = formatIn(DEFAULT_UNITS);
function answerOf(change: Parameters<typeof demoTakeOffQuestion>[0]) {
  const found = takeOffAnswer(demoTakeOffQuestion(change), null);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}
const rowsOf = (answer: ReturnType<typeof answerOf>) =>
  Object.fromEntries(
    phaseRows(answer, format).map((row) => [
      row.key,
      { ...row, phase: row.phase.replace(/\s/g, " "), act: row.act.replace(/\s/g, " ") },
    ]),
  );
const number = (text: string) => Number(/\d[\d ]*/.exec(text)?.[0].replace(/ /g, ""));

describe("a take-off phase by phase", () => {
  const light = answerOf({ mass_kg: 1600 });

  it("before rotation it stops with no more left than there is", () => {
    const { stop } = rowsOf(light);
    expect(stop.phase).toBe("Before rotation");
    expect(stop).toMatchObject({ bad: false, shown: true, figure: "stop" });
    const left_m = number(stop.act.split("with")[1]);
    expect(left_m).toBeLessThanOrEqual(light.accelerate.stopSpare_m);
    expect(left_m).toBeGreaterThan(light.accelerate.stopSpare_m - 15);
  });

  it("where it does not stop it is told by no less than it lacks", () => {
    const answer = answerOf({ mass_kg: 1725, runway: { ...demoTakeOffQuestion({}).runway, length_m: 420 } });
    const { stop } = rowsOf(answer);
    expect(stop.bad).toBe(true);
    expect(stop.act).toMatch(/m beyond the end\.$/);
    expect(number(stop.act.split("stops")[1])).toBeGreaterThanOrEqual(-answer.accelerate.stopSpare_m);
  });

  it("landing ahead ends no higher than it fits, going begins no lower than it is advised", () => {
    const { land, ahead, go } = rowsOf(light);
    const { landUntil_m, advisedFrom_m } = light.phases;
    if (landUntil_m === null || advisedFrom_m === null) throw new Error("expected both heights");
    expect(number(land.phase.split("until")[1]) * 0.3048).toBeLessThanOrEqual(landUntil_m);
    expect(number(go.phase) * 0.3048).toBeGreaterThanOrEqual(advisedFrom_m - 1e-9);
    // A climb is told no better than it is.
    const climb_fpm = number(go.act.split(": ").at(-1) ?? "");
    expect(climb_fpm).toBeLessThanOrEqual(light.climb_mps / 0.00508);
    expect(climb_fpm).toBeGreaterThan(light.climb_mps / 0.00508 - 15);
    // One phase begins where the other ends.
    expect(number(ahead.phase)).toBe(number(land.phase.split("until")[1]));
    expect(number(ahead.phase.split("to")[1])).toBe(number(go.phase));
    expect([land.shown, ahead.shown, go.shown]).toEqual([true, true, true]);
  });

  it("heavy and hot there is no going: ahead, from where the runway ends up", () => {
    const { ahead, go } = rowsOf(answerOf({ mass_kg: 1725, air: { qnh_Pa: 85_000, deviation_K: 40 } }));
    expect(go.shown).toBe(false);
    expect(ahead).toMatchObject({ shown: true, bad: true });
    expect(ahead.phase).toMatch(/^From [\d ]+ ft up$/);
    expect(ahead.act).toContain("does not climb away");
  });

  it("a jet has its decision speed, and no landing back from the air", () => {
    const jet = answerOf({ name: "cedar-j2", mass_kg: 36_000 });
    const { stop, land, go } = rowsOf(jet);
    expect(stop.phase).toBe(`Until V_1 (${Math.round(jet.accelerate.action_mps / 0.514444)} kt)`);
    expect(land.shown).toBe(false);
    expect(go).toMatchObject({ phase: "From V_1", figure: "go", shown: true });
    expect(go.act).toMatch(/^Go: rotate \d+ kt, V_2 \d+ kt, gear up\.$/);
  });
});

describe("the phase of a failure in the air", () => {
  const failure = (goes: boolean, height_m: number, landSpare_m: number) =>
    ({ goes, height_m, landSpare_m }) as Parameters<typeof phaseOf>[0];

  it.each([
    ["runway is left: back onto it, though it would go", true, 60, 5, 30, false, "land"],
    ["runway is left, just", true, 60, 0, 30, false, "land"],
    ["none is left and it goes from this height", true, 60, -1, 60, false, "go"],
    ["none is left, and it goes only from higher up", true, 59, -1, 60, false, "ahead"],
    ["none is left and it does not go", false, 90, -1, 60, false, "ahead"],
    ["it goes from no height", true, 90, -1, null, false, "ahead"],
    ["a jet goes, whatever runway is left", true, 60, 300, 30, true, "go"],
    ["a jet that does not go lands on what is left", false, 60, 300, 30, true, "land"],
  ] as const)("%s", (_what, goes, height_m, spare_m, from_m, jet, phase) => {
    expect(phaseOf(failure(goes, height_m, spare_m), from_m, jet)).toBe(phase);
  });
});
