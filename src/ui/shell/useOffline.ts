"use client";
import { useEffect, useSyncExternalStore } from "react";
import { toast } from "sonner";
import { askToKeep } from "@/ui/kit/tabs";

/** Time after loading when everything else has been fetched, ms. */
const LATER_MS = 4000;

/** Installs what works without a network, keeps the pages, and tells of a new version. */
export function useOffline(): void {
  useEffect(() => {
    if (process.env.NODE_ENV !== "production" || !("serviceWorker" in navigator)) return;
    const { serviceWorker } = navigator;
    let asked = false;
    const offer = (waiting: ServiceWorker | null) => {
      // The first one takes the page over by itself.
      if (!waiting || !serviceWorker.controller) return;
      toast("A new version is here. Unsaved work stays.", {
        duration: Infinity,
        action: {
          label: "Load it",
          onClick: () => {
            asked = true;
            waiting.postMessage({ type: "SKIP_WAITING" });
          },
        },
      });
    };
    // A page that took over by itself is not loaded again; one that was asked to is.
    const takenOver = () => {
      if (asked) location.reload();
      else askToKeep();
    };
    serviceWorker.addEventListener("controllerchange", takenOver);
    const timer = setTimeout(askToKeep, LATER_MS);
    serviceWorker
      .register("/sw.js")
      .then((registration) => {
        offer(registration.waiting);
        registration.addEventListener("updatefound", () => {
          const coming = registration.installing;
          coming?.addEventListener("statechange", () => coming.state === "installed" && offer(coming));
        });
      })
      // Without it the application works as long as the server answers.
      .catch(() => undefined);
    return () => {
      clearTimeout(timer);
      serviceWorker.removeEventListener("controllerchange", takenOver);
    };
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
