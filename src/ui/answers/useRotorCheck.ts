"use client";
import type { CauseItem } from "@/core/aircraft/cause-item";
import type { Issue } from "@/core/outcome";
import { causeFlow } from "@/core/restart/cause-flow";
import { type RotorCheck, rotorCheck } from "@/core/restart/rotor-check";
import type { DownAsked } from "@/core/rotor/autorotation-answer";
import type { GyroQuestion } from "@/core/rotor/gyro-question";
import { asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { useGroundOrNearest_m } from "@/ui/situation/ground-at";
import { useHelicopter } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";
import { useGyroAsked } from "./useGyroAsked";
import { useDownOf, useRotorTrial } from "./useRotorLanding";

/** A check with what it was made from. */
export interface CheckShown extends RotorCheck {
  readonly height_m: number;
  readonly sink_mps: number;
  readonly tas_mps: number;
}

/** A check, or why there is none; neither while it is computed. */
export interface CheckAnswer {
  readonly check: CheckShown | null;
  readonly issue: Issue | null;
}

const aircraftOf = ({ aircraft }: { aircraft: object }) => JSON.stringify(aircraft);
const helicopterDown = asking("pointed", (core, asked: DownAsked) => core.autorotationDown(asked), aircraftOf);
const gyroSink = asking(
  "pointed",
  async (core, question: GyroQuestion) => {
    const found = await core.gyroGlides(question);
    return found.ok ? { ok: true as const, value: found.value.stopped.least } : found;
  },
  aircraftOf,
);

/** Above the ground here, not under it. */
function useHeight_m(): number {
  const altitude_m = useSituation((state) => state.current.altitude_m);
  return Math.max(altitude_m - useGroundOrNearest_m(), 0);
}

function useCheck(
  glide: { readonly sink_mps: number; readonly tas_mps: number } | null,
  flow: readonly CauseItem[],
  entry_m: number,
): CheckShown | null {
  const symptom = useSituation((state) => state.current.restart.symptom);
  const reaction_s = useSituation((state) => state.current.pilot.reaction_s);
  const height_m = useHeight_m();
  if (!glide) return null;
  const { sink_mps, tas_mps } = glide;
  return { ...rotorCheck({ height_m, sink_mps, entry_m, reaction_s, flow, symptom }), height_m, sink_mps, tas_mps };
}

/** The cause check of a helicopter whose engines have stopped: down at least sink. */
export function useHelicopterCheck(): CheckAnswer {
  const { document } = useHelicopter();
  const tas_mps = useRotorTrial((state) => state.tas_mps);
  const height_m = useHeight_m();
  const { value, issue } = useKept(
    helicopterDown,
    useDownOf({ school: "least-sink", tas_mps, headwind_mps: 0, height_m }),
  );
  return { check: useCheck(value?.landing.steady ?? null, causeFlow(document), value?.landing.entry_m ?? 0), issue };
}

/** The cause check of a gyroplane whose engine has stopped. */
export function useGyroCheck(): CheckAnswer {
  const question = useGyroAsked();
  const { value, issue } = useKept(gyroSink, question);
  return { check: useCheck(value, causeFlow(question.aircraft), 0), issue };
}
