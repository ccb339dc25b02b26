import { describe, expect, it } from "vitest";
import { demoSituation } from "../../../demo/read-demo";
import { DEFAULT_DEPARTURE, DeparturePlan } from "./departure-plan";
import { DEFAULT_LANDING, LandingPlan } from "./landing-plan";
import { DEFAULT_RESTART, RestartPlan } from "./restart-plan";
import { readSituation } from "./situation-versions";
import { DEFAULT_TAKE_OFF, Obstacle, TakeOffPlan } from "./take-off-plan";

describe("plans inside a situation", () => {
  it("go out and come back the same", () => {
    const plan = {
      ...demoSituation(),
      restart: { ...DEFAULT_RESTART, commit_m: 450, symptom: "rough" as const, chance: 0.6 },
      departure: {
        ...DEFAULT_DEPARTURE,
        twoEngines: { ...DEFAULT_TAKE_OFF, obstacles: [{ name: "mast", distance_m: 3000, height_m: 45 }] },
      },
    };
    const found = readSituation(JSON.parse(JSON.stringify(plan)));
    expect(found).toMatchObject({ ok: true, value: { restart: plan.restart, departure: plan.departure } });
  });

  it.each([
    [TakeOffPlan, { ...DEFAULT_TAKE_OFF, recognition_s: 11 }, "recognition_s"],
    [TakeOffPlan, { ...DEFAULT_TAKE_OFF, acceleration_m: 50 }, "acceleration_m"],
    [
      TakeOffPlan,
      {
        ...DEFAULT_TAKE_OFF,
        obstacles: Array.from({ length: 21 }, () => ({ name: "mast", distance_m: 1, height_m: 1 })),
      },
      "obstacles",
    ],
    [Obstacle, { name: " ", distance_m: 10, height_m: 10 }, "name"],
    [Obstacle, { name: "mast", distance_m: -1, height_m: 10 }, "distance_m"],
    [RestartPlan, { ...DEFAULT_RESTART, chance: 0 }, "chance"],
    [RestartPlan, { ...DEFAULT_RESTART, commit_m: 20_000 }, "commit_m"],
    [RestartPlan, { ...DEFAULT_RESTART, assistedChance: 1 }, "assistedChance"],
    [RestartPlan, { ...DEFAULT_RESTART, minutes: { left_s: 5, losing: "oil", school: "use" } }, "minutes.left_s"],
    [LandingPlan, { ...DEFAULT_LANDING, ownFactor: 0.5 }, "ownFactor"],
    [LandingPlan, { ...DEFAULT_LANDING, utc_h: 25 }, "utc_h"],
    [LandingPlan, { ...DEFAULT_LANDING, turnFloor_m: 10 }, "turnFloor_m"],
    [LandingPlan, { ...DEFAULT_LANDING, certain_m: 5 }, "certain_m"],
    [LandingPlan, { ...DEFAULT_LANDING, swells: Array.from({ length: 3 }, () => DEFAULT_LANDING.swells[0]) }, "swells"],
    [
      LandingPlan,
      { ...DEFAULT_LANDING, swells: [{ ...DEFAULT_LANDING.swells[0], height_m: 40 }] },
      "swells.0.height_m",
    ],
    [LandingPlan, { ...DEFAULT_LANDING, ships: [{ name: " ", bearing_rad: 0, distance_m: 1 }] }, "ships.0.name"],
    [LandingPlan, { ...DEFAULT_LANDING, call: { ...DEFAULT_LANDING.call, aboard: 1.5 } }, "call.aboard"],
    [DeparturePlan, { ...DEFAULT_DEPARTURE, requiredChance: 0.2 }, "requiredChance"],
  ])("refuse nonsense with the place and a reason", (schema, value, path) => {
    const found = schema.safeParse(value);
    expect(found.error?.issues[0].path.join(".")).toBe(path);
    expect(found.error?.issues[0].message.length).toBeGreaterThan(10);
  });
});
