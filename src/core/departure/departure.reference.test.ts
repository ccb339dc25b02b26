// The departure's small parts by hand, the reaction flown again in steps of 5 ms, and the rules of a turn back looked
// for in every moment of its flights.
import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { type AirSample, airSample, readAir } from "../flight/air-column";
import { climbAt } from "../flight/climb-out";
import type { Body, Motion } from "../flight/point-mass";
import { degrees, radians } from "../quantities/angle";
import { G0, M_PER_FT, RHO0 } from "../quantities/constants";
import { allowedBanks, bestByHeight, bestOf } from "./best-bank";
import { addCounts, chanceHeights_m, wilson } from "./chance";
import { USUAL_SCATTER, delay_s, without } from "../situation/scatter";
import { chanceAt, chanceCurve, gateBracket_m } from "./chance-curve";
import { climbAgainstGlide } from "./climb-against-glide";
import { failureStart, motionFrom } from "./failure-start";
import { gateOf, schoolGates } from "./gate";
import { worth_m } from "./option";
import { rollOnRunway } from "./roll-on-runway";
import { COMPARED_BANKS_RAD, SCAN_HEIGHTS_M, type TurnbackAtHeight, bandsOf, betterSide } from "./scan";
import { stopAhead, stopOption } from "./stop-ahead";
import { type FlightPoint, type Technique, type TurnbackResult, flyTurnback } from "./turnback-flight";

const FT = M_PER_FT;

describe("the gate, by hand", () => {
  const curve = (...chances: number[]) => chances.map((chance, i) => ({ height_m: 100 * (i + 1), chance }));

  it.each([
    [[0.2, 0.6, 0.95, 0.99], 0.9, 200 + (100 * 0.3) / 0.35],
    [[0.2, 0.95, 0.6, 0.95], 0.9, 300 + (100 * 0.3) / 0.35],
    [[0.95, 0.96], 0.9, 100],
    [[0.9, 0.9], 0.9, 100],
    [[0.2, 0.5], 0.9, null],
    [[0.95, 0.5], 0.9, null],
  ])("of %j for %d", (chances, required, gate) => {
    const found = gateOf(curve(...chances), required);
    if (gate === null) expect(found).toBeNull();
    else expect(found).toBeCloseTo(gate, 9);
  });

  it.each([
    ["fixed", 150, { gate_m: 300, decides: "fixed" }],
    ["fixed", null, { gate_m: 300, decides: "fixed" }],
    ["computed", 150, { gate_m: 150, decides: "computed" }],
    ["computed", null, { gate_m: null, decides: "none" }],
    ["higher", 150, { gate_m: 300, decides: "fixed" }],
    ["higher", 300, { gate_m: 300, decides: "fixed" }],
    ["higher", 301, { gate_m: 301, decides: "computed" }],
    ["higher", null, { gate_m: null, decides: "none" }],
    ["spot-ahead", 150, { gate_m: null, decides: "none" }],
  ] as const)("the school %s makes of %s", (school, computed_m, told) => {
    expect(schoolGates({ school, fixedConsider_m: 300 }, computed_m)).toEqual({ fixed_m: 300, computed_m, ...told });
  });

  it("more draws are flown on both sides of the gate, and on one at the ends", () => {
    const points = (...chances: number[]) =>
      chances.map((chance, i) => ({ height_m: i, chance, low: 0, high: 1, hindsight: null, stalled: 0 }));
    expect(gateBracket_m(points(0.2, 0.6, 0.95, 0.99), 0.9)).toEqual([1, 2]);
    expect(gateBracket_m(points(0.95, 0.99), 0.9)).toEqual([0]);
    expect(gateBracket_m(points(0.2, 0.6), 0.9)).toEqual([1]);
    expect(gateBracket_m(points(0.2, 0.95, 0.6, 0.9), 0.9)).toEqual([2, 3]);
  });

  it("between two heights the chance lies straight; outside nothing is known", () => {
    const points = curve(0.2, 0.6, 1);
    expect(chanceAt(points, 150)).toBeCloseTo(0.4, 9);
    expect(chanceAt(points, 275)).toBeCloseTo(0.9, 9);
    [0.2, 0.6, 1].forEach((chance, i) => expect(chanceAt(points, 100 * (i + 1))).toBeCloseTo(chance, 9));
    expect(chanceAt(points, 99)).toBeNull();
    expect(chanceAt(points, 301)).toBeNull();
  });

  it("the curve is shares of what was flown, by rising height; without a count everybody stalled", () => {
    const count = (height_m: number, succeeded: number, succeededInHindsight: number, stalled: number) => ({
      height_m,
      flown: 50,
      succeeded,
      succeededInHindsight,
      stalled,
    });
    const counts = [count(200, 40, 45, 5), count(100, 10, 12, 20), count(200, 50, 50, 0)];
    expect(addCounts([counts.slice(0, 2), counts.slice(2)])).toEqual([
      count(100, 10, 12, 20),
      { height_m: 200, flown: 100, succeeded: 90, succeededInHindsight: 95, stalled: 5 },
    ]);
    const points = chanceCurve([200, 50, 100], counts, true);
    expect(points.map(({ height_m, chance, hindsight, stalled }) => [height_m, chance, hindsight, stalled])).toEqual([
      [50, 0, 0, 1],
      [100, 0.2, 0.24, 0.4],
      [200, 0.9, 0.95, 0.05],
    ]);
    expect(points[0]).toMatchObject({ low: 0, high: 0 });
    expect(points[2]).toMatchObject(wilson(90, 100));
    expect(chanceCurve([50, 100], counts, false).map(({ hindsight }) => hindsight)).toEqual([null, null]);
  });

  it.each([
    // Tables of Wilson's interval at 95 %, memory.
    [0, 10, 0, 0.2775],
    [5, 10, 0.2366, 0.7634],
    [10, 10, 0.7225, 1],
    [81, 100, 0.7222, 0.8749],
  ])("the band of %d of %d is %d to %d", (succeeded, flown, low, high) => {
    expect(wilson(succeeded, flown).low).toBeCloseTo(low, 3);
    expect(wilson(succeeded, flown).high).toBeCloseTo(high, 3);
  });
});

