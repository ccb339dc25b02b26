// What was rehearsed, kept and shared, against a real database.
import { randomUUID } from "node:crypto";
import { gzipSync } from "node:zlib";
import { demoFlownResult, demoKeptFlight } from "../../demo/demo-kept-flight";
import { afterAll, describe, expect, it } from "vitest";
import { FLIGHT_TESTS } from "@/core/exercise/library";
import { singleForcedLanding } from "@/core/procedure/library/single";
import { recallDay } from "@/core/recall/recall-day";
import { exportAccount, importAccount } from "./account-archive";
import { createGuest } from "./accounts";
import { aircraftOf } from "./aircraft";
import { readArchive } from "./archive";
import { database, transaction } from "./database";
import { addDemoRehearsal } from "./demo-rehearsal";
import { DocumentIdTaken, ownFlightTests, ownProcedures } from "./own-documents";
import { addFlight, deleteFlight, flightOf, listFlights } from "./flights";
import { addReviews, listReviews } from "./reviews";
import { usageOf } from "./room";
import { addRun, deleteRun, listRuns, runOf } from "./runs";
import { packedFlight, readFlight } from "./sent-flight";
import { SentRun } from "./sent-run";
import { beginShare, claimShare, endShare, listShares, ownerOfShare } from "./shares";
import { sweep } from "./sweep";
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

const sent = (): SentRun =>
  SentRun.parse({
    id: randomUUID(),
    beganAt: "2026-11-20T10:00:00.000Z",
    role: "single",
    aircraft: "Alder S1",
    until_s: 40,
    run: {
      procedure: singleForcedLanding,
      dead: null,
      propeller: "windmilling",
      height_m: 600,
      speed_mps: 33,
      climb_mps: -4,
      lampGoes: false,
      events: [
        { time_s: 7, event: { type: "say", actor: "single" } },
        { time_s: 9, event: { type: "set", actor: "single", control: "flap", side: null, position: "landing" } },
      ],
    },
  });

describe("runs", () => {
  it("are kept once with what came of them, found by flying them again, and are the account’s own", async () => {
    const [owner, other] = [await guest(), await guest()];
    const run = sent();
    // Seven seconds for five, then flap where fuel was due; forty seconds at four metres each.
    const result = { over: false, ground: false, took_s: 40, wrong: 1, slow: 1, back: 0, lost_m: 160 };
    expect(await addRun(owner, run)).toEqual(result);
    await addRun(owner, run);
    expect(await listRuns(owner)).toEqual([
      {
        id: run.id,
        beganAt: run.beganAt,
        role: "single",
        procedureId: "single-forced-landing",
        procedure: "Forced landing, piston single",
        aircraft: "Alder S1",
        result,
      },
    ]);
    expect(await runOf(owner, run.id)).toEqual(run.run);
    expect((await usageOf(owner, database())).runs).toBe(1);
    expect([await listRuns(other), await runOf(other, run.id), await deleteRun(other, run.id)]).toEqual([
      [],
      null,
      false,
    ]);
    // The same id in another account is another run.
    await addRun(other, { ...run, aircraft: "Rowan R1" });
    expect((await listRuns(owner))[0].aircraft).toBe("Alder S1");
    expect(await deleteRun(owner, run.id)).toBe(true);
    expect(await listRuns(owner)).toEqual([]);
  });
});

describe("answers to cards", () => {
  const review = (at_ms: number) => ({
    id: randomUUID(),
    card: "alder-s1/x",
    at_ms,
    grade: "sure" as const,
    took_s: 4.5,
  });

  it("are kept once, the latest first, and are the account’s own", async () => {
    const [owner, other] = [await guest(), await guest()];
    const two = [review(Date.UTC(2026, 10, 1)), review(Date.UTC(2026, 10, 2))];
    await addReviews(owner, two);
    await addReviews(owner, [two[0]]);
    expect(await listReviews(owner)).toEqual([two[1], two[0]]);
    expect(await listReviews(other)).toEqual([]);
  });

  it("go out with the account, with its runs, and come in", async () => {
    const [owner, other] = [await guest(), await guest()];
    const [run, answer] = [sent(), review(Date.UTC(2026, 10, 3))];
    await addRun(owner, run);
    await addReviews(owner, [answer]);
    const account = (id: string) => ({ id, kind: "guest", email: null, preferences: {} }) as never;
    const file = JSON.parse(JSON.stringify(await exportAccount(account(owner)))) as { preferences: unknown };
    const archive = await readArchive(JSON.stringify(file));
    if (!archive.ok) throw new Error(archive.issue.message);
    await importAccount(account(other), archive.value);
    expect((await listRuns(other)).map(({ id }) => id)).toEqual([run.id]);
    expect(await listReviews(other)).toEqual([answer]);
    // A file from before anything was rehearsed.
    const { runs: _runs, reviews: _reviews, ...old } = file as Record<string, unknown>;
    const before = await readArchive(JSON.stringify({ ...old, version: 3 }));
    expect(before.ok && [before.value.runs, before.value.reviews]).toEqual([[], []]);
  });
});

