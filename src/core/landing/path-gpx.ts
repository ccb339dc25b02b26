import { XMLBuilder } from "fast-xml-parser";
import type { LatLon } from "../earth/geodesic";
import { placedPath } from "./placed-path";
import type { WayToEnd } from "./way-to-end";

/**
 * The path as a GPX 1.1 track.
 *
 * @param origin - of the plane that the end's points are in
 * @param start - moment at which the engine stops; the points' times follow from it
 * @see GPX 1.1 schema, Topografix (memory)
 */
export function pathGpx(end: WayToEnd, origin: LatLon, start: Date): string {
  const builder = new XMLBuilder({ ignoreAttributes: false, format: true, suppressEmptyNode: true });
  return builder.build({
    "?xml": { "@_version": "1.0", "@_encoding": "UTF-8" },
    gpx: {
      "@_version": "1.1",
      "@_creator": "Utrimax",
      "@_xmlns": "http://www.topografix.com/GPX/1/1",
      trk: {
        name: `Glide to ${end.name}`,
        trkseg: {
          trkpt: placedPath(end, origin).map((point) => ({
            "@_lat": point.latitude_deg,
            "@_lon": point.longitude_deg,
            ele: point.altitude_m,
            time: new Date(start.getTime() + point.time_s * 1000).toISOString(),
          })),
        },
      },
    },
  });
}
