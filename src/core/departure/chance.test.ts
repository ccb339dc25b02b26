import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { radians } from "../quantities/angle";
import { M_PER_FT } from "../quantities/constants";
import { addCounts, chanceHeights_m, countChance, wilson } from "./chance";
import { SCATTER_KINDS, USUAL_SCATTER, pilotScatter, delay_s, draws, without } from "../situation/scatter";
import { gateOf, schoolGates } from "./gate";
import { practiceTarget } from "./practice";
import { bandsOf, betterSide, turnbackAt } from "./scan";

const { day, question } = demoDeparture();
const BANK = radians(45);
const planned = (height_m: number) => {
  const best = betterSide(turnbackAt(day, question, height_m, BANK));
  if (!best) throw new Error("no turnback");
  return { height_m, technique: best.technique };
};
const chance = (height_ft: number, hindsight = false) =>
  countChance(day, question, planned(height_ft * M_PER_FT), USUAL_SCATTER, draws(1, 200), hindsight);

describe("chance", () => {
  it("at the lowest height that works it is about one in three (cross-check); well above it nearly certain", () => {
    const points = Array.from({ length: 14 }, (_, i) => 300 + 10 * i).map((height_ft) => ({
      height_m: height_ft * M_PER_FT,
      score_m: betterSide(turnbackAt(day, question, height_ft * M_PER_FT, BANK))?.score_m ?? null,
    }));
    const least_ft = bandsOf(points)[0].from_m / M_PER_FT;
    const { flown, succeeded } = chance(least_ft + 1);
    expect(succeeded / flown).toBeGreaterThan(0.15);
    expect(succeeded / flown).toBeLessThan(0.5);
    expect(chance(1000).succeeded / 200).toBeGreaterThan(0.97);
  });

  it("hindsight never does worse than the plan, and adds up whatever the slices", () => {
    const plan = planned(450 * M_PER_FT);
    const sample = draws(7, 120);
    const whole = countChance(day, question, plan, USUAL_SCATTER, sample, true);
    expect(whole.succeededInHindsight).toBeGreaterThanOrEqual(whole.succeeded);
    const slices = [sample.slice(0, 50), sample.slice(50, 70), sample.slice(70)].map((part) => [
      countChance(day, question, plan, USUAL_SCATTER, part, true),
    ]);
    expect(addCounts(slices)).toEqual([whole]);
  });

  it("counts a stall in the reaction as a failure and says how many", () => {
    const light = demoDeparture({ mass_kg: 900, plan: { reaction: "attitude" } });
    const count = countChance(light.day, light.question, planned(300), USUAL_SCATTER, draws(1, 60), true);
    expect(count.stalled).toBeGreaterThan(0);
    expect(count.succeeded).toBeLessThanOrEqual(60 - count.stalled);
  });

  it("is the same for the same seed, and standard normal in every kind", () => {
    expect(draws(5, 20)).toEqual(draws(5, 20));
    expect(draws(5, 2)).not.toEqual(draws(6, 2));
    const many = draws(11, 4000);
    for (const kind of SCATTER_KINDS) {
      const values = many.map((draw) => draw[kind]);
      const mean = values.reduce((a, b) => a + b) / values.length;
      const deviation = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
      // Three standard errors.
      expect(Math.abs(mean)).toBeLessThan(0.05);
      expect(Math.abs(deviation - 1)).toBeLessThan(0.04);
    }
  });

  it("delays are lognormal with the mean asked for, between 1 and 12 s", () => {
    const delays = draws(2, 4000).map((draw) => delay_s(4, 1.5, draw.delay));
    expect(delays.reduce((a, b) => a + b) / delays.length).toBeCloseTo(4, 1);
    expect(Math.min(...delays)).toBeGreaterThanOrEqual(1);
    expect(delay_s(4, 1.5, 12)).toBe(12);
    expect(delay_s(0, 0, 3)).toBe(0);
  });

  it("one kind can be made exact, and no other changes", () => {
    for (const kind of SCATTER_KINDS) {
      const changed = Object.entries(without(USUAL_SCATTER, kind)).filter(
        ([field, value]) => value !== USUAL_SCATTER[field as keyof typeof USUAL_SCATTER],
      );
      expect(changed).toHaveLength(1);
      expect(changed[0][1]).toBe(0);
    }
  });

  // Wilson's interval for 7 of 10 at 95 %: 0.3968 to 0.8922, as worked in textbooks (memory).
  it("has Wilson's confidence band", () => {
    expect(wilson(7, 10).low).toBeCloseTo(0.3968, 4);
    expect(wilson(7, 10).high).toBeCloseTo(0.8922, 4);
    expect(wilson(0, 50).low).toBe(0);
    expect(wilson(50, 50).high).toBeCloseTo(1, 12);
  });

  it("looks at eleven heights from just below where it begins to work", () => {
    const heights = chanceHeights_m(400 * M_PER_FT).map((height) => height / M_PER_FT);
    expect(heights).toHaveLength(11);
    expect(heights[0]).toBeCloseTo(350, 6);
    expect(heights[10]).toBeCloseTo(1350, 6);
    expect(chanceHeights_m(null)[0] / M_PER_FT).toBeCloseTo(200, 6);
  });
});