describe("flights by hand", () => {
  const flown = async () => {
    const id = randomUUID();
    const sent = { id, result: demoFlownResult(), flight: demoKeptFlight("2026-11-20T10:00:00.000Z", 40) };
    const packed = await packedFlight(sent);
    const read = await readFlight(packed);
    if (!read.ok) throw new Error(read.issue.message);
    return { sent, packed, read: read.value };
  };

  it("are kept once, listed without their hands, given back as they came, and are the account’s own", async () => {
    const [owner, other] = [await guest(), await guest()];
    const { sent, packed, read } = await flown();
    await addFlight(owner, read);
    await addFlight(owner, read);
    expect(await listFlights(owner)).toEqual([
      {
        id: sent.id,
        flownAt: sent.flight.at,
        aircraft: "Alder S1",
        words: "Alder S1",
        exerciseId: null,
        backs: 0,
        helped: true,
        result: sent.result,
      },
    ]);
    expect(Buffer.compare((await flightOf(owner, sent.id)) ?? Buffer.alloc(0), Buffer.from(packed))).toBe(0);
    const usage = await usageOf(owner, database());
    expect([usage.flights, usage.bytes]).toEqual([1, packed.byteLength]);
    expect([await listFlights(other), await flightOf(other, sent.id), await deleteFlight(other, sent.id)]).toEqual([
      [],
      null,
      false,
    ]);
    expect(await deleteFlight(owner, sent.id)).toBe(true);
    expect(await listFlights(owner)).toEqual([]);
  });

  it("what is no flight is refused with its reason, and what unpacks to too much is not unpacked", async () => {
    const code = async (bytes: Uint8Array) => {
      const read = await readFlight(bytes);
      return read.ok ? "ok" : read.issue.code;
    };
    const { sent } = await flown();
    expect(await code(Buffer.from("no gzip"))).toBe("flight_damaged");
    expect(await code(gzipSync(Buffer.alloc(20 * 1024 * 1024)))).toBe("flight_damaged");
    const wrong = { ...sent, result: { ...sent.result, took_s: -1 } };
    expect(await code(await packedFlight(wrong))).toBe("flight_invalid");
    expect(await code(await packedFlight(sent))).toBe("ok");
  });

  it("go out with the account and come in; a damaged one brings nothing in", async () => {
    const [owner, other] = [await guest(), await guest()];
    const { sent, read } = await flown();
    await addFlight(owner, read);
    const account = (id: string) => ({ id, kind: "guest", email: null, preferences: {} }) as never;
    const file = JSON.parse(JSON.stringify(await exportAccount(account(owner)))) as Record<string, unknown>;
    const archive = await readArchive(JSON.stringify(file));
    if (!archive.ok) throw new Error(archive.issue.message);
    await importAccount(account(other), archive.value);
    expect((await listFlights(other)).map(({ id }) => id)).toEqual([sent.id]);
    expect(await readArchive(JSON.stringify({ ...file, flights: ["AAAA"] }))).toMatchObject({
      ok: false,
      issue: { path: "flights" },
    });
    const { flights: _, ...old } = file;
    const before = await readArchive(JSON.stringify({ ...old, version: 5 }));
    expect(before.ok && before.value.flights).toEqual([]);
  });

  it("one whose result cannot be read is told and locks nobody out", async () => {
    const owner = await guest();
    const [first, second] = [await flown(), await flown()];
    await addFlight(owner, first.read);
    await addFlight(owner, second.read);
    await database().execute("UPDATE flights SET result = '{}' WHERE account_id = ? AND id = ?", [
      owner,
      first.sent.id,
    ]);
    expect((await listFlights(owner)).map(({ id }) => id)).toEqual([second.sent.id]);
    expect(await unreadableRows(owner)).toMatchObject([{ kind: "flight", id: first.sent.id }]);
  });
});

