import type { Hazard } from "@/core/places/place";

/** What can hurt somebody on a site. */
export const HAZARD_WORDS: Record<Hazard, string> = {
  people: "people about",
  "power-lines": "power lines",
  stock: "stock grazing",
  trees: "trees",
  soft: "soft",
  rough: "rough, stones",
  wall: "a wall across",
};
