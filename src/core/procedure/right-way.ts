// What is right at each step: for showing how a drill goes, for runs that are made up, and for walking every branch.
import { type Drill, type DrillEvent, type Side, sidesOf } from "./drill";
import { type DrillRun, type RunEvent, afterRunEvent, beginRun, isRunOver, runUntil } from "./drill-run";
import type { Actor, Step } from "./procedure";

type ByHand = Exclude<DrillEvent, { readonly type: "passes" }>;

/** Who confirms what somebody of a crew does. */
export const otherOf = (actor: Actor): Actor =>
  actor === "flying" ? "monitoring" : actor === "monitoring" ? "flying" : actor;

/**
 * What is done by hand where a step is done rightly; nothing where it waits for time or height.
 *
 * @param answer - of a question, which of its answers
 */
export function rightEvents(step: Step, dead: Side, answer = 0): ByHand[] {
  const { actor } = step;
  switch (step.kind) {
    case "set": {
      const { control, position, confirm } = step;
      const named: ByHand[] =
        confirm !== null && dead !== null
          ? [{ type: "name", actor: confirm === "other" ? otherOf(actor) : actor, side: dead }]
          : [];
      return [
        ...named,
        ...sidesOf(step.engine, dead).map((side): ByHand => ({ type: "set", actor, control, side, position })),
      ];
    }
    case "ask": {
      const { answer: said, when } = step.answers[answer];
      const so: ByHand[] =
        when?.what === "warning" ? [{ type: "warning", name: when.name ?? "", on: when.is === "on" }] : [];
      return [...so, { type: "answer", actor, answer: said }];
    }
    case "say":
      return [{ type: "say", actor }];
    default:
      return [];
  }
}

/** Steps that a run made up has at most. */
const MOST_STEPS = 300;

/**
 * A run in which everything is done rightly, step after step.
 *
 * @param pace_s - seconds for a step, by its place among those done
 * @param answers - which answer is given, by the step's id; the first otherwise
 * @returns the run and when it was over
 */
export function rightRun(
  begun: DrillRun,
  pace_s: (done: number, step: Step) => number,
  answers: Readonly<Record<string, number>> = {},
): { readonly run: DrillRun; readonly until_s: number } {
  const events: RunEvent[] = [];
  let state = beginRun(begun);
  for (let done = 0; done < MOST_STEPS && !isRunOver(begun, state); done += 1) {
    const step = begun.procedure.steps[state.drill.at];
    const { time_s } = state.drill.flown;
    const hand = rightEvents(step, begun.dead, answers[step.id] ?? 0);
    const at_s = time_s + pace_s(done, step);
    for (const event of hand) {
      const did = { time_s: at_s, event };
      events.push(did);
      state = afterRunEvent(begun, state, did);
    }
    if (hand.length === 0) state = runUntil(begun, state, untilNext_s(begun, state.drill));
  }
  return { run: { ...begun, events }, until_s: state.drill.flown.time_s };
}

/** A time by which a wait is over or a height passed; an hour where it never is. */
function untilNext_s(run: DrillRun, drill: Drill): number {
  const step = run.procedure.steps[drill.at];
  const { time_s, height_m } = drill.flown;
  if (step.kind === "wait") return time_s + step.wait_s;
  if (step.kind === "passing" && run.climb_mps < 0)
    return time_s + Math.max((height_m - step.value) / -run.climb_mps, 0) + 0.01;
  return time_s + 3600;
}