describe("procedures of one's own", () => {
  const own = { ...singleForcedLanding, id: `own-${randomUUID()}`.slice(0, 40), madeFrom: "single-forced-landing" };

  it("are added once, saved over the version that they were made from, deleted and brought back, and are one's own", async () => {
    const [owner, other] = [await guest(), await guest()];
    expect(await ownProcedures.add(owner, own, database())).toBe(1);
    expect(await ownProcedures.add(owner, own, database())).toBe(1);
    await expect(ownProcedures.add(other, own, database())).rejects.toThrow(DocumentIdTaken);
    expect(await ownProcedures.list(other)).toEqual([]);
    expect(await ownProcedures.save(other, own, 1)).toEqual({ state: "missing" });
    const renamed = { ...own, name: "Mine" };
    expect(await ownProcedures.save(owner, renamed, 1)).toEqual({ state: "saved", version: 2 });
    expect(await ownProcedures.save(owner, own, 1)).toMatchObject({ state: "changed", stored: { document: renamed } });
    expect(await ownProcedures.mark(owner, own.id, true)).toBe(true);
    expect(await ownProcedures.list(owner)).toEqual([]);
    expect(await ownProcedures.mark(owner, own.id, false)).toBe(true);
    expect((await ownProcedures.list(owner)).map(({ document }) => document)).toEqual([renamed]);
  });

  it("flight tests are kept in the same way, and come in as copies", async () => {
    const [owner, other] = [await guest(), await guest()];
    const mine = { ...FLIGHT_TESTS[0], id: `own-${randomUUID()}`.slice(0, 40), name: "Before the examiner" };
    await ownFlightTests.add(owner, mine, database());
    await expect(ownFlightTests.add(other, mine, database())).rejects.toThrow(DocumentIdTaken);
    expect(await ownFlightTests.save(owner, { ...mine, repeats: 2 }, 1)).toEqual({ state: "saved", version: 2 });
    const account = (id: string) => ({ id, kind: "guest", email: null, preferences: {} }) as never;
    const archive = await readArchive(JSON.stringify(await exportAccount(account(owner))));
    if (!archive.ok) throw new Error(archive.issue.message);
    await importAccount(account(other), archive.value);
    const [came] = await ownFlightTests.list(other);
    expect(came).toMatchObject({ document: { name: mine.name, repeats: 2 }, version: 1 });
    expect(came.id).not.toBe(mine.id);
    // A file of before has none.
    const { flightTests: _, ...old } = await exportAccount(account(owner));
    const before = await readArchive(JSON.stringify({ ...old, version: 4 }));
    expect(before.ok && before.value.flightTests).toEqual([]);
  });

  it("and runs that cannot be read go out with the account as they are stored, and lock nobody out of the rest", async () => {
    const owner = await guest();
    const [good, bad] = [own, own].map((document) => ({ ...document, id: `own-${randomUUID()}`.slice(0, 40) }));
    await ownProcedures.add(owner, good, database());
    await ownProcedures.add(owner, bad, database());
    const [kept, broken] = [sent(), sent()];
    await addRun(owner, kept);
    await addRun(owner, broken);
    await database().execute("UPDATE procedures SET document = JSON_SET(document, '$.crew', 'nobody') WHERE id = ?", [
      bad.id,
    ]);
    await database().execute("UPDATE runs SET document = JSON_SET(document, '$.dead', 'middle') WHERE id = ?", [
      broken.id,
    ]);
    expect((await ownProcedures.list(owner)).map(({ id }) => id)).toEqual([good.id]);
    const out = await exportAccount({ id: owner, kind: "guest", email: null, preferences: {} } as never);
    expect(out.procedures.map(({ id }) => id)).toEqual([good.id]);
    expect(out.runs.map(({ id }) => id)).toEqual([kept.id]);
    expect(out.unreadable.map(({ kind, id }) => [kind, id])).toEqual([
      ["procedure", bad.id],
      ["run", broken.id],
    ]);
    expect((await unreadableRows(owner)).map(({ id }) => id)).toEqual([bad.id]);
    // What is told of them goes into the file, and the file comes in.
    expect((await readArchive(JSON.stringify(out))).ok).toBe(true);
  });

  it("come in with an account's file as copies, made from copies", async () => {
    const [owner, other] = [await guest(), await guest()];
    const child = { ...own, id: `own-${randomUUID()}`.slice(0, 40) };
    const grandchild = { ...own, id: `own-${randomUUID()}`.slice(0, 40), name: "Later", madeFrom: child.id };
    await ownProcedures.add(owner, child, database());
    await ownProcedures.add(owner, grandchild, database());
    const account = (id: string) => ({ id, kind: "guest", email: null, preferences: {} }) as never;
    const archive = await readArchive(JSON.stringify(await exportAccount(account(owner))));
    if (!archive.ok) throw new Error(archive.issue.message);
    await importAccount(account(other), archive.value);
    const came = await ownProcedures.list(other);
    const first = came.find(({ document }) => document.name === child.name);
    expect(first?.document).toMatchObject({ madeFrom: "single-forced-landing" });
    expect(first?.id).not.toBe(child.id);
    expect(came.find(({ document }) => document.name === "Later")?.document.madeFrom).toBe(first?.id);
  });
});

