// Many clients for a time: does it stay as fast and as large as it was, and does a light request get through while
// others ask for the worst?
import { readFile } from "node:fs/promises";
import { demoDepartureQuestion } from "../../demo/demo-departure";
import { DEMO_INPUTS } from "../../demo/demo-inputs";
import { Chance } from "../../fuzz/schema-inputs";
import { demoSituation } from "../../demo/read-demo";
import { type Client, openClient, save } from "./client";
import { type Stand, pause } from "./stand";

/** What a client does in turn. */
type Action = "page" | "list" | "save";

/** One answer: what was asked, when in the run it came, and how long it took, ms. */
interface Timed {
  readonly action: Action;
  readonly at_ms: number;
  readonly took_ms: number;
}

/** A share of a list of times. */
function quantile(times: readonly number[], share: number): number {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.min(Math.floor(share * sorted.length), sorted.length - 1)] ?? 0;
}

async function residentMB(pid: number): Promise<number> {
  const status = await readFile(`/proc/${pid}/status`, "utf8");
  return Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024);
}

/** Longest p95 of each under the load of fifty clients on two cores, ms. */
const GOALS: Record<Action, number> = { page: 500, list: 400, save: 400 };

/** Between two rounds of a client, ms. */
const THINKING_MS = 1000;

/** What was measured. */
export interface SoakReport {
  readonly lines: readonly string[];
  readonly wrong: readonly string[];
}

/**
 * Lets clients look at a page, list and save, without pause but a thinking second now and then.
 *
 * @param clocked - take times over the goal for faults: not in a gate, which shares its machine
 */
export async function soak(
  stage: Stand,
  { clients, time_ms, clocked }: { clients: number; time_ms: number; clocked: boolean },
): Promise<SoakReport> {
  const wrong: string[] = [];
  const timed: Timed[] = [];
  const open = await Promise.all(Array.from({ length: clients }, () => openClient(stage.address)));
  const before_MB = await residentMB(stage.pids.server);
  const began = performance.now();
  const asked = async (action: Action, ask: () => Promise<boolean>) => {
    const from = performance.now();
    const good = await ask();
    timed.push({ action, at_ms: from - began, took_ms: performance.now() - from });
    if (!good) wrong.push(`a ${action} failed after ${Math.round((from - began) / 1000)} s`);
  };
  const live = async (client: Client, number: number) => {
    let version = 1;
    // People do not come in step: they come over a while, and look at what they have got for a second or so.
    const chance = new Chance(number + 1);
    await pause(chance.share() * 2 * THINKING_MS);
    for (let turn = 0; performance.now() - began < time_ms; turn += 1) {
      await asked("page", () => read(client, "/landing"));
      await asked("list", () => read(client, "/api/situations"));
      await asked("save", async () => {
        const outcome = await save(client, { ...demoSituation(), mass_kg: 850 + ((turn + number) % 100) }, version);
        if (outcome.state === "saved") version = outcome.version;
        return outcome.state === "saved";
      });
      await pause((0.5 + chance.share()) * THINKING_MS);
    }
  };
  let warm_MB = before_MB;
  const warmed = pause(Math.min(time_ms / 3, 60_000)).then(async () => {
    warm_MB = await residentMB(stage.pids.server);
  });
  await Promise.all([...open.map(live), warmed]);
  const after_MB = await residentMB(stage.pids.server);
  const lines = (["page", "list", "save"] as const).map((action) => {
    const times = timed.filter((entry) => entry.action === action);
    const all = times.map(({ took_ms }) => took_ms);
    const third = (n: number) =>
      quantile(
        times.filter(({ at_ms }) => Math.floor((3 * at_ms) / time_ms) === n).map(({ took_ms }) => took_ms),
        0.95,
      );
    const p95 = quantile(all, 0.95);
    if (clocked && p95 > GOALS[action]) wrong.push(`${action}: p95 ${Math.round(p95)} ms, goal ${GOALS[action]} ms`);
    if (clocked && third(2) > 1.5 * third(0) + 20)
      wrong.push(`${action}: p95 grows from ${Math.round(third(0))} to ${Math.round(third(2))} ms`);
    return `${action}: ${all.length} times, median ${Math.round(quantile(all, 0.5))} ms, p95 ${Math.round(p95)} ms (first third ${Math.round(third(0))}, last ${Math.round(third(2))})`;
  });
  // A third more than when it was warm is growth; less is the collector's business.
  if (after_MB > warm_MB * 1.35 + 40) wrong.push(`the server grew from ${warm_MB} to ${after_MB} MB`);
  return { lines: [...lines, `server: ${before_MB} MB, warm ${warm_MB}, at the end ${after_MB} MB`], wrong };
}

