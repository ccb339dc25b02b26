"use client";
import { useEffect, useMemo, useState } from "react";
import { allowedBanks } from "@/core/departure/best-bank";
import { departureQuestion, departureRunways } from "@/core/departure/departure-question";
import { type WhatIf, whatIfs } from "@/core/situation/what-if";
import type { TakeOffAnswer } from "@/core/take-off/take-off-answer";
import { useDeparture } from "@/ui/answers/departure-store";
import { useHasTwoEngines, useTakeOffQuestion } from "@/ui/answers/useTakeOffAnswer";
import type { Work } from "@/ui/kit/lanes/core-link";
import { askAll } from "@/ui/kit/lanes/lanes";
import { useLandingEnds } from "@/ui/situation/useNearPlaces";
import { useAeroplane } from "@/ui/situation/useAircraftOfKind";
import { useSituation } from "@/ui/situation/situation-store";
import type { DayFigures, DayKind, WhatIfLine } from "./what-if-words";
import type { LandingEnd } from "@/core/landing/landing-end";

/** Most other runways that are laid beside. */
const MOST_RUNWAYS = 3;

/** The days that are laid beside today's: the present one first. */
function useDays(runway: LandingEnd | null) {
  const { mass_kg, wind, air, departure } = useSituation((state) => state.current);
  const { document } = useAeroplane();
  const ends = useLandingEnds();
  return useMemo(() => {
    if (!runway) return [];
    const others = departureRunways({ position: runway.threshold, wind: { surface: null, layers: [] } }, ends)
      .filter(({ id }) => id !== runway.id)
      .slice(0, MOST_RUNWAYS);
    const now = { mass_kg, wind, air, departure: { ...departure, endId: runway.id } };
    return [
      { whatIf: null, name: null, change: now, why: null },
      ...whatIfs(
        now,
        document.mass,
        runway.headingTrue_rad,
        others.map(({ id }) => id),
      ).map((whatIf) => ({
        whatIf,
        name: others.find(({ id }) => id === whatIf.endId)?.name ?? null,
        change: whatIf.change,
        why: whatIf.why,
      })),
    ];
  }, [runway, mass_kg, wind, air, departure, document, ends]);
}

const none = (issue: string): DayFigures => ({ first: null, second: 0, issue });

/** The less of what is left after stopping and after going; null where it does not fly. */
const runwayLeft_m = ({ stopSpare_m, goSpare_m }: TakeOffAnswer["accelerate"]): number | null =>
  goSpare_m === null ? null : Math.min(stopSpare_m, goSpare_m);

/** What decides the days of the situation's aircraft. */
export function useDayKind(): DayKind {
  const { engines } = useAeroplane().document;
  return useHasTwoEngines() ? (engines.kind === "jet" ? "jet" : "twin") : "single";
}

/** How each day is asked: turning back for singles, going for two engines. */
function useAskDay(): ((change: WhatIf["change"]) => Work<DayFigures>) | null {
  const { document } = useAeroplane();
  const ends = useLandingEnds();
  const two = useHasTwoEngines();
  const takeOff = useTakeOffQuestion();
  const scan = useDeparture((state) => state.scan);
  const bank_rad = scan
    ? (scan.best.find((entry) => entry.score_m !== null && entry.score_m >= 0)?.turnback?.technique.bank_rad ??
      allowedBanks(scan.question.plan)[0])
    : null;
  return useMemo(() => {
    if (two)
      return takeOff
        ? (change) => async (core) => {
            const runway = ends.find(({ id }) => id === change.departure.endId) ?? takeOff.runway;
            const { mass_kg, wind, air, departure } = change;
            const { intersection_m } = departure;
            const answer = await core.takeOff({ ...takeOff, mass_kg, wind, air, runway, intersection_m });
            if (!answer.ok) return none(answer.issue.message);
            const { phases, climb_mps, jet, accelerate } = answer.value;
            return { first: jet ? runwayLeft_m(accelerate) : phases.advisedFrom_m, second: climb_mps, issue: null };
          }
        : null;
    if (bank_rad === null) return null;
    return (change) => async (core) => {
      const question = departureQuestion({ ...useSituation.getState().current, ...change }, document, ends);
      if (!question.ok) return none(question.issue.message);
      const answer = await core.departureWorksFrom(question.value, bank_rad);
      return answer.ok
        ? { first: answer.value.from_m, second: answer.value.run_m, issue: null }
        : none(answer.issue.message);
    };
  }, [two, takeOff, bank_rad, document, ends]);
}

/**
 * Days that differ from the present one by one thing, each with its figures as they come.
 *
 * @param wanted - false while what comes first is not there yet
 */
export function useWhatIf(runway: LandingEnd | null, wanted: boolean): readonly WhatIfLine[] {
  const days = useDays(runway);
  const ask = useAskDay();
  const [answers, setAnswers] = useState<{ of: object; figures: readonly (DayFigures | null)[] } | null>(null);
  useEffect(() => {
    if (!wanted || !ask || days.length === 0) return;
    const stop = new AbortController();
    const figures: (DayFigures | null)[] = days.map(({ why }) => (why === null ? null : none(why)));
    const pieces = days.flatMap(({ change, why }, i): Work<void>[] =>
      why
        ? []
        : [
            async (core) => {
              figures[i] = await ask(change)(core);
              if (!stop.signal.aborted) setAnswers({ of: days, figures: [...figures] });
            },
          ],
    );
    // What was stopped is asked anew by what stopped it; what fails the brief itself has told.
    askAll(pieces, stop.signal).catch(() => undefined);
    return () => stop.abort();
  }, [days, ask, wanted]);
  return days.map(({ whatIf, name }, i) => ({
    whatIf,
    name,
    figures: answers?.of === days ? answers.figures[i] : null,
  }));
}
