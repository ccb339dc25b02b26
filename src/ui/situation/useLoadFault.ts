"use client";
import { useEffect, useState } from "react";
import { useSituation } from "./situation-store";
import { useAircraft } from "./useAircraft";

/**
 * Why the situation does not follow its load; null when it does. What works it out comes after the first view, for
 * there is a load in few situations.
 */
export function useLoadFault(): string | null {
  const { document } = useAircraft();
  const load = useSituation((state) => state.current.load);
  const [found, setFound] = useState<{ of: object; fault: string | null } | null>(null);
  useEffect(() => {
    if (!load || !document.loading) return;
    let wanted = true;
    import("./load")
      .then(({ loadState }) => wanted && setFound({ of: load, fault: loadState(document, load)?.fault ?? null }))
      // It is told where the load is looked at.
      .catch(() => undefined);
    return () => {
      wanted = false;
    };
  }, [document, load]);
  return found && found.of === load ? found.fault : null;
}
