import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { destination, geodesicBetween } from "../earth/geodesic";
import { airSample, readAir } from "../flight/air-column";
import type { LandingEnd } from "../landing/landing-end";
import { brakingOn, landingRoll } from "../landing/landing-roll";
import { endOptions, failureReach, reachAfterFailure } from "./other-ends";
import { plannedFailure } from "./scan";

const { day, question } = demoDeparture({ plan: { crosswind: { height_m: 100, side: "right" } } });
const start = plannedFailure(day, question, 300);
if (!start) throw new Error("no climb");
const { runway } = question;

describe("the landing question at a failure", () => {
  const asked = failureReach(question, start, question.ends);

  it("stands where the engine stopped, turned as the climb had turned, with nothing kept back", () => {
    const line = geodesicBetween(runway.threshold, asked.position);
    const { x_m, y_m, height_m, psi_rad } = start.failure;
    expect(line.distance_m).toBeCloseTo(Math.hypot(x_m, y_m), 3);
    // To the right of the take-off, as the climb has turned.
    expect(y_m).toBeGreaterThan(100);
    const off = line.azimuthStart_rad - runway.headingTrue_rad;
    expect(Math.sin(off)).toBeCloseTo(y_m / Math.hypot(x_m, y_m), 6);
    expect(asked).toMatchObject({
      altitude_m: runway.elevation_m + height_m,
      headingTrue_rad: expect.closeTo((runway.headingTrue_rad + psi_rad) % (2 * Math.PI), 9),
      plan: { ...question.approach, reserve_m: 0, clearance_m: 0 },
      configuration: { propeller: question.propeller, flap: 0, gearDown: true, slip: 0, items: [] },
      mass_kg: question.mass_kg,
      wind: question.wind,
      air: question.air,
      pilot: question.pilot,
    });
  });

  it("a gear that folds is up", () => {
    const rowan = demoDeparture({ aircraft: "rowan-r1" });
    const failed = plannedFailure(rowan.day, rowan.question, 200);
    if (!failed) throw new Error("no climb");
    expect(failureReach(rowan.question, failed, []).configuration.gearDown).toBe(false);
  });

  it("looks at ends nearer than fourteen heights and 1,200 m", () => {
    const at = (distance_m: number): LandingEnd => ({
      ...runway,
      id: `${distance_m}`,
      aim: destination(asked.position, 1, distance_m),
    });
    const farthest = 14 * start.failure.height_m + 1200;
    expect(failureReach(question, start, [at(farthest - 1), at(farthest + 1)]).ends.map(({ id }) => id)).toEqual([
      `${farthest - 1}`,
    ]);
    const away = reachAfterFailure(question, start, [at(farthest + 1)], null);
    expect(away).toEqual({ ok: true, value: [] });
  });
});

describe("other ends as options", () => {
  const reached = reachAfterFailure(question, start, question.ends, null);
  if (!reached.ok) throw new Error(reached.issue.message);
  const reach = reached.value.find((end) => end.path);
  if (!reach?.path) throw new Error("a way");
  const end = question.ends.find(({ id }) => id === reach.endId);
  if (!end) throw new Error("an end");
  const options = (change: Partial<LandingEnd>, how: Partial<typeof reach> = {}) =>
    endOptions(day, { ...question, ends: [{ ...end, ...change }] }, [{ ...reach, ...how }]);
  const roll = landingRoll(day.landing, readAir(day.air, 0, airSample()).density, 2, brakingOn("grass"));
  const need = roll.flare_m + roll.roll_m;

  it("ground left is the length less the aim, the flare and the roll in the wind there", () => {
    const [long, short] = [1000, 600].map(
      (length_m) => options({ length_m, surface: "grass", unprepared: true }, { tailwind_mps: 2 })[0],
    );
    expect(long.spare_m).toBeCloseTo(1000 - 200 - need, 6);
    expect(short.spare_m).toBeCloseTo(600 - 150 - need, 6);
    expect(long).toMatchObject({
      id: end.id,
      kind: "field",
      name: end.name,
      margin_m: reach.path?.margin_m,
      score_m: expect.closeTo(Math.min(reach.path?.margin_m ?? NaN, (1000 - 200 - need) / 10), 6),
      note: "surveyed, not prepared",
    });
  });

  it.each([
    [{ unprepared: false, length_m: 2000 }, {}, "runway", null],
    [{ unprepared: true, length_m: 150 }, {}, "field", "too short to stop"],
    [{ unprepared: false, length_m: 150 }, { status: "terrain" as const }, "runway", "ground is in the way"],
  ])("%# says what is against it", (change, how, kind, note) => {
    expect(options(change, how)[0]).toMatchObject({ kind, note });
  });

  it("what the ground leaves counts where it is in the way", () => {
    const clearance = (least_m: number) =>
      ({ least_m, at_m: 0, ground_m: 0, index: 0 }) as unknown as typeof reach.clearance;
    const margin = (how: Partial<typeof reach>) => options({ length_m: 2000 }, how)[0].margin_m;
    const own = reach.path?.margin_m ?? NaN;
    expect(margin({ status: "terrain", clearance: clearance(own - 40) })).toBeCloseTo(own - 40, 9);
    expect(margin({ status: "terrain", clearance: clearance(own + 40) })).toBeCloseTo(own, 9);
    expect(margin({ status: "terrain", clearance: null })).toBeCloseTo(Math.min(own, -1), 9);
    expect(margin({ status: "short", clearance: clearance(own - 40) })).toBeCloseTo(own, 9);
  });

  it("leaves out ends without a way and those it was not asked about", () => {
    expect(options({}, { path: null })).toEqual([]);
    expect(options({ id: "elsewhere" })).toEqual([]);
  });
});
