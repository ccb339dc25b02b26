"use client";
import { useMemo } from "react";
import { clamp } from "@/core/numeric/clamp";
import type { CauseItem } from "@/core/aircraft/cause-item";
import { causeFlow } from "@/core/restart/cause-flow";
import { type RotorCheck, TURBOSHAFT_FLOW, rotorCheck } from "@/core/restart/rotor-check";
import type { HelicopterQuestion } from "@/core/rotor/helicopter-question";
import type { GyroQuestion } from "@/core/rotor/gyro-question";
import { asking } from "@/ui/kit/lanes/asking";
import { useKept } from "@/ui/kit/lanes/useAnswer";
import { useGroundHere_m } from "@/ui/situation/ground-at";
import { useHelicopter } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";
import { useGyroAsked } from "./useGyroAsked";

/** A check with what it was made from. */
export interface CheckShown extends RotorCheck {
  readonly height_m: number;
  readonly sink_mps: number;
  readonly tas_mps: number;
}

const aircraftOf = ({ aircraft }: { aircraft: object }) => JSON.stringify(aircraft);
const helicopterSink = asking(
  "pointed",
  async (core, question: HelicopterQuestion) => {
    const found = await core.autorotations(question);
    return found.ok ? { ok: true as const, value: found.value.least } : found;
  },
  aircraftOf,
);
const gyroSink = asking(
  "pointed",
  async (core, question: GyroQuestion) => {
    const found = await core.gyroGlides(question);
    return found.ok ? { ok: true as const, value: found.value.stopped.least } : found;
  },
  aircraftOf,
);

function useCheck(
  glide: { readonly sink_mps: number; readonly tas_mps: number } | null,
  flow: readonly CauseItem[],
  entry_m: number,
): CheckShown | null {
  const symptom = useSituation((state) => state.current.restart.symptom);
  const altitude_m = useSituation((state) => state.current.altitude_m);
  const reaction_s = useSituation((state) => state.current.pilot.reaction_s);
  const height_m = clamp(altitude_m - (useGroundHere_m() ?? 0), 0, 10_000);
  if (!glide) return null;
  const { sink_mps, tas_mps } = glide;
  return { ...rotorCheck({ height_m, sink_mps, entry_m, reaction_s, flow, symptom }), height_m, sink_mps, tas_mps };
}

/** Entry into autorotation costs a helicopter about so much, m. */
const ENTRY_M = 10;

/** The cause check of a helicopter whose engines have stopped. */
export function useHelicopterCheck(): CheckShown | null {
  const { document } = useHelicopter();
  const { mass_kg, altitude_m, air } = useSituation((state) => state.current);
  const mass = clamp(mass_kg, document.mass.minimum_kg, document.mass.maximum_kg);
  const { value } = useKept(
    helicopterSink,
    useMemo(() => ({ aircraft: document, mass_kg: mass, altitude_m, air }), [document, mass, altitude_m, air]),
  );
  return useCheck(value, document.causeFlow ?? TURBOSHAFT_FLOW, ENTRY_M);
}

/** The cause check of a gyroplane whose engine has stopped. */
export function useGyroCheck(): CheckShown | null {
  const question = useGyroAsked();
  const { value } = useKept(gyroSink, question);
  return useCheck(value, causeFlow(question.aircraft), 0);
}
