import Feature from "ol/Feature";
import LineString from "ol/geom/LineString";
import Point from "ol/geom/Point";
import VectorLayer from "ol/layer/Vector";
import VectorSource from "ol/source/Vector";
import { Fill, Stroke, Style, Text } from "ol/style";
import type { LocalPlane } from "@/core/earth/local-plane";
import { formatLatitude, formatLongitude } from "@/core/earth/coordinates";
import type { MapPalette } from "./map-palette";

/** Distances between lines that read well, degrees. */
const STEPS_DEG = [1 / 60, 2 / 60, 5 / 60, 10 / 60, 0.5, 1];
/** Points that a line is bent through. */
const BENDS = 12;

/** Latitude and longitude lines. */
export function graticuleLayer(palette: MapPalette): VectorLayer {
  return new VectorLayer({
    source: new VectorSource(),
    style: (feature) =>
      feature.get("label")
        ? new Style({
            text: new Text({
              text: feature.get("label"),
              font: '11px "Atkinson Hyperlegible Mono Variable"',
              fill: new Fill({ color: palette.of("ink2") }),
              stroke: new Stroke({ color: palette.of("casing"), width: 3 }),
              textAlign: feature.get("along") === "parallel" ? "left" : "center",
              textBaseline: feature.get("along") === "parallel" ? "bottom" : "top",
              offsetX: feature.get("along") === "parallel" ? 4 : 0,
              offsetY: feature.get("along") === "parallel" ? -2 : 4,
            }),
          })
        : new Style({ stroke: new Stroke({ color: palette.of("ink2"), width: 0.6, lineDash: [1, 5] }) }),
  });
}

/** Draws the lines that lie in view. */
export function fillGraticule(
  layer: VectorLayer,
  plane: LocalPlane,
  [west, south, east, north]: readonly number[],
): void {
  const corners = [
    [west, south],
    [east, south],
    [west, north],
    [east, north],
  ].map(([x_m, y_m]) => plane.toLatLon({ x_m, y_m }));
  const latitudes = corners.map((corner) => corner.latitude_deg);
  const longitudes = corners.map((corner) => corner.longitude_deg);
  const [south_deg, north_deg] = [Math.min(...latitudes), Math.max(...latitudes)];
  const [west_deg, east_deg] = [Math.min(...longitudes), Math.max(...longitudes)];
  const step =
    STEPS_DEG.find((candidate) => (north_deg - south_deg) / candidate <= 4 && (east_deg - west_deg) / candidate <= 6) ??
    2;
  const line = (from: [number, number], to: [number, number]) =>
    Array.from({ length: BENDS + 1 }, (_, i) => {
      const share = i / BENDS;
      const point = plane.toPlane({
        latitude_deg: from[0] + share * (to[0] - from[0]),
        longitude_deg: from[1] + share * (to[1] - from[1]),
      });
      return [point.x_m, point.y_m];
    });
  const features: Feature[] = [];
  for (let i = Math.ceil(south_deg / step); i * step <= north_deg; i += 1) {
    const points = line([i * step, west_deg], [i * step, east_deg]);
    features.push(
      new Feature({ geometry: new LineString(points) }),
      new Feature({
        geometry: new Point([west, heightAt(points, west, 0)]),
        label: formatLatitude(i * step),
        along: "parallel",
      }),
    );
  }
  for (let i = Math.ceil(west_deg / step); i * step <= east_deg; i += 1) {
    const points = line([south_deg, i * step], [north_deg, i * step]);
    features.push(
      new Feature({ geometry: new LineString(points) }),
      new Feature({
        geometry: new Point([heightAt(points, north, 1), north]),
        label: formatLongitude(i * step),
        along: "meridian",
      }),
    );
  }
  const source = layer.getSource();
  source?.clear(true);
  source?.addFeatures(features);
}

/** Where a line crosses the edge of the view: the other coordinate at a value of the one of `axis`. */
function heightAt(points: readonly number[][], value: number, axis: 0 | 1): number {
  const other = 1 - axis;
  const i = points.findIndex((point, at) => at > 0 && point[axis] >= value !== points[at - 1][axis] >= value);
  if (i < 1) return points[0][other];
  const [a, b] = [points[i - 1], points[i]];
  return a[other] + ((value - a[axis]) / (b[axis] - a[axis])) * (b[other] - a[other]);
}
