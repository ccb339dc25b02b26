// Files of places as a pilot drops them, and as they go out. KML and GPX want a browser: its journey reads them.
import { beforeEach, describe, expect, it, vi } from "vitest";
import Papa from "papaparse";
import { isAerodrome, stripsOf } from "@/core/places/place";
import { demoPlaces } from "../../../../demo/read-demo";
import { exportPlaces, readPlacesFile } from "./exchange";

const { out } = vi.hoisted(() => ({ out: { files: [] as { name: string; type: string; text: string }[] } }));
vi.mock("@/ui/kit/download", async (original) => ({
  ...(await original<object>()),
  download: (name: string, type: string, text: string) => void out.files.push({ name, type, text }),
}));
beforeEach(() => {
  out.files = [];
});

const file = (name: string, text: string) => new File([text], name);
const demo = demoPlaces();

describe("a file of places that is dropped", () => {
  it("is read by what it holds, not by its name", async () => {
    await exportPlaces(demo, "geojson", null);
    const read = await readPlacesFile(file("places.txt", out.files[0].text));
    if (!read.ok || read.value.kind !== "places") throw new Error("expected places");
    expect(read.value.read.places.map(({ place }) => place.name)).toEqual(demo.map(({ name }) => name));
    const table = await readPlacesFile(file("places.json", "name,lat,lon\nHome,47,8\n"));
    expect(table).toMatchObject({ ok: true, value: { kind: "table", header: ["name", "lat", "lon"] } });
  });

  it("keeps the set that it is", async () => {
    const set = { id: "school", name: "Our fields!" };
    await exportPlaces(demo, "geojson", set);
    expect(out.files[0].name).toBe("our-fields.geojson");
    const read = await readPlacesFile(file("x", out.files[0].text));
    expect(read).toMatchObject({ ok: true, value: { set } });
  });

  it("a table's byte order mark is none of its first name, quotes and semicolons are understood", async () => {
    const read = await readPlacesFile(file("a.csv", '\uFEFFname;notes;lat\n"Home; the field";"dry ""all"" year";47\n'));
    if (!read.ok || read.value.kind !== "table") throw new Error("expected a table");
    expect(read.value.header).toEqual(["name", "notes", "lat"]);
    expect(read.value.rows[0]).toEqual(["Home; the field", 'dry "all" year', "47"]);
  });

  it.each([
    ["cut.geojson", '{"type":"FeatureCollection","features":[', "not_json", /damaged/],
    ["notes.txt", "just a line of words", "no_table", /neither GeoJSON/],
    ["head.csv", "name,lat,lon", "no_table", /neither GeoJSON/],
    ["empty.csv", "", "no_table", /neither GeoJSON/],
  ])("%s is refused with the reason", async (name, text, code, words) => {
    const read = await readPlacesFile(file(name, text));
    expect(read).toMatchObject({ ok: false, issue: { code } });
    expect(!read.ok && read.issue.message).toMatch(words);
  });

  it("what is larger than any list of places is not read at all", async () => {
    const read = await readPlacesFile(file("film.csv", "x".repeat(8 * 1024 * 1024 + 1)));
    expect(read).toMatchObject({ ok: false, issue: { code: "too_large" } });
  });

  it("JSON that holds no places is refused, whatever it is", async () => {
    for (const text of ["[]", "{}", "[1,2]", '{"type":"Topology"}'])
      expect((await readPlacesFile(file("a.json", text))).ok, text).toBe(false);
  });
});

describe("places that go out as a table", () => {
  it("come back by its own columns: every strip with its length, its ends and its height", async () => {
    await exportPlaces(demo, "csv", null);
    expect(out.files[0]).toMatchObject({ name: "places.csv", type: "text/csv" });
    const read = await readPlacesFile(file("places.csv", out.files[0].text));
    if (!read.ok || read.value.kind !== "table") throw new Error("expected a table");
    const { header, rows } = read.value;
    const strips = demo.reduce((sum, place) => sum + Math.max(1, stripsOf(place).length), 0);
    expect(rows.filter((row) => row.length > 1)).toHaveLength(strips);
    const column = (name: string) => header.indexOf(name);
    for (const place of demo) {
      const own = rows.filter((row) => row[column("name")] === place.name);
      for (const strip of stripsOf(place)) {
        const [a, b] = strip.ends;
        const row = own.find((candidate) => candidate[column("runway")] === `${a.designator}/${b.designator}`);
        if (!row) throw new Error(`expected ${place.name} ${a.designator}`);
        expect(Number(row[column("lat1")])).toBe(a.threshold.latitude_deg);
        expect(Number(row[column("lon2")])).toBe(b.threshold.longitude_deg);
        expect(Number(row[column("width_m")])).toBe(strip.width_m);
        expect(Number(row[column("elevation_m")])).toBe(isAerodrome(place) ? place.elevation_m : a.elevation_m);
        // A second of latitude is 30.9 m: the length is that between the two ends.
        const north_m = (b.threshold.latitude_deg - a.threshold.latitude_deg) * 111_200;
        const east_m =
          (b.threshold.longitude_deg - a.threshold.longitude_deg) *
          111_320 *
          Math.cos((a.threshold.latitude_deg * Math.PI) / 180);
        const length_m = Number(row[column("length_m")]);
        expect(Math.abs(Math.hypot(north_m, east_m) - length_m)).toBeLessThan(0.01 * length_m);
      }
    }
  });

  it("a spreadsheet does not take a name for a formula", async () => {
    await exportPlaces([{ ...demo[0], name: "=HYPERLINK(1)" }], "csv", null);
    const [, row] = Papa.parse<string[]>(out.files[0].text).data;
    expect(row[0].startsWith("=")).toBe(false);
  });
});
