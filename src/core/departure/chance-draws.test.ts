// One thing differs from its plan at a time: the flight is that of a day, or of a technique, that differs by as much.
import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { bisect } from "../numeric/bisect";
import { radians } from "../quantities/angle";
import { type Draw, type Scatter, USUAL_SCATTER, draws } from "../situation/scatter";
import { countChance } from "./chance";
import type { DepartureDay } from "./departure-day";
import { betterSide, turnbackAt } from "./scan";
import type { Technique } from "./turnback-flight";

const NONE: Draw = { delay: 0, bank: 0, speed: 0, headwind: 0, crosswind: 0, glide: 0, intercept: 0 };

/** The demo's departure, and how the turn back from 150 m is flown with 45° of bank. */
function planned() {
  const { day, question } = demoDeparture();
  const best = betterSide(turnbackAt(day, question, 150, radians(45)));
  if (!best) throw new Error("no turnback");
  const { technique } = best;
  /** Lowest height from which a technique works on a day, when one pilot differs so from the plan. */
  const least_m = (
    draw: Draw,
    changed: Partial<Technique> = {},
    other: Partial<DepartureDay> = {},
    scatter?: Scatter,
  ) => {
    const works = (height_m: number) =>
      countChance(
        { ...day, ...other },
        question,
        { height_m, technique: { ...technique, ...changed } },
        scatter ?? USUAL_SCATTER,
        [draw],
        false,
      ).succeeded === 1;
    return bisect((height_m) => !works(height_m), 20, 450, 14).high;
  };
  return { day, question, technique, least_m };
}

describe("a pilot who differs from the plan in one thing", () => {
  const { day, technique, least_m } = planned();
  const as = (a: number, b: number) => expect(Math.abs(a - b)).toBeLessThan(0.2);

  it("by two deviations less glide: the drag of an aeroplane that glides so much worse", () => {
    const drag = 1 / (1 - 2 * USUAL_SCATTER.glide);
    const { cd0, k } = day.body;
    const worse = least_m({ ...NONE, glide: -2 });
    as(worse, least_m(NONE, {}, { body: { ...day.body, cd0: cd0 * drag, k: k * drag } }));
    expect(worse).toBeGreaterThan(least_m(NONE) + 3);
    expect(least_m({ ...NONE, glide: 2 })).toBeLessThan(least_m(NONE) - 3);
  });

  it("by speed: the glide and the turn are as much faster, and slower is never nearer the stall than 2 %", () => {
    const speed = 1 + 3 * USUAL_SCATTER.speed;
    as(
      least_m({ ...NONE, speed: 3 }),
      least_m(NONE, { stallMargin: technique.stallMargin * speed }, { best_mps: day.best_mps * speed }),
    );
    const slow = 1 - 9 * USUAL_SCATTER.speed;
    as(least_m({ ...NONE, speed: -9 }), least_m(NONE, { stallMargin: 1.02 }, { best_mps: day.best_mps * slow }));
  });

  it("by bank and by the angle of intercept: the technique so flown, within what anybody flies", () => {
    const { bank_rad, intercept_rad } = technique;
    const bank = USUAL_SCATTER.bank_rad;
    as(least_m({ ...NONE, bank: -2 }), least_m(NONE, { bank_rad: bank_rad - 2 * bank }));
    as(least_m({ ...NONE, bank: 2 }), least_m(NONE, { bank_rad: bank_rad + 2 * bank }));
    as(least_m({ ...NONE, bank: 20 }), least_m(NONE, { bank_rad: radians(75) }));
    as(
      least_m({ ...NONE, intercept: 2 }),
      least_m(NONE, { intercept_rad: Math.min(intercept_rad + 2 * USUAL_SCATTER.intercept_rad, radians(90)) }),
    );
    as(least_m({ ...NONE, intercept: 90 }), least_m(NONE, { intercept_rad: radians(90) }));
    as(least_m({ ...NONE, intercept: -90 }), least_m(NONE, { intercept_rad: radians(2) }));
  });

  it("by the seconds before acting: later needs more height", () => {
    expect(least_m({ ...NONE, delay: 1 })).toBeGreaterThan(least_m(NONE) + 3);
    expect(least_m({ ...NONE, delay: -1 })).toBeLessThan(least_m(NONE) - 1);
  });

  it("by nothing, when all is exact: the draw does not count", () => {
    const exact = Object.fromEntries(Object.keys(USUAL_SCATTER).map((key) => [key, 0])) as unknown as Scatter;
    as(
      least_m({ ...NONE, glide: -3, bank: 2, speed: 2, intercept: -2, headwind: 2 }, {}, {}, exact),
      least_m(NONE, {}, {}, exact),
    );
  });
});

describe("hindsight", () => {
  it("finds another technique for some of those that fail, not for all, and is not asked unless it is wanted", () => {
    const { day, question, technique, least_m } = planned();
    const plan = { height_m: least_m(NONE) - 5, technique };
    const count = (hindsight: boolean) => countChance(day, question, plan, USUAL_SCATTER, draws(3, 60), hindsight);
    const { succeeded, succeededInHindsight, flown, stalled } = count(true);
    expect(succeededInHindsight).toBeGreaterThan(succeeded);
    expect(succeededInHindsight).toBeLessThan(flown - stalled);
    expect(count(false).succeededInHindsight).toBe(succeeded);
  });
});
