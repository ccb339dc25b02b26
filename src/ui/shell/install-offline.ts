// Installs what works without a network, keeps the pages, and tells of a new version.
import { toast } from "sonner";
import { askToKeep } from "@/ui/kit/tabs";

/** Registers the service worker of this version; once a page. */
export function installOffline(): void {
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
  serviceWorker.addEventListener("controllerchange", () => (asked ? location.reload() : askToKeep()));
  askToKeep();
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
}
