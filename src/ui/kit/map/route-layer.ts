import Feature from "ol/Feature";
import type OlMap from "ol/Map";
import LineString from "ol/geom/LineString";
import Point from "ol/geom/Point";
import { Modify } from "ol/interaction";
import VectorLayer from "ol/layer/Vector";
import VectorSource from "ol/source/Vector";
import { Circle, Fill, Icon, RegularShape, Stroke, Style, Text } from "ol/style";
import type { PlanePoint } from "@/core/earth/local-plane";
import { silhouette } from "./aircraft-layer";
import type { MapPalette } from "./map-palette";
import { FIELD_NAMES_TO } from "./strips-layer";

/** A planned flight as a map shows it. */
export interface RouteDrawing {
  /** The points that it leads over. */
  readonly points: readonly (PlanePoint & { readonly name: string })[];
  /** Parts without a place in reach, with what is said of each. */
  readonly gaps: readonly { readonly points: readonly PlanePoint[]; readonly label: string }[];
  /** Ways round, with what each costs. */
  readonly detours: readonly { readonly points: readonly PlanePoint[]; readonly label: string }[];
  /** The cursor, and the way from there to a place. */
  readonly cursor: (PlanePoint & { readonly track_rad: number; readonly label: string }) | null;
  readonly way: readonly PlanePoint[];
  /** Ways that one could fly from the cursor, with what is said of each. */
  readonly options: readonly { readonly points: readonly PlanePoint[]; readonly label: string }[];
  /** Fields and beaches that hold a part of the ground, named where there is room. */
  readonly holders: readonly (PlanePoint & { readonly name: string })[];
  /** Points of the flight that are named. */
  readonly named: readonly (PlanePoint & { readonly track_rad: number; readonly label: string })[];
}

/** A route on a map: drawn, dragged, points put in between. */
export interface RouteLayers {
  readonly layers: readonly VectorLayer[];
  show(drawing: RouteDrawing): void;
  /** Lets the points be dragged; told the points as they are then. */
  edit(map: OlMap, changed: (points: readonly PlanePoint[]) => void): void;
}

const at = ({ x_m, y_m }: PlanePoint) => [x_m, y_m];

