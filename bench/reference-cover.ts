// The textbook's way to the lowest altitudes: Dijkstra's algorithm over the eight neighbours of each cell, with a heap
// of objects. Distances are those of a king on a chess board, 5 % too long in between.
import type { CoverGrid, CoverSite } from "@/core/cover/cover-grid";

interface Entry {
  readonly cell: number;
  readonly altitude_m: number;
}

class Heap {
  private readonly entries: Entry[] = [];

  push(entry: Entry): void {
    this.entries.push(entry);
    let at = this.entries.length - 1;
    while (at > 0) {
      const above = (at - 1) >> 1;
      if (this.entries[above].altitude_m <= this.entries[at].altitude_m) break;
      [this.entries[above], this.entries[at]] = [this.entries[at], this.entries[above]];
      at = above;
    }
  }

  pop(): Entry | undefined {
    const first = this.entries[0];
    const last = this.entries.pop();
    if (!last || this.entries.length === 0) return first;
    this.entries[0] = last;
    let at = 0;
    for (;;) {
      const left = 2 * at + 1;
      if (left >= this.entries.length) break;
      const right = left + 1;
      const least =
        right < this.entries.length && this.entries[right].altitude_m < this.entries[left].altitude_m ? right : left;
      if (this.entries[at].altitude_m <= this.entries[least].altitude_m) break;
      [this.entries[at], this.entries[least]] = [this.entries[least], this.entries[at]];
      at = least;
    }
    return first;
  }
}

/** Height that a step of so many cells east and north costs, flown backwards from the place. */
export type StepCost = (dx: number, dy: number) => number;

/** The lowest altitudes, cell by cell. */
export function referenceCover(grid: CoverGrid, sites: readonly CoverSite[], cost: StepCost): Float64Array {
  const { columns, rows, cell_m, floor_m } = grid;
  const altitude_m = new Float64Array(columns * rows).fill(Infinity);
  const done = new Uint8Array(columns * rows);
  const heap = new Heap();
  for (const site of sites) {
    const column = Math.round((site.x_m - grid.west_m) / cell_m);
    const row = Math.round((site.y_m - grid.south_m) / cell_m);
    const cell = row * columns + column;
    altitude_m[cell] = Math.max(site.altitude_m, floor_m[cell]);
    heap.push({ cell, altitude_m: altitude_m[cell] });
  }
  for (let entry = heap.pop(); entry; entry = heap.pop()) {
    const { cell } = entry;
    if (done[cell]) continue;
    done[cell] = 1;
    const column = cell % columns;
    const row = Math.floor(cell / columns);
    for (let dy = -1; dy <= 1; dy += 1)
      for (let dx = -1; dx <= 1; dx += 1) {
        const [x, y] = [column + dx, row + dy];
        if ((dx === 0 && dy === 0) || x < 0 || y < 0 || x >= columns || y >= rows) continue;
        const neighbour = y * columns + x;
        const next_m = Math.max(altitude_m[cell] + cost(dx, dy), floor_m[neighbour]);
        if (!done[neighbour] && next_m < altitude_m[neighbour]) {
          altitude_m[neighbour] = next_m;
          heap.push({ cell: neighbour, altitude_m: next_m });
        }
      }
  }
  return altitude_m;
}
