// Two web processes on one database and one Redis: what is saved through one is seen and respected by the other, and
// limits count both.
import { rm } from "node:fs/promises";
import path from "node:path";
import { prepareDatabase, serve } from "../lib/application.mjs";
import { ensureBuilt } from "../lib/build.mjs";
import { startDatabase } from "../lib/database.mjs";
import { freePort } from "../lib/ports.mjs";
import { STATE, ensureDebianPackages } from "../lib/setup.mjs";
import { demoSituation } from "../../demo/read-demo";
import { runCrews } from "./crews";
import { startRedis } from "./redis";
import { secure } from "./secure";

/** What is not told through Redis is found by looking so often; what is told is heard long before. */
const LOOK_MS = 4000;

/** Demos that may be opened a minute from one address. */
const DEMOS = 30;

const PASSWORD = "a long enough one";

/** Guessing is slowed down in both processes; a browser that is known is not locked out by it. */
async function signIns(one: string, other: string): Promise<string[]> {
  const wrong: string[] = [];
  const email = `pilot-${Date.now()}@example.org`;
  const post = (address: string, path: string, password: string, cookie = "") =>
    fetch(`${address}${path}`, { method: "POST", body: JSON.stringify({ email, password }), headers: { cookie } });
  const created = await post(one, "/api/accounts", PASSWORD);
  if (created.status !== 201) return [`an account could not be created: ${created.status}`];
  const device = created.headers
    .getSetCookie()
    .map((entry) => entry.split(";")[0])
    .find((entry) => entry.startsWith("utrimax_device="));
  for (let i = 0; i < 6; i += 1) await post(i % 2 ? one : other, "/api/session", "not the right one");
  for (const address of [one, other]) {
    const refused = await post(address, "/api/session", PASSWORD);
    if (refused.status !== 429 || !(Number(refused.headers.get("retry-after")) > 0))
      wrong.push(`after six wrong passwords a sign-in was answered ${refused.status}`);
  }
  if ((await post(other, "/api/session", PASSWORD, device)).status !== 200)
    wrong.push("a browser that is known was locked out by others");
  return wrong;
}

/** Runs the journeys; returns what went wrong. */
export async function twoProcesses(): Promise<string[]> {
  await ensureDebianPackages(["mariadb", "redis"]);
  await ensureBuilt();
  // A new one: limits that another attack has used up would be used up here too.
  const folder = path.join(STATE, "attack");
  await rm(folder, { recursive: true, force: true });
  const database = await startDatabase(folder);
  await prepareDatabase(database.ownerUrl);
  const env = { REDIS_URL: await startRedis() };
  const serveOn = async (preferred: number) =>
    serve({ databaseUrl: database.url, port: await freePort(preferred), quiet: true, env });
  const one = (await serveOn(3300)).address;
  const other = (await serveOn(3310)).address;
  const wrong: string[] = [];
  const expect = (holds: boolean, what: string) => void (holds || wrong.push(what));

  const opened = await fetch(`${one}/api/demo`, { method: "POST" });
  const cookie = opened.headers.getSetCookie()[0].split(";")[0];
  const { situationId } = await opened.json();
  const save = (address: string, mass_kg: number, version: number) =>
    fetch(`${address}/api/situations/${situationId}`, {
      method: "PUT",
      body: JSON.stringify({ ...demoSituation(), mass_kg }),
      headers: { cookie, "if-match": `"${version}"` },
    });
  expect((await save(one, 900, 1)).status === 200, "a save through one process failed");
  const seen = await fetch(`${other}/api/situations/${situationId}`, { headers: { cookie } });
  expect((await seen.json()).document?.mass_kg === 900, "what one process saved is not seen by the other");
  expect((await save(other, 910, 1)).status === 412, "the other process saved over what it had not seen");
  expect((await save(other, 920, 2)).status === 200, "a save through the other process failed");

  wrong.push(...(await signIns(one, other)));
  // Crews whose members are on different processes.
  const crews = await runCrews({ addresses: [one, other], crews: 3, steps: 8, reconnects: 2, pause_ms: 50 });
  wrong.push(...new Set(crews.wrong));
  expect(
    crews.heard_ms.every((heard_ms) => heard_ms < LOOK_MS),
    "a member on another process hears only by looking, not through Redis",
  );

  // Four demos have been opened: the limit ends both, whichever is asked.
  const statuses: number[] = [];
  for (let i = 1; i < DEMOS + 6; i += 1)
    statuses.push((await fetch(`${i % 2 ? one : other}/api/demo`, { method: "POST" })).status);
  const through = statuses.filter((status) => status === 201).length;
  expect(through === DEMOS - 4, `${through + 4} demos were opened where ${DEMOS} may be`);
  expect(
    statuses.slice(-6).every((status) => status === 429),
    "the limit does not hold in both processes",
  );
  wrong.push(...(await secure(database.url)));
  return wrong;
}
