"use client";
import dynamic from "next/dynamic";
import { useUnits } from "@/ui/kit/units/units-store";
import { ChipEditor } from "./ChipEditor";
import { useSituation } from "./situation-store";
import { useChanged } from "./useChanged";
import { windInWords } from "./wind-words";

/** The fields come when they are opened. */
const WindFields = dynamic(() => import("./WindFields").then((module) => module.WindFields), { loading: () => null });

/** Wind at the ground and aloft. */
export function WindEditor() {
  const wind = useSituation((state) => state.current.wind);
  const units = useUnits((state) => state.units);
  return (
    <ChipEditor label="Wind" value={windInWords(wind, units)} changed={useChanged("wind")} width={520} yields>
      <WindFields />
    </ChipEditor>
  );
}
