// @vitest-environment node
import { describe, expect, it } from "vitest";
import { demoSituation } from "../../../../demo/read-demo";
import { readRoute, routeCsv } from "./route-exchange";

const { points } = demoSituation().route;

describe("a route from a table", () => {
  it("comes back as it went out", async () => {
    const high = points.map((point, i) => (i === 2 ? { ...point, altitude_m: 1500 } : point));
    const read = await readRoute("route.csv", routeCsv(high));
    expect(read.ok && read.value.map(({ name }) => name)).toEqual(points.map(({ name }) => name));
    expect(read.ok && read.value.map(({ altitude_m }) => altitude_m)).toEqual([null, null, 1500, null, null, null]);
    expect(read.ok && read.value[4].position.latitude_deg).toBeCloseTo(points[4].position.latitude_deg, 6);
  });

  it("takes positions as they are printed, in one column", async () => {
    const text = "Point,Position\nHome,47°30.5'N 8°15.2'E\nAway,47°40'N 8°30'E\n";
    const read = await readRoute("route.txt", text);
    expect(read.ok && read.value[0].position.latitude_deg).toBeCloseTo(47.50833, 4);
  });

  it.each([
    ["a line without a position", "name,lat,lon\nA,47,8\nB,here,there\n", "Line 3"],
    ["a latitude that there is none of", "name,lat,lon\nA,47,8\nB,147,8\n", "Line 3"],
    ["one point", "name,lat,lon\nA,47,8\n", "two points at least"],
    ["an altitude that is none", "name,lat,lon,alt\nA,47,8,high\nB,47,9,\n", "Point 1"],
    ["nothing", "", "two points at least"],
  ])("refuses %s, and says where", async (_, text, told) => {
    const read = await readRoute("route.csv", text);
    expect(read.ok ? "" : read.issue.message).toContain(told);
  });

  it("a name that a spreadsheet would take for a formula stays a name", () => {
    expect(routeCsv([{ ...points[0], name: "=1+1" }])).toContain("'=1+1");
  });
});

describe("a route from GeoJSON", () => {
  const line = (coordinates: number[][]) => ({
    type: "Feature",
    properties: {},
    geometry: { type: "LineString", coordinates },
  });
  const named = (name: string, at: number[], altitude_m?: number) => ({
    type: "Feature",
    properties: { name, altitude_m },
    geometry: { type: "Point", coordinates: at },
  });
  const file = (features: object[]) => JSON.stringify({ type: "FeatureCollection", features });

  it("is its longest line, named after the points that lie there", async () => {
    const way = [
      [8, 47],
      [8.2, 47.1],
      [8.5, 47.2],
    ];
    const text = file([line([way[0], way[1]]), line(way), named("Pass", way[1], 2000)]);
    const read = await readRoute("route.geojson", text);
    expect(read.ok && read.value.map(({ name, altitude_m }) => [name, altitude_m])).toEqual([
      ["P1", null],
      ["Pass", 2000],
      ["P3", null],
    ]);
  });

  it("without a line the points are the route", async () => {
    const read = await readRoute("route.json", file([named("A", [8, 47]), named("B", [9, 47])]));
    expect(read.ok && read.value.map(({ name }) => name)).toEqual(["A", "B"]);
  });

  it.each([
    ["no JSON", "{", "cannot be read"],
    [
      "a point beyond the pole",
      file([
        line([
          [8, 47],
          [8, 97],
        ]),
      ]),
      "Point 2",
    ],
    ["five thousand points", file([line(Array.from({ length: 5000 }, (_, i) => [8 + i / 1e4, 47]))]), "at most 200"],
  ])("refuses %s", async (_, text, told) => {
    const read = await readRoute("route.geojson", text);
    expect(read.ok ? "" : read.issue.message).toContain(told);
  });
});
