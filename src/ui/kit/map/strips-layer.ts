import Feature from "ol/Feature";
import LineString from "ol/geom/LineString";
import Point from "ol/geom/Point";
import Polygon from "ol/geom/Polygon";
import VectorLayer from "ol/layer/Vector";
import VectorSource from "ol/source/Vector";
import { Fill, Stroke, Style, Text } from "ol/style";
import type { LocalPlane } from "@/core/earth/local-plane";
import { type LandingSite, type Place, type Strip, type WaterSite, isAerodrome, stripsOf } from "@/core/places/place";
import type { MapPalette } from "./map-palette";

/** Farther out than this the names of surveyed fields are left out, m per pixel. */
export const FIELD_NAMES_TO = 55;

/** Runways, fields and beaches to scale, with the names of the places. */
export function stripsLayer(places: readonly Place[], plane: LocalPlane, palette: MapPalette): VectorLayer {
  const ink = palette.of("ink");
  const casing = palette.of("casing");
  const layer = new VectorLayer({
    source: new VectorSource({ features: stripFeaturesOf(places, plane) }),
    updateWhileInteracting: true,
    declutter: true,
    style: (feature, resolution) => {
      switch (feature.get("kind")) {
        case "runway":
          return [
            new Style({ stroke: new Stroke({ color: casing, width: 4 }) }),
            new Style({ fill: new Fill({ color: ink }), stroke: new Stroke({ color: ink, width: 1.6 }) }),
          ];
        case "centre":
          return resolution < 12
            ? new Style({ stroke: new Stroke({ color: casing, width: 1, lineDash: [7, 6] }) })
            : undefined;
        case "outline":
          return new Style({ stroke: new Stroke({ color: ink, width: 1, lineDash: [1.5, 3] }) });
        case "water":
          return new Style({ stroke: new Stroke({ color: palette.of("harbour"), width: 1.6, lineDash: [8, 4] }) });
        case "field":
          return new Style({
            fill: new Fill({ color: casing }),
            stroke: new Stroke({ color: ink, width: 1.3, lineDash: [4, 2.5] }),
          });
        default: {
          const site = feature.get("kind") === "site";
          if (site && resolution > FIELD_NAMES_TO) return undefined;
          return new Style({
            text: new Text({
              text: feature.get("name"),
              font: `${site ? "500 12px" : "700 14px"} "Atkinson Hyperlegible Next Variable"`,
              fill: new Fill({ color: ink }),
              stroke: new Stroke({ color: casing, width: 3.5 }),
              textAlign: "right",
              offsetX: -10,
              offsetY: -10,
            }),
          });
        }
      }
    },
  });
  return layer;
}

/** Places as features of the layer. */
export function stripFeaturesOf(places: readonly Place[], plane: LocalPlane): Feature[] {
  return [
    ...places.flatMap((place) => (isAerodrome(place) ? [] : outlineFeatures(place, plane))),
    ...places.flatMap((place) => stripsOf(place).flatMap((strip) => stripFeatures(strip, plane, !isAerodrome(place)))),
    ...places.map((place) => {
      if (isAerodrome(place))
        return named(place.name, plane.toPlane(place.position), "aerodrome", place.kind === "helipad");
      const [a, b] = place.strip.ends.map((end) => plane.toPlane(end.threshold));
      return named(place.name, { x_m: (a.x_m + b.x_m) / 2, y_m: (a.y_m + b.y_m) / 2 }, "site", false);
    }),
  ];
}

/** The ground around a site, as it was drawn. */
function outlineFeatures({ outline }: LandingSite | WaterSite, plane: LocalPlane): Feature[] {
  if (!outline) return [];
  const ring = [...outline, outline[0]].map((corner) => {
    const { x_m, y_m } = plane.toPlane(corner);
    return [x_m, y_m];
  });
  return [new Feature({ geometry: new Polygon([ring]), kind: "outline" })];
}

function stripFeatures(strip: Strip, plane: LocalPlane, unprepared: boolean): Feature[] {
  const [a, b] = strip.ends.map((end) => plane.toPlane(end.threshold));
  const length = Math.hypot(b.x_m - a.x_m, b.y_m - a.y_m);
  // Half the width, to the right of the line from a to b.
  const x = ((b.y_m - a.y_m) / length) * (strip.width_m / 2);
  const y = (-(b.x_m - a.x_m) / length) * (strip.width_m / 2);
  const ring = [
    [a.x_m - x, a.y_m - y],
    [b.x_m - x, b.y_m - y],
    [b.x_m + x, b.y_m + y],
    [a.x_m + x, a.y_m + y],
  ];
  const ground = new Feature({
    geometry: new Polygon([[...ring, ring[0]]]),
    kind: strip.surface === "water" ? "water" : unprepared ? "field" : "runway",
  });
  if (unprepared) return [ground];
  return [
    ground,
    new Feature({
      geometry: new LineString([
        [a.x_m, a.y_m],
        [b.x_m, b.y_m],
      ]),
      kind: "centre",
    }),
  ];
}

function named(
  name: string,
  point: { x_m: number; y_m: number },
  kind: "aerodrome" | "site",
  helipad: boolean,
): Feature {
  return new Feature({ geometry: new Point([point.x_m, point.y_m]), kind, name: helipad ? `${name} (helipad)` : name });
}
