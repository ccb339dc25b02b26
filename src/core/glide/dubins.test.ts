import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { WORDS, type Word, turnSigns, turnStraightTurn } from "./dubins";

const OUT = { turn1_rad: 0, straight_m: 0, turn2_rad: 0, heading_rad: 0 };

/** Drives a found word in small steps and says where it ends. */
function driven(
  word: Word,
  radius1: number,
  radius2: number,
  parts: typeof OUT,
): { x: number; y: number; heading: number } {
  const [sign1, sign2] = turnSigns(word);
  let [x, y, heading] = [0, 0, 0];
  const go = (length: number, rate: number) => {
    const steps = 2000;
    for (let i = 0; i < steps; i += 1) {
      heading += (rate * length) / steps / 2;
      x += (length / steps) * Math.sin(heading);
      y += (length / steps) * Math.cos(heading);
      heading += (rate * length) / steps / 2;
    }
  };
  go(parts.turn1_rad * radius1, sign1 / radius1);
  go(parts.straight_m, 0);
  go(parts.turn2_rad * radius2, sign2 / radius2);
  return { x, y, heading };
}

const targets = fc.record({
  x: fc.integer({ min: -3000, max: 3000 }),
  y: fc.integer({ min: -3000, max: 3000 }),
  heading: fc.integer({ min: 0, max: 628 }).map((value) => value / 100),
  radius1: fc.integer({ min: 80, max: 400 }),
  radius2: fc.integer({ min: 80, max: 400 }),
});

describe("turn, straight, turn (property)", () => {
  it("driven, every word ends where and as it should", () => {
    fc.assert(
      fc.property(targets, fc.constantFrom(...WORDS), ({ x, y, heading, radius1, radius2 }, word) => {
        // Near the start, circles lie inside each other and are joined without a straight, a few metres beside the
        // point.
        fc.pre(Math.hypot(x, y) > 1700);
        const [sign1, sign2] = turnSigns(word);
        const found = turnStraightTurn(0, 0, 0, radius1, sign1, x, y, heading, radius2, sign2, { ...OUT });
        if (!found) throw new Error(`${word} should exist so far away`);
        const end = driven(word, radius1, radius2, found);
        expect(Math.hypot(end.x - x, end.y - y)).toBeLessThan(0.05);
        expect(Math.cos(end.heading - heading)).toBeCloseTo(1, 6);
      }),
      { numRuns: 120, seed: 30 },
    );
  });

  it("turns are between none and a full circle, straights are not negative", () => {
    fc.assert(
      fc.property(targets, fc.constantFrom(...WORDS), ({ x, y, heading, radius1, radius2 }, word) => {
        const [sign1, sign2] = turnSigns(word);
        const found = turnStraightTurn(0, 0, 0, radius1, sign1, x, y, heading, radius2, sign2, { ...OUT });
        if (!found) return;
        for (const turn of [found.turn1_rad, found.turn2_rad]) {
          expect(turn).toBeGreaterThanOrEqual(0);
          expect(turn).toBeLessThan(2 * Math.PI);
        }
        expect(found.straight_m).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 300, seed: 31 },
    );
  });

  it("the mirrored target has the mirrored word with the same parts", () => {
    fc.assert(
      fc.property(targets, ({ x, y, heading, radius1, radius2 }) => {
        const left = turnStraightTurn(0, 0, 0, radius1, -1, x, y, heading, radius2, 1, { ...OUT });
        const right = turnStraightTurn(0, 0, 0, radius1, 1, -x, y, -heading, radius2, -1, { ...OUT });
        expect(left === null).toBe(right === null);
        if (!left || !right) return;
        expect(Math.cos(left.turn1_rad - right.turn1_rad)).toBeCloseTo(1, 9);
        expect(left.straight_m).toBeCloseTo(right.straight_m, 6);
      }),
      { numRuns: 200, seed: 32 },
    );
  });
});
