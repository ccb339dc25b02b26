// A MariaDB of our own on loopback: data directory inside the checkout, socket and port of its own.
import { existsSync } from "node:fs";
import { mkdir, mkdtemp, open, readFile, rm } from "node:fs/promises";
import { createConnection } from "node:net";
import os from "node:os";
import path from "node:path";
import { launch, run } from "./processes.mjs";
import { freePort } from "./ports.mjs";

/** Longest wait for the server to accept connections; it takes about a second, ten after an unclean stop. */
const START_LIMIT_MS = 60_000;

/**
 * Starts the server on a data directory, made on first use.
 *
 * @param {string} folder - holds data, log
 * @param {number} [fixedPort] - used to start again where clients expect it
 */
export async function startDatabase(folder, fixedPort) {
  const data = path.join(folder, "mysql");
  const user = await runningOn(folder);
  if (user)
    throw new Error(
      `The database in ${folder} is in use: another Utrimax runs from this checkout (its database is process ${user}). Stop that one first, or set DATABASE_URL.`,
    );
  if (!existsSync(path.join(data, "mysql"))) {
    await rm(data, { recursive: true, force: true });
    await mkdir(folder, { recursive: true });
    await run(
      "mariadb-install-db",
      ["--no-defaults", `--datadir=${data}`, "--auth-root-authentication-method=normal", "--skip-test-db"],
      { quiet: true },
    );
  }
  const port = fixedPort ?? (await freePort(3377));
  // Socket paths are limited to 107 characters, so it cannot live in a deep checkout.
  const sockets = await mkdtemp(path.join(os.tmpdir(), "utrimax-"));
  const log = path.join(folder, "mariadb.log");
  const output = await open(log, "a");
  const server = launch(
    "mariadbd",
    [
      "--no-defaults",
      ...(process.getuid?.() === 0 ? ["--user=root"] : []),
      `--datadir=${data}`,
      `--socket=${path.join(sockets, "s")}`,
      `--pid-file=${path.join(folder, "mariadb.pid")}`,
      `--port=${port}`,
      "--bind-address=127.0.0.1",
      "--character-set-server=utf8mb4",
      "--collation-server=utf8mb4_unicode_ci",
      "--max-allowed-packet=64M",
      "--innodb-buffer-pool-size=64M",
      "--performance-schema=OFF",
    ],
    { stdio: ["ignore", output.fd, output.fd] },
  );
  server.once("exit", () => void rm(sockets, { recursive: true, force: true }));
  await output.close();
  await accepting(port, server, log);
  return { server, port, url: `mysql://root@127.0.0.1:${port}/utrimax` };
}

/**
 * @param {string} folder
 * @returns {Promise<number | null>} the server that uses the folder at present
 */
async function runningOn(folder) {
  const pid = Number(await readFile(path.join(folder, "mariadb.pid"), "utf8").catch(() => ""));
  if (!pid) return null;
  // A number left behind by a crash may belong to something else by now.
  const name = await readFile(`/proc/${pid}/comm`, "utf8").catch(() => "");
  return name.trim() === "mariadbd" ? pid : null;
}

/**
 * @param {number} port
 * @param {import("node:child_process").ChildProcess} server
 * @param {string} log
 */
async function accepting(port, server, log) {
  const until = Date.now() + START_LIMIT_MS;
  while (Date.now() < until) {
    if (server.exitCode !== null) break;
    if (await reachable(port)) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  const lines = (await readFile(log, "utf8").catch(() => "")).split("\n").slice(-15).join("\n");
  throw new Error(`MariaDB did not start. The end of its log:\n${lines}`);
}

/**
 * @param {number} port
 * @returns {Promise<boolean>}
 */
function reachable(port) {
  return new Promise((resolve) => {
    const socket = createConnection({ port, host: "127.0.0.1" });
    socket.once("data", () => (socket.destroy(), resolve(true)));
    socket.once("error", () => resolve(false));
    socket.setTimeout(1000, () => (socket.destroy(), resolve(false)));
  });
}