describe("what scatters, by hand", () => {
  it("the delay is lognormal about its mean, kept within 1 and 12 s", () => {
    const [mean, sd] = [4, 1.5];
    const variance = Math.log(1 + (sd / mean) ** 2);
    for (const draw of [-2, -0.5, 0, 1, 1.7])
      expect(delay_s(mean, sd, draw)).toBeCloseTo(mean * Math.exp(Math.sqrt(variance) * draw - variance / 2), 9);
    expect(delay_s(mean, sd, 9)).toBe(12);
    expect(delay_s(mean, sd, -9)).toBe(1);
    expect(delay_s(0.3, 1, 0)).toBeCloseTo(Math.max(1, Math.exp(-Math.log(2) / 2)), 9);
    expect(delay_s(0.3, 0, 3)).toBe(0.3);
  });

  it("each kind alone can be made exact", () => {
    const fields = {
      delay: "delay_s",
      bank: "bank_rad",
      speed: "speed",
      headwind: "headwind_mps",
      crosswind: "crosswind_mps",
      glide: "glide",
      intercept: "intercept_rad",
    } as const;
    for (const [kind, field] of Object.entries(fields) as [keyof typeof fields, (typeof fields)[keyof typeof fields]][])
      expect(without(USUAL_SCATTER, kind)).toEqual({ ...USUAL_SCATTER, [field]: 0 });
  });

  it("eleven heights a hundred feet apart, from fifty under where it begins to work, 100 ft at least", () => {
    const feet = (least_m: number | null) => chanceHeights_m(least_m).map((height_m) => Math.round(height_m / FT));
    expect(feet(null)).toEqual([200, 300, 400, 500, 600, 700, 800, 900, 1000, 1100, 1200]);
    expect(feet(463 * FT)[0]).toBe(425);
    expect(feet(110 * FT)[0]).toBe(100);
    expect(feet(463 * FT)).toHaveLength(11);
    expect(feet(463 * FT)[10]).toBe(1425);
  });
});

