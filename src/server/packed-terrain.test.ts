import { promisify } from "node:util";
import { gzip, gzipSync } from "node:zlib";
import { describe, expect, it } from "vitest";
import { HOLE_M } from "@/core/earth/terrain";
import { packedTerrain, unpackElevations } from "./packed-terrain";
import { checkTerrain } from "./tasks";

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

describe("a terrain that was packed elsewhere", () => {
  const small = { ...frame, columns: 2 };
  const checked = async (heights: readonly number[], change: (bytes: Buffer) => Uint8Array = (bytes) => bytes) => {
    const bytes = gzipSync(Buffer.from(Int16Array.from(heights).buffer));
    const { value } = await checkTerrain({ bytes: change(bytes), frame: small });
    return value.ok ? "taken" : value.issue.code;
  };

  it("is taken with its holes, and refused when it is damaged, too short or no ground", async () => {
    expect(await checked([-500, 0, 9000, HOLE_M])).toBe("taken");
    expect(await checked([1, 2, 3])).toBe("terrain_damaged");
    expect(await checked([1, 2, 3, 4, 5])).toBe("terrain_damaged");
    expect(await checked([1, 2, 3, 4], (bytes) => bytes.subarray(0, 12))).toBe("terrain_damaged");
    expect(await checked([1, 2, 3, -501])).toBe("terrain_value");
    expect(await checked([1, 2, 3, 9001])).toBe("terrain_value");
  });
});
