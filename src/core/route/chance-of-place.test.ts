// The chance of a place against closed forms: one thing scattered, one place.
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { type Scatter, USUAL_SCATTER, draws } from "../situation/scatter";
import { type ScatteredAccount, chanceOfPlace } from "./chance-of-place";

const EXACT: Scatter = {
  delay_s: 0,
  bank_rad: 0,
  speed: 0,
  headwind_mps: 0,
  crosswind_mps: 0,
  glide: 0,
  intercept_rad: 0,
};
const planned = { reaction_s: 4, bank_rad: Math.PI / 6, sink_mps: 4 };
const place: ScatteredAccount = {
  bearing_rad: 0,
  distance_m: 9000,
  reaction_m: 20,
  turn_m: 60,
  straight_m: 1000,
  spare_m: 50,
};
const sample = draws(7, 20_000);
/** Φ, Abramowitz and Stegun 26.2.17 (memory): to 7.5e-8. */
function normal(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}
const chance = (accounts: readonly ScatteredAccount[], scatter: Partial<Scatter>) =>
  chanceOfPlace(accounts, planned, { ...EXACT, ...scatter }, sample) ?? NaN;

describe("the chance of a place", () => {
  it("with nothing scattered is certain or none, by what is spare", () => {
    expect(chance([place], {})).toBe(1);
    expect(chance([{ ...place, spare_m: -1 }], {})).toBe(0);
    expect(chanceOfPlace([], planned, EXACT, sample)).toBeNull();
  });

  it.each([50, 0, -50])("with the glide scattered is the normal's share: %d m spare", (spare_m) => {
    // 1000/(1 + s·z) − 1000 ≤ spare: z ≥ (1000/(1000 + spare) − 1)/s.
    const z = (1000 / (1000 + spare_m) - 1) / 0.06;
    expect(Math.abs(chance([{ ...place, spare_m }], { glide: 0.06 }) - (1 - normal(z)))).toBeLessThan(0.01);
  });

  it("with the wind ahead scattered is the normal's share", () => {
    // 36 m/s over the ground; T grows by 36/(36 + w) − 1 ≤ 0.05: w ≥ −1.714 m/s.
    const z = (36 / 1.05 - 36) / 1.5;
    expect(Math.abs(chance([place], { headwind_mps: 1.5 }) - (1 - normal(z)))).toBeLessThan(0.01);
    // Across it changes nothing.
    expect(chance([place], { crosswind_mps: 5 })).toBe(1);
  });

  it("a speed off the best costs by the parabola: two in a hundred for ten", () => {
    const off = [{ ...sample[0], speed: 1 }];
    // r = 1.1: (r² + 1/r²)/2 = 1.01822, 18.2 m of 1,000.
    const at = (spare_m: number) => chanceOfPlace([{ ...place, spare_m }], planned, { ...EXACT, speed: 0.1 }, off);
    expect(at(18.3)).toBe(1);
    expect(at(18.1)).toBe(0);
  });

  it("a steeper bank than 45° and a shallower one both cost in the turn", () => {
    const one = (bank: number, spare_m: number) =>
      chanceOfPlace([{ ...place, spare_m }], planned, { ...EXACT, bank_rad: Math.PI / 18 }, [{ ...sample[0], bank }]);
    // 20°: sin 60°/sin 40° = 1.3473, 20.8 m more; 40°: 0.8794, 7.2 m less.
    expect([one(-1, 20.9), one(-1, 20.7)]).toEqual([1, 0]);
    expect([one(1, -7.1), one(1, -7.4)]).toEqual([1, 0]);
  });

  it("a slower reaction costs by its seconds, on the mean nothing", () => {
    const share = chance([{ ...place, spare_m: 0 }], { delay_s: 1.5 });
    // Lognormal: the median lies under the mean.
    expect(share).toBeGreaterThan(0.5);
    expect(share).toBeLessThan(0.62);
  });

  it("never falls with more spare, or with another place", () => {
    const few = sample.slice(0, 300);
    const account = fc.record({
      bearing_rad: evenly(-3, 3),
      distance_m: evenly(0, 40_000),
      reaction_m: evenly(0, 100),
      turn_m: evenly(0, 400),
      straight_m: evenly(0, 4000),
      spare_m: evenly(-500, 500),
    });
    fc.assert(
      fc.property(account, account, evenly(0, 300), (a, b, more_m) => {
        const of = (...accounts: ScatteredAccount[]) => chanceOfPlace(accounts, planned, USUAL_SCATTER, few) ?? NaN;
        expect(of({ ...a, spare_m: a.spare_m + more_m })).toBeGreaterThanOrEqual(of(a));
        expect(of(a, b)).toBeGreaterThanOrEqual(of(a));
      }),
    );
  });
});
