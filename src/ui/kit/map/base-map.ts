import "ol/ol.css";
import OlMap from "ol/Map";
import View from "ol/View";
import { MouseWheelZoom, defaults as defaultInteractions } from "ol/interaction";
import type BaseLayer from "ol/layer/Base";
import ImageLayer from "ol/layer/Image";
import type ImageSource from "ol/source/Image";
import type { LocalPlane, PlanePoint } from "@/core/earth/local-plane";
import type { Place } from "@/core/places/place";
import { fillGraticule, graticuleLayer } from "./graticule-layer";
import type { MapPalette } from "./map-palette";
import { planeProjection } from "./plane-projection";
import { stripFeaturesOf, stripsLayer } from "./strips-layer";

/** The ground with its strips, on which a stage draws. */
export interface BaseMap {
  readonly map: OlMap;
  readonly plane: LocalPlane;
  readonly relief: ImageLayer<ImageSource>;
  readonly palette: MapPalette;
  /** Shows other places, without making the map anew. */
  setPlaces(places: readonly Place[]): void;
  close(): void;
}

interface Options {
  readonly target: HTMLDivElement;
  readonly plane: LocalPlane;
  readonly palette: MapPalette;
  readonly places: readonly Place[];
  /** What a fresh map looks at; one drawn anew looks where it did before. */
  readonly centre: PlanePoint;
  readonly resolution_m: number;
  /** The stage's own layers, over the strips. */
  readonly layers: readonly BaseLayer[];
  readonly onResolution: (resolution_m: number) => void;
}

/** Makes the map. What it looks at is kept on its element, so that a change of day and night does not move it. */
export function baseMap({
  target,
  plane,
  palette,
  places,
  centre,
  resolution_m,
  layers,
  onResolution,
}: Options): BaseMap {
  const relief = new ImageLayer<ImageSource>();
  const graticule = graticuleLayer(palette);
  const strips = stripsLayer(places, plane, palette);
  const kept = target.dataset.view?.split(",").map(Number);
  const view = new View({
    projection: planeProjection(plane),
    center: kept ? [kept[0], kept[1]] : [centre.x_m, centre.y_m],
    resolution: kept?.[2] ?? resolution_m,
    minResolution: 1.5,
    // A jet’s flight of two hundred miles in one look.
    maxResolution: 600,
    enableRotation: false,
  });
  const map = new OlMap({
    target,
    controls: [],
    interactions: defaultInteractions({
      altShiftDragRotate: false,
      pinchRotate: false,
      keyboard: false,
      mouseWheelZoom: false,
    }).extend([new MouseWheelZoom({ duration: 0 })]),
    layers: [relief, graticule, strips, ...layers],
    view,
  });
  map.on("moveend", () => {
    fillGraticule(graticule, plane, view.calculateExtent(map.getSize()));
    onResolution(view.getResolution() ?? resolution_m);
    target.dataset.view = [...(view.getCenter() ?? [0, 0]), view.getResolution() ?? resolution_m].join(",");
  });
  return {
    map,
    plane,
    relief,
    palette,
    setPlaces: (shown) => {
      strips.getSource()?.clear(true);
      strips.getSource()?.addFeatures(stripFeaturesOf(shown, plane));
    },
    close: () => {
      map.setTarget(undefined);
      map.dispose();
    },
  };
}

/** Which block of the ledger the pointer is on, told as it moves; null for none. */
export function watchPointed(map: OlMap, paths: BaseLayer, point: (entry: number | null) => void): void {
  map.on("pointermove", (event) => {
    if (event.dragging) return;
    point(
      map.forEachFeatureAtPixel(event.pixel, (feature) => (feature.get("entry") as number | undefined) ?? null, {
        layerFilter: (layer) => layer === paths,
        hitTolerance: 4,
      }) ?? null,
    );
  });
}