async function read(client: Client, path: string): Promise<boolean> {
  try {
    const answer = await client.fetch(path);
    await answer.arrayBuffer();
    return answer.status === 200;
  } catch {
    return false;
  }
}

/** The heaviest questions that are valid. */
function heaviest(): readonly { readonly name: string; readonly body: string }[] {
  const side = 512;
  const path = DEMO_INPUTS.path as { position: object; ends: object[] };
  const terrain = {
    origin: path.position,
    west_m: -100 * (side / 2),
    south_m: -100 * (side / 2),
    cell_m: 100,
    columns: side,
    rows: side,
    elevations_m: Array.from({ length: side * side }, () => 0),
  };
  const ends = (count: number) =>
    Array.from({ length: count }, (_, i) => ({ ...path.ends[i % path.ends.length], id: `end ${i}` }));
  return [
    { name: "path", body: JSON.stringify({ ...path, terrain, ends: ends(60) }) },
    { name: "sites", body: JSON.stringify({ ...DEMO_INPUTS.sites, terrain, ends: ends(400) }) },
    {
      name: "departure-chance",
      body: JSON.stringify({ ...demoDepartureQuestion(), samples: 1000, hindsight: true }),
    },
    { name: "departure", body: JSON.stringify(DEMO_INPUTS.departure) },
  ];
}

/** Longest p95 of a light request while others ask for the worst, ms. */
const LIGHT_MS = 100;

/** Four clients ask for the worst without pause; a light request every now and then is timed. */
export async function lightUnderHeavy(
  stage: Stand,
  { time_ms, clocked }: { time_ms: number; clocked: boolean },
): Promise<SoakReport> {
  const client = await openClient(stage.address);
  const wrong: string[] = [];
  let ended = false;
  const heavy = heaviest().map(async ({ name, body }) => {
    let answers = 0;
    while (!ended) {
      const answer = await client.fetch(`/api/calc/${name}`, { method: "POST", body }).catch(() => null);
      await answer?.arrayBuffer();
      if (answer?.status === 200) answers += 1;
      else if (!answer || ![429, 503].includes(answer.status)) wrong.push(`${name} was answered ${answer?.status}`);
      if (answer?.status !== 200) await pause(500);
    }
    return `${name} ${answers}`;
  });
  const lights: Record<string, number[]> = { "list of situations": [], atmosphere: [] };
  const light = JSON.stringify(DEMO_INPUTS.atmosphere);
  for (const until = Date.now() + time_ms; Date.now() < until;) {
    for (const [name, ask] of [
      ["list of situations", () => client.fetch("/api/situations")],
      ["atmosphere", () => client.fetch("/api/calc/atmosphere", { method: "POST", body: light })],
    ] as const) {
      const from = performance.now();
      const answer = await ask();
      await answer.arrayBuffer();
      if (answer.status === 200) lights[name].push(performance.now() - from);
      else if (answer.status !== 429) wrong.push(`${name} was answered ${answer.status}`);
    }
    await pause(100);
  }
  ended = true;
  const answered = await Promise.all(heavy);
  const lines = Object.entries(lights).map(([name, times]) => {
    const p95 = quantile(times, 0.95);
    if (times.length === 0) wrong.push(`${name} was never answered`);
    if (clocked && p95 > LIGHT_MS) wrong.push(`${name}: p95 ${Math.round(p95)} ms beside heavy work, goal ${LIGHT_MS}`);
    return `${name} beside heavy work: ${times.length} times, median ${Math.round(quantile(times, 0.5))} ms, p95 ${Math.round(p95)} ms`;
  });
  return { lines: [...lines, `heavy answers: ${answered.join(", ")}`], wrong };
}
