// The calls by height that a run has still before it.
import type { DrillRun, RunState } from "@/core/procedure/drill-run";

/** A call on the way down. */
interface HeightCall {
  readonly height_m: number;
  readonly words: string;
}

/** Those after the step that is due, in their order; a branch may pass some of them over. */
export function runCalls({ procedure }: DrillRun, { drill }: RunState): HeightCall[] {
  return procedure.steps.slice(drill.at).flatMap((step) =>
    step.kind === "passing" && step.what === "height"
      ? [
          {
            height_m: step.value,
            words: step.challenge.length > 30 ? `${step.challenge.slice(0, 29)}…` : step.challenge,
          },
        ]
      : [],
  );
}
