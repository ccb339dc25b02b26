import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { stallSpeed_mps } from "../aircraft/polar";
import { airSample, readAir } from "../flight/air-column";
import { glidingTurn } from "../glide/gliding-turn";
import { liftCoefficientAt } from "../glide/straight-glide";
import { radians } from "../quantities/angle";
import { G0 } from "../quantities/constants";
import { plannedReaction_s } from "../situation/pilot-practice";
import { type Draw, SCATTER_KINDS, USUAL_SCATTER, delay_s } from "../situation/scatter";
import { type PracticeEntry, practiceTarget } from "./practice";

const { day, question } = demoDeparture({ mass_kg: 1000, plain: { length_m: 1200, headwind_kt: 0 } });
/** The deck at the runway's level, where the day's own air can be read. */
const grounded = { ...question, plan: { ...question.plan, hardDeck_m: 0 } };
const none = Object.fromEntries(SCATTER_KINDS.map((kind) => [kind, 0])) as unknown as Draw;
const EXACT = { ...USUAL_SCATTER, delay_s: 0, bank_rad: 0, speed: 0, glide: 0 };

function flown(
  change: {
    entry?: PracticeEntry;
    bank_deg?: number;
    margin?: number;
    turn_deg?: number;
    of?: typeof question;
    on?: typeof day;
    scatter?: typeof USUAL_SCATTER;
    sample?: readonly Draw[];
  } = {},
) {
  const { entry = "level", bank_deg = 45, margin = 1.2, turn_deg = 180 } = change;
  const target = practiceTarget(
    change.on ?? day,
    change.of ?? grounded,
    entry,
    { bank_rad: radians(bank_deg), stallMargin: margin },
    radians(turn_deg),
    change.scatter ?? EXACT,
    change.sample ?? [],
  );
  if (!target) throw new Error("the reaction stalled");
  return target;
}

