import type { LatLon } from "../earth/geodesic";
import { placedPath } from "./placed-path";
import type { WayToEnd } from "./way-to-end";

/** A GeoJSON document of one path: a line for each block of the ledger. */
export interface PathGeoJson {
  readonly type: "FeatureCollection";
  readonly features: readonly {
    readonly type: "Feature";
    readonly geometry: {
      readonly type: "LineString";
      readonly coordinates: readonly (readonly [number, number, number])[];
    };
    readonly properties: {
      readonly to: string;
      readonly part: string;
      readonly account: string;
      readonly height_m: number;
      readonly time_s: number;
    };
  }[];
}

/**
 * The path as GeoJSON: one LineString for each block of the ledger that covers ground, longitude, latitude, altitude (m
 * above mean sea level).
 *
 * @param origin - of the plane that the end's points are in
 * @see RFC 7946
 */
export function pathGeoJson(end: WayToEnd, origin: LatLon): PathGeoJson {
  const points = placedPath(end, origin);
  const ledger = end.path?.ledger ?? [];
  return {
    type: "FeatureCollection",
    features: ledger.flatMap((entry, i) => {
      const own = points.filter((point) => point.entry === i);
      // A block starts where the one before ended.
      const before = points.findLast((point) => point.entry < i);
      const line = before && own.length > 0 ? [before, ...own] : own;
      if (line.length < 2) return [];
      return [
        {
          type: "Feature" as const,
          geometry: {
            type: "LineString" as const,
            coordinates: line.map((point) => [point.longitude_deg, point.latitude_deg, point.altitude_m] as const),
          },
          properties: {
            to: end.name,
            part: entry.name,
            account: entry.account,
            height_m: Math.round(entry.height_m * 10) / 10,
            time_s: Math.round(entry.time_s * 10) / 10,
          },
        },
      ];
    }),
  };
}
