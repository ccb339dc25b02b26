"use client";
import ImageLayer from "ol/layer/Image";
import type VectorLayer from "ol/layer/Vector";
import type ImageSource from "ol/source/Image";
import { type ReactNode, useEffect, useMemo, useRef, useState } from "react";
import { type LatLon, geodesicBetween } from "@/core/earth/geodesic";
import { localPlane } from "@/core/earth/local-plane";
import type { DrawnTrack } from "@/core/track/drawn-track";
import { useAppearance } from "@/ui/kit/appearance/useAppearance";
import { useTerrain } from "@/ui/kit/lanes/terrain";
import { type BaseMap, baseMap } from "@/ui/kit/map/base-map";
import { mapPalette } from "@/ui/kit/map/map-palette";
import { type ReachImage, reachSource } from "@/ui/kit/map/reach-source";
import { reliefSource } from "@/ui/kit/map/relief-source";
import { fillHere, fillTrack, hereLayer, trackLayer } from "@/ui/kit/map/track-layer";
import { zoomByKey } from "@/ui/kit/map/zoom-key";
import { MapFrame } from "@/ui/library/MapFrame";
import { useNearPlaces } from "@/ui/situation/useNearPlaces";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { useDebrief } from "./debrief-store";
import { indexAt, trackValue } from "./track-values";
import { labelled } from "./mark-labels";
import type { TrackMark } from "./track-marks";

interface Drawn extends BaseMap {
  readonly cover: ImageLayer<ImageSource>;
  readonly track: VectorLayer;
  readonly here: VectorLayer;
}

/** Farther than this from the situation's plane a flight has one of its own, m. */
const NEAR_M = 100_000;
/** Left free about the part that is looked at, px. */
const FIT_PADDING = [46, 150, 46, 60];

/** A line over places, with what is said of it. */
interface PlacedLine {
  readonly places: readonly LatLon[];
  readonly label: string;
}

/** What was in reach, and where nothing was. */
export interface FlightCover {
  /** Null draws none; undefined leaves the one that is there. */
  readonly reach: ReachImage | null | undefined;
  readonly gaps: readonly PlacedLine[];
  readonly rounds: readonly PlacedLine[];
}

/** Nothing of it; the same at every render. */
const NO_COVER: FlightCover = { reach: null, gaps: [], rounds: [] };

interface Props {
  readonly drawn: DrawnTrack;
  readonly marks: readonly TrackMark[];
  readonly span: { readonly from_s: number; readonly to_s: number };
  readonly predicted: readonly LatLon[];
  readonly cover?: FlightCover;
  /** What is said of the drawing. */
  readonly legend: ReactNode;
  /** What lies over it. */
  readonly children?: ReactNode;
}

