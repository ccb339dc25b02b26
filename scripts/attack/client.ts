// A visitor without a browser: an account of its own, its cookie, its situation.
import type { SituationDocument } from "@/core/situation/situation-document";

/** A visitor. */
export interface Client {
  readonly situationId: string;
  readonly cookie: string;
  fetch(path: string, init?: RequestInit): Promise<Response>;
}

/** Opens the demo, trying again until it opens. */
export async function openClient(address: string): Promise<Client> {
  for (let attempt = 0; ; attempt += 1) {
    const answer = await fetch(`${address}/api/demo`, { method: "POST" }).catch(() => null);
    if (answer?.status === 201) {
      const cookie = answer.headers
        .getSetCookie()
        .map((entry) => entry.split(";")[0])
        .join("; ");
      const { situationId } = (await answer.json()) as { situationId: string };
      return {
        situationId,
        cookie,
        fetch: (path, init = {}) =>
          fetch(`${address}${path}`, {
            ...init,
            headers: { ...init.headers, cookie },
            signal: AbortSignal.timeout(30_000),
          }),
      };
    }
    await answer?.body?.cancel();
    if (attempt > 100) throw new Error(`openClient: expected the demo to open, got ${answer?.status ?? "no answer"}`);
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}

/** What a save came to. */
export type SaveOutcome =
  | { readonly state: "saved"; readonly version: number }
  | { readonly state: "failed" }
  | { readonly state: "refused"; readonly status: number; readonly text: string };

/** Saves a document over a version; `failed` when it may or may not have been saved. */
export async function save(client: Client, document: SituationDocument, version: number): Promise<SaveOutcome> {
  try {
    const answer = await client.fetch(`/api/situations/${client.situationId}`, {
      method: "PUT",
      body: JSON.stringify(document),
      headers: { "content-type": "application/json", "if-match": `"${version}"` },
    });
    const text = await answer.text();
    if (answer.status === 200) return { state: "saved", version: JSON.parse(text).version };
    if (answer.status >= 500) return { state: "failed" };
    return { state: "refused", status: answer.status, text: text.slice(0, 300) };
  } catch {
    return { state: "failed" };
  }
}
