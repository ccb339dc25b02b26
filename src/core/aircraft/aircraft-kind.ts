/** Kinds whose stages differ. */
export type AircraftKind = "aeroplane" | "helicopter" | "gyroplane";

/** Which of them a category of aircraft is. */
export function kindOf({ category }: { category: string }): AircraftKind {
  return category === "helicopter" || category === "gyroplane" ? category : "aeroplane";
}
