import type { ScatterKind } from "@/core/departure/chance";

/** What scatters, and by how much, in a pilot's words. */
export const SCATTER_WORDS: Record<ScatterKind, { name: string; size: string }> = {
  delay: { name: "Seconds before acting", size: "± 1.5 s" },
  bank: { name: "Bank", size: "± 5°" },
  speed: { name: "Speed", size: "± 4 %" },
  headwind: { name: "Headwind", size: "± 3 kt" },
  crosswind: { name: "Crosswind", size: "± 3 kt" },
  glide: { name: "Glide ratio", size: "± 6 %" },
  intercept: { name: "Angle back to the runway", size: "± 8°" },
};
