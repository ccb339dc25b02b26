// What the budget says in a sentence, and what a stopwatch run says afterwards.
import type { OneEngineHeight } from "@/core/asymmetric/one-engine-height";
import type { RestartBudget, RestartQuestion } from "@/core/restart/restart-budget";
import type { Format } from "@/ui/kit/units/units-store";

/** Words with the colour that says the same. */
export interface BudgetSaid {
  readonly lead: string;
  readonly rest: string;
  readonly tone: "pine" | "ochre" | "brick";
}

/**
 * What is left to do when there is no height for anything else; where one engine climbs once it is clean, nobody lands
 * for it.
 */
function landWords({ aircraft }: Pick<RestartQuestion, "aircraft">, oneEngine: OneEngineHeight | null): string {
  if (climbsMended(oneEngine)) return feathers(aircraft) ? "fly and feather" : "fly and clean up";
  return feathers(aircraft) ? "fly, feather, land" : "fly and land";
}

/** It sinks as configured and climbs mended. */
function climbsMended(oneEngine: OneEngineHeight | null): boolean {
  return (oneEngine?.mended_mps ?? -1) > 0;
}

function feathers(aircraft: RestartQuestion["aircraft"]): boolean {
  return typeof aircraft.polar?.deadPropeller?.feathered === "number";
}

/** Less time than this is none: nothing is begun in it, s. */
const LEAST_S = 5;

/** A time as it is said: seconds up to two minutes, then minutes. */
export function timeInWords(time_s: number): string {
  return time_s < 120 ? `${Math.floor(time_s)} seconds` : `${Math.floor(time_s / 60)} minutes`;
}

/**
 * The decision in words: how much time, what fits, and until when.
 *
 * @param leastHeight_m - over the ground; below it nothing is done on one engine but flying and climbing
 */
export function budgetSentence(
  budget: RestartBudget,
  question: Pick<RestartQuestion, "aircraft" | "altitude_m" | "ground_m">,
  leastHeight_m: number,
  format: Format,
): BudgetSaid {
  const height = (si: number) => format("height", si);
  const { fitting, items, spend_s, oneEngine } = budget;
  const land = landWords(question, oneEngine);
  if (oneEngine && spend_s === null) return onOneEngine(oneEngine, items.length, question, leastHeight_m, format);
  const time = timeInWords(spend_s ?? 0);
  const way = oneEngine
    ? ` On one engine it sinks ${format("verticalSpeed", budget.sink_mps)} at ${format("speed", budget.eas_mps)}${climbsMended(oneEngine) ? ` as configured; mended it climbs ${format("verticalSpeed", oneEngine.mended_mps ?? 0, "down")}` : ""}.`
    : "";
  if (items.length === 0 && (spend_s ?? 0) < LEAST_S)
    return climbsMended(oneEngine)
      ? { lead: sentence(land), rest: `There is no height for a relight first.${way}`, tone: "ochre" }
      : {
          lead: "Land.",
          rest: `It is at the commit height, or all but: a relight only if it costs no height.${way}`,
          tone: "brick",
        };
  if (items.length === 0)
    return {
      lead: `${time}.`,
      rest: `This engine has no cause check: see relight.${way}`,
      tone: (spend_s ?? 0) < 60 ? "ochre" : "pine",
    };
  if (fitting === 0)
    return {
      lead: sentence(land),
      rest: `There is no height for a cause check: the first item asks for ${height(budget.landFrom_m)}.${way}`,
      tone: climbsMended(oneEngine) ? "ochre" : "brick",
    };
  if (fitting < items.length)
    return {
      lead: `${time}.`,
      rest: `${fitting === 1 ? `Only the first of ${items.length} fits` : `The first ${fitting} of ${items.length} fit`}, to ${items[fitting - 1].item.name.toLowerCase()}; then ${land.replace("fly, ", "").replace("fly and ", "").replace(", ", " and ")}.${way}`,
      tone: "ochre",
    };
  const then = budget.then.filter(({ fits }) => fits).map(({ item }) => item.name.toLowerCase());
  return {
    lead: `${time}.`,
    rest: `The whole flow fits, ${Math.round(budget.whole_s)} s of it${then.length > 0 ? `; then ${then.join(", ")}` : ""}. Below ${height(budget.wholeFrom_m)} no longer; below ${height(budget.landFrom_m)} ${land}.${way}`,
    tone: "pine",
  };
}

function sentence(words: string): string {
  return `${words[0].toUpperCase()}${words.slice(1)}.`;
}

/** The other engine holds height, here or lower down. */
function onOneEngine(
  { climb_mps, eas_mps, levelsOff_m }: OneEngineHeight,
  items: number,
  { altitude_m, ground_m }: Pick<RestartQuestion, "altitude_m" | "ground_m">,
  leastHeight_m: number,
  format: Format,
): BudgetSaid {
  const flown =
    levelsOff_m === null
      ? `The other engine holds it: ${format("verticalSpeed", climb_mps, "down")} of climb at ${format("speed", eas_mps)} as configured.`
      : `The other engine holds it from ${format("height", levelsOff_m, "down")} on: it drifts down there, ${format("verticalSpeed", -climb_mps)} at first, at ${format("speed", eas_mps)}.`;
  if (altitude_m - ground_m < leastHeight_m)
    return {
      lead: "Fly and climb first.",
      rest: `${flown} No check below ${format("height", leastHeight_m)} over the ground.`,
      tone: "ochre",
    };
  return {
    lead: "Time is plenty.",
    rest: `${flown} ${items > 0 ? "Identify, verify; the whole check fits, and feathering is decided by it." : "Identify, verify, then see relight."}`,
    tone: "pine",
  };
}

/** The spine's few words. */
export function budgetHeadline(
  budget: RestartBudget,
  question: Pick<RestartQuestion, "aircraft">,
): { text: string; tone: string } {
  const { spend_s, items, fitting, oneEngine } = budget;
  if (oneEngine && spend_s === null)
    return {
      text: oneEngine.levelsOff_m === null ? "one engine: level" : "one: drifts down",
      tone: "text-pine",
    };
  const time = (spend_s ?? 0) < 120 ? `${Math.floor(spend_s ?? 0)} s` : `${Math.floor((spend_s ?? 0) / 60)} min`;
  if (items.length === 0)
    return (spend_s ?? 0) < LEAST_S
      ? {
          text: climbsMended(oneEngine) ? landWords(question, oneEngine) : "land",
          tone: climbsMended(oneEngine) ? "text-ochre" : "text-brick",
        }
      : { text: `${time} to commit`, tone: "" };
  return fitting === 0
    ? { text: landWords(question, oneEngine), tone: climbsMended(oneEngine) ? "text-ochre" : "text-brick" }
    : {
        text: `${time}, ${fitting} of ${items.length} fit`,
        tone: fitting === items.length ? "text-pine" : "text-ochre",
      };
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
  return ticks
    .map((tick, i) => `${i + 1}. ${tick.name}: ${tick.at_s.toFixed(1)} s (flow ${tick.planned_s.toFixed(0)} s)`)
    .join("\n");
}
