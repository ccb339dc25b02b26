// What is in reach, as an image over the ground.
import type ImageSource from "ol/source/Image";
import type { ReliefView } from "@/workers/relief";
import { drawnSource } from "./drawn-source";
import type { MapPalette } from "./map-palette";

/** Inks of what is drawn over the ground. */
export type Inks = Record<"pine" | "brick", readonly [number, number, number]>;

/** An image of what is in reach, for what is in view. */
export type ReachImage = (view: ReliefView, inks: Inks) => Promise<ImageBitmap | null>;

const rgb = (colour: string): [number, number, number] => {
  const hex = /^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(colour);
  return hex ? [parseInt(hex[1], 16), parseInt(hex[2], 16), parseInt(hex[3], 16)] : [46, 125, 91];
};

/** A source of it in a palette's inks. */
export function reachSource(reach: ReachImage, palette: MapPalette): ImageSource {
  const inks = { pine: rgb(palette.of("pine")), brick: rgb(palette.of("brick")) };
  return drawnSource((view) => reach(view, inks));
}
