// A procedure as it is edited: each of these gives another procedure and leaves the old one as it was.
import type { Control, Procedure, Step } from "@/core/procedure/procedure";

/** Kinds of steps in words, in the order in which they are offered. */
export const KIND_WORDS: Record<Step["kind"], string> = {
  say: "say or look",
  set: "set a control",
  wait: "wait",
  ask: "ask, and branch",
  passing: "call a height",
  again: "go back",
  call: "call another",
  caution: "caution",
  end: "end",
};

/** A name that no step has yet. */
function freeId(procedure: Procedure, base: string): string {
  const taken = new Set(procedure.steps.map(({ id }) => id));
  // One more than there are steps is free at the latest.
  for (let i = 1; i <= procedure.steps.length; i += 1) {
    const id = `${base}-${i}`;
    if (!taken.has(id)) return id;
  }
  return `${base}-${procedure.steps.length + 1}`;
}

/** A step of a kind with what it must have; of a control the first that there is. */
export function newStep(procedure: Procedure, kind: Step["kind"]): Step {
  const base = {
    id: freeId(procedure, kind),
    actor: procedure.crew === "two" ? "flying" : "single",
    memory: true,
    when: null,
    why: null,
  } as const;
  const [control] = procedure.controls;
  const first = procedure.steps.at(0)?.id ?? base.id;
  switch (kind) {
    case "set":
      return {
        ...base,
        kind,
        challenge: control?.name ?? "New",
        control: control?.id ?? "none",
        engine: control?.perEngine ? "dead" : null,
        position: control?.positions.at(-1) ?? "on",
        confirm: null,
        target_s: 5,
      };
    case "say":
      return { ...base, kind, challenge: "New", response: "", target_s: 5 };
    case "wait":
      return { ...base, kind, challenge: "Wait", wait_s: 10, since: null };
    case "ask":
      return {
        ...base,
        kind,
        challenge: "New?",
        answers: [
          { answer: "yes", to: first, when: null },
          { answer: "no", to: first, when: null },
        ],
        target_s: 8,
      };
    case "passing":
      return { ...base, kind, challenge: "Call", what: "height", value: 152.4 };
    case "again":
      return { ...base, kind, challenge: "Once more", to: first, most: 1 };
    case "call":
      return { ...base, kind, challenge: "Landing check", procedure: "landing-check" };
    default:
      return { ...base, kind, challenge: kind === "end" ? "Done." : "Caution" };
  }
}

/** With a step put after another; at the end of the list for -1. */
export function withStepAfter(procedure: Procedure, after: number, step: Step): Procedure {
  const at = after < 0 ? procedure.steps.length : after + 1;
  return { ...procedure, steps: [...procedure.steps.slice(0, at), step, ...procedure.steps.slice(at)] };
}

/** With a step in another place. */
export function withStepMoved(procedure: Procedure, from: number, to: number): Procedure {
  const steps = [...procedure.steps];
  const [step] = steps.splice(from, 1);
  steps.splice(to, 0, step);
  return { ...procedure, steps };
}

/** With a step changed. */
export const withStep = (procedure: Procedure, id: string, step: Step): Procedure => ({
  ...procedure,
  steps: procedure.steps.map((other) => (other.id === id ? step : other)),
});

/** Without a step; what led to it is told by the check. */
export const withoutStep = (procedure: Procedure, id: string): Procedure => ({
  ...procedure,
  steps: procedure.steps.filter((step) => step.id !== id),
});

/** With a control changed, or added; steps that set it to a position that is gone are told by the check. */
export const withControl = (procedure: Procedure, at: number, control: Control): Procedure => ({
  ...procedure,
  controls:
    at < procedure.controls.length
      ? procedure.controls.map((other, i) => (i === at ? control : other))
      : [...procedure.controls, control],
});

/** A way that leads elsewhere than to the next step, by index. */
export interface Branch {
  readonly from: number;
  readonly to: number;
  readonly back: boolean;
}

/** All ways that are drawn. */
export function branchesOf({ steps }: Procedure): Branch[] {
  const at = new Map(steps.map(({ id }, i) => [id, i]));
  return steps.flatMap((step, from) => {
    const ids = step.kind === "ask" ? step.answers.map(({ to }) => to) : step.kind === "again" ? [step.to] : [];
    return [...new Set(ids)].flatMap((id): Branch[] => {
      const to = at.get(id);
      return to === undefined || to === from + 1 ? [] : [{ from, to, back: to <= from }];
    });
  });
}