/** The flight over the ground, what happened on it, and where it is at the moment that is pointed at. */
export function FlightMap({ drawn, marks, span, predicted, cover = NO_COVER, legend, children }: Props) {
  const element = useRef<HTMLDivElement>(null);
  const near = useNearPlaces();
  const present = usePlaneOrigin();
  const cursor_s = useDebrief((state) => state.cursor_s);
  const terrain = useTerrain((state) => state.grid);
  const appearance = useAppearance();
  const [map, setMap] = useState<Drawn | null>(null);
  const [resolution_m, setResolution] = useState(8);
  const middle = drawn.latitude_deg.length >> 1;
  const [latitude_deg, longitude_deg] = [drawn.latitude_deg[middle], drawn.longitude_deg[middle]];
  const own = geodesicBetween(present, { latitude_deg, longitude_deg }).distance_m > NEAR_M;
  const plane = useMemo(
    () => localPlane(own ? { latitude_deg, longitude_deg } : present),
    [own, latitude_deg, longitude_deg, present],
  );
  const way = useMemo(
    () =>
      Array.from(drawn.time_s, (_, i) => {
        const at = plane.toPlane({ latitude_deg: drawn.latitude_deg[i], longitude_deg: drawn.longitude_deg[i] });
        return [at.x_m, at.y_m];
      }),
    [drawn, plane],
  );
  const [from, to] = [indexAt(drawn, span.from_s), indexAt(drawn, span.to_s)];

  useEffect(() => {
    if (!element.current) return;
    const palette = mapPalette(appearance);
    const [track, here, reach] = [trackLayer(palette), hereLayer(palette), new ImageLayer<ImageSource>({ zIndex: 1 })];
    const base = baseMap({
      target: element.current,
      plane,
      palette,
      places: near,
      centre: { x_m: way[0][0], y_m: way[0][1] },
      resolution_m: 8,
      layers: [reach, track, here],
      onResolution: setResolution,
    });
    setMap({ ...base, track, here, cover: reach });
    return base.close;
  }, [appearance, plane, near, way]);

  // Another part is looked at where it is.
  useEffect(() => {
    if (!map) return;
    const part = way.slice(from, to + 1);
    const [xs, ys] = [part.map(([x]) => x), part.map(([, y]) => y)];
    const least = (values: readonly number[]) => values.reduce((low, value) => Math.min(low, value), Infinity);
    const most = (values: readonly number[]) => values.reduce((high, value) => Math.max(high, value), -Infinity);
    map.map
      .getView()
      .fit([least(xs), least(ys), most(xs), most(ys)], { padding: FIT_PADDING, size: map.map.getSize() });
  }, [map, way, from, to]);

  useEffect(() => {
    if (!map) return;
    const onPlane = (places: readonly LatLon[]) =>
      places.map((place) => {
        const at = plane.toPlane(place);
        return [at.x_m, at.y_m];
      });
    const said = (lines: readonly PlacedLine[]) =>
      lines.map(({ places, label }) => ({ points: onPlane(places), label }));
    fillTrack(map.track, {
      way,
      part: way.slice(from, to + 1),
      predicted: onPlane(predicted),
      gaps: said(cover.gaps),
      rounds: said(cover.rounds),
      marks: labelled(
        marks.map(({ at_s, label }, i) => ({ at: placeAt(way, drawn, at_s), number: i + 1, label })),
        resolution_m,
      ),
      here: null,
    });
  }, [map, way, drawn, marks, from, to, resolution_m, predicted, cover.gaps, cover.rounds, plane]);

  useEffect(() => {
    if (map)
      fillHere(map.here, {
        at: placeAt(way, drawn, cursor_s),
        heading_rad: trackValue(drawn, "course_rad", cursor_s),
      });
  }, [map, way, drawn, cursor_s]);

  const { reach } = cover;
  useEffect(() => {
    if (map && reach !== undefined) map.cover.setSource(reach && !own ? reachSource(reach, map.palette) : null);
  }, [map, reach, own]);

  useEffect(() => {
    map?.relief.setSource(!own && terrain ? reliefSource(map.palette) : null);
  }, [map, terrain, own]);

  return (
    <MapFrame
      element={element}
      map={map}
      resolution_m={resolution_m}
      label="Map of the flight with what happened on it, numbered as in the profile. Plus and minus zoom. The figures on the right say the same in words."
      onKeyDown={(event) => zoomByKey(event, map?.map)}
    >
      <div className="pointer-events-none absolute bottom-9 left-3 flex flex-col gap-1 text-[13px]">{legend}</div>
      {children}
    </MapFrame>
  );
}

/** Point of the way at a moment. */
function placeAt(way: readonly number[][], drawn: DrawnTrack, at_s: number): number[] {
  const i = indexAt(drawn, at_s);
  const next = Math.min(i + 1, way.length - 1);
  const step = drawn.time_s[next] - drawn.time_s[i];
  const share = step > 0 ? Math.min(Math.max((at_s - drawn.time_s[i]) / step, 0), 1) : 0;
  return [way[i][0] + share * (way[next][0] - way[i][0]), way[i][1] + share * (way[next][1] - way[i][1])];
}
