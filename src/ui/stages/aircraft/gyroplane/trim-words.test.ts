import { describe, expect, it } from "vitest";
import { radians } from "@/core/quantities/angle";
import { nextBend } from "@/core/rotor/trim-tab";
import { bendWords } from "./trim-words";

const after = (...flights: readonly (readonly [number, number])[]) => {
  const found = nextBend(flights.map(([tab, string]) => ({ tab_rad: radians(tab), string_rad: radians(string) })));
  return found.ok ? bendWords(found.value) : found.issue.message;
};

describe("the next bend in words", () => {
  it("names side, size and where it ends, and why it is not more", () => {
    expect(after([0, 6])).toBe(
      "Bend the tab 2.0° left, to 2.0° left, and fly it again. A small one first: two flights make a line.",
    );
    expect(after([0, -6])).toMatch(/^Bend the tab 2\.0° right, to 2\.0° right/);
    expect(after([0, 8], [4, 4])).toBe("Bend the tab 4.0° left, to 8.0° left, and fly it again.");
    expect(after([0, 9], [1, 8])).toMatch(/^Bend the tab 5\.0° left, to 6\.0° left.*More would be needed/);
  });
  it("leaves a central string alone, and says when it went with the tab", () => {
    expect(after([4, 0.5])).toBe("The string is central: leave the tab as it is.");
    expect(after([0, 4], [3, 8])).toMatch(/^The string did not go against the tab/);
  });
});
