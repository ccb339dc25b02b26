// Schools: founded, joined by a code, left; who is what in them. Whether somebody may do something is said by
// core/school; every question here names who asks, and what he is no member of does not exist for him.
import { randomUUID } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { type SchoolDeed, type SchoolRole, SCHOOL_ROLES, mayDo } from "@/core/school/school";
import { type Queryable, database, transaction } from "./database";
import { spokenCode, spokenCodeHash } from "./spoken-code";

/** A school as one of its members sees it in his list. */
export interface ListedSchool {
  readonly id: string;
  readonly name: string;
  readonly role: SchoolRole;
  /** What one calls oneself there. */
  readonly as: string;
  readonly members: number;
}

/** A member as others of the school see him. */
export interface SchoolMember {
  readonly accountId: string;
  readonly name: string;
  readonly role: SchoolRole;
  readonly joinedAt: string;
}

/** Most schools of an account, members of a school, codes that are open at a time. */
const [MOST_SCHOOLS, MOST_MEMBERS, MOST_CODES] = [20, 400, 20];
const CODE_LENGTH = 10;
const CODE_DAYS = 7;
/** A code for students lets a class in. */
const PLACES: Record<Exclude<SchoolRole, "owner">, number> = { instructor: 1, student: 60 };

const roleOf = (value: unknown): SchoolRole | null => SCHOOL_ROLES.find((role) => role === value) ?? null;

/** What an account is in a school; null for nothing. */
export async function roleIn(
  accountId: string,
  schoolId: string,
  connection: Queryable = database(),
): Promise<SchoolRole | null> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    "SELECT role FROM school_members WHERE school_id = ? AND account_id = ?",
    [schoolId, accountId],
  );
  return roleOf(rows[0]?.role);
}

/** Whether an account may do something in a school; `missing` where it is no member. */
export async function mayIn(
  accountId: string,
  schoolId: string,
  deed: SchoolDeed,
  connection: Queryable = database(),
): Promise<"yes" | "no" | "missing"> {
  const role = await roleIn(accountId, schoolId, connection);
  if (!role) return "missing";
  return mayDo(role, deed) ? "yes" : "no";
}

/** Founds a school; its founder owns it. Returns its id; null where the account is in too many. */
export async function foundSchool(
  accountId: string,
  name: string,
  as: string,
  connection?: Queryable,
): Promise<string | null> {
  const found = async (into: Queryable) => {
    if ((await listSchools(accountId, into)).length >= MOST_SCHOOLS) return null;
    const id = randomUUID();
    await into.execute("INSERT INTO schools (id, name) VALUES (?, ?)", [id, name]);
    await into.execute("INSERT INTO school_members (school_id, account_id, role, name) VALUES (?, ?, 'owner', ?)", [
      id,
      accountId,
      as,
    ]);
    return id;
  };
  return connection ? found(connection) : transaction(found);
}

/** Schools that an account is in. */
export async function listSchools(accountId: string, connection: Queryable = database()): Promise<ListedSchool[]> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    `SELECT schools.id, schools.name, mine.role, mine.name AS own,
         (SELECT COUNT(*) FROM school_members WHERE school_id = schools.id) AS members
       FROM school_members AS mine JOIN schools ON schools.id = mine.school_id
       WHERE mine.account_id = ? ORDER BY schools.name, schools.id LIMIT ${MOST_SCHOOLS}`,
    [accountId],
  );
  return rows.flatMap((row) => {
    const role = roleOf(row.role);
    return role ? [{ id: row.id, name: row.name, role, as: row.own, members: Number(row.members) }] : [];
  });
}

/** Members of a school, teachers first. */
export async function schoolMembers(schoolId: string): Promise<SchoolMember[]> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT account_id, name, role, joined_at FROM school_members WHERE school_id = ?
       ORDER BY FIELD(role, 'owner', 'instructor', 'student'), name, account_id`,
    [schoolId],
  );
  return rows.flatMap((row) => {
    const role = roleOf(row.role);
    return role
      ? [{ accountId: row.account_id, name: row.name, role, joinedAt: (row.joined_at as Date).toISOString() }]
      : [];
  });
}

/** A code that lets somebody in, to hand over, shown once; null where too many are open. */
export async function makeCode(schoolId: string, role: Exclude<SchoolRole, "owner">): Promise<string | null> {
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT COUNT(*) AS n FROM school_codes WHERE school_id = ? AND places_left > 0
       AND made_at > NOW(3) - INTERVAL ${CODE_DAYS} DAY`,
    [schoolId],
  );
  if (Number(rows[0].n) >= MOST_CODES) return null;
  const code = spokenCode(CODE_LENGTH);
  await database().execute("INSERT INTO school_codes (code_hash, school_id, role, places_left) VALUES (?, ?, ?, ?)", [
    spokenCodeHash(code),
    schoolId,
    role,
    PLACES[role],
  ]);
  return code;
}

/** What became of an attempt to join. */
export type Joined =
  { readonly state: "joined"; readonly schoolId: string } | { readonly state: "no_such_code" | "already_in" | "full" };

