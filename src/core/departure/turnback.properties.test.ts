import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { radians } from "../quantities/angle";
import { M_PER_FT } from "../quantities/constants";
import { countChance } from "./chance";
import { type Scatter, draws } from "../situation/scatter";
import { failureStart } from "./failure-start";
import { betterSide, turnbackAt } from "./scan";
import { bestTurnback, turnbackBy } from "./turnback-search";

const NO_SCATTER: Scatter = {
  delay_s: 0,
  bank_rad: 0,
  speed: 0,
  headwind_mps: 0,
  crosswind_mps: 0,
  glide: 0,
  intercept_rad: 0,
};
const FIXED = { side: -1, bank_rad: radians(45), stallMargin: 1.1 } as const;

describe("turnback", () => {
  it("more headwind never lowers what the same technique leaves while the way back binds, not the turn", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 13 }),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 600, max: 1200 }),
        fc.integer({ min: 20, max: 55 }),
        (headwind_kt, more_kt, height_ft, angle_deg) => {
          const [less, more] = [headwind_kt, headwind_kt + more_kt].map((kt) => {
            const { day } = demoDeparture({ mass_kg: 1100, plain: { length_m: 1000, headwind_kt: kt } });
            const start = failureStart(day, height_ft * M_PER_FT, "hands-off", 4);
            if (!start) throw new Error("no climb");
            return turnbackBy(day, start.acting, 4, { ...FIXED, intercept_rad: radians(angle_deg), extension_s: 0 })
              .result;
          });
          // Where the turn binds, the stronger wind's shear costs a little and the rest of the way is of no matter.
          const wayBinds = (result: typeof less) =>
            result.endHeight_m !== null && result.endHeight_m - 3 < result.alignedHeight_m - 10;
          if (wayBinds(less) && wayBinds(more)) expect(more.margin_m).toBeGreaterThan(less.margin_m - 0.5);
        },
      ),
      { numRuns: 40 },
    );
  });

  it("a longer reaction never helps", () => {
    const { day } = demoDeparture({ mass_kg: 1100, plain: { length_m: 1600, headwind_kt: 8 } });
    fc.assert(
      fc.property(
        fc.constantFrom("attitude", "hands-off"),
        fc.integer({ min: 0, max: 5 }),
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 350, max: 700 }),
        (kind, reaction_s, more_s, height_ft) => {
          const [quick, slow] = [reaction_s, reaction_s + more_s].map((seconds) => {
            const start = failureStart(day, height_ft * M_PER_FT, kind, seconds);
            if (!start || start.reaction.stalledAfter_s !== null) return -Infinity;
            return bestTurnback(day, start.acting, seconds, FIXED).score_m;
          });
          expect(slow).toBeLessThan(quick + 2);
        },
      ),
      { numRuns: 25 },
    );
  });

  it("with no scatter at all the chance is the deterministic answer", () => {
    const { day, question } = demoDeparture();
    const sample = draws(3, 5);
    fc.assert(
      fc.property(fc.integer({ min: 200, max: 1200 }), (height_ft) => {
        const best = betterSide(turnbackAt(day, question, height_ft * M_PER_FT, FIXED.bank_rad));
        if (!best) throw new Error("no flight");
        const count = countChance(
          day,
          question,
          { height_m: height_ft * M_PER_FT, technique: best.technique },
          NO_SCATTER,
          sample,
          false,
        );
        expect(count.succeeded).toBe(best.score_m >= 0 ? 5 : 0);
      }),
      { numRuns: 30 },
    );
  });

  it("is the same to the left and to the right without crosswind", () => {
    const { day, question } = demoDeparture({ mass_kg: 1000, plain: { length_m: 1200, headwind_kt: 10 } });
    const { left, right } = turnbackAt(day, question, 200, FIXED.bank_rad);
    expect(left?.score_m).toBeCloseTo(right?.score_m ?? NaN, 9);
  });

  it("is better towards a crosswind, which carries the turn back to the line", () => {
    const { day, question } = demoDeparture({
      mass_kg: 1000,
      plain: { length_m: 1200, headwind_kt: 8, crosswind_kt: 8 },
    });
    const { left, right } = turnbackAt(day, question, 150, FIXED.bank_rad);
    expect(right?.score_m ?? NaN).toBeGreaterThan((left?.score_m ?? NaN) + 10);
  });

  it("finds no better technique on a fine grid", () => {
    const { day } = demoDeparture({ mass_kg: 1100, plain: { length_m: 1000, headwind_kt: 25 } });
    for (const height_ft of [400, 650, 900]) {
      const start = failureStart(day, height_ft * M_PER_FT, "hands-off", 4);
      if (!start) throw new Error("no climb");
      const best = bestTurnback(day, start.acting, 4, FIXED);
      let grid_m = -Infinity;
      for (let angle = 6; angle <= 88; angle += 4)
        for (let extension_s = 0; extension_s <= 36; extension_s += 2)
          grid_m = Math.max(
            grid_m,
            turnbackBy(day, start.acting, 4, { ...FIXED, intercept_rad: radians(angle), extension_s }).score_m,
          );
      expect(best.score_m).toBeGreaterThan(grid_m - 2);
    }
  });
});
