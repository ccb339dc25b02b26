"use client";
import { useEffect, useState, useSyncExternalStore } from "react";
import type { Outcome } from "@/core/outcome";
import { type Answer, type Ask, type Asking, asking } from "./asking";
import type { Lane } from "./lanes";
import { useTerrain } from "./terrain";

/** Keeps a question that several views share up to date; the terrain's coming asks it again. */
export function useKept<Q, T>(kept: Asking<Q, T>, question: Q | null): Answer<Q, T> {
  const ground = useTerrain((state) => state.state);
  const source = useTerrain((state) => state.source);
  useEffect(() => kept.put(question), [kept, question, ground, source]);
  return useSyncExternalStore(kept.subscribe, kept.get, kept.get);
}

/**
 * The core's answer to a question that changes.
 *
 * @param question - all that the answer depends on; null asks nothing
 * @param ask - how it is put to the core; the same function at every render
 */
export function useAnswer<Q, T>(question: Q | null, ask: Ask<Q, T>, lane: Lane): Answer<Q, T> {
  const [own] = useState(() => asking(lane, ask));
  return useKept(own, question);
}

/** An answer as an outcome; null while there is none. */
export function outcomeOf<Q, T>({ value, issue }: Answer<Q, T>): Outcome<T> | null {
  if (issue) return { ok: false, issue };
  return value === null ? null : { ok: true, value };
}
