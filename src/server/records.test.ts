// Test cards, the logbook and what counts as practice, against a real database.
import { randomUUID } from "node:crypto";
import { deflateSync } from "node:zlib";
import { afterAll, describe, expect, it } from "vitest";
import { EXAMPLE_RULES } from "@/core/logbook/currency";
import { newEntry } from "@/core/logbook/drafted-entry";
import type { LogbookEntry } from "@/core/logbook/logbook-entry";
import { cleanGlide } from "@/core/aircraft/configuration";
import { newCard } from "@/core/series/new-card";
import { type CardMark, MOST_MARKS } from "@/core/series/test-card";
import { demoAircraft } from "../../demo/read-demo";
import { exportAccount, importAccount } from "./account-archive";
import { type Account, createGuest } from "./accounts";
import { readArchive } from "./archive";
import { addAttachment, attachmentOf, attachmentType, deleteAttachment, listAttachments } from "./attachments";
import { addMarks } from "./card-marks";
import { database, transaction } from "./database";
import { entryTags, searchEntries } from "./logbook";
import { newOwnId, ownEntries, ownRules, ownTestCards } from "./own-documents";
import { practisedOf } from "./practised";
import { unreadableRows } from "./unreadable";

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

const alder = demoAircraft("alder-s1");
const card = () =>
  newCard("half-turn", newOwnId(), {
    aircraft: alder,
    mass_kg: 1000,
    deviation_K: 0,
    configuration: cleanGlide(alder),
    deck_m: 762,
  });
const mark = (n: number, change: Partial<CardMark> = {}): CardMark => ({
  id: randomUUID(),
  run: 1,
  mark: 0,
  at_ms: n * 1000,
  removed: false,
  ...change,
});

describe("marks of a test card", () => {
  it("of two devices come to the same, in whatever order they are sent, and how often", async () => {
    const owner = await guest();
    const [one, other] = [card(), card()];
    await ownTestCards.add(owner, one, database());
    await ownTestCards.add(owner, other, database());
    const [a, b] = [mark(1), mark(2)];
    const back = { ...a, removed: true };
    for (const sent of [[a], [b, back], [a]]) await addMarks(owner, one.id, sent);
    for (const sent of [[back], [b], [a, b]]) await addMarks(owner, other.id, sent);
    const [first, second] = [await addMarks(owner, one.id, []), await addMarks(owner, other.id, [])];
    expect(first).toEqual({ state: "kept", marks: [back, b] });
    expect(second).toEqual(first);
  });

  it("sent at once by several devices are all kept", async () => {
    const owner = await guest();
    const one = card();
    await ownTestCards.add(owner, one, database());
    await Promise.all(Array.from({ length: 8 }, (_, i) => addMarks(owner, one.id, [mark(i), mark(i + 100)])));
    const all = await addMarks(owner, one.id, []);
    expect(all.state === "kept" && all.marks).toHaveLength(16);
  });

  it("are put on one’s own card only, and not more than a card holds", async () => {
    const [owner, other] = [await guest(), await guest()];
    const one = card();
    await ownTestCards.add(owner, one, database());
    expect(await addMarks(other, one.id, [mark(1)])).toEqual({ state: "missing" });
    const many = Array.from({ length: MOST_MARKS + 1 }, (_, i) => mark(i));
    expect(await addMarks(owner, one.id, many)).toEqual({ state: "full" });
    expect(await addMarks(owner, one.id, [])).toEqual({ state: "kept", marks: [] });
  });
});

const entry = (change: Partial<LogbookEntry>): LogbookEntry => ({
  ...newEntry(newOwnId(), "2026-06-01T10:00:00.000Z", "Alder S1"),
  ...change,
});

