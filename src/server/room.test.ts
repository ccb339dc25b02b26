// Quotas, pages of lists, references and sweeping, against a real database.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { afterAll, describe, expect, it } from "vitest";
import { demoSituation as demo } from "../../demo/read-demo";
import { demoAircraft } from "../../demo/read-demo";
import { createGuest } from "./accounts";
import { addAircraft, latestAircraft, pageOfAircraft } from "./aircraft";
import { database, transaction } from "./database";
import { QUOTAS } from "./quotas";
import { AccountFull, storing, usageOf } from "./room";
import { missingReferences } from "./situation-references";
import { addSituation, markSituation, pageOfSituations, situationOf } from "./situations";
import { sweep } from "./sweep";

const guests: string[] = [];
async function guest(): Promise<string> {
  const id = await transaction(createGuest);
  guests.push(id);
  return id;
}

afterAll(async () => {
  for (const id of guests) await database().execute("DELETE FROM accounts WHERE id = ?", [id]);
  await database().end();
});

const store = (account: string, name: string) =>
  storing(account, { situations: 1, bytes: 3000 }, (connection) =>
    addSituation(account, { ...demo(), name }, connection),
  );

describe("room", () => {
  it("ends at the quota, and two that store at once take turns", async () => {
    const account = await guest();
    const most = QUOTAS.guest.situations;
    for (let i = 0; i < most - 1; i += 1) await addSituation(account, demo());
    const both = await Promise.allSettled([store(account, "One"), store(account, "Other")]);
    expect(both.map(({ status }) => status).sort()).toEqual(["fulfilled", "rejected"]);
    const refused = both.find((result) => result.status === "rejected");
    expect(refused?.reason).toBeInstanceOf(AccountFull);
    expect((refused?.reason as AccountFull).issue.message).toContain(`its ${most} situations`);
    expect((await usageOf(account, database())).situations).toBe(most);
  });

  it("counts the bytes of what was deleted and can be brought back, until it is swept", async () => {
    const account = await guest();
    const id = await store(account, "Heavy");
    const { bytes } = await usageOf(account, database());
    expect(bytes).toBe(Buffer.byteLength(JSON.stringify({ ...demo(), name: "Heavy" })));
    await markSituation(account, id, true);
    expect(await usageOf(account, database())).toMatchObject({ situations: 0, bytes });
    await expect(storing(account, { bytes: QUOTAS.guest.bytes }, async () => "stored")).rejects.toThrow("8 MB");
    await database().execute("UPDATE situations SET deleted_at = NOW(3) - INTERVAL 8 DAY WHERE id = ?", [id]);
    await sweep();
    expect(await usageOf(account, database())).toMatchObject({ bytes: 0 });
  });

  it("is not charged when storing fails", async () => {
    const account = await guest();
    await expect(
      storing(account, { situations: 1 }, async (connection) => {
        await addSituation(account, demo(), connection);
        throw new Error("half-way");
      }),
    ).rejects.toThrow("half-way");
    expect((await usageOf(account, database())).situations).toBe(0);
  });
});

describe("lists", () => {
  it("of situations come a page at a time, the latest first, nothing twice and nothing left out", async () => {
    const account = await guest();
    const ids: string[] = [];
    for (let i = 0; i < 7; i += 1) ids.push(await addSituation(account, { ...demo(), name: `Number ${i}` }));
    // Several at the same moment.
    await database().execute("UPDATE situations SET updated_at = '2026-01-02 03:04:05.678' WHERE account_id = ?", [
      account,
    ]);
    const seen: string[] = [];
    let after: { updatedAt: Date; id: string } | null = null;
    for (let page = 0; page < 4; page += 1) {
      const { items, next } = await pageOfSituations(account, { after, limit: 2, name: "" });
      seen.push(...items.map(({ id }) => id));
      expect(next === null).toBe(page === 3);
      after = next === null ? null : { updatedAt: new Date(next.slice(0, 24)), id: next.slice(25) };
    }
    expect(seen).toEqual([...ids].sort());
    const named = await pageOfSituations(account, { after: null, limit: 10, name: "ber 3" });
    expect(named.items.map(({ name }) => name)).toEqual(["Number 3"]);
    // What SQL would take for anything stands for itself.
    expect((await pageOfSituations(account, { after: null, limit: 10, name: "%" })).items).toEqual([]);
  });

  it("of aircraft: the page brings the latest and the one that is flown, the list all", async () => {
    const account = await guest();
    const ids: string[] = [];
    for (let i = 0; i < 45; i += 1)
      ids.push(await addAircraft(account, { ...demoAircraft("alder-s1"), name: `Own ${i}` }));
    await database().execute("UPDATE aircraft SET updated_at = NOW(3) - INTERVAL 1 DAY WHERE id = ?", [ids[0]]);
    const own = await latestAircraft(account, ids[0]);
    expect(own).toHaveLength(41);
    expect(own.map(({ id }) => id)).toContain(ids[0]);
    const listed: string[] = [];
    for (let after: string | null = ""; after !== null;) {
      const page: Awaited<ReturnType<typeof pageOfAircraft>> = await pageOfAircraft(account, after);
      listed.push(...page.items.filter(({ shared }) => !shared).map(({ id }) => id));
      after = page.next;
    }
    expect(listed.sort()).toEqual([...ids].sort());
  });
});

describe("references", () => {
  it("name what the account cannot use, and nothing else", async () => {
    const [mine, theirs] = [await guest(), await guest()];
    const own = await addAircraft(theirs, demoAircraft("alder-s1"));
    expect(await missingReferences(mine, demo())).toEqual([]);
    expect(await missingReferences(theirs, { ...demo(), aircraftId: own })).toEqual([]);
    const missing = await missingReferences(mine, { ...demo(), aircraftId: own, terrainId: randomUUID() });
    expect(missing.map(({ path }) => path)).toEqual(["aircraftId", "terrainId"]);
  });
});

describe("sweeping", () => {
  it("leaves alone what still counts", async () => {
    const account = await guest();
    const id = await addSituation(account, demo());
    await markSituation(account, id, true);
    await database().execute("INSERT INTO attempts (`key`, points, expire) VALUES ('old', 1, 1), ('new', 1, ?)", [
      Date.now() + 60_000,
    ]);
    await sweep();
    await markSituation(account, id, false);
    expect((await situationOf(account, id))?.id).toBe(id);
    const [rows] = await database().execute<RowDataPacket[]>(
      "SELECT `key` FROM attempts WHERE `key` IN ('old', 'new')",
    );
    expect(rows.map((row) => row.key)).toEqual(["new"]);
    await database().execute("DELETE FROM attempts WHERE `key` = 'new'");
  });
});
