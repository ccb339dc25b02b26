"use client";
import { useEffect, useState } from "react";

/** The present time to the minute, ms since 1970. */
export function useNow(): number {
  const [now_ms, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 60_000);
    return () => clearInterval(timer);
  }, []);
  return now_ms;
}
