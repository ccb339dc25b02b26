// What the budget says in a sentence, and what a stopwatch run says afterwards.
import type { RestartBudget } from "@/core/restart/restart-budget";

/** The decision in words: how many seconds, what fits, and until when. */
export function budgetSentence(budget: RestartBudget, height: (si: number) => string): { lead: string; rest: string; tone: "pine" | "ochre" | "brick" } {
  const seconds = Math.floor(budget.spend_s);
  const { fitting, items } = budget;
  if (items.length === 0) return { lead: `${seconds} seconds.`, rest: "This engine has no cause check: see relight.", tone: "pine" };
  if (fitting === 0) return { lead: "Fly, feather, land.", rest: `There is no height for a cause check: the first item asks for ${height(budget.flyFeatherLand_m)}.`, tone: "brick" };
  if (fitting === items.length) return { lead: `${seconds} seconds.`, rest: `The whole flow fits, ${Math.round(budget.whole_s)} s of it. Below ${height(budget.wholeFrom_m)} no longer; below ${height(budget.flyFeatherLand_m)} fly, feather, land.`, tone: "pine" };
  return { lead: `${seconds} seconds.`, rest: `The first ${fitting} of ${items.length} fit, to ${items[fitting - 1].item.name.toLowerCase()}; then feather and land.`, tone: "ochre" };
}

/** An item done in a run. */
export interface Tick {
  readonly id: string;
  readonly name: string;
  /** Since the failure. */
  readonly at_s: number;
  /** When the flow had it done. */
  readonly planned_s: number;
}

/** Seconds behind the flow; negative is ahead. */
export function behind_s(ticks: readonly Tick[], elapsed_s: number, nextPlanned_s: number | null): number {
  const last = ticks.at(-1);
  const late = last ? last.at_s - last.planned_s : 0;
  return nextPlanned_s === null ? late : Math.max(late, elapsed_s - nextPlanned_s);
}

/** The run as text for a log: order, seconds, and how far behind. */
export function runLog(ticks: readonly Tick[]): string {
  return ticks.map((tick, i) => `${i + 1}. ${tick.name}: ${tick.at_s.toFixed(1)} s (flow ${tick.planned_s.toFixed(0)} s)`).join("\n");
}
