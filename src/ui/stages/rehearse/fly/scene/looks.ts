// The two lights of the view, in the paper's own colours: two sets of numbers, nothing else changes.
import { Color, LinearSRGBColorSpace } from "three";

/** Colours of one light. */
export interface Light {
  /** From above down to the horizon. */
  readonly sky: readonly string[];
  readonly ink: string;
  readonly ink2: string;
  /** By height. */
  readonly land: readonly string[];
  readonly sea: string;
  readonly seaInk: string;
  readonly straw: string;
  readonly sage: string;
  readonly tree: string;
  readonly far: string;
  readonly smoke: string;
  readonly cloud: string;
  readonly paint: string;
  readonly tar: string;
  readonly shade: number;
  readonly edge: number;
  readonly glow: number;
}

/** By day and at dusk. */
export const LIGHTS: Readonly<Record<"day" | "dusk", Light>> = {
  day: {
    sky: ["#fbf8f1", "#f6f2e7", "#f0ecdf", "#e8e6da"],
    ink: "#1c2230",
    ink2: "#565e6e",
    land: ["#f4eddb", "#ece1c6", "#e0d0ab", "#d3be93", "#c2a87d", "#ad9068"],
    sea: "#d3e0e3",
    seaInk: "#3f6277",
    straw: "#e3cb8c",
    sage: "#b9c9ac",
    tree: "#c3ceb3",
    far: "#eeeadd",
    smoke: "#fffdf9",
    cloud: "#fffdf9",
    paint: "#fffdf9",
    tar: "#474d5b",
    shade: 0.34,
    edge: 0.9,
    glow: 0,
  },
  dusk: {
    sky: ["#1a202b", "#242a37", "#353747", "#5a4d57"],
    ink: "#c9c3b6",
    ink2: "#868c96",
    land: ["#2e2d2a", "#2b2926", "#272421", "#23201d", "#1f1c1b", "#1b191a"],
    sea: "#3a4b5d",
    seaInk: "#9db2c0",
    straw: "#3c3524",
    sage: "#283129",
    tree: "#2b342c",
    far: "#3c3a46",
    smoke: "#55596a",
    cloud: "#333743",
    paint: "#d9d3c6",
    tar: "#0f1218",
    shade: 0.5,
    edge: 0.85,
    glow: 1,
  },
};

/** A colour as it stands: the renderer changes none. */
export const colour = (hex: string): Color => new Color().setHex(parseInt(hex.slice(1), 16), LinearSRGBColorSpace);
