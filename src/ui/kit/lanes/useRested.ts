"use client";
import { useEffect, useState } from "react";

/**
 * While another stage is open what takes the cores for seconds is worked out when nothing has changed for so long, ms:
 * the stage that is open may want them.
 */
const REST_MS = 15_000;

/**
 * The same a while later, unless it is wanted at once. Until then null: what was answered to an older question is no
 * answer to this one.
 *
 * @param now - the same object while it asks the same
 */
export function useRested<T>(now: T, atOnce: boolean): T | null {
  const [rested, setRested] = useState<T | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setRested(now), atOnce ? 0 : REST_MS);
    return () => clearTimeout(timer);
  }, [now, atOnce]);
  return atOnce || rested === now ? now : null;
}
