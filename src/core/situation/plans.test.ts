import { describe, expect, it } from "vitest";
import { demoSituation } from "../../../demo/read-demo";
import { DEFAULT_DEPARTURE, DeparturePlan } from "./departure-plan";
import { DEFAULT_RESTART, RestartPlan } from "./restart-plan";
import { readSituation } from "./situation-document";
import { DEFAULT_TAKE_OFF, Obstacle, TakeOffPlan } from "./take-off-plan";

describe("plans inside a situation", () => {
  it("situations saved before there were plans for two engines and for a restart open with the usual ones", () => {
    const { restart: _restart, departure, ...older } = demoSituation();
    const { twoEngines: _twoEngines, ...olderDeparture } = departure;
    const found = readSituation(JSON.parse(JSON.stringify({ ...older, departure: olderDeparture })));
    if (!found.ok) throw new Error(found.issue.message);
    expect(found.value.departure.twoEngines).toEqual(DEFAULT_TAKE_OFF);
    expect(found.value.restart).toEqual(DEFAULT_RESTART);
  });

  it("go out and come back the same", () => {
    const plan = { ...demoSituation(), restart: { commit_m: 450, symptom: "rough" as const, chance: 0.6 }, departure: { ...DEFAULT_DEPARTURE, twoEngines: { ...DEFAULT_TAKE_OFF, obstacles: [{ name: "mast", distance_m: 3000, height_m: 45 }] } } };
    const found = readSituation(JSON.parse(JSON.stringify(plan)));
    expect(found).toMatchObject({ ok: true, value: { restart: plan.restart, departure: plan.departure } });
  });

  it.each([
    [TakeOffPlan, { ...DEFAULT_TAKE_OFF, recognition_s: 11 }, "recognition_s"],
    [TakeOffPlan, { ...DEFAULT_TAKE_OFF, acceleration_m: 50 }, "acceleration_m"],
    [TakeOffPlan, { ...DEFAULT_TAKE_OFF, obstacles: Array.from({ length: 21 }, () => ({ name: "mast", distance_m: 1, height_m: 1 })) }, "obstacles"],
    [Obstacle, { name: " ", distance_m: 10, height_m: 10 }, "name"],
    [Obstacle, { name: "mast", distance_m: -1, height_m: 10 }, "distance_m"],
    [RestartPlan, { ...DEFAULT_RESTART, chance: 0 }, "chance"],
    [RestartPlan, { ...DEFAULT_RESTART, commit_m: 20_000 }, "commit_m"],
    [DeparturePlan, { ...DEFAULT_DEPARTURE, requiredChance: 0.2 }, "requiredChance"],
  ])("refuse nonsense with the place and a reason", (schema, value, path) => {
    const found = schema.safeParse(value);
    expect(found.error?.issues[0].path.join(".")).toBe(path);
    expect(found.error?.issues[0].message.length).toBeGreaterThan(10);
  });
});
