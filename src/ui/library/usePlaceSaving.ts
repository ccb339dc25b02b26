"use client";
import { useEffect, useRef } from "react";
import { beginPlaces } from "./places-store";
import { useWorkspace } from "./workspace";

/** Brings the account's places at once, and what saves them after the first view. */
export function usePlaceSaving(): void {
  const { library, account } = useWorkspace();
  const begun = useRef<{ readonly account: string; readonly library: typeof library } | null>(null);
  useEffect(() => {
    const own = library.places.filter(({ shared }) => !shared);
    if (begun.current?.account !== account.id) beginPlaces(own);
    else if (begun.current.library !== library)
      void import("./place-changes").then((changes) => changes.adoptPlaces(own));
    begun.current = { account: account.id, library };
  }, [library, account.id]);
  useEffect(() => {
    let end: (() => void) | null = null;
    let left = false;
    // What does not come keeps nobody from working: the next page brings it.
    import("./place-saving").then(
      (saving) => {
        if (!left) end = saving.startSavingPlaces();
      },
      () => {},
    );
    return () => {
      left = true;
      end?.();
    };
  }, [account.id]);
}
