// Cells in the order of a key, in buckets of one width; a cell is in at most one of them.
const END = -1;
const OUT = -2;
const DONE = -3;

/** @see bucket-queue.ts */
export class BucketQueue {
  private readonly heads: Int32Array;
  private readonly next: Int32Array;
  private readonly before: Int32Array;
  /** The bucket that is being emptied; nothing is put before it. */
  current = 0;

  constructor(cells: number, buckets: number) {
    this.heads = new Int32Array(buckets).fill(END);
    this.next = new Int32Array(cells).fill(OUT);
    this.before = new Int32Array(cells);
  }

  /** Whether a cell is done with. */
  isDone(cell: number): boolean {
    return this.next[cell] === DONE;
  }

  /** Takes a cell out, before its key changes. */
  remove(cell: number): void {
    const after = this.next[cell];
    if (after < END) return;
    const before = this.before[cell];
    // The first of a bucket has the bucket itself before it, as a negative number.
    if (before < 0) this.heads[-before - 1] = after;
    else this.next[before] = after;
    if (after >= 0) this.before[after] = before;
    this.next[cell] = OUT;
  }

  /** Puts a cell in; one beyond the last bucket is left out. */
  put(cell: number, wanted: number): void {
    const bucket = wanted > this.current ? wanted : this.current;
    if (!(bucket < this.heads.length)) return;
    const first = this.heads[bucket];
    this.next[cell] = first;
    this.before[cell] = -bucket - 1;
    if (first >= 0) this.before[first] = cell;
    this.heads[bucket] = cell;
  }

  /** Takes the next cell out; −1 when there is none. */
  take(): number {
    while (this.current < this.heads.length) {
      const cell = this.heads[this.current];
      if (cell !== END) {
        this.remove(cell);
        return cell;
      }
      this.current += 1;
    }
    return END;
  }

  /** Says that a cell is done with. */
  finish(cell: number): void {
    this.next[cell] = DONE;
  }
}
