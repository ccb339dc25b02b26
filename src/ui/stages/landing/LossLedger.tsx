"use client";
import { useState } from "react";
import type { LedgerEntry } from "@/core/glide/glide-path";
import { HeightLedger } from "@/ui/kit/ledger/HeightLedger";
import { useHeight } from "@/ui/kit/ledger/useHeight";
import { useFormat } from "@/ui/kit/units/units-store";
import type { LoseAsked } from "./useLoseAsked";

/** Differences under this are none, m. */
const NONE_M = 3;

/** The ledger redrawn with the plan: the glide takes its part, each step takes more, what is left is still too high. */
export function LossLedger({ question, plan: answer, name }: LoseAsked & { name: string }) {
  const [ledger, height] = useHeight();
  const [pointed, point] = useState<number | null>(null);
  const format = useFormat();
  if (!answer.ok) return null;
  const plan = answer.value;
  const entries: LedgerEntry[] = [
    { account: "straight", name: "Glide", height_m: question.height_m - question.lose_m, time_s: plan.time_s },
    ...plan.steps.map((step): LedgerEntry => ({
      account: "attempt",
      name: step.name,
      height_m: step.loses_m,
      time_s: step.time_s,
    })),
  ];
  return (
    <>
      <div ref={ledger} className="min-h-[300px] flex-1 px-4 pt-3">
        <h2 className="mb-1 font-bold">Height ledger</h2>
        <HeightLedger
          name={name}
          have_m={question.height_m}
          over="the aim point"
          ledger={entries}
          margin_m={plan.left_m}
          ground={`aim point, ${name}`}
          source={{ calculation: { name: "lose-height", input: question } }}
          pointed={pointed}
          onPoint={point}
          height={Math.max(height - 40, 250)}
        />
      </div>
      <section className="border-t border-rule px-4 py-3" aria-label="Decision">
        <p className={plan.left_m > NONE_M ? "text-ochre" : ""}>
          <strong>
            {question.lose_m < NONE_M
              ? "Nothing to lose."
              : plan.left_m > NONE_M
                ? `Still ${format("height", plan.left_m)} too high.`
                : `All ${format("height", question.lose_m)} are lost.`}
          </strong>{" "}
          {plan.left_m > NONE_M
            ? "Aim farther in, allow more, or take another place."
            : "Reversible things first; gear and last flap when it is certain."}
        </p>
      </section>
    </>
  );
}
