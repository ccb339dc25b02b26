// Degrees and minutes, as charts print them.

/** Degrees and minutes: 47°06.9′S. A tenth of a minute is 185 m, a thousandth 2 m. */
export function formatLatitude(latitude_deg: number, digits = 1): string {
  return degreesMinutes(latitude_deg, "N", "S", 2, digits);
}

/** Degrees and minutes: 130°58.7′W. */
export function formatLongitude(longitude_deg: number, digits = 1): string {
  return degreesMinutes(longitude_deg, "E", "W", 3, digits);
}

function degreesMinutes(angle_deg: number, positive: string, negative: string, width: number, digits: number): string {
  // Rounded as a whole first, so that 59.96′ does not become 60.0′.
  const parts = 10 ** digits;
  const whole = Math.round(Math.abs(angle_deg) * 60 * parts);
  const minutes = (whole % (60 * parts)) / parts;
  return `${String(Math.floor(whole / (60 * parts))).padStart(width, "0")}°${minutes.toFixed(digits).padStart(3 + digits, "0")}′${angle_deg < 0 ? negative : positive}`;
}
