"use client";
import dynamic from "next/dynamic";
import { degrees } from "@/core/quantities/angle";
import type { Pilot } from "@/core/situation/situation-document";
import { ChipEditor } from "./ChipEditor";
import { useSituation } from "./situation-store";
import { useChanged } from "./useChanged";

/** The fields come when they are opened. */
const PilotFields = dynamic(() => import("./PilotFields").then((module) => module.PilotFields), {
  loading: () => null,
});

/** The reaction, with how far the pilot's own scatters. */
function seconds({ reaction_s, own }: Pilot): string {
  const shown = `${reaction_s.toFixed(reaction_s % 1 ? 1 : 0)} s`;
  return own?.reaction_s && own.reaction_s.count > 1 ? `${shown} ±${own.reaction_s.spread.toFixed(1)}` : shown;
}

/** What the pilot can do. */
export function PilotEditor() {
  const pilot = useSituation((state) => state.current.pilot);
  return (
    <ChipEditor
      label={pilot.own ? "Pilot, your own" : "Pilot"}
      value={`${seconds(pilot)} · ${Math.round(degrees(pilot.bank_rad))}°`}
      changed={useChanged("pilot")}
      width={320}
    >
      <PilotFields />
    </ChipEditor>
  );
}
