// Crews at once: what one member does the other hears, in order, nothing lost though his line is, and nobody hears
// another crew.
import type { DrillRun } from "@/core/procedure/drill-run";
import { jetFire } from "@/core/procedure/library/jet";

const BEGUN: DrillRun = {
  procedure: jetFire,
  dead: "right",
  propeller: "windmilling",
  height_m: 2800,
  speed_mps: 105,
  climb_mps: 0,
  lampGoes: true,
  events: [],
};

/** How long something may take to be heard before it counts as lost, ms. */
const LOST_MS = 15_000;

/** What was seen. */
interface CrewsReport {
  /** From a member's sending to the other's hearing, ms, sorted. */
  readonly heard_ms: readonly number[];
  readonly wrong: readonly string[];
}

/** How crews are run. */
interface CrewsOptions {
  /** Where the host and the one flying are, and where the other listens. */
  readonly addresses: readonly [string, string];
  readonly crews: number;
  /** Things that are done in each. */
  readonly steps: number;
  /** How often the listener's line is lost. */
  readonly reconnects: number;
  /** Between two things done, ms. */
  readonly pause_ms: number;
}

/** A line that was kept open is closed by the server when it was idle; a browser asks again then, and so does this. */
async function asked(address: string, path: string, cookie: string, body?: unknown): Promise<Response> {
  const ask = () => fetch(`${address}${path}`, { method: "POST", body: JSON.stringify(body), headers: { cookie } });
  const answer = await ask().catch(ask);
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  return answer;
}
const cookieOf = (answer: Response) =>
  answer.headers
    .getSetCookie()
    .map((entry) => entry.split(";")[0])
    .join("; ");

/** A listener that knows where it was when its line was lost. */
function listener(url: string, cookie: string, heard: (seq: number) => void) {
  let last = 0;
  let over = false;
  let line = new AbortController();
  const listen = async () => {
    while (!over) {
      line = new AbortController();
      try {
        const answer = await fetch(url, {
          headers: { cookie, "last-event-id": String(last) },
          signal: line.signal,
        });
        let rest = "";
        for await (const piece of answer.body?.pipeThrough(new TextDecoderStream()) ?? []) {
          rest += piece;
          const blocks = rest.split("\n\n");
          rest = blocks.pop() ?? "";
          for (const block of blocks) {
            const seq = Number(/^id: (\d+)$/m.exec(block)?.[1] ?? 0);
            if (seq > 0) {
              last = seq;
              heard(seq);
            }
          }
        }
      } catch {
        // The line was lost: it is opened again.
      }
    }
  };
  const listening = listen();
  return {
    lose: () => line.abort(),
    close: async () => {
      over = true;
      line.abort();
      await listening;
    },
  };
}

/** One crew from its beginning to its end. */
async function oneCrew(
  { addresses: [one, other], steps, reconnects, pause_ms }: CrewsOptions,
  ready: () => Promise<void>,
): Promise<CrewsReport> {
  const wrong: string[] = [];
  const host = cookieOf(await asked(one, "/api/demo", ""));
  const { id, code } = await (await asked(one, "/api/crews", host, { aircraft: "Cedar J2", run: BEGUN })).json();
  const join = async (address: string, role: string) =>
    cookieOf(await asked(address, "/api/crews/join", "", { code, role }));
  const [flying, monitoring] = [await join(one, "flying"), await join(other, "monitoring")];
  const url = `/api/crews/${id}/events`;
  if ((await fetch(`${other}${url}`, { headers: { cookie: host } })).status !== 404)
    wrong.push("one who is not of a crew was let in");
  const sent = new Map<number, number>();
  const heard = new Map<number, number>();
  const order: number[] = [];
  const ear = listener(`${other}${url}`, monitoring, (seq) => {
    if (heard.has(seq)) wrong.push(`line ${seq} was heard twice`);
    heard.set(seq, performance.now());
    order.push(seq);
  });
  const act = async (did: unknown) => {
    const began = performance.now();
    const { seq } = (await (await asked(one, url, flying, { did })).json()) as { seq: number };
    sent.set(seq, began);
  };
  // Drills are run beside one another, not joined all in the same second.
  await ready();
  await act({ kind: "go" });
  const lossEvery = reconnects > 0 ? Math.max(Math.floor(steps / reconnects), 1) : Infinity;
  const disturbed = new Set<number>();
  for (let i = 1; i <= steps; i += 1) {
    if (i % lossEvery === 0) ear.lose();
    await act({ kind: "hand", event: { type: "say", actor: "flying" } });
    // What is done in the moment of a loss is heard when the line is there again: it counts as not lost, not as fast.
    if (i % lossEvery === 0) disturbed.add([...sent.keys()].at(-1) ?? 0);
    await new Promise((done) => setTimeout(done, pause_ms));
  }
  const until = performance.now() + LOST_MS;
  while ([...sent.keys()].some((seq) => !heard.has(seq)) && performance.now() < until)
    await new Promise((done) => setTimeout(done, 20));
  await ear.close();
  const lost = [...sent.keys()].filter((seq) => !heard.has(seq)).length;
  if (lost > 0) wrong.push(`${lost} of ${sent.size} things done were not heard`);
  if (order.some((seq, i) => seq !== i + 1)) wrong.push("lines were heard out of order, or of another crew");
  const heard_ms = [...sent].flatMap(([seq, began]) => {
    const at = heard.get(seq);
    return at === undefined || disturbed.has(seq) ? [] : [at - began];
  });
  return { heard_ms, wrong };
}

/** Runs crews at the same time. */
export async function runCrews(options: CrewsOptions): Promise<CrewsReport> {
  let waiting = options.crews;
  let release = () => undefined as void;
  const all = new Promise<void>((done) => (release = done));
  const ready = async () => {
    waiting -= 1;
    if (waiting === 0) release();
    await all;
    // Nobody does something in the same millisecond as the forty-nine others.
    await new Promise((done) => setTimeout(done, Math.random() * options.pause_ms));
  };
  const reports = await Promise.all(Array.from({ length: options.crews }, () => oneCrew(options, ready)));
  return {
    heard_ms: reports.flatMap((report) => report.heard_ms).toSorted((a, b) => a - b),
    wrong: reports.flatMap((report) => report.wrong),
  };
}
