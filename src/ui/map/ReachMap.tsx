"use client";
import "ol/ol.css";
import OlMap from "ol/Map";
import View from "ol/View";
import { MouseWheelZoom, defaults as defaultInteractions } from "ol/interaction";
import ImageLayer from "ol/layer/Image";
import type VectorLayer from "ol/layer/Vector";
import type ImageSource from "ol/source/Image";
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from "react";
import { localPlane } from "@/core/earth/local-plane";
import { degrees, wrapTurn } from "@/core/quantities/angle";
import { SituationDocument } from "@/core/situation/situation-document";
import { useReach, shownEnd } from "@/ui/landing/reach-store";
import { formatMargin } from "@/ui/landing/margin";
import { usePlaneOrigin } from "@/ui/landing/useReachAnswer";
import { onAppearance, shownAppearance } from "@/ui/shell/appearance";
import { useLandingEnds, useWorkspace } from "@/ui/shell/library";
import { nearestAerodrome } from "@/ui/situation/place";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/units/units-store";
import { ScaleBar } from "./ScaleBar";
import { WindSign } from "./WindSign";
import { aircraftLayer, placeAircraft } from "./aircraft-layer";
import { aircraftDrag } from "./aircraft-drag";
import { fillGraticule, graticuleLayer } from "./graticule-layer";
import { type MapPalette, mapPalette } from "./map-palette";
import { fillPaths, pathsLayer } from "./paths-layer";
import { PLANE_PROJECTION } from "./plane-projection";
import { reliefSource } from "./relief-source";
import { stripsLayer } from "./strips-layer";

interface Drawn {
  readonly map: OlMap;
  readonly relief: ImageLayer<ImageSource>;
  readonly palette: MapPalette;
  readonly paths: VectorLayer;
  readonly aircraft: VectorLayer;
}

/** Metres a key press moves the aircraft: a tenth of a nautical mile. */
const NUDGE_M = 185.2;

/** The map: ground, strips, paths, and the aircraft that can be dragged and turned. */
export function ReachMap() {
  const element = useRef<HTMLDivElement>(null);
  const { aerodromes, sites } = useWorkspace().library;
  const origin = usePlaneOrigin();
  const plane = useMemo(() => localPlane(origin), [origin]);
  const ends = useLandingEnds();
  const places = useMemo(() => new Map(ends.map((end) => [end.id, end])), [ends]);
  const situationId = useSituation((state) => state.id);
  const { position, heading_rad, altitude_m } = useSituation((state) => state.current);
  const answer = useReach((state) => state.answer);
  const pinnedId = useReach((state) => state.pinnedId);
  const pointedEntry = useReach((state) => state.pointedEntry);
  const format = useFormat();
  const appearance = useAppearance();
  const [drawn, setDrawn] = useState<Drawn | null>(null);
  const [resolution_m, setResolution] = useState(20);

  useEffect(() => {
    if (!element.current) return;
    const palette = mapPalette(appearance);
    const relief = new ImageLayer<ImageSource>();
    const graticule = graticuleLayer(palette);
    const paths = pathsLayer(palette);
    const aircraft = aircraftLayer(palette);
    // A change of day and night draws the map anew where it was looked at.
    const kept = element.current.dataset.view?.split(",").map(Number);
    const at = plane.toPlane(useSituation.getState().current.position);
    const view = new View({ projection: PLANE_PROJECTION, center: kept ? [kept[0], kept[1]] : [at.x_m + 1400, at.y_m - 900], resolution: kept?.[2] ?? 16, minResolution: 1.5, maxResolution: 160, enableRotation: false });
    const map = new OlMap({
      target: element.current,
      controls: [],
      interactions: defaultInteractions({ altShiftDragRotate: false, pinchRotate: false, keyboard: false, mouseWheelZoom: false }).extend([new MouseWheelZoom({ duration: 0 })]),
      layers: [relief, graticule, stripsLayer(aerodromes, sites, plane, palette), paths, aircraft],
      view,
    });
    map.addInteraction(aircraftDrag(plane));
    map.on("moveend", () => {
      fillGraticule(graticule, plane, view.calculateExtent(map.getSize()));
      setResolution(view.getResolution() ?? 20);
      if (element.current) element.current.dataset.view = [...(view.getCenter() ?? [0, 0]), view.getResolution() ?? 20].join(",");
    });
    map.on("pointermove", (event) => {
      if (event.dragging) return;
      const found = map.forEachFeatureAtPixel(event.pixel, (feature) => (feature.get("entry") as number | undefined) ?? null, { layerFilter: (layer) => layer === paths, hitTolerance: 4 });
      if (useReach.getState().pointedEntry !== (found ?? null)) useReach.getState().point(found ?? null);
    });
    map.on("singleclick", (event) => {
      const nearest = [...places.values()].map((end) => ({ id: end.id, point: plane.toPlane(end.threshold) })).map(({ id, point }) => ({ id, away: Math.hypot(point.x_m - event.coordinate[0], point.y_m - event.coordinate[1]) })).sort((a, b) => a.away - b.away)[0];
      if (nearest && nearest.away < 30 * (view.getResolution() ?? 20)) useReach.getState().pin(nearest.id);
    });
    setDrawn({ map, palette, relief, paths, aircraft });
    return () => {
      map.setTarget(undefined);
      map.dispose();
    };
  }, [appearance, plane, aerodromes, sites, places]);

  // Another situation is looked at where its aircraft is.
  useEffect(() => {
    const node = element.current;
    return () => {
      delete node?.dataset.view;
    };
  }, [situationId]);

  useEffect(() => {
    if (!drawn) return;
    const at = plane.toPlane(position);
    placeAircraft(drawn.aircraft, at, heading_rad + plane.convergence_rad(position), format("height", altitude_m), resolution_m);
  }, [drawn, plane, position, heading_rad, altitude_m, resolution_m, format]);

  const shownId = shownEnd({ answer, pinnedId })?.endId ?? null;
  useEffect(() => {
    if (!drawn || !answer || answer.origin !== origin) return;
    fillPaths(drawn.paths, answer.reach?.ends ?? [], places, plane, shownId, pointedEntry, (end) => {
      const designator = end.name.split(" ").at(-1) ?? "";
      return `${designator} ${end.path ? formatMargin(end.path.margin_m, format) : "no path"}`;
    });
  }, [drawn, answer, origin, places, plane, shownId, pointedEntry, format]);

  // Relief asked for before the worker holds the terrain would stay blank.
  const givenTerrain = answer?.terrainId;
  useEffect(() => {
    if (givenTerrain !== undefined) drawn?.relief.setSource(reliefSource(drawn.palette));
  }, [drawn, givenTerrain]);

  const nudge = (event: KeyboardEvent) => {
    const done = mapKey(event, drawn?.map ?? null, plane);
    if (done) event.preventDefault();
  };

  const ground_m = nearestAerodrome(position, aerodromes)?.elevation_m ?? 0;
  return (
    <div className="relative min-h-0">
      <div
        ref={element}
        className="absolute inset-0 bg-paper"
        tabIndex={0}
        role="application"
        aria-roledescription="map"
        aria-label={`Map. Aircraft at ${format("height", altitude_m)}, heading ${Math.round(degrees(heading_rad))} degrees. Arrow keys move it, square brackets turn it, Page Up and Page Down change its height. The ranking below says the same in words.`}
        onKeyDown={nudge}
      />
      <div className="pointer-events-none absolute bottom-2 left-3">
        <ScaleBar resolution_m={resolution_m} />
      </div>
      <WindSign ground_m={ground_m} />
    </div>
  );
}

