import { promisify } from "node:util";
import { gzip } from "node:zlib";
import { describe, expect, it } from "vitest";
import { packedTerrain, unpackElevations } from "./packed-terrain";

const frame = {
  origin: { latitude_deg: 47, longitude_deg: 5 },
  west_m: 0,
  south_m: 0,
  cell_m: 100,
  columns: 3,
  rows: 2,
};

describe("a packed terrain", () => {
  it("comes back in whole metres", async () => {
    const grid = { ...frame, elevations_m: Float32Array.from([1.4, 2.6, -3, 0, 1700, 9000]) };
    const { elevations, missingCells } = await packedTerrain(grid, 2);
    expect([...(await unpackElevations(elevations, frame))]).toEqual([1, 3, -3, 0, 1700, 9000]);
    expect(missingCells).toBe(2);
  });

  it("that would unpack to more than its frame says is not unpacked, one with less or damaged is refused", async () => {
    const packed = (bytes: number) => promisify(gzip)(Buffer.alloc(bytes));
    // A hundred megabytes in a hundred kilobytes.
    await expect(unpackElevations(await packed(100 * 1024 * 1024), frame)).rejects.toThrow(/larger than/);
    await expect(unpackElevations(await packed(13), frame)).rejects.toThrow(/larger than/);
    await expect(unpackElevations(await packed(10), frame)).rejects.toThrow("expected 12 bytes, got 10");
    await expect(unpackElevations(Buffer.from("none"), frame)).rejects.toThrow();
  });
});