/** Joins the school of a code. One that is a member already stays what he is, and the code keeps its place. */
export async function joinSchool(accountId: string, code: string, as: string): Promise<Joined> {
  return transaction(async (connection) => {
    const hash = spokenCodeHash(code);
    const [rows] = await connection.execute<RowDataPacket[]>(
      `SELECT school_id, role FROM school_codes WHERE code_hash = ? AND places_left > 0
         AND made_at > NOW(3) - INTERVAL ${CODE_DAYS} DAY FOR UPDATE`,
      [hash],
    );
    if (!rows[0]) return { state: "no_such_code" };
    const { school_id: schoolId, role } = rows[0];
    if (await roleIn(accountId, schoolId, connection)) return { state: "already_in" };
    const [members] = await connection.execute<RowDataPacket[]>(
      "SELECT COUNT(*) AS n FROM school_members WHERE school_id = ?",
      [schoolId],
    );
    const own = await listSchools(accountId, connection);
    if (Number(members[0].n) >= MOST_MEMBERS || own.length >= MOST_SCHOOLS) return { state: "full" };
    await connection.execute("INSERT INTO school_members (school_id, account_id, role, name) VALUES (?, ?, ?, ?)", [
      schoolId,
      accountId,
      role,
      as,
    ]);
    await connection.execute("UPDATE school_codes SET places_left = places_left - 1 WHERE code_hash = ?", [hash]);
    return { state: "joined", schoolId };
  });
}

/** What became of a change of members. */
export type Changed = "done" | "missing" | "last_owner";

async function owners(schoolId: string, connection: Queryable): Promise<string[]> {
  const [rows] = await connection.execute<RowDataPacket[]>(
    "SELECT account_id FROM school_members WHERE school_id = ? AND role = 'owner' FOR UPDATE",
    [schoolId],
  );
  return rows.map((row) => String(row.account_id));
}

/** Makes a member something else; a school keeps an owner. */
export async function setRole(schoolId: string, accountId: string, role: SchoolRole): Promise<Changed> {
  return transaction(async (connection) => {
    const own = await owners(schoolId, connection);
    if (!(await roleIn(accountId, schoolId, connection))) return "missing";
    if (role !== "owner" && own.length === 1 && own[0] === accountId) return "last_owner";
    await connection.execute("UPDATE school_members SET role = ? WHERE school_id = ? AND account_id = ?", [
      role,
      schoolId,
      accountId,
    ]);
    return "done";
  });
}

/**
 * Takes a member out: by himself or by who may. What he handed in stays his, and is the school's no more. A school
 * keeps an owner while it has other members; with its last member it goes.
 */
export async function leaveSchool(schoolId: string, accountId: string): Promise<Changed> {
  return transaction(async (connection) => {
    const own = await owners(schoolId, connection);
    if (!(await roleIn(accountId, schoolId, connection))) return "missing";
    const [others] = await connection.execute<RowDataPacket[]>(
      "SELECT COUNT(*) AS n FROM school_members WHERE school_id = ? AND account_id <> ?",
      [schoolId, accountId],
    );
    const alone = Number(others[0].n) === 0;
    if (!alone && own.length === 1 && own[0] === accountId) return "last_owner";
    await connection.execute("DELETE FROM school_members WHERE school_id = ? AND account_id = ?", [
      schoolId,
      accountId,
    ]);
    if (alone) await connection.execute("DELETE FROM schools WHERE id = ?", [schoolId]);
    return "done";
  });
}

/** Ends a school for all; what was handed in stays with its students. */
export async function dissolveSchool(schoolId: string): Promise<void> {
  await database().execute("DELETE FROM schools WHERE id = ?", [schoolId]);
}

/** Calls a school something else. */
export async function renameSchool(schoolId: string, name: string): Promise<void> {
  await database().execute("UPDATE schools SET name = ? WHERE id = ?", [name, schoolId]);
}

/** Schools whose last owner was deleted: the instructor of longest standing takes over, or it goes. */
export async function tendSchools(connection: Queryable): Promise<void> {
  await connection.execute(
    `UPDATE school_members AS heir JOIN (
         SELECT school_id, MIN(CONCAT(joined_at, account_id)) AS first FROM school_members WHERE role = 'instructor'
           AND school_id NOT IN (SELECT school_id FROM (SELECT school_id FROM school_members WHERE role = 'owner') AS owned)
           GROUP BY school_id
       ) AS heirs ON heirs.school_id = heir.school_id AND CONCAT(heir.joined_at, heir.account_id) = heirs.first
       SET heir.role = 'owner' WHERE heir.role = 'instructor'`,
  );
  await connection.execute(
    "DELETE FROM schools WHERE id NOT IN (SELECT school_id FROM (SELECT school_id FROM school_members WHERE role = 'owner') AS owned)",
  );
  await connection.execute(
    `DELETE FROM school_codes WHERE places_left < 1 OR made_at < NOW(3) - INTERVAL ${CODE_DAYS} DAY`,
  );
}
