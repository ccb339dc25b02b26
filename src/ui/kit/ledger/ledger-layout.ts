// Where the parts of the height ledger stand.
import type { LedgerEntry } from "@/core/glide/glide-path";

/** Least distance between two lines of text, px. */
const LINE_PX = 21;

/** A block of the column: from and to are heights over the ground line, m. */
export interface Block {
  readonly entry: LedgerEntry;
  readonly index: number;
  readonly from_m: number;
  readonly to_m: number;
}

/** The blocks that a ledger is cut into, from the top. */
export function blocksOf(ledger: readonly LedgerEntry[], have_m: number): Block[] {
  let from_m = have_m;
  return ledger.map((entry, index) => {
    const block = { entry, index, from_m, to_m: from_m - entry.height_m };
    from_m = block.to_m;
    return block;
  });
}

/** The last line is the figure that decides, in larger type: it needs more room above it. */
const LAST_LINE_PX = 29;

/** Moves lines of text apart that would lie on each other, keeping their order; none ends below `bottom`. */
export function spread(wanted: readonly number[], bottom: number): number[] {
  const placed = [...wanted];
  const gapAbove = (i: number) => (i === placed.length - 1 ? LAST_LINE_PX : LINE_PX);
  for (let i = 1; i < placed.length; i += 1) placed[i] = Math.max(placed[i], placed[i - 1] + gapAbove(i));
  let limit = bottom;
  for (let i = placed.length - 1; i >= 0; i -= 1) {
    placed[i] = Math.min(placed[i], limit);
    limit = placed[i] - gapAbove(i);
  }
  return placed;
}

/** A step for about seven marks: 1, 2 or 5 times a power of ten. */
export function markStep(range: number): number {
  const rough = range / 7;
  const power = 10 ** Math.floor(Math.log10(rough));
  return [1, 2, 5, 10].map((factor) => factor * power).find((step) => step >= rough) ?? 10 * power;
}

/** Marks of a scale from one value to another, about seven of them. */
export function marksBetween(low: number, high: number): number[] {
  const step = markStep(high - low);
  const [first, last] = [Math.ceil(low / step), Math.floor(high / step)];
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => (first + i) * step);
}

/** A mark as it is written beside the column, which has room for four digits: "500", "−500", "12k". */
export function markLabel(mark: number): string {
  const size = Math.abs(mark);
  return `${mark < 0 ? "−" : ""}${size >= 10_000 ? `${size / 1000}k` : size}`;
}
