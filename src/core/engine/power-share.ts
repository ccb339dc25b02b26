// What a piston engine has left of its sea-level power.

/**
 * Share of sea-level power that is left of a naturally aspirated engine at a density ratio. @see Gagg and Farrar, SAE
 * 340096 (1934) (memory)
 */
export function aspiratedShare(sigma: number): number {
  return 1.132 * sigma - 0.132;
}

/**
 * Full power over sea-level power: naturally aspirated by density; turbocharged flat to the critical height, above it
 * as the air thins.
 *
 * @param sigmaCritical - density ratio at the critical height; null without a turbocharger
 */
export function powerShare(sigma: number, sigmaCritical: number | null): number {
  if (sigmaCritical === null) return aspiratedShare(sigma);
  return sigma >= sigmaCritical ? 1 : aspiratedShare(sigma / sigmaCritical);
}
