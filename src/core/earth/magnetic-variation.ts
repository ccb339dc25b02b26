// Magnetic variation by the World Magnetic Model that the geomagnetism package carries.
import geomagnetism from "geomagnetism";
import { radians } from "../quantities/angle";
import type { LatLon } from "./geodesic";

/** Variation at a place and day, with what it rests on. */
export interface MagneticVariation {
  /** East positive: true = magnetic + variation. */
  readonly variation_rad: number;
  /** "WMM-2025". */
  readonly model: string;
  /** First year of the model's five. */
  readonly epoch_year: number;
  /** A sentence when the day lies outside the model's five years; otherwise null. */
  readonly warning: string | null;
}

/** Years a World Magnetic Model is issued for. */
const MODEL_YEARS = 5;

/**
 * Magnetic variation at sea level.
 *
 * @param day - the day to take it for; outside the model's years the nearest model is used and `warning` says so
 * @see NOAA/BGS, The US/UK World Magnetic Model for 2025–2030 (coefficients in the package)
 */
export function magneticVariation(place: LatLon, day: Date): MagneticVariation {
  const model = geomagnetism.model(day, { allowOutOfBoundsModel: true });
  const year = day.getUTCFullYear() + day.getUTCMonth() / 12;
  const outside = year < model.epoch || year >= model.epoch + MODEL_YEARS;
  return {
    variation_rad: radians(model.point([place.latitude_deg, place.longitude_deg]).decl),
    model: model.name,
    epoch_year: model.epoch,
    warning: outside
      ? `The date lies outside the years ${model.epoch} to ${model.epoch + MODEL_YEARS} of ${model.name}; the variation may be off by a degree or more.`
      : null,
  };
}
