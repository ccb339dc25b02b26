// Out of one account and into another: GeoJSON, and what an import would change.
import { describe, expect, it } from "vitest";
import { demoPlaces } from "../../../demo/read-demo";
import { destination } from "../earth/geodesic";
import { comparePlaces, likelySame } from "./compare-places";
import { copyOf, newAerodrome, newSite } from "./new-place";
import { type Place, isAerodrome, stripsOf } from "./place";
import { placesGeoJson, placesOfGeoJson } from "./place-geojson";
import { placeFaults } from "./place-faults";

const DAY = new Date(Date.UTC(2026, 10, 24));
let count = 0;
const newId = () => `new-${(count += 1)}`;
const demo = demoPlaces();
const AT = { latitude_deg: 47.5, longitude_deg: 8.25 };
const read = (value: unknown) => {
  const answer = placesOfGeoJson(JSON.parse(JSON.stringify(value)), { newId, day: DAY });
  if (!answer.ok) throw new Error(answer.issue.message);
  return answer.value;
};
const feature = (geometry: unknown, properties: object | null = { name: "Home" }) => ({
  type: "FeatureCollection",
  features: [{ type: "Feature", properties, geometry }],
});

describe("GeoJSON", () => {
  it("goes out and comes back whole, with its set", () => {
    const set = { id: "school", name: "Our fields" };
    const back = read(placesGeoJson(demo, set));
    expect(back.places.map(({ place }) => place)).toEqual(demo);
    expect(back).toMatchObject({ set, faults: [] });
    expect(read(placesGeoJson(demo, null)).set).toBeNull();
  });

  it("is GeoJSON to others: longitude first, rings closed", () => {
    const outlined = newSite(
      "field",
      [AT, destination(AT, 1, 300)],
      [AT, destination(AT, 1, 300), destination(AT, 2, 300)],
      {
        newId,
        name: "Meadow",
        elevation_m: 400,
        day: DAY,
      },
    );
    const { features } = placesGeoJson([outlined, ...demo], null) as {
      features: { geometry: { type: string; coordinates: number[][][] } }[];
    };
    const [ring] = features[0].geometry.coordinates;
    expect(features[0].geometry.type).toBe("Polygon");
    expect(ring[0]).toEqual([8.25, 47.5]);
    expect(ring[3]).toEqual(ring[0]);
    expect(new Set(features.map(({ geometry }) => geometry.type))).toEqual(
      new Set(["Polygon", "GeometryCollection", "LineString"]),
    );
  });

  it("of other files points, lines and areas are taken", () => {
    expect(read(feature({ type: "Point", coordinates: [8.25, 47.5, 432] })).places[0].place).toMatchObject({
      kind: "aerodrome",
      name: "Home",
      position: AT,
      elevation_m: 432,
      runways: [],
    });
    const line = read(
      feature(
        {
          type: "LineString",
          coordinates: [
            [8.24, 47.5],
            [8.25, 47.5],
            [8.26, 47.5],
          ],
        },
        { name: "Strip", ele: 400 },
      ),
    );
    expect(line.places[0].place).toMatchObject({ elevation_m: 400 });
    expect(stripsOf(line.places[0].place)[0].ends.map(({ designator }) => designator)).toEqual(["09", "27"]);
    const area = read(
      feature(
        {
          type: "Polygon",
          coordinates: [
            [
              [8.24, 47.5],
              [8.25, 47.5],
              [8.25, 47.502],
              [8.24, 47.502],
              [8.24, 47.5],
            ],
          ],
        },
        null,
      ),
    ).places[0].place;
    expect(area).toMatchObject({ kind: "field", name: "Place 1", outline: { length: 4 } });
    expect(placeFaults(area, DAY)).toEqual([]);
  });

  it.each([
    [feature({ type: "Point", coordinates: [8.25, 95] }), "A latitude is −90 to 90°."],
    [
      feature({
        type: "LineString",
        coordinates: [
          [8.25, 47.5],
          [8.25, 47.50001],
        ],
      }),
      "apart",
    ],
    [
      feature({
        type: "Polygon",
        coordinates: [
          [
            [8.24, 47.5],
            [8.2401, 47.5],
            [8.2401, 47.5001],
            [8.24, 47.5],
          ],
        ],
      }),
      "No strip fits",
    ],
    [feature({ type: "MultiPoint", coordinates: [] }), "Neither a point nor a line"],
    [feature(null), "Neither a point nor a line"],
    [
      {
        type: "FeatureCollection",
        features: [{ properties: { utrimax: { schema: "utrimax/place", version: 99 } }, geometry: null }],
      },
      "later Utrimax",
    ],
  ])("a feature at fault is told by its number: %#", (value, says) => {
    expect(read(value)).toMatchObject({ places: [], faults: [{ line: 1, message: expect.stringContaining(says) }] });
  });

  it.each([[null], [[]], [{ type: "Feature" }], [{ type: "FeatureCollection" }], ["text"]])("%j is none", (value) => {
    expect(placesOfGeoJson(value, { newId, day: DAY })).toMatchObject({ ok: false });
  });
});

