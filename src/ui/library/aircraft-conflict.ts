import { create } from "zustand";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { StoredAircraft } from "@/server/aircraft";

/** An aircraft that was saved elsewhere while it was changed here; null when there is none to decide about. */
export const useAircraftConflict = create<{
  readonly conflict: { readonly mine: AircraftDocument; readonly theirs: StoredAircraft } | null;
}>(() => ({ conflict: null }));