describe("what is shared", () => {
  it("is read by whoever claims the code, and by nobody before, after, or besides", async () => {
    const [student, instructor, stranger] = [await guest(), await guest(), await guest()];
    const code = (await beginShare(student, "results", "Student 3")) ?? "";
    expect(code).toMatch(/^[A-Z2-9]{5}-[A-Z2-9]{5}$/);
    expect(await claimShare(student, code)).toBe(false);
    expect(await claimShare(stranger, "AAAAA-AAAAA")).toBe(false);
    const [{ id }] = await listShares(student);
    expect(await ownerOfShare(instructor, id, "results")).toBeNull();
    // Typed in small letters, with a blank.
    expect(await claimShare(instructor, code.toLowerCase().replace("-", " "))).toBe(true);
    expect(await claimShare(stranger, code)).toBe(false);
    expect(await ownerOfShare(instructor, id, "results")).toBe(student);
    expect(await ownerOfShare(stranger, id, "results")).toBeNull();
    expect(await listShares(instructor)).toMatchObject([{ id, name: "Student 3", mine: false, claimed: true }]);
    expect(await listShares(stranger)).toEqual([]);
    expect(await endShare(stranger, id)).toBe(false);
    expect(await endShare(student, id)).toBe(true);
    expect(await ownerOfShare(instructor, id, "results")).toBeNull();
    expect(await listShares(instructor)).toEqual([]);
  });

  it("a code runs out after a week, and is swept; only fifty are open at a time", async () => {
    const [student, instructor] = [await guest(), await guest()];
    const old = (await beginShare(student, "results", "Old")) ?? "";
    await database().execute("UPDATE shares SET created_at = NOW(3) - INTERVAL 8 DAY WHERE owner_id = ?", [student]);
    expect(await claimShare(instructor, old)).toBe(false);
    await sweep();
    expect(await listShares(student)).toEqual([]);
    for (let i = 0; i < 50; i += 1) expect(await beginShare(student, "results", `Share ${i}`)).not.toBeNull();
    expect(await beginShare(student, "results", "One too many")).toBeNull();
  });
});

describe("the demo", () => {
  it("has two finished runs, one with something wrong, and five cards that are due", async () => {
    const account = await guest();
    const aircraft = await aircraftOf(account, "alder-s1");
    if (!aircraft) throw new Error("no aircraft");
    await addDemoRehearsal(account, aircraft, database());
    const runs = await listRuns(account);
    expect(runs.map(({ procedureId, result }) => [procedureId, result.over, result.wrong])).toEqual([
      ["single-forced-landing", true, 0],
      ["single-in-cruise", true, 1],
    ]);
    const reviews = (await listReviews(account)).map(({ card, at_ms, grade }) => ({ card, at_ms, grade }));
    const now = Date.now();
    const day = recallDay([aircraft], reviews, now, now + 3600_000);
    expect(day.due.filter(({ memory }) => memory !== null)).toHaveLength(5);
    expect(day.later).toHaveLength(3);
  });
});
