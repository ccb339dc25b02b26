// A procedure being flown, as a state that each event leads to the next: the same events give the same drill again. It
// knows no screen and no clock: time, height and speed are told to it.
import type { Actor, Condition, OfEngine, Procedure, Step } from "./procedure";

/** Engines by side; null for a control that there is one of. */
export type Side = "left" | "right" | null;

/** What is known at a moment. */
export interface Flown {
  readonly time_s: number;
  /** Above the ground. */
  readonly height_m: number;
  readonly speed_mps: number;
}

/** Something that somebody does, or time that passes. */
export type DrillEvent =
  | {
      readonly type: "set";
      readonly actor: Actor;
      readonly control: string;
      readonly side: Side;
      readonly position: string;
    }
  | { readonly type: "say"; readonly actor: Actor }
  /** Names the engine that is meant: the confirmation. */
  | { readonly type: "name"; readonly actor: Actor; readonly side: "left" | "right" }
  | { readonly type: "answer"; readonly actor: Actor; readonly answer: string }
  | { readonly type: "passes"; readonly flown: Flown }
  | { readonly type: "warning"; readonly name: string; readonly on: boolean }
  | { readonly type: "back" };

/** What came of it. */
export type DrillOutcome =
  | "done"
  | "passed-over"
  | "slow"
  | "wrong-control"
  /** It comes later. */
  | "wrong-order"
  | "wrong-engine"
  | "wrong-position"
  | "wrong-actor"
  | "wrong-answer"
  | "unconfirmed"
  | "too-early"
  | "back";

/** Whether it counts as wrong. */
export const isWrong = (outcome: DrillOutcome): boolean => !["done", "passed-over", "slow", "back"].includes(outcome);

/** A line of the log. */
export interface DrillEntry {
  readonly step: string;
  readonly outcome: DrillOutcome;
  readonly time_s: number;
  readonly height_m: number;
  /** From when it was due. */
  readonly took_s: number;
  /** The step that what was done belongs to, when that is another; null otherwise. */
  readonly meant: string | null;
}

/** A drill at a moment. */
export interface Drill {
  /** Index of the step that is due; the number of steps when it is over. */
  readonly at: number;
  readonly flown: Flown;
  /** When the present step became due. */
  readonly due_s: number;
  /** The engine that has been named for the present step; null for none. */
  readonly named: Side;
  readonly warnings: readonly string[];
  /** Sides of the present step's control that stand as wanted. */
  readonly set: readonly Side[];
  /** Of the propeller of the dead engine. */
  readonly propeller: string;
  /** Positions by control and side. */
  readonly positions: Readonly<Record<string, string>>;
  /** How often a loop has gone back, by step. */
  readonly agains: Readonly<Record<string, number>>;
  readonly log: readonly DrillEntry[];
}

/** How a drill begins. */
export interface DrillStart {
  /** The engine that fails; null where there is one, or none. */
  readonly dead: Side;
  readonly flown: Flown;
  readonly propeller: string;
}

/** Past any step. */
const OVER = 1000;

/** Control and side as one key. */
export const controlKey = (control: string, side: Side): string => (side === null ? control : `${control}:${side}`);

/** Which engines a step is about. */
export function sidesOf(engine: OfEngine, dead: Side): readonly Side[] {
  if (engine === null) return [null];
  if (engine === "each" || dead === null) return ["left", "right"];
  return [engine === "dead" ? dead : dead === "left" ? "right" : "left"];
}

const holds = ({ what, is, value, name }: Condition, { flown, warnings, propeller }: Drill): boolean => {
  switch (what) {
    case "height":
      return is === "above" ? flown.height_m > (value ?? 0) : flown.height_m < (value ?? 0);
    case "speed":
      return is === "above" ? flown.speed_mps > (value ?? 0) : flown.speed_mps < (value ?? 0);
    case "warning":
      return warnings.includes(name ?? "") === (is === "on");
    case "propeller":
      return (propeller === name) === (is === "on");
  }
};

/** Whether it is over. */
export const isOver = ({ steps }: Procedure, { at }: Pick<Drill, "at">): boolean => at >= steps.length;