describe("gate", () => {
  const curve = (chances: number[]) => chances.map((value, i) => ({ height_m: 100 * (i + 1), chance: value }));
  it.each([
    [[0.2, 0.8, 1], 0.9, 250],
    [[0.95, 0.99, 1], 0.9, 100],
    [[0.2, 0.95, 0.85, 0.95], 0.9, 350],
    [[0.2, 0.95, 0.85], 0.9, null],
    [[0.1, 0.2], 0.9, null],
  ])("of %j at %f is %s", (chances, required, gate_m) => {
    const found = gateOf(curve(chances), required);
    if (gate_m === null) expect(found).toBeNull();
    else expect(found).toBeCloseTo(gate_m, 9);
  });

  it.each([
    ["fixed", 200, 305, "fixed"],
    ["computed", 200, 200, "computed"],
    ["computed", null, null, "none"],
    ["higher", 200, 305, "fixed"],
    ["higher", 400, 400, "computed"],
    ["higher", null, null, "none"],
    ["spot-ahead", 200, null, "none"],
  ] as const)("school %s with %s: %s", (school, computed_m, gate_m, decides) => {
    expect(schoolGates({ school, fixedConsider_m: 305 }, computed_m)).toEqual({
      fixed_m: 305,
      computed_m,
      gate_m,
      decides,
    });
  });
});

describe("practice at height", () => {
  const target = (bank_deg: number, turn_deg: number) =>
    practiceTarget(
      day,
      question,
      "climb",
      { bank_rad: radians(bank_deg), stallMargin: 1.1 },
      radians(turn_deg),
      USUAL_SCATTER,
      draws(1, 60),
    );

  it("a light single loses 200 to 450 ft in 180° with its reaction, 45° less than 20° (common practice)", () => {
    const [shallow, middle] = [target(20, 180), target(45, 180)];
    expect((middle?.loss_m ?? 0) / M_PER_FT).toBeGreaterThan(200);
    expect((middle?.loss_m ?? 0) / M_PER_FT).toBeLessThan(450);
    expect(shallow?.loss_m).toBeGreaterThan(middle?.loss_m ?? NaN);
    expect(middle?.tolerance_m).toBeGreaterThan(3);
    expect(middle?.tolerance_m).toBeLessThan(40);
  });

  // Common practice: a light single from fast level flight loses about 300 ft at 20° and 200 ft at 60°; heights only.
  it("from fast level flight it costs less than from the climb, at 60° no more than at 20°", () => {
    const still = demoDeparture({ mass_kg: 1100, plain: { length_m: 1600, headwind_kt: 0 } });
    const level = (entry: "climb" | "level", bank_deg: number) =>
      (practiceTarget(
        still.day,
        still.question,
        entry,
        { bank_rad: radians(bank_deg), stallMargin: 1.1 },
        Math.PI,
        USUAL_SCATTER,
        [],
      )?.loss_m ?? NaN) / M_PER_FT;
    for (const bank of [20, 30, 45, 60]) expect(level("level", bank)).toBeLessThan(level("climb", bank) - 50);
    expect(level("level", 20)).toBeGreaterThan(225);
    expect(level("level", 20)).toBeLessThan(350);
    expect(level("level", 60)).toBeGreaterThan(150);
    expect(level("level", 60)).toBeLessThan(265);
    expect(level("level", 60)).toBeLessThan(level("level", 20));
    expect(level("climb", 60)).toBeGreaterThan(level("climb", 45));
  });

  it("time without practice lengthens the reaction and widens what the pilot does, not the wind", () => {
    const stale = pilotScatter({ daysSincePractised: 360, own: null });
    expect(pilotScatter({ daysSincePractised: 45, own: null })).toEqual(USUAL_SCATTER);
    expect(stale).toMatchObject({ headwind_mps: USUAL_SCATTER.headwind_mps, glide: USUAL_SCATTER.glide });
    expect(stale.bank_rad / USUAL_SCATTER.bank_rad).toBeCloseTo(1.2, 9);
    const rusty = demoDeparture({});
    const input = { ...rusty.question, pilot: { ...rusty.question.pilot, daysSincePractised: 360 } };
    const loss = (of: typeof input) =>
      practiceTarget(
        rusty.day,
        of,
        "climb",
        { bank_rad: BANK, stallMargin: 1.1 },
        Math.PI,
        pilotScatter(of.pilot),
        draws(1, 60),
      );
    expect(loss(input)?.loss_m).toBeGreaterThan(loss(rusty.question)?.loss_m ?? NaN);
    expect(loss(input)?.tolerance_m).toBeGreaterThan(loss(rusty.question)?.tolerance_m ?? NaN);
  });

  it("360° costs about the turn once more, and a higher deck costs more", () => {
    const [half, full] = [target(45, 180), target(45, 360)];
    expect((full?.loss_m ?? 0) - (half?.loss_m ?? 0)).toBeGreaterThan(0.5 * ((half?.loss_m ?? 0) - 15));
    const high = demoDeparture({ plan: { hardDeck_m: 3000 } });
    expect(
      practiceTarget(high.day, high.question, "climb", { bank_rad: BANK, stallMargin: 1.1 }, Math.PI, USUAL_SCATTER, [])
        ?.loss_m,
    ).toBeGreaterThan(half?.loss_m ?? NaN);
  });

  it("is not given when the reaction ends in a stall", () => {
    const light = demoDeparture({ mass_kg: 690, plan: { reaction: "attitude" } });
    expect(
      practiceTarget(
        light.day,
        light.question,
        "climb",
        { bank_rad: BANK, stallMargin: 1.1 },
        Math.PI,
        USUAL_SCATTER,
        [],
      ),
    ).toBeNull();
  });
});
