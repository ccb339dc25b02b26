// Schools against a real database: who comes in, who goes, what is left behind.
import { randomUUID } from "node:crypto";
import { afterAll, describe, expect, it } from "vitest";
import type { HandInResult, Lesson } from "@/core/school/school";
import { createGuest, deleteAccount } from "./accounts";
import { type Queryable, database, transaction } from "./database";
import { demoTestCard, addDemoRecords } from "./demo-records";
import {
  handIn,
  listLessons,
  ownHandIns,
  schoolHandIns,
  setLesson,
  signHandIn,
  takeBack,
  withdrawLesson,
} from "./lessons";
import { shareDocument, listShared, takeCopy, unshare } from "./school-documents";
import {
  dissolveSchool,
  foundSchool,
  joinSchool,
  leaveSchool,
  listSchools,
  makeCode,
  mayIn,
  roleIn,
  schoolMembers,
  setRole,
  tendSchools,
} from "./schools";
import { ownProcedures } from "./own-documents";
import { singleForcedLanding } from "@/core/procedure/library/single";

const guests: string[] = [];
async function guest(): Promise<string> {
  const id = await transaction(createGuest);
  guests.push(id);
  return id;
}
afterAll(async () => {
  for (const id of guests) await database().execute("DELETE FROM accounts WHERE id = ?", [id]);
  await transaction(tendSchools);
  await database().end();
});

const LESSON: Lesson = {
  name: "Engine failure",
  words: "",
  due: null,
  parts: [{ exerciseId: "engine-failure-single", hardDeck_m: null, tolerance: 1, ways: ["run"] }],
};
const result = (at = "2026-06-01T10:00:00.000Z", verdict: HandInResult["verdict"] = "passed"): HandInResult => ({
  kind: "run",
  sourceId: randomUUID(),
  at,
  aircraft: "Alder S1",
  words: "x",
  verdict,
});

/** A school with an owner, an instructor and two students, and a lesson. */
async function school() {
  const [owner, instructor, student, other] = [await guest(), await guest(), await guest(), await guest()];
  const id = await foundSchool(owner, "School", "Owner");
  if (!id) throw new Error("expected a school");
  for (const [who, role] of [
    [instructor, "instructor"],
    [student, "student"],
    [other, "student"],
  ] as const)
    expect((await joinSchool(who, (await makeCode(id, role)) ?? "", role)).state).toBe("joined");
  const lessonId = (await setLesson(id, LESSON)) ?? "";
  const give = (who: string, of = result()) =>
    handIn(who, { schoolId: id, lessonId, exerciseId: "engine-failure-single", result: of });
  return { id, owner, instructor, student, other, lessonId, give };
}

describe("coming in and going", () => {
  it("takes a code once for an instructor, by a class for students, and nobody twice", async () => {
    const { id, student } = await school();
    const [one, two] = [await guest(), await guest()];
    const teach = (await makeCode(id, "instructor")) ?? "";
    expect((await joinSchool(one, teach.toLowerCase().replace("-", " "), "I")).state).toBe("joined");
    expect((await joinSchool(two, teach, "I")).state).toBe("no_such_code");
    const learn = (await makeCode(id, "student")) ?? "";
    expect((await joinSchool(student, learn, "S")).state).toBe("already_in");
    expect((await joinSchool(two, learn, "S")).state).toBe("joined");
    expect(await roleIn(two, id)).toBe("student");
    await database().execute("UPDATE school_codes SET made_at = NOW(3) - INTERVAL 8 DAY WHERE school_id = ?", [id]);
    expect((await joinSchool(await guest(), learn, "S")).state).toBe("no_such_code");
  });

  it("keeps an owner: the last can neither leave nor become less, and leaves with the last member", async () => {
    const { id, owner, instructor, student, other } = await school();
    expect(await leaveSchool(id, owner)).toBe("last_owner");
    expect(await setRole(id, owner, "student")).toBe("last_owner");
    expect(await setRole(id, instructor, "owner")).toBe("done");
    expect(await leaveSchool(id, owner)).toBe("done");
    expect(await leaveSchool(id, instructor)).toBe("last_owner");
    for (const who of [student, other]) expect(await leaveSchool(id, who)).toBe("done");
    expect(await leaveSchool(id, instructor)).toBe("done");
    expect(await listSchools(instructor)).toEqual([]);
    expect((await database().execute("SELECT 1 FROM schools WHERE id = ?", [id]))[0]).toEqual([]);
  });

  it("two owners that leave at once leave one of them", async () => {
    const { id, owner, instructor } = await school();
    await setRole(id, instructor, "owner");
    const left = await Promise.all([leaveSchool(id, owner), leaveSchool(id, instructor)]);
    expect(left.toSorted()).toEqual(["done", "last_owner"]);
  });

  it("whose owner’s account is deleted goes to the instructor, or where there is none ends", async () => {
    const [with1, without] = [await school(), await school()];
    await leaveSchool(without.id, without.instructor);
    await without.give(without.student);
    await deleteAccount(with1.owner);
    await deleteAccount(without.owner);
    expect(await roleIn(with1.instructor, with1.id)).toBe("owner");
    expect(await listSchools(without.student)).toEqual([]);
    expect(await ownHandIns(without.student)).toHaveLength(1);
  });

  it("does not exist for who is no member", async () => {
    const { id } = await school();
    const stranger = await guest();
    expect(await mayIn(stranger, id, "read")).toBe("missing");
    expect(await mayIn(stranger, randomUUID(), "read")).toBe("missing");
    expect(await leaveSchool(id, stranger)).toBe("missing");
    expect(await setRole(id, stranger, "owner")).toBe("missing");
  });
});

