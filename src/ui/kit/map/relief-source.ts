import type ImageSource from "ol/source/Image";
import { askCore } from "@/ui/kit/lanes/lanes";
import { drawnSource } from "./drawn-source";
import type { MapPalette } from "./map-palette";

/** The ground: relief drawn in the worker. Another terrain needs a new source. */
export function reliefSource(palette: MapPalette): ImageSource {
  return drawnSource((view) => askCore("long", (core) => core.relief(view, palette.relief)));
}
