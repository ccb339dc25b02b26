import { describe, expect, it } from "vitest";
import type { LatLon } from "./geodesic";
import { localPlane } from "./local-plane";
import { HOLE_M, type TerrainGrid, elevationAt_m } from "./terrain";
import { type ElevationTile, joinTiles, readHgt } from "./terrain-tiles";

/** A surface known in closed form, gentle enough that between points 3″ apart it is straight within a metre. */
const surface = (latitude_deg: number, longitude_deg: number) =>
  Math.round(1000 + 400 * Math.sin(longitude_deg * 9) + 300 * Math.cos(latitude_deg * 7));

/** A tile as it would lie in a file. */
function hgt(south: number, west: number, side = 1201, height = surface): Uint8Array {
  const view = new DataView(new ArrayBuffer(side * side * 2));
  for (let row = 0; row < side; row += 1)
    for (let column = 0; column < side; column += 1)
      view.setInt16((row * side + column) * 2, height(south + 1 - row / (side - 1), west + column / (side - 1)), false);
  return new Uint8Array(view.buffer);
}
const tile = (name: string, bytes: Uint8Array): ElevationTile => {
  const read = readHgt(name, bytes);
  if (!read.ok) throw new Error(read.issue.message);
  return read.value;
};
const joined = (...tiles: ElevationTile[]) => {
  const answer = joinTiles(tiles);
  if (!answer.ok) throw new Error(answer.issue.message);
  return answer.value;
};
const heightAt = (grid: TerrainGrid, latitude_deg: number, longitude_deg: number) => {
  const place: LatLon = { latitude_deg, longitude_deg };
  const at = localPlane(grid.origin).toPlane(place);
  return elevationAt_m(grid, at.x_m, at.y_m);
};
const flat = (name: string, south: number, west: number, height: number, side = 121) =>
  tile(
    name,
    hgt(south, west, side, () => height),
  );

describe("tiles of a degree", () => {
  it("a computed surface is read and laid on a plane within a metre of its closed form", () => {
    const { grid, holes, missing, coarser } = joined(tile("N47E008.hgt", hgt(47, 8)));
    expect([missing, coarser]).toEqual([[], 1]);
    expect(holes).toBeLessThan(0.05);
    for (const [latitude, longitude] of [
      [47.5, 8.5],
      [47.123, 8.877],
      [47.9, 8.1],
      [47.777, 8.333],
    ])
      expect(Math.abs((heightAt(grid, latitude, longitude) ?? NaN) - surface(latitude, longitude))).toBeLessThan(1.5);
  });

  it("rows come from the north, numbers with their large byte first, voids are holes", () => {
    const bytes = hgt(-48, -131, 121, () => 5);
    const view = new DataView(bytes.buffer);
    view.setInt16(0, 258, false);
    view.setInt16(2, -32768, false);
    const read = tile("s48w131.HGT", bytes);
    expect(read).toMatchObject({ south_deg: -48, west_deg: -131, columns: 121 });
    expect([...read.elevations.slice(120 * 121, 120 * 121 + 3)]).toEqual([258, HOLE_M, 5]);
    expect(read.elevations[0]).toBe(5);
  });

  it.each([
    ["tile.hgt", new Uint8Array(121 * 121 * 2), "begins with its corner"],
    ["N47E008.hgt", new Uint8Array(121 * 121 * 2 - 1), "cut off"],
    ["N47E008.hgt", new Uint8Array(0), "cut off"],
    ["N95E008.hgt", new Uint8Array(121 * 121 * 2), "no such corner"],
    ["N47E190.hgt", new Uint8Array(121 * 121 * 2), "no such corner"],
  ])("%s is refused: %#", (name, bytes, says) => {
    const read = readHgt(name, bytes);
    expect(read.ok ? "" : read.issue.message).toContain(says);
  });
});

describe("tiles joined", () => {
  it("lie beside each other without a seam, across 180° too", () => {
    for (const [west, east, west_deg] of [
      ["N10E008.hgt", "N10E009.hgt", 8],
      ["N10E179.hgt", "N10W180.hgt", 179],
    ] as const) {
      const height = (_: number, longitude: number) => Math.round((((longitude - west_deg + 540) % 360) - 180) * 1000);
      const { grid } = joined(
        tile(west, hgt(10, west_deg, 121, height)),
        tile(east, hgt(10, west_deg + 1, 121, height)),
      );
      for (const along of [0.4, 0.99, 1, 1.01, 1.6])
        expect(heightAt(grid, 10.5, ((west_deg + along + 180) % 360) - 180)).toBeCloseTo(along * 1000, -1);
    }
  });

  it("name the squares between them that nothing covers, where nothing is known", () => {
    const { grid, missing, holes } = joined(flat("N47E008.hgt", 47, 8, 100), flat("N48E009.hgt", 48, 9, 200));
    expect(missing).toEqual(["N47E009", "N48E008"]);
    expect(holes).toBeGreaterThan(0.45);
    expect(heightAt(grid, 47.5, 8.5)).toBeCloseTo(100, 6);
    expect(heightAt(grid, 48.5, 9.5)).toBeCloseTo(200, 6);
    expect(heightAt(grid, 47.5, 9.5)).toBeNull();
  });

  it("made coarser, keep the highest ground: a single peak is never lost", () => {
    const peak = (latitude: number, longitude: number) =>
      Math.abs(latitude - 47.4) < 1e-4 && Math.abs(longitude - 8.6) < 1e-4 ? 2500 : 100;
    const { grid, coarser } = joined(
      tile("N47E008.hgt", hgt(47, 8, 3601, peak)),
      flat("N48E008.hgt", 48, 8, 100, 3601),
    );
    expect(coarser).toBeGreaterThan(1);
    expect(grid.columns * grid.rows).toBeLessThanOrEqual(2048 * 2048);
    expect(heightAt(grid, 47.4, 8.6)).toBeGreaterThan(2400);
  });

  it.each([
    ["none", [], "no tile here"],
    ["many", Array.from({ length: 65 }, () => flat("N47E008.hgt", 47, 8, 1)), "At most 64"],
    [
      "of two resolutions",
      [flat("N47E008.hgt", 47, 8, 1), flat("N47E009.hgt", 47, 9, 1, 1201)],
      "differ in resolution",
    ],
    ["far apart", [flat("N47E008.hgt", 47, 8, 1), flat("N60E030.hgt", 60, 30, 1)], "over 1 000 km"],
    ["near a pole", [flat("N86E008.hgt", 86, 8, 1)], "Tiles beyond 85°"],
    ["of no ground", [flat("N47E008.hgt", 47, 8, 12_000)], "holds 12000 in row 121, column 1"],
  ])("%s are refused", (_, tiles, says) => {
    const answer = joinTiles(tiles);
    expect(answer.ok ? "" : answer.issue.message).toContain(says);
  });

  it("tell how far they are", () => {
    const told: number[] = [];
    joinTiles([flat("N47E008.hgt", 47, 8, 1)], (share) => told.push(share));
    expect(told.at(-1)).toBe(1);
    expect(told.length).toBeGreaterThan(20);
    expect([...told].sort((a, b) => a - b)).toEqual(told);
  });
});
