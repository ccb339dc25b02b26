"use client";
import type OlMap from "ol/Map";
import type VectorLayer from "ol/layer/Vector";
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from "react";
import { localPlane } from "@/core/earth/local-plane";
import { degrees, wrapTurn } from "@/core/quantities/angle";
import { SituationDocument } from "@/core/situation/situation-document";
import { formatMargin } from "@/ui/kit/units/margin";
import { useTerrain } from "@/ui/kit/lanes/terrain";
import type { WayToEnd } from "@/core/landing/way-to-end";
import type { LatLon } from "@/core/earth/geodesic";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { useAppearance } from "@/ui/kit/appearance/useAppearance";
import { useAerodromes, useLandingEnds, useNearPlaces } from "@/ui/situation/useNearPlaces";
import { nearestAerodrome } from "@/ui/situation/place";
import { MapFrame } from "@/ui/library/MapFrame";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/kit/units/units-store";
import { WindSign } from "./WindSign";
import { aircraftLayer, placeAircraft } from "@/ui/kit/map/aircraft-layer";
import { aircraftDrag } from "./aircraft-drag";
import { type BaseMap, baseMap, watchPointed } from "@/ui/kit/map/base-map";
import { mapPalette } from "@/ui/kit/map/map-palette";
import { fillPaths, pathsLayer } from "@/ui/kit/map/paths-layer";
import { type Overlay, overlayExtent } from "@/ui/kit/map/overlay-extent";
import { fillOverlay, overlayLayer } from "@/ui/kit/map/overlay-layer";
import { reliefSource } from "@/ui/kit/map/relief-source";

interface Drawn extends BaseMap {
  readonly paths: VectorLayer;
  readonly aircraft: VectorLayer;
  readonly over: VectorLayer;
}

/** Metres a key press moves the aircraft: a tenth of a nautical mile. */
const NUDGE_M = 185.2;

/** Left free about an overlay when it is fitted, px. */
const FIT_PADDING = [84, 70, 40, 70];

/** Paths to landing ends, as a map shows them. */
export interface PathsOnMap {
  readonly ends: readonly WayToEnd[];
  /** Origin of the plane that their points are in. */
  readonly origin: LatLon;
  readonly shownId: string | null;
  /** Index of the ledger block that is pointed at. */
  readonly pointedEntry: number | null;
}

interface Props {
  overlay?: Overlay | null;
  paths?: PathsOnMap | null;
  /** A landing end was clicked. */
  onPick: (endId: string) => void;
  /** The pointer is on a block of the shown path, or on none. */
  onPoint: (entry: number | null) => void;
}