describe("what is handed in", () => {
  it("is the student’s: read by who teaches while he is a member, and his alone when he has left", async () => {
    const { id, student, other, lessonId, give, instructor } = await school();
    expect(await give(student)).toBe(true);
    expect(await give(other)).toBe(true);
    expect(await schoolHandIns(id, null)).toHaveLength(2);
    expect((await schoolHandIns(id, student)).map(({ accountId }) => accountId)).toEqual([student]);
    const [mine] = await ownHandIns(student);
    expect(await signHandIn(id, { accountId: instructor, name: "I" }, mine, { good: true, words: "Well held." })).toBe(
      "signed",
    );
    await leaveSchool(id, student);
    expect((await schoolHandIns(id, null)).map(({ accountId }) => accountId)).toEqual([other]);
    expect(await ownHandIns(student)).toMatchObject([
      { school: "School", lesson: "Engine failure", lessonId, signed: true, signedBy: "I", words: "Well held." },
    ]);
    // The door is closed behind him, both ways.
    expect(await give(student)).toBe(false);
    expect(await signHandIn(id, { accountId: instructor, name: "I" }, mine, { good: false, words: "" })).toBe(
      "missing",
    );
    await dissolveSchool(id);
    expect(await ownHandIns(student)).toHaveLength(1);
  });

  it("is there once, is not taken once its lesson is withdrawn, and is taken back until it is signed", async () => {
    const { id, owner, student, lessonId, give } = await school();
    const one = result();
    expect(await give(student, one)).toBe(true);
    expect(await give(student, one)).toBe(true);
    expect(await ownHandIns(student)).toHaveLength(1);
    expect(await withdrawLesson(id, lessonId)).toBe(true);
    expect(await listLessons(id)).toEqual([]);
    expect(await give(student, result())).toBe(false);
    expect(await schoolHandIns(id, null)).toHaveLength(1);
    const [mine] = await ownHandIns(student);
    expect(await takeBack(owner, mine.id)).toBe(false);
    await signHandIn(id, { accountId: owner, name: "Owner" }, mine, { good: false, words: "" });
    expect(await takeBack(student, mine.id)).toBe(false);
  });

  it("is signed by nobody who flew it", async () => {
    const { id, instructor, give } = await school();
    await give(instructor);
    const [own] = await ownHandIns(instructor);
    expect(await signHandIn(id, { accountId: instructor, name: "I" }, own, { good: true, words: "" })).toBe("own");
  });

  it("of a class all at once loses nothing, and a class of thirty with twenty flights each is read fast", async () => {
    const { id, lessonId, student, give } = await school();
    const late = Array.from({ length: 20 }, () => result());
    await Promise.all(late.map((one) => give(student, one)));
    expect(await ownHandIns(student)).toHaveLength(20);
    const rest = await Promise.all(Array.from({ length: 28 }, guest));
    for (const who of rest)
      await database().execute(
        "INSERT INTO school_members (school_id, account_id, role, name) VALUES (?, ?, 'student', 's')",
        [id, who],
      );
    await Promise.all(
      rest.flatMap((who) =>
        Array.from({ length: 20 }, () =>
          handIn(who, { schoolId: id, lessonId, exerciseId: "engine-failure-single", result: result() }),
        ),
      ),
    );
    expect(await schoolHandIns(id, null)).toHaveLength(29 * 20);
    expect(await schoolMembers(id)).toHaveLength(32);
  }, 60_000);
});

describe("transactions that meet in a deadlock", () => {
  it("both take effect: the one that is ended is run anew", async () => {
    const [one, other] = [await guest(), await guest()];
    const rename = (connection: Queryable, id: string, to: string) =>
      connection.execute("UPDATE accounts SET preferences = ? WHERE id = ?", [JSON.stringify({ to }), id]);
    let [runs, held] = [0, 0];
    let bothHold = (): void => undefined;
    const both = new Promise<void>((resolve) => (bothHold = resolve));
    // Each holds its own row before it wants the other's.
    const cross = (first: string, second: string) =>
      transaction(async (connection) => {
        runs += 1;
        await rename(connection, first, "first");
        held += 1;
        if (held === 2) bothHold();
        await both;
        await rename(connection, second, "second");
      });
    await Promise.all([cross(one, other), cross(other, one)]);
    expect(runs).toBe(3);
  });
});

describe("what a school has in common", () => {
  it("is taken as a copy of one’s own, and taken away from the school without it", async () => {
    const { id, student } = await school();
    expect(await shareDocument(id, { kind: "procedure", document: { ...singleForcedLanding, id: "own-x" } })).toBe(
      true,
    );
    const [shared] = await listShared(id);
    expect(shared).toMatchObject({ kind: "procedure", name: singleForcedLanding.name });
    expect(await takeCopy(student, id, shared.id)).toBe(true);
    expect(await takeCopy(student, id, randomUUID())).toBe(false);
    expect(await unshare(id, shared.id)).toBe(true);
    const copies = await ownProcedures.list(student);
    expect(copies.map(({ document }) => document.name)).toEqual([singleForcedLanding.name]);
    expect(copies[0].id).not.toBe("own-x");
  });
});

describe("the demo", () => {
  it("has three entries, and a school of three with something to be signed and something that is", async () => {
    const owner = await guest();
    await transaction((connection) => addDemoRecords(owner, null, connection));
    const [one] = await listSchools(owner);
    expect([one.role, one.members]).toEqual(["owner", 3]);
    const handed = await schoolHandIns(one.id, null);
    expect(handed.map(({ signed }) => signed).filter((signed) => signed === null)).toHaveLength(3);
    expect(handed.filter(({ signed }) => signed === true)).toHaveLength(1);
    for (const { accountId } of await schoolMembers(one.id)) if (accountId !== owner) guests.push(accountId);
    expect(await demoTestCard({ document: {} as never }, [])).toBeNull();
  });
});
