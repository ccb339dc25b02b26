// What every route handler shares: who is asking, what they sent, and how faults are answered.
import { NextResponse } from "next/server";
import { z } from "zod";
import { type Issue, issuesOf } from "@/core/outcome";
import type { Account } from "./accounts";
import { isDatabaseAway, isDiskFull } from "./database";
import { freeSpace } from "./disk";
import { log } from "./log";
import { waitBefore } from "./rate-limit";
import { AccountFull } from "./room";
import { currentAccount } from "./sessions";
import type { Saved } from "./versioned-rows";

/** Written by scripts/lib/front.mjs over whatever a request says of itself. */
const [ADDRESS_HEADER, NUMBER_HEADER] = ["x-utrimax-address", "x-request-id"];

/** Largest body of a form, bytes. */
const SMALL_BODY = 4 * 1024;
/** Largest document, bytes: ten times what one of the demo's takes. */
export const DOCUMENT_BODY = 48 * 1024;

/** An answer of faults, in the one shape that all routes use. */
export function refusal(status: number, issues: readonly Issue[]): NextResponse {
  return NextResponse.json({ issues }, { status });
}

/** A refusal of one fault; `retry_s` says when it is worth asking again. */
export function refuse(status: number, code: string, message: string, path = "", retry_s?: number): NextResponse {
  const answer = refusal(status, [{ code, path, message }]);
  if (retry_s !== undefined) answer.headers.set("retry-after", String(Math.ceil(retry_s)));
  return answer;
}

/** Thrown inside a handler to answer at once. */
export class Refusal extends Error {
  constructor(readonly answer: NextResponse) {
    super("refused");
  }
}

/** What a route may be excused from. */
interface RouteOptions {
  /** It stores nothing, and answers when the disk is full too. */
  readonly storesNothing?: boolean;
}

/** Wraps a handler: same-origin writes only, faults answered, nothing leaked, nothing kept by the browser. */
export function route<C>(
  handle: (request: Request, context: C) => Promise<Response>,
  { storesNothing = false }: RouteOptions = {},
): (request: Request, context: C) => Promise<Response> {
  const answered = async (request: Request, context: C): Promise<Response> => {
    try {
      if (request.method !== "GET") {
        if (!sameOrigin(request)) return refuse(403, "cross_origin", "This request comes from another site.");
        if (!storesNothing && (await freeSpace()).full) return diskFull();
      }
      return await handle(request, context);
    } catch (error) {
      if (error instanceof Refusal) return error.answer;
      if (error instanceof AccountFull) return refusal(403, [error.issue]);
      if (isDatabaseAway(error))
        return refuse(
          503,
          "database_away",
          "The database cannot be reached at present. Your work is kept in this browser and saved when it is back.",
        );
      if (isDiskFull(error)) return diskFull();
      // What comes in is checked before: this is a stored row that cannot be read.
      if (error instanceof z.ZodError) return unreadable(error);
      const number = request.headers.get(NUMBER_HEADER) ?? "none";
      log().error({ err: error, url: request.url, method: request.method, requestId: number }, "a route failed");
      return refuse(500, "internal", `Something went wrong on our side. Nothing was changed. Report number ${number}.`);
    }
  };
  return async (request, context) => {
    const answer = await answered(request, context);
    if (!answer.headers.has("cache-control")) answer.headers.set("cache-control", "no-store");
    return answer;
  };
}

function unreadable(error: z.ZodError): NextResponse {
  const [first] = issuesOf(error);
  return refuse(
    409,
    "unreadable",
    `It is stored in a way that cannot be read (${first.path || "the whole"}: ${first.message}). Nothing of it is lost: the account’s dialog hands it out as it is.`,
  );
}

function diskFull(): NextResponse {
  return refuse(
    507,
    "disk_full",
    "The server’s disk is full: nothing can be saved at present. Your work is kept in this browser and saved when there is room.",
    "",
    60,
  );
}

function sameOrigin(request: Request): boolean {
  const site = request.headers.get("sec-fetch-site");
  if (site !== null && site !== "same-origin" && site !== "none") return false;
  const origin = request.headers.get("origin");
  // Programs without a browser send no origin and no cookie of a visitor either.
  return origin === null || (URL.canParse(origin) && new URL(origin).host === request.headers.get("host"));
}

/** The signed-in account; answers 401 when there is none. */
export async function requireAccount(): Promise<Account> {
  const account = await currentAccount();
  if (!account) throw new Refusal(refuse(401, "not_signed_in", "Sign in or open the demo first."));
  return account;
}

/** Counts an attempt of a client; answers 429 when there were too many. */
export async function limitAttempts(what: Parameters<typeof waitBefore>[0], client: string): Promise<void> {
  refuseUntil(await waitBefore(what, client));
}

/** Answers 429 to somebody who must wait, in seconds; 0 lets him on. */
export function refuseUntil(wait_s: number): void {
  if (wait_s > 0)
    throw new Refusal(refuse(429, "too_many_attempts", `Too many attempts. Try again in ${wait_s} s.`, "", wait_s));
}

