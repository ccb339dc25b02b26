// Lessons of a school, what was handed in for them, what was signed. What is handed in is the student's own row: the
// school reads it for as long as he is its member.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { HandInResult, Lesson } from "@/core/school/school";
import { type Queryable, database } from "./database";
import { type UnreadableRow, readableRows } from "./readable-rows";

/** A lesson as it was set. */
export interface SetLesson {
  readonly id: string;
  readonly setAt: string;
  readonly lesson: Lesson;
}

/** Something that was handed in. */
export interface HandIn {
  readonly id: string;
  readonly accountId: string;
  readonly schoolId: string;
  readonly school: string;
  readonly lessonId: string;
  readonly lesson: string;
  readonly exerciseId: string;
  readonly result: HandInResult;
  readonly handedAt: string;
  /** Null while nobody has signed; false where it is to be flown again. */
  readonly signed: boolean | null;
  readonly signedAt: string | null;
  readonly signedBy: string | null;
  /** What the instructor says to it. */
  readonly words: string;
}

/** Most lessons of a school, and rows of a class that are read at once. */
const [MOST_LESSONS, MOST_HAND_INS] = [200, 20_000];

/** Sets a lesson; null where the school has too many. */
export async function setLesson(
  schoolId: string,
  lesson: Lesson,
  connection: Queryable = database(),
): Promise<string | null> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    "SELECT COUNT(*) AS n FROM lessons WHERE school_id = ? AND withdrawn_at IS NULL",
    [schoolId],
  );
  if (Number(rows[0].n) >= MOST_LESSONS) return null;
  const id = randomUUID();
  await connection.execute("INSERT INTO lessons (school_id, id, document) VALUES (?, ?, ?)", [
    schoolId,
    id,
    JSON.stringify(lesson),
  ]);
  return id;
}

/** Lessons of a school that stand, the latest first. */
export async function listLessons(schoolId: string): Promise<SetLesson[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT id, document, set_at FROM lessons WHERE school_id = ? AND withdrawn_at IS NULL
       ORDER BY set_at DESC, id LIMIT ${MOST_LESSONS}`,
    [schoolId],
  );
  return rows.flatMap((row) => {
    const lesson = Lesson.safeParse(JSON.parse(String(row.document)));
    return lesson.success
      ? [{ id: String(row.id), setAt: (row.set_at as Date).toISOString(), lesson: lesson.data }]
      : [];
  });
}

/** Takes a lesson back; what was handed in for it stays. */
export async function withdrawLesson(schoolId: string, id: string): Promise<boolean> {
  const [result] = await database().execute(
    "UPDATE lessons SET withdrawn_at = NOW(3) WHERE school_id = ? AND id = ? AND withdrawn_at IS NULL",
    [schoolId, id],
  );
  return (result as { affectedRows: number }).affectedRows > 0;
}

const handInOfRow = (row: RowDataPacket): HandIn => ({
  id: String(row.id),
  accountId: String(row.account_id),
  schoolId: String(row.school_id),
  school: String(row.school_name),
  lessonId: String(row.lesson_id),
  lesson: String(row.lesson_name),
  exerciseId: String(row.exercise_id),
  result: HandInResult.parse(JSON.parse(String(row.result))),
  handedAt: (row.handed_at as Date).toISOString(),
  signed: row.signed === null ? null : row.signed === 1,
  signedAt: row.signed_at === null ? null : (row.signed_at as Date).toISOString(),
  signedBy: row.signed_by === null ? null : String(row.signed_by),
  words: String(row.words),
});

const COLUMNS = `hand_ins.id, hand_ins.account_id, hand_ins.lesson_name AS name, hand_ins.school_id, school_name,
  lesson_id, lesson_name, exercise_id, result, handed_at, signed, signed_at, signed_by, words`;

/** What a student hands in. */
export interface NewHandIn {
  readonly schoolId: string;
  readonly lessonId: string;
  readonly exerciseId: string;
  readonly result: HandInResult;
}

/**
 * Hands something in; handed in once more it is there once. Returns false where the account is no member of the school,
 * or the lesson does not stand any more.
 */
export async function handIn(
  accountId: string,
  { schoolId, lessonId, exerciseId, result }: NewHandIn,
  connection: Queryable = database(),
): Promise<boolean> {
  await connection.execute(
    `INSERT IGNORE INTO hand_ins
       (account_id, id, school_id, school_name, lesson_id, lesson_name, exercise_id, source_id, result)
       SELECT ?, ?, schools.id, schools.name, lessons.id, LEFT(JSON_VALUE(lessons.document, '$.name'), 60), ?, ?, ?
         FROM schools JOIN lessons ON lessons.school_id = schools.id AND lessons.withdrawn_at IS NULL
         JOIN school_members ON school_members.school_id = schools.id AND school_members.account_id = ?
         WHERE schools.id = ? AND lessons.id = ?`,
    [accountId, randomUUID(), exerciseId, result.sourceId, JSON.stringify(result), accountId, schoolId, lessonId],
  );
  const [rows] = await connection.execute<RowDataPacket[]>(
    "SELECT 1 FROM hand_ins WHERE account_id = ? AND lesson_id = ? AND exercise_id = ? AND source_id = ?",
    [accountId, lessonId, exerciseId, result.sourceId],
  );
  return rows.length > 0;
}

/** All that an account has handed in anywhere, the latest first. */
export async function ownHandIns(accountId: string, unreadable: UnreadableRow[] = []): Promise<HandIn[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM hand_ins WHERE account_id = ? ORDER BY handed_at DESC, id LIMIT ${MOST_HAND_INS}`,
    [accountId],
  );
  return readableRows("hand-in", rows, handInOfRow, unreadable);
}

