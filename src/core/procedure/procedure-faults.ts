// What is wrong with a procedure, before anybody flies by it.
import type { Issue } from "../outcome";
import type { Procedure, Step } from "./procedure";

type Fault = (step: Step, field: string, message: string) => void;

/** Steps that may follow one another, by index; one past the end for none. */
export function followers({ steps }: Procedure, i: number): number[] {
  const step = steps[i];
  const at = (id: string) => steps.findIndex((other) => other.id === id);
  switch (step.kind) {
    case "end":
      return [];
    case "ask":
      return step.answers.map(({ to }) => at(to)).filter((to) => to >= 0);
    case "again":
      return [at(step.to), i + 1].filter((to) => to >= 0);
    default:
      return [i + 1];
  }
}

/**
 * Everything that is wrong with a procedure, by step: names that stand twice, controls and positions that it does not
 * have, ways that lead nowhere, a loop without an exit, steps that are never reached, confirmation by somebody who is
 * not there, and what cannot be taken back without any.
 *
 * @returns none where it may be flown
 */
export function procedureFaults(procedure: Procedure): Issue[] {
  const { steps, controls, crew } = procedure;
  const issues: Issue[] = [];
  const fault: Fault = ({ id }, field, message) =>
    issues.push({
      code: "procedure",
      path: `steps.${steps.findIndex((step) => step.id === id)}.${field}`,
      message: `“${id}”: ${message}`,
    });
  const ids = steps.map(({ id }) => id);
  steps.forEach((step, i) => {
    if (ids.indexOf(step.id) !== i) fault(step, "id", "another step has the same name.");
    ofActor(step, crew, fault);
    ofControl(step, procedure, fault);
    const leads = step.kind === "ask" ? step.answers.map(({ to }) => to) : step.kind === "again" ? [step.to] : [];
    for (const to of leads) if (!ids.includes(to)) fault(step, "to", `it leads to “${to}”, which is not there.`);
    if (step.kind === "again" && ids.indexOf(step.to) >= i) fault(step, "to", "again leads back, not forward.");
    if (step.kind === "wait" && step.since !== null && !ids.slice(0, i).includes(step.since))
      fault(step, "since", `“${step.since}” does not come before it: nothing has started that clock.`);
    if (step.kind === "call") fault(step, "procedure", `“${step.procedure}” is not there to be called.`);
  });
  const names = controls.map(({ id }) => id);
  controls.forEach((control, i) => {
    const path = `controls.${i}`;
    if (names.indexOf(control.id) !== i)
      issues.push({ code: "procedure", path, message: `Two controls are called “${control.id}”.` });
    for (const position of control.final)
      if (!control.positions.includes(position))
        issues.push({ code: "procedure", path, message: `${control.name} has no position “${position}”.` });
  });
  if (issues.length > 0) return issues;
  const reached = reachedFrom(procedure, 0);
  steps.forEach((step, i) => {
    if (!reached.has(i)) fault(step, "id", "it is never reached.");
    else if (!reachesEnd(procedure, i)) fault(step, "to", "from here it goes round for ever: the loop has no exit.");
  });
  return issues;
}

function ofActor(step: Step, crew: Procedure["crew"], fault: Fault): void {
  const alone = step.actor === "single";
  if (crew === "single" && !alone) fault(step, "actor", "a procedure flown alone has one actor.");
  if (crew === "two" && alone) fault(step, "actor", "in a crew of two somebody of the two does it.");
  if (step.kind === "set" && step.confirm === "other" && crew === "single")
    fault(step, "confirm", "nobody else is there to confirm it.");
}

function ofControl(step: Step, { controls }: Procedure, fault: Fault): void {
  if (step.kind !== "set") return;
  const control = controls.find(({ id }) => id === step.control);
  if (!control) return fault(step, "control", `the aircraft has no control “${step.control}” here.`);
  if (!control.positions.includes(step.position))
    fault(step, "position", `${control.name} has no position “${step.position}”.`);
  if (control.perEngine !== (step.engine !== null))
    fault(step, "engine", control.perEngine ? `say which engine’s ${control.name}.` : `${control.name} is there once.`);
  if (control.final.includes(step.position) && step.confirm === null)
    fault(step, "confirm", `${control.name} “${step.position}” cannot be taken back: it needs a confirmation.`);
}

/** Indices that can be come to. */
function reachedFrom(procedure: Procedure, from: number): Set<number> {
  const seen = new Set<number>();
  const open = [from];
  for (let i = open.pop(); i !== undefined; i = open.pop()) {
    if (seen.has(i) || i >= procedure.steps.length) continue;
    seen.add(i);
    open.push(...followers(procedure, i));
  }
  return seen;
}

/** Whether some way from here ends: at an ending, or past the last step. */
function reachesEnd(procedure: Procedure, from: number): boolean {
  return [...reachedFrom(procedure, from)].some(
    (i) => procedure.steps[i].kind === "end" || followers(procedure, i).some((to) => to >= procedure.steps.length),
  );
}
