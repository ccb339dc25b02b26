import { randomUUID } from "node:crypto";
import { gzipSync } from "node:zlib";
import { afterAll, describe, expect, it } from "vitest";
import { demoAircraft } from "../../demo/read-demo";
import { demoLog } from "../../demo/read-logs";
import type { KeptLog } from "@/core/track/kept-log";
import { createGuest } from "./accounts";
import { exportAccount, importAccount } from "./account-archive";
import { readArchive } from "./archive";
import { database, transaction } from "./database";
import { addDemoLogs, demoLogs } from "./demo-logs";
import { deleteLog, listLogs, logOf, putLog } from "./logs";
import { usageOf } from "./room";
import { packedLog, readSentLog } from "./sent-log";
import { unreadableRows } from "./unreadable";

const guest = () => transaction((connection) => createGuest(connection));

const turnback = (more: Partial<KeptLog> = {}): KeptLog => ({
  schema: "utrimax/log",
  version: 3,
  stops: null,
  also: [],
  name: "turnback.igc",
  text: demoLog("turnback.igc"),
  layout: null,
  aircraft: demoAircraft("alder-s1"),
  mass_kg: 1000,
  deviation_K: 8,
  wind: null,
  ends: [],
  ...more,
});

async function sent(more: Partial<KeptLog> = {}, id = randomUUID()) {
  const packed = await packedLog({ id, log: turnback(more) });
  const read = await readSentLog(packed);
  if (!read.ok) throw new Error(read.issue.message);
  return { id, packed, read: read.value };
}

afterAll(() => database().end());

describe("flight logs", () => {
  it("are kept, listed with what was found in them, given back as they came, and are the account’s own", async () => {
    const [owner, other] = [await guest(), await guest()];
    const { id, packed, read } = await sent();
    await putLog(owner, read);
    expect(await listLogs(owner)).toMatchObject([
      {
        id,
        name: "turnback.igc",
        aircraft: "Alder S1",
        summary: { begins_s: Date.UTC(2026, 10, 20, 1, 10) / 1000, fixes: 196, flights: 1, landings: 1, failures: 1 },
      },
    ]);
    expect(Buffer.compare((await logOf(owner, id)) ?? Buffer.alloc(0), Buffer.from(packed))).toBe(0);
    const usage = await usageOf(owner, database());
    expect([usage.logs, usage.bytes]).toEqual([1, packed.byteLength]);
    expect([await listLogs(other), await logOf(other, id), await deleteLog(other, id)]).toEqual([[], null, false]);
    expect(await deleteLog(owner, id)).toBe(true);
    expect(await listLogs(owner)).toEqual([]);
  });

  it("sent once more takes the place of what was there, of this account alone", async () => {
    const [owner, other] = [await guest(), await guest()];
    const first = await sent();
    const again = await sent({ aircraft: null, name: "without an aircraft" }, first.id);
    await putLog(owner, first.read);
    await putLog(other, first.read);
    await putLog(owner, again.read);
    expect(await listLogs(owner)).toMatchObject([{ name: "without an aircraft", aircraft: null }]);
    expect(await listLogs(other)).toMatchObject([{ name: "turnback.igc", aircraft: "Alder S1" }]);
  });

  it("what is no log is refused with its reason, and what unpacks to too much is not unpacked", async () => {
    const code = async (bytes: Uint8Array) => {
      const read = await readSentLog(bytes);
      return read.ok ? "ok" : read.issue.code;
    };
    expect(await code(Buffer.from("no gzip"))).toBe("log_damaged");
    expect(await code(gzipSync(Buffer.alloc(60 * 1024 * 1024)))).toBe("log_damaged");
    const packed = (more: object) => packedLog({ id: randomUUID(), log: { ...turnback(), ...more } });
    expect(await code(await packed({ mass_kg: -1 }))).toBe("log_invalid");
    expect(await code(await packed({ surplus: true }))).toBe("log_invalid");
    expect(await code(await packed({ text: "no flight" }))).toBe("no_log");
    expect(await code(await packed({ text: "AXXX\n" }))).toBe("no_fixes");
  });

  it("go out with the account and come in; a damaged one brings nothing in; older files have none", async () => {
    const [owner, other] = [await guest(), await guest()];
    const { id, read } = await sent();
    await putLog(owner, read);
    const account = (of: string) => ({ id: of, kind: "guest", email: null, preferences: {} }) as never;
    const file = JSON.parse(JSON.stringify(await exportAccount(account(owner)))) as Record<string, unknown>;
    const archive = await readArchive(JSON.stringify(file));
    if (!archive.ok) throw new Error(archive.issue.message);
    await importAccount(account(other), archive.value);
    expect((await listLogs(other)).map((log) => log.id)).toEqual([id]);
    expect(await readArchive(JSON.stringify({ ...file, logs: ["AAAA"] }))).toMatchObject({
      ok: false,
      issue: { path: "logs" },
    });
    const { logs: _, ...old } = file;
    const before = await readArchive(JSON.stringify({ ...old, version: 6 }));
    expect(before.ok && before.value.logs).toEqual([]);
  });

  it("one whose summary cannot be read is told and locks nobody out", async () => {
    const owner = await guest();
    const [first, second] = [await sent(), await sent()];
    await putLog(owner, first.read);
    await putLog(owner, second.read);
    await database().execute("UPDATE flight_logs SET summary = '{}' WHERE account_id = ? AND id = ?", [
      owner,
      first.id,
    ]);
    expect((await listLogs(owner)).map(({ id }) => id)).toEqual([second.id]);
    expect(await unreadableRows(owner)).toMatchObject([{ kind: "flight log", id: first.id }]);
  });

  it("a demo account begins with four; the turn back is first", async () => {
    const owner = await guest();
    const logs = await demoLogs({ document: demoAircraft("alder-s1") });
    await transaction((connection) => addDemoLogs(owner, logs, connection));
    expect((await listLogs(owner)).map(({ name, summary }) => [name, summary.failures])).toEqual([
      ["turnback.igc", 1],
      ["crossing.igc", 0],
      ["glides.csv", 6],
      ["half-turns.csv", 8],
    ]);
  });
});
