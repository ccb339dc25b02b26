// Files of places, in and out. What reads and writes them is loaded when it is wanted.
import type { Outcome } from "@/core/outcome";
import { failure, success } from "@/core/outcome";
import { type PlaceSet, placesGeoJson, placesOfGeoJson } from "@/core/places/place-geojson";
import { type Place, isAerodrome, stripsOf } from "@/core/places/place";
import { MOST_ROWS, type ReadPlaces } from "@/core/places/place-table";
import { stripLine } from "@/core/places/strip-line";
import { degrees } from "@/core/quantities/angle";
import { download, fileName } from "@/ui/kit/download";

/** The formats in which places leave. */
export const EXPORTS = ["geojson", "csv", "gpx", "kml"] as const;
/** @see EXPORTS */
export type ExportFormat = (typeof EXPORTS)[number];

/** A table whose columns have still to be matched, or places that were read. */
export type ReadFile =
  | { readonly kind: "table"; readonly header: readonly string[]; readonly rows: readonly (readonly string[])[] }
  | { readonly kind: "places"; readonly read: ReadPlaces; readonly set: PlaceSet | null };

/** Larger files hold something else, bytes. */
const LARGEST = 8 * 1024 * 1024;

/** Reads a file by what it holds. */
export async function readPlacesFile(file: File): Promise<Outcome<ReadFile>> {
  if (file.size > LARGEST) return failure("too_large", "This file has more than 8 MB: at most that is read.");
  const text = await file.text();
  const extension = file.name.toLowerCase().split(".").at(-1) ?? "";
  if (extension === "kml" || extension === "gpx") return fromMap(text, extension);
  if (/^\s*[{[]/.test(text)) return fromJson(text);
  const { default: Papa } = await import("papaparse");
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), { skipEmptyLines: false, preview: MOST_ROWS + 2 });
  const [header, ...rows] = data;
  if (!header || header.length < 2 || rows.length === 0)
    return failure("no_table", "This is neither GeoJSON nor GPX, KML, or a table with a line of names above its rows.");
  return success({ kind: "table", header, rows });
}

function fromJson(text: string): Outcome<ReadFile> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return failure("not_json", "This file is damaged: it begins as JSON and does not end as such.");
  }
  const read = placesOfGeoJson(value, { newId: () => crypto.randomUUID(), day: new Date() });
  return read.ok ? success({ kind: "places", read: read.value, set: read.value.set }) : read;
}

async function fromMap(text: string, extension: "kml" | "gpx"): Promise<Outcome<ReadFile>> {
  const [{ default: GeoJSON }, { default: KML }, { default: GPX }] = await Promise.all([
    import("ol/format/GeoJSON"),
    import("ol/format/KML"),
    import("ol/format/GPX"),
  ]);
  try {
    const features =
      extension === "kml" ? new KML({ extractStyles: false }).readFeatures(text) : new GPX().readFeatures(text);
    if (features.length === 0) return failure("nothing", `No places are in this ${extension.toUpperCase()} file.`);
    return fromJson(new GeoJSON().writeFeatures(features));
  } catch {
    return failure("damaged", `This ${extension.toUpperCase()} file is damaged and cannot be read.`);
  }
}

/** One row a strip; a spreadsheet shows what a pilot asks for. */
function tableOf(places: readonly Place[]): object[] {
  return places.flatMap((place): object[] => {
    const about = {
      name: place.name,
      kind: place.kind,
      notes: place.notes,
      looked_at: place.lookedAt ?? "",
    };
    const strips = stripsOf(place);
    if (strips.length === 0 && isAerodrome(place))
      return [
        {
          ...about,
          latitude: place.position.latitude_deg,
          longitude: place.position.longitude_deg,
          elevation_m: place.elevation_m,
        },
      ];
    return strips.map((strip) => {
      const [a, b] = strip.ends;
      const line = stripLine(strip.ends);
      return {
        name: about.name,
        kind: about.kind,
        latitude: line.middle.latitude_deg.toFixed(6),
        longitude: line.middle.longitude_deg.toFixed(6),
        elevation_m: isAerodrome(place) ? place.elevation_m : a.elevation_m,
        runway: `${a.designator}/${b.designator}`,
        direction_true: degrees(line.headingsTrue_rad[0]).toFixed(1),
        length_m: line.length_m.toFixed(1),
        width_m: strip.width_m,
        surface: strip.surface,
        lat1: a.threshold.latitude_deg,
        lon1: a.threshold.longitude_deg,
        lat2: b.threshold.latitude_deg,
        lon2: b.threshold.longitude_deg,
        notes: about.notes,
        looked_at: about.looked_at,
      };
    });
  });
}

/** Hands places out. */
export async function exportPlaces(
  places: readonly Place[],
  format: ExportFormat,
  set: PlaceSet | null,
): Promise<void> {
  const name = set ? fileName(set.name) : "places";
  if (format === "geojson")
    return download(`${name}.geojson`, "application/geo+json", JSON.stringify(placesGeoJson(places, set), null, 1));
  if (format === "csv") {
    const { default: Papa } = await import("papaparse");
    return download(`${name}.csv`, "text/csv", Papa.unparse(tableOf(places), { escapeFormulae: true }));
  }
  const [{ default: GeoJSON }, { default: KML }, { default: GPX }, { default: Feature }, { default: Point }] =
    await Promise.all([
      import("ol/format/GeoJSON"),
      import("ol/format/KML"),
      import("ol/format/GPX"),
      import("ol/Feature"),
      import("ol/geom/Point"),
    ]);
  if (format === "kml") {
    const features = new GeoJSON().readFeatures(placesGeoJson(places, null));
    for (const feature of features) feature.unset("utrimax");
    return download(`${name}.kml`, "application/vnd.google-earth.kml+xml", new KML().writeFeatures(features));
  }
  const points = places.map((place) => {
    const { longitude_deg, latitude_deg } = isAerodrome(place) ? place.position : stripLine(place.strip.ends).middle;
    return new Feature({
      geometry: new Point([longitude_deg, latitude_deg]),
      name: place.name,
      ele: isAerodrome(place) ? place.elevation_m : place.strip.ends[0].elevation_m,
      desc: place.notes,
      type: place.kind,
    });
  });
  download(`${name}.gpx`, "application/gpx+xml", new GPX().writeFeatures(points));
}
