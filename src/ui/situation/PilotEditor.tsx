"use client";
import dynamic from "next/dynamic";
import { degrees } from "@/core/quantities/angle";
import { ChipEditor } from "./ChipEditor";
import { useSituation } from "./situation-store";
import { useChanged } from "./useChanged";

/** The fields come when they are opened. */
const PilotFields = dynamic(() => import("./PilotFields").then((module) => module.PilotFields), {
  loading: () => null,
});

/** What the pilot can do. */
export function PilotEditor() {
  const pilot = useSituation((state) => state.current.pilot);
  return (
    <ChipEditor
      label="Pilot"
      value={`${pilot.reaction_s.toFixed(pilot.reaction_s % 1 ? 1 : 0)} s · ${Math.round(degrees(pilot.bank_rad))}°`}
      changed={useChanged("pilot")}
      width={320}
    >
      <PilotFields />
    </ChipEditor>
  );
}
