import { toast } from "sonner";
import type { LatLon } from "@/core/earth/geodesic";
import { pathGeoJson } from "@/core/landing/path-geojson";
import type { WayToEnd } from "@/core/landing/way-to-end";
import { download, fileName } from "@/ui/kit/download";
import { shownEnd, useReach } from "@/ui/answers/reach-store";

/** The formats in which a path leaves. */
export type PathFormat = "geojson" | "gpx";

/** Hands out a path as a file, or says why there is none. */
export function exportPath(format: PathFormat, end: WayToEnd | null, origin: LatLon | null): void {
  if (!end?.path || !origin) toast("There is no path to export: no way leads to a landing end from here.");
  else void downloadPath(format, end, origin);
}

/** Hands out the path of an aeroplane that is looked at. */
export function exportShownPath(format: PathFormat): void {
  const { answer, pinnedId } = useReach.getState();
  exportPath(format, shownEnd({ answer, pinnedId }), answer?.origin ?? null);
}

/** The XML writer is loaded only when it is used. */
async function downloadPath(format: PathFormat, end: WayToEnd, origin: LatLon): Promise<void> {
  const name = `glide-to-${fileName(end.name)}`;
  if (format === "geojson")
    return download(`${name}.geojson`, "application/geo+json", JSON.stringify(pathGeoJson(end, origin), null, 1));
  const { pathGpx } = await import("@/core/landing/path-gpx");
  download(`${name}.gpx`, "application/gpx+xml", pathGpx(end, origin, new Date()));
}
