"use client";
import dynamic from "next/dynamic";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { isAeroplane, kindOf } from "@/core/aircraft/aircraft-kind";
import { notFlown } from "@/core/simulation/not-flown";
import { FlyCockpit } from "./FlyCockpit";
import { FlySetUp } from "./FlySetUp";
import { useFly } from "./fly-store";
import { useGamepad } from "./gamepad/useGamepad";
import { useFlyKeys } from "./useFlyKeys";
import { useFlySet } from "./useFlySet";

const FlyScene = dynamic(() => import("./scene/FlyScene").then((module) => module.FlyScene), { ssr: false });

/** A flight by hand: set up, flown. */
export function FlyView({ aircraft }: { aircraft: AircraftDocument }) {
  const set = useFlySet();
  const { under, view } = useFly();
  const flaps = isAeroplane(aircraft) ? (aircraft.polar?.flaps.length ?? 1) : 1;
  useFlyKeys(under !== null, kindOf(aircraft), flaps);
  useGamepad(view !== null && view.ended === null, flaps);
  const refusal = notFlown(aircraft);
  if (refusal)
    return (
      <div role="alert" className="p-6">
        <h2 className="mb-1 text-[17px] font-bold">Not flown by hand.</h2>
        <p className="max-w-prose">{refusal.message}</p>
      </div>
    );
  if (!under || !view) return <FlySetUp aircraft={aircraft} set={set} />;
  return <FlyCockpit aircraft={under.flown.setUp.aircraft} set={set} view={view} Scene={FlyScene} />;
}
