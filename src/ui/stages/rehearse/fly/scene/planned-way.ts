// A way laid on the ground as dashes, wide enough to be seen from above.
import { BufferGeometry, Float32BufferAttribute, Mesh } from "three";
import type { Relief } from "./ground-tiles";
import type { RunwayInks } from "./runways";

/** A dash and the next, how long, half as wide, above the ground; so many at most. */
const [EVERY_M, LONG_M, HALF_M, UP_M] = [90, 50, 3, 1.5];
const MOST = 2000;

/** Dashes along a way: north and east in turn, m. */
export function plannedWay(points: readonly number[], relief: Relief, { way }: RunwayInks): Mesh {
  const corners: number[] = [];
  for (const { north_m, east_m, along } of dashes(points)) {
    const [n, e] = along;
    for (const [ahead, right] of [
      [0, -HALF_M],
      [LONG_M, -HALF_M],
      [LONG_M, HALF_M],
      [0, HALF_M],
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
  const mesh = new Mesh(geometry, way);
  mesh.renderOrder = 5;
  mesh.frustumCulled = false;
  return mesh;
}

/** Where dashes begin, and their direction, north and east. */
function dashes(points: readonly number[]) {
  const begun: { north_m: number; east_m: number; along: readonly [number, number] }[] = [];
  let left_m = 0;
  for (let i = 2; i + 1 < points.length && begun.length < MOST; i += 2) {
    const [north, east] = [points[i] - points[i - 2], points[i + 1] - points[i - 1]];
    const length_m = Math.hypot(north, east);
    if (length_m === 0) continue;
    for (; left_m < length_m && begun.length < MOST; left_m += EVERY_M)
      begun.push({
        north_m: points[i - 2] + (north * left_m) / length_m,
        east_m: points[i - 1] + (east * left_m) / length_m,
        along: [north / length_m, east / length_m],
      });
    left_m -= length_m;
  }
  return begun;
}