/** A body that brings nothing for this long is given up, ms. */
const SILENCE_MS = 10_000;
/** A whole body takes no longer than this, ms. */
const LONGEST_BODY_MS = 180_000;

/** The request's body, refused beyond a limit without being read to its end. */
export async function readBytes(request: Request, limit: number): Promise<Uint8Array> {
  if (Number(request.headers.get("content-length") ?? 0) > limit) throw tooLarge(limit);
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  const until = Date.now() + LONGEST_BODY_MS;
  for (;;) {
    const part = await soon(reader?.read(), Math.min(SILENCE_MS, until - Date.now()));
    if (part === "silent") {
      void reader?.cancel().catch(() => undefined);
      throw new Refusal(refuse(408, "too_slow", "Nothing more came. Nothing was stored: send it again."));
    }
    if (!part || part.done) break;
    size += part.value.byteLength;
    if (size > limit) {
      void reader?.cancel().catch(() => undefined);
      throw tooLarge(limit);
    }
    chunks.push(part.value);
  }
  return Buffer.concat(chunks);
}

async function soon<T>(promise: Promise<T> | undefined, limit_ms: number): Promise<T | undefined | "silent"> {
  let timer: NodeJS.Timeout | undefined;
  const silence = new Promise<"silent">((resolve) => {
    timer = setTimeout(() => resolve("silent"), Math.max(limit_ms, 0));
  });
  return Promise.race([promise, silence]).finally(() => clearTimeout(timer));
}

function tooLarge(limit: number): Refusal {
  const most = limit >= 1024 * 1024 ? `${Math.round(limit / 1024 / 1024)} MB` : `${Math.round(limit / 1024)} kB`;
  return new Refusal(refuse(413, "too_large", `At most ${most} can be sent here. Nothing was stored.`));
}

/** The request's body as text. */
export async function readText(request: Request, limit: number): Promise<string> {
  return new TextDecoder().decode(await readBytes(request, limit));
}

/** Most large files that are read at the same time, and of one account. */
const [MOST_UPLOADS, MOST_UPLOADS_OF_ONE] = [4, 1];
const uploads: string[] = [];

/** A large file: few are read at once, so that those which never end do not fill the memory. */
export async function readUpload(request: Request, limit: number, accountId: string): Promise<Uint8Array> {
  const own = uploads.filter((id) => id === accountId).length;
  if (own >= MOST_UPLOADS_OF_ONE)
    throw new Refusal(refuse(429, "too_many", "Wait until the file before has been read.", "", 2));
  if (uploads.length >= MOST_UPLOADS)
    throw new Refusal(refuse(503, "busy", "Many files are being read: send it again in a while.", "", 10));
  uploads.push(accountId);
  try {
    return await readBytes(request, limit);
  } finally {
    uploads.splice(uploads.indexOf(accountId), 1);
  }
}

/** The request's body as JSON, unchecked. */
async function readJson(request: Request, limit: number): Promise<unknown> {
  const text = await readText(request, limit);
  try {
    return JSON.parse(text);
  } catch {
    throw new Refusal(refuse(400, "not_json", "The request does not hold JSON."));
  }
}

/** The request's body checked by a schema; 422 with every fault otherwise. */
export async function readBody<S extends z.ZodType>(
  request: Request,
  schema: S,
  limit = SMALL_BODY,
): Promise<z.output<S>> {
  const parsed = schema.safeParse(await readJson(request, limit));
  if (!parsed.success) throw new Refusal(refusal(422, issuesOf(parsed.error)));
  return parsed.data;
}

/** The version that the sender changed, from `If-Match`; 428 without one. */
export function versionOf(request: Request): number {
  const version = /^"(\d{1,9})"$/.exec(request.headers.get("if-match") ?? "")?.[1];
  if (version === undefined)
    throw new Refusal(
      refuse(428, "version_needed", 'If-Match must name the version that was changed, such as "3" in quotes.'),
    );
  return Number(version);
}

/** The answer to a save: its version, or 412 with what was saved meanwhile. */
export function answerToSave(saved: Saved<{ readonly version: number }>, missing: () => Response): Response {
  if (saved.state === "missing") return missing();
  const version = saved.state === "saved" ? saved.version : saved.stored.version;
  const headers = { etag: `"${version}"` };
  if (saved.state === "saved") return Response.json({ version }, { headers });
  const issue = {
    code: "changed_meanwhile",
    path: "",
    message: "This was saved elsewhere meanwhile. Nothing was changed.",
  };
  return Response.json({ issues: [issue], stored: saved.stored }, { status: 412, headers });
}

/** Address of the caller, for rate limits: the front of the server writes it over whatever a request says of itself. */
export function addressOf(request: Request): string {
  return request.headers.get(ADDRESS_HEADER) ?? "local";
}