/** Makes the layers. */
export function routeLayers(palette: MapPalette): RouteLayers {
  const [ink, casing, harbour, brick, pine] = ["ink", "casing", "harbour", "brick", "pine"].map((name) =>
    palette.of(name),
  );
  const text = (label: string, colour: string, weight: number, dx: number, dy: number) =>
    new Text({
      text: label,
      font: `${weight} 13px "Atkinson Hyperlegible Next Variable"`,
      fill: new Fill({ color: colour }),
      stroke: new Stroke({ color: casing, width: 4 }),
      offsetX: dx,
      offsetY: dy,
      textAlign: dx > 0 ? "left" : dx < 0 ? "right" : "center",
    });
  const line = (colour: string, width: number, lineDash?: number[]) => [
    new Style({ stroke: new Stroke({ color: casing, width: width + 3.5, lineCap: "butt" }) }),
    new Style({ stroke: new Stroke({ color: colour, width, lineDash, lineCap: "butt" }) }),
  ];
  const route = new VectorSource();
  const marks = new VectorSource();
  const lower = new VectorLayer({
    source: marks,
    zIndex: 6,
    declutter: true,
    style: (feature, resolution) => {
      const label: string = feature.get("label") ?? "";
      switch (feature.get("kind")) {
        // Across the way, in brick: short strokes side by side make a hatch that can be told without its colour.
        case "gap":
          return [
            new Style({ stroke: new Stroke({ color: brick, width: 13, lineCap: "butt" }) }),
            new Style({ stroke: new Stroke({ color: casing, width: 10, lineCap: "butt" }) }),
            new Style({ stroke: new Stroke({ color: brick, width: 10, lineDash: [2.5, 4], lineCap: "butt" }) }),
          ];
        case "gap-label":
          return new Style({ text: text(label, brick, 700, 12, -14), zIndex: 5 });
        case "detour":
          return line(harbour, 2.6, [9, 6]);
        case "detour-label":
          return new Style({ text: text(label, harbour, 600, 12, 16), zIndex: 4 });
        case "option":
          return line(ink, 1.8, [6, 5]);
        case "option-label":
          return new Style({ text: text(label, ink, 600, 10, 14), zIndex: 6 });
        // Two strokes across the way.
        case "named":
          return new Style({
            image: new RegularShape({
              points: 2,
              radius: 11,
              rotation: feature.get("track_rad") + Math.PI / 2,
              rotateWithView: true,
              stroke: new Stroke({ color: pine, width: 4 }),
              declutterMode: "none",
            }),
            text: text(label, pine, 600, -16, 2),
            zIndex: 7,
          });
        // Nearer they are named with their strips.
        case "holder":
          if (resolution <= FIELD_NAMES_TO) return undefined;
          return new Style({ text: text(label, ink, 500, 0, 13), zIndex: 1 });
        case "way":
          return line(pine, 2.4);
        case "cursor":
          return new Style({
            image: new Icon({
              src: silhouette(palette.of("sheet"), ink),
              rotation: feature.get("track_rad"),
              rotateWithView: true,
              declutterMode: "obstacle",
            }),
            text: text(label, ink, 600, 22, 4),
            zIndex: 9,
          });
        default:
          return new Style({
            image: new RegularShape({
              points: 4,
              radius: 7,
              fill: new Fill({ color: palette.of("sheet") }),
              stroke: new Stroke({ color: harbour, width: 2.2 }),
              declutterMode: "none",
            }),
            text: text(label, harbour, 600, -12, -10),
            zIndex: 3,
          });
      }
    },
  });
  const upper = new VectorLayer({
    source: route,
    zIndex: 5,
    updateWhileInteracting: true,
    style: () => line(harbour, 3),
  });
  let moving = false;
  return {
    layers: [upper, lower],
    show: ({ points, gaps, detours, cursor, way, options, holders, named }) => {
      // While a point is dragged the map is ahead of what it told.
      if (!moving) {
        route.clear(true);
        if (points.length > 1) route.addFeature(new Feature({ geometry: new LineString(points.map(at)) }));
      }
      marks.clear(true);
      const feature = (kind: string, geometry: LineString | Point, more: object = {}) =>
        new Feature({ geometry, kind, ...more });
      const labelled = (kind: string, parts: RouteDrawing["gaps"]) =>
        parts
          .filter((part) => part.points.length > 1)
          .flatMap((part) => [
            feature(kind, new LineString(part.points.map(at))),
            feature(`${kind}-label`, new Point(at(part.points[Math.floor(part.points.length / 2)])), {
              label: part.label,
            }),
          ]);
      marks.addFeatures([
        ...labelled("gap", gaps),
        ...labelled("detour", detours),
        ...labelled("option", options),
        ...named.map((point) =>
          feature("named", new Point(at(point)), { label: point.label, track_rad: point.track_rad }),
        ),
        ...holders.map((place) => feature("holder", new Point(at(place)), { label: place.name })),
        ...(way.length > 1 ? [feature("way", new LineString(way.map(at)))] : []),
        ...points.map((point) => feature("point", new Point(at(point)), { label: point.name })),
        ...(cursor
          ? [feature("cursor", new Point(at(cursor)), { label: cursor.label, track_rad: cursor.track_rad })]
          : []),
      ]);
    },
    edit: (map, changed) => {
      const modify = new Modify({
        source: route,
        pixelTolerance: 12,
        style: new Style({
          image: new Circle({
            radius: 6,
            fill: new Fill({ color: casing }),
            stroke: new Stroke({ color: harbour, width: 2.4 }),
          }),
        }),
      });
      modify.on("modifystart", () => (moving = true));
      modify.on("modifyend", (event) => {
        moving = false;
        const [shape] = event.features.getArray();
        const geometry = shape?.getGeometry();
        if (geometry instanceof LineString) changed(geometry.getCoordinates().map(([x_m, y_m]) => ({ x_m, y_m })));
      });
      map.addInteraction(modify);
    },
  };
}
