"use client";
import { useEffect, useMemo } from "react";
import { type LandingQuestion, landingQuestion } from "@/core/landing/landing-question";
import { failedFrom, touchOf } from "@/core/exercise/glide-rows";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { cleanGlide } from "@/core/aircraft/configuration";
import { endsWithinGlide } from "@/core/landing/ends-within-glide";
import type { Reach } from "@/core/landing/reach";
import { success } from "@/core/outcome";
import type { LatLon } from "@/core/earth/geodesic";
import { STEPS_PER_S } from "@/core/simulation/flight";
import { TRACE_CHANNELS, type TraceChannel } from "@/core/simulation/flight-trace";
import { halfTurn } from "@/core/simulation/half-turn";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import type { Core } from "@/workers/core-client";
import { insteadOf, spentOf } from "./flight-lane";
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
  const atOnce = useMemo(
    () => asked && { ...asked, question: { ...asked.question, pilot: SOON(pilot) } },
    [asked, pilot],
  );
  const { value: reachAtOnce } = useAnswer(atOnce, ask, "pointed");
  useEffect(() => {
    let gone = false;
    void (async () => {
      const spent = await spentOf(last, from, pilot);
      const planned = spent?.kind === "glide" && reach ? plannedEnd(reach, last, { plane, ends }) : null;
      if (gone) return;
      useFly.setState({ account: { planned, spent, atOnce: null } });
      const way = reachAtOnce?.ends.find(({ endId }) => endId === planned?.endId);
      if (!reachAtOnce || !way) return;
      const flown = await flownAtOnce(last, from, reachAtOnce, way, pilot.bank_rad, { plane, ends });
      if (!gone && flown) useFly.setState({ account: { planned, spent, atOnce: flown } });
    })();
    return () => {
      gone = true;
    };
  }, [last, from, pilot, reach, reachAtOnce, plane, ends]);
  const planned = useFly((state) => state.account?.planned ?? null);
  return useMemo(() => planned?.points.flatMap(({ x_m, y_m }) => [y_m, x_m]) ?? [], [planned]);
}

/** A pilot who acts at once. */
const SOON = <P extends { readonly reaction_s: number }>(pilot: P): P => ({ ...pilot, reaction_s: 0 });

/** The way flown by the modelled pilot from the failure on; null for one that does not arrive. */
async function flownAtOnce(
  last: FlownFlight,
  from: number,
  { turn }: Reach,
  { path, glide, endId }: Reach["ends"][number],
  bank_rad: number,
  { plane, ends }: Pick<FlySet, "ends" | "plane">,
) {
  const end = ends.find(({ id }) => id === endId);
  if (!end || !path || !glide || path.margin_m < 0) return null;
  const plan = {
    legs: path.legs,
    glide_mps: glide.eas_mps,
    turn_mps: turn.eas_mps,
    bank_rad,
    target: { ...plane.toPlane(end.aim), heading_rad: headingOn(plane, end) },
  };
  const time_s = last.rows[from][TRACE_CHANNELS.indexOf("time_s")];
  return insteadOf(last, Math.round(time_s * STEPS_PER_S), plan, end.elevation_m);
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
  // A way of the wing's own: that of a rotorcraft is asked in Landing.
  if (!isAeroplane(aircraft)) return null;
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
