import { statfs } from "node:fs/promises";
import { beforeEach, describe, expect, it, vi } from "vitest";

vi.mock("node:fs/promises", () => ({ statfs: vi.fn() }));

/** A disk with so much room. */
const room = (free_MB: number) => vi.mocked(statfs).mockResolvedValue({ bavail: free_MB * 256, bsize: 4096 } as never);

beforeEach(() => vi.resetModules());

describe("room on the disk", () => {
  it.each([
    [5000, false, false],
    [499, true, false],
    [49, true, true],
    [0, true, true],
  ])("%d MB: low %s, full %s", async (free_MB, low, full) => {
    room(free_MB);
    const { freeSpace } = await import("./disk");
    expect(await freeSpace()).toEqual({ free_MB, low, full });
  });

  it("is looked at every few seconds, not with every request", async () => {
    room(5000);
    const { freeSpace } = await import("./disk");
    vi.mocked(statfs).mockClear();
    for (let i = 0; i < 10; i += 1) await freeSpace();
    expect(statfs).toHaveBeenCalledTimes(1);
  });
});
