"use client";
import type { Procedure } from "@/core/procedure/procedure";
import { ACTOR_WORDS, wantedBeside } from "./drill-words";

/** What will be asked for, before a drill begins. */
export function StepList({ procedure }: { procedure: Procedure }) {
  return (
    <ol className="min-h-0 overflow-auto px-5 py-2 text-[15px]" tabIndex={0} aria-label="Steps of the drill">
      {procedure.steps.map((step) => (
        <li key={step.id} className="flex gap-3 border-b border-rule py-1">
          {procedure.crew === "two" && <span className="w-32 shrink-0 text-ink2">{ACTOR_WORDS[step.actor]}</span>}
          <span className="w-14 shrink-0 text-ink2">{step.memory ? "" : "read"}</span>
          <span>
            {step.challenge}
            <span className="text-ink2"> {wantedBeside(step, procedure)}</span>
          </span>
        </li>
      ))}
    </ol>
  );
}
