// Large logs analysed by two worker processes through Redis, one of them killed in the middle, Redis emptied on the
// way: nothing is lost and nothing is done twice.
import { randomUUID } from "node:crypto";
import { rm } from "node:fs/promises";
import path from "node:path";
import { gzipSync } from "node:zlib";
import Redis from "ioredis";
import mysql, { type RowDataPacket } from "mysql2/promise";
import { prepareDatabase, serve } from "../lib/application.mjs";
import { ensureBuilt } from "../lib/build.mjs";
import { startDatabase } from "../lib/database.mjs";
import { freePort } from "../lib/ports.mjs";
import { launch } from "../lib/processes.mjs";
import { ROOT, STATE, ensureDebianPackages } from "../lib/setup.mjs";
import { recogniseLayout } from "../../src/core/track/formats/csv-layout";
import { KEPT_LOG_VERSION, type KeptLog } from "../../src/core/track/kept-log";
import { startRedis } from "./redis";
import { until } from "./stand";

/** Logs, their fixes, and how long all may take with a worker that is killed, ms. */
const [LOGS, FIXES, LIMIT_MS] = [4, 150_000, 180_000];
/** Emptied so long after the kill, ms. */
const EMPTIED_MS = 500;

/** A flight in circles as a table, with digits that pack badly. */
function largeLog(n: number): string {
  const digit = (i: number, k: number) =>
    String(Math.abs(Math.sin(i * 12.9898 + k * 78.233 + n) * 43758.5453) % 1).slice(2, 8);
  const rows = Array.from({ length: FIXES }, (_, i) => {
    const angle = i / 900;
    return [
      (i / 10).toFixed(1),
      (-47.14 + 0.02 * Math.sin(angle)).toFixed(6),
      (-131 + 0.03 * Math.cos(angle)).toFixed(6),
      `${(900 + 30 * Math.sin(angle / 3)).toFixed(0)}.${digit(i, 1)}`,
      `45.${digit(i, 2)}`,
      `2.${digit(i, 3)}`,
    ].join();
  });
  return `time_s,lat,lon,baro_alt_m,ias_mps,fuel_flow_lph\n${rows.join("\n")}\n`;
}

function packed(id: string, n: number): Buffer {
  const text = largeLog(n);
  const log: KeptLog = {
    schema: "utrimax/log",
    version: KEPT_LOG_VERSION,
    name: `long-${n}.csv`,
    text,
    layout: recogniseLayout(text)?.layout ?? null,
    aircraft: null,
    mass_kg: 1000,
    deviation_K: 0,
    wind: null,
    ends: [],
    stops: null,
    also: [],
  };
  return gzipSync(JSON.stringify({ id, log }));
}

/** Runs it; returns what went wrong. */
export async function logWorkers(): Promise<string[]> {
  await ensureDebianPackages(["mariadb", "redis"]);
  await ensureBuilt();
  const folder = path.join(STATE, "attack");
  await rm(folder, { recursive: true, force: true });
  const database = await startDatabase(folder);
  await prepareDatabase(database.ownerUrl);
  const REDIS_URL = await startRedis();
  const env = { REDIS_URL, LOG_WORK: "elsewhere", UTRIMAX_RATE_FACTOR: "100" };
  const { address } = await serve({ databaseUrl: database.url, port: await freePort(3320), quiet: true, env });
  const work = () =>
    launch(process.execPath, [path.join(ROOT, ".next/threads/log-worker.mjs")], {
      cwd: ROOT,
      stdio: "ignore",
      env: { ...process.env, DATABASE_URL: database.url, REDIS_URL, NODE_ENV: "production" },
    });
  const workers = [work(), work()];
  const connection = await mysql.createConnection(database.url);
  const wrong: string[] = [];
  try {
    const account = await fetch(`${address}/api/accounts`, {
      method: "POST",
      body: JSON.stringify({ email: `logs-${Date.now()}@example.org`, password: "a long enough one" }),
    });
    const cookie = account.headers.getSetCookie()[0].split(";")[0];
    for (let n = 0; n < LOGS; n += 1) {
      const sent = await fetch(`${address}/api/logs`, {
        method: "POST",
        body: new Uint8Array(packed(randomUUID(), n)),
        headers: { cookie, "content-type": "application/gzip" },
      });
      if (sent.status !== 202) wrong.push(`a large log was answered ${sent.status}`);
    }
    type Job = RowDataPacket & {
      readonly state: string;
      readonly finished: number;
      readonly tries: number;
      readonly claimed_by: string | null;
    };
    const jobs = async () =>
      (await connection.query<Job[]>("SELECT state, finished, tries, claimed_by FROM log_jobs"))[0];
    const told: number[] = [];
    const heard = listen(`${address}/api/logs/jobs`, cookie, told);
    // One of the two is at work: it is killed, and Redis forgets all that it was told.
    let at = "";
    const begun = async () => (at = (await jobs()).find(({ state }) => state === "running")?.claimed_by ?? "") !== "";
    if (!(await until(begun, LIMIT_MS))) wrong.push("no analysis was begun");
    const killed = workers.find(({ pid }) => at.startsWith(`${pid}-`));
    if (!killed?.pid) return [...wrong, `${at} is neither of the workers`];
    process.kill(-killed.pid, "SIGKILL");
    await new Promise((resolve) => setTimeout(resolve, EMPTIED_MS));
    const redis = new Redis(REDIS_URL);
    await redis.flushall();
    await redis.quit();
    const done = await until(async () => (await jobs()).every(({ state }) => state === "done"), LIMIT_MS);
    const rows = await jobs();
    if (!done) wrong.push(`after ${LIMIT_MS / 1000} s: ${rows.map(({ state }) => state).join(", ")}`);
    if (!rows.some(({ tries }) => tries > 1)) wrong.push("the worker was killed when it had nothing in hand");
    if (rows.length !== LOGS) wrong.push(`${rows.length} analyses of ${LOGS} logs`);
    for (const { finished } of rows) if (done && finished !== 1) wrong.push(`an analysis was stored ${finished} times`);
    const listed = (await (await fetch(`${address}/api/logs`, { headers: { cookie } })).json()) as {
      logs: { summary: { fixes: number } }[];
    };
    for (const { summary } of listed.logs)
      if (summary.fixes !== FIXES) wrong.push(`a log of ${FIXES} fixes is listed with ${summary.fixes}`);
    await heard;
    if (!told.some((share) => share > 0 && share < 1)) wrong.push("the stream told of no progress");
  } finally {
    await connection.end();
  }
  return wrong;
}

/** Hears the stream of analyses to its end, and notes each share that it tells. */
async function listen(url: string, cookie: string, told: number[]): Promise<void> {
  const answer = await fetch(url, { headers: { cookie } });
  const reader = answer.body?.pipeThrough(new TextDecoderStream()).getReader();
  for (let part = await reader?.read(); part && !part.done; part = await reader?.read())
    for (const [, share] of part.value.matchAll(/"share":([\d.]+)/g)) told.push(Number(share));
}
