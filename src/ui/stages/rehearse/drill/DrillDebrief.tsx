"use client";
import { RotateCcw } from "lucide-react";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import { useFormat } from "@/ui/kit/units/units-store";
import { stepTimes } from "./drill-times";
import type { Flying } from "./drill-store";
import { OUTCOME_WORDS } from "./drill-words";

/** A drill that is over: each step against its target on one line of time, what it cost, and again from any step. */
export function DrillDebrief({
  flying,
  onFrom,
}: {
  flying: Flying;
  /** Flies it anew from a step; null where that cannot be. */
  onFrom: ((stepId: string) => void) | null;
}) {
  const format = useFormat();
  const times = stepTimes(flying.run, flying.state.drill.log);
  const longest_s = Math.max(...times.map(({ took_s, target_s }) => Math.max(took_s, target_s ?? 0)), 1);
  return (
    <div className="min-h-0 overflow-auto px-5 py-2" tabIndex={0} role="region" aria-label="How it went">
      <table className="w-full text-[14px] [&_td]:border-b [&_td]:border-rule [&_td]:py-1 [&_td]:pr-3 [&_th]:pr-3 [&_th]:text-left [&_th]:font-normal [&_th]:text-ink2">
        <thead>
          <tr>
            <th>at</th>
            <th>step</th>
            <th className="w-48">took, target as a stroke</th>
            <th className="text-right">height</th>
            <th>wrong on the way</th>
            <th>
              <span className="sr-only">again</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {times.map(({ step, at_s, took_s, target_s, lost_m, wrong }) => {
            const late = target_s !== null && took_s > target_s;
            return (
              <tr key={`${step.id}-${at_s}`}>
                <td className="num text-ink2">{formatClock(at_s)}</td>
                <td>{step.challenge}</td>
                <td>
                  <span className="flex items-center gap-2">
                    <span className="relative h-3 w-24 shrink-0 border-b border-rule">
                      <span
                        className="absolute bottom-0 left-0 h-2"
                        style={{
                          width: `${(took_s / longest_s) * 100}%`,
                          background: late ? "var(--ochre)" : "var(--sage)",
                        }}
                      />
                      {target_s !== null && (
                        <span
                          className="absolute -bottom-0.5 h-4 w-0.5 bg-ink"
                          style={{ left: `${(target_s / longest_s) * 100}%` }}
                        />
                      )}
                    </span>
                    <span className={`num whitespace-nowrap ${late ? "text-ochre" : ""}`}>
                      {formatNumber(took_s, 1)} s
                    </span>
                  </span>
                </td>
                <td className="num text-right whitespace-nowrap">
                  {Math.abs(lost_m) < 0.5
                    ? "–"
                    : `${lost_m > 0 ? "−" : "+"}${format("height", Math.abs(lost_m), "nearest")}`}
                </td>
                <td className="text-brick">{wrong.map((outcome) => OUTCOME_WORDS[outcome]).join("; ")}</td>
                <td>
                  {onFrom && (
                    <button
                      type="button"
                      className="btn btn-quiet px-1.5 py-0"
                      aria-label={`Again from ${step.challenge}`}
                      onClick={() => onFrom(step.id)}
                    >
                      <RotateCcw size={13} aria-hidden="true" />
                    </button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
