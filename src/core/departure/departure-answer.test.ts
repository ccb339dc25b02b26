// One failure height in full, beside its parts asked for one by one.
import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { demoTerrain } from "../../../demo/read-demo";
import { geodesicBetween } from "../earth/geodesic";
import { M_PER_FT } from "../quantities/constants";
import { climbAt } from "../flight/climb-out";
import { bestBank } from "./best-bank";
import { type LookedAt, departureAt, departureFacts, departurePlane } from "./departure-answer";
import { turnbackAccount } from "./turnback-account";

const { day, question } = demoDeparture();
const terrain = demoTerrain();
const at = (looked: Partial<LookedAt>, of = { day, question }) =>
  departureAt(
    of.day,
    of.question,
    { height_m: 600 * M_PER_FT, side: null, flown: null, endId: null, ...looked },
    terrain,
    terrain.origin,
  );

describe("what a departure has in common", () => {
  const facts = departureFacts(day);

  it("is that of the day: run, speeds in their order, the climb from lift-off to its top", () => {
    expect(facts.run_m).toBe(day.climb.run_m);
    expect(facts.stallEas_mps).toBeLessThan(facts.bestEas_mps);
    expect(facts.stallEas_mps).toBeLessThan(facts.climbEas_mps);
    const { points } = day.climb;
    expect(facts.climb[0].height_m).toBe(points[0].height_m);
    expect(facts.climb[facts.climb.length - 1].height_m).toBe(points[points.length - 1].height_m);
    // Every fourth point, and the last.
    expect(facts.climb).toHaveLength(Math.ceil((points.length - 1) / 4) + 1);
    for (const { x_m, y_m, height_m } of facts.climb.filter((point) => point.height_m > 5)) {
      const there = climbAt(day.climb, height_m);
      expect(Math.hypot((there?.x_m ?? NaN) - x_m, (there?.y_m ?? NaN) - y_m)).toBeLessThan(0.01);
    }
  });

  it("lies on the terrain's plane, or about the threshold", () => {
    expect(departurePlane(question, terrain).toPlane(terrain.origin)).toEqual({ x_m: 0, y_m: 0 });
    expect(departurePlane(question, null).toPlane(question.runway.threshold)).toEqual({ x_m: 0, y_m: 0 });
  });
});

describe("one failure height", () => {
  it("takes the best side and bank, or the side that is asked for", () => {
    const best = bestBank(day, question, 600 * M_PER_FT);
    expect(at({}).account).toEqual(best && turnbackAccount(day, question, 600 * M_PER_FT, best.technique));
    for (const side of [1, -1] as const) expect(at({ side }).account?.technique.side).toBe(side);
    const scores = ([1, -1] as const).map((side) => at({ side }).account?.score_m ?? NaN);
    expect(at({}).account?.score_m).toBeCloseTo(Math.max(...scores), 9);
  });

  it("searches only what the scan found best, where there is a scan", () => {
    const flown = { side: -1, bank_rad: Math.PI / 6 } as const;
    expect(at({ flown }).account?.technique).toMatchObject({ ...flown, stallMargin: question.plan.stallMargin });
    const { technique } = at({}).account ?? {};
    const again = technique && at({ flown: { side: technique.side, bank_rad: technique.bank_rad } });
    expect(again?.account?.score_m).toBeCloseTo(at({}).account?.score_m ?? NaN, 6);
  });

  it("the engine stops on the climb, at that height", () => {
    const there = climbAt(day.climb, 600 * M_PER_FT);
    const { failure, height_m } = at({});
    expect(height_m).toBe(600 * M_PER_FT);
    expect(failure?.x_m).toBeCloseTo(there?.x_m ?? NaN, 6);
    expect(failure?.y_m).toBeCloseTo(there?.y_m ?? NaN, 6);
  });

  it("tells the way to an end only when one is asked for, from there", () => {
    expect([at({}).reached, at({}).reachQuestion]).toEqual([null, null]);
    const end = [...question.ends].sort(
      (a, b) =>
        geodesicBetween(question.runway.threshold, a.aim).distance_m -
        geodesicBetween(question.runway.threshold, b.aim).distance_m,
    )[0];
    const looked = at({ height_m: 500, endId: end.id });
    expect(looked.reached?.endId).toBe(end.id);
    expect(looked.reachQuestion?.ends.map(({ id }) => id)).toEqual([end.id]);
    expect(looked.reachQuestion?.altitude_m).toBe(question.runway.elevation_m + 500);
    expect(at({ height_m: 500, endId: "no such end" }).reached).toBeNull();
  });

  it("a reaction that stalls has no turn back, but the ground ahead; above the climb there is nothing", () => {
    const light = demoDeparture({ mass_kg: 800, plan: { reaction: "attitude" } });
    const stalled = at({}, light);
    expect(stalled.stalledAfter_s).toBeGreaterThan(1);
    expect(stalled.account).toBeNull();
    expect(stalled.ahead).not.toBeNull();
    expect(at({ flown: { side: 1, bank_rad: 0.5 } }, light).account).toBeNull();
    expect(at({ height_m: 5000, endId: question.ends[0].id })).toMatchObject({
      failure: null,
      account: null,
      ahead: null,
      reached: null,
      reachQuestion: null,
      stalledAfter_s: null,
    });
  });
});
