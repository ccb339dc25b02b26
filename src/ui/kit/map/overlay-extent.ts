// What a stage draws over the map besides the paths, and the room that it takes.
import type { PlanePoint } from "@/core/earth/local-plane";

/** A way that a stage draws over the map besides the paths. */
interface OverlayLine {
  readonly points: readonly PlanePoint[];
  readonly colour: string;
  readonly dashed: boolean;
}

/** A place on it with what is said there. */
interface OverlayMark {
  readonly at: PlanePoint;
  readonly label: string;
  readonly colour: string;
  /** Where the label stands, px from the mark. */
  readonly offset: readonly [number, number];
  readonly strong: boolean;
}

/** Everything within a distance of a place. */
export interface OverlayArea {
  readonly centre: PlanePoint;
  readonly radius_m: number;
  readonly label: string;
  readonly colour: string;
  readonly dashed: boolean;
}

/** What a stage draws over the map. */
export interface Overlay {
  /** Another key is looked at as a whole. */
  readonly key: string;
  readonly lines: readonly OverlayLine[];
  readonly marks: readonly OverlayMark[];
  readonly areas: readonly OverlayArea[];
}

/** West, south, east and north of an overlay; null when there is nothing to look at. */
export function overlayExtent(overlay: Overlay): [number, number, number, number] | null {
  const points = [
    ...overlay.lines.flatMap((line) => line.points),
    ...overlay.marks.map((mark) => mark.at),
    ...overlay.areas.flatMap(({ centre, radius_m }) => [
      { x_m: centre.x_m - radius_m, y_m: centre.y_m - radius_m },
      { x_m: centre.x_m + radius_m, y_m: centre.y_m + radius_m },
    ]),
  ];
  if (points.length === 0) return null;
  const xs = points.map((point) => point.x_m);
  const ys = points.map((point) => point.y_m);
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}
