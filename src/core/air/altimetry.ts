// From what the altimeter is set to, to pressure altitude and the air along a glide.
import { type AirState, airState, pressureAltitude_m, standardTemperature_K } from "./atmosphere";

/** The air of a place: one sea-level pressure, one deviation from standard at all heights. */
export interface AirMass {
  readonly qnh_Pa: number;
  /** Outside temperature minus standard, K, taken as the same at every height. */
  readonly deviation_K: number;
}

/**
 * Pressure altitude of an altitude on QNH.
 *
 * The altimeter's scale is the standard one shifted by the pressure altitude of QNH; true and indicated altitude are
 * taken as equal (no temperature error of the altimeter), as handbooks' charts do.
 *
 * @see ICAO Doc 7488; Doc 8168 for the altimeter settings
 */
export function pressureAltitudeOnQnh_m(altitude_m: number, qnh_Pa: number): number {
  return altitude_m + pressureAltitude_m(qnh_Pa);
}

/** Air at an altitude above mean sea level in an air mass. */
export function airAtAltitude(altitude_m: number, air: AirMass): AirState {
  return airState(pressureAltitudeOnQnh_m(altitude_m, air.qnh_Pa), air.deviation_K);
}

/** Deviation from standard, K, of a temperature measured at a station. */
export function deviationAtStation_K(temperature_K: number, elevation_m: number, qnh_Pa: number): number {
  return temperature_K - standardTemperature_K(pressureAltitudeOnQnh_m(elevation_m, qnh_Pa));
}
