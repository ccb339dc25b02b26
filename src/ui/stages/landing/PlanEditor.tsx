"use client";
import dynamic from "next/dynamic";
import { PlanPopover } from "@/ui/situation/PlanPopover";
import { useChanged } from "@/ui/situation/useChanged";

/** The fields come when they are opened. */
const PlanFields = dynamic(() => import("./PlanFields").then((module) => module.PlanFields), { loading: () => null });

/** The plan of the approach behind its button. */
export function PlanEditor() {
  return (
    <PlanPopover label="Approach plan" changed={useChanged("plan")} width={360}>
      <PlanFields />
    </PlanPopover>
  );
}
