"use client";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { RotorView } from "@/core/simulation/flight-view";
import { type AircraftKind, kindOf } from "@/core/aircraft/aircraft-kind";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import { AsideFigures, DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useFormat } from "@/ui/kit/units/units-store";
import { FlyDrill } from "./FlyDrill";
import { FlyHelp } from "./FlyHelp";
import { speedToHold_mps } from "./fly-set-up";
import { useFly } from "./fly-store";
import { nowWords } from "./flown-words";
import { timesWords } from "../times-words";

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
    return <DecisionAside said={said} good cautions={cautions} />;
  }
  const held = speedToHold_mps(aircraft, under.flown.setUp.mass_kg);
  const said = nowWords(view, held, running, format);
  const failed = view.failed.at(0);
  const ratio = view.climb_mps < -0.3 ? view.groundSpeed_mps / -view.climb_mps : null;
  return (
    <DecisionAside said={said} good={said.good} cautions={cautions}>
      <AsideFigures>
        <dt>Since it began</dt>
        <dd className="num">{formatClock(view.time_s)}</dd>
        {failed && (
          <>
            <dt>Since it failed</dt>
            <dd className="num">{formatClock(view.time_s - failed.since_s)}</dd>
          </>
        )}
        <dt>Above the ground</dt>
        <dd className="num">{format("height", view.height_m, "down")}</dd>
        {drill === null && (
          <>
            <dt>Over the ground</dt>
            <dd className="num">{format("speed", view.groundSpeed_mps)}</dd>
            <dt>Glides over the ground</dt>
            <dd className="num">{ratio === null ? "–" : `1 : ${formatNumber(Math.min(ratio, 99), 1)}`}</dd>
          </>
        )}
        {view.rotor ? (
          <RotorFigures rotor={view.rotor} />
        ) : (
          <>
            <dt>Over the stall</dt>
            <dd className="num">{view.onGround ? "–" : formatNumber(view.ias_mps / view.stall_mps, 2)}</dd>
          </>
        )}
        {drill === null && (
          <>
            <dt>Load</dt>
            <dd className="num">{formatNumber(view.loadFactor, 1)} g</dd>
            <dt>Way so far</dt>
            <dd className="num">{format("distance", pathLength_m(path))}</dd>
          </>
        )}
        {view.backs > 0 && (
          <>
            <dt>Gone back</dt>
            <dd className="num">{timesWords(view.backs)}</dd>
          </>
        )}
      </AsideFigures>
      <FlyDrill />
      <FlyHelp aircraft={aircraft} mass_kg={under.flown.setUp.mass_kg} />
    </DecisionAside>
  );
}

/** The rotor, and the clock of the rating that one engine is at. */
function RotorFigures({ rotor: { nr, carries, clock } }: { rotor: RotorView }) {
  const use = clock && clock.band !== null ? (clock.bands.at(clock.band) ?? null) : null;
  return (
    <>
      <dt>Rotor</dt>
      <dd className="num">{formatNumber(nr * 100, 1)} %</dd>
      {clock === null ? (
        <>
          <dt>Rotor carries</dt>
          <dd className="num">{formatNumber(carries, 2)} of the weight</dd>
        </>
      ) : (
        <>
          <dt>One engine at</dt>
          <dd className="num">
            {clock.band === -1 ? "above all ratings" : (use?.name ?? "–")}
            {use && use.left_s !== null && `, ${formatNumber(use.left_s)} s left`}
          </dd>
        </>
      )}
    </>
  );
}

function pathLength_m(path: readonly number[]): number {
  let sum = 0;
  for (let i = 2; i + 1 < path.length; i += 2) sum += Math.hypot(path[i] - path[i - 2], path[i + 1] - path[i - 1]);
  return sum;
}
