// Requests of every kind over every route: none may be answered with 500, none may stay without an answer.
import { request as httpRequest } from "node:http";
import { CALCULATIONS } from "@/core/registry";
import { demoAircraft, demoSituation } from "../../demo/read-demo";
import { questionOf } from "../../fuzz/fuzz-calculations";
import { Chance } from "../../fuzz/schema-inputs";
import { openClient } from "./client";
import type { Stand } from "./stand";

/** Longest wait for any answer, ms: the longest deadline of a route, and some. */
const DEADLINE_MS = 75_000;
/** Requests under way at the same time. */
const AT_ONCE = 6;

const ROUTES: readonly (readonly [method: string, path: string])[] = [
  ["GET", "/"],
  ["GET", "/landing"],
  ["GET", "/no-such-page"],
  ["GET", "/api/health"],
  ["POST", "/api/demo"],
  ["POST", "/api/session"],
  ["DELETE", "/api/session"],
  ["POST", "/api/accounts"],
  ["GET", "/api/situations"],
  ["POST", "/api/situations"],
  ["GET", "/api/situations/ID"],
  ["PUT", "/api/situations/ID"],
  ["PATCH", "/api/situations/ID"],
  ["GET", "/api/aircraft"],
  ["POST", "/api/aircraft"],
  ["GET", "/api/aircraft/ID"],
  ["PUT", "/api/aircraft/ID"],
  ["PATCH", "/api/aircraft/ID"],
  ["GET", "/api/terrains"],
  ["POST", "/api/terrains?name=Fuzz"],
  ["POST", "/api/terrains?name=Fuzz&latitude_deg=-47&longitude_deg=-131"],
  ["GET", "/api/terrains/ID"],
  ["DELETE", "/api/terrains/ID"],
  ["PUT", "/api/preferences"],
  ["GET", "/api/procedures"],
  ["POST", "/api/procedures"],
  ["PUT", "/api/procedures/ID"],
  ["PATCH", "/api/procedures/ID"],
  ["GET", "/api/flight-tests"],
  ["POST", "/api/flight-tests"],
  ["PUT", "/api/flight-tests/ID"],
  ["PATCH", "/api/flight-tests/ID"],
  ["GET", "/api/runs"],
  ["POST", "/api/runs"],
  ["GET", "/api/runs/ID"],
  ["DELETE", "/api/runs/ID"],
  ["GET", "/api/flights"],
  ["POST", "/api/flights"],
  ["GET", "/api/flights/ID"],
  ["DELETE", "/api/flights/ID"],
  ["GET", "/api/reviews"],
  ["POST", "/api/reviews"],
  ["GET", "/api/shares"],
  ["POST", "/api/shares"],
  ["POST", "/api/shares/claim"],
  ["DELETE", "/api/shares/ID"],
  ["POST", "/api/crews"],
  ["POST", "/api/crews/join"],
  ["GET", "/api/crews/ID"],
  ["GET", "/api/crews/ID/events"],
  ["POST", "/api/crews/ID/events"],
  ["POST", "/api/crews/ID/shown"],
  ["GET", "/api/account/export"],
  ["POST", "/api/account/import"],
  ["GET", "/api/account/unreadable"],
  ["GET", "/api/account/sessions"],
  ["DELETE", "/api/account/sessions/ID"],
  ["PUT", "/api/account/password"],
  ["PUT", "/api/account/email"],
];

const METHODS = ["GET", "POST", "PUT", "PATCH", "DELETE", "HEAD", "OPTIONS", "TRACE", "PROPFIND"];
const IDS = [
  "tarn-reach",
  "alder-s1",
  "00000000-0000-4000-8000-000000000001",
  "../..",
  "%ff",
  "'; --",
  "x".repeat(900),
  "",
];
const TEXTS = [
  "",
  "{",
  "null",
  "[]",
  "0",
  '"x"',
  "\u0000",
  "{}",
  '{"__proto__":{"a":1}}',
  "[".repeat(5000),
  "9".repeat(3000),
];
const VALUES: readonly unknown[] = [
  null,
  -1,
  1e-300,
  1e300,
  1e9,
  -0,
  "",
  "x".repeat(3000),
  [],
  {},
  true,
  Array.from({ length: 500 }, () => 0),
  Object.fromEntries(Array.from({ length: 300 }, (_, i) => [`k${i}`, i])),
];

/** A request that can be made again from its seed. */
interface Made {
  readonly method: string;
  readonly path: string;
  readonly headers: Record<string, string>;
  readonly body: string;
}

/** Sets one place of a document to something else, or adds a key. */
function spoiled(value: unknown, chance: Chance): unknown {
  const copy = structuredClone(value);
  let at = copy as Record<string, unknown>;
  for (;;) {
    const keys = Object.keys(at);
    const key = keys.length === 0 || chance.int(0, 12) === 0 ? "extra" : chance.pick(keys);
    const next = at[key];
    if (typeof next !== "object" || next === null || chance.int(0, 3) === 0) {
      at[key] = chance.pick(VALUES);
      return copy;
    }
    at = next as Record<string, unknown>;
  }
}

