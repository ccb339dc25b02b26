"use client";
import { useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import { type LatLon, geodesicBetween } from "@/core/earth/geodesic";
import { type LocalPlane, localPlane } from "@/core/earth/local-plane";
import type { TerrainFrame } from "@/server/terrains";
import { fillOverlay, overlayLayer } from "@/ui/kit/map/overlay-layer";
import type { Overlay } from "@/ui/kit/map/overlay-extent";
import type VectorLayer from "ol/layer/Vector";
import { planeOrigin } from "@/core/earth/working-plane";
import { longestStrip } from "@/core/places/outline";
import { newAerodrome, newRunway, newSite, siteWidth_m } from "@/core/places/new-place";
import { type Place, isAerodrome, positionOf, stripsOf } from "@/core/places/place";
import { magneticHeading_rad } from "@/core/places/strip-line";
import { threeFigures } from "@/core/quantities/angle";
import { useAppearance } from "@/ui/kit/appearance/useAppearance";
import { useTerrain } from "@/ui/kit/lanes/terrain";
import { ScaleBar } from "@/ui/kit/map/ScaleBar";
import { type BaseMap, baseMap } from "@/ui/kit/map/base-map";
import { mapPalette } from "@/ui/kit/map/map-palette";
import { type PlaceDrawing, type Shape, placeDrawing } from "@/ui/kit/map/place-drawing";
import { reliefSource } from "@/ui/kit/map/relief-source";
import { useFormat } from "@/ui/kit/units/units-store";
import { MapBackground } from "@/ui/library/MapBackground";
import { holdPlacesUndo, releasePlacesUndo, usePlacesStore } from "@/ui/library/places-store";
import { useWorkspace } from "@/ui/library/workspace";
import { useSituation } from "@/ui/situation/situation-store";
import { elevationNear_m } from "./elevation-near";
import { moved } from "./moved";
import { usePlacesView } from "./places-view-store";

interface Drawn extends BaseMap {
  readonly drawing: PlaceDrawing;
  /** How far the terrain reaches. */
  readonly over: VectorLayer;
}

/** The handles of a place that is being changed. */
function shapesOf(place: Place): Shape[] {
  return [
    ...stripsOf(place).map((strip): Shape => ({
      key: `strip:${strip.id}`,
      kind: "line",
      points: strip.ends.map((end) => end.threshold),
    })),
    ...(!isAerodrome(place) && place.outline
      ? [{ key: "outline", kind: "area", points: place.outline } satisfies Shape]
      : []),
    ...(isAerodrome(place) && place.runways.length === 0
      ? [{ key: "position", kind: "point", points: [place.position] } satisfies Shape]
      : []),
  ];
}

const NAMES = { field: "Field", beach: "Beach", water: "Water" } as const;

/** A name that no place of one's own has yet: "Field 3". */
function freeName(places: readonly Place[], noun: string): string {
  const taken = new Set(places.map(({ name }) => name));
  for (let i = 1; ; i += 1) {
    const name = i === 1 ? noun : `${noun} ${i}`;
    if (!taken.has(name)) return name;
  }
}

/** When something was drawn last, and how long after it a click is still part of that, ms. */
let lastDrawn_ms = -Infinity;
const CLICK_MS = 600;

/** What was drawn becomes a place, or a part of the one selected. */
function take(points: readonly LatLon[]): void {
  const { drawing, selectedId, draw, select } = usePlacesView.getState();
  const { places, put } = usePlacesStore.getState();
  if (!drawing?.makes) return;
  draw(null);
  lastDrawn_ms = performance.now();
  const selected = places.find(({ id }) => id === selectedId);
  const made = (name: string) => ({
    newId: () => crypto.randomUUID(),
    name: freeName(places, name),
    elevation_m: elevationNear_m(points[0], places),
    day: new Date(),
  });
  const ends = points.length >= 2 ? ([points[0], points[1]] as const) : null;
  const { makes } = drawing;
  if (makes === "outline") {
    if (selected && !isAerodrome(selected)) put({ ...selected, outline: [...points] });
    return;
  }
  if (makes === "runway") {
    if (selected && isAerodrome(selected) && ends)
      put({ ...selected, kind: "aerodrome", runways: [...selected.runways, newRunway(ends, made(""))] });
    return;
  }
  if (makes === "helipad" || makes === "aerodrome") {
    if (makes === "aerodrome" && !ends) return;
    const place = newAerodrome(
      makes === "helipad" || !ends ? points[0] : ends,
      made(makes === "helipad" ? "Helipad" : "Aerodrome"),
    );
    put(place);
    return select(place.id);
  }
  const outline = points.length > 2 ? points : null;
  const strip = outline ? longestStrip(outline, siteWidth_m(makes)) : ends;
  if (!strip) {
    toast(`No strip of ${siteWidth_m(makes)} m width fits into this outline. Nothing was added.`);
    return;
  }
  const place = newSite(makes, strip, outline, made(NAMES[makes]));
  put(place);
  select(place.id);
}

/** The map on which places are drawn, dragged and measured. */
export function PlacesMap() {
  const element = useRef<HTMLDivElement>(null);
  const own = usePlacesStore((state) => state.places);
  const { places: stored, terrains } = useWorkspace().library;
  const { selectedId, drawing, lookAt, select } = usePlacesView();
  const position = useSituation((state) => state.current.position);
  const terrainId = useSituation((state) => state.current.terrainId);
  const terrain = useTerrain((state) => state.grid);
  const working = useTerrain((state) => state.origin);
  const format = useFormat();
  const appearance = useAppearance();
  const [drawn, setDrawn] = useState<Drawn | null>(null);
  const [resolution_m, setResolution] = useState(20);
  const ground = terrains.find(({ id }) => id === terrainId)?.frame.origin ?? null;
  const { latitude_deg, longitude_deg } = planeOrigin(lookAt ?? position, ground);
  const plane = useMemo(() => localPlane({ latitude_deg, longitude_deg }), [latitude_deg, longitude_deg]);
  const lent = useMemo(() => stored.flatMap(({ shared, document }) => (shared ? [document] : [])), [stored]);
  const shown = useMemo(
    () => [...own, ...lent].filter((place) => geodesicBetween(plane.origin, positionOf(place)).distance_m < 200_000),
    [own, lent, plane],
  );
  const selected = own.find(({ id }) => id === selectedId) ?? null;
  const latest = useRef({ shown, selected });
  useEffect(() => {
    latest.current = { shown, selected };
  }, [shown, selected]);

  useEffect(() => {
    if (!element.current) return;
    const palette = mapPalette(appearance);
    const over = overlayLayer(palette);
    const here = plane.toPlane(lookAt ?? position);
    const day = new Date();
    const base = baseMap({
      target: element.current,
      plane,
      palette,
      places: [],
      centre: here,
      resolution_m: 20,
      layers: [over],
      onResolution: setResolution,
    });
    const measured = (from: LatLon, to: LatLon) => {
      const line = geodesicBetween(from, to);
      const magnetic = threeFigures(magneticHeading_rad(from, line.azimuthStart_rad, day));
      return `${format("length", line.distance_m)} ${magnetic}°M`;
    };
    let dragged = false;
    const shapes = placeDrawing(base.map, plane, palette, null, measured, (key, points, done) => {
      const place = latest.current.selected;
      if (!place) return;
      // Once for the whole drag: all of it is one step.
      if (!dragged) holdPlacesUndo();
      dragged = !done;
      usePlacesStore.getState().put(moved(place, key, points, day));
      if (done) releasePlacesUndo();
    });
    base.map.on("singleclick", (event) => {
      // The last click of a drawing is told as a click too, a moment later.
      if (usePlacesView.getState().drawing || performance.now() - lastDrawn_ms < CLICK_MS) return;
      const nearest = latest.current.shown
        .map((place) => ({ place, point: plane.toPlane(positionOf(place)) }))
        .map(({ place, point }) => ({
          place,
          away: Math.hypot(point.x_m - event.coordinate[0], point.y_m - event.coordinate[1]),
        }))
        .sort((a, b) => a.away - b.away)[0];
      const reach = 40 * (base.map.getView().getResolution() ?? 20);
      select(nearest && nearest.away < reach ? nearest.place.id : null);
    });
    setDrawn({ ...base, drawing: shapes, over });
    return base.close;
    // Where the aircraft stands when the map is made is where it looks; moving it later does not make another.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [appearance, plane, format, select]);

  useEffect(() => drawn?.setPlaces(shown), [drawn, shown]);
  useEffect(() => {
    const chosen = terrains.find(({ id }) => id === terrainId);
    if (drawn) fillOverlay(drawn.over, chosen ? coverage(chosen, plane) : null);
  }, [drawn, terrains, terrainId, plane]);
  useEffect(() => drawn?.drawing.show(selected ? shapesOf(selected) : []), [drawn, selected]);
  useEffect(() => {
    if (!drawn) return;
    if (drawing) drawn.drawing.begin(drawing.tool, take);
    else drawn.drawing.end();
  }, [drawn, drawing]);
  useEffect(() => {
    if (!drawn || !lookAt) return;
    const { x_m, y_m } = plane.toPlane(lookAt);
    drawn.map.getView().setCenter([x_m, y_m]);
    if ((drawn.map.getView().getResolution() ?? 20) > 12) drawn.map.getView().setResolution(8);
  }, [drawn, lookAt, plane]);
  const onPlane = working !== null && working.latitude_deg === latitude_deg && working.longitude_deg === longitude_deg;
  useEffect(() => {
    drawn?.relief.setSource(terrain && onPlane ? reliefSource(drawn.palette) : null);
  }, [drawn, terrain, onPlane]);

  return (
    <div className="relative min-h-0">
      <div
        ref={element}
        className={`absolute inset-0 bg-paper ${drawing ? "cursor-crosshair" : ""}`}
        tabIndex={0}
        role="application"
        aria-roledescription="map"
        aria-label="Map of places. Ends and corners of the selected place can be dragged; the form beside it takes the same as figures. Plus and minus zoom, arrow keys move the map."
        onKeyDown={(event) => {
          const view = drawn?.map.getView();
          const [x, y] = view?.getCenter() ?? [0, 0];
          const step = 80 * (view?.getResolution() ?? 20);
          const actions: Record<string, () => void> = {
            "+": () => view?.setResolution((view.getResolution() ?? 20) / 1.4),
            "=": () => view?.setResolution((view.getResolution() ?? 20) / 1.4),
            "-": () => view?.setResolution((view.getResolution() ?? 20) * 1.4),
            ArrowLeft: () => view?.setCenter([x - step, y]),
            ArrowRight: () => view?.setCenter([x + step, y]),
            ArrowUp: () => view?.setCenter([x, y + step]),
            ArrowDown: () => view?.setCenter([x, y - step]),
            Escape: () => usePlacesView.getState().draw(null),
          };
          if (event.ctrlKey || event.metaKey || event.altKey || !actions[event.key]) return;
          event.preventDefault();
          actions[event.key]();
        }}
      />
      {drawing && (
        <p role="status" className="panel absolute top-2 left-1/2 -translate-x-1/2 px-3 py-1 text-[14px]">
          {HELP[drawing.tool]} Escape ends it.
        </p>
      )}
      <div className="pointer-events-none absolute bottom-2 left-3">
        <ScaleBar resolution_m={resolution_m} />
      </div>
      <MapBackground map={drawn} />
    </div>
  );
}

/** Points along a side of what a terrain covers: the side of one plane is no straight line on another. */
const SIDE_POINTS = 8;

function coverage({ name, frame }: TerrainFrame, plane: LocalPlane): Overlay {
  const own = localPlane(frame.origin);
  const [width_m, height_m] = [(frame.columns - 1) * frame.cell_m, (frame.rows - 1) * frame.cell_m];
  const corners = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ];
  const points = Array.from({ length: 4 * SIDE_POINTS + 1 }, (_, i) => {
    const [from, to] = [corners[Math.floor(i / SIDE_POINTS) % 4], corners[(Math.floor(i / SIDE_POINTS) + 1) % 4]];
    const share = (i % SIDE_POINTS) / SIDE_POINTS;
    const [u, v] = [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];
    return plane.toPlane(own.toLatLon({ x_m: frame.west_m + u * width_m, y_m: frame.south_m + v * height_m }));
  });
  return {
    key: `terrain ${name}`,
    areas: [],
    lines: [{ points, colour: "ink2", dashed: true }],
    marks: [{ at: points[0], label: `terrain ${name}`, colour: "ink2", offset: [0, 16], strong: false }],
  };
}

const HELP = {
  strip: "Click one end, then the other.",
  outline: "Click the corners one after the other, the first again to close.",
  point: "Click the place.",
  measure: "Click from where to where; a double click ends the line.",
} as const;
