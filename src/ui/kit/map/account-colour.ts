// Colour and casing of a way over the ground, the same on every map as in the ledger.
import { Stroke, Style } from "ol/style";
import type { MapPalette } from "./map-palette";

/** Page colour of each account; `roll` is the ground roll. */
const COLOUR: Record<string, string> = {
  reaction: "plum",
  turn: "steel",
  straight: "sage",
  attempt: "wheat",
  approach: "clay",
  roll: "ink",
};

/** The light band that a way lies on. */
export function casingStyle(palette: MapPalette): Style {
  return new Style({ stroke: new Stroke({ color: palette.of("casing"), width: 8 }), zIndex: 2 });
}

/** One part of a way; broad when its block of the ledger is pointed at. */
export function partStyle(palette: MapPalette, account: string, pointed: boolean): Style {
  return new Style({
    stroke: new Stroke({
      color: palette.of(COLOUR[account] ?? "ink2"),
      width: pointed ? 8 : 4.5,
      lineDash: account === "roll" ? [2, 5] : undefined,
    }),
    zIndex: 3,
  });
}
