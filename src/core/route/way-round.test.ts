// The quickest way over free cells, on maps drawn by hand: each cell 500 m, the first row in the south.
import { describe, expect, it } from "vitest";
import type { PlanePoint } from "../earth/local-plane";
import { type FreeCells, type WayStart, airspeedOf, isFree, wayRound } from "./way-round";

const CELL_M = 500;
/** Cells from lines of text, the northernmost first: "#" is barred. */
function map(...lines: readonly string[]): FreeCells {
  const rows = [...lines].reverse();
  const columns = rows[0].length;
  return {
    west_m: 0,
    south_m: 0,
    cell_m: CELL_M,
    columns,
    rows: rows.length,
    free: Uint8Array.from(rows.flatMap((row) => [...row].map((cell) => (cell === "#" ? 0 : 1)))),
  };
}
const cell = (column: number, row: number): PlanePoint => ({ x_m: column * CELL_M, y_m: row * CELL_M });
const from = (column: number, row: number, groundSpeed_mps = 50): WayStart => ({
  ...cell(column, row),
  altitude_m: 1500,
  track_rad: Math.PI / 2,
  groundSpeed_mps,
});
const wind = (east_mps: number, north_mps: number) => ({ wind: () => ({ east_mps, north_mps }) });
const CALM = wind(0, 0);
/** Length of a way with its ends, m. */
const lengthOf = (start: PlanePoint, bends: readonly PlanePoint[] | null, end: PlanePoint) => {
  if (!bends) return null;
  const way = [start, ...bends, end];
  return way.slice(1).reduce((sum, to, i) => sum + Math.hypot(to.x_m - way[i].x_m, to.y_m - way[i].y_m), 0);
};

describe("the quickest way over free cells", () => {
  const open = map(...Array<string>(9).fill("................."));
  const walled = map(
    ".................",
    ".................",
    "........#........",
    "........#........",
    "........#........",
    "........#........",
    "........#........",
    "........#........",
    "........#........",
  );

  it("is straight where nothing is in the way, in every direction", () => {
    for (const [column, row] of [
      [16, 4],
      [16, 8],
      [9, 8],
      [8, 0],
      [0, 7],
    ])
      expect(wayRound(open, CALM, from(8, 4), cell(column, row))).toEqual([]);
    expect(wayRound(open, CALM, from(8, 4), cell(8, 4))).toEqual([]);
  });

  it("goes round the end of a wall by one bend beside it, or two", () => {
    const bends = wayRound(walled, CALM, from(2, 2), cell(14, 2));
    // Over (8, 7), the first free cell above the wall: twice √(6² + 5²) cells at least.
    const least_m = 2 * Math.hypot(6, 5) * CELL_M;
    const length_m = lengthOf(cell(2, 2), bends, cell(14, 2)) ?? NaN;
    expect(length_m).toBeGreaterThanOrEqual(least_m - 1e-6);
    // Sixteen directions are at most 2.8 % longer; and the corner is kept clear of.
    expect(length_m).toBeLessThan(1.06 * least_m);
    expect(bends?.length).toBeLessThanOrEqual(3);
    for (const bend of bends ?? []) expect(isFree(walled, bend)).toBe(true);
  });

  it("is none where everything is barred between, nor from or to beyond the map", () => {
    const closed = map("....#....", "....#....", "....#....");
    expect(wayRound(closed, CALM, from(0, 1), cell(8, 1))).toBeNull();
    expect(wayRound(open, CALM, from(8, 4), cell(17, 4))).toBeNull();
    expect(wayRound(open, CALM, from(-1, 4), cell(4, 4))).toBeNull();
  });

  it("may begin and end in a barred cell: what is offered is flown once more", () => {
    const ends = map("#.......#");
    expect(wayRound(ends, CALM, from(0, 0), cell(8, 0))).toEqual([]);
  });

  it("goes round by the nearer side", () => {
    const island = map(
      ".................",
      ".................",
      ".................",
      "........#........",
      "........#........",
      "........#........",
      "........#........",
      "........#........",
      ".................",
      ".................",
    );
    const side = (row: number) => {
      const bends = wayRound(island, CALM, from(2, row), cell(14, row)) ?? [];
      return bends.reduce((sum, { y_m }) => sum + y_m / CELL_M - row, 0) > 0 ? "north" : "south";
    };
    expect(side(3)).toBe("south");
    expect(side(5)).toBe("north");
  });

  it("is none against a wind in which it makes no headway", () => {
    // 50 m/s over the ground into 60 m/s are 110 through the air.
    expect(wayRound(open, wind(-60, 0), from(2, 4), cell(14, 4))).toEqual([]);
    const slow = { ...from(2, 4), groundSpeed_mps: 105 };
    // 105 over the ground with 60 behind are 45 through the air: back against it there is no way.
    expect(wayRound(open, wind(60, 0), slow, cell(14, 4))).toEqual([]);
    expect(wayRound(open, wind(60, 0), { ...slow, ...cell(14, 4) }, cell(2, 4))).toBeNull();
  });
});

describe("the airspeed at a point", () => {
  it("is the speed over the ground less the wind, as vectors", () => {
    // North at 50 over the ground with 30 from the west: 3-4-5 of tens.
    expect(airspeedOf({ track_rad: 0, groundSpeed_mps: 40 }, 30, 0)).toBeCloseTo(50, 9);
    expect(airspeedOf({ track_rad: 0, groundSpeed_mps: 50 }, 0, 10)).toBeCloseTo(40, 9);
    expect(airspeedOf({ track_rad: Math.PI / 2, groundSpeed_mps: 50 }, -10, 0)).toBeCloseTo(60, 9);
  });
});
