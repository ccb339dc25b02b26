import type { Aeroplane } from "./aeroplane";
import type { AircraftDocument } from "./aircraft-document";

/** Kinds whose stages differ. */
export type AircraftKind = "aeroplane" | "helicopter" | "gyroplane";

/** Which of them a category of aircraft is. */
export function kindOf({ category }: { category: string }): AircraftKind {
  return category === "helicopter" || category === "gyroplane" ? category : "aeroplane";
}

/** Whether it has wings. */
export function isAeroplane(aircraft: AircraftDocument): aircraft is Aeroplane {
  return kindOf(aircraft) === "aeroplane";
}
