import Feature from "ol/Feature";
import LineString from "ol/geom/LineString";
import Point from "ol/geom/Point";
import VectorLayer from "ol/layer/Vector";
import VectorSource from "ol/source/Vector";
import { Fill, Stroke, Style, Text } from "ol/style";
import type { LandingEnd } from "@/core/landing/landing-end";
import type { LocalPlane } from "@/core/earth/local-plane";
import type { WayToEnd, ReachStatus } from "@/core/landing/way-to-end";
import { casingStyle, partStyle } from "./account-colour";
import type { MapPalette } from "./map-palette";

/** What is said at a landing end. */
interface EndLabel {
  readonly text: string;
  readonly status: ReachStatus;
  readonly shown: boolean;
}

const STATUS_COLOUR: Record<ReachStatus, string> = {
  reached: "pine",
  reserve: "ochre",
  short: "brick",
  terrain: "brick",
  none: "brick",
};

/** Paths over the ground: the shown one in the colours of its ledger, the others within reach as thin lines. */
export function pathsLayer(palette: MapPalette): VectorLayer {
  const casing = palette.of("casing");
  const ink2 = palette.of("ink2");
  return new VectorLayer({
    source: new VectorSource(),
    updateWhileInteracting: true,
    updateWhileAnimating: true,
    declutter: true,
    style: (feature) => {
      switch (feature.get("kind")) {
        case "other":
          return new Style({ stroke: new Stroke({ color: ink2, width: 1.1, lineDash: [5, 4] }), zIndex: 1 });
        case "casing":
          return casingStyle(palette);
        case "part":
          return partStyle(palette, feature.get("account"), feature.get("pointed"));
        default: {
          const label: EndLabel = feature.get("label");
          return new Style({
            text: new Text({
              text: label.text,
              font: `${label.shown ? "700 14px" : "500 12px"} "Atkinson Hyperlegible Mono Variable"`,
              fill: new Fill({ color: palette.of(STATUS_COLOUR[label.status]) }),
              stroke: new Stroke({ color: casing, width: 3.5 }),
              offsetX: feature.get("offsetX"),
              offsetY: feature.get("offsetY"),
            }),
            zIndex: label.shown ? 5 : 4,
          });
        }
      }
    },
  });
}

/** Puts the answer on the map. */
export function fillPaths(
  layer: VectorLayer,
  ends: readonly WayToEnd[],
  places: ReadonlyMap<string, LandingEnd>,
  plane: LocalPlane,
  shownId: string | null,
  pointedEntry: number | null,
  say: (end: WayToEnd) => string,
): void {
  const features: Feature[] = [];
  for (const end of ends) {
    const place = places.get(end.endId);
    const shown = end.endId === shownId;
    const unprepared = place?.unprepared ?? true;
    if (!place || (!shown && (end.status === "none" || (end.path && end.path.margin_m < -end.path.have_m)))) continue;
    if (shown) features.push(...shownPath(end, pointedEntry));
    else if (end.status === "reached")
      features.push(
        new Feature({ geometry: new LineString(end.points.map((point) => [point.x_m, point.y_m])), kind: "other" }),
      );
    const here = plane.toPlane(place.threshold);
    // A field that falls short is one of many: the ranking says so, the map stays readable.
    if (!shown && unprepared && end.status !== "reached") continue;
    // Beside the threshold, away from the strip, so that the two ends of a strip do not lie on each other.
    const outward = place.headingTrue_rad + Math.PI + plane.convergence_rad(place.threshold);
    features.push(
      new Feature({
        geometry: new Point([here.x_m, here.y_m]),
        kind: "label",
        label: { text: say(end), status: end.status, shown },
        offsetX: 34 * Math.sin(outward),
        offsetY: -16 * Math.cos(outward) + 4,
      }),
    );
  }
  const source = layer.getSource();
  source?.clear(true);
  source?.addFeatures(features);
}

function shownPath(end: WayToEnd, pointedEntry: number | null): Feature[] {
  const line = end.points.map((point) => [point.x_m, point.y_m]);
  if (line.length < 2) return [];
  const features = [new Feature({ geometry: new LineString(line), kind: "casing" })];
  (end.path?.ledger ?? []).forEach((entry, index) => {
    const first = end.points.findIndex((point) => point.entry === index);
    if (first < 0) return;
    const last = end.points.findLastIndex((point) => point.entry === index);
    const part = line.slice(Math.max(0, first - 1), last + 1);
    if (part.length > 1)
      features.push(
        new Feature({
          geometry: new LineString(part),
          kind: "part",
          account: entry.account,
          entry: index,
          pointed: pointedEntry === index,
        }),
      );
  });
  return features;
}