/** What the present members of a school have handed in there, the latest first. Of one of them, or of all. */
export async function schoolHandIns(schoolId: string, of: string | null): Promise<HandIn[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT ${COLUMNS} FROM hand_ins
       JOIN school_members ON school_members.school_id = hand_ins.school_id AND school_members.account_id = hand_ins.account_id
       WHERE hand_ins.school_id = ? ${of === null ? "" : "AND hand_ins.account_id = ?"}
       ORDER BY handed_at DESC, hand_ins.id LIMIT ${MOST_HAND_INS}`,
    of === null ? [schoolId] : [schoolId, of],
  );
  return readableRows("hand-in", rows, handInOfRow, []);
}

/** What became of a signature. */
export type Signed = "signed" | "missing" | "own";

/** Signs something that a present member has handed in: good, or to be flown again. Nobody signs his own. */
export async function signHandIn(
  schoolId: string,
  signer: { readonly accountId: string; readonly name: string },
  { accountId, id }: Pick<HandIn, "accountId" | "id">,
  { good, words }: { readonly good: boolean; readonly words: string },
  connection: Queryable = database(),
): Promise<Signed> {
  if (accountId === signer.accountId) return "own";
  const [result] = await connection.execute(
    `UPDATE hand_ins JOIN school_members
         ON school_members.school_id = hand_ins.school_id AND school_members.account_id = hand_ins.account_id
       SET signed = ?, signed_at = NOW(3), signed_by = ?, words = ?
       WHERE hand_ins.school_id = ? AND hand_ins.account_id = ? AND hand_ins.id = ?`,
    [good, signer.name, words, schoolId, accountId, id],
  );
  return (result as { affectedRows: number }).affectedRows > 0 ? "signed" : "missing";
}

/** Takes back something of one's own that nobody has signed; false where there is none such. */
export async function takeBack(accountId: string, id: string): Promise<boolean> {
  const [result] = await database().execute("DELETE FROM hand_ins WHERE account_id = ? AND id = ? AND signed IS NULL", [
    accountId,
    id,
  ]);
  return (result as { affectedRows: number }).affectedRows > 0;
}
