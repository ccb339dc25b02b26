// Talking to the server: one function, one shape of fault.
import type { Issue } from "@/core/outcome";

/**
 * An answer, or why there is none. `away`: the server or its database cannot be reached; trying again later makes
 * sense.
 */
export type Answer<T> =
  | { readonly ok: true; readonly value: T }
  | {
      readonly ok: false;
      readonly away: boolean;
      readonly issues: readonly Issue[];
      /** After a save over an older version: what was saved meanwhile. */
      readonly stored?: unknown;
    };

/** What is needed beside the body. */
interface Sending {
  /** The version that is saved over. */
  readonly version?: number;
  /** Of the body, where it is no JSON. */
  readonly type?: string;
}

/** Sends JSON and reads JSON. */
export async function send<T>(
  method: "GET" | "POST" | "PUT" | "PATCH" | "DELETE",
  url: string,
  body?: unknown,
  sending: Sending = {},
): Promise<Answer<T>> {
  return sendRaw<T>(method, url, body === undefined ? undefined : JSON.stringify(body), sending);
}

/** Sends something as it stands and reads JSON. */
export async function sendRaw<T>(
  method: string,
  url: string,
  body?: string | ArrayBuffer,
  { version, type = "application/json" }: Sending = {},
): Promise<Answer<T>> {
  try {
    const answer = await fetch(url, {
      method,
      body,
      headers: {
        ...(body === undefined ? {} : { "content-type": type }),
        ...(version === undefined ? {} : { "if-match": `"${version}"` }),
      },
    });
    const value: unknown = await answer.json().catch(() => null);
    if (answer.ok) return { ok: true, value: value as T };
    const refused = value as { issues?: Issue[]; stored?: unknown } | null;
    const issues = refused?.issues ?? [{ code: "unknown", path: "", message: `The server answered ${answer.status}.` }];
    return { ok: false, away: answer.status >= 500, issues, ...(refused?.stored ? { stored: refused.stored } : {}) };
  } catch {
    return {
      ok: false,
      away: true,
      issues: [{ code: "server_away", path: "", message: "The server cannot be reached." }],
    };
  }
}
