// A drill in words: what came of each thing that was done, and how it went as a whole.
import Papa from "papaparse";
import { type DrillEntry, type DrillOutcome, type Side, isWrong, sidesOf } from "@/core/procedure/drill";
import type { DrillRate } from "@/core/procedure/drill-rate";
import { type DrillRun, type RunState, givenAt, isOnGround } from "@/core/procedure/drill-run";
import type { Actor, Procedure, Step } from "@/core/procedure/procedure";
import { formatClock } from "@/core/quantities/clock";
import { formatNumber } from "@/core/quantities/units";
import type { Format } from "@/ui/kit/units/units-store";
import type { Flying } from "./drill-store";

/** Who; alone it is not said. */
export const ACTOR_WORDS: Record<Actor, string> = {
  single: "",
  flying: "pilot flying",
  monitoring: "pilot monitoring",
  instructor: "instructor",
};

/** What came of it. */
export const OUTCOME_WORDS: Record<DrillOutcome, string> = {
  done: "done",
  "passed-over": "does not apply",
  slow: "done, late",
  "wrong-control": "something else was due",
  "wrong-order": "that comes later",
  "wrong-engine": "the wrong engine",
  "wrong-position": "the wrong position",
  "wrong-actor": "not theirs to do",
  "wrong-answer": "not so: look again",
  unconfirmed: "not confirmed: name the engine first",
  "too-early": "too early: it waits",
  back: "a step back",
};

/** A step as it is spoken: its challenge with what is wanted. */
export function stepWords(step: Step, procedure: Procedure, dead: Side): { challenge: string; wanted: string } {
  const { challenge } = step;
  switch (step.kind) {
    case "set": {
      const control = procedure.controls.find(({ id }) => id === step.control);
      const sides = sidesOf(step.engine, dead).filter((side) => side !== null);
      const which =
        step.engine === "dead" && dead === null ? "the dead engine’s" : sides.length === 2 ? "both" : (sides[0] ?? "");
      return { challenge, wanted: [which, control?.name.toLowerCase(), step.position].filter(Boolean).join(" ") };
    }
    case "say":
      return { challenge, wanted: step.response };
    case "wait":
      return { challenge, wanted: `${formatNumber(step.wait_s)} s` };
    default:
      return { challenge, wanted: "" };
  }
}

/** What is wanted, without what the challenge has said. */
export function wantedBeside(step: Step, procedure: Procedure): string {
  const { challenge, wanted } = stepWords(step, procedure, null);
  const said = `${challenge.toLowerCase()} `;
  return wanted.startsWith(said) ? wanted.slice(said.length) : wanted;
}

/** By what one knows which engine it is. */
export function cueWords({ warnings: first }: Pick<Procedure, "warnings">, warnings: readonly string[], dead: Side) {
  if (dead === null) return "";
  if (first.length > 0 && warnings.length === 0) return "Lamp out.";
  if (warnings.length > 0) return `Lamp, ${dead} engine: ${warnings.join(", ")}.`;
  return `It swings to the ${dead}, the ${dead === "left" ? "right" : "left"} foot holds it.`;
}

/** Whether a step cannot be taken back. */
export const isIrreversible = (step: Step, { controls }: Pick<Procedure, "controls">): boolean =>
  step.kind === "set" && (controls.find(({ id }) => id === step.control)?.final.includes(step.position) ?? false);

/** What comes after, as far as there is one way. */
export function upcoming({ steps }: Procedure, at: number, most: number): readonly Step[] {
  if (steps[at].kind === "ask") return [];
  const end = steps.findIndex(({ kind }, i) => i > at && (kind === "ask" || kind === "end" || kind === "again"));
  return steps.slice(at + 1, Math.min(at + 1 + most, end < 0 ? steps.length : end + 1));
}

/** What ten seconds of waiting cost: of one second, heights that are told to ten feet would say too much. */
const inTen = (climb_mps: number, format: Format) => format("height", -10 * climb_mps, "up");

/** What waiting costs. */
export const secondsCost = (climb_mps: number, format: Format): string =>
  climb_mps < -0.05 ? ` · ${inTen(climb_mps, format)} each 10 s` : "";

/** What a mistake costs: the other engine too where it was that one, else the seconds until it is right. */
function mistakeCost({ outcome }: DrillEntry, { without_mps = null }: DrillRun, climb_mps: number, format: Format) {
  if (outcome === "wrong-engine" && without_mps !== null)
    return `In the air no engine would be left: ${format("verticalSpeed", -without_mps, "up")} down.`;
  return climb_mps < -0.05 ? `Each 10 s until it is right are ${inTen(climb_mps, format)}.` : "";
}

