// What the tabs of one browser tell each other, so that they agree at once.

/** Something was stored in one of them. */
export type TabMessage =
  | { readonly kind: "saved"; readonly id: string; readonly version: number; readonly document: unknown }
  | { readonly kind: "changed" };

/** One channel a page, for speaking and hearing: what a channel says it does not hear itself. */
let channel: BroadcastChannel | null = null;

function ours(): BroadcastChannel | null {
  if (typeof BroadcastChannel === "undefined") return null;
  channel ??= new BroadcastChannel("utrimax");
  return channel;
}

/** Tells the other tabs, and has what works without a network keep the pages as they are now. */
export function tellTabs(message: TabMessage): void {
  ours()?.postMessage(message);
  askToKeep();
}

/** Has the pages kept for when there is no network. */
export function askToKeep(): void {
  if (typeof navigator !== "undefined" && "serviceWorker" in navigator)
    navigator.serviceWorker.controller?.postMessage({ type: "keep" });
}

/** Listens to the other tabs until the function that is given back is called. */
export function hearTabs(hear: (message: TabMessage) => unknown): () => void {
  const listener = (event: MessageEvent<TabMessage>) => void hear(event.data);
  ours()?.addEventListener("message", listener);
  return () => ours()?.removeEventListener("message", listener);
}
