import { describe, expect, it } from "vitest";
import { type Overlay, overlayExtent } from "./overlay-extent";

const EMPTY: Overlay = { key: "none", lines: [], marks: [], areas: [] };
const mark = (x_m: number, y_m: number) => ({
  at: { x_m, y_m },
  label: "",
  colour: "ink",
  offset: [0, 0] as const,
  strong: false,
});

describe("what is looked at of an overlay", () => {
  it("is nothing when there is nothing", () => {
    expect(overlayExtent(EMPTY)).toBeNull();
  });

  it("holds every line, mark and the whole of every area: west, south, east, north", () => {
    const line = {
      points: [
        { x_m: -50, y_m: 20 },
        { x_m: 10, y_m: 400 },
      ],
      colour: "ink",
      dashed: false,
    };
    expect(overlayExtent({ ...EMPTY, lines: [line] })).toEqual([-50, 20, 10, 400]);
    expect(overlayExtent({ ...EMPTY, lines: [line], marks: [mark(700, -30)] })).toEqual([-50, -30, 700, 400]);
    const area = { centre: { x_m: 100, y_m: 0 }, radius_m: 1000, label: "", colour: "pine", dashed: true };
    expect(overlayExtent({ ...EMPTY, lines: [line], areas: [area] })).toEqual([-900, -1000, 1100, 1000]);
  });
});