/** A drill at its beginning; warnings burn, controls stand in their first positions. */
export function beginDrill(procedure: Procedure, { flown, propeller }: DrillStart): Drill {
  const positions = Object.fromEntries(
    procedure.controls.flatMap(({ id, perEngine, positions: all }) =>
      (perEngine ? (["left", "right"] as const) : [null]).map((side) => [controlKey(id, side), all[0]] as const),
    ),
  );
  return settled(procedure, {
    at: 0,
    flown,
    due_s: flown.time_s,
    named: null,
    set: [],
    warnings: procedure.warnings,
    propeller,
    positions,
    agains: {},
    log: [],
  });
}

/**
 * What an event leads to. What is wrong is logged and changes nothing: the step stays due.
 *
 * @param dead - the engine that failed; null where there is one, or all
 */
export function afterEvent(procedure: Procedure, drill: Drill, event: DrillEvent, dead: Side): Drill {
  switch (event.type) {
    case "passes":
      return passed(procedure, { ...drill, flown: event.flown });
    case "warning": {
      const others = drill.warnings.filter((name) => name !== event.name);
      return settled(procedure, { ...drill, warnings: event.on ? [...others, event.name] : others });
    }
    case "back":
      return wentBack(procedure, drill);
    default: {
      const step = procedure.steps.at(drill.at);
      if (!step || isOver(procedure, drill)) return drill;
      if (step.actor !== event.actor && !(event.type === "name" && isConfirmed(step, event.actor)))
        return logged(drill, step, "wrong-actor");
      return byHand(procedure, drill, step, event, dead);
    }
  }
}

type HandEvent = Extract<DrillEvent, { type: "set" | "say" | "name" | "answer" }>;

/** The other of a crew names the engine that somebody has the hand on. */
const isConfirmed = (step: Step, actor: Actor): boolean =>
  step.kind === "set" && step.confirm === "other" && actor !== step.actor && actor !== "instructor";

function byHand(procedure: Procedure, drill: Drill, step: Step, event: HandEvent, dead: Side): Drill {
  if (step.kind === "wait" || step.kind === "passing") return logged(drill, step, "too-early");
  if (event.type === "name") return named(drill, step, event, dead);
  if (step.kind === "set")
    return event.type === "set" ? setBy(procedure, drill, step, event, dead) : logged(drill, step, "wrong-control");
  if (event.type === "set") return outOfOrder(procedure, drill, step, event);
  if (step.kind === "ask") {
    if (event.type !== "answer") return logged(drill, step, "wrong-control");
    const answer = step.answers.find((candidate) => candidate.answer === event.answer);
    if (!answer || (answer.when && !holds(answer.when, drill))) return logged(drill, step, "wrong-answer");
    return goTo(procedure, logged(drill, step, inTime(drill, step.target_s)), answer.to);
  }
  if (step.kind === "say" && event.type === "say")
    return next(procedure, logged(drill, step, inTime(drill, step.target_s)));
  return logged(drill, step, "wrong-control");
}

function named(drill: Drill, step: Step, { actor, side }: Extract<HandEvent, { type: "name" }>, dead: Side): Drill {
  if (step.kind !== "set" || step.confirm === null) return logged(drill, step, "wrong-control");
  // One’s own word is no confirmation where the other’s is wanted.
  if (step.confirm === "other" && actor === step.actor) return logged(drill, step, "unconfirmed");
  return sidesOf(step.engine, dead).includes(side) || step.engine === null
    ? { ...drill, named: side }
    : logged(drill, step, "wrong-engine");
}

function setBy(
  procedure: Procedure,
  drill: Drill,
  step: Extract<Step, { kind: "set" }>,
  event: Extract<HandEvent, { type: "set" }>,
  dead: Side,
): Drill {
  const wanted = sidesOf(step.engine, dead);
  if (event.control !== step.control) return outOfOrder(procedure, drill, step, event);
  if (!wanted.includes(event.side)) return logged(drill, step, "wrong-engine");
  if (event.position !== step.position) return logged(drill, step, "wrong-position");
  const needed = step.confirm !== null && dead !== null;
  if (needed && drill.named === null) return logged(drill, step, "unconfirmed");
  const moved = {
    ...drill,
    positions: { ...drill.positions, [controlKey(event.control, event.side)]: event.position },
    set: [...drill.set, event.side],
  };
  // Of a control for each engine every one is set before it is done.
  if (wanted.some((side) => !moved.set.includes(side))) return moved;
  return next(procedure, logged(moved, step, inTime(drill, step.target_s)));
}

