// Lines laid on the ground: a planned way as dashes, wide enough to be seen from above; the edge of a surveyed field.
import { BufferGeometry, Float32BufferAttribute, Mesh, type MeshBasicMaterial } from "three";
import type { Relief } from "./ground-tiles";
import type { RunwayInks } from "./runways";

/** A dash and the next, how long, half as wide. */
interface Dashed {
  readonly every_m: number;
  readonly long_m: number;
  readonly half_m: number;
}
const WAY: Dashed = { every_m: 90, long_m: 50, half_m: 3 };
/** Of an edge they meet. */
const EDGE: Dashed = { every_m: 15, long_m: 15, half_m: 0.7 };
/** Above the ground; so many dashes at most. */
const UP_M = 1.5;
const MOST = 2000;

/** Dashes along a way: north and east in turn, m. */
export const plannedWay = (points: readonly number[], relief: Relief, { way }: RunwayInks): Mesh =>
  laid([points], WAY, relief, way, 5);

/** The edges of fields, each as a line that comes back to where it began. */
export const fieldEdges = (edges: readonly (readonly number[])[], relief: Relief, { paint }: RunwayInks): Mesh =>
  laid(edges, EDGE, relief, paint, 3);

function laid(
  lines: readonly (readonly number[])[],
  dashed: Dashed,
  relief: Relief,
  ink: MeshBasicMaterial,
  order: number,
): Mesh {
  const { long_m, half_m } = dashed;
  const corners: number[] = [];
  for (const { north_m, east_m, along } of lines.flatMap((points) => dashes(points, dashed.every_m)).slice(0, MOST)) {
    const [n, e] = along;
    for (const [ahead, right] of [
      [0, -half_m],
      [long_m, -half_m],
      [long_m, half_m],
      [0, half_m],
    ]) {
      const north = north_m + ahead * n - right * e;
      const east = east_m + ahead * e + right * n;
      corners.push(east, relief.height(north, east) + UP_M, -north);
    }
  }
  const geometry = new BufferGeometry();
  geometry.setAttribute("position", new Float32BufferAttribute(corners, 3));
  geometry.setIndex(
    Array.from({ length: corners.length / 12 }, (_, k) => [0, 1, 2, 0, 2, 3].map((i) => 4 * k + i)).flat(),
  );
  const mesh = new Mesh(geometry, ink);
  mesh.renderOrder = order;
  mesh.frustumCulled = false;
  return mesh;
}

/** Where dashes begin, and their direction, north and east. */
function dashes(points: readonly number[], every_m: number) {
  const begun: { north_m: number; east_m: number; along: readonly [number, number] }[] = [];
  let left_m = 0;
  for (let i = 2; i + 1 < points.length && begun.length < MOST; i += 2) {
    const [north, east] = [points[i] - points[i - 2], points[i + 1] - points[i - 1]];
    const length_m = Math.hypot(north, east);
    if (length_m === 0) continue;
    for (; left_m < length_m && begun.length < MOST; left_m += every_m)
      begun.push({
        north_m: points[i - 2] + (north * left_m) / length_m,
        east_m: points[i - 1] + (east * left_m) / length_m,
        along: [north / length_m, east / length_m],
      });
    left_m -= length_m;
  }
  return begun;
}
