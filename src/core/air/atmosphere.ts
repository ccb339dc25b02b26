// The standard atmosphere with a temperature deviation, to 20 km. Not here: humidity (under 1 % of density),
// non-standard lapse rates. Source: ICAO Doc 7488, Manual of the ICAO Standard Atmosphere.
import { bisect } from "../numeric/bisect";
import { type Outcome, failure, success } from "../outcome";
import { G0, GAMMA_AIR, P0_PA, R_AIR, RHO0, T0_K } from "../quantities/constants";

/** Lapse rate below the tropopause, K/m. */
const LAPSE = -0.0065;
/** Height of the tropopause, m, its temperature, K, and pressure, Pa. */
const TROPOPAUSE_M = 11_000;
const TROPOPAUSE_K = T0_K + LAPSE * TROPOPAUSE_M;
const EXPONENT = -G0 / (LAPSE * R_AIR);
const TROPOPAUSE_PA = P0_PA * (TROPOPAUSE_K / T0_K) ** EXPONENT;

/** The model holds between these pressure altitudes, m. */
export const ATMOSPHERE_MIN_M = -2000;
export const ATMOSPHERE_MAX_M = 20_000;

/** State of the air at one height. */
export interface AirState {
  readonly temperature_K: number;
  readonly pressure_Pa: number;
  /** kg/m³. */
  readonly density: number;
  readonly speedOfSound_mps: number;
  /** Density over standard sea-level density. */
  readonly sigma: number;
}

/** Standard pressure at a pressure altitude, Pa; the altitude is not checked here. */
export function standardPressure_Pa(altitudePressure_m: number): number {
  return altitudePressure_m <= TROPOPAUSE_M
    ? P0_PA * (1 + (LAPSE * altitudePressure_m) / T0_K) ** EXPONENT
    : TROPOPAUSE_PA * Math.exp((-G0 * (altitudePressure_m - TROPOPAUSE_M)) / (R_AIR * TROPOPAUSE_K));
}

/** Pressure altitude of a pressure, m: the inverse of `standardPressure_Pa`. */
export function pressureAltitude_m(pressure_Pa: number): number {
  return pressure_Pa >= TROPOPAUSE_PA
    ? (T0_K / LAPSE) * ((pressure_Pa / P0_PA) ** (1 / EXPONENT) - 1)
    : TROPOPAUSE_M - (R_AIR * TROPOPAUSE_K * Math.log(pressure_Pa / TROPOPAUSE_PA)) / G0;
}

/** Standard temperature at a pressure altitude, K. */
export function standardTemperature_K(altitudePressure_m: number): number {
  return altitudePressure_m <= TROPOPAUSE_M ? T0_K + LAPSE * altitudePressure_m : TROPOPAUSE_K;
}

/**
 * Air at a pressure altitude, warmer than standard by a deviation.
 *
 * @param altitudePressure_m - valid −2,000 to 20,000
 * @param deviation_K - outside temperature minus standard; valid −60 to 60
 * @returns `outside_atmosphere` beyond the range; never NaN
 * @see ICAO Doc 7488
 */
export function atmosphereAt(altitudePressure_m: number, deviation_K = 0): Outcome<AirState> {
  if (!(altitudePressure_m >= ATMOSPHERE_MIN_M && altitudePressure_m <= ATMOSPHERE_MAX_M)) {
    return failure(
      "outside_atmosphere",
      "The atmosphere model holds from −2 000 m to 20 000 m (about 65 000 ft) pressure altitude.",
      "altitudePressure_m",
    );
  }
  if (!(Math.abs(deviation_K) <= 60))
    return failure(
      "deviation_implausible",
      "A deviation from standard of more than 60 °C is not met with.",
      "deviation_K",
    );
  return success(airState(altitudePressure_m, deviation_K));
}

/** As `atmosphereAt` for callers that have checked the range already (inner loops). */
export function airState(altitudePressure_m: number, deviation_K: number): AirState {
  const temperature_K = standardTemperature_K(altitudePressure_m) + deviation_K;
  const pressure_Pa = standardPressure_Pa(altitudePressure_m);
  const density = pressure_Pa / (R_AIR * temperature_K);
  return {
    temperature_K,
    pressure_Pa,
    density,
    speedOfSound_mps: Math.sqrt(GAMMA_AIR * R_AIR * temperature_K),
    sigma: density / RHO0,
  };
}

/**
 * Height in the standard atmosphere with the same density.
 *
 * @param density - kg/m³, 0.08 to 1.8
 * @returns metres; by bisection to 1 mm
 */
export function densityAltitude_m(density: number): number {
  // 25 km halved 25 times is under a millimetre.
  const denser = (altitude_m: number) => airState(altitude_m, 0).density > density;
  const { low, high } = bisect(denser, ATMOSPHERE_MIN_M * 2, ATMOSPHERE_MAX_M, 25);
  return (low + high) / 2;
}