describe("the logbook", () => {
  it("is searched in all its words, by all of them, and by a tag, the latest first; others’ is not found", async () => {
    const [owner, other] = [await guest(), await guest()];
    const ice = entry({
      name: "Rough running",
      at: "2026-06-02T10:00:00.000Z",
      causes: [{ kind: "weather", words: "Ice in the carburettor" }],
      tags: ["ice", "partial power"],
    });
    const oil = entry({
      name: "Oil pressure",
      learnt: "100 % of the drop came at once_",
      people: [{ name: "Bryony", role: "pilot" }],
    });
    for (const one of [oil, ice]) await ownEntries.add(owner, one, database());
    await ownEntries.add(other, entry({ name: "Rough running too" }), database());
    const found = async (words: string, tag: string | null = null) =>
      (await searchEntries(owner, { words, tag, from: 0 })).entries.map(({ document }) => document.name);
    expect(await found("")).toEqual(["Rough running", "Oil pressure"]);
    expect(await found("carburettor rough")).toEqual(["Rough running"]);
    expect(await found("CARBURETTOR oil")).toEqual([]);
    expect(await found("bryony")).toEqual(["Oil pressure"]);
    expect(await found("", "ice")).toEqual(["Rough running"]);
    // Signs that a pattern knows stand for themselves.
    expect(await found("100 %")).toEqual(["Oil pressure"]);
    expect(await found("%%")).toEqual([]);
    expect(await found("once_")).toEqual(["Oil pressure"]);
    expect(await found("_")).toEqual(["Oil pressure"]);
    // Names of fields and kinds are no words of anybody.
    expect(await found("technical")).toEqual([]);
    expect(await entryTags(owner)).toEqual(["ice", "partial power"]);
    expect((await searchEntries(owner, { words: "", tag: null, from: 1 })).found).toBe(2);
  });

  it("sets an entry aside that cannot be read, and shows the rest", async () => {
    const owner = await guest();
    const [good, bad] = [entry({ name: "Good" }), entry({ name: "Bad" })];
    for (const one of [good, bad]) await ownEntries.add(owner, one, database());
    await database().execute(
      "UPDATE logbook_entries SET document = JSON_SET(document, '$.cost.time_s', -5) WHERE id = ?",
      [bad.id],
    );
    const { entries, found } = await searchEntries(owner, { words: "", tag: null, from: 0 });
    expect([entries.map(({ id }) => id), found]).toEqual([[good.id], 2]);
    expect((await unreadableRows(owner)).map(({ kind, id }) => [kind, id])).toEqual([["logbook entry", bad.id]]);
  });

  it("counts what its entries say, with drills and answers of recall", async () => {
    const owner = await guest();
    await ownEntries.add(owner, entry({ name: "Shut down", practised: ["shutdown", "engine-failure"] }), database());
    await database().execute(
      "INSERT INTO reviews (account_id, id, card, at, grade, took_s) VALUES (?, ?, 'x', '2026-06-03 10:00:00', 'sure', 4)",
      [owner, randomUUID()],
    );
    expect((await practisedOf(owner)).map(({ practice, way }) => `${practice} ${way}`).sort()).toEqual([
      "engine-failure flight",
      "recall drill",
      "shutdown flight",
    ]);
  });
});

/** A PNG of one dot, made here. */
function png(): Buffer {
  const chunk = (type: string, data: Buffer) => {
    const head = Buffer.alloc(8);
    head.writeUInt32BE(data.length, 0);
    head.write(type, 4, "latin1");
    return Buffer.concat([head, data, Buffer.alloc(4)]);
  };
  const header = Buffer.from([0, 0, 0, 1, 0, 0, 0, 1, 8, 0, 0, 0, 0]);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk("IHDR", header),
    chunk("IDAT", deflateSync(Buffer.from([0, 0]))),
    chunk("IEND", Buffer.alloc(0)),
  ]);
}

