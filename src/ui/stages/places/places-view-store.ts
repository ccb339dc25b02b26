import { create } from "zustand";
import type { LatLon } from "@/core/earth/geodesic";
import type { DrawingTool } from "@/ui/kit/map/place-drawing";

/** What is drawn next, and what becomes of it. */
export interface Drawing {
  readonly tool: DrawingTool;
  readonly makes: "aerodrome" | "runway" | "helipad" | "field" | "beach" | "water" | "outline" | null;
}

interface PlacesView {
  readonly selectedId: string | null;
  readonly drawing: Drawing | null;
  /** The map looks there when this changes. */
  readonly lookAt: LatLon | null;
  select(id: string | null, lookAt?: LatLon): void;
  draw(drawing: Drawing | null): void;
}

/** What is selected and drawn in the places editor. */
export const usePlacesView = create<PlacesView>()((set) => ({
  selectedId: null,
  drawing: null,
  lookAt: null,
  select: (selectedId, lookAt) => set({ selectedId, drawing: null, ...(lookAt ? { lookAt } : {}) }),
  draw: (drawing) => set({ drawing }),
}));