/** Why something was wrong: what it was, what was due instead and why, and what it costs. */
export function whyWords(entry: DrillEntry, run: DrillRun, format: Format): string {
  const { step: id, outcome, meant, time_s } = entry;
  const { steps } = run.procedure;
  const named = (wanted: string | null) => steps.find((step) => step.id === wanted);
  const later = named(meant);
  const due = named(id);
  const why = later?.why ?? due?.why;
  return [
    later ? `“${later.challenge}” comes later.` : `${OUTCOME_WORDS[outcome].replace(/^./, (c) => c.toUpperCase())}.`,
    why ?? "",
    mistakeCost(entry, run, givenAt(run, time_s).climb_mps, format),
  ]
    .filter(Boolean)
    .join(" ");
}

/** What waiting costs, before it begins. */
export function rateWords(rate: DrillRate | null, format: Format): string {
  if (!rate) return "";
  if (rate.climb_mps === 0) return "No height goes meanwhile.";
  return rate.climb_mps < 0
    ? `Meanwhile it sinks ${format("verticalSpeed", -rate.climb_mps, "up")}${rate.onOne ? " on one engine" : ""}.`
    : `On one engine it climbs ${format("verticalSpeed", rate.climb_mps, "down")} meanwhile.`;
}

interface Said {
  readonly lead: string;
  readonly rest: string;
  readonly clean: boolean;
}

/** How a drill goes. */
export function soFarWords({ state, rate, paused }: Flying, format: Format): Said {
  const { climb_mps } = state.from;
  if (paused) return { lead: "Paused.", rest: "Esc or Go on when you are ready.", clean: true };
  const { log } = state.drill;
  const wrong = log.filter(({ outcome }) => isWrong(outcome)).length;
  const slow = log.filter(({ outcome }) => outcome === "slow").length;
  const lead =
    wrong > 0
      ? `${formatNumber(wrong)} wrong so far.`
      : slow > 0
        ? `In order so far, ${formatNumber(slow)} late.`
        : "In order so far.";
  const costs =
    climb_mps < -0.05 ? `Each 10 s of waiting are ${inTen(climb_mps, format)}.` : "No height goes meanwhile.";
  const without =
    rate.without_mps !== null
      ? ` The wrong engine would leave none: ${format("verticalSpeed", -rate.without_mps, "up")} down.`
      : "";
  return { lead, rest: `${climb_mps > 0.05 ? "It climbs meanwhile." : costs}${without}`, clean: wrong === 0 };
}

/** How a drill went. */
export function drillSummary(state: RunState, { height_m: began_m }: Pick<DrillRun, "height_m">, format: Format): Said {
  const { log, flown } = state.drill;
  const count = (test: (entry: DrillEntry) => boolean) => log.filter(test).length;
  const wrong = count(({ outcome }) => isWrong(outcome));
  const slow = count(({ outcome }) => outcome === "slow");
  const back = count(({ outcome }) => outcome === "back");
  const lost_m = began_m - flown.height_m;
  if (isOnGround(state))
    return {
      clean: false,
      lead: `The ground came first, at ${formatClock(flown.time_s)}.`,
      rest: "Fly it first: what is left of the drill has to wait for the ground.",
    };
  const parts = [
    wrong > 0 ? `${formatNumber(wrong)} wrong` : "",
    slow > 0 ? `${formatNumber(slow)} late` : "",
    back > 0 ? `${formatNumber(back)} back` : "",
  ].filter(Boolean);
  return {
    clean: wrong === 0,
    lead: `${parts.length === 0 ? "In order, in time" : parts.join(", ")}: ${formatClock(flown.time_s)}.`,
    rest:
      lost_m > 0.5
        ? `It took ${format("height", lost_m, "up")} of height.`
        : lost_m < -0.5
          ? `It gained ${format("height", -lost_m, "down")}.`
          : "No height went.",
  };
}

/** The log as a file of lines. */
export const drillCsv = (procedure: Procedure, log: readonly DrillEntry[]): string =>
  Papa.unparse(
    log.map(({ step, outcome, time_s, height_m, took_s }) => ({
      step: procedure.steps.find(({ id }) => id === step)?.challenge ?? step,
      outcome,
      // As numbers: a text that begins with a minus would be kept from being taken for a formula.
      time_s: Number(time_s.toFixed(1)),
      took_s: Number(took_s.toFixed(1)),
      height_m: Math.round(height_m),
    })),
    { escapeFormulae: true },
  );
