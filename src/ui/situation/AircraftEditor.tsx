"use client";
import dynamic from "next/dynamic";
import { ChipEditor } from "./ChipEditor";
import { useAircraft } from "./useAircraft";
import { useChanged } from "./useChanged";

/** The fields come when they are opened. */
const AircraftFields = dynamic(() => import("./AircraftFields").then((module) => module.AircraftFields), {
  loading: () => null,
});

/** Which aircraft, and what of it is out, open or turning. */
export function AircraftEditor() {
  const { document } = useAircraft();
  return (
    <ChipEditor label="Aircraft" value={document.name} changed={useChanged("aircraftId", "configuration")}>
      <AircraftFields />
    </ChipEditor>
  );
}
