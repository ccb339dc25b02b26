// Accounts: people, guests of the demo, and the shared library that holds the demo world.
import { randomUUID } from "node:crypto";
import { hash, verify } from "@node-rs/argon2";
import type { RowDataPacket } from "mysql2/promise";
import { z } from "zod";
import { type Queryable, database, transaction } from "./database";
import { tendSchools } from "./schools";
import { LEAST_LENGTH } from "./passwords";
import { Preferences } from "./preferences";

/** The account that owns the demo world; everybody may read its rows, nobody may write them. */
export const LIBRARY_ACCOUNT = "00000000-0000-4000-8000-000000000001";

/** An address that somebody signs in with. */
export const Email = z
  .email("An e-mail address is needed, such as pilot@example.org.")
  .max(254)
  .transform((value) => value.toLowerCase());

/** A password as it is typed; whether a new one is good enough is for `faultOfPassword` to say. */
export const Password = z
  .string()
  .min(LEAST_LENGTH, `A password has at least ${LEAST_LENGTH} characters.`)
  .max(200, "A password has at most 200 characters.");

/** What is typed to sign in or to create an account. */
export const Credentials = z.strictObject({
  email: Email,
  password: Password,
});

/** A signed-in account as the rest of the server sees it. */
export interface Account {
  readonly id: string;
  readonly kind: "user" | "guest" | "library";
  readonly email: string | null;
  readonly preferences: Preferences;
}

/** A row that joins the accounts table, read into an account. */
export function accountOfRow(row: RowDataPacket): Account {
  const preferences = Preferences.safeParse(JSON.parse(String(row.preferences)));
  return {
    id: String(row.id),
    kind: row.kind as Account["kind"],
    email: row.email === null ? null : String(row.email),
    preferences: preferences.success ? preferences.data : {},
  };
}

/** Creates a person's account; null when the address is taken. */
export async function createUser(
  { email, password }: z.infer<typeof Credentials>,
  connection: Queryable = database(),
): Promise<string | null> {
  const id = randomUUID();
  const passwordHash = await hash(password);
  try {
    await connection.execute(
      "INSERT INTO accounts (id, kind, email, password_hash, preferences) VALUES (?, 'user', ?, ?, '{}')",
      [id, email, passwordHash],
    );
    return id;
  } catch (error) {
    if (isTaken(error)) return null;
    throw error;
  }
}

const isTaken = (error: unknown) => (error as { code?: string }).code === "ER_DUP_ENTRY";

/** Whether a password is an account's. */
export async function isPasswordOf(accountId: string, password: string): Promise<boolean> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT password_hash FROM accounts WHERE id = ? AND kind = 'user'",
    [accountId],
  );
  return rows[0] ? verify(String(rows[0].password_hash), password) : false;
}

/** Gives an account another password. */
export async function changePassword(accountId: string, password: string, connection: Queryable): Promise<void> {
  await connection.execute("UPDATE accounts SET password_hash = ? WHERE id = ? AND kind = 'user'", [
    await hash(password),
    accountId,
  ]);
}

/** Gives an account another address; false when it is taken. */
export async function changeEmail(accountId: string, email: string): Promise<boolean> {
  try {
    await database().execute("UPDATE accounts SET email = ? WHERE id = ? AND kind = 'user'", [email, accountId]);
    return true;
  } catch (error) {
    if (isTaken(error)) return false;
    throw error;
  }
}

/** Deletes an account with everything that belongs to it; the library's cannot be. */
export async function deleteAccount(accountId: string): Promise<void> {
  await database().execute("DELETE FROM accounts WHERE id = ? AND kind <> 'library'", [accountId]);
  await transaction(tendSchools);
}

/** Creates a guest account for a visitor of the demo. */
export async function createGuest(connection: Queryable): Promise<string> {
  const id = randomUUID();
  await connection.execute("INSERT INTO accounts (id, kind, preferences) VALUES (?, 'guest', '{}')", [id]);
  return id;
}

// Verified when no account matches, so that an unknown address takes as long to refuse as a wrong password.
const NOBODY = hash("no password is this one");

/** The account that these credentials open; null when they open none. */
export async function accountForCredentials({
  email,
  password,
}: {
  email: string;
  password: string;
}): Promise<string | null> {
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT id, password_hash FROM accounts WHERE email = ? AND kind = 'user'",
    [email],
  );
  const stored = rows[0] ? String(rows[0].password_hash) : await NOBODY;
  const right = await verify(stored, password);
  return rows[0] && right ? String(rows[0].id) : null;
}

/** Stores an account's settings. */
export async function savePreferences(
  accountId: string,
  preferences: Preferences,
  connection: Queryable = database(),
): Promise<void> {
  await connection.execute("UPDATE accounts SET preferences = ? WHERE id = ?", [
    JSON.stringify(preferences),
    accountId,
  ]);
}

/** Makes sure that the library account exists. */
export async function ensureLibraryAccount(connection: Queryable): Promise<void> {
  await connection.execute("INSERT IGNORE INTO accounts (id, kind, preferences) VALUES (?, 'library', '{}')", [
    LIBRARY_ACCOUNT,
  ]);
}

/** Guests who have not come back for this long are forgotten with their rows. */
const GUEST_DAYS = 60;

/** Removes guests without a session left. */
export async function forgetOldGuests(connection: Queryable): Promise<void> {
  await connection.execute(
    `DELETE FROM accounts WHERE kind = 'guest' AND created_at < NOW(3) - INTERVAL ${GUEST_DAYS} DAY
       AND NOT EXISTS (SELECT 1 FROM sessions WHERE sessions.account_id = accounts.id AND sessions.expires_at > NOW(3))`,
  );
}
