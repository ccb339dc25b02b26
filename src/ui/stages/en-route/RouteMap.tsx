"use client";
import ImageLayer from "ol/layer/Image";
import type ImageSource from "ol/source/Image";
import { useEffect, useMemo, useRef, useState } from "react";
import { type PlanePoint, localPlane } from "@/core/earth/local-plane";
import type { RouteHere } from "@/core/route/route-here";
import { moveCursor, useRoute } from "@/ui/answers/route-store";
import { useAppearance } from "@/ui/kit/appearance/useAppearance";
import { askCore } from "@/ui/kit/lanes/lanes";
import { useTerrain } from "@/ui/kit/lanes/terrain";
import { ScaleBar } from "@/ui/kit/map/ScaleBar";
import { type BaseMap, baseMap } from "@/ui/kit/map/base-map";
import { drawnSource } from "@/ui/kit/map/drawn-source";
import { mapPalette } from "@/ui/kit/map/map-palette";
import { reliefSource } from "@/ui/kit/map/relief-source";
import { zoomByKey } from "@/ui/kit/map/zoom-key";
import { type RouteLayers, routeLayers } from "@/ui/kit/map/route-layer";
import { useFormat } from "@/ui/kit/units/units-store";
import { MapBackground } from "@/ui/library/MapBackground";
import { WindSign } from "@/ui/situation/map/WindSign";
import { useSituation } from "@/ui/situation/situation-store";
import { useNearPlaces } from "@/ui/situation/useNearPlaces";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { movedPoints } from "./route-change";
import { minutes } from "./route-headline";
import { gapLabel } from "./route-words";

interface Drawn extends BaseMap {
  readonly cover: ImageLayer<ImageSource>;
  readonly route: RouteLayers;
}

/** Left free about the route when it is fitted, px. */
const FIT_PADDING = [84, 60, 70, 60];

const rgb = (colour: string): [number, number, number] => {
  const hex = /^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(colour);
  return hex ? [parseInt(hex[1], 16), parseInt(hex[2], 16), parseInt(hex[3], 16)] : [46, 125, 91];
};

/** The flight over what is in reach from its altitude, place by place. */
export function RouteMap({ here }: { here: RouteHere | null }) {
  const element = useRef<HTMLDivElement>(null);
  const near = useNearPlaces();
  const origin = usePlaneOrigin();
  const plane = useMemo(() => localPlane(origin), [origin]);
  const answered = useRoute((state) => state.route);
  const detours = useRoute((state) => state.detours);
  const points = useSituation((state) => state.current.route.points);
  const situationId = useSituation((state) => state.id);
  const terrain = useTerrain((state) => state.grid);
  const appearance = useAppearance();
  const format = useFormat();
  const [drawn, setDrawn] = useState<Drawn | null>(null);
  const [resolution_m, setResolution] = useState(60);
  const answer = answered?.origin === origin ? answered.answer : null;

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
      const [xs, ys] = [planned.map(({ x_m }) => x_m), planned.map(({ y_m }) => y_m)];
      base.map.getView().fit([Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)], {
        padding: FIT_PADDING,
        size: base.map.getSize(),
      });
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
    if (!drawn) return;
    // What was in reach before a refusal is not any more.
    if (!answer || !answered) return drawn.cover.setSource(null);
    if (answered.stale) return;
    const { question } = answered;
    const ink = rgb(drawn.palette.of("pine"));
    drawn.cover.setSource(
      drawnSource((view) =>
        askCore("cover", (core) => core.coverImage(question, origin, question.route.altitude_m, view, ink)),
      ),
    );
  }, [drawn, answer, answered, origin]);

  useEffect(() => {
    if (!drawn) return;
    const flown = answer?.points ?? [];
    const part = (from_m: number, to_m: number): PlanePoint[] =>
      flown.filter(({ distance_m }) => distance_m >= from_m && distance_m <= to_m);
    drawn.route.show({
      points: points.map(({ name, position }) => ({ name, ...plane.toPlane(position) })),
      gaps: (answer?.gaps ?? []).map((gap) => ({ points: part(gap.from_m, gap.to_m), label: gapLabel(gap, format) })),
      detours: detours.map(({ points: round, extra_s }) => ({
        points: round.map(({ position }) => plane.toPlane(position)),
        label: `+${minutes(extra_s)}, no gap`,
      })),
      cursor: here && {
        x_m: here.point.x_m,
        y_m: here.point.y_m,
        track_rad: here.point.track_rad,
        label: `here, ${format("height", here.point.altitude_m)}`,
      },
      way: here?.way ?? [],
    });
  }, [drawn, answer, detours, points, plane, here, format]);

  return (
    <div className="relative min-h-0">
      <div
        ref={element}
        className="absolute inset-0 bg-paper"
        tabIndex={0}
        role="application"
        aria-roledescription="map"
        aria-label="Map of the route. Plus and minus change its scale. The profile, the ledger and the table of points say the same in words; points are moved in the table."
        onKeyDown={(event) => zoomByKey(event, drawn?.map)}
      />
      {answer && answered && (
        <p className="pointer-events-none absolute top-7 left-3 flex w-fit items-center gap-2 rounded bg-sheet/85 px-2 text-[13px]">
          <svg width="26" height="14" aria-hidden="true">
            <rect x="1" y="1" width="24" height="12" fill="none" stroke="var(--pine)" strokeWidth="2" />
            <path d="M4 12 10 2M11 12 17 2M18 12 24 2" stroke="var(--pine)" strokeWidth="1" />
          </svg>
          in reach from {format("height", answered.question.route.altitude_m)}, place by place
          {answered.stale && <span role="status">, computing …</span>}
        </p>
      )}
      <div className="pointer-events-none absolute bottom-2 left-3">
        <ScaleBar resolution_m={resolution_m} />
      </div>
      <MapBackground map={drawn} />
      {here && (
        <WindSign
          ground_m={Math.max(0, here.point.ground_m ?? 0)}
          at={{ altitude_m: here.point.altitude_m, heading_rad: here.point.track_rad }}
        />
      )}
    </div>
  );
}
