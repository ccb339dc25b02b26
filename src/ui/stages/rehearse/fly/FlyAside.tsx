"use client";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { type AircraftKind, kindOf } from "@/core/aircraft/aircraft-kind";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { FlightFigures } from "./FlightFigures";
import { FlyDrill } from "./FlyDrill";
import { FlyHelp } from "./FlyHelp";
import { speedToHold_mps } from "./fly-set-up";
import { useFly } from "./fly-store";
import { nowWords } from "./flown-words";
import { OthersAside } from "./others/OthersAside";

const TRAINS = "Trains decisions, order, speeds and control. Not a certified device";
const LOW = "Turning back low, and engines stopped on purpose, are for height and an instructor.";
const CAUTIONS: Readonly<Record<AircraftKind, readonly string[]>> = {
  aeroplane: [`${TRAINS}; its stall breaks, it does not spin.`, LOW],
  helicopter: [
    `${TRAINS}; its rotor is one disc.`,
    "Engines cut on purpose, and autorotations to the ground, are for an instructor, by the flight manual.",
  ],
  gyroplane: [
    `${TRAINS}; its rotor is one disc.`,
    "Never push: an unloaded rotor may not come back. Engines stopped on purpose are for an instructor.",
  ],
};

/** What to do now, what it costs so far, and the ratio that is left. */
export function FlyAside({ aircraft }: { aircraft: AircraftDocument }) {
  const format = useFormat();
  const { view, running, under, path, drill } = useFly();
  const cautions = CAUTIONS[kindOf(aircraft)];
  if (!under || !view) {
    const said = {
      lead: "Fly it first.",
      rest: "Then find out, then do the drill: by the same keys and levers that you would use.",
    };
    return (
      <DecisionAside said={said} good cautions={cautions}>
        <OthersAside />
      </DecisionAside>
    );
  }
  const held = speedToHold_mps(aircraft, under.flown.setUp.mass_kg);
  const said = nowWords(view, held, running, format);
  return (
    <DecisionAside said={said} good={said.good} cautions={cautions}>
      <FlightFigures view={view} path={path} brief={drill !== null} />
      <OthersAside />
      <FlyDrill />
      <FlyHelp aircraft={aircraft} mass_kg={under.flown.setUp.mass_kg} />
    </DecisionAside>
  );
}
