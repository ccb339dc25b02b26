import { describe, expect, it } from "vitest";
import { demoTakeOffQuestion } from "../../../demo/demo-take-off";
import { demoTerrain } from "../../../demo/read-demo";
import type { TerrainGrid } from "../earth/terrain";
import { takeOffAnswer, takeOffSegmentsAnswer } from "./take-off-answer";

const terrain = demoTerrain();
const answer = (ground: TerrainGrid | null, question = demoTakeOffQuestion({ mass_kg: 1600 })) => {
  const found = takeOffAnswer(question, ground);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("a take-off as the stage asks for it", () => {
  it("knows the ground ahead only with a terrain, and then tells the least over it", () => {
    const [seen, blind] = [answer(terrain), answer(null)];
    expect(blind.ground).toEqual([]);
    expect(blind.lowest).toBeNull();
    expect(seen.ground.length).toBeGreaterThan(50);
    expect(seen.lowest?.obstacle.name).toBe("ground");
    expect(seen.lowest?.over_m ?? NaN).toBeGreaterThan(0);
    // The ground does not change distances on the runway.
    expect(seen.accelerate.stopX_m).toBe(blind.accelerate.stopX_m);
  });

  it.each([1300, 1400, 1600])("the least over the ground is the least of all of it, at %i kg", (mass_kg) => {
    const { lowest, ground, accelerate, question } = answer(terrain, demoTakeOffQuestion({ mass_kg }));
    const path = accelerate.path?.points ?? [];
    /** Height of the way at a distance, by straight lines between its points. */
    const wayAt_m = (x_m: number) => {
      const after = path.findIndex((point) => point.x_m >= x_m);
      if (after < 1) return null;
      const [a, b] = [path[after - 1], path[after]];
      return a.height_m + ((x_m - a.x_m) / (b.x_m - a.x_m)) * (b.height_m - a.height_m);
    };
    const over = ground.flatMap(({ distance_m, height_m }) => {
      const way_m = wayAt_m(distance_m);
      return way_m !== null && height_m !== null && height_m > 6 && distance_m > question.runway.length_m
        ? [{ distance_m, over_m: way_m - height_m }]
        : [];
    });
    expect(over.length).toBeGreaterThan(3);
    const [least] = over.sort((a, b) => a.over_m - b.over_m);
    expect(lowest?.over_m).toBeCloseTo(least.over_m, 6);
    expect(lowest?.obstacle.distance_m).toBe(least.distance_m);
  });

  it("the climb with everything mended is the one-engine climb of the clean aeroplane", () => {
    const [light, heavy] = [1400, 1700].map((mass_kg) => answer(null, demoTakeOffQuestion({ mass_kg })).climb_mps);
    expect(light).toBeGreaterThan(heavy);
    const hot = demoTakeOffQuestion({ mass_kg: 1700, air: { qnh_Pa: 101_325, deviation_K: 30 } });
    expect(answer(null, hot).climb_mps).toBeLessThan(heavy);
    // Seen from outside: the climb of the way itself, gear up and feathered, far from the ground.
    const { accelerate, climb_mps } = answer(null, demoTakeOffQuestion({ mass_kg: 1500 }));
    const points = accelerate.path?.points ?? [];
    const [a, b] = [points[points.length - 12], points[points.length - 2]];
    expect((b.height_m - a.height_m) / (b.time_s - a.time_s) / climb_mps).toBeGreaterThan(0.85);
    expect((b.height_m - a.height_m) / (b.time_s - a.time_s) / climb_mps).toBeLessThan(1.1);
  });

  it("says what the plan says of speeds, screen and kind of aeroplane", () => {
    const [twin, jet] = [answer(null), answer(null, demoTakeOffQuestion({ name: "cedar-j2" }))];
    expect([twin.jet, jet.jet]).toEqual([false, true]);
    // 50 ft, and 35 ft for a transport.
    expect([twin.screen_m, jet.screen_m]).toEqual([expect.closeTo(15.24, 9), expect.closeTo(10.668, 9)]);
    expect(twin.marks.map(({ eas_mps }) => eas_mps)).toEqual(
      [...twin.marks.map(({ eas_mps }) => eas_mps)].sort((a, b) => a - b),
    );
  });

  it("counts obstacles gross for the twin and net for the jet", () => {
    const mast = { name: "mast", distance_m: 5000, height_m: 30 };
    const twin = answer(null, demoTakeOffQuestion({ mass_kg: 1400, plan: { obstacles: [mast] } }));
    expect(twin.clear[0].over_m ?? NaN).toBeGreaterThan(20);
    const jet = demoTakeOffQuestion({ name: "cedar-j2", plan: { obstacles: [mast] } });
    const free = answer(null, jet);
    const screenX_m = free.accelerate.path?.events.find((event) => event.kind === "screen")?.point.x_m ?? NaN;
    const gross_m = free.accelerate.path?.points.find((point) => point.x_m >= 5000)?.height_m ?? NaN;
    expect(free.clear[0].over_m ?? NaN).toBeCloseTo(gross_m - 30 - 0.008 * (5000 - screenX_m), -1);
  });

  it("an obstacle that no way gets over takes the going away at every height", () => {
    const walled = answer(
      null,
      demoTakeOffQuestion({ mass_kg: 1600, plan: { obstacles: [{ name: "wall", distance_m: 2500, height_m: 400 }] } }),
    );
    expect(walled.phases.goFrom_m).toBeNull();
  });

  it("hands on why there is no answer", () => {
    expect(takeOffAnswer(demoTakeOffQuestion({ mass_kg: 9000 }), null)).toMatchObject({
      ok: false,
      issue: { code: "mass_outside" },
    });
  });
});

describe("segments as the stage asks for them", () => {
  it("gives the day's limit and a table that falls with height and heat", () => {
    const found = takeOffSegmentsAnswer(demoTakeOffQuestion({ name: "cedar-j2" }));
    if (!found.ok) throw new Error(found.issue.message);
    const { table, today, segments } = found.value;
    expect(segments).toHaveLength(5);
    expect(today.mass_kg).toBe(46_000);
    expect(table.map((row) => row.limits.length)).toEqual([5, 5, 5, 5, 5]);
    for (const row of table)
      for (let i = 1; i < 5; i += 1)
        expect(row.limits[i].limit.mass_kg ?? 0).toBeLessThanOrEqual((row.limits[i - 1].limit.mass_kg ?? 0) + 10);
    for (let i = 1; i < 5; i += 1)
      expect(table[i].limits[4].limit.mass_kg ?? 0).toBeLessThanOrEqual(table[i - 1].limits[4].limit.mass_kg ?? 0);
  });

  it("is refused for propeller twins", () => {
    expect(takeOffSegmentsAnswer(demoTakeOffQuestion())).toMatchObject({ ok: false, issue: { code: "not_a_jet" } });
  });
});
