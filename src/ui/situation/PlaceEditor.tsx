"use client";
import dynamic from "next/dynamic";
import { formatLatitude, formatLongitude } from "@/core/earth/coordinates";
import { useFormat } from "@/ui/kit/units/units-store";
import { ChipEditor } from "./ChipEditor";
import { nearestAerodrome } from "./place";
import { useSituation } from "./situation-store";
import { useChanged } from "./useChanged";
import { useAerodromes } from "./useNearPlaces";

/** The fields come when they are opened. */
const PlaceFields = dynamic(() => import("./PlaceFields").then((module) => module.PlaceFields), {
  loading: () => null,
});

/** Where, how high, which way. */
export function PlaceEditor() {
  const aerodromes = useAerodromes();
  const { position, altitude_m } = useSituation((state) => state.current);
  const format = useFormat();
  const near = nearestAerodrome(position, aerodromes);
  const place = near
    ? `${format("distance", near.distance_m)} ${near.point} ${near.name}`
    : `${formatLatitude(position.latitude_deg)} ${formatLongitude(position.longitude_deg)}`;
  return (
    <ChipEditor
      label="Place"
      value={`${place} · ${format("height", altitude_m)}`}
      changed={useChanged("position", "altitude_m", "heading_rad", "day", "terrainId")}
      width={340}
      yields
    >
      <PlaceFields />
    </ChipEditor>
  );
}
