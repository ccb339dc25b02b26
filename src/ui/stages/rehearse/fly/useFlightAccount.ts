"use client";
import { useEffect, useMemo } from "react";
import { type LandingQuestion, landingQuestion } from "@/core/landing/landing-question";
import { failedFrom, touchOf } from "@/core/exercise/glide-rows";
import { cleanGlide } from "@/core/aircraft/configuration";
import { endsWithinGlide } from "@/core/landing/ends-within-glide";
import type { Reach } from "@/core/landing/reach";
import { success } from "@/core/outcome";
import type { LatLon } from "@/core/earth/geodesic";
import { TRACE_CHANNELS, type TraceChannel } from "@/core/simulation/flight-trace";
import { halfTurn } from "@/core/simulation/pilot";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import type { Core } from "@/workers/core-client";
import { spentOf } from "./flight-lane";
import { headingOn } from "./fly-set-up";
import { type FlownFlight, useFly } from "./fly-store";
import type { FlySet } from "./useFlySet";

interface Asked {
  readonly question: LandingQuestion;
  readonly origin: LatLon;
}

const ask = async (core: Core, { question, origin }: Asked) => {
  const { outcome } = await core.landing(question, origin);
  return outcome.ok ? success(outcome.value.reach) : outcome;
};

/** Lays a flight beside its plan and reckons where its height went. Returns the planned way, north and east in turn. */
export function useFlightAccount(last: FlownFlight, { plane, ends, situation }: FlySet): readonly number[] {
  const { pilot } = situation;
  const from = failedFrom(last.rows);
  const asked = useMemo(
    () => plannedQuestion(last, from, { plane, ends, situation }),
    [last, from, plane, ends, situation],
  );
  const { value: reach } = useAnswer(asked, ask, "pointed");
  useEffect(() => {
    let gone = false;
    void spentOf(last, from, pilot).then((spent) => {
      if (!gone)
        useFly.setState({
          account: { planned: spent && reach ? plannedEnd(reach, last, { plane, ends }) : null, spent },
        });
    });
    return () => {
      gone = true;
    };
  }, [last, from, pilot, reach, plane, ends]);
  const planned = useFly((state) => state.account?.planned ?? null);
  return useMemo(() => planned?.points.flatMap(({ x_m, y_m }) => [y_m, x_m]) ?? [], [planned]);
}

/** The landing question of the moment at which the engine failed. */
function plannedQuestion(
  { rows, flight }: FlownFlight,
  from: number,
  { plane, ends, situation }: Pick<FlySet, "plane" | "ends" | "situation">,
): Asked | null {
  const row = rows.at(from);
  if (!row) return null;
  const at = (channel: TraceChannel) => row[TRACE_CHANNELS.indexOf(channel)];
  const { aircraft, mass_kg, centreOfGravity, air, wind } = flight.flown.setUp;
  const position = plane.toLatLon({ x_m: at("east_m"), y_m: at("north_m") });
  const altitude_m = at("altitude_m");
  const within = endsWithinGlide(ends, position, altitude_m);
  if (within.length === 0) return null;
  const turn = 2 * Math.PI;
  const heading_rad = (((at("heading_rad") - plane.convergence_rad(position)) % turn) + turn) % turn;
  const then = { ...situation, mass_kg, centreOfGravity, air, wind, position, altitude_m, heading_rad };
  return {
    question: landingQuestion({ ...then, configuration: cleanGlide(aircraft) }, aircraft, within),
    origin: plane.origin,
  };
}

/** Beside the strip so far, and off its direction so much, is not on it. */
const [BESIDE_M, OFF_RAD] = [60, 0.8];

/** The way to the end that was landed on; to the best where it was landed on none. */
function plannedEnd({ ends: ways }: Reach, { rows }: FlownFlight, { ends, plane }: Pick<FlySet, "ends" | "plane">) {
  const touch = touchOf(rows);
  const landed = touch && ends.find((end) => isOn(end));
  return ways.find(({ endId }) => endId === landed?.id) ?? ways.find(({ path }) => path !== null) ?? null;

  function isOn(end: FlySet["ends"][number]): boolean {
    if (!touch) return false;
    const from = plane.toPlane(end.threshold);
    const heading = headingOn(plane, end);
    const [north, east] = [touch.north_m - from.y_m, touch.east_m - from.x_m];
    const along = north * Math.cos(heading) + east * Math.sin(heading);
    const beside = east * Math.cos(heading) - north * Math.sin(heading);
    const flown = rows[touch.row][TRACE_CHANNELS.indexOf("heading_rad")];
    return (
      along > -BESIDE_M &&
      along < end.length_m + BESIDE_M &&
      Math.abs(beside) < BESIDE_M &&
      Math.abs(halfTurn(flown - heading)) < OFF_RAD
    );
  }
}
