// Student's distribution as far as a bound of a mean needs it.

/** Two-sided 95 %: t of 1 to 30 degrees of freedom. @see NIST/SEMATECH e-Handbook, 1.3.6.7.2, column 0.975 */
const T95 = [
  12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145, 2.131, 2.12, 2.11,
  2.101, 2.093, 2.086, 2.08, 2.074, 2.069, 2.064, 2.06, 2.056, 2.052, 2.048, 2.045, 2.042,
];
/** 97.5 % of the normal distribution. */
const Z = 1.959964;

/**
 * The value that Student's t exceeds in 5 of 100, to either side.
 *
 * @param freedom - degrees of freedom, a whole number of 1 or more
 * @see Abramowitz and Stegun 26.7.5 beyond the table: z + (z³ + z)/4ν + (5z⁵ + 16z³ + 3z)/96ν²
 */
export function studentT95(freedom: number): number {
  const tabulated = T95.at(freedom - 1);
  if (freedom >= 1 && freedom <= T95.length && tabulated !== undefined) return tabulated;
  return Z + (Z ** 3 + Z) / (4 * freedom) + (5 * Z ** 5 + 16 * Z ** 3 + 3 * Z) / (96 * freedom ** 2);
}
