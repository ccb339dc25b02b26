"use client";
import { type Side, controlKey } from "@/core/procedure/drill";
import type { Control, Procedure } from "@/core/procedure/procedure";
import type { DrillRun, HandEvent } from "./drill-store";

interface Props {
  procedure: Procedure;
  run: DrillRun | null;
  onAct: (event: HandEvent) => void;
}

/** Everything that can be set, by side: no flight deck’s order, and nothing leads. */
export function DrillPanel({ procedure, run, onAct }: Props) {
  const sided = procedure.controls.filter(({ perEngine }) => perEngine);
  const common = procedure.controls.filter(({ perEngine }) => !perEngine);
  const group = (controls: readonly Control[], side: Side, title: string) =>
    controls.length > 0 && (
      <fieldset key={title} className="min-w-0 flex-1">
        <legend className="text-[13px] text-ink2">{title}</legend>
        <div className="grid gap-1">
          {controls.map((control) => (
            <ControlRow key={control.id} control={control} side={side} run={run} onAct={onAct} />
          ))}
        </div>
      </fieldset>
    );
  return (
    <div
      className="flex max-h-64 gap-6 overflow-auto border-t border-rule bg-paper px-5 py-2"
      tabIndex={0}
      role="region"
      aria-label="Panel"
    >
      {group(sided, "left", "left engine")}
      {group(common, null, sided.length > 0 ? "once" : "panel")}
      {group(sided, "right", "right engine")}
    </div>
  );
}

function ControlRow({
  control,
  side,
  run,
  onAct,
}: {
  control: Control;
  side: Side;
  run: DrillRun | null;
  onAct: (event: HandEvent) => void;
}) {
  const now = run?.drill.positions[controlKey(control.id, side)] ?? control.positions[0];
  const still = !run || run.over || run.paused;
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-0.5 text-[14px]">
      <span className="w-28 shrink-0">{control.name}</span>
      {control.positions.map((position) => (
        <button
          key={position}
          type="button"
          className={`rounded border border-ink2 px-2 py-0.5 ${position === now ? "bg-ink text-sheet" : "bg-sheet"} disabled:opacity-100`}
          aria-pressed={position === now}
          aria-label={`${side ? `${side} ` : ""}${control.name} ${position}`}
          disabled={still}
          onClick={() => onAct({ type: "set", control: control.id, side, position })}
        >
          {position}
        </button>
      ))}
    </div>
  );
}