describe("the scan's bookkeeping", () => {
  const turnback = (score_m: number) => ({ score_m }) as NonNullable<TurnbackAtHeight["left"]>;
  const scan = (height_m: number, left: number | null, right: number | null): TurnbackAtHeight => ({
    height_m,
    stalledAfter_s: null,
    left: left === null ? null : turnback(left),
    right: right === null ? null : turnback(right),
  });

  it("looks every 25 ft up to 1,000 and at 18 more up to 2,500, at 20, 30, 45 and 60°", () => {
    const feet = SCAN_HEIGHTS_M.map((height_m) => height_m / FT);
    expect(feet).toHaveLength(58);
    expect(feet.slice(0, 40)).toEqual(Array.from({ length: 40 }, (_, i) => expect.closeTo(25 * (i + 1), 6)));
    expect(feet[40]).toBeCloseTo(1000 + 1500 / 18, 6);
    expect(feet[57]).toBeCloseTo(2500, 6);
    expect(COMPARED_BANKS_RAD.map((bank) => Math.round(degrees(bank)))).toEqual([20, 30, 45, 60]);
  });

  it("takes the better side, the left of equals, and the one that is flown", () => {
    expect(betterSide(scan(1, 5, 7))?.score_m).toBe(7);
    expect(betterSide(scan(1, 8, 7))?.score_m).toBe(8);
    const equal = scan(1, 7, 7);
    expect(betterSide(equal)).toBe(equal.left);
    expect(betterSide(scan(1, null, 7))?.score_m).toBe(7);
    expect(betterSide(scan(1, 5, null))?.score_m).toBe(5);
    expect(betterSide(scan(1, null, null))).toBeNull();
  });

  it("takes the best bank of a height, either side or the one asked for", () => {
    const scans = [scan(100, 1, 9), scan(100, 6, 2), scan(100, null, null)];
    expect(bestOf(scans)?.score_m).toBe(9);
    expect(bestOf(scans, -1)?.score_m).toBe(6);
    expect(bestOf(scans, 1)?.score_m).toBe(9);
    expect(bestOf([])).toBeNull();
    const byHeight = bestByHeight([scan(200, 3, 4), ...scans, scan(50, null, null)]);
    expect(byHeight.map(({ height_m, score_m }) => [height_m, score_m])).toEqual([
      [50, null],
      [100, 9],
      [200, 4],
    ]);
  });

  it("flies the bank that was chosen, or all that were practised", () => {
    const banks = (bank_deg: number | null, practised_deg: number) =>
      allowedBanks({
        bank_rad: bank_deg === null ? null : radians(bank_deg),
        practisedBank_rad: radians(practised_deg),
      }).map((bank) => Math.round(degrees(bank) * 10) / 10);
    expect(banks(37, 20)).toEqual([37]);
    expect(banks(null, 45)).toEqual([20, 30, 45]);
    expect(banks(null, 45.3)).toEqual([20, 30, 45.3]);
    expect(banks(null, 46)).toEqual([20, 30, 45, 46]);
    expect(banks(null, 15)).toEqual([15]);
  });

  it("bands begin and end where the score passes nothing, or at the last height that has one", () => {
    const points = (...scores: (number | null)[]) => scores.map((score_m, i) => ({ height_m: 100 * i, score_m }));
    expect(bandsOf(points(-10, 10, 30, -10))).toEqual([{ from_m: 50, to_m: 275 }]);
    expect(bandsOf(points(5, 5))).toEqual([{ from_m: 0, to_m: null }]);
    expect(bandsOf(points(null, 4, 4))).toEqual([{ from_m: 100, to_m: null }]);
    expect(bandsOf(points(4, null, 4))).toEqual([
      { from_m: 0, to_m: 0 },
      { from_m: 200, to_m: null },
    ]);
    expect(bandsOf(points(-1, 1, -1, 3))).toEqual([
      { from_m: 50, to_m: 150 },
      { from_m: 225, to_m: null },
    ]);
    expect(bandsOf(points(0))).toEqual([{ from_m: 0, to_m: null }]);
    expect(bandsOf(points(-1, null))).toEqual([]);
  });

  it("a metre of height is worth ten of ground, and the lesser counts", () => {
    expect(worth_m(5, 200)).toBe(5);
    expect(worth_m(50, 200)).toBe(20);
    expect(worth_m(50, -30)).toBe(-3);
  });
});

