// Analyses of large logs as rows, against a real database.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { afterAll, describe, expect, it } from "vitest";
import type { LogSummary } from "@/core/track/kept-log";
import { createGuest } from "./accounts";
import { database, transaction } from "./database";
import { type LogJob, addJob, claimJob, finishJob, holdJob, jobsOf, openJobs } from "./log-jobs";
import { listLogs, putLog } from "./logs";

const guests: string[] = [];
afterAll(async () => {
  for (const id of guests) await database().execute("DELETE FROM accounts WHERE id = ?", [id]);
  await database().end();
});

const summary: LogSummary = {
  begins_s: 1_795_482_300,
  duration_s: 36_000,
  fixes: 360_000,
  holes: 0,
  flights: 1,
  landings: 1,
  failures: 0,
  height_m: null,
  hands: [],
};

/** A log that waits. */
async function waiting(): Promise<LogJob & { put: () => Promise<LogJob> }> {
  const [accountId, id] = [await transaction(createGuest), randomUUID()];
  guests.push(accountId);
  const log = {
    id,
    name: "long.csv",
    aircraft: null,
    summary: { ...summary, fixes: 0 },
    packed: Buffer.from("packed"),
  };
  const put = () =>
    transaction(async (connection) => {
      await putLog(accountId, log, connection);
      return addJob(accountId, id, connection);
    });
  return { ...(await put()), put };
}
const expire = ({ logId }: LogJob) =>
  database().execute("UPDATE log_jobs SET claimed_until = NOW(3) - INTERVAL 1 SECOND WHERE log_id = ?", [logId]);
const finished = async ({ logId }: LogJob) => {
  const [rows] = await database().execute<RowDataPacket[]>("SELECT finished FROM log_jobs WHERE log_id = ?", [logId]);
  return Number(rows[0].finished);
};
const isOpen = async (job: LogJob) => (await openJobs()).some(({ logId }) => logId === job.logId);

describe("an analysis", () => {
  it("is taken on by one of many that want it at once, held, and finished by him alone, once", async () => {
    const job = await waiting();
    const workers = Array.from({ length: 12 }, () => randomUUID());
    const claimed = await Promise.all(workers.map((by) => claimJob(job, by)));
    const winner = workers[claimed.findIndex((packed) => packed !== null)];
    expect(claimed.filter((packed) => packed !== null).map(String)).toEqual(["packed"]);
    const loser = workers.find((by) => by !== winner) ?? "";
    expect([await holdJob(job, winner, 0.4), await holdJob(job, loser, 0.9)]).toEqual([true, false]);
    expect((await jobsOf(job.accountId))[job.logId]).toEqual({
      state: "running",
      share: expect.closeTo(0.4, 5),
      fault: null,
    });
    expect(await finishJob(job, loser, { summary })).toBe(false);
    expect(await finishJob(job, winner, { summary })).toBe(true);
    expect(await finishJob(job, winner, { summary })).toBe(false);
    expect([await finished(job), await isOpen(job), await jobsOf(job.accountId)]).toEqual([1, false, {}]);
    expect((await listLogs(job.accountId))[0].summary.fixes).toBe(360_000);
  });

  it("of a worker that died is anybody’s again; what he finishes late is not stored", async () => {
    const job = await waiting();
    const [dead, next] = [randomUUID(), randomUUID()];
    await claimJob(job, dead);
    expect([await isOpen(job), await claimJob(job, next)]).toEqual([false, null]);
    await expire(job);
    expect(await isOpen(job)).toBe(true);
    expect(String(await claimJob(job, next))).toBe("packed");
    expect(await finishJob(job, dead, { fault: "late" })).toBe(false);
    expect(await finishJob(job, next, { summary })).toBe(true);
    expect(await finished(job)).toBe(1);
  });

  it("of a log that is sent anew meanwhile is of no use any more", async () => {
    const job = await waiting();
    const by = randomUUID();
    await claimJob(job, by);
    const again = await job.put();
    expect(again.sent).toBe(job.sent + 1);
    expect(await finishJob(job, by, { summary })).toBe(false);
    expect(await claimJob(job, by)).toBeNull();
    expect(String(await claimJob(again, by))).toBe("packed");
  });

  it("that broke down five times is given up and says so; one that cannot be read says why", async () => {
    const [job, other] = [await waiting(), await waiting()];
    for (let i = 0; i < 5; i += 1) {
      expect(await claimJob(job, randomUUID())).not.toBeNull();
      await expire(job);
    }
    expect(await claimJob(job, randomUUID())).toBeNull();
    expect(await isOpen(job)).toBe(false);
    expect((await jobsOf(job.accountId))[job.logId].fault).toBe("The analysis broke down 5 times.");
    const by = randomUUID();
    await claimJob(other, by);
    await finishJob(other, by, { fault: "No time could be read." });
    expect((await jobsOf(other.accountId))[other.logId]).toMatchObject({
      state: "failed",
      fault: "No time could be read.",
    });
  });

  it("goes with its log", async () => {
    const job = await waiting();
    await database().execute("DELETE FROM flight_logs WHERE id = ?", [job.logId]);
    expect([await isOpen(job), await claimJob(job, randomUUID())]).toEqual([false, null]);
  });
});
