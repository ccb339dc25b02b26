"use client";
import { useEffect, useMemo, useState } from "react";
import { isOfDrill } from "@/core/exercise/flight-crew";
import { type CrewState, crewAt } from "@/core/procedure/crew-run";
import { isRunOver } from "@/core/procedure/drill-run";
import type { Flying } from "../drill/drill-store";
import { useCrew } from "./crew-store";

/** A crew as it is now, and its drill as the views of one show it. */
export interface CrewNow {
  readonly crew: CrewState;
  readonly flying: Flying;
}

/** Time is looked at so often, ms. */
const TICK_MS = 250;

/** @see CrewNow; null until the crew is there */
export function useCrewNow(): CrewNow | null {
  const { crew, log, clock } = useCrew();
  const [now_ms, setNow] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => setNow(performance.now()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return useMemo(() => {
    if (!crew?.run) return null;
    const gone_s = clock.running ? Math.max(now_ms - clock.told_ms, 0) / 1000 : 0;
    // What was done a moment ago has been, whatever the clock said before.
    const time_s = Math.max(clock.time_s + gone_s, log.at(-1)?.time_s ?? 0);
    const at = crewAt(crew.run, log.filter(isOfDrill), time_s);
    const { run, state, running } = at;
    const rate = {
      climb_mps: state.from.climb_mps,
      eas_mps: run.speed_mps,
      onOne: run.dead !== null,
      without_mps: run.without_mps ?? null,
    };
    const flying: Flying = {
      id: crew.id,
      beganAt: "",
      run,
      state,
      rate,
      over: isRunOver(run, state),
      paused: !running,
    };
    return { crew: at, flying };
  }, [crew, log, clock, now_ms]);
}