/** A control that is not due: it comes later, or not at all. */
function outOfOrder(procedure: Procedure, drill: Drill, step: Step, event: Extract<HandEvent, { type: "set" }>): Drill {
  const later = procedure.steps.find(
    (other, i) =>
      i > drill.at && other.kind === "set" && other.control === event.control && other.position === event.position,
  );
  return later ? logged(drill, step, "wrong-order", later.id) : logged(drill, step, "wrong-control");
}

/** When a wait is over. */
export function endOfWait_s(step: Extract<Step, { kind: "wait" }>, { log, due_s }: Pick<Drill, "log" | "due_s">) {
  const start = log.findLast(
    ({ step: id, outcome }) => id === step.since && (outcome === "done" || outcome === "slow"),
  );
  return (start?.time_s ?? due_s) + step.wait_s;
}

/** Time, height or speed have changed. */
function passed(procedure: Procedure, drill: Drill): Drill {
  const step = procedure.steps.at(drill.at);
  if (!step || isOver(procedure, drill)) return drill;
  if (step.kind === "wait" && drill.flown.time_s >= endOfWait_s(step, drill))
    return next(procedure, logged(drill, step, "done"));
  if (step.kind === "passing") {
    const value = step.what === "height" ? drill.flown.height_m : drill.flown.speed_mps;
    if (value <= step.value) return next(procedure, logged(drill, step, "done"));
  }
  return drill;
}

/** A step back is allowed and counted; what was set stays where it is. */
function wentBack(procedure: Procedure, drill: Drill): Drill {
  const done = drill.log.findLastIndex(({ outcome }) => outcome === "done" || outcome === "slow");
  const to = done < 0 ? -1 : procedure.steps.findIndex(({ id }) => id === drill.log[done].step);
  if (to < 0) return drill;
  const step = procedure.steps[to];
  return { ...logged(drill, step, "back"), at: to, due_s: drill.flown.time_s, named: null, set: [] };
}

const inTime = ({ flown, due_s }: Drill, target_s: number): DrillOutcome =>
  flown.time_s - due_s > target_s ? "slow" : "done";

/** Lines after which a drill is over, whatever its loops would still do. */
const MOST_LINES = 2000;

function logged(drill: Drill, step: Step, outcome: DrillOutcome, meant: string | null = null): Drill {
  const { time_s, height_m } = drill.flown;
  const entry = { step: step.id, outcome, time_s, height_m, took_s: time_s - drill.due_s, meant };
  const log = [...drill.log, entry];
  return { ...drill, log, at: log.length < MOST_LINES ? drill.at : OVER };
}

const next = (procedure: Procedure, drill: Drill): Drill =>
  settled(procedure, { ...drill, at: Math.min(drill.at + 1, OVER), due_s: drill.flown.time_s, named: null, set: [] });

const goTo = (procedure: Procedure, drill: Drill, id: string): Drill => {
  const at = procedure.steps.findIndex((step) => step.id === id);
  return settled(procedure, {
    ...drill,
    at: at < 0 ? procedure.steps.length : at,
    due_s: drill.flown.time_s,
    named: null,
    set: [],
  });
};

/** Passes over what does not apply and what is only to be known, as far as something is due. */
function settled(procedure: Procedure, drill: Drill): Drill {
  let now = drill;
  // Every round leads forward but for loops, which are counted.
  for (let i = 0; i < procedure.steps.length * 10; i += 1) {
    const step = procedure.steps.at(now.at);
    if (!step || isOver(procedure, now)) return now;
    if (step.when && !holds(step.when, now)) now = { ...logged(now, step, "passed-over"), at: now.at + 1 };
    else if (step.kind === "end") return { ...logged(now, step, "done"), at: procedure.steps.length };
    else if (step.kind === "caution") now = { ...logged(now, step, "done"), at: now.at + 1 };
    else if (step.kind === "again") {
      const times = now.agains[step.id] ?? 0;
      const to = procedure.steps.findIndex(({ id }) => id === step.to);
      now = {
        ...now,
        at: times < step.most && to >= 0 ? to : now.at + 1,
        agains: { ...now.agains, [step.id]: times + 1 },
      };
    } else return now;
    now = { ...now, due_s: now.flown.time_s, named: null, set: [] };
  }
  return { ...now, at: procedure.steps.length };
}
