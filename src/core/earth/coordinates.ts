// Degrees and minutes, as charts print them.

/** Degrees and minutes: 47°06.9′S. */
export function formatLatitude(latitude_deg: number): string {
  return degreesMinutes(latitude_deg, "N", "S", 2);
}

/** Degrees and minutes: 130°58.7′W. */
export function formatLongitude(longitude_deg: number): string {
  return degreesMinutes(longitude_deg, "E", "W", 3);
}

function degreesMinutes(angle_deg: number, positive: string, negative: string, width: number): string {
  // Rounded as a whole first, so that 59.96′ does not become 60.0′.
  const tenths = Math.round(Math.abs(angle_deg) * 600);
  const minutes = (tenths % 600) / 10;
  return `${String(Math.floor(tenths / 600)).padStart(width, "0")}°${minutes.toFixed(1).padStart(4, "0")}′${angle_deg < 0 ? negative : positive}`;
}
