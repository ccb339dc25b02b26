// Colours of the map by day and by night. What the page has too is read from its style, so that it is said once.
import type { ReliefPalette } from "@/workers/relief";

/** Everything the map draws with. */
export interface MapPalette {
  readonly relief: ReliefPalette;
  readonly sea: string;
  /** Colours of the page's style, by the name of their variable. */
  of(name: string): string;
}

const DAY: ReliefPalette = {
  sea: [221, 229, 230],
  coast: [86, 112, 128],
  contour: [150, 122, 92],
  bands: [
    [240, 235, 220],
    [233, 225, 203],
    [225, 212, 184],
    [216, 199, 167],
    [206, 184, 151],
    [195, 168, 137],
    [183, 152, 124],
    [172, 138, 114],
    [164, 128, 108],
  ],
  shade: 0.62,
};

const NIGHT: ReliefPalette = {
  sea: [22, 30, 38],
  coast: [98, 122, 138],
  contour: [112, 98, 80],
  bands: [
    [43, 44, 42],
    [49, 48, 44],
    [56, 53, 47],
    [63, 58, 50],
    [71, 64, 54],
    [79, 70, 58],
    [88, 77, 63],
    [97, 84, 69],
    [106, 92, 76],
  ],
  shade: 0.6,
};

/** The palette that goes with what the page shows now. */
export function mapPalette(appearance: "day" | "night"): MapPalette {
  const style = getComputedStyle(document.documentElement);
  const relief = appearance === "night" ? NIGHT : DAY;
  return { relief, sea: `rgb(${relief.sea.join(" ")})`, of: (name) => style.getPropertyValue(`--${name}`).trim() };
}
