// Cells in the order of a key, in buckets of one width. What was put in again with another key stands in it twice: who
// takes a cell out says whether it is done with.
const END = -1;

/** @see bucket-queue.ts */
export class BucketQueue {
  private readonly heads: Int32Array;
  /** Entries: the cell of each, and the entry after it in its bucket. */
  private cells = new Int32Array(1024);
  private next = new Int32Array(1024);
  private used = 0;
  private unused = END;
  /** The bucket that is being emptied; nothing is put before it. */
  current = 0;

  constructor(buckets: number) {
    this.heads = new Int32Array(buckets).fill(END);
  }

  /**
   * Puts a cell in; one beyond the last bucket is left out.
   *
   * @param wanted - the bucket, in which fractions do not count
   */
  put(cell: number, wanted: number): void {
    if (!(wanted < this.heads.length)) return;
    const bucket = wanted > this.current ? Math.floor(wanted) : this.current;
    let entry = this.unused;
    if (entry === END) entry = this.newEntry();
    else this.unused = this.next[entry];
    this.cells[entry] = cell;
    this.next[entry] = this.heads[bucket];
    this.heads[bucket] = entry;
  }

  /** Takes the next cell out; −1 when there is none. */
  take(): number {
    while (this.current < this.heads.length) {
      const entry = this.heads[this.current];
      if (entry !== END) {
        this.heads[this.current] = this.next[entry];
        this.next[entry] = this.unused;
        this.unused = entry;
        return this.cells[entry];
      }
      this.current += 1;
    }
    return END;
  }

  private newEntry(): number {
    if (this.used === this.cells.length) {
      this.cells = twice(this.cells);
      this.next = twice(this.next);
    }
    this.used += 1;
    return this.used - 1;
  }
}

function twice(array: Int32Array): Int32Array<ArrayBuffer> {
  const larger = new Int32Array(2 * array.length);
  larger.set(array);
  return larger;
}
