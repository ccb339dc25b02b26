"use client";
import type VectorLayer from "ol/layer/Vector";
import { useDeferredValue, useEffect, useMemo, useRef, useState } from "react";
import { runwayFrame } from "@/core/departure/runway-frame";
import { localPlane } from "@/core/earth/local-plane";
import { useDeparture } from "@/ui/answers/departure-store";
import { flightDrawing } from "./flight-drawing";
import { usePlaneOrigin } from "@/ui/situation/usePlaneOrigin";
import { useTerrain } from "@/ui/kit/lanes/terrain";
import { useAppearance } from "@/ui/kit/appearance/useAppearance";
import { useLandingEnds, useNearPlaces } from "@/ui/situation/useNearPlaces";
import { useFormat } from "@/ui/kit/units/units-store";
import { MapFrame } from "@/ui/library/MapFrame";
import { WindSign } from "@/ui/situation/map/WindSign";
import { type BaseMap, baseMap, watchPointed } from "@/ui/kit/map/base-map";
import { fillFlight, flightLayer } from "@/ui/kit/map/flight-layer";
import { mapPalette } from "@/ui/kit/map/map-palette";
import { reliefSource } from "@/ui/kit/map/relief-source";
import { zoomByKey } from "@/ui/kit/map/zoom-key";

interface Drawn extends BaseMap {
  readonly flight: VectorLayer;
}

/** Left free about the departure when it is fitted, px. */
const FIT_PADDING = [30, 40, 44, 40];

/** The climb-out over the ground, and the way of the option that is looked at. */
export function DepartureMap() {
  const element = useRef<HTMLDivElement>(null);
  const near = useNearPlaces();
  const origin = usePlaneOrigin();
  const plane = useMemo(() => localPlane(origin), [origin]);
  const scan = useDeparture((state) => state.scan);
  const lookedAt = useDeferredValue(useDeparture((state) => state.at));
  const choice = useDeparture((state) => state.choice);
  const pointedEntry = useDeparture((state) => state.pointedEntry);
  const height_m = useDeparture((state) => state.height_m);
  const set = useDeparture((state) => state.set);
  const terrain = useTerrain((state) => state.grid);
  const format = useFormat();
  const appearance = useAppearance();
  const [drawn, setDrawn] = useState<Drawn | null>(null);
  const [resolution_m, setResolution] = useState(8);
  const runwayId = scan?.question.runway.id;
  const ends = useLandingEnds();
  // The library's own entry, which stays the same from scan to scan.
  const runway = useMemo(() => ends.find((end) => end.id === runwayId), [ends, runwayId]);
  const frame = useMemo(() => runway && runwayFrame(runway, plane), [runway, plane]);

  useEffect(() => {
    if (!element.current || !frame) return;
    const palette = mapPalette(appearance);
    const flight = flightLayer(palette);
    const centre = frame(1800, 0);
    const base = baseMap({
      target: element.current,
      plane,
      palette,
      places: near,
      centre,
      resolution_m: 8,
      layers: [flight],
      onResolution: setResolution,
    });
    watchPointed(base.map, flight, (entry) => {
      const pointed = entry === -1 ? null : entry;
      if (useDeparture.getState().pointedEntry !== pointed) set({ pointedEntry: pointed });
    });
    if (!element.current.dataset.view) {
      // From the beginning of the runway to about 1,000 ft on the climb, and the turn beside it.
      const points = [frame(-150, 0), frame(2100, 0), frame(1700, -350), frame(1700, 350)];
      const xs = points.map((point) => point.x_m);
      const ys = points.map((point) => point.y_m);
      base.map.getView().fit([Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)], {
        padding: FIT_PADDING,
        size: base.map.getSize(),
      });
    }
    setDrawn({ ...base, flight });
    return base.close;
  }, [appearance, plane, near, frame, set]);

  // Another runway is looked at where it is.
  useEffect(() => {
    const node = element.current;
    return () => {
      delete node?.dataset.view;
    };
  }, [runwayId]);

  useEffect(() => {
    if (drawn && scan && frame)
      fillFlight(
        drawn.flight,
        flightDrawing(scan.facts, lookedAt, choice, frame, (height_m) => format("height", height_m), pointedEntry),
      );
  }, [drawn, scan, lookedAt, choice, frame, format, pointedEntry]);

  useEffect(() => {
    drawn?.relief.setSource(terrain && reliefSource(drawn.palette));
  }, [drawn, terrain]);

  return (
    <MapFrame
      element={element}
      map={drawn}
      resolution_m={resolution_m}
      label="Map of the departure: the climb ticked by height and the way of the chosen option. Plus and minus zoom. The list and the ledger say the same in words."
      onKeyDown={(event) => zoomByKey(event, drawn?.map)}
    >
      {runway && (
        <WindSign
          ground_m={runway.elevation_m}
          at={{ altitude_m: runway.elevation_m + height_m, heading_rad: runway.headingTrue_rad }}
        />
      )}
    </MapFrame>
  );
}
