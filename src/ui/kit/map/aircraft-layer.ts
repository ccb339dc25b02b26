import Feature from "ol/Feature";
import LineString from "ol/geom/LineString";
import Point from "ol/geom/Point";
import VectorLayer from "ol/layer/Vector";
import VectorSource from "ol/source/Vector";
import { Circle, Fill, Icon, Stroke, Style, Text } from "ol/style";
import type { MapPalette } from "./map-palette";

/** Length of the heading line to its handle, px. */
export const HANDLE_PX = 44;

/** A plain aeroplane seen from above, nose up. */
export function silhouette(fill: string, stroke: string): string {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="34" height="34" viewBox="0 0 34 34"><path d="M17 3.5c1.3 0 2 1.6 2 3.6v5.2l11.5 5.4v2.6L19 18.4l-.6 7.2 4.1 2.9v2L17 29.2l-5.500 1.300v-2l4.100-2.900-.6-7.200L3.500 20.300v-2.600L15 12.300V7.100c0-2 .7-3.600 2-3.600z" fill="${fill}" stroke="${stroke}" stroke-width="1.8" stroke-linejoin="round"/></svg>`;
  return `data:image/svg+xml,${encodeURIComponent(svg)}`;
}

/** The aircraft, its heading with a handle to turn it, and its height. */
export function aircraftLayer(palette: MapPalette): VectorLayer {
  const ink = palette.of("ink");
  const casing = palette.of("casing");
  const src = silhouette(palette.of("sheet"), ink);
  return new VectorLayer({
    source: new VectorSource(),
    updateWhileInteracting: true,
    updateWhileAnimating: true,
    zIndex: 10,
    declutter: true,
    style: (feature) => {
      switch (feature.get("kind")) {
        case "heading":
          return [
            new Style({ stroke: new Stroke({ color: casing, width: 4 }) }),
            new Style({ stroke: new Stroke({ color: ink, width: 1.5 }) }),
          ];
        case "handle":
          return new Style({
            image: new Circle({
              radius: 6,
              fill: new Fill({ color: casing }),
              stroke: new Stroke({ color: palette.of("harbour"), width: 2.2 }),
            }),
          });
        default:
          return new Style({
            // Names give way to it, never the other way round.
            image: new Icon({
              src,
              rotation: feature.get("heading_rad"),
              rotateWithView: true,
              declutterMode: "obstacle",
            }),
            text: new Text({
              text: feature.get("label"),
              font: '600 13px "Atkinson Hyperlegible Next Variable"',
              fill: new Fill({ color: ink }),
              stroke: new Stroke({ color: casing, width: 3.5 }),
              textAlign: "left",
              offsetX: 22,
              offsetY: 20,
            }),
          });
      }
    },
  });
}

/** Puts the aircraft on the map; `heading_rad` is in the plane. */
export function placeAircraft(
  layer: VectorLayer,
  point: { x_m: number; y_m: number },
  heading_rad: number,
  label: string,
  resolution_m: number,
): void {
  const reach = HANDLE_PX * resolution_m;
  const handle = [point.x_m + reach * Math.sin(heading_rad), point.y_m + reach * Math.cos(heading_rad)];
  const source = layer.getSource();
  source?.clear(true);
  source?.addFeatures([
    new Feature({ geometry: new LineString([[point.x_m, point.y_m], handle]), kind: "heading" }),
    new Feature({ geometry: new Point(handle), kind: "handle" }),
    new Feature({ geometry: new Point([point.x_m, point.y_m]), kind: "aircraft", heading_rad, label }),
  ]);
}
