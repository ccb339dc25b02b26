import { writeArrayBuffer } from "geotiff";
import { describe, expect, it } from "vitest";
import { HOLE_M } from "@/core/earth/terrain";
import { readGeoTiff } from "./read-geotiff";

/** A file of elevations that say where they lie: a hundred for each row from the north, one for each column. */
const tiff = (more: Record<string, unknown> = {}, size = 4) =>
  writeArrayBuffer(
    Float32Array.from({ length: size * size }, (_, i) => 100 * Math.floor(i / size) + (i % size)),
    {
      height: size,
      width: size,
      SampleFormat: [3],
      BitsPerSample: [32],
      ModelPixelScale: [0.25, 0.25, 0],
      ModelTiepoint: [0, 0, 0, 8, 48, 0],
      GeographicTypeGeoKey: 4326,
      GTModelTypeGeoKey: 2,
      GTRasterTypeGeoKey: 1,
      ...more,
    },
  ) as ArrayBuffer;

describe("GeoTIFF", () => {
  it("of areas: points are their middles, rows turned to begin in the south", async () => {
    const read = await readGeoTiff("a.tif", tiff());
    if (!read.ok) throw new Error(read.issue.message);
    expect(read.value).toMatchObject({ west_deg: 8.125, south_deg: 47.125, stepEast_deg: 0.25, stepNorth_deg: 0.25 });
    expect([...read.value.elevations.slice(0, 5)]).toEqual([300, 301, 302, 303, 200]);
  });

  it("of points: the first lies on the corner", async () => {
    const read = await readGeoTiff("a.tif", tiff({ GTRasterTypeGeoKey: 2 }));
    expect(read).toMatchObject({ ok: true, value: { west_deg: 8, south_deg: 47.25 } });
  });

  it("what stands for nothing is a hole", async () => {
    const read = await readGeoTiff("a.tif", tiff({ GDAL_NODATA: "303\0" }));
    expect(read.ok && [...read.value.elevations.slice(2, 4)]).toEqual([302, HOLE_M]);
  });

  it.each([
    ["another figure of the Earth", { GeographicTypeGeoKey: 4267 }, "another figure of the Earth (EPSG 4267)"],
    ["a projection", { GTModelTypeGeoKey: 1, ProjectedCSTypeGeoKey: 32632 }, "a projection (32632)"],
    ["metres", { ModelTiepoint: [0, 0, 0, 500_000, 5_200_000, 0] }, "does not lie in degrees"],
  ])("%s is refused", async (_, more, says) => {
    const read = await readGeoTiff("a.tif", tiff(more));
    expect(read.ok ? "" : read.issue.message).toContain(says);
  });

  it("cut off anywhere it is refused, never half read", async () => {
    const whole = tiff({}, 40);
    for (let share = 0; share < 1; share += 0.05) {
      const read = await readGeoTiff("a.tif", whole.slice(0, Math.floor(share * whole.byteLength)));
      expect(read.ok ? "" : read.issue.message, String(share)).toContain("cannot be read");
    }
  });

  it("tells how far it is", async () => {
    const told: number[] = [];
    await readGeoTiff("a.tif", tiff({ ModelPixelScale: [0.001, 0.001, 0] }, 600), (share) => told.push(share));
    expect(told).toEqual([256 / 600, 512 / 600, 1]);
  });
});
