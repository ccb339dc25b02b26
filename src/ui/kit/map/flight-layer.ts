import Feature from "ol/Feature";
import LineString from "ol/geom/LineString";
import Point from "ol/geom/Point";
import VectorLayer from "ol/layer/Vector";
import VectorSource from "ol/source/Vector";
import { Circle, Fill, RegularShape, Stroke, Style, Text } from "ol/style";
import { casingStyle, partStyle } from "./account-colour";
import type { MapPalette } from "./map-palette";

/** A part of a flight over the ground, in the colour of its account. */
export interface FlightLine {
  readonly account: string;
  /** Block of the ledger that it belongs to. */
  readonly entry: number;
  readonly points: readonly (readonly number[])[];
}

/** A place on the way: where the engine stops, touchdown, where it stands. */
export interface FlightMark {
  readonly kind: "failure" | "touchdown" | "stop" | "spot";
  readonly at: readonly number[];
  readonly label: string;
}

/** What the layer draws: the climb with its heights, the flight, marks. */
export interface FlightDrawing {
  readonly climb: readonly (readonly number[])[];
  readonly ticks: readonly {
    readonly at: readonly number[];
    readonly across: readonly number[];
    readonly label: string;
  }[];
  readonly lines: readonly FlightLine[];
  readonly marks: readonly FlightMark[];
  readonly pointed: number | null;
}

/** Climb-out and the flight after the failure. */
export function flightLayer(palette: MapPalette): VectorLayer {
  const casing = palette.of("casing");
  const [ink, ink2] = [palette.of("ink"), palette.of("ink2")];
  const text = (label: string, offsetX: number, offsetY: number, weight: number, colour: string) =>
    new Text({
      text: label,
      font: `${weight} 12px "Atkinson Hyperlegible Mono Variable"`,
      fill: new Fill({ color: colour }),
      stroke: new Stroke({ color: casing, width: 3.5 }),
      offsetX,
      offsetY,
    });
  return new VectorLayer({
    source: new VectorSource(),
    updateWhileInteracting: true,
    updateWhileAnimating: true,
    declutter: true,
    style: (feature) => {
      switch (feature.get("kind")) {
        case "climb":
          return new Style({ stroke: new Stroke({ color: ink2, width: 1.6, lineDash: [7, 4] }), zIndex: 1 });
        case "tick":
          return new Style({ stroke: new Stroke({ color: ink2, width: 1.6 }), zIndex: 1 });
        case "tick-label":
          return new Style({ text: text(feature.get("label"), 0, 14, 500, ink2), zIndex: 1 });
        case "casing":
          return casingStyle(palette);
        case "part":
          return partStyle(palette, feature.get("account"), feature.get("pointed"));
        default: {
          const kind: FlightMark["kind"] = feature.get("mark");
          const stroke = new Stroke({ color: casing, width: 2 });
          const image =
            kind === "failure"
              ? new Circle({ radius: 6, fill: new Fill({ color: ink }), stroke })
              : kind === "touchdown"
                ? new RegularShape({ points: 3, radius: 7, fill: new Fill({ color: ink }), stroke })
                : new RegularShape({
                    points: 4,
                    radius: 7,
                    angle: Math.PI / 4,
                    fill: new Fill({ color: ink }),
                    stroke,
                  });
          return new Style({
            image,
            text: text(feature.get("label"), 0, kind === "failure" || kind === "stop" ? -15 : 17, 700, ink),
            zIndex: 5,
          });
        }
      }
    },
  });
}

/** Puts a drawing on the map. */
export function fillFlight(layer: VectorLayer, { climb, ticks, lines, marks, pointed }: FlightDrawing): void {
  const line = (points: readonly (readonly number[])[]) => new LineString(points.map((point) => [...point]));
  const features: Feature[] = [new Feature({ geometry: line(climb), kind: "climb" })];
  for (const tick of ticks)
    features.push(
      new Feature({ geometry: line([tick.at, tick.across]), kind: "tick" }),
      new Feature({ geometry: new Point([...tick.at]), kind: "tick-label", label: tick.label }),
    );
  const all = lines.flatMap((part) => part.points);
  if (all.length > 1) features.push(new Feature({ geometry: line(all), kind: "casing" }));
  for (const part of lines)
    if (part.points.length > 1)
      features.push(
        new Feature({
          geometry: line(part.points),
          kind: "part",
          account: part.account,
          entry: part.entry,
          pointed: pointed === part.entry,
        }),
      );
  for (const mark of marks)
    features.push(new Feature({ geometry: new Point([...mark.at]), kind: "mark", mark: mark.kind, label: mark.label }));
  const source = layer.getSource();
  source?.clear(true);
  source?.addFeatures(features);
}
