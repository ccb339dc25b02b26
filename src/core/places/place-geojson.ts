// Places as GeoJSON (RFC 7946) and back. What Utrimax wrote comes back whole; of other files points, lines and areas
// are taken: a point is an aerodrome, a line a strip, an area the ground of a field.
import { z } from "zod";
import type { LatLon } from "../earth/geodesic";
import { type Outcome, failure, success } from "../outcome";
import { newAerodrome, newSite, siteWidth_m } from "./new-place";
import { longestStrip } from "./outline";
import { Place, isAerodrome, stripsOf } from "./place";
import { placeFaults } from "./place-faults";
import { type LineFault, MOST_ROWS, type ReadPlace, type ReadPlaces } from "./place-table";
import { readPlace } from "./place-versions";

/** Which set a file holds: a school's fields, handed on and handed on again. */
export const PlaceSet = z.strictObject({
  id: z.string().min(1).max(64),
  name: z.string().trim().min(1).max(60),
});
/** @see PlaceSet */
export type PlaceSet = z.infer<typeof PlaceSet>;

const pair = ({ latitude_deg, longitude_deg }: LatLon) => [longitude_deg, latitude_deg];

/**
 * Places as one file.
 *
 * @param set - names the file as a set that can be compared with when it comes again
 */
export function placesGeoJson(places: readonly Place[], set: PlaceSet | null): object {
  return {
    type: "FeatureCollection",
    ...(set ? { utrimax: { set } } : {}),
    features: places.map((place) => ({
      type: "Feature",
      id: place.id,
      properties: { name: place.name, kind: place.kind, notes: place.notes, utrimax: place },
      geometry: isAerodrome(place)
        ? {
            type: "GeometryCollection",
            geometries: [
              { type: "Point", coordinates: pair(place.position) },
              ...stripsOf(place).map((strip) => ({
                type: "LineString",
                coordinates: strip.ends.map((end) => pair(end.threshold)),
              })),
            ],
          }
        : place.outline
          ? { type: "Polygon", coordinates: [[...place.outline, place.outline[0]].map(pair)] }
          : { type: "LineString", coordinates: place.strip.ends.map((end) => pair(end.threshold)) },
    })),
  };
}

const Coordinates = z.array(z.number()).min(2).max(4);
const Geometry = z.discriminatedUnion("type", [
  z.looseObject({ type: z.literal("Point"), coordinates: Coordinates }),
  z.looseObject({ type: z.literal("LineString"), coordinates: z.array(Coordinates).min(2).max(5000) }),
  z.looseObject({
    type: z.literal("Polygon"),
    coordinates: z.array(z.array(Coordinates).min(4).max(5000)).min(1).max(50),
  }),
]);
const Collection = z.looseObject({
  type: z.literal("FeatureCollection"),
  features: z
    .array(z.looseObject({ properties: z.looseObject({}).nullable().optional(), geometry: z.unknown() }))
    .max(MOST_ROWS),
  utrimax: z.looseObject({ set: PlaceSet }).optional(),
});

/** What a file held, and which set it is. */
export interface ReadGeoJson extends ReadPlaces {
  readonly set: PlaceSet | null;
}

/**
 * Reads places; `line` counts the features.
 *
 * @returns `geojson_invalid` for what is no collection of features
 */
export function placesOfGeoJson(
  value: unknown,
  { newId, day }: { readonly newId: () => string; readonly day: Date },
): Outcome<ReadGeoJson> {
  const parsed = Collection.safeParse(value);
  if (!parsed.success)
    return failure("geojson_invalid", "This is not a GeoJSON collection of features. Nothing was read.");
  const places: ReadPlace[] = [];
  const faults: LineFault[] = [];
  parsed.data.features.forEach((feature, i) => {
    const line = i + 1;
    const own: unknown = feature.properties?.utrimax;
    const read = own === undefined ? placeOfFeature(feature, { newId, day }, line) : readPlace(own);
    if (!read.ok) return void faults.push({ line, message: read.issue.message });
    const fault = placeFaults(read.value, day).find(({ severity }) => severity === "fault");
    if (fault) return void faults.push({ line, message: fault.message });
    places.push({ line, place: read.value });
  });
  return success({ places, faults, set: parsed.data.utrimax?.set ?? null });
}

function placeOfFeature(
  {
    properties,
    geometry,
  }: { readonly properties?: Readonly<Record<string, unknown>> | null; readonly geometry: unknown },
  { newId, day }: { readonly newId: () => string; readonly day: Date },
  line: number,
): Outcome<Place> {
  const shape = Geometry.safeParse(geometry);
  if (!shape.success) return failure("geojson_invalid", "Neither a point nor a line nor an area.");
  const name = String(properties?.name ?? properties?.Name ?? properties?.title ?? `Place ${line}`).slice(0, 60);
  const elevation = Number(properties?.ele ?? properties?.elevation ?? shape.data.coordinates.at(2) ?? 0);
  const made = { newId, day, name, elevation_m: Number.isFinite(elevation) ? elevation : 0 };
  const place = placeOfShape(shape.data, made);
  if (!place) return failure("geojson_invalid", "No strip fits into this area.");
  const checked = Place.safeParse(place);
  return checked.success
    ? success(checked.data)
    : failure("geojson_invalid", checked.error.issues[0]?.message ?? "It cannot be read.");
}

const placeOf = ([longitude_deg, latitude_deg]: readonly number[]): LatLon => ({ latitude_deg, longitude_deg });

function placeOfShape(shape: z.infer<typeof Geometry>, made: Parameters<typeof newAerodrome>[1]): Place | null {
  switch (shape.type) {
    case "Point":
      return { ...newAerodrome(placeOf(shape.coordinates), made), kind: "aerodrome" };
    case "LineString": {
      const { coordinates } = shape;
      return newAerodrome([placeOf(coordinates[0]), placeOf(coordinates[coordinates.length - 1])], made);
    }
    case "Polygon": {
      const outline = shape.coordinates[0].slice(0, -1).map(placeOf);
      if (outline.length > 100) return null;
      const valid = outline.every(
        (corner) => Math.abs(corner.latitude_deg) <= 90 && Math.abs(corner.longitude_deg) <= 180,
      );
      const strip = valid ? longestStrip(outline, siteWidth_m("field")) : null;
      return strip && newSite("field", strip, outline, made);
    }
  }
}
