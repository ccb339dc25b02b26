import { describe, expect, it } from "vitest";
import { NO_RESTART, warmUp } from "./warm-up";

const C = 273.15;

// Common practice: no practice shutdowns below freezing; minutes, not seconds, of warming up after a long stop.
describe("warming up", () => {
  it("takes longer the colder the air and the longer it stood", () => {
    expect(warmUp(C - 5, 600).time_s).toBeGreaterThan(warmUp(C + 20, 600).time_s);
    expect(warmUp(C + 5, 900).time_s).toBeGreaterThan(warmUp(C + 5, 120).time_s);
    // A short stop in warm air: the steps alone.
    expect(warmUp(C + 25, 30).time_s).toBe(180);
  });

  it.each([
    [-1, "cold", "no real shutdown"],
    [5, "cool", "in steps"],
    [15, "warm", "in steps"],
  ])("%i °C is %s", (celsius, air, says) => {
    const found = warmUp(C + celsius, 300);
    expect(found.air).toBe(air);
    expect(found.caution).toContain(says);
  });

  it("goes up in power, and the time is that of its steps", () => {
    const { steps, time_s } = warmUp(C, 600);
    expect(steps.map((step) => step.power)).toEqual([...steps.map((step) => step.power)].sort((a, b) => a - b));
    expect(steps.reduce((sum, step) => sum + step.time_s, 0)).toBe(time_s);
    expect(NO_RESTART.join(" ")).toMatch(/fire.*shook.*Oil/);
  });
});