describe("practice at height, by hand", () => {
  it.each([
    [30, 1.2],
    [45, 1.2],
    [45, 1.4],
    [60, 1.1],
  ])("half a turn more at %i° and %f times the stall costs what the steady turn does", (bank_deg, margin) => {
    const [one, two] = [360, 540].map((turn_deg) => flown({ bank_deg, margin, turn_deg }));
    const density = readAir(day.air, 200, airSample()).density;
    const bank = radians(bank_deg);
    const eas = margin * stallSpeed_mps(day.polar, 1 / Math.cos(bank));
    const steady = glidingTurn(day.polar, liftCoefficientAt(day.polar, eas, bank) ?? NaN, bank, density);
    expect((two.loss_m - one.loss_m) / (Math.PI * steady.heightPerRadian_m)).toBeCloseTo(1, 1);
    expect(Math.abs((two.time_s - one.time_s) * steady.rate_radps - Math.PI)).toBeLessThan(0.1);
    expect(two).toMatchObject({ entry: "level", turn_rad: 3 * Math.PI, tolerance_m: 0 });
  });

  it("from fast level flight the speed above the turn's pays for height: ½(V₁² − V₂²)/g less what drag takes", () => {
    // Both ends are flown at best glide, so that the two entries differ by the energy they begin with, and by drag.
    const [fast, slow] = [flown({ entry: "level" }), flown({ entry: "climb" })];
    const energy = ((1.4 * day.best_mps) ** 2 - day.climbEas_mps ** 2) / (2 * G0);
    const saved = slow.loss_m - fast.loss_m;
    expect(saved).toBeGreaterThan(0.4 * energy);
    expect(saved).toBeLessThan(1.05 * energy);
    expect(slow).toMatchObject({ entry: "climb", turn_rad: Math.PI });
  });

  it("takes the reaction, the turn at its rate, and half the roll out beyond the heading", () => {
    const reaction_s = plannedReaction_s(question.pilot);
    const { time_s } = flown({ turn_deg: 360, margin: 1.2 });
    const eas = 1.2 * stallSpeed_mps(day.polar, Math.SQRT2);
    const rate = (G0 * Math.tan(radians(45))) / eas;
    // Rolling in and out takes some seconds; the fast entry turns more slowly at first.
    expect(time_s - reaction_s).toBeGreaterThan((2 * Math.PI) / rate);
    expect(time_s - reaction_s).toBeLessThan((2 * Math.PI) / rate + 8);
  });

  it("a second more of reaction takes a second more, and about a second of sinking", () => {
    const slow = { ...grounded, pilot: { ...grounded.pilot, reaction_s: grounded.pilot.reaction_s + 1 } };
    const [before, after] = [flown(), flown({ of: slow })];
    expect(after.time_s - before.time_s).toBeGreaterThan(0.5);
    expect(after.time_s - before.time_s).toBeLessThan(1.5);
  });

  it("never banks so that the stall is nearer than 1.05, however steep the plan", () => {
    // At 80° the speed would have to be 1.1·√5.8 of the stall: the bank waits for the speed, and the turn takes longer.
    const [steep, sixty] = [flown({ bank_deg: 80, margin: 1.1, entry: "climb" }), flown({ bank_deg: 60, margin: 1.1 })];
    expect(steep.loss_m).toBeGreaterThan(sixty.loss_m);
    expect(Number.isFinite(steep.time_s)).toBe(true);
  });

  it("the deviation of two draws is their difference over √2, each flown as the plan it amounts to", () => {
    const scatter = { ...EXACT, bank_rad: radians(5), speed: 0.04 };
    const spread = (kind: "bank" | "speed") =>
      flown({ scatter, sample: [1, -1].map((value) => ({ ...none, [kind]: value })) }).tolerance_m;
    const between = (a: number, b: number) => Math.abs(a - b) / Math.SQRT2;
    expect(spread("bank")).toBeCloseTo(between(flown({ bank_deg: 50 }).loss_m, flown({ bank_deg: 40 }).loss_m), 6);
    const at = (factor: number) => flown({ margin: 1.2 * factor, on: { ...day, best_mps: day.best_mps * factor } });
    // The entry is flown at the planned best glide's multiple, so that a draw changes the turn and what follows it.
    expect(spread("speed") / between(at(1.04).loss_m, at(0.96).loss_m)).toBeGreaterThan(0.3);
    expect(flown({ scatter, sample: [none, none, none] }).tolerance_m).toBe(0);
    expect(flown({ scatter, sample: [{ ...none, bank: 1 }] }).tolerance_m).toBe(0);
  });

  it("a bank that a draw takes below 5° is flown at 5°: a turn that never comes round is no turn", () => {
    const shallow = { ...EXACT, bank_rad: radians(4) };
    const spread = (bank: number) =>
      flown({ bank_deg: 12, scatter: shallow, sample: [bank, 0].map((value) => ({ ...none, bank: value })) });
    const least = flown({ bank_deg: 5 });
    const planned = flown({ bank_deg: 12 });
    expect(least.time_s).toBeGreaterThan(100);
    expect(spread(-3).tolerance_m).toBeCloseTo((least.loss_m - planned.loss_m) / Math.SQRT2, 6);
    expect(spread(-2).tolerance_m).toBeCloseTo(spread(-3).tolerance_m, 6);
    // 12° − 4° is not quite 8°: a step of 0.1 s more or less.
    expect(spread(-1).tolerance_m).toBeCloseTo((flown({ bank_deg: 8 }).loss_m - planned.loss_m) / Math.SQRT2, 0);
  });

  it("a turn that takes longer than ten minutes is not told of", () => {
    const turn = (bank_deg: number) =>
      practiceTarget(day, grounded, "level", { bank_rad: radians(bank_deg), stallMargin: 1.2 }, 2 * Math.PI, EXACT, []);
    expect(turn(2.5)?.time_s).toBeGreaterThan(400);
    expect(turn(1)).toBeNull();
  });

  it("a better glide is a share less drag; a delay is the planned reaction's own", () => {
    const glide = { ...EXACT, glide: 0.06 };
    const body = (share: number) => ({
      ...day,
      body: { ...day.body, cd0: day.body.cd0 / share, k: day.body.k / share },
    });
    const spread = flown({ scatter: glide, sample: [1, -1].map((value) => ({ ...none, glide: value })) }).tolerance_m;
    const [good, bad] = [flown({ on: body(1.06) }), flown({ on: body(0.94) })];
    expect(bad.loss_m).toBeGreaterThan(good.loss_m);
    expect(spread).toBeCloseTo((bad.loss_m - good.loss_m) / Math.SQRT2, 6);

    const scatter = { ...EXACT, delay_s: 1.5 };
    const planned = plannedReaction_s(question.pilot);
    const pilot = (reaction_s: number) => ({
      ...grounded,
      pilot: { ...grounded.pilot, daysSincePractised: 0, reaction_s },
    });
    const two = [1, -1].map((value) => flown({ of: pilot(delay_s(planned, 1.5, value)) }).loss_m);
    const delayed = flown({
      of: pilot(planned),
      scatter,
      sample: [1, -1].map((value) => ({ ...none, delay: value })),
    });
    expect(delayed.tolerance_m).toBeCloseTo(Math.abs(two[0] - two[1]) / Math.SQRT2, 6);
  });
});
