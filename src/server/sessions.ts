// Sessions: a random token in an httpOnly cookie, its SHA-256 in the table, so that a copy of the table opens nothing.
import { createHash, randomBytes } from "node:crypto";
import type { RowDataPacket } from "mysql2/promise";
import { cookies, headers } from "next/headers";
import { type Account, accountOfRow } from "./accounts";
import { type Queryable, database } from "./database";

/**
 * Over HTTPS the browser itself sees to it that no neighbouring site can set the cookie.
 *
 * @see RFC 6265bis, cookie name prefixes
 */
const [PLAIN_COOKIE, HOST_COOKIE] = ["utrimax_session", "__Host-utrimax_session"];

/** Whether the browser talks to us over HTTPS, as the front of the server has found. */
const isSecure = async () => (await headers()).get("x-utrimax-secure") === "1";
const cookieName = async () => ((await isSecure()) ? HOST_COOKIE : PLAIN_COOKIE);

const LIFETIME_S = 30 * 24 * 3600;

/** Opens a session for an account and sets its cookie. */
export async function openSession(accountId: string, connection: Queryable = database()): Promise<void> {
  const token = randomBytes(32).toString("base64url");
  const agent = ((await headers()).get("user-agent") ?? "").slice(0, 200);
  await connection.execute(
    "INSERT INTO sessions (token_hash, account_id, expires_at, agent) VALUES (?, ?, NOW(3) + INTERVAL ? SECOND, ?)",
    [tokenHash(token), accountId, LIFETIME_S, agent],
  );
  await setCookie(await cookieName(), token, LIFETIME_S);
}

async function setCookie(name: string, token: string, maxAge: number): Promise<void> {
  const secure = await isSecure();
  (await cookies()).set(name, token, { httpOnly: true, sameSite: "lax", path: "/", maxAge, secure });
}

/** The account of the caller's session; null when there is none. */
export async function currentAccount(): Promise<Account | null> {
  const token = (await cookies()).get(await cookieName())?.value;
  if (!token) return null;
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT accounts.id, kind, email, preferences, seen_at < NOW(3) - INTERVAL 10 MINUTE AS unseen
       FROM sessions JOIN accounts ON accounts.id = sessions.account_id WHERE token_hash = ? AND expires_at > NOW(3)`,
    [tokenHash(token)],
  );
  if (!rows[0]) return null;
  if (rows[0].unseen)
    await database().execute("UPDATE sessions SET seen_at = NOW(3) WHERE token_hash = ?", [tokenHash(token)]);
  return accountOfRow(rows[0]);
}

/** A session as its account sees it. */
export interface ListedSession {
  /** Half of the hash of its token: it names the session and opens nothing. */
  readonly id: string;
  readonly current: boolean;
  readonly createdAt: string;
  readonly seenAt: string;
  /** What the browser said of itself. */
  readonly agent: string;
}

/** Sessions of an account, the one used last first. */
export async function listSessions(accountId: string): Promise<ListedSession[]> {
  const own = await callersHash();
  const [rows] = await database().execute<RowDataPacket[]>(
    `SELECT LEFT(HEX(token_hash), 32) AS id, token_hash = ? AS current, created_at, seen_at, agent FROM sessions
       WHERE account_id = ? AND expires_at > NOW(3) ORDER BY token_hash = ? DESC, seen_at DESC LIMIT 100`,
    [own, accountId, own],
  );
  return rows.map((row) => ({
    id: String(row.id),
    current: Boolean(row.current),
    createdAt: (row.created_at as Date).toISOString(),
    seenAt: (row.seen_at as Date).toISOString(),
    agent: String(row.agent),
  }));
}

/** Ends a session of an account; false when it has none of that id. */
export async function endSession(accountId: string, id: string): Promise<boolean> {
  const [result] = await database().execute(
    "DELETE FROM sessions WHERE account_id = ? AND LEFT(HEX(token_hash), 32) = ?",
    [accountId, id],
  );
  return (result as { affectedRows: number }).affectedRows > 0;
}

/** Ends all sessions of an account but the caller's. */
export async function endOtherSessions(accountId: string, connection: Queryable = database()): Promise<void> {
  await connection.execute("DELETE FROM sessions WHERE account_id = ? AND token_hash <> ?", [
    accountId,
    await callersHash(),
  ]);
}

async function callersHash(): Promise<Buffer> {
  return tokenHash((await cookies()).get(await cookieName())?.value ?? "");
}

/** A browser that has signed in before is known for this long, s. */
const DEVICE_LIFETIME_S = 365 * 24 * 3600;
const [PLAIN_DEVICE, HOST_DEVICE] = ["utrimax_device", "__Host-utrimax_device"];
const deviceCookie = async () => ((await isSecure()) ? HOST_DEVICE : PLAIN_DEVICE);

/** What a browser that has signed in to an account before is known by; null for any other. */
export async function knownDevice(email: string): Promise<string | null> {
  const token = (await cookies()).get(await deviceCookie())?.value;
  if (!token) return null;
  const [rows] = await database().execute<RowDataPacket[]>(
    "SELECT devices.account_id FROM devices JOIN accounts ON accounts.id = devices.account_id WHERE email = ? AND token_hash = ?",
    [email, tokenHash(token)],
  );
  return rows[0] ? tokenHash(token).toString("hex") : null;
}

/** Remembers that a browser has signed in to an account. */
export async function rememberDevice(accountId: string): Promise<void> {
  const name = await deviceCookie();
  const token = (await cookies()).get(name)?.value ?? randomBytes(32).toString("base64url");
  await database().execute(
    "INSERT INTO devices (token_hash, account_id) VALUES (?, ?) ON DUPLICATE KEY UPDATE seen_at = NOW(3)",
    [tokenHash(token), accountId],
  );
  await setCookie(name, token, DEVICE_LIFETIME_S);
}

/** Ends the caller's session. */
export async function closeSession(): Promise<void> {
  const jar = await cookies();
  const name = await cookieName();
  const token = jar.get(name)?.value;
  jar.delete(name);
  if (token) await database().execute("DELETE FROM sessions WHERE token_hash = ?", [tokenHash(token)]);
}

/** Removes sessions that have run out, and devices that were not seen for a year. */
export async function forgetOldSessions(connection: Queryable): Promise<void> {
  await connection.execute("DELETE FROM sessions WHERE expires_at < NOW(3)");
  await connection.execute("DELETE FROM devices WHERE seen_at < NOW(3) - INTERVAL ? SECOND", [DEVICE_LIFETIME_S]);
}

function tokenHash(token: string): Buffer {
  return createHash("sha256").update(token).digest();
}
