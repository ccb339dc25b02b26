"use client";
import { useRouter } from "next/navigation";
import { useEffect, useMemo } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { toast } from "sonner";
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import type { OneEngineSituation } from "@/core/asymmetric/one-engine-question";
import type { Issue } from "@/core/outcome";
import { type Side, sidesOf } from "@/core/procedure/drill";
import type { DrillRate } from "@/core/procedure/drill-rate";
import {
  type DrillRun,
  type RunEvent,
  afterRunEvent,
  beginRun,
  isRunOver,
  runFrom,
  runUntil,
} from "@/core/procedure/drill-run";
import type { DrillFlight, Procedure } from "@/core/procedure/procedure";
import { useGroundOrNearest_m } from "@/ui/situation/ground-at";
import { useSituation } from "@/ui/situation/situation-store";
import { useKeysHeld } from "@/ui/kit/keys-held";
import type { Ask } from "@/ui/kit/lanes/asking";
import { useAnswer } from "@/ui/kit/lanes/useAnswer";
import { send } from "@/ui/kit/request";
import { keepFlown } from "../results/runs-store";
import { confirming } from "./confirming";
import { soundCall, soundWarning } from "./drill-sound";
import { type Flying, type HandEvent, useDrill } from "./drill-store";

interface RateAsked {
  readonly aircraft: AircraftDocument;
  readonly situation: OneEngineSituation;
  readonly dead: Side;
  readonly flight: DrillFlight;
}

const askRate: Ask<RateAsked, DrillRate> = (core, { aircraft, situation, dead, flight }) =>
  core.drillRate(aircraft, situation, dead, flight);

/** Time is told to the drill so often, s. */
const TICK_S = 0.25;
/** Height that a drill begins with at least, m: lower there is nothing to rehearse in. */
const LEAST_M = 300;

const KEYS = [
  { key: "space", does: "said, done" },
  { key: "l", does: "left" },
  { key: "r", does: "right" },
  { key: "1–6", does: "answers" },
  { key: "backspace", does: "step back" },
  { key: "Esc", does: "pause" },
];

/** A drill alone: how it is begun, led on by hand and by time, and flown anew from a step. */
export interface DrillByHand {
  readonly flying: Flying | null;
  readonly rate: DrillRate | null;
  readonly issue: Issue | null;
  /** It has two engines to tell apart. */
  readonly ofTwo: boolean;
  begin(): void;
  /** Begins a crew of it, and goes there. */
  asCrew(): Promise<void>;
  /** From a step of the one that is over. */
  from(stepId: string): void;
  byHand(event: HandEvent): void;
  /** The step that is due, ticked as done. */
  tick(): void;
}

/** @see DrillByHand */
export function useDrillRun(procedure: Procedure, aircraft: AircraftDocument): DrillByHand {
  const flying = useDrill((state) => (state.flying?.run.procedure.id === procedure.id ? state.flying : null));
  const failing = useDrill((state) => state.failing);
  const sound = useDrill((state) => state.sound);
  const { put, lead, pause } = useDrill.getState();
  const router = useRouter();
  const situation = useSituation((state) => state.current);
  const ground_m = useGroundOrNearest_m();
  const ofTwo = procedure.controls.some(({ perEngine }) => perEngine);
  const dead: Side = ofTwo ? failing : null;
  const asked = useMemo(() => {
    const { mass_kg, configuration, altitude_m, air, centreOfGravity } = situation;
    return {
      aircraft,
      situation: { mass_kg, configuration, altitude_m, air, centreOfGravity },
      dead,
      flight: procedure.flight,
    };
  }, [aircraft, situation, dead, procedure.flight]);
  const { value: rate, issue } = useAnswer(asked, askRate, "pointed");
  const fresh = (): DrillRun | null =>
    rate && {
      procedure,
      dead,
      propeller: situation.configuration.propeller,
      height_m: Math.max(situation.altitude_m - ground_m, LEAST_M),
      speed_mps: rate.eas_mps,
      climb_mps: rate.climb_mps,
      without_mps: rate.without_mps,
      lampGoes: Math.random() < 0.5,
      events: [],
    };
  const begin = () => {
    const run = fresh();
    if (!run || !rate) return;
    const beganAt = new Date().toISOString();
    put({ id: crypto.randomUUID(), beganAt, run, state: beginRun(run), rate, over: false, paused: false });
    if (sound) for (const name of procedure.warnings) soundWarning(name);
  };
  const asCrew = async () => {
    const run = fresh();
    if (!run) return;
    const answer = await send<{ code: string }>("POST", "/api/crews", { aircraft: aircraft.name, run });
    if (answer.ok) router.push(`/crew?code=${answer.value.code}`);
    else toast(answer.issues.map(({ message }) => message).join(" "));
  };
  const from = (stepId: string) => {
    const anew = flying && runFrom(flying.run, stepId);
    if (anew) put({ ...flying, ...anew, id: null, over: false, paused: true });
  };
  const act = (event: Extract<RunEvent, { readonly event: unknown }>["event"]) =>
    lead((now) => {
      const done = { time_s: now.state.drill.flown.time_s, event };
      const run = { ...now.run, events: [...now.run.events, done] };
      const state = afterRunEvent(run, now.state, done);
      return { ...now, run, state, over: isRunOver(run, state) };
    });
  const step = flying?.over ? undefined : procedure.steps.at(flying?.state.drill.at ?? procedure.steps.length);
  const byHand = (event: HandEvent) => {
    if (!step) return;
    if (event.type === "back") act(event);
    else if (event.type === "name") act({ ...event, actor: confirming(step) });
    else act({ ...event, actor: step.actor });
  };
  const tick = () => {
    if (step?.kind === "say") byHand({ type: "say" });
    if (step?.kind !== "set") return;
    for (const side of sidesOf(step.engine, dead))
      byHand({ type: "set", control: step.control, side, position: step.position });
  };
  const running = flying !== null && !flying.over;
  const ticking = running && !flying.paused;
  useEffect(() => {
    useKeysHeld.setState({ held: running ? KEYS : null });
    return () => useKeysHeld.setState({ held: null });
  }, [running]);
  useEffect(() => {
    if (flying?.over) keepFlown(flying, aircraft.name);
  }, [flying, aircraft.name]);
  useEffect(() => {
    if (!ticking) return;
    const timer = setInterval(
      () =>
        useDrill.getState().lead((now) => {
          const state = runUntil(now.run, now.state, now.state.drill.flown.time_s + TICK_S);
          const before = now.run.procedure.steps.at(now.state.drill.at);
          if (useDrill.getState().sound && before?.kind === "passing" && state.drill.at !== now.state.drill.at)
            soundCall();
          return { ...now, state, over: isRunOver(now.run, state) };
        }),
      TICK_S * 1000,
    );
    return () => clearInterval(timer);
  }, [ticking]);
  useHotkeys("escape", () => flying && pause(!flying.paused), { enabled: running });
  useHotkeys("backspace", () => byHand({ type: "back" }), { enabled: ticking });
  return { flying, rate, issue, ofTwo, begin, asCrew, from, byHand, tick };
}
