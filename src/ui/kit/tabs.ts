// What the tabs of one browser tell each other, so that they agree at once.

/** Something was stored in one of them. */
export type TabMessage =
  | { readonly kind: "saved"; readonly id: string; readonly version: number; readonly document: unknown }
  | { readonly kind: "changed" };

const NAME = "utrimax";

/** Tells the other tabs. */
export function tellTabs(message: TabMessage): void {
  if (typeof BroadcastChannel === "undefined") return;
  const channel = new BroadcastChannel(NAME);
  channel.postMessage(message);
  channel.close();
}

/** Listens to the other tabs until the function that is given back is called. */
export function hearTabs(hear: (message: TabMessage) => unknown): () => void {
  if (typeof BroadcastChannel === "undefined") return () => undefined;
  const channel = new BroadcastChannel(NAME);
  channel.onmessage = (event: MessageEvent<TabMessage>) => hear(event.data);
  return () => channel.close();
}
