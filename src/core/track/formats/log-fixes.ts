// A log as the fixes that a receiver would have told one after another.
import { geodesicBetween } from "../../earth/geodesic";
import type { FlightLog, LogColumn } from "../log";
import type { Fix } from "./fix";

/** Fixes with a place, in the log's order; where it has no speed and track, from each place to the next. */
export function fixesOf({ time_s, columns }: FlightLog): Fix[] {
  const known = (column: LogColumn, i: number) => {
    const value = columns[column]?.[i] ?? NaN;
    return Number.isFinite(value) ? value : null;
  };
  const fixes: Fix[] = [];
  for (let i = 0; i < time_s.length; i += 1) {
    const [latitude_deg, longitude_deg] = [known("latitude_deg", i), known("longitude_deg", i)];
    if (latitude_deg === null || longitude_deg === null) continue;
    fixes.push({
      time_ms: Math.round(time_s[i] * 1000),
      position: { latitude_deg, longitude_deg },
      altitude_m: known("altitudeGps_m", i) ?? known("altitudePressure_m", i),
      track_rad: known("track_rad", i),
      groundSpeed_mps: known("groundSpeed_mps", i),
    });
  }
  return fixes.map((fix, i) => withMotion(fix, fixes, i));
}

/** Track and speed from one position to the next; the last has those of the one before. */
function withMotion(fix: Fix, fixes: readonly Fix[], i: number): Fix {
  if (fix.track_rad !== null && fix.groundSpeed_mps !== null) return fix;
  const [from, to] = i + 1 < fixes.length ? [fix, fixes[i + 1]] : [fixes[Math.max(i - 1, 0)], fix];
  const time_s = (to.time_ms - from.time_ms) / 1000;
  if (!(time_s > 0)) return fix;
  const { distance_m, azimuthStart_rad } = geodesicBetween(from.position, to.position);
  return {
    ...fix,
    track_rad: fix.track_rad ?? azimuthStart_rad,
    groundSpeed_mps: fix.groundSpeed_mps ?? distance_m / time_s,
  };
}
