import type { LatLon } from "@/core/earth/geodesic";
import { pathGeoJson } from "@/core/landing/path-geojson";
import type { EndReach } from "@/core/landing/reach";
import { download, fileName } from "@/ui/download";

/** Hands a path out as a file. The XML writer is loaded only when it is used. */
export async function downloadPath(format: "geojson" | "gpx", end: EndReach, origin: LatLon): Promise<void> {
  const name = `glide-to-${fileName(end.name)}`;
  if (format === "geojson") return download(`${name}.geojson`, "application/geo+json", JSON.stringify(pathGeoJson(end, origin), null, 1));
  const { pathGpx } = await import("@/core/landing/path-gpx");
  download(`${name}.gpx`, "application/gpx+xml", pathGpx(end, origin, new Date()));
}
