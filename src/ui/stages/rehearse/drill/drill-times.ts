// A drill's steps one after the other: how long each took against its target, and what it cost.
import { type DrillEntry, type DrillOutcome, isWrong } from "@/core/procedure/drill";
import { type DrillRun, givenAt } from "@/core/procedure/drill-run";
import type { Step } from "@/core/procedure/procedure";

/** A step as it was done. */
export interface StepTime {
  readonly step: Step;
  /** When it was done. */
  readonly at_s: number;
  readonly took_s: number;
  /** Null where none is asked for. */
  readonly target_s: number | null;
  /** Height that went meanwhile; negative where it was gained. */
  readonly lost_m: number;
  /** What was done wrong before it was right. */
  readonly wrong: readonly DrillOutcome[];
}

/** Steps that were done, in the order in which they were; what was only passed over is left out. */
export function stepTimes(run: DrillRun, log: readonly DrillEntry[]): StepTime[] {
  const { procedure } = run;
  const times: StepTime[] = [];
  let wrong: DrillOutcome[] = [];
  for (const { step: id, outcome, time_s, took_s } of log) {
    if (isWrong(outcome) || outcome === "back") {
      wrong.push(outcome);
      continue;
    }
    const step = procedure.steps.find((candidate) => candidate.id === id);
    if (!step || outcome === "passed-over" || step.kind === "caution" || step.kind === "end") continue;
    const target_s = "target_s" in step ? step.target_s : null;
    times.push({ step, at_s: time_s, took_s, target_s, lost_m: -givenAt(run, time_s).climb_mps * took_s, wrong });
    wrong = [];
  }
  return times;
}
