"use client";
import { useEffect, useSyncExternalStore } from "react";

/** Time after loading when everything that is shown first has been fetched, ms. */
const LATER_MS = 2000;

let installed = false;

/** Has what works without a network installed, once everything else is there. */
export function useOffline(): void {
  useEffect(() => {
    if (process.env.NODE_ENV !== "production" || !("serviceWorker" in navigator) || installed) return;
    const install = () => {
      installed = true;
      import("./install-offline").then(({ installOffline }) => installOffline()).catch(() => undefined);
    };
    const timer = setTimeout(install, LATER_MS);
    return () => clearTimeout(timer);
  }, []);
}

const subscribe = (told: () => void) => {
  addEventListener("online", told);
  addEventListener("offline", told);
  return () => {
    removeEventListener("online", told);
    removeEventListener("offline", told);
  };
};

/** Whether the device has a network. */
export function useOnline(): boolean {
  return useSyncExternalStore(
    subscribe,
    () => navigator.onLine,
    () => true,
  );
}
