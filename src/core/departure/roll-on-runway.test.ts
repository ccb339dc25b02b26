import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { rollOnRunway } from "./roll-on-runway";

describe("landing roll on the departure's runway", () => {
  it("has the take-off's headwind behind it on the way back", () => {
    const { day } = demoDeparture({ plain: { length_m: 1200, headwind_kt: 12 } });
    const [out, back] = [rollOnRunway(day.landing, day.air, 1, 0.25), rollOnRunway(day.landing, day.air, -1, 0.25)];
    expect(out.tailwind_mps).toBeCloseTo(-back.tailwind_mps, 12);
    expect(back.tailwind_mps).toBeGreaterThan(4);
    expect(back.roll_m).toBeGreaterThan(out.roll_m);
  });
});