describe("the reaction against steps of 5 ms", () => {
  /** A point mass without engine, wings level, in the wind and shear of the column. */
  function flown(
    body: Body,
    air: Parameters<typeof readAir>[0],
    from: Motion,
    lift: (gamma: number) => number,
    time_s: number,
  ) {
    let { tas_mps: v, gamma_rad: gamma, x_m: x, height_m: h } = from;
    const here: AirSample = airSample();
    const dt = 0.005;
    const along = (height: number) => readAir(air, height, airSample()).along_mps;
    for (let t = 0; t < time_s - 1e-9; t += dt) {
      readAir(air, h, here);
      const q = (here.density * v * v) / 2;
      const cl = Math.min(lift(gamma), body.clMax);
      const [L, D] = [(q * cl) / body.wingLoading, (q * (body.cd0 + body.k * cl * cl)) / body.wingLoading];
      // Of weight; the air that changes with height pushes as it is climbed through.
      const climb = v * Math.sin(gamma);
      const shear = ((along(h + 0.5) - along(h - 0.5)) * climb) / 1;
      const dv = G0 * (-D - Math.sin(gamma)) - Math.cos(gamma) * shear;
      const dgamma = (G0 * (L - Math.cos(gamma)) + Math.sin(gamma) * shear) / v;
      x += (v * Math.cos(gamma) + here.along_mps) * dt;
      h += climb * dt;
      v += dv * dt;
      gamma += dgamma * dt;
    }
    return { tas_mps: v, gamma_rad: gamma, x_m: x, height_m: h };
  }

  it.each([
    ["hands off, still air", 0, "hands-off", 4],
    ["hands off, 15 kt ahead", 15, "hands-off", 5],
    ["attitude held, 10 kt ahead", 10, "attitude", 2],
  ] as const)("%s", (_, headwind_kt, kind, reaction_s) => {
    const { day } = demoDeparture({ mass_kg: 1100, plain: { length_m: 1600, headwind_kt } });
    const start = failureStart(day, 500 * FT, kind, reaction_s);
    if (!start) throw new Error("expected a start");
    const { failure } = start;
    const density = readAir(day.air, failure.height_m, airSample()).density;
    const q = (density * failure.tas_mps ** 2) / 2;
    const cl0 = (Math.cos(failure.gamma_rad) * day.body.wingLoading) / q;
    const lift = (gamma: number) => (kind === "attitude" ? cl0 + day.body.clAlpha * (failure.gamma_rad - gamma) : cl0);
    const plain = flown(day.body, day.air, motionFrom(failure), lift, reaction_s);
    expect(start.acting.tas_mps).toBeCloseTo(plain.tas_mps, 0);
    expect(Math.abs(start.acting.height_m - plain.height_m)).toBeLessThan(0.6);
    expect(Math.abs(start.acting.x_m - plain.x_m)).toBeLessThan(1);
    expect(start.acting.gamma_rad).toBeCloseTo(plain.gamma_rad, 1);
    expect(start.reaction_s).toBe(reaction_s);
    expect(start.reaction.stalledAfter_s).toBeNull();
  });

  it("no reaction is the failure itself; a copy can be flown on without changing it", () => {
    const { day } = demoDeparture({ plain: { length_m: 1600, headwind_kt: 5 } });
    const start = failureStart(day, 400 * FT, "hands-off", 0);
    if (!start) throw new Error("expected a start");
    expect(start.acting).toEqual(motionFrom(start.failure));
    const copy = motionFrom(start.acting);
    copy.height_m = 0;
    expect(start.acting.height_m).toBeCloseTo(400 * FT, 6);
    expect(failureStart(day, 5000, "hands-off", 0)).toBeNull();
  });

  it("another wind carries the climb along for as long as it has flown, and is crabbed against across", () => {
    const { day } = demoDeparture({ plain: { length_m: 1600, headwind_kt: 5 } });
    const planned = climbAt(day.climb, 400 * FT);
    const shifted = failureStart(day, 400 * FT, "hands-off", 0, { along_mps: 2, across_mps: 3 });
    if (!planned || !shifted) throw new Error("expected a start");
    const [first, second] = day.climb.points;
    const ground = (second.x_m - first.x_m) / (second.time_s - first.time_s);
    const run = day.climb.run_m * ((ground + 2) ** 2 / ground ** 2 - 1);
    expect(shifted.failure.x_m).toBeCloseTo(planned.x_m + run + 2 * (planned.time_s - first.time_s), 9);
    expect(shifted.failure.psi_rad).toBeCloseTo(planned.psi_rad - 3 / planned.tas_mps, 9);
    expect(shifted.failure.height_m).toBe(planned.height_m);
  });
});

