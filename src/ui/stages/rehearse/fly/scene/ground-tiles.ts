// The ground as nested tiles around a middle: fine near it, coarse far away, skirts over the seams.
import { BufferAttribute, BufferGeometry, DoubleSide, Float32BufferAttribute, Group, type Material, Mesh } from "three";

/** Heights and the distance from the coast, positive on land, by place. */
export interface Relief {
  height(north_m: number, east_m: number): number;
  coast(north_m: number, east_m: number): number;
}

/** Cells across a tile; size of a cell from the middle outwards, m. */
const CELLS = 24;
const LEVELS_M = [60, 120, 240, 480, 960, 1920];
/** Open sea beyond, m. */
const SEA_M = 140_000;

/** Tiles are made anew when the middle has moved so far, m. */
export const MOVED_M = 1200;

/** The ground around a middle. */
export function groundTiles(
  relief: Relief,
  middle: { readonly north_m: number; readonly east_m: number },
  material: Material,
): Group {
  material.side = DoubleSide;
  const group = new Group();
  LEVELS_M.forEach((cell, level) => {
    const size = CELLS * cell;
    for (let j = -2; j < 2; j += 1)
      for (let i = -2; i < 2; i += 1) {
        // The middle of a coarse level is what the finer one covers.
        if (level > 0 && i >= -1 && i < 1 && j >= -1 && j < 1) continue;
        group.add(tile(relief, middle.east_m + i * size, middle.north_m + j * size, cell, material));
      }
  });
  group.add(sea(middle, material));
  return group;
}

/** Frees what the tiles hold. */
export function disposeTiles(group: Group): void {
  group.traverse((child) => child instanceof Mesh && (child.geometry as BufferGeometry).dispose());
}

function tile(relief: Relief, east_m: number, north_m: number, cell: number, material: Material): Mesh {
  const width = CELLS + 3;
  const heights = new Float32Array(width * width);
  const coasts = new Float32Array(width * width);
  for (let j = 0; j < width; j += 1)
    for (let i = 0; i < width; i += 1) {
      const [n, e] = [north_m + (j - 1) * cell, east_m + (i - 1) * cell];
      heights[j * width + i] = relief.height(n, e);
      coasts[j * width + i] = relief.coast(n, e);
    }
  const side = CELLS + 1;
  const count = side * side + 4 * side;
  const position = new Float32Array(count * 3);
  const normal = new Float32Array(count * 3);
  const coast = new Float32Array(count);
  const index: number[] = [];
  const [ce, cn] = [east_m + (CELLS * cell) / 2, north_m + (CELLS * cell) / 2];
  const put = (v: number, i: number, j: number, drop: number) => {
    const at = (j + 1) * width + i + 1;
    const nx = (heights[at - 1] - heights[at + 1]) / (2 * cell);
    const ny = (heights[at - width] - heights[at + width]) / (2 * cell);
    const length = Math.hypot(nx, ny, 1);
    position.set([east_m + i * cell - ce, heights[at] - drop, -(north_m + j * cell - cn)], v * 3);
    normal.set([nx / length, 1 / length, -ny / length], v * 3);
    coast[v] = coasts[at];
  };
  for (let j = 0; j < side; j += 1) for (let i = 0; i < side; i += 1) put(j * side + i, i, j, 0);
  for (let j = 0; j < CELLS; j += 1)
    for (let i = 0; i < CELLS; i += 1) {
      const a = j * side + i;
      index.push(a, a + 1, a + side, a + 1, a + side + 1, a + side);
    }
  const edges: readonly ((t: number) => readonly [number, number])[] = [
    (t) => [t, 0],
    (t) => [t, CELLS],
    (t) => [0, t],
    (t) => [CELLS, t],
  ];
  edges.forEach((edge, k) => {
    const from = side * side + k * side;
    for (let t = 0; t < side; t += 1) {
      const [i, j] = edge(t);
      put(from + t, i, j, cell * 0.15);
      if (t === CELLS) continue;
      const [p, q] = edge(t + 1);
      const [a, b] = [j * side + i, q * side + p];
      index.push(a, b, from + t, b, from + t + 1, from + t);
    }
  });
  const geometry = new BufferGeometry();
  geometry.setAttribute("position", new BufferAttribute(position, 3));
  geometry.setAttribute("normal", new BufferAttribute(normal, 3));
  geometry.setAttribute("coast", new BufferAttribute(coast, 1));
  geometry.setIndex(index);
  geometry.computeBoundingSphere();
  const mesh = new Mesh(geometry, material);
  mesh.position.set(ce, 0, -cn);
  return mesh;
}

/** A ring of sea around the last tiles, to the horizon. */
function sea({ north_m, east_m }: { readonly north_m: number; readonly east_m: number }, material: Material): Mesh {
  const inner = 2 * CELLS * LEVELS_M[LEVELS_M.length - 1];
  const ring = [
    [-SEA_M, -SEA_M, SEA_M, -inner],
    [-SEA_M, inner, SEA_M, SEA_M],
    [-SEA_M, -inner, -inner, inner],
    [inner, -inner, SEA_M, inner],
  ];
  const position = ring.flatMap(([a, b, c, d]) =>
    [
      [a, b],
      [c, b],
      [c, d],
      [a, d],
    ].flatMap(([e, n]) => [east_m + e, 0, -(north_m + n)]),
  );
  const geometry = new BufferGeometry();
  geometry.setAttribute("position", new Float32BufferAttribute(position, 3));
  geometry.setAttribute(
    "normal",
    new Float32BufferAttribute(
      ring.flatMap(() => [0, 1, 0, 0, 1, 0, 0, 1, 0, 0, 1, 0]),
      3,
    ),
  );
  geometry.setAttribute(
    "coast",
    new Float32BufferAttribute(
      Array.from({ length: 16 }, () => -2500),
      1,
    ),
  );
  geometry.setIndex(ring.flatMap((_, k) => [0, 1, 2, 0, 2, 3].map((i) => k * 4 + i)));
  return new Mesh(geometry, material);
}
