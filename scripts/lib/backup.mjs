// The whole database as one compressed file, and back.
import { createReadStream, createWriteStream, existsSync } from "node:fs";
import { mkdir, rename, rm } from "node:fs/promises";
import path from "node:path";
import { createInterface } from "node:readline";
import { pipeline } from "node:stream/promises";
import { createGunzip, createGzip } from "node:zlib";
import { launch } from "./processes.mjs";

/** The last line of a dump that came to its end. */
const COMPLETE = /^-- Dump completed/;

/**
 * The arguments with which MariaDB's own programs find a database; the password goes by the surroundings.
 *
 * @param {string} url
 */
function access(url) {
  const { hostname, port, username, password, pathname } = new URL(url);
  return {
    args: ["--no-defaults", "--protocol=tcp", `--host=${hostname}`, `--port=${port || 3306}`, `--user=${username}`],
    env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) },
    name: pathname.slice(1),
  };
}

/**
 * @param {import("node:child_process").ChildProcess} child
 * @param {string} name
 */
function ended(child, name) {
  let said = "";
  child.stderr?.on("data", (chunk) => (said += chunk));
  return new Promise((resolve, reject) => {
    child.once("error", reject);
    child.once("close", (code) =>
      code === 0 ? resolve(null) : reject(new Error(`${name} ended with ${code}\n${said}`)),
    );
  });
}

/**
 * Writes everything of a database, as it is at one moment, while it is in use.
 *
 * @param {string} url - of a user who may read the schema
 * @param {string} file - written under another name first: one that exists is complete
 */
export async function backUp(url, file) {
  const { args, env, name } = access(url);
  await mkdir(path.dirname(file), { recursive: true });
  const child = launch(
    "mariadb-dump",
    [...args, "--single-transaction", "--hex-blob", "--no-tablespaces", "--skip-lock-tables", name],
    { stdio: ["ignore", "pipe", "pipe"], env },
  );
  const part = `${file}.part`;
  try {
    await Promise.all([
      pipeline(
        /** @type {import("node:stream").Readable} */ (child.stdout),
        createGzip(),
        createWriteStream(part, { mode: 0o600 }),
      ),
      ended(child, "mariadb-dump"),
    ]);
    await ensureComplete(part);
    await rename(part, file);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
}

/**
 * Refuses a file that is damaged or was cut off.
 *
 * @param {string} file
 */
export async function ensureComplete(file) {
  if (!existsSync(file)) throw new Error(`There is no file ${file}.`);
  let last = "";
  try {
    const text = createReadStream(file).pipe(createGunzip());
    const failed = new Promise((_, reject) => text.once("error", reject));
    const lines = (async () => {
      for await (const line of createInterface({ input: text, crlfDelay: Infinity })) if (line.trim()) last = line;
    })();
    await Promise.race([lines, failed]);
  } catch (error) {
    throw new Error(`${file} is damaged: ${error instanceof Error ? error.message : String(error)}.`);
  }
  if (!COMPLETE.test(last)) throw new Error(`${file} is cut off, or no backup of a database. Nothing was changed.`);
}

/**
 * Replaces a database by what a backup holds. The file is looked through before anything is touched.
 *
 * @param {string} url - of a user who may change the schema
 * @param {string} file
 */
export async function restore(url, file) {
  await ensureComplete(file);
  const { args, env, name } = access(url);
  const empty = launch("mariadb", [...args, "-e", `DROP DATABASE IF EXISTS \`${name}\`; CREATE DATABASE \`${name}\``], {
    stdio: ["ignore", "ignore", "pipe"],
    env,
  });
  await ended(empty, "mariadb");
  const child = launch("mariadb", [...args, name], { stdio: ["pipe", "ignore", "pipe"], env });
  await Promise.all([
    pipeline(createReadStream(file), createGunzip(), /** @type {import("node:stream").Writable} */ (child.stdin)),
    ended(child, "mariadb"),
  ]);
}
