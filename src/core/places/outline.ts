// The ground around a strip: whether its outline crosses itself, and the longest strip that fits inside.
import type { LatLon } from "../earth/geodesic";
import { type LocalPlane, type PlanePoint, localPlane } from "../earth/local-plane";

const cross = (o: PlanePoint, a: PlanePoint, b: PlanePoint) =>
  (a.x_m - o.x_m) * (b.y_m - o.y_m) - (a.y_m - o.y_m) * (b.x_m - o.x_m);

function segmentsCross(a: PlanePoint, b: PlanePoint, c: PlanePoint, d: PlanePoint): boolean {
  return cross(a, b, c) > 0 !== cross(a, b, d) > 0 && cross(c, d, a) > 0 !== cross(c, d, b) > 0;
}

/** Whether two sides that are no neighbours cross. */
export function crossesItself(outline: readonly LatLon[]): boolean {
  const plane = localPlane(outline[0]);
  const points = outline.map((corner) => plane.toPlane(corner));
  const count = points.length;
  for (let i = 0; i < count; i += 1)
    for (let j = i + 2; j < count; j += 1) {
      if (i === 0 && j === count - 1) continue;
      if (segmentsCross(points[i], points[(i + 1) % count], points[j], points[(j + 1) % count])) return true;
    }
  return false;
}

/** Enclosed area, m². */
export function outlineArea_m2(outline: readonly LatLon[]): number {
  const plane = localPlane(outline[0]);
  const points = outline.map((corner) => plane.toPlane(corner));
  const twice = points.reduce((sum, point, i) => {
    const next = points[(i + 1) % points.length];
    return sum + point.x_m * next.y_m - next.x_m * point.y_m;
  }, 0);
  return Math.abs(twice) / 2;
}

/** Directions that are tried besides those of the sides, and lines in each. */
const [DIRECTIONS, LINES] = [90, 48];

/**
 * The longest strip of a width inside an outline: along each side and in 90 directions more, 48 lines are laid across
 * it, and what lies inside with half the width to either side is measured.
 *
 * @param outline - that does not cross itself
 * @returns its two ends, to about a fortieth of the width of the outline; null where no strip longer than that width
 *   fits
 */
export function longestStrip(outline: readonly LatLon[], width_m: number): readonly [LatLon, LatLon] | null {
  const plane: LocalPlane = localPlane(outline[0]);
  const corners = outline.map((corner) => plane.toPlane(corner));
  let best: { length_m: number; ends: readonly [PlanePoint, PlanePoint] } | null = null;
  const sides = corners.map((a, i) => {
    const b = corners[(i + 1) % corners.length];
    return Math.atan2(b.y_m - a.y_m, b.x_m - a.x_m);
  });
  for (const angle of [...sides, ...Array.from({ length: DIRECTIONS }, (_, i) => (Math.PI * i) / DIRECTIONS)]) {
    const found = longestIn(corners, angle, width_m / 2);
    if (found && found.length_m > Math.max(best?.length_m ?? 0, width_m)) best = found;
  }
  return best && [plane.toLatLon(best.ends[0]), plane.toLatLon(best.ends[1])];
}

function longestIn(
  corners: readonly PlanePoint[],
  angle: number,
  half_m: number,
): { length_m: number; ends: readonly [PlanePoint, PlanePoint] } | null {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  // u along the direction, v across it.
  const turned = corners.map(({ x_m, y_m }) => ({ u: x_m * cos + y_m * sin, v: y_m * cos - x_m * sin }));
  const [low, high] = [Math.min(...turned.map(({ v }) => v)), Math.max(...turned.map(({ v }) => v))];
  let best: { length_m: number; ends: readonly [PlanePoint, PlanePoint] } | null = null;
  for (let k = 0; k < LINES; k += 1) {
    const v = low + half_m + ((high - low - 2 * half_m) * (k + 0.5)) / LINES;
    if (!(v - half_m >= low && v + half_m <= high)) continue;
    for (const [from, to] of freeAlong(turned, v, half_m)) {
      if (best && to - from <= best.length_m) continue;
      const point = (u: number) => ({ x_m: u * cos - v * sin, y_m: u * sin + v * cos });
      best = { length_m: to - from, ends: [point(from), point(to)] };
    }
  }
  return best;
}

/** Pieces of the line v along which both edges and the middle lie inside, and no corner between them. */
function freeAlong(
  corners: readonly { u: number; v: number }[],
  v: number,
  half_m: number,
): (readonly [number, number])[] {
  let pieces = insideAlong(corners, v);
  for (const edge of [v - half_m, v + half_m]) pieces = common(pieces, insideAlong(corners, edge));
  for (const corner of corners)
    if (Math.abs(corner.v - v) < half_m)
      pieces = pieces.flatMap(([from, to]): (readonly [number, number])[] =>
        corner.u <= from || corner.u >= to
          ? [[from, to]]
          : [
              [from, corner.u],
              [corner.u, to],
            ],
      );
  return pieces;
}

function insideAlong(corners: readonly { u: number; v: number }[], v: number): (readonly [number, number])[] {
  const crossings: number[] = [];
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length];
    if (a.v > v !== b.v > v) crossings.push(a.u + ((b.u - a.u) * (v - a.v)) / (b.v - a.v));
  });
  crossings.sort((a, b) => a - b);
  return Array.from({ length: Math.floor(crossings.length / 2) }, (_, i) => [crossings[2 * i], crossings[2 * i + 1]]);
}

function common(
  a: readonly (readonly [number, number])[],
  b: readonly (readonly [number, number])[],
): (readonly [number, number])[] {
  return a.flatMap(([from, to]) =>
    b.flatMap(([start, end]): (readonly [number, number])[] => {
      const [low, high] = [Math.max(from, start), Math.min(to, end)];
      return high > low ? [[low, high]] : [];
    }),
  );
}
