"use client";
import type { StoredAircraft } from "@/server/aircraft";
import { useLibraryAircraft } from "@/ui/library/library-aircraft";
import { useSituation } from "./situation-store";

/** The aircraft that the situation names. One that has gone from the library is replaced by the library's first. */
export function useAircraft(): StoredAircraft {
  const aircraft = useLibraryAircraft();
  const id = useSituation((state) => state.current.aircraftId);
  return aircraft.find((candidate) => candidate.id === id) ?? aircraft[0];
}