describe("stopping on the rest of the runway, by hand", () => {
  const { sqrt, max } = Math;
  it.each([0, 12])("with %d kt ahead", (headwind_kt) => {
    const { day } = demoDeparture({ plain: { length_m: 1600, headwind_kt } });
    const start = failureStart(day, 100 * FT, "hands-off", 3);
    if (!start) throw new Error("expected a start");
    const stop = stopAhead(day, start);
    const density = readAir(day.air, 0, airSample()).density;
    const wind = readAir(day.air, 3, airSample()).along_mps;
    const { landing: body } = day;
    const stall = sqrt((2 * body.wingLoading) / (density * body.clMax));
    const cl = body.clMax / 1.69;
    const steep = ((cl / (body.steepCd0 + body.k * cl * cl)) * (1.3 * stall + wind)) / (1.3 * stall);
    const flare = (1.2 * stall + wind) * ((0.2 * stall) / (0.2 * G0));
    const energy = max(0, start.acting.height_m + (start.acting.tas_mps ** 2 - (1.3 * stall) ** 2) / (2 * G0));
    const touchdown = start.acting.x_m + energy * steep + flare;
    expect(stop?.touchdownX_m).toBeCloseTo(touchdown, 6);
    expect(stop?.stopX_m).toBeCloseTo(touchdown + (1.1 * stall + wind) ** 2 / (2 * day.braking * G0), 6);
    expect(stop?.spare_m).toBeCloseTo(1600 - (stop?.stopX_m ?? 0), 9);
    const option = stopOption(stop);
    expect(option).toMatchObject({ id: "stop", kind: "stop", spare_m: stop?.spare_m, margin_m: null });
    expect(option?.score_m).toBeCloseTo((stop?.spare_m ?? 0) / 10, 9);
    expect(option?.note).toBe((stop?.spare_m ?? 0) < 0 ? "runs off the end" : null);
  });

  it("is no option any more 60 m beside the line, or turned by 45°", () => {
    const { day } = demoDeparture({ plain: { length_m: 1600, headwind_kt: 5 } });
    const start = failureStart(day, 300 * FT, "hands-off", 2);
    if (!start) throw new Error("expected a start");
    const at = (change: Partial<Motion>) => stopAhead(day, { ...start, acting: { ...start.acting, ...change } });
    expect(at({ y_m: 59 })).not.toBeNull();
    expect(at({ y_m: -61 })).toBeNull();
    expect(at({ psi_rad: radians(-44) })).not.toBeNull();
    expect(at({ psi_rad: radians(46) })).toBeNull();
    expect(stopOption(null)).toBeNull();
  });

  it("coming back has the take-off's headwind behind it", () => {
    const { day } = demoDeparture({ plain: { length_m: 1600, headwind_kt: 10 } });
    const wind = readAir(day.air, 3, airSample()).along_mps;
    expect(rollOnRunway(day.landing, day.air, -1, day.braking).tailwind_mps).toBeCloseTo(-wind, 9);
    expect(rollOnRunway(day.landing, day.air, 1, day.braking).tailwind_mps).toBeCloseTo(wind, 9);
  });
});

