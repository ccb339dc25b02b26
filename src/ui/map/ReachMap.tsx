"use client";
import type OlMap from "ol/Map";
import type VectorLayer from "ol/layer/Vector";
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from "react";
import { localPlane } from "@/core/earth/local-plane";
import { degrees, wrapTurn } from "@/core/quantities/angle";
import { SituationDocument } from "@/core/situation/situation-document";
import { useReach, shownEnd } from "@/ui/landing/reach-store";
import { formatMargin } from "@/ui/landing/margin";
import { usePlaneOrigin } from "@/ui/landing/useReachAnswer";
import { useAppearance } from "@/ui/shell/useAppearance";
import { useLandingEnds, useWorkspace } from "@/ui/shell/library";
import { nearestAerodrome } from "@/ui/situation/place";
import { useSituation } from "@/ui/situation/situation-store";
import { useFormat } from "@/ui/units/units-store";
import { ScaleBar } from "./ScaleBar";
import { WindSign } from "./WindSign";
import { aircraftLayer, placeAircraft } from "./aircraft-layer";
import { aircraftDrag } from "./aircraft-drag";
import { type BaseMap, baseMap, watchPointed } from "./base-map";
import { mapPalette } from "./map-palette";
import { fillPaths, pathsLayer } from "./paths-layer";
import { type Overlay, overlayExtent } from "./overlay-extent";
import { fillOverlay, overlayLayer } from "./overlay-layer";
import { reliefSource } from "./relief-source";

interface Drawn extends BaseMap {
  readonly paths: VectorLayer;
  readonly aircraft: VectorLayer;
  readonly over: VectorLayer;
}

/** Metres a key press moves the aircraft: a tenth of a nautical mile. */
const NUDGE_M = 185.2;

/** Left free about an overlay when it is fitted, px. */
const FIT_PADDING = [84, 70, 40, 70];

/** The map: ground, strips, paths, and the aircraft that can be dragged and turned; over them what a view draws. */
export function ReachMap({ overlay = null, paths: withPaths = true }: { overlay?: Overlay | null; paths?: boolean }) {
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
    const paths = pathsLayer(palette);
    const aircraft = aircraftLayer(palette);
    const over = overlayLayer(palette);
    const at = plane.toPlane(useSituation.getState().current.position);
    const base = baseMap({
      target: element.current,
      plane,
      palette,
      aerodromes,
      sites,
      centre: { x_m: at.x_m + 1400, y_m: at.y_m - 900 },
      resolution_m: 16,
      layers: [paths, over, aircraft],
      onResolution: setResolution,
    });
    const { map } = base;
    map.addInteraction(aircraftDrag(plane));
    watchPointed(map, paths, (entry) => {
      if (useReach.getState().pointedEntry !== entry) useReach.getState().point(entry);
    });
    map.on("singleclick", (event) => {
      const nearest = [...places.values()]
        .map((end) => ({ id: end.id, point: plane.toPlane(end.threshold) }))
        .map(({ id, point }) => ({
          id,
          away: Math.hypot(point.x_m - event.coordinate[0], point.y_m - event.coordinate[1]),
        }))
        .sort((a, b) => a.away - b.away)[0];
      if (nearest && nearest.away < 30 * (map.getView().getResolution() ?? 20)) useReach.getState().pin(nearest.id);
    });
    setDrawn({ ...base, paths, aircraft, over });
    return base.close;
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
    placeAircraft(
      drawn.aircraft,
      at,
      heading_rad + plane.convergence_rad(position),
      format("height", altitude_m),
      resolution_m,
    );
  }, [drawn, plane, position, heading_rad, altitude_m, resolution_m, format]);

  const shownId = shownEnd({ answer, pinnedId })?.endId ?? null;
  useEffect(() => {
    if (!drawn || !answer || answer.origin !== origin) return;
    fillPaths(drawn.paths, withPaths ? (answer.reach?.ends ?? []) : [], places, plane, shownId, pointedEntry, (end) => {
      const designator = end.name.split(" ").at(-1) ?? "";
      return `${designator} ${end.path ? formatMargin(end.path.margin_m, format) : "no path"}`;
    });
  }, [drawn, answer, origin, places, plane, shownId, pointedEntry, format, withPaths]);

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
