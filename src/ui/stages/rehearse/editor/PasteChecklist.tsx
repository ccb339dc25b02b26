"use client";
import { useMemo, useState } from "react";
import type { Procedure } from "@/core/procedure/procedure";
import { procedureFromText, procedureOf } from "@/core/procedure/procedure-from-text";
import { formatNumber } from "@/core/quantities/units";
import { KIND_WORDS } from "./edit-steps";

interface Props {
  fits: Procedure["fits"];
  /** A name for the machine that nothing has yet. */
  newId: () => string;
  onTake: (procedure: Procedure) => void;
  onCancel: () => void;
}

/** An operator's own checklist as text, and what it becomes, before it is taken. */
export function PasteChecklist({ fits, newId, onTake, onCancel }: Props) {
  const [text, setText] = useState("");
  const read = useMemo(() => procedureFromText(text), [text]);
  return (
    <div className="grid min-h-0 grid-cols-2 gap-4 px-5 py-3">
      <label className="grid min-h-0 grid-rows-[auto_minmax(0,1fr)]">
        <span className="text-sm text-ink2">
          Checklist: a line each, challenge and response apart by dots, a dash or a tab
        </span>
        <textarea
          className="field num mt-1 min-h-72 text-[14px]"
          maxLength={20_000}
          value={text}
          autoFocus
          onChange={(event) => setText(event.currentTarget.value)}
        />
      </label>
      <section className="min-h-0 overflow-auto" aria-label="What it becomes" tabIndex={0}>
        <p className="flex items-center gap-2">
          <strong>{read.name ?? "No heading"}</strong>
          <button
            type="button"
            className="btn ml-auto"
            disabled={read.steps.length === 0}
            onClick={() => onTake(procedureOf(read, newId(), fits))}
          >
            Take {formatNumber(read.steps.length)} steps
          </button>
          <button type="button" className="btn btn-quiet" onClick={onCancel}>
            Cancel
          </button>
        </p>
        <ol className="mt-2 text-[14px]">
          {read.steps.map((step) => (
            <li key={step.id} className="flex gap-3 border-b border-rule py-0.5">
              <span className="w-28 shrink-0 text-ink2">{KIND_WORDS[step.kind]}</span>
              <span className="min-w-0 flex-1">
                {step.challenge}
                <span className="text-ink2">
                  {" "}
                  {step.kind === "set" ? step.position : step.kind === "say" ? step.response : ""}
                </span>
              </span>
              <span className="text-ink2">{step.memory ? "memory" : "read"}</span>
            </li>
          ))}
        </ol>
        {read.notes.length > 0 && (
          <ul className="mt-2 text-[14px] text-ochre">
            {read.notes.map(({ line, message }, i) => (
              <li key={i}>
                Line {formatNumber(line)}: {message}
              </li>
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}