describe("the climb against the glide, by hand", () => {
  it.each([0, 12, 25])("with %d kt ahead", (headwind_kt) => {
    const { day } = demoDeparture({ mass_kg: 1100, plain: { length_m: 1600, headwind_kt } });
    const told = climbAgainstGlide(day, 150, 450);
    const [a, b] = [climbAt(day.climb, 150), climbAt(day.climb, 450)];
    if (!told || !a || !b) throw new Error("expected a comparison");
    // Straight out along the runway both are distances along it, from its middle.
    expect(told.out).toBeCloseTo((Math.abs(b.x_m - 800) - Math.abs(a.x_m - 800)) / 300, 6);
    const air = readAir(day.air, 300, airSample());
    const cl = day.polar.clMax;
    expect(cl).toBeGreaterThan(1);
    // Best glide at its lift: tanγ = CD/CL, speed from the resultant.
    const q = (RHO0 * day.best_mps ** 2) / 2;
    let lift = day.polar.wingLoading / q;
    for (let i = 0; i < 50; i += 1) {
      const drag = day.polar.cd0 + day.polar.k * lift * lift;
      lift = (day.polar.wingLoading / q) * Math.cos(Math.atan(drag / lift));
    }
    const angle = Math.atan((day.polar.cd0 + day.polar.k * lift * lift) / lift);
    const tas = day.best_mps * Math.sqrt(RHO0 / air.density);
    const back = (tas * Math.cos(angle) - air.along_mps) / (tas * Math.sin(angle));
    expect(told.back).toBeCloseTo(back, 4);
    expect(told.gain).toBeCloseTo(1 - told.out / told.back, 9);
  });

  it("has nothing to say of heights that the climb does not pass", () => {
    const { day } = demoDeparture({ plain: { length_m: 1600, headwind_kt: 5 } });
    expect(climbAgainstGlide(day, 150, 5000)).toBeNull();
  });
});