/** Acts on a key pressed on the map; false for keys that mean nothing here. */
function mapKey(event: KeyboardEvent, map: OlMap | null, plane: ReturnType<typeof localPlane>): boolean {
  const { current, change } = useSituation.getState();
  const move = (x: number, y: number) => {
    const at = plane.toPlane(current.position);
    const size = NUDGE_M * (event.shiftKey ? 10 : 1);
    change({ position: plane.toLatLon({ x_m: at.x_m + x * size, y_m: at.y_m + y * size }) });
  };
  const turn = (angle_rad: number) => change({ heading_rad: wrapTurn(current.heading_rad + angle_rad) });
  const climb = (height_m: number) => {
    const altitude_m = current.altitude_m + height_m;
    if (SituationDocument.shape.altitude_m.safeParse(altitude_m).success) change({ altitude_m });
  };
  const zoom = (factor: number) => map?.getView().setResolution((map.getView().getResolution() ?? 20) * factor);
  const actions: Record<string, () => void> = {
    ArrowLeft: () => move(-1, 0),
    ArrowRight: () => move(1, 0),
    ArrowUp: () => move(0, 1),
    ArrowDown: () => move(0, -1),
    "[": () => turn(-Math.PI / 36),
    "]": () => turn(Math.PI / 36),
    PageUp: () => climb(30.48),
    PageDown: () => climb(-30.48),
    "+": () => zoom(1 / 1.4),
    "=": () => zoom(1 / 1.4),
    "-": () => zoom(1.4),
    c: () => {
      const at = plane.toPlane(current.position);
      map?.getView().setCenter([at.x_m, at.y_m]);
    },
  };
  const action = event.ctrlKey || event.metaKey || event.altKey ? undefined : actions[event.key];
  action?.();
  return action !== undefined;
}

function useAppearance(): "day" | "night" {
  const [appearance, setAppearance] = useState(shownAppearance);
  useEffect(() => onAppearance(() => setAppearance(shownAppearance())), []);
  return appearance;
}
