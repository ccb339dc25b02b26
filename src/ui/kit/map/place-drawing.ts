// Drawing and changing strips and outlines on the map, with the map package's own tools.
import Feature, { type FeatureLike } from "ol/Feature";
import type { MapBrowserEvent } from "ol";
import type OlMap from "ol/Map";
import LineString from "ol/geom/LineString";
import Point from "ol/geom/Point";
import Polygon from "ol/geom/Polygon";
import { Draw, Modify, Snap } from "ol/interaction";
import VectorLayer from "ol/layer/Vector";
import VectorSource from "ol/source/Vector";
import { Circle, Fill, Stroke, Style, Text } from "ol/style";
import type { LocalPlane, PlanePoint } from "@/core/earth/local-plane";
import type { LatLon } from "@/core/earth/geodesic";
import type { MapPalette } from "./map-palette";

/** What is drawn next. */
export type DrawingTool = "strip" | "outline" | "point" | "measure";

/** A shape that can be dragged by its corners. */
export interface Shape {
  /** Says which part of a place it is. */
  readonly key: string;
  readonly kind: "line" | "area" | "point";
  readonly points: readonly LatLon[];
}

/** Says a length and direction of a line beside it. */
export type Measured = (from: LatLon, to: LatLon) => string;

const coordinates = (geometry: unknown): number[][] => {
  if (geometry instanceof Polygon) return geometry.getCoordinates()[0];
  if (geometry instanceof LineString) return geometry.getCoordinates();
  return geometry instanceof Point ? [geometry.getCoordinates()] : [];
};

function measuredStyle(palette: MapPalette, plane: LocalPlane, measured: Measured) {
  const casing = palette.of("casing");
  const harbour = palette.of("harbour");
  const at = ([x_m, y_m]: number[]) => plane.toLatLon({ x_m, y_m });
  return (feature: FeatureLike): Style[] => {
    const points = coordinates(feature.getGeometry());
    const styles = [
      new Style({ stroke: new Stroke({ color: casing, width: 6 }) }),
      new Style({
        stroke: new Stroke({ color: harbour, width: 2.4 }),
        fill: new Fill({ color: `${harbour}18` }),
        image: new Circle({
          radius: 6,
          fill: new Fill({ color: casing }),
          stroke: new Stroke({ color: harbour, width: 2.4 }),
        }),
      }),
      ...points.map(
        (point) =>
          new Style({
            geometry: new Point(point),
            image: new Circle({
              radius: 6,
              fill: new Fill({ color: casing }),
              stroke: new Stroke({ color: harbour, width: 2.4 }),
            }),
          }),
      ),
    ];
    // The sides of an outline that stands would write over each other; while it is drawn each is wanted.
    const sides = feature.get("key") === undefined || !(feature.getGeometry() instanceof Polygon);
    for (let i = 0; sides && i + 1 < points.length; i += 1) {
      const [a, b] = [points[i], points[i + 1]];
      if (Math.hypot(b[0] - a[0], b[1] - a[1]) < 1) continue;
      styles.push(
        new Style({
          geometry: new Point([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]),
          text: new Text({
            text: measured(at(a), at(b)),
            font: '600 13px "Atkinson Hyperlegible Mono Variable"',
            fill: new Fill({ color: palette.of("ink") }),
            stroke: new Stroke({ color: casing, width: 4 }),
            offsetY: 16,
          }),
        }),
      );
    }
    return styles;
  };
}

/** Shapes on a map that can be drawn and changed. */
export interface PlaceDrawing {
  readonly layer: VectorLayer;
  /** Shows the shapes of the place that is being changed. */
  show(shapes: readonly Shape[]): void;
  /** Begins to draw, until it is drawn or ended. */
  begin(tool: DrawingTool, drawn: (points: readonly LatLon[]) => void): void;
  end(): void;
  close(): void;
}

/**
 * @param fixed - what corners snap to
 * @param changed - is told every move of a corner, and `done` with the last
 */
export function placeDrawing(
  map: OlMap,
  plane: LocalPlane,
  palette: MapPalette,
  fixed: VectorSource | null,
  measured: Measured,
  changed: (key: string, points: readonly LatLon[], done: boolean) => void,
): PlaceDrawing {
  const source = new VectorSource();
  const style = measuredStyle(palette, plane, measured);
  const layer = new VectorLayer({ source, zIndex: 8, style, updateWhileInteracting: true });
  map.addLayer(layer);
  const at = ([x_m, y_m]: number[]): LatLon => plane.toLatLon({ x_m, y_m });
  const placesOf = (geometry: unknown): LatLon[] => {
    const points = coordinates(geometry);
    // A ring ends where it began.
    return (geometry instanceof Polygon ? points.slice(0, -1) : points).map(at);
  };
  let moving = false;
  const modify = new Modify({
    source,
    pixelTolerance: 14,
    style,
    // What comes to lie under a pointer that rests has no event.
    insertVertexCondition: (event: MapBrowserEvent | null) => event !== null && vertexWanted(map, event.pixel, layer),
  });
  const tell = (feature: Feature, done: boolean) => {
    const key: unknown = feature.get("key");
    if (typeof key === "string") changed(key, placesOf(feature.getGeometry()), done);
  };
  modify.on("modifystart", (event) => {
    moving = true;
    for (const feature of event.features.getArray())
      feature.getGeometry()?.on("change", () => moving && tell(feature as Feature, false));
  });
  modify.on("modifyend", (event) => {
    moving = false;
    for (const feature of event.features.getArray()) tell(feature as Feature, true);
  });
  map.addInteraction(modify);
  const snaps = [new Snap({ source }), ...(fixed ? [new Snap({ source: fixed })] : [])];
  for (const snap of snaps) map.addInteraction(snap);
  let draw: Draw | null = null;
  const end = () => {
    if (draw) map.removeInteraction(draw);
    draw = null;
    modify.setActive(true);
  };
  return {
    layer,
    show: (shapes) => {
      // While a corner is dragged the map is ahead of what it told.
      if (moving) return;
      source.clear(true);
      source.addFeatures(
        shapes.map(({ key, kind, points }) => {
          const line = points.map((point) => {
            const { x_m, y_m }: PlanePoint = plane.toPlane(point);
            return [x_m, y_m];
          });
          const geometry =
            kind === "area"
              ? new Polygon([[...line, line[0]]])
              : kind === "line"
                ? new LineString(line)
                : new Point(line[0]);
          return new Feature({ geometry, key });
        }),
      );
    },
    begin: (tool, drawn) => {
      end();
      modify.setActive(false);
      draw = new Draw({
        type: tool === "outline" ? "Polygon" : tool === "point" ? "Point" : "LineString",
        ...(tool === "strip" ? { maxPoints: 2 } : {}),
        style,
      });
      draw.on("drawend", (event) => {
        const points = placesOf(event.feature.getGeometry());
        if (tool !== "measure") end();
        drawn(points);
      });
      map.addInteraction(draw);
      // Snapping has to come last.
      for (const snap of snaps) {
        map.removeInteraction(snap);
        map.addInteraction(snap);
      }
    },
    end,
    close: () => {
      end();
      for (const interaction of [modify, ...snaps]) map.removeInteraction(interaction);
      map.removeLayer(layer);
    },
  };
}

/** A strip has two ends and gets no third; an outline takes corners. */
function vertexWanted(map: OlMap, pixel: number[], layer: VectorLayer): boolean {
  return map
    .getFeaturesAtPixel(pixel, { layerFilter: (candidate) => candidate === layer, hitTolerance: 8 })
    .some((feature) => feature.getGeometry() instanceof Polygon);
}