describe("a turn back, moment by moment", () => {
  function flight(
    headwind_kt: number,
    technique: Partial<Technique>,
    height_ft = 900,
  ): {
    points: FlightPoint[];
    result: TurnbackResult;
    technique: Technique;
    day: ReturnType<typeof demoDeparture>["day"];
  } {
    const { day } = demoDeparture({ mass_kg: 1100, plain: { length_m: 1600, headwind_kt } });
    const start = failureStart(day, height_ft * FT, "hands-off", 3);
    if (!start) throw new Error("expected a start");
    const full: Technique = {
      side: -1,
      bank_rad: radians(45),
      stallMargin: 1.1,
      intercept_rad: radians(35),
      extension_s: 0,
      ...technique,
    };
    const points: FlightPoint[] = [];
    const result = flyTurnback(day, motionFrom(start.acting), full, 3, { record: (point) => points.push(point) });
    return { points, result, technique: full, day };
  }
  const CASES: [string, number, Partial<Technique>, number?][] = [
    ["left, 10 kt", 10, {}],
    ["right, 10 kt", 10, { side: 1 }],
    ["30°, still air", 0, { bank_rad: radians(30) }, 1200],
    ["60°, 20 kt", 20, { bank_rad: radians(60), stallMargin: 1.15 }],
    ["extended, 15 kt", 15, { extension_s: 6 }],
    ["from low down", 5, {}, 350],
  ];

  it.each(CASES)("%s keeps bank, rolling, stall margin and the order of its parts", (_, wind, change, height_ft) => {
    const { points, technique, result } = flight(wind, change, height_ft);
    const order = ["extension", "turn", "intercept", "final"];
    points.forEach((point, i) => {
      expect(Math.abs(point.bank_rad)).toBeLessThanOrEqual(technique.bank_rad + 1e-9);
      if (point.part === "intercept" || point.part === "final")
        expect(Math.abs(point.bank_rad)).toBeLessThanOrEqual(
          Math.max(radians(30), Math.abs(points[i - 1].bank_rad)) + 1e-9,
        );
      expect(point.stallMargin).toBeGreaterThanOrEqual(1.05 - 1e-6);
      const before = points[i - 1];
      if (!before) return;
      expect(order.indexOf(point.part)).toBeGreaterThanOrEqual(order.indexOf(before.part));
      const step_s = point.time_s - before.time_s;
      expect([0.2, 0.4].some((step) => step_s <= step + 1e-9)).toBe(true);
      // 20° a second, the step before being rolled in this one.
      expect(Math.abs(point.bank_rad - before.bank_rad)).toBeLessThanOrEqual(radians(20) * 0.4 + 1e-9);
    });
    expect(points.some((point) => point.part === "extension")).toBe(technique.extension_s > 0);
    const extended = points.filter((point) => point.part === "extension");
    if (extended.length > 0) {
      expect(Math.max(...extended.map((point) => Math.abs(point.bank_rad)))).toBe(0);
      const turning = points.find((point) => point.part === "turn");
      expect((turning?.time_s ?? 0) - 3).toBeCloseTo(technique.extension_s, 6);
    }
    expect(result.time_s).toBeGreaterThan(points[points.length - 1].time_s);
  });

  it.each(CASES)(
    "%s is aligned within 12 m, 8° and 10° of bank, and its margins follow",
    (_, wind, change, height_ft) => {
      const { points, result, technique, day } = flight(wind, change, height_ft);
      expect(result.aligned).toBe(true);
      const final = points.find((point) => point.part === "final");
      const last = final ?? points[points.length - 1];
      if (final) {
        expect(Math.abs(final.y_m)).toBeLessThan(12 + 2);
        const drift = degrees(Math.abs(technique.side * Math.PI - final.psi_rad));
        expect(drift).toBeLessThan(8 + 3);
        expect(Math.abs(final.bank_rad)).toBeLessThan(radians(10) + radians(4));
      }
      expect(result.alignedHeight_m).toBeLessThan(last.height_m + 5);
      const { roll } = result;
      if (result.alignedX_m > 1600) {
        expect(result.endHeight_m).not.toBeNull();
        expect(result.endHeight_m).toBeLessThan(result.alignedHeight_m);
        expect(result.margin_m).toBeCloseTo(Math.min(result.alignedHeight_m - 10, (result.endHeight_m ?? 0) - 3), 9);
      } else {
        expect(result.endHeight_m).toBeNull();
        expect(result.margin_m).toBeCloseTo(result.alignedHeight_m - 10, 9);
      }
      const touchdown =
        Math.min(1600, result.alignedX_m - Math.max(result.alignedHeight_m, 0) * roll.steepRatio) - roll.flare_m;
      expect(result.touchdownX_m).toBeCloseTo(touchdown, 9);
      expect(result.spare_m).toBeCloseTo(touchdown - roll.roll_m, 9);
      expect(roll).toEqual(rollOnRunway(day.landing, day.air, -1, day.braking));
    },
  );

  it("turns at k·V_S/√cosφ, straight on and on final at best glide", () => {
    const { points, day } = flight(10, { extension_s: 12 }, 1500);
    const easOf = (point: FlightPoint) =>
      point.tas_mps * Math.sqrt(readAir(day.air, point.height_m, airSample()).density / RHO0);
    const stall = Math.sqrt((2 * day.body.wingLoading) / (RHO0 * day.body.clMax));
    const turning = points.filter((point) => point.part === "turn" && Math.abs(point.bank_rad) > radians(44)).slice(-5);
    for (const point of turning) expect(easOf(point) / (1.1 * stall * Math.SQRT2 ** 0.5)).toBeCloseTo(1, 1);
    const straight = points.filter((point) => point.part === "extension").slice(-3);
    for (const point of straight) expect(Math.abs(easOf(point) - day.best_mps)).toBeLessThan(1.2);
  });

  it("loses just the energy that drag takes, in still air", () => {
    const { points, day } = flight(0, { bank_rad: radians(30) }, 1200);
    let lost_m = 0;
    const energy = (point: FlightPoint) => point.height_m + point.tas_mps ** 2 / (2 * G0);
    points.slice(1).forEach((point, i) => {
      const before = points[i];
      const q = (readAir(day.air, before.height_m, airSample()).density * before.tas_mps ** 2) / 2;
      const cl = day.body.clMax / before.stallMargin ** 2;
      const drag = (q * (day.body.cd0 + day.body.k * cl * cl)) / day.body.wingLoading;
      lost_m += (drag * (before.tas_mps + point.tas_mps) * (point.time_s - before.time_s)) / 2;
    });
    const change_m = energy(points[0]) - energy(points[points.length - 1]);
    expect(lost_m / change_m).toBeCloseTo(1, 1);
    expect(Math.abs(lost_m - change_m)).toBeLessThan(4);
  });

  it("the two sides are mirror images without crosswind", () => {
    const [left, right] = ([-1, 1] as const).map((side) => flight(12, { side }));
    expect(left.points.length).toBe(right.points.length);
    left.points.forEach((point, i) => {
      expect(right.points[i].y_m).toBeCloseTo(-point.y_m, 6);
      expect(right.points[i].bank_rad).toBeCloseTo(-point.bank_rad, 9);
      expect(right.points[i].height_m).toBeCloseTo(point.height_m, 6);
    });
  });

  it("one that never comes round is worth less the farther it is from it", () => {
    const { result, points } = flight(0, { bank_rad: radians(4) }, 60);
    expect(result.aligned).toBe(false);
    const missing = Math.abs(-Math.PI - (points.at(-1)?.psi_rad ?? 0));
    expect(result.margin_m).toBeLessThan(-10 - 15 * missing);
    expect(result).toMatchObject({ endHeight_m: null, spare_m: null });
  });

  it("where only success counts it ends as soon as it is lost, and says the same", () => {
    for (const height_ft of [300, 450, 900]) {
      const { day } = demoDeparture({ mass_kg: 1100, plain: { length_m: 1600, headwind_kt: 10 } });
      const start = failureStart(day, height_ft * FT, "hands-off", 3);
      if (!start) throw new Error("expected a start");
      const technique: Technique = {
        side: 1,
        bank_rad: radians(45),
        stallMargin: 1.1,
        intercept_rad: 0.6,
        extension_s: 0,
      };
      const fly = (onlySuccess: boolean) => flyTurnback(day, motionFrom(start.acting), technique, 3, { onlySuccess });
      const [whole, quick] = [fly(false), fly(true)];
      const works = ({ margin_m, spare_m }: TurnbackResult) => spare_m !== null && worth_m(margin_m, spare_m) >= 0;
      expect(works(quick)).toBe(works(whole));
      if (works(whole)) expect(quick).toEqual(whole);
      else expect(quick.time_s).toBeLessThanOrEqual(whole.time_s);
    }
  });
});
