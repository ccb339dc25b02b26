import Feature from "ol/Feature";
import LineString from "ol/geom/LineString";
import Point from "ol/geom/Point";
import Polygon from "ol/geom/Polygon";
import VectorLayer from "ol/layer/Vector";
import VectorSource from "ol/source/Vector";
import { Circle, Fill, Stroke, Style, Text } from "ol/style";
import type { PlanePoint } from "@/core/earth/local-plane";
import type { MapPalette } from "./map-palette";
import type { Overlay, OverlayArea } from "./overlay-extent";

/** Sides of a drawn circle. */
const SIDES = 96;

/** The layer that overlays are drawn in. */
export function overlayLayer(palette: MapPalette): VectorLayer {
  const casing = palette.of("casing");
  const text = (label: string, colour: string, weight: number, offset: readonly [number, number]) =>
    new Text({
      text: label,
      font: `${weight} 13px "Atkinson Hyperlegible Mono Variable"`,
      fill: new Fill({ color: palette.of(colour) }),
      stroke: new Stroke({ color: casing, width: 3.5 }),
      offsetX: offset[0],
      offsetY: offset[1],
      textAlign: offset[0] > 0 ? "left" : offset[0] < 0 ? "right" : "center",
    });
  return new VectorLayer({
    source: new VectorSource(),
    zIndex: 6,
    style: (feature) => {
      const colour: string = feature.get("colour");
      const stroke = new Stroke({
        color: palette.of(colour),
        width: 2.6,
        lineDash: feature.get("dashed") ? [8, 6] : undefined,
      });
      switch (feature.get("kind")) {
        case "line":
          return [new Style({ stroke: new Stroke({ color: casing, width: 6 }) }), new Style({ stroke })];
        case "area":
          return [
            new Style({ stroke: new Stroke({ color: casing, width: 6 }) }),
            new Style({ stroke, fill: new Fill({ color: `${palette.of(colour)}14` }) }),
          ];
        default: {
          const strong: boolean = feature.get("strong");
          return new Style({
            image: new Circle({
              radius: strong ? 7 : 4.5,
              fill: new Fill({ color: palette.of(colour) }),
              stroke: new Stroke({ color: casing, width: 2 }),
            }),
            text: text(feature.get("label"), colour, strong ? 700 : 600, feature.get("offset")),
            zIndex: strong ? 3 : 2,
          });
        }
      }
    },
  });
}

function circle({ centre, radius_m }: OverlayArea): number[][] {
  return Array.from({ length: SIDES + 1 }, (_, i) => [
    centre.x_m + radius_m * Math.sin((2 * Math.PI * i) / SIDES),
    centre.y_m + radius_m * Math.cos((2 * Math.PI * i) / SIDES),
  ]);
}

/** Puts an overlay on the map; null takes it away. */
export function fillOverlay(layer: VectorLayer, overlay: Overlay | null): void {
  const source = layer.getSource();
  source?.clear(true);
  if (!overlay) return;
  const at = ({ x_m, y_m }: PlanePoint) => [x_m, y_m];
  source?.addFeatures([
    ...overlay.areas.map(
      (area) =>
        new Feature({ geometry: new Polygon([circle(area)]), kind: "area", colour: area.colour, dashed: area.dashed }),
    ),
    // Names stand apart round the edges, so that areas of about the same size do not write over each other.
    ...overlay.areas.map((area, i) => {
      const angle = (2 * Math.PI * i) / overlay.areas.length;
      return new Feature({
        geometry: new Point([
          area.centre.x_m + area.radius_m * Math.sin(angle),
          area.centre.y_m + area.radius_m * Math.cos(angle),
        ]),
        kind: "mark",
        label: area.label,
        colour: area.colour,
        offset: [0, i === 0 ? -14 : 16],
        strong: false,
      });
    }),
    ...overlay.lines
      .filter((line) => line.points.length > 1)
      .map(
        (line) =>
          new Feature({
            geometry: new LineString(line.points.map(at)),
            kind: "line",
            colour: line.colour,
            dashed: line.dashed,
          }),
      ),
    ...overlay.marks.map(
      (mark) =>
        new Feature({
          geometry: new Point(at(mark.at)),
          kind: "mark",
          label: mark.label,
          colour: mark.colour,
          offset: mark.offset,
          strong: mark.strong,
        }),
    ),
  ]);
}