describe("files of an entry", () => {
  it("are what their bytes say; what says another thing is refused", async () => {
    const code = async (bytes: Buffer, says: string) => {
      const type = await attachmentType(bytes, says);
      return type.ok ? type.value : type.issue.code;
    };
    expect(await code(png(), "image/png")).toBe("image/png");
    expect(await code(png(), "application/pdf")).toBe("attachment_differs");
    expect(await code(Buffer.from("%PDF-1.7\n1 0 obj"), "application/pdf")).toBe("application/pdf");
    expect(await code(Buffer.from("time,height\n1,2\n"), "text/csv; charset=utf-8")).toBe("text/plain");
    expect(await code(Buffer.from("<script>alert(1)</script>"), "image/png")).toBe("attachment_differs");
    expect(await code(Buffer.from([0x50, 0x4b, 3, 4, 20, 0, 0, 0]), "application/zip")).toBe("attachment_type");
    expect(await code(Buffer.from([0, 1, 2, 3, 255, 254]), "text/plain")).toBe("attachment_type");
    expect(await code(Buffer.alloc(0), "text/plain")).toBe("attachment_type");
  });

  it("belong to the account’s own entries, and are read and taken away by nobody else", async () => {
    const [owner, other] = [await guest(), await guest()];
    const [mine, theirs] = [entry({}), entry({})];
    await ownEntries.add(owner, mine, database());
    await ownEntries.add(other, theirs, database());
    const file = { id: randomUUID(), entryId: mine.id, name: "gauge.png", type: "image/png" as const };
    expect(await addAttachment(other, file, png())).toBe(false);
    expect(await addAttachment(owner, { ...file, entryId: theirs.id }, png())).toBe(false);
    expect(await addAttachment(owner, file, png())).toBe(true);
    expect(await addAttachment(owner, file, png())).toBe(true);
    expect((await listAttachments(owner)).map(({ name }) => name)).toEqual(["gauge.png"]);
    expect([await attachmentOf(other, file.id), await deleteAttachment(other, file.id)]).toEqual([null, false]);
    expect((await attachmentOf(owner, file.id))?.content.equals(png())).toBe(true);
    await database().execute("DELETE FROM logbook_entries WHERE id = ?", [mine.id]);
    expect(await listAttachments(owner)).toEqual([]);
  });
});

describe("an account’s export", () => {
  it("holds cards with their marks, entries with their files, and rules; they come in as copies", async () => {
    const [owner, other] = [await guest(), await guest()];
    const account = (id: string) => ({ id, kind: "guest", email: null, preferences: {} }) as unknown as Account;
    const [one, written] = [card(), entry({ name: "Kept" })];
    await ownTestCards.add(owner, one, database());
    await addMarks(owner, one.id, [mark(1)]);
    await ownEntries.add(owner, written, database());
    await ownRules.add(owner, { ...EXAMPLE_RULES[0], id: newOwnId(), inPlaceOf: "last-turn-back" }, database());
    await addAttachment(owner, { id: randomUUID(), entryId: written.id, name: "a.png", type: "image/png" }, png());
    const archive = await readArchive(JSON.stringify(await exportAccount(account(owner))));
    if (!archive.ok) throw new Error(archive.issue.message);
    const came = await importAccount(account(other), archive.value);
    expect(came.ok).toBe(true);
    const [cards, entries, rules] = [
      await ownTestCards.list(other),
      await ownEntries.list(other),
      await ownRules.list(other),
    ];
    expect(cards.map(({ document }) => document.name)).toEqual([one.name]);
    expect(cards[0].id).not.toBe(one.id);
    expect(await addMarks(other, cards[0].id, [])).toMatchObject({ state: "kept", marks: [{ at_ms: 1000 }] });
    expect(entries.map(({ document }) => document.name)).toEqual(["Kept"]);
    expect(rules.map(({ document }) => document.inPlaceOf)).toEqual(["last-turn-back"]);
    const [file] = await listAttachments(other);
    expect([file.name, file.entryId]).toEqual(["a.png", entries[0].id]);
    // What was there stays what it was.
    expect((await ownTestCards.list(owner)).map(({ id }) => id)).toEqual([one.id]);
  });

  it("of the version before is read without them", async () => {
    const owner = await guest();
    const now = await exportAccount({ id: owner, kind: "guest", email: null, preferences: {} } as unknown as Account);
    const { testCards: _1, marks: _2, entries: _3, attachments: _4, rules: _5, handIns: _6, ...before } = now;
    const read = await readArchive(JSON.stringify({ ...before, version: 7 }));
    expect(read.ok && [read.value.testCards, read.value.entries, read.value.handIns]).toEqual([[], [], []]);
  });
});
