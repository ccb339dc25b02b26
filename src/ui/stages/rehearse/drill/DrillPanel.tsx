"use client";
import { type Side, controlKey } from "@/core/procedure/drill";
import type { Control, Procedure } from "@/core/procedure/procedure";
import { ControlDrawing, ROW_PX } from "./ControlDrawing";
import type { DrillNow, HandEvent } from "./drill-store";

interface Props {
  procedure: Procedure;
  flying: DrillNow | null;
  onAct: (event: HandEvent) => void;
}

/** Everything that can be set, by side, drawn for learning order: no flight deck’s, and nothing leads. */
export function DrillPanel({ procedure, flying, onAct }: Props) {
  const sided = procedure.controls.filter(({ perEngine }) => perEngine);
  const common = procedure.controls.filter(({ perEngine }) => !perEngine);
  const { warnings } = flying?.state.drill ?? procedure;
  const dead = flying?.run.dead ?? null;
  const group = (controls: readonly Control[], side: Side, title: string) => {
    const burning = side !== null && side === dead && warnings.length > 0 && flying !== null;
    return (
      controls.length > 0 && (
        <fieldset key={title} className="min-w-0 flex-1 border-l border-rule pl-3 first:border-l-0 first:pl-0">
          <legend className="flex items-baseline gap-2 text-[13px] text-ink2">
            <strong className="text-ink">{title}</strong>
            {burning && (
              <span className="rounded border border-brick bg-brick px-1.5 font-semibold text-sheet">
                {warnings.join(", ")} lit
              </span>
            )}
          </legend>
          <div className="flex flex-wrap gap-x-4 gap-y-2">
            {controls.map((control) => (
              <OneControl key={control.id} control={control} side={side} flying={flying} lit={burning} onAct={onAct} />
            ))}
          </div>
        </fieldset>
      )
    );
  };
  return (
    <div className="flex max-h-72 gap-4 overflow-auto bg-paper px-5 py-2" tabIndex={0} role="region" aria-label="Panel">
      {group(sided, "left", "left engine")}
      {group(common, null, sided.length > 0 ? "both" : "panel")}
      {group(sided, "right", "right engine")}
    </div>
  );
}

function OneControl({
  control,
  side,
  flying,
  lit,
  onAct,
}: {
  control: Control;
  side: Side;
  flying: DrillNow | null;
  lit: boolean;
  onAct: (event: HandEvent) => void;
}) {
  const now = flying?.state.drill.positions[controlKey(control.id, side)] ?? control.positions[0];
  const still = !flying || flying.over || flying.paused;
  return (
    <div className="text-[13px]">
      <p className="leading-5">{control.name}</p>
      <div className="flex gap-1">
        <ControlDrawing control={control} at={control.positions.indexOf(now)} lit={lit} />
        <div>
          {control.positions.map((position) => (
            <button
              key={position}
              type="button"
              style={{ height: ROW_PX }}
              className={`block w-full rounded px-1 text-left whitespace-nowrap hover:bg-mark disabled:opacity-100 disabled:hover:bg-transparent ${position === now ? "font-bold" : "text-ink2"}`}
              aria-pressed={position === now}
              aria-label={`${side ? `${side} ` : ""}${control.name} ${position}`}
              disabled={still}
              onClick={() => onAct({ type: "set", control: control.id, side, position })}
            >
              {position}
            </button>
          ))}
        </div>
      </div>
    </div>
  );
}
