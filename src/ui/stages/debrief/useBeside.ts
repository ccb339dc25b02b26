"use client";
import { useEffect, useMemo, useState } from "react";
import type { BesideFailure, BesidePlan } from "@/core/debrief/beside-failure";
import { type Outcome, failure } from "@/core/outcome";
import type { KeptLog } from "@/core/track/kept-log";
import { useSituation } from "@/ui/situation/situation-store";
import { startTrack } from "@/workers/track-client";
import { useDebrief } from "./debrief-store";

/** An engine stop of a log, and the plan that it is held against. */
interface Question {
  readonly log: KeptLog;
  readonly looked: number;
  readonly plan: BesidePlan;
}

/** The engine stop that is looked at beside the plan; null while it is computed, and where none is looked at. */
export function useBeside(): Outcome<BesideFailure> | null {
  const open = useDebrief((state) => state.open);
  const looked = useDebrief((state) => state.looked);
  const pilot = useSituation((state) => state.current.pilot);
  const departure = useSituation((state) => state.current.departure);
  const approach = useSituation((state) => state.current.plan);
  const qnh_Pa = useSituation((state) => state.current.air.qnh_Pa);
  const log = open?.found ? open.log : null;
  const question = useMemo(
    (): Question | null =>
      log && looked !== null ? { log, looked, plan: { pilot, plan: departure, approach, qnh_Pa } } : null,
    [log, looked, pilot, departure, approach, qnh_Pa],
  );
  const [answered, setAnswered] = useState<{ question: Question; outcome: Outcome<BesideFailure> } | null>(null);
  useEffect(() => {
    if (!question) return;
    const { track, worker } = startTrack();
    const answer = (outcome: Outcome<BesideFailure>) => {
      setAnswered({ question, outcome });
      worker.terminate();
    };
    worker.addEventListener("error", () => answer(failure("failed", "The comparison broke down.")));
    void Promise.resolve<Outcome<BesideFailure>>(track.beside(question.log, question.looked, question.plan)).then(
      answer,
    );
    return () => worker.terminate();
  }, [question]);
  return answered && answered.question === question ? answered.outcome : null;
}
