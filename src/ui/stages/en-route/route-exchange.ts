// A route as a file, and back: GeoJSON, GPX and KML through the map's own readers, and a table of points.
import type { FeatureLike } from "ol/Feature";
import SimpleGeometry from "ol/geom/SimpleGeometry";
import Papa from "papaparse";
import type { LatLon } from "@/core/earth/geodesic";
import { parsePosition } from "@/core/earth/parse-position";
import { type Outcome, failure, success } from "@/core/outcome";
import { RoutePlan, type RoutePoint } from "@/core/situation/route-plan";
import { download, fileName } from "@/ui/kit/download";

/** The formats in which a route leaves. */
export const ROUTE_FORMATS = ["geojson", "gpx", "kml", "csv"] as const;
/** @see ROUTE_FORMATS */
export type RouteFormat = (typeof ROUTE_FORMATS)[number];

const pair = ({ position }: RoutePoint) => [position.longitude_deg, position.latitude_deg];

/** The name of a file: from where to where. */
function nameOf(points: readonly RoutePoint[]): string {
  return `route-${fileName(points[0].name)}-${fileName(points[points.length - 1].name)}`;
}

/** A route as a table. */
export function routeCsv(points: readonly RoutePoint[]): string {
  return Papa.unparse(
    points.map(({ name, position: { latitude_deg, longitude_deg }, altitude_m }) => ({
      name,
      latitude_deg: Number(latitude_deg.toFixed(6)),
      longitude_deg: Number(longitude_deg.toFixed(6)),
      altitude_m,
    })),
    { escapeFormulae: true },
  );
}

/** Hands the route out. */
export async function exportRoute(points: readonly RoutePoint[], format: RouteFormat): Promise<void> {
  const name = nameOf(points);
  if (format === "csv") return download(`${name}.csv`, "text/csv", routeCsv(points));
  const [{ default: GeoJSON }, { default: KML }, { default: GPX }, { default: Feature }, { default: Point }, line] =
    await Promise.all([
      import("ol/format/GeoJSON"),
      import("ol/format/KML"),
      import("ol/format/GPX"),
      import("ol/Feature"),
      import("ol/geom/Point"),
      import("ol/geom/LineString"),
    ]);
  const features = [
    ...points.map((point) => {
      const altitude = point.altitude_m === null ? {} : { altitude_m: point.altitude_m };
      return new Feature({ geometry: new Point(pair(point)), name: point.name, ...altitude });
    }),
    new Feature({ geometry: new line.default(points.map(pair)), name }),
  ];
  if (format === "kml")
    return download(`${name}.kml`, "application/vnd.google-earth.kml+xml", new KML().writeFeatures(features));
  if (format === "gpx") return download(`${name}.gpx`, "application/gpx+xml", new GPX().writeFeatures(features));
  download(`${name}.geojson`, "application/geo+json", new GeoJSON().writeFeatures(features));
}

/** Reads a route from a file by the end of its name. */
export async function readRoute(name: string, text: string): Promise<Outcome<RoutePoint[]>> {
  const extension = name.toLowerCase().split(".").at(-1) ?? "";
  if (extension === "csv" || extension === "txt") return fromTable(text);
  try {
    return checked(fromFeatures(await featuresOf(text, extension)));
  } catch {
    return failure("unreadable", "This file cannot be read: it is neither GeoJSON nor GPX, KML, or a table of points.");
  }
}

async function featuresOf(text: string, extension: string): Promise<FeatureLike[]> {
  if (extension === "gpx") return new (await import("ol/format/GPX")).default().readFeatures(text);
  if (extension === "kml")
    return new (await import("ol/format/KML")).default({ extractStyles: false }).readFeatures(text);
  return new (await import("ol/format/GeoJSON")).default().readFeatures(text);
}

/** The longest line of a file, its points named after the points of the file that lie there; or those points alone. */
function fromFeatures(features: readonly FeatureLike[]): RoutePoint[] {
  const points: { name: string; at: number[]; altitude_m: number | null }[] = [];
  let line: number[][] = [];
  for (const feature of features) {
    const geometry = feature.getGeometry();
    if (!(geometry instanceof SimpleGeometry)) continue;
    const coordinates: unknown = geometry.getCoordinates();
    const altitude: unknown = feature.get("altitude_m");
    if (geometry.getType() === "Point")
      points.push({
        name: String(feature.get("name") ?? ""),
        at: coordinates as number[],
        altitude_m: altitude === undefined || altitude === null || altitude === "" ? null : Number(altitude),
      });
    const lines =
      geometry.getType() === "LineString"
        ? [coordinates as number[][]]
        : geometry.getType() === "MultiLineString"
          ? (coordinates as number[][][])
          : [];
    for (const one of lines) if (one.length > line.length) line = one;
  }
  const way = line.length > 1 ? line : points.map(({ at }) => at);
  return way.map((at, i) => {
    const there = points.find((point) => Math.hypot(point.at[0] - at[0], point.at[1] - at[1]) < 1e-5);
    return {
      name: (there?.name || `P${i + 1}`).slice(0, 40),
      position: { latitude_deg: at[1], longitude_deg: at[0] },
      altitude_m: there?.altitude_m ?? null,
    };
  });
}

/** A table: a line of names, then a point a line; positions in one column or in two. */
function fromTable(text: string): Outcome<RoutePoint[]> {
  const { data } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  const read: RoutePoint[] = [];
  for (const [i, row] of data.entries()) {
    const of = (wanted: RegExp) =>
      Object.entries(row)
        .find(([key]) => wanted.test(key.trim()))?.[1]
        ?.trim() ?? "";
    const position = positionIn(of(/^(position|coordinates)/i) || `${of(/^lat/i)} ${of(/^lon/i)}`);
    if (!position)
      return failure("line", `Line ${i + 2}: “${Object.values(row).join(", ").slice(0, 60)}” has no position.`);
    const altitude = of(/^alt/i);
    read.push({
      name: (of(/^(name|point|ident)/i) || `P${i + 1}`).slice(0, 40),
      position,
      altitude_m: altitude === "" ? null : Number(altitude),
    });
  }
  return checked(read);
}

function positionIn(text: string): LatLon | null {
  const read = parsePosition(text);
  return read.ok ? read.value : null;
}

function checked(points: readonly RoutePoint[]): Outcome<RoutePoint[]> {
  if (points.length < 2) return failure("no_route", "The file holds no route: two points at least are needed.");
  const parsed = RoutePlan.shape.points.safeParse(points);
  if (parsed.success) return success(parsed.data);
  const [issue] = parsed.error.issues;
  const at = typeof issue.path[0] === "number" ? `Point ${issue.path[0] + 1}: ` : "";
  return failure("points", `${at}${issue.message}`);
}
