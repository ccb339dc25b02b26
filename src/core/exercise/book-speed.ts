import type { AircraftDocument } from "../aircraft/aircraft-document";
import { isAeroplane } from "../aircraft/aircraft-kind";

/** The book's speed for the failure: V_YSE of a twin, best glide of anything else. */
export function bookSpeed_mps(aircraft: AircraftDocument): number | null {
  if (isAeroplane(aircraft)) {
    const { handbook } = aircraft;
    return ("vyse_mps" in handbook ? handbook.vyse_mps : null) ?? handbook.vbg_mps;
  }
  return aircraft.category === "helicopter" ? aircraft.handbook.vy_mps : aircraft.handbook.bestGlideSpeed_mps;
}
