import { describe, expect, it } from "vitest";
import { PadSettings, USUAL_PAD, calibrated, padHand, pressedNow, shaped, travelled } from "./pad-settings";

const power = { axis: 3, reversed: true, low: -1, rest: 0, high: 1 };

describe("a gamepad", () => {
  it("near its middle is in the middle, soft beyond, whole at its end", () => {
    expect([shaped(0.05), shaped(-0.08), shaped(NaN)]).toEqual([0, 0, 0]);
    expect(shaped(0.5)).toBeLessThan(0.42);
    expect(shaped(0.5)).toBeGreaterThan(0.3);
    expect([shaped(1), shaped(-1)]).toEqual([1, -1]);
  });

  it("as it comes: the first stick flies, the second's side is the feet, power is on none", () => {
    expect(padHand(USUAL_PAD, [1, -1, 0, 0.7])).toEqual({ back: -1, right: 1, foot: null, power: null });
    expect(padHand(USUAL_PAD, [0, 0, 1])).toEqual({ back: 0, right: 0, foot: 1, power: null });
    // One that reports nothing, or nonsense, does nothing.
    expect(padHand(USUAL_PAD, [])).toEqual({ back: 0, right: 0, foot: null, power: null });
    expect(padHand(USUAL_PAD, [NaN, Infinity])).toMatchObject({ back: 0, right: 0 });
  });

  it("axes of one's own: reversed, and a lever without a middle", () => {
    const own = { ...USUAL_PAD, axes: { ...USUAL_PAD.axes, nose: { ...power, axis: 1 }, power } };
    expect(padHand(own, [0, 1, 0, 1])).toMatchObject({ back: -1, power: 0 });
    expect(padHand(own, [0, 0, 0, -1]).power).toBe(1);
    expect(padHand(own, [0, 0, 0, 0]).power).toBe(0.5);
    expect(padHand(own, [0, 0, 0]).power).toBeNull();
    expect(PadSettings.safeParse(own).success).toBe(true);
  });

  it("a worn one is measured: its ends and its rest are its own; what was not moved stays", () => {
    const travel = [
      [0.1, 0, 0],
      [-0.6, 0.02, 0],
      [0.9, -0.03, 0],
      [0.1, 0, 0],
    ].reduce<ReturnType<typeof travelled> | null>(travelled, null);
    if (!travel) throw new Error("no travel");
    const worn = calibrated(USUAL_PAD, travel);
    expect(worn.axes.bank).toMatchObject({ low: -0.6, rest: 0.1, high: 0.9 });
    expect(worn.axes.nose).toEqual(USUAL_PAD.axes.nose);
    expect([padHand(worn, [-0.6]).right, padHand(worn, [0.1]).right, padHand(worn, [0.9]).right]).toEqual([-1, 0, 1]);
    // Before it is measured it would pull by itself.
    expect(padHand(USUAL_PAD, [0.1]).right).toBeGreaterThan(0);
  });

  it("a button counts when it goes down", () => {
    expect(pressedNow([false, false], [false, true])).toBe(1);
    expect(pressedNow([false, true], [false, true])).toBeNull();
    expect(pressedNow([], [true])).toBe(0);
  });
});
