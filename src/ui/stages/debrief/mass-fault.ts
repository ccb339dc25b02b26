import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { formatNumber } from "@/core/quantities/units";

/** What is wrong with a mass for an aircraft, kg; null for nothing. */
export function massFault({ name, mass }: Pick<AircraftDocument, "name" | "mass">, mass_kg: number): string | null {
  const { minimum_kg, maximum_kg } = mass;
  return mass_kg >= minimum_kg && mass_kg <= maximum_kg
    ? null
    : `The mass of ${name} is ${formatNumber(minimum_kg)} to ${formatNumber(maximum_kg)} kg.`;
}
