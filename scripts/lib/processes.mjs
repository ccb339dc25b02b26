// Child processes that never outlive us: each runs in its own group, and every way out of this process ends the groups.
import { spawn } from "node:child_process";
import { existsSync } from "node:fs";

/** @type {Map<import("node:child_process").ChildProcess, number>} */
const running = new Map();

/** How long a process may take to end by itself before it is killed; the database needs a second or two to flush. */
const GRACE_MS = 8000;

/**
 * Lets the kernel end a child when we are killed so hard that no handler of ours runs; part of Debian's essential
 * packages.
 */
const SETPRIV = "/usr/bin/setpriv";
const TIED_TO_US = existsSync(SETPRIV) ? ["--pdeathsig", "TERM", "--"] : null;

/**
 * Starts a long-running process in its own group.
 *
 * @param {string} command
 * @param {string[]} args
 * @param {import("node:child_process").SpawnOptions} [options]
 */
export function launch(command, args, options = {}) {
  const [program, programArgs] = TIED_TO_US ? [SETPRIV, [...TIED_TO_US, command, ...args]] : [command, args];
  const child = spawn(program, programArgs, { stdio: "inherit", ...options, detached: true });
  if (child.pid) {
    running.set(child, child.pid);
    child.once("exit", () => running.delete(child));
  }
  return child;
}

/**
 * Runs a command to its end; rejects with its own words when it fails.
 *
 * @param {string} command
 * @param {string[]} args
 * @param {import("node:child_process").SpawnOptions & { quiet?: boolean }} [options]
 * @returns {Promise<string>} what it printed, when quiet
 */
export function run(command, args, { quiet = false, ...options } = {}) {
  return new Promise((resolve, reject) => {
    const child = launch(command, args, {
      ...options,
      stdio: quiet ? ["ignore", "pipe", "pipe"] : ["ignore", "inherit", "inherit"],
    });
    let output = "";
    child.stdout?.on("data", (chunk) => (output += chunk));
    child.stderr?.on("data", (chunk) => (output += chunk));
    child.once("error", (error) => reject(new Error(`${command} could not be started: ${error.message}`)));
    child.once("close", (code) =>
      code === 0
        ? resolve(output)
        : reject(new Error(`${command} ${args.slice(0, 3).join(" ")} ended with ${code}\n${output.slice(-4000)}`)),
    );
  });
}

/**
 * Ends one process group: politely, then not.
 *
 * @param {import("node:child_process").ChildProcess} child
 */
export async function stop(child) {
  const pid = running.get(child);
  if (!pid) return;
  const ended = new Promise((resolve) => child.once("exit", resolve));
  signal(pid, "SIGTERM");
  const timer = setTimeout(() => signal(pid, "SIGKILL"), GRACE_MS);
  await ended;
  clearTimeout(timer);
  // Grandchildren of the group that ignored the first signal.
  signal(pid, "SIGKILL");
}

/**
 * Ends one process group at once, whatever it is doing.
 *
 * @param {import("node:child_process").ChildProcess} child
 */
export function kill(child) {
  const pid = running.get(child);
  if (pid) signal(pid, "SIGKILL");
}

/** Ends everything that was launched, newest first (the server before its database). */
export async function stopAll() {
  for (const child of [...running.keys()].reverse()) await stop(child);
}

/**
 * @param {number} pid
 * @param {NodeJS.Signals} name
 */
function signal(pid, name) {
  try {
    process.kill(-pid, name);
  } catch {
    // The group has already gone.
  }
}

let leaving = false;

/** Whether everything is being ended: nothing is to be started again. */
export function isLeaving() {
  return leaving;
}

/**
 * Makes Ctrl-C, a termination and a crash end the children too.
 *
 * @param {number | null} code - null: use the signal's own
 * @param {unknown} [error]
 */
export async function leave(code, error) {
  if (leaving) return;
  leaving = true;
  if (error) console.error(error instanceof Error ? error.message : error);
  await stopAll();
  process.exit(code ?? 1);
}

process.on("SIGINT", () => void leave(130));
process.on("SIGTERM", () => void leave(143));
process.on("SIGHUP", () => void leave(129));
process.on("uncaughtException", (error) => void leave(1, error));
process.on("unhandledRejection", (error) => void leave(1, error));
process.on("exit", () => {
  for (const pid of running.values()) signal(pid, "SIGKILL");
});
