// A procedure with the steps of those that it calls in their places: what is flown and checked is one list.
import { type Issue, type Outcome, failure, success } from "../outcome";
import type { Control, Procedure, Step } from "./procedure";

type Call = Extract<Step, { kind: "call" }>;

/** Steps that one way leads through: what others may call has no branch, no loop and one ending. */
const STRAIGHT: readonly Step["kind"][] = ["set", "say", "wait", "passing", "caution"];

/**
 * The procedure with every call replaced. Steps of the one called take its name before theirs, so that no two are the
 * same; controls that both have are one.
 *
 * @param known - procedures that may be called
 * @returns the procedure as it is when it calls none; a failure that names the call otherwise: it is not there, it
 *   branches or calls in turn, it has a control in other positions, the whole grows too long
 */
export function withCalls(procedure: Procedure, known: readonly Procedure[]): Outcome<Procedure> {
  if (!procedure.steps.some(({ kind }) => kind === "call")) return success(procedure);
  const steps: Step[] = [];
  let controls: readonly Control[] = procedure.controls;
  for (const [i, step] of procedure.steps.entries()) {
    if (step.kind !== "call") {
      steps.push(step);
      continue;
    }
    const called = known.find(({ id }) => id === step.procedure);
    const issue = called ? faultOf(step, called, controls, i) : missing(step, i);
    if (issue || !called) return { ok: false, issue: issue ?? missing(step, i) };
    steps.push(...stepsOf(step, called, procedure.crew));
    controls = [...controls, ...called.controls.filter(({ id }) => !controls.some((own) => own.id === id))];
  }
  if (steps.length > 80 || controls.length > 24)
    return failure("too_long", "With the procedures that it calls it has more than 80 steps or 24 controls.", "steps");
  return success({ ...procedure, steps, controls: [...controls] });
}

/** The first of the called steps bears the call's own name, so that what leads to the call leads to it. */
function stepsOf(call: Call, called: Procedure, crew: Procedure["crew"]): Step[] {
  const named = (id: string) => `${call.id}-${id}`.slice(0, 40);
  return called.steps
    .filter(({ kind }) => kind !== "end")
    .map((step, i): Step => {
      const own = {
        ...step,
        id: i === 0 ? call.id : named(step.id),
        actor: crew === "single" ? "single" : step.actor === "single" ? call.actor : step.actor,
      } as const;
      if (own.kind !== "wait" || own.since === null) return own;
      return { ...own, since: own.since === called.steps[0].id ? call.id : named(own.since) };
    });
}

const issueAt = (call: Call, i: number, message: string): Issue => ({
  code: "procedure",
  path: `steps.${i}.procedure`,
  message: `“${call.id}”: ${message}`,
});

const missing = (call: Call, i: number): Issue => issueAt(call, i, `“${call.procedure}” is not there to be called.`);

function faultOf(call: Call, called: Procedure, controls: readonly Control[], i: number): Issue | null {
  const last = called.steps.length - 1;
  const straight = called.steps.every(({ kind }, at) => STRAIGHT.includes(kind) || (kind === "end" && at === last));
  if (!straight) return issueAt(call, i, `“${called.name}” branches or calls in turn: it cannot be called.`);
  const other = called.controls.find((control) => {
    const own = controls.find(({ id }) => id === control.id);
    return own && (own.perEngine !== control.perEngine || control.positions.some((p) => !own.positions.includes(p)));
  });
  return other ? issueAt(call, i, `${other.name} has other positions in “${called.name}”.`) : null;
}
