import { type Issue, type Outcome, failure } from "@/core/outcome";
import type { Core } from "@/workers/core-client";
import { latestOnly } from "./latest";
import { type Lane, askCore } from "./lanes";
import { useTerrain } from "./terrain";

/** What is known of a question that changes. */
export interface Answer<Q, T> {
  /** `pending` until something has come; `failed` when the computation itself broke, twice. */
  readonly state: "pending" | "ok" | "issue" | "failed";
  readonly value: T | null;
  /** Why there is no value. */
  readonly issue: Issue | null;
  /** The question that value and issue belong to. */
  readonly question: Q | null;
  /** They belong to an older question than the one that is asked now. */
  readonly stale: boolean;
}

/** A question that is asked anew whenever it changes. */
export interface Asking<Q, T> {
  /** Asks; a question of the same value as the one before asks nothing. Null asks nothing and forgets the answer. */
  readonly put: (question: Q | null) => void;
  readonly get: () => Answer<Q, T>;
  readonly subscribe: (listener: () => void) => () => void;
}

/** How a question is put to the core: all that it depends on is in the question. */
export type Ask<Q, T> = (core: Core, question: Q) => PromiseLike<Outcome<T>>;

const NOTHING: Answer<never, never> = { state: "pending", value: null, issue: null, question: null, stale: false };

/**
 * Asks in a lane, the newest question only; what has come stays, marked as stale, until the newest has its answer.
 *
 * @param lane - or which lane, when it is asked
 * @param about - what an answer must not outlive (the aircraft, say): when it changes the old answer is forgotten at
 *   once
 */
export function asking<Q, T>(
  lane: Lane | (() => Lane),
  ask: Ask<Q, T>,
  about: (question: Q) => unknown = () => null,
): Asking<Q, T> {
  const listeners = new Set<() => void>();
  const run = latestOnly();
  let answer: Answer<Q, T> = NOTHING;
  let asked: Q | null = null;
  let key = "";
  const say = (now: Answer<Q, T>) => {
    answer = now;
    for (const listener of listeners) listener();
  };
  const begin = (question: Q, mine: string) =>
    run(async () => {
      if (mine !== key) return;
      const outcome: Outcome<T> = await askCore(typeof lane === "string" ? lane : lane(), (core) =>
        ask(core, question),
      ).catch((error: unknown) =>
        failure("core_failed", `The computation failed: ${error instanceof Error ? error.message : String(error)}`),
      );
      // Meanwhile it may have become a question about something else.
      if (key === "" || (asked !== null && about(asked) !== about(question))) return;
      const stale = mine !== key;
      if (outcome.ok) say({ state: "ok", value: outcome.value, issue: null, question, stale });
      else {
        const state = outcome.issue.code === "core_failed" ? "failed" : "issue";
        say({ state, value: null, issue: outcome.issue, question, stale });
      }
    });
  return {
    put: (question) => {
      const ground = useTerrain.getState();
      const next = question === null ? "" : JSON.stringify([ground.source?.id, ground.state === "away", question]);
      const before = asked;
      asked = question;
      if (next === key) return;
      key = next;
      if (question === null || (before !== null && about(before) !== about(question))) say(NOTHING);
      else if (answer.state !== "pending") say({ ...answer, stale: true });
      if (question !== null) begin(question, next);
    },
    get: () => answer,
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
