"use client";
import { useMemo } from "react";
import type { LandingEnd } from "@/core/landing/landing-end";
import { airAtAltitude } from "@/core/air/altimetry";
import { notOfToday } from "@/core/situation/not-of-today";
import { gateDecision } from "@/ui/answers/departure-words";
import { currentChance, useDeparture } from "@/ui/answers/departure-store";
import { useTakeOff } from "@/ui/answers/take-off-store";
import { takeOffDecision } from "@/ui/answers/take-off-words";
import { useDepartureBrief } from "@/ui/answers/useDepartureBrief";
import { useDepartureQuestion } from "@/ui/answers/useDepartureQuestion";
import { useEndKeys } from "@/ui/answers/useEndKeys";
import { useTakeOffBrief } from "@/ui/answers/useTakeOffBrief";
import { useHasTwoEngines, useTakeOffQuestion } from "@/ui/answers/useTakeOffAnswer";
import { useFormat, useUnits } from "@/ui/kit/units/units-store";
import { loadState } from "@/ui/situation/load";
import { useSituation } from "@/ui/situation/situation-store";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useAirspeed } from "@/ui/situation/useAirspeed";
import { formatWind } from "@/ui/situation/wind-words";
import type { TodayPart } from "./today-lines";
import { useNow } from "./useNow";
import { useTodayCall } from "./useTodayCall";

/** The brief of the day as far as it is computed. */
export interface Today {
  /** What of it is older than the day. */
  readonly old: readonly string[];
  /** The decision: large, and what stands on it. */
  readonly lead: string | null;
  readonly rest: string | null;
  readonly parts: readonly TodayPart[];
  readonly runway: LandingEnd | null;
  /** Why there is none. */
  readonly refusal: string | null;
  /** Nothing is missing any more. */
  readonly complete: boolean;
}

/** The runway in use: that of the take-off or the departure. */
function useRunway(): LandingEnd | null {
  const single = useDepartureQuestion();
  const twin = useTakeOffQuestion();
  return twin?.runway ?? (single.ok ? single.value.runway : null);
}

/** The day in a line: aircraft, mass, wind, temperature, pressure. */
function useDayLine(runway: LandingEnd | null): string {
  const { mass_kg, wind, air, centreOfGravity, load } = useSituation((state) => state.current);
  const { document } = useAeroplane();
  const units = useUnits((state) => state.units);
  const format = useFormat();
  const temperature_K = airAtAltitude(runway?.elevation_m ?? 0, air).temperature_K;
  return [
    document.name,
    `${format("mass", mass_kg)}${load ? `, centre of gravity ${Math.round(centreOfGravity * 100)} % aft` : ""}`,
    `wind ${wind.surface ? formatWind(wind.surface, units) : "calm"}`,
    format("temperature", temperature_K),
    `QNH ${format("pressure", air.qnh_Pa)}`,
  ].join(", ");
}

/** Speeds to have in the head. */
function useSpeedLine(): string | null {
  const scan = useDeparture((state) => state.scan);
  const takeOff = useTakeOff((state) => state.answer);
  const two = useHasTwoEngines();
  const airspeed = useAirspeed();
  if (two) {
    if (!takeOff) return null;
    const { rotation_mps, screen_mps, oneEngine_mps } = takeOff.speeds;
    return `Rotate ${airspeed(rotation_mps)}, at the screen ${airspeed(screen_mps)}, on one engine ${airspeed(oneEngine_mps)}.`;
  }
  if (!scan) return null;
  const { climbEas_mps, bestEas_mps, stallEas_mps } = scan.facts;
  return `Climb ${airspeed(climbEas_mps)}, best glide ${airspeed(bestEas_mps)}, stall ${airspeed(stallEas_mps)}.`;
}

/** Heights of the glide approach to the runway in use, one line a side. */
function useKeyLines(runway: LandingEnd | null): string[] {
  const { keys } = useEndKeys(runway);
  const format = useFormat();
  if (!keys?.ok || !runway) return [];
  return keys.value.circuits.map(
    ({ side, keys: passed }) =>
      `${side === "left" ? "Left" : "Right"} circuit, over the runway: ${passed.map(({ name, height_m }) => `${name} ${format("height", height_m, "up")}`).join(", ")}.`,
  );
}

/** The decision, the sentences under it, or why there are none. */
function useDecision(two: boolean) {
  const scan = useDeparture((state) => state.scan);
  const gates = useDeparture((state) => currentChance(state)?.gates ?? null);
  const computing = useDeparture((state) => state.progress !== null);
  const departureIssue = useDeparture((state) => state.issue);
  const takeOff = useTakeOff((state) => state.answer);
  const takeOffIssue = useTakeOff((state) => state.issue);
  const single = useDepartureBrief();
  const twin = useTakeOffBrief(two ? takeOff : null);
  const format = useFormat();
  if (two)
    return { decision: takeOff && takeOffDecision(takeOff, format), sentences: twin, issue: takeOffIssue?.message };
  return {
    decision: scan && gateDecision({ plan: scan.question.plan, bands: scan.bands, gates, computing }, format),
    sentences: single?.map((sentence) => sentence.text) ?? null,
    issue: departureIssue?.message,
  };
}

/** Whether the answers are still those of another day: a brief is not put together of two. */
function useOfAnotherDay(two: boolean): boolean {
  const single = useDepartureQuestion();
  const twin = useTakeOffQuestion();
  const answeredSingle = useDeparture((state) => state.scan?.question ?? null);
  const answeredTwin = useTakeOff((state) => state.answer?.question ?? null);
  const [asked, answered] = two ? [twin, answeredTwin] : [single.ok ? single.value : null, answeredSingle];
  return useMemo(() => JSON.stringify(asked) !== JSON.stringify(answered), [asked, answered]);
}

/** Everything that is said today. */
export function useToday(): Today {
  const two = useHasTwoEngines();
  const runway = useRunway();
  const now_ms = useNow();
  const situation = useSituation((state) => state.current);
  const { document } = useAeroplane();
  const { decision, sentences, issue } = useDecision(two);
  const day = useDayLine(runway);
  const speeds = useSpeedLine();
  const keys = useKeyLines(two ? null : runway);
  const call = useTodayCall(runway, two);
  const ofAnotherDay = useOfAnotherDay(two);
  const old = useMemo(() => notOfToday(situation, now_ms), [situation, now_ms]);
  const refusal =
    loadState(document, situation.load)?.fault ??
    issue ??
    (runway ? null : "No runway is known near here to take off from: add one under Places.");
  const parts = [
    { title: "Day", lines: [`${day}.`] },
    { title: "Speeds", lines: speeds ? [speeds] : [] },
    { title: "If it stops", lines: sentences ?? [] },
    { title: "Glide approach", lines: keys },
    { title: "Call", lines: call ? [call] : [] },
  ];
  const briefed = refusal === null && !ofAnotherDay;
  return {
    old,
    lead: (briefed && decision?.lead) || null,
    rest: (briefed && decision?.rest) || null,
    parts: briefed ? parts.filter((part) => part.lines.length > 0) : [],
    runway,
    refusal,
    complete: briefed && sentences !== null && speeds !== null,
  };
}
