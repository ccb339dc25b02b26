import fc from "fast-check";

const PARTS = 1_000_000;

/**
 * Numbers evenly between two. The doubles that fast-check draws are even over all that there are, and nearly all of
 * those lie next to nothing: winds of 1e-200 m/s test nothing. 0 comes more often than others.
 */
export function evenly(least: number, most: number): fc.Arbitrary<number> {
  const share = fc.integer({ min: 0, max: PARTS }).map((part) => least + ((most - least) * part) / PARTS);
  return least < 0 && most > 0
    ? fc.oneof({ weight: 12, arbitrary: share }, { weight: 1, arbitrary: fc.constant(0) })
    : share;
}
