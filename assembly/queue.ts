// Cells in the order of a key, in buckets of one width (core/cover/bucket-queue.ts).
import { cells, grow, take } from "./field";

const END: i32 = -1;
/** An entry: its cell, and the entry after it in its bucket. */
const ENTRY: usize = 8;

let headsAt: usize = 0;
let buckets: i32 = 0;
let entriesAt: usize = 0;
let entries: i32 = 0;
let used: i32 = 0;
let unused: i32 = END;
/** The bucket that is being emptied; nothing is put before it. */
export let current: i32 = 0;
/** There was no memory for an entry. */
export let lost: bool = false;

/** Laid last: it grows at the end of the memory. */
export function layQueue(buckets_: i32): void {
  buckets = buckets_;
  headsAt = take((<usize>buckets) << 2);
  entries = cells / 16 + 1024;
  entriesAt = take(<usize>entries * ENTRY);
}

export function clearQueue(): void {
  memory.fill(headsAt, 0xff, (<usize>buckets) << 2);
  used = 0;
  unused = END;
  current = 0;
  lost = false;
}

function newEntry(): i32 {
  if (used === entries) {
    take(<usize>entries * ENTRY);
    if (!grow()) return END;
    entries *= 2;
  }
  used += 1;
  return used - 1;
}

/** Puts a cell in; one beyond the last bucket is left out. */
// @inline
export function putCell(cell: i32, wanted: f64): void {
  if (!(wanted < <f64>buckets)) return;
  const bucket = max<i32>(<i32>wanted, current);
  let entry = unused;
  if (entry === END) {
    entry = newEntry();
    if (entry === END) {
      lost = true;
      return;
    }
  } else unused = load<i32>(entriesAt + <usize>entry * ENTRY, 4);
  const headAt = headsAt + ((<usize>bucket) << 2);
  store<i32>(entriesAt + <usize>entry * ENTRY, cell);
  store<i32>(entriesAt + <usize>entry * ENTRY, load<i32>(headAt), 4);
  store<i32>(headAt, entry);
}

/** Takes the next cell out; −1 when there is none. */
// @inline
export function takeCell(): i32 {
  while (current < buckets) {
    const headAt = headsAt + ((<usize>current) << 2);
    const entry = load<i32>(headAt);
    if (entry !== END) {
      const at = entriesAt + <usize>entry * ENTRY;
      store<i32>(headAt, load<i32>(at, 4));
      store<i32>(at, unused, 4);
      unused = entry;
      return load<i32>(at);
    }
    current += 1;
  }
  return END;
}
