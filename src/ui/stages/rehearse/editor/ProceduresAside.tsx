"use client";
import { useState } from "react";
import { WRITTEN } from "@/core/procedure/library/procedures";
import type { Procedure } from "@/core/procedure/procedure";
import { type ProcedureDifference, procedureDifferences } from "@/core/procedure/procedure-differences";
import { formatNumber } from "@/core/quantities/units";
import type { Issue } from "@/core/outcome";
import { ChoiceField } from "@/ui/kit/forms/ChoiceField";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { useProcedures } from "@/ui/library/own/own-documents";

const CAUTIONS = [
  "The flight manual’s procedure comes first; one of your own is yours to answer for.",
  "What cannot be taken back needs a confirmation: without one it is not flown here.",
];
const WORDS: Record<ProcedureDifference["kind"], string> = {
  added: "new",
  removed: "gone",
  changed: "changed",
  moved: "moved",
};
const SAVED = "saved";

/** Whether what is edited is sound, and what differs from what it was made from, what was saved, or another. */
export function ProceduresAside({ faults }: { faults: readonly Issue[] }) {
  const { draft, saved, own } = useProcedures();
  const [against, setAgainst] = useState<string | null>(null);
  if (!draft) {
    const said = {
      lead: "Copy one, make it yours.",
      rest: "Steps are dragged, or lifted with space and moved with the arrows.",
    };
    return <DecisionAside said={said} good cautions={CAUTIONS} />;
  }
  const others: readonly { readonly id: string; readonly name: string; readonly procedure: Procedure }[] = [
    ...(saved ? [{ id: SAVED, name: "as it was saved", procedure: saved.document }] : []),
    ...WRITTEN.map((procedure) => ({ id: procedure.id, name: procedure.name, procedure })),
    ...(own ?? [])
      .filter(({ id }) => id !== draft.id)
      .map(({ id, document }) => ({ id, name: `${document.name} (mine)`, procedure: document })),
  ];
  const chosen = others.find(({ id }) => id === (against ?? draft.madeFrom ?? SAVED)) ?? others.at(0);
  const differences = chosen ? procedureDifferences(chosen.procedure, draft) : [];
  const said =
    faults.length === 0
      ? { lead: "It can be flown.", rest: `${formatNumber(draft.steps.length)} steps.` }
      : {
          lead: "Not sound yet.",
          rest: faults
            .slice(0, 3)
            .map(({ message }) => message)
            .join(" "),
        };
  return (
    <DecisionAside said={said} good={faults.length === 0} cautions={CAUTIONS}>
      <section className="border-t border-rule px-4 py-2 text-[14px]" aria-label="Differences">
        <ChoiceField
          label={draft.madeFrom !== null && chosen?.id === draft.madeFrom ? "Made from" : "Compared with"}
          value={chosen?.id ?? ""}
          choices={others.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setAgainst}
        />
        <ul className="mt-1">
          {differences.length === 0 && <li className="text-ink2">Nothing differs.</li>}
          {differences.slice(0, 40).map(({ kind, id, challenge, fields }) => (
            <li key={`${kind}-${id}`} className="flex gap-2 py-0.5">
              <span className={`w-16 shrink-0 ${kind === "removed" ? "text-brick" : "text-ink2"}`}>{WORDS[kind]}</span>
              <span className="min-w-0 [overflow-wrap:anywhere]">
                {challenge}
                {fields.length > 0 && <span className="text-ink2">: {fields.join(", ")}</span>}
              </span>
            </li>
          ))}
        </ul>
      </section>
    </DecisionAside>
  );
}
