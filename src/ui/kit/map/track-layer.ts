import Feature from "ol/Feature";
import LineString from "ol/geom/LineString";
import Point from "ol/geom/Point";
import VectorLayer from "ol/layer/Vector";
import VectorSource from "ol/source/Vector";
import { Circle, Fill, Stroke, Style, Text } from "ol/style";
import type { MapPalette } from "./map-palette";

/** A line with what is said in its middle. */
export interface SaidLine {
  readonly points: readonly (readonly number[])[];
  readonly label: string;
}

/** A flown way, what happened on it, and where the aircraft is. */
export interface TrackDrawing {
  readonly way: readonly (readonly number[])[];
  /** The part that is looked at. */
  readonly part: readonly (readonly number[])[];
  /** What was predicted, dashed. */
  readonly predicted: readonly (readonly number[])[];
  /** Parts without a place in reach, and ways round them, with what is said of each. */
  readonly gaps: readonly SaidLine[];
  readonly rounds: readonly SaidLine[];
  readonly marks: readonly {
    readonly at: readonly number[];
    /** Where its label stands, with a leader to it. */
    readonly labelAt: readonly number[];
    readonly number: number;
    readonly label: string;
  }[];
  /** Where the aircraft is and which way it goes, clockwise from the plane's north; null for nowhere. */
  readonly here: { readonly at: readonly number[]; readonly heading_rad: number } | null;
}

const MONO = '12px "Atkinson Hyperlegible Mono Variable"';

/** A layer for it. */
export function trackLayer(palette: MapPalette): VectorLayer {
  const [ink, ink2, casing, blue, brick, pine] = ["ink", "ink2", "casing", "harbour", "brick", "pine"].map((name) =>
    palette.of(name),
  );
  const line = (color: string, width: number, lineDash?: number[]) =>
    new Style({ stroke: new Stroke({ color, width, lineDash }) });
  return new VectorLayer({
    source: new VectorSource(),
    updateWhileInteracting: true,
    declutter: true,
    style: (feature) => {
      switch (feature.get("kind")) {
        case "casing":
          return line(casing, 7);
        case "way":
          return line(ink2, 1.5);
        case "part":
          return line(blue, 3);
        case "predicted":
          return line(ink, 1.8, [7, 5]);
        case "gap":
          return line(brick, 4.5);
        case "round":
          return line(pine, 2.4, [8, 5]);
        case "gap-label":
          return said(feature.get("label"), brick, casing);
        case "round-label":
          return said(feature.get("label"), pine, casing);
        case "number":
          return new Style({
            image: new Circle({
              radius: 9,
              fill: new Fill({ color: casing }),
              stroke: new Stroke({ color: ink, width: 1.8 }),
            }),
            text: new Text({
              text: String(feature.get("number")),
              font: `700 ${MONO}`,
              fill: new Fill({ color: ink }),
              offsetY: 1,
              declutterMode: "none",
            }),
            zIndex: 6,
          });
        case "leader":
          return line(ink2, 1);
        default:
          return new Style({
            text: new Text({
              text: feature.get("label"),
              font: `600 ${MONO}`,
              textAlign: "left",
              offsetX: 14,
              fill: new Fill({ color: ink }),
              stroke: new Stroke({ color: casing, width: 3.5 }),
            }),
            zIndex: 5,
          });
      }
    },
  });
}

/** Writing beside the middle of a line. */
function said(text: string, colour: string, casing: string): Style {
  return new Style({
    text: new Text({
      text,
      font: '700 13px "Atkinson Hyperlegible Next Variable"',
      textAlign: "left",
      offsetX: 12,
      fill: new Fill({ color: colour }),
      stroke: new Stroke({ color: casing, width: 4 }),
    }),
    zIndex: 5,
  });
}

/** Puts a drawing on the layer. */
export function fillTrack(layer: VectorLayer, { way, part, predicted, gaps, rounds, marks }: TrackDrawing): void {
  const along = (points: readonly (readonly number[])[]) => new LineString(points.map((point) => [...point]));
  const features: Feature[] = [];
  const add = (kind: string, points: readonly (readonly number[])[]) => {
    if (points.length > 1) features.push(new Feature({ geometry: along(points), kind }));
  };
  add("casing", part);
  add("way", way);
  add("predicted", predicted);
  add("part", part);
  const say = (kind: string, lines: readonly SaidLine[]) => {
    for (const { points, label } of lines) {
      add(kind, points);
      if (points.length > 0)
        features.push(
          new Feature({ geometry: new Point(along(points).getFlatMidpoint()), kind: `${kind}-label`, label }),
        );
    }
  };
  say("gap", gaps);
  say("round", rounds);
  for (const { at, labelAt, number, label } of marks) {
    if (at !== labelAt) add("leader", [at, labelAt]);
    features.push(new Feature({ geometry: new Point([...labelAt]), kind: "label", label }));
    features.push(new Feature({ geometry: new Point([...labelAt]), kind: "number", number }));
  }
  const source = layer.getSource();
  source?.clear(true);
  source?.addFeatures(features);
}

/** A layer of the aircraft alone: it moves with the pointer. */
export function hereLayer(palette: MapPalette): VectorLayer {
  const stroke = new Stroke({ color: palette.of("ink"), width: 3 });
  return new VectorLayer({
    source: new VectorSource(),
    updateWhileInteracting: true,
    style: (feature, resolution) => {
      const heading: number = feature.get("heading");
      const [x, y] = (feature.getGeometry() as Point).getCoordinates();
      const [s, c] = [Math.sin(heading), Math.cos(heading)];
      const at = (right: number, ahead: number) => [
        x + (right * c + ahead * s) * resolution,
        y + (ahead * c - right * s) * resolution,
      ];
      const bar = (from: number[], to: number[]) =>
        new Style({ geometry: new LineString([from, to]), stroke, zIndex: 9 });
      return [bar(at(0, 13), at(0, -11)), bar(at(-12, 3), at(12, 3)), bar(at(-5, -9), at(5, -9))];
    },
  });
}

/** Moves it. */
export function fillHere(layer: VectorLayer, here: TrackDrawing["here"]): void {
  const source = layer.getSource();
  source?.clear(true);
  if (here) source?.addFeature(new Feature({ geometry: new Point([...here.at]), heading: here.heading_rad }));
}
