"use client";
import { useEffect, useRef, useState } from "react";
import { latestOnly } from "./latest";

/**
 * An answer of the worker to a question that changes: the newest only, the one before kept until it comes.
 *
 * @param ask - made anew (by useCallback) whenever the question changes; null asks nothing
 */
export function useAsked<A extends () => Promise<unknown>>(ask: A | null): Awaited<ReturnType<A>> | null {
  const [answer, setAnswer] = useState<Awaited<ReturnType<A>> | null>(null);
  const run = useRef(latestOnly());
  useEffect(() => {
    if (!ask) return;
    run.current(async () => {
      const found = (await ask().catch(() => null)) as Awaited<ReturnType<A>> | null;
      if (found !== null) setAnswer(found);
    });
  }, [ask]);
  return answer;
}
