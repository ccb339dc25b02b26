"use client";
import ImageLayer from "ol/layer/Image";
import type ImageSource from "ol/source/Image";
import { type ReactNode, useEffect, useMemo, useRef, useState } from "react";
import { type PlanePoint, localPlane } from "@/core/earth/local-plane";
import { moveCursor, useRoute } from "@/ui/answers/route-store";
import { useAppearance } from "@/ui/kit/appearance/useAppearance";
import { useTerrain } from "@/ui/kit/lanes/terrain";
import { type BaseMap, baseMap } from "@/ui/kit/map/base-map";
import { mapPalette } from "@/ui/kit/map/map-palette";
import { type ReachImage, reachSource } from "@/ui/kit/map/reach-source";
import { reliefSource } from "@/ui/kit/map/relief-source";
import { zoomByKey } from "@/ui/kit/map/zoom-key";
import { type RouteDrawing, type RouteLayers, routeLayers } from "@/ui/kit/map/route-layer";
import { MapFrame } from "@/ui/library/MapFrame";
import { WindSign } from "@/ui/situation/map/WindSign";
import { useSituation } from "@/ui/situation/situation-store";
import { useNearPlaces } from "@/ui/situation/useNearPlaces";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { movedPoints } from "./route-change";

interface Drawn extends BaseMap {
  readonly cover: ImageLayer<ImageSource>;
  readonly route: RouteLayers;
}

/** Left free about the route when it is fitted, px. */
const FIT_PADDING = [84, 60, 24, 60];

function fit(map: BaseMap["map"], points: readonly PlanePoint[]): void {
  const [xs, ys] = [points.map(({ x_m }) => x_m), points.map(({ y_m }) => y_m)];
  map.getView().fit([Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)], {
    padding: FIT_PADDING,
    size: map.getSize(),
  });
}

interface Props {
  /** Null draws none; undefined leaves the one that is there. */
  readonly reach: ReachImage | null | undefined;
  readonly drawing: Omit<RouteDrawing, "points">;
  /** Where the aircraft is at the cursor, for the wind's sign. */
  readonly wind: { readonly ground_m: number; readonly altitude_m: number; readonly heading_rad: number } | null;
  /** What is looked at once for a key, when it is not the whole route. */
  readonly focus?: { readonly key: string; readonly points: readonly PlanePoint[] } | null;
  /** What is said of the image. */
  readonly legend: ReactNode;
}

/** The flight over what is in reach along it. */
export function RouteMap({ reach, drawing, wind, focus, legend }: Props) {
  const element = useRef<HTMLDivElement>(null);
  const near = useNearPlaces();
  const origin = usePlaneOrigin();
  const plane = useMemo(() => localPlane(origin), [origin]);
  const points = useSituation((state) => state.current.route.points);
  const situationId = useSituation((state) => state.id);
  const terrain = useTerrain((state) => state.grid);
  const appearance = useAppearance();
  const [drawn, setDrawn] = useState<Drawn | null>(null);
  const [resolution_m, setResolution] = useState(60);

  useEffect(() => {
    if (!element.current) return;
    const palette = mapPalette(appearance);
    const cover = new ImageLayer<ImageSource>({ zIndex: 1 });
    const route = routeLayers(palette);
    const planned = useSituation.getState().current.route.points.map(({ position }) => plane.toPlane(position));
    const middle = planned[Math.floor(planned.length / 2)] ?? { x_m: 0, y_m: 0 };
    const base = baseMap({
      target: element.current,
      plane,
      palette,
      places: near,
      centre: middle,
      resolution_m: 90,
      layers: [cover, ...route.layers],
      onResolution: setResolution,
    });
    if (!element.current.dataset.view && planned.length > 1) {
      fit(base.map, planned);
    }
    route.edit(base.map, (moved) => {
      const { current, change } = useSituation.getState();
      const next = movedPoints(current.route.points, moved, plane);
      change({ route: { ...current.route, points: next } });
    });
    base.map.on("singleclick", (event) => {
      const flown = useRoute.getState().route?.answer?.points ?? [];
      let [best_m, at_m] = [20 * (base.map.getView().getResolution() ?? 60), -1];
      for (const { x_m, y_m, distance_m } of flown) {
        const away_m = Math.hypot(x_m - event.coordinate[0], y_m - event.coordinate[1]);
        if (away_m < best_m) [best_m, at_m] = [away_m, distance_m];
      }
      if (at_m >= 0) moveCursor(at_m);
    });
    setDrawn({ ...base, cover, route });
    return base.close;
  }, [appearance, plane, near]);

  // Another situation is looked at where its route is.
  useEffect(() => {
    const node = element.current;
    return () => {
      delete node?.dataset.view;
    };
  }, [situationId, plane]);

  useEffect(() => {
    drawn?.relief.setSource(terrain && reliefSource(drawn.palette));
  }, [drawn, terrain]);

  useEffect(() => {
    if (!drawn || reach === undefined) return;
    drawn.cover.setSource(reach && reachSource(reach, drawn.palette));
  }, [drawn, reach]);

  useEffect(() => {
    drawn?.route.show({
      ...drawing,
      points: points.map(({ name, position }) => ({ name, ...plane.toPlane(position) })),
    });
  }, [drawn, drawing, points, plane]);

  const looked = useRef<string | null>(null);
  useEffect(() => {
    if (!drawn || !focus || focus.points.length === 0 || looked.current === focus.key) return;
    looked.current = focus.key;
    fit(drawn.map, focus.points);
  }, [drawn, focus]);

  return (
    <MapFrame
      element={element}
      map={drawn}
      resolution_m={resolution_m}
      label="Map of the route. Plus and minus change its scale. The profile, the ledger and the table of points say the same in words; points are moved in the table."
      onKeyDown={(event) => zoomByKey(event, drawn?.map)}
    >
      <div className="pointer-events-none absolute top-7 left-3 flex max-w-[calc(100%-17rem)] flex-col gap-1 text-[13px]">
        {legend}
      </div>
      {wind && (
        <WindSign ground_m={wind.ground_m} at={{ altitude_m: wind.altitude_m, heading_rad: wind.heading_rad }} />
      )}
    </MapFrame>
  );
}
