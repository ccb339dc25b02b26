// Sessions: a random token in an httpOnly cookie, its SHA-256 in the table, so that a copy of the table opens nothing.
import { createHash, randomBytes } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { cookies } from "next/headers";
import { type Account, accountOfRow } from "./accounts";
import { type Queryable, database } from "./database";

const COOKIE = "utrimax_session";
const LIFETIME_S = 30 * 24 * 3600;

/** Opens a session for an account and sets its cookie. */
export async function openSession(accountId: string, connection: Queryable = database()): Promise<void> {
  const token = randomBytes(32).toString("base64url");
  await connection.execute(
    "INSERT INTO sessions (token_hash, account_id, expires_at) VALUES (?, ?, NOW(3) + INTERVAL ? SECOND)",
    [tokenHash(token), accountId, LIFETIME_S],
  );
  (await cookies()).set(COOKIE, token, {
    httpOnly: true,
    sameSite: "lax",
    path: "/",
    maxAge: LIFETIME_S,
    secure: process.env.UTRIMAX_HTTPS === "1",
  });
}

/** The account of the caller's session; null when there is none. */
export async function currentAccount(): Promise<Account | null> {
  const token = (await cookies()).get(COOKIE)?.value;
  if (!token) return null;
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT accounts.id, kind, email, preferences FROM sessions JOIN accounts ON accounts.id = sessions.account_id WHERE token_hash = ? AND expires_at > NOW(3)",
    [tokenHash(token)],
  );
  return rows[0] ? accountOfRow(rows[0]) : null;
}

/** Ends the caller's session. */
export async function closeSession(): Promise<void> {
  const jar = await cookies();
  const token = jar.get(COOKIE)?.value;
  jar.delete(COOKIE);
  if (token) await database().execute("DELETE FROM sessions WHERE token_hash = ?", [tokenHash(token)]);
}

/** Removes sessions that have run out. */
export async function forgetOldSessions(connection: Queryable): Promise<void> {
  await connection.execute("DELETE FROM sessions WHERE expires_at < NOW(3)");
}

function tokenHash(token: string): Buffer {
  return createHash("sha256").update(token).digest();
}
