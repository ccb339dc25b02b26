// What every route handler shares: who is asking, what they sent, and how faults are answered.
import { NextResponse } from "next/server";
import pino from "pino";
import type { z } from "zod";
import { type Issue, issuesOf } from "@/core/outcome";
import type { Account } from "./accounts";
import { isDatabaseAway } from "./database";
import { currentAccount } from "./sessions";

const log = pino({ name: "utrimax", level: process.env.LOG_LEVEL ?? "warn" });

/** Largest JSON body, bytes. */
const JSON_LIMIT = 8 * 1024 * 1024;

/** An answer of faults, in the one shape that all routes use. */
export function refusal(status: number, issues: readonly Issue[]): NextResponse {
  return NextResponse.json({ issues }, { status });
}

/** A refusal of one fault. */
export function refuse(status: number, code: string, message: string, path = ""): NextResponse {
  return refusal(status, [{ code, path, message }]);
}

/** Thrown inside a handler to answer at once. */
export class Refusal extends Error {
  constructor(readonly answer: NextResponse) {
    super("refused");
  }
}

/** Wraps a handler: same-origin writes only, faults answered, nothing leaked. */
export function route<C>(
  handle: (request: Request, context: C) => Promise<Response>,
): (request: Request, context: C) => Promise<Response> {
  return async (request, context) => {
    try {
      if (request.method !== "GET" && !sameOrigin(request))
        return refuse(403, "cross_origin", "This request comes from another site.");
      return await handle(request, context);
    } catch (error) {
      if (error instanceof Refusal) return error.answer;
      if (isDatabaseAway(error))
        return refuse(
          503,
          "database_away",
          "The database cannot be reached at present. Your work is kept in this browser and saved when it is back.",
        );
      log.error({ err: error, url: request.url }, "a route failed");
      return refuse(500, "internal", "Something went wrong on our side. Nothing was changed.");
    }
  };
}

function sameOrigin(request: Request): boolean {
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

/** The request's body as text, refused beyond a limit without being read to its end. */
export async function readText(request: Request, limit: number): Promise<string> {
  const tooLarge = () =>
    new Refusal(
      refuse(413, "too_large", `At most ${Math.round(limit / 1024 / 1024)} MB can be sent here. Nothing was stored.`),
    );
  if (Number(request.headers.get("content-length") ?? 0) > limit) throw tooLarge();
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  for (;;) {
    const part = await reader?.read();
    if (!part || part.done) break;
    size += part.value.byteLength;
    if (size > limit) {
      await reader?.cancel();
      throw tooLarge();
    }
    chunks.push(part.value);
  }
  return Buffer.concat(chunks).toString("utf8");
}

/** The request's body as JSON, unchecked. */
export async function readJson(request: Request, limit = JSON_LIMIT): Promise<unknown> {
  const text = await readText(request, limit);
  try {
    return JSON.parse(text);
  } catch {
    throw new Refusal(refuse(400, "not_json", "The request does not hold JSON."));
  }
}

/** The request's body checked by a schema; 422 with every fault otherwise. */
export async function readBody<S extends z.ZodType>(request: Request, schema: S): Promise<z.output<S>> {
  const parsed = schema.safeParse(await readJson(request));
  if (!parsed.success) throw new Refusal(refusal(422, issuesOf(parsed.error)));
  return parsed.data;
}

/** Address of the caller, for rate limits. */
export function addressOf(request: Request): string {
  return request.headers.get("x-forwarded-for")?.split(",")[0].trim() || "local";
}
