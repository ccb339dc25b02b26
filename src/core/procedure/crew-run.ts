// A drill that a crew runs on several browsers: a log that is only added to, and what follows from it. The same log
// gives the same drill in every browser.
import { z } from "zod";
import { type DrillRun, type RunEvent, type RunState, runAt } from "./drill-run";
import type { Procedure } from "./procedure";
import { HandEventDocument } from "./run-document";

/** Parts that somebody may have: of a drill flown alone the pilot and an instructor, of one for two three. */
export const CrewRole = z.enum(["single", "flying", "monitoring", "instructor"]);
/** @see CrewRole */
export type CrewRole = z.infer<typeof CrewRole>;

/** Something that somebody of a crew does. */
export const CrewDid = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("hand"), event: HandEventDocument }),
  /** Another height, given by the instructor. */
  z.strictObject({ kind: z.literal("height"), height_m: z.number().min(0).max(20_000) }),
  /** Another rate, given by the instructor: what a failure of his leaves. */
  z.strictObject({ kind: z.literal("rate"), climb_mps: z.number().min(-100).max(100) }),
  z.strictObject({ kind: z.literal("go") }),
  z.strictObject({ kind: z.literal("stop") }),
  z.strictObject({ kind: z.literal("note"), text: z.string().trim().min(1).max(200) }),
  z.strictObject({ kind: z.literal("joined") }),
]);
/** @see CrewDid */
export type CrewDid = z.infer<typeof CrewDid>;

/** A line of a crew's log. */
export interface CrewEvent {
  /** 1, 2, 3 … without a gap. */
  readonly seq: number;
  /** Of the drill: it stands while the drill does. */
  readonly time_s: number;
  readonly role: CrewRole;
  readonly did: CrewDid;
}

/** A crew at a moment. */
export interface CrewState {
  readonly run: DrillRun;
  readonly state: RunState;
  readonly running: boolean;
  /** It was begun. */
  readonly begun: boolean;
  readonly roles: readonly CrewRole[];
  readonly notes: readonly CrewEvent[];
}

/** The parts that a procedure has. */
export const rolesOf = ({ crew }: Pick<Procedure, "crew">): readonly CrewRole[] =>
  crew === "two" ? ["flying", "monitoring", "instructor"] : ["single", "instructor"];

/**
 * Why somebody may not do something: another's hand is not his, warnings and heights are the instructor's, and while it
 * stands nothing is done by hand.
 *
 * @returns null when he may
 */
export function refusalOf(role: CrewRole, running: boolean, did: CrewDid): string | null {
  switch (did.kind) {
    case "hand":
      if (did.event.type === "warning") return role === "instructor" ? null : "Warnings are the instructor’s.";
      if (role === "instructor") return "An instructor has no hand in it.";
      if (!running) return "The drill stands: go on first.";
      return did.event.type !== "back" && did.event.actor !== role ? "That is somebody else’s hand." : null;
    case "height":
    case "rate":
      return role === "instructor" ? null : "Heights and rates are the instructor’s.";
    case "note":
      return role === "instructor" ? null : "Notes are the instructor’s.";
    case "joined":
      return "One joins by a code.";
    default:
      return null;
  }
}

/** What follows from a log at a time of the drill. Events in any order, some of them twice, give the same. */
export function crewAt(begun: DrillRun, log: readonly CrewEvent[], time_s: number): CrewState {
  const inOrder = [...new Map(log.map((event) => [event.seq, event])).values()].toSorted((a, b) => a.seq - b.seq);
  const events = inOrder.flatMap(({ time_s: at_s, did }): RunEvent[] =>
    did.kind === "hand"
      ? [{ time_s: at_s, event: did.event }]
      : did.kind === "height"
        ? [{ time_s: at_s, height_m: did.height_m }]
        : did.kind === "rate"
          ? [{ time_s: at_s, climb_mps: did.climb_mps }]
          : [],
  );
  const run = { ...begun, events };
  const goes = inOrder.filter(({ did }) => did.kind === "go" || did.kind === "stop");
  return {
    run,
    state: runAt(run, time_s),
    running: goes.at(-1)?.did.kind === "go",
    begun: goes.length > 0,
    roles: [...new Set(inOrder.filter(({ did }) => did.kind === "joined").map(({ role }) => role))],
    notes: inOrder.filter(({ did }) => did.kind === "note"),
  };
}
