// The stream of analyses, against a real database.
import { randomUUID } from "node:crypto";
import { afterAll, describe, expect, it } from "vitest";
import type { LogSummary } from "@/core/track/kept-log";
import { createGuest } from "./accounts";
import { database, transaction } from "./database";
import { jobStream } from "./job-stream";
import { addJob, claimJob, finishJob, holdJob } from "./log-jobs";
import { putLog } from "./logs";

const guests: string[] = [];
afterAll(async () => {
  for (const id of guests) await database().execute("DELETE FROM accounts WHERE id = ?", [id]);
  await database().end();
});
async function guest(): Promise<string> {
  const id = await transaction(createGuest);
  guests.push(id);
  return id;
}
const summary = {
  begins_s: null,
  duration_s: 0,
  fixes: 0,
  holes: 0,
  flights: 0,
  landings: 0,
  failures: 0,
  height_m: null,
  hands: [],
} satisfies LogSummary;

/** All that a stream says, as it comes. */
function heard(accountId: string, signal = new AbortController().signal) {
  const [said, ended]: [string[], number[]] = [[], []];
  const stream = jobStream(accountId, signal, () => ended.push(1));
  const over = (async () => {
    const [reader, text] = [stream.getReader(), new TextDecoder()];
    for (let part = await reader.read(); !part.done; part = await reader.read()) said.push(text.decode(part.value));
  })();
  return { said, ended, over };
}

describe("the stream of analyses", () => {
  it("tells how far one is, and ends when all are done; of another account it tells nothing", async () => {
    const [owner, other] = [await guest(), await guest()];
    const id = randomUUID();
    const job = await transaction(async (connection) => {
      await putLog(owner, { id, name: "long.csv", aircraft: null, summary, packed: Buffer.from("x") }, connection);
      return addJob(owner, id, connection);
    });
    await claimJob(job, "worker");
    await holdJob(job, "worker", 0.25);
    const [mine, theirs] = [heard(owner), heard(other)];
    await expect.poll(() => mine.said.join("")).toContain('"share":0.25');
    await theirs.over;
    expect(theirs.said.join("")).not.toContain(id);
    expect(theirs.said.join("")).toContain("event: over");
    expect(mine.ended).toEqual([]);
    await finishJob(job, "worker", { summary });
    await mine.over;
    expect(mine.said.join("")).toContain("event: over");
    expect([mine.ended, theirs.ended]).toEqual([[1], [1]]);
  }, 20_000);

  it("ends once when its browser goes", async () => {
    const owner = await guest();
    const id = randomUUID();
    await transaction(async (connection) => {
      await putLog(owner, { id, name: "long.csv", aircraft: null, summary, packed: Buffer.from("x") }, connection);
      await addJob(owner, id, connection);
    });
    const gone = new AbortController();
    const mine = heard(owner, gone.signal);
    await expect.poll(() => mine.said.join("")).toContain('"state":"waiting"');
    gone.abort();
    gone.abort();
    await mine.over;
    expect(mine.ended).toEqual([1]);
  });
});