function terrain(chance: Chance): string {
  const number = () => chance.pick(["2", "3", "512", "0", "-1", "1e-300", "1e300", "89.9", "180", "x", "0.001"]);
  const cells = Array.from({ length: chance.int(0, 12) }, number).join(" ");
  return `ncols ${number()}\nnrows ${number()}\nxllcorner ${number()}\nyllcorner ${number()}\ncellsize ${number()}\n${cells}`;
}

function bodyFor(path: string, chance: Chance): string {
  if (chance.int(0, 4) === 0) return chance.pick(TEXTS);
  if (path.startsWith("/api/terrains")) return terrain(chance);
  const aircraft = demoAircraft(chance.pick(["alder-s1", "larch-t2", "cedar-j2"]));
  const bases: readonly unknown[] = [
    demoSituation(),
    aircraft,
    { email: "fuzz@example.org", password: "a long enough one" },
    { current: "a long enough one", password: "another long one" },
    { deleted: true },
    { units: { speed: "kt" }, appearance: "day" },
    {
      schema: "utrimax/account",
      version: 2,
      preferences: {},
      aircraft: [{ id: "a", document: aircraft }],
      unreadable: [],
    },
  ];
  const base = chance.pick(bases);
  return JSON.stringify(chance.int(0, 3) === 0 ? base : spoiled(base, chance));
}

/** The request of a seed. */
export function requestOf(seed: number): Made {
  const chance = new Chance(seed * 7919 + 13);
  const headers: Record<string, string> = { "content-type": "application/json" };
  if (chance.int(0, 2) > 0) headers["if-match"] = chance.pick(['"1"', '"2"', "*", '"x"', '"99999999999"']);
  if (chance.int(0, 9) === 0) headers["x-forwarded-for"] = chance.pick(["192.0.2.7", "x", ","]);
  if (chance.int(0, 9) === 0) headers["sec-fetch-site"] = chance.pick(["same-origin", "cross-site", "none"]);
  if (chance.int(0, 2) === 0) {
    const { name } = chance.pick(CALCULATIONS);
    const body = chance.int(0, 6) === 0 ? chance.pick(TEXTS) : JSON.stringify(questionOf(name, seed));
    return { method: "POST", path: `/api/calc/${name}`, headers, body };
  }
  const [method, pattern] = chance.pick(ROUTES);
  const path = pattern.replace("ID", encodeURI(chance.pick(IDS)).replace("%25ff", "%ff"));
  const odd = chance.int(0, 14) === 0;
  return { method: odd ? chance.pick(METHODS) : method, path, headers, body: bodyFor(path, chance) };
}

/** Sends a request as it is made, not as a browser would make it; the status, or what happened instead. */
function send(port: number, { method, path, headers, body }: Made, cookie: string): Promise<number | string> {
  return new Promise((resolve) => {
    const bodiless = method === "GET" || method === "HEAD" || method === "TRACE" || method === "OPTIONS";
    const request = httpRequest(
      { host: "127.0.0.1", port, method, path, headers: { ...headers, cookie }, timeout: DEADLINE_MS },
      (answer) => {
        answer.resume();
        answer.on("end", () => resolve(answer.statusCode ?? "no status"));
        answer.on("error", (error) => resolve(error.message));
      },
    );
    request.on("timeout", () => {
      request.destroy();
      resolve("no answer");
    });
    // A body that is too large may find the door closed while it is sent.
    request.on("error", (error) => resolve(/EPIPE|ECONNRESET|hang up/.test(error.message) ? 413 : error.message));
    request.end(bodiless ? undefined : body);
  });
}

/** Sends so many requests; returns what went wrong. */
export async function fuzzHttp(stage: Stand, count: number): Promise<string[]> {
  const wrong: string[] = [];
  const statuses = new Map<number | string, number>();
  let client = await openClient(stage.address);
  let next = 1;
  const work = async () => {
    while (next <= count) {
      const seed = next;
      next += 1;
      const made = requestOf(seed);
      const status = await send(stage.port, made, client.cookie);
      // Some of the requests sign out.
      if (status === 401 || made.method === "DELETE") client = await openClient(stage.address);
      statuses.set(status, (statuses.get(status) ?? 0) + 1);
      if (typeof status === "string" || status === 500)
        wrong.push(`request ${seed}, ${made.method} ${made.path}: ${status}`);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, work));
  const listed = [...statuses].sort(([a], [b]) => Number(a) - Number(b)).map(([status, n]) => `${n} × ${status}`);
  console.log(`${count} requests: ${listed.join(", ")}`);
  return wrong;
}
