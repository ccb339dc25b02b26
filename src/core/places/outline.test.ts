import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { geodesicBetween } from "../earth/geodesic";
import { localPlane } from "../earth/local-plane";
import { crossesItself, longestStrip, outlineArea_m2 } from "./outline";

const ORIGIN = { latitude_deg: -47, longitude_deg: -131 };
const plane = localPlane(ORIGIN);
const corners = (...points: [number, number][]) => points.map(([x_m, y_m]) => plane.toLatLon({ x_m, y_m }));
/** A rectangle about the origin, turned. */
const rectangle = (length: number, width: number, angle: number) =>
  corners(
    ...([
      [-0.5, -0.5],
      [0.5, -0.5],
      [0.5, 0.5],
      [-0.5, 0.5],
    ].map(([u, v]) => [
      u * length * Math.cos(angle) - v * width * Math.sin(angle),
      u * length * Math.sin(angle) + v * width * Math.cos(angle),
    ]) as [number, number][]),
  );
const lengthOf = (strip: ReturnType<typeof longestStrip>) => strip && geodesicBetween(strip[0], strip[1]).distance_m;

describe("outlines", () => {
  it("area of a rectangle is its sides' product", () => {
    expect(outlineArea_m2(rectangle(600, 200, 0.4))).toBeCloseTo(120_000, -1);
  });

  it("a bow crosses itself, a star of five points does, a horseshoe does not", () => {
    expect(crossesItself(corners([0, 0], [100, 100], [100, 0], [0, 100]))).toBe(true);
    const star = [0, 2, 4, 1, 3].map((i): [number, number] => [
      100 * Math.cos((2 * Math.PI * i) / 5),
      100 * Math.sin((2 * Math.PI * i) / 5),
    ]);
    expect(crossesItself(corners(...star))).toBe(true);
    expect(
      crossesItself(corners([0, 0], [300, 0], [300, 300], [200, 300], [200, 100], [100, 100], [100, 300], [0, 300])),
    ).toBe(false);
    expect(crossesItself(corners([0, 0], [100, 0], [50, 80]))).toBe(false);
  });

  it("the longest strip of a rectangle lies along it, or a little longer across it (closed form)", () => {
    // With the width of the strip taken off both ways the longest line is the diagonal of what is left, less the ends.
    const found = lengthOf(longestStrip(rectangle(800, 100, 0), 30)) ?? NaN;
    expect(found).toBeGreaterThan(780);
    expect(found).toBeLessThan(Math.hypot(800, 100));
    expect(lengthOf(longestStrip(rectangle(800, 100, 0), 99))).toBeCloseTo(800, -1);
    expect(longestStrip(rectangle(800, 100, 0), 101)).toBeNull();
  });

  it("goes round the bend of a horseshoe on one side only", () => {
    const shoe = corners([0, 0], [300, 0], [300, 500], [200, 500], [200, 100], [100, 100], [100, 500], [0, 500]);
    const found = lengthOf(longestStrip(shoe, 30)) ?? NaN;
    expect(found).toBeGreaterThan(480);
    expect(found).toBeLessThan(520);
  });

  it("a spike into the middle parts the strip", () => {
    const spiked = corners([0, 0], [400, 0], [405, 55], [410, 0], [800, 0], [800, 60], [0, 60]);
    const found = lengthOf(longestStrip(spiked, 30)) ?? NaN;
    expect(found).toBeLessThan(430);
    expect(found).toBeGreaterThan(380);
  });

  it("both edges of what it finds lie inside, however the rectangle is turned (property)", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 1500 }),
        fc.integer({ min: 40, max: 300 }),
        fc.integer({ min: 0, max: 314 }),
        (length, width, hundredths) => {
          const angle = hundredths / 100;
          const strip = longestStrip(rectangle(length, width, angle), 30);
          if (!strip) throw new Error("no strip");
          const [a, b] = strip.map((end) => plane.toPlane(end));
          const along = Math.hypot(b.x_m - a.x_m, b.y_m - a.y_m);
          const [ux, uy] = [(b.x_m - a.x_m) / along, (b.y_m - a.y_m) / along];
          for (const point of [a, b])
            for (const side of [-14.9, 14.9]) {
              const [x, y] = [point.x_m - side * uy, point.y_m + side * ux];
              expect(Math.abs(x * Math.cos(angle) + y * Math.sin(angle))).toBeLessThan(length / 2 + 0.5);
              expect(Math.abs(y * Math.cos(angle) - x * Math.sin(angle))).toBeLessThan(width / 2 + 0.5);
            }
          expect(along).toBeGreaterThan(0.97 * Math.max(length, width));
        },
      ),
      { numRuns: 40, seed: 73 },
    );
  });
});
