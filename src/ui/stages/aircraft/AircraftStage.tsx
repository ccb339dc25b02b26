"use client";
import { kindOf } from "@/core/aircraft/aircraft-kind";
import { AeroplaneViews } from "./AeroplaneViews";
import { GyroplaneViews } from "./gyroplane/GyroplaneViews";
import { HelicopterViews } from "./helicopter/HelicopterViews";
import { useEditedAircraft } from "./useEdited";

/** Do I know its numbers? A draft may be of another kind than the aircraft that is flown. */
export function AircraftStage() {
  const kind = kindOf(useEditedAircraft().document);
  if (kind === "aeroplane") return <AeroplaneViews />;
  return kind === "helicopter" ? <HelicopterViews /> : <GyroplaneViews />;
}
