import { describe, expect, it } from "vitest";
import { OwnFigures } from "../situation/situation-document";
import { ownFiguresOf, pilotFigures } from "./pilot-figures";

const hand = (reaction_s: number, bank_rad: number | null) => ({
  at_s: 2000,
  hand: {
    reaction_s,
    bank: bank_rad === null ? null : { mean_rad: bank_rad, spread_rad: 0.1 },
    speed: { off_mps: 0, spread_mps: 1 },
  },
});

describe("a pilot’s own figures", () => {
  // By hand: 3, 5, 7 s have the mean 5 and the standard deviation 2; 0.6 and 0.8 rad have 0.7 and 0.1414.
  it("pool what was flown and simulated, with mean, sample deviation and count", () => {
    const found = pilotFigures(
      [
        { at_s: 1000, reaction_s: 3, bank_rad: 0.6 },
        { at_s: null, reaction_s: 5, bank_rad: null },
      ],
      [hand(7, 0.8)],
    );
    expect(found).toMatchObject({ flown: 2, simulated: 1, last_s: 2000, reaction_s: { mean: 5, spread: 2, count: 3 } });
    expect(found?.bank_rad?.mean).toBeCloseTo(0.7, 12);
    expect(found?.bank_rad?.spread).toBeCloseTo(Math.SQRT2 / 10, 12);
  });

  it("have the speed of flights by hand beside the one to hold, and where logs show the touch", () => {
    const off = (off_mps: number) => ({ at_s: 1, hand: { ...hand(3, null).hand, speed: { off_mps, spread_mps: 1 } } });
    const logged = (spot_m?: number) => ({ at_s: 1, reaction_s: 4, bank_rad: null, spot_m });
    const found = pilotFigures([logged(100), logged(160), logged()], [off(-1), off(3)]);
    expect(found?.speed_mps).toEqual({ mean: 1, spread: Math.sqrt(8), count: 2 });
    // By hand: 100 and 160 m have the mean 130 and the standard deviation 42.4.
    expect(found?.spot_m).toEqual({ mean: 130, spread: Math.sqrt(1800), count: 2 });
  });

  it("one has no spread; what shows nothing does not count; nothing is nothing", () => {
    expect(pilotFigures([{ at_s: null, reaction_s: 4, bank_rad: null }], [])).toEqual({
      flown: 1,
      simulated: 0,
      reaction_s: { mean: 4, spread: 0, count: 1 },
      bank_rad: null,
      speed_mps: null,
      spot_m: null,
      last_s: null,
    });
    expect(pilotFigures([{ at_s: 5, reaction_s: null, bank_rad: null }], [{ hand: null, at_s: 9 }])).toBeNull();
  });

  it("are held by a situation with their counts and the day of the last", () => {
    const found = pilotFigures([{ at_s: 1_795_500_000, reaction_s: 3, bank_rad: 0.6 }], [hand(7, 0.8)]);
    const own = found && ownFiguresOf(found);
    expect(OwnFigures.parse(own)).toMatchObject({
      reaction_s: { count: 2 },
      bank_rad: { count: 2 },
      last: "2026-11-24",
    });
    expect(own?.reaction_s?.spread).toBeCloseTo(Math.sqrt(8), 12);
  });
});
