"use client";
import dynamic from "next/dynamic";
import { PlanPopover } from "@/ui/situation/PlanPopover";
import { useChanged } from "@/ui/situation/useChanged";

/** The fields come when they are opened. */
const RoutePlanFields = dynamic(() => import("./RoutePlanFields").then((module) => module.RoutePlanFields), {
  loading: () => null,
});

/** How the route is flown and what counts as a place, behind its button. */
export function RoutePlanEditor() {
  return (
    <PlanPopover label="Route plan" changed={useChanged("route")} width={380}>
      <RoutePlanFields />
    </PlanPopover>
  );
}