describe("what an import would change", () => {
  const states = (own: readonly Place[], arriving: readonly Place[], set: string | null = "school") =>
    comparePlaces(own, arriving, set, newId);
  /** What an account has after it took a set. */
  const taken = (arriving: readonly Place[]) => states([], arriving).arrivals.map(({ place }) => place);

  it("everything is new once, and under ids of its own", () => {
    const { arrivals, gone } = states([], demo);
    expect(new Set(arrivals.map(({ state }) => state))).toEqual(new Set(["new"]));
    expect(gone).toEqual([]);
    expect(arrivals[0].place).toMatchObject({ source: { set: "school", id: demo[0].id } });
    expect(arrivals.some(({ place }) => demo.some(({ id }) => id === place.id))).toBe(false);
  });

  it("taken again, what is the same, changed and gone is told", () => {
    const own = taken(demo);
    const later = demo.slice(1).map((place, i) => (i === 0 ? { ...place, notes: "closed in winter" } : place));
    const { arrivals, gone } = states(own, later);
    expect(arrivals.map(({ state }) => state)).toEqual(["changed", ...later.slice(1).map(() => "same")]);
    expect(arrivals[0].place).toMatchObject({ id: own[1].id, notes: "closed in winter" });
    expect(gone.map(({ name }) => name)).toEqual([demo[0].name]);
    // Another set says nothing of these.
    expect(states(own, later, "other").gone).toEqual([]);
  });

  it("one's own export comes back as it is; what has another id but the same place is a double", () => {
    expect(states(demo, demo, null).arrivals.every(({ state }) => state === "same")).toBe(true);
    const moved = demo.map((place) => ({ ...place, id: `x-${place.id}` }));
    expect(states(demo, moved, null).arrivals.every(({ state }) => state === "double")).toBe(true);
  });

  it("likely the same: within 300 m, or of one name within 20 km", () => {
    const away = (distance_m: number) => destination(AT, 1, distance_m);
    expect(likelySame({ name: "A", at: AT }, { name: "B", at: away(290) })).toBe(true);
    expect(likelySame({ name: "A", at: AT }, { name: "B", at: away(310) })).toBe(false);
    expect(likelySame({ name: "Home ", at: AT }, { name: "home", at: away(19_000) })).toBe(true);
    expect(likelySame({ name: "Home", at: AT }, { name: "home", at: away(21_000) })).toBe(false);
  });
});

describe("a copy", () => {
  it("is the same under ids of its own", () => {
    for (const place of demo) {
      const copy = copyOf(place, newId);
      const without = (of: Place) => JSON.stringify(of, (key, value) => (key === "id" ? undefined : value));
      expect(without(copy)).toBe(without(place));
      const ids = [copy.id, ...stripsOf(copy).map(({ id }) => id)];
      expect(new Set([...ids, place.id, ...stripsOf(place).map(({ id }) => id)]).size).toBe(2 * ids.length);
    }
  });
});

describe("places made from what is drawn", () => {
  const made = { newId, name: "New", elevation_m: 100, day: DAY };

  it("a line is a grass runway with numbers, a point a helipad", () => {
    const place = newAerodrome([AT, destination(AT, Math.PI / 2, 700)], made);
    expect(place).toMatchObject({ kind: "aerodrome", elevation_m: 100, runways: [{ surface: "grass", width_m: 20 }] });
    expect(place.runways[0].ends.map(({ designator }) => designator)).toEqual(["09", "27"]);
    expect(newAerodrome(AT, made)).toMatchObject({ kind: "helipad", position: AT, runways: [] });
    expect(placeFaults(place, DAY)).toEqual([]);
  });

  it.each([
    ["field", "grass", 30],
    ["beach", "sand", 30],
    ["water", "water", 60],
  ] as const)("a %s is of %s, %i m wide, looked at today", (kind, surface, width_m) => {
    const site = newSite(kind, [AT, destination(AT, 0, 500)], null, made);
    expect(site).toMatchObject({ kind, lookedAt: "2026-11-24", strip: { surface, width_m } });
    expect(site.strip.ends.map(({ designator }) => designator)).toEqual(["north", "south"]);
    expect(isAerodrome(site)).toBe(false);
  });
});
