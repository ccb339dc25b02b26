import { describe, expect, it } from "vitest";
import { studentT95 } from "./student-t";

describe("Student’s t, two-sided 95 %", () => {
  // Abramowitz and Stegun (1964), table 26.10, column 0.975 (memory).
  it.each([
    [1, 12.706],
    [2, 4.303],
    [5, 2.571],
    [10, 2.228],
    [30, 2.042],
    [40, 2.021],
    [60, 2.0],
    [120, 1.98],
  ])("of %i degrees of freedom is %f", (freedom, t) => {
    expect(studentT95(freedom)).toBeCloseTo(t, 2);
  });

  it("falls all the way towards 1.96, over the end of the table too", () => {
    for (let freedom = 1; freedom < 200; freedom += 1)
      expect(studentT95(freedom + 1)).toBeLessThan(studentT95(freedom));
    expect(studentT95(1e6)).toBeCloseTo(1.96, 3);
  });
});