/** The map: ground, strips, paths, and the aircraft that can be dragged and turned; over them what a view draws. */
export function SituationMap({ overlay = null, paths = null, onPick, onPoint }: Props) {
  const element = useRef<HTMLDivElement>(null);
  const near = useNearPlaces();
  const aerodromes = useAerodromes();
  const origin = usePlaneOrigin();
  const plane = useMemo(() => localPlane(origin), [origin]);
  const ends = useLandingEnds();
  const places = useMemo(() => new Map(ends.map((end) => [end.id, end])), [ends]);
  const situationId = useSituation((state) => state.id);
  const { position, heading_rad, altitude_m } = useSituation((state) => state.current);
  const terrain = useTerrain((state) => state.grid);
  const format = useFormat();
  const appearance = useAppearance();
  const [drawn, setDrawn] = useState<Drawn | null>(null);
  const told = useRef({ onPick, onPoint });
  useEffect(() => {
    told.current = { onPick, onPoint };
  }, [onPick, onPoint]);
  const [resolution_m, setResolution] = useState(20);

  useEffect(() => {
    if (!element.current) return;
    const palette = mapPalette(appearance);
    const pathsOf = pathsLayer(palette);
    const aircraft = aircraftLayer(palette);
    const over = overlayLayer(palette);
    const here = plane.toPlane(useSituation.getState().current.position);
    const base = baseMap({
      target: element.current,
      plane,
      palette,
      places: near,
      centre: { x_m: here.x_m + 1400, y_m: here.y_m - 900 },
      resolution_m: 16,
      layers: [pathsOf, over, aircraft],
      onResolution: setResolution,
    });
    const { map } = base;
    map.addInteraction(aircraftDrag(plane));
    watchPointed(map, pathsOf, (entry) => told.current.onPoint(entry));
    map.on("singleclick", (event) => {
      const nearest = [...places.values()]
        .map((end) => ({ id: end.id, point: plane.toPlane(end.threshold) }))
        .map(({ id, point }) => ({
          id,
          away: Math.hypot(point.x_m - event.coordinate[0], point.y_m - event.coordinate[1]),
        }))
        .sort((a, b) => a.away - b.away)[0];
      if (nearest && nearest.away < 30 * (map.getView().getResolution() ?? 20)) told.current.onPick(nearest.id);
    });
    setDrawn({ ...base, paths: pathsOf, aircraft, over });
    return base.close;
  }, [appearance, plane, near, places]);

  // Another situation is looked at where its aircraft is; so is one that has left its plane.
  useEffect(() => {
    const node = element.current;
    return () => {
      delete node?.dataset.view;
    };
  }, [situationId, plane]);

  useEffect(() => {
    if (!drawn) return;
    const here = plane.toPlane(position);
    placeAircraft(
      drawn.aircraft,
      here,
      heading_rad + plane.convergence_rad(position),
      format("height", altitude_m),
      resolution_m,
    );
  }, [drawn, plane, position, heading_rad, altitude_m, resolution_m, format]);

  useEffect(() => {
    // Paths of a plane that is no more would be drawn beside where they are.
    if (!drawn || (paths && paths.origin !== origin)) return;
    const { ends: shown = [], shownId = null, pointedEntry = null } = paths ?? {};
    fillPaths(drawn.paths, shown, places, plane, shownId, pointedEntry, (end) => {
      const designator = end.name.split(" ").at(-1) ?? "";
      return `${designator} ${end.path ? formatMargin(end.path.margin_m, format) : "no path"}`;
    });
  }, [drawn, paths, origin, places, plane, format]);

  const overlayKey = overlay?.key ?? null;
  const latest = useRef(overlay);
  useEffect(() => {
    latest.current = overlay;
    if (drawn) fillOverlay(drawn.over, overlay);
  }, [drawn, overlay]);
  // Another overlay is looked at as a whole; one that only changes leaves the view where it is.
  useEffect(() => {
    if (!drawn || overlayKey === null) return;
    const fit = () => {
      const extent = latest.current && overlayExtent(latest.current);
      if (extent) drawn.map.getView().fit(extent, { padding: FIT_PADDING, size: drawn.map.getSize() });
    };
    fit();
    // The map gets its room only when what stands below it has come.
    drawn.map.on("change:size", fit);
    return () => drawn.map.un("change:size", fit);
  }, [drawn, overlayKey]);

  useEffect(() => {
    drawn?.relief.setSource(terrain && reliefSource(drawn.palette));
  }, [drawn, terrain]);

  const nudge = (event: KeyboardEvent) => {
    const done = mapKey(event, drawn?.map ?? null, plane);
    if (done) event.preventDefault();
  };

  const ground_m = nearestAerodrome(position, aerodromes)?.elevation_m ?? 0;
  return (
    <MapFrame
      element={element}
      map={drawn}
      resolution_m={resolution_m}
      label={`Map. Aircraft at ${format("height", altitude_m)}, heading ${Math.round(degrees(heading_rad))} degrees. Arrow keys move it, square brackets turn it, Page Up and Page Down change its height. The ranking below says the same in words.`}
      onKeyDown={nudge}
    >
      <WindSign ground_m={ground_m} />
    </MapFrame>
  );
}

/** Acts on a key pressed on the map; false for keys that mean nothing here. */
function mapKey(event: KeyboardEvent, map: OlMap | null, plane: ReturnType<typeof localPlane>): boolean {
  const { current, change } = useSituation.getState();
  const move = (x: number, y: number) => {
    const here = plane.toPlane(current.position);
    const size = NUDGE_M * (event.shiftKey ? 10 : 1);
    change({ position: plane.toLatLon({ x_m: here.x_m + x * size, y_m: here.y_m + y * size }) });
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
      const here = plane.toPlane(current.position);
      map?.getView().setCenter([here.x_m, here.y_m]);
    },
  };
  const action = event.ctrlKey || event.metaKey || event.altKey ? undefined : actions[event.key];
  action?.();
  return action !== undefined;
}
