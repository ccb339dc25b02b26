// The triangle of velocities: what of an airspeed is left over the ground along a track that is kept.
import type { WindVector } from "./wind";

/**
 * Speed over the ground along a track: √(V² − w⊥²) + w∥.
 *
 * @param east - of the track as a unit vector; `north` likewise
 * @returns 0 where the wind across is as fast as the aircraft, or there is no headway
 */
export function groundSpeed_mps(tas_mps: number, wind: WindVector, east: number, north: number): number {
  const across = wind.east_mps * north - wind.north_mps * east;
  const forward2 = tas_mps * tas_mps - across * across;
  return forward2 > 0 ? Math.max(0, Math.sqrt(forward2) + wind.east_mps * east + wind.north_mps * north) : 0;
}
