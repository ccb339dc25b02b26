import { describe, expect, it } from "vitest";
import { BucketQueue } from "./bucket-queue";

function taken(queue: BucketQueue): number[] {
  const cells: number[] = [];
  for (let cell = queue.take(); cell >= 0; cell = queue.take()) cells.push(cell);
  return cells;
}

describe("cells in buckets", () => {
  it("come out by their bucket, also more of them than there was room for at first", () => {
    const queue = new BucketQueue(100);
    const keys = Array.from({ length: 5000 }, (_, i) => ((i * 7919) % 10_000) / 100);
    keys.forEach((key, cell) => queue.put(cell, key));
    const order = taken(queue).map((cell) => Math.floor(keys[cell]));
    expect(order).toHaveLength(5000);
    expect(order).toEqual([...order].sort((a, b) => a - b));
  });

  it("put in again stand twice; before the bucket that is emptied nothing goes, and nothing beyond the last", () => {
    const queue = new BucketQueue(10);
    queue.put(1, 8);
    queue.put(1, 3);
    queue.put(2, 10);
    queue.put(2, Infinity);
    queue.put(2, NaN);
    expect(queue.take()).toBe(1);
    queue.put(3, 0);
    expect(queue.current).toBe(3);
    expect(taken(queue)).toEqual([3, 1]);
    expect(queue.take()).toBe(-1);
  });
});
