// Constants, once. Sources: ICAO Doc 7488 (standard atmosphere), the SI definitions of knot, foot and mile.

/** Standard acceleration of free fall, m/s². ICAO Doc 7488. */
export const G0 = 9.80665;
/** Specific gas constant of dry air, J/(kg K). ICAO Doc 7488. */
export const R_AIR = 287.05287;
/** Ratio of specific heats of air. */
export const GAMMA_AIR = 1.4;
/** Standard temperature at sea level, K. */
export const T0_K = 288.15;
/** Standard pressure at sea level, Pa. */
export const P0_PA = 101325;
/** Standard density at sea level, kg/m³. */
export const RHO0 = 1.225;
/** Speed of sound at sea level in the standard atmosphere, m/s. */
export const A0_MPS = Math.sqrt(GAMMA_AIR * R_AIR * T0_K);

/** Metres in a nautical mile, a statute mile, a foot. */
export const M_PER_NMI = 1852;
export const M_PER_SM = 1609.344;
export const M_PER_FT = 0.3048;
/** m/s in a knot. */
export const MPS_PER_KT = M_PER_NMI / 3600;
/** Pa in an inch of mercury (conventional, 0 °C). */
export const PA_PER_INHG = 3386.389;
/** kg in an avoirdupois pound. */
export const KG_PER_LB = 0.45359237;
/** Mechanical horsepower, 550 ft·lbf/s (exact by its definition). */
export const W_PER_HP = 550 * 0.3048 * 0.45359237 * 9.80665;
/** m³ in a US liquid gallon (231 in³) and in an imperial gallon (4.54609 L), exact by their definitions. */
export const M3_PER_US_GALLON = 231 * (0.3048 / 12) * (0.3048 / 12) * (0.3048 / 12);
export const M3_PER_IMPERIAL_GALLON = 4.54609e-3;
/** Zero of the Celsius scale, K. */
export const ZERO_CELSIUS_K = 273.15;
