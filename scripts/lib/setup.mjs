// What a fresh Debian machine with Node and npm still lacks: npm packages, the MariaDB server, Chromium for the tests.
import { createHash } from "node:crypto";
import { existsSync } from "node:fs";
import { mkdir, readFile, writeFile } from "node:fs/promises";
import path from "node:path";
import { fileURLToPath } from "node:url";
import { run } from "./processes.mjs";
import { step } from "./step.mjs";

export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), "../..");
export const STATE = path.join(ROOT, ".data");

/** Programs by the Debian package that brings them. */
const DEBIAN = {
  mariadb: { package: "mariadb-server", needs: ["/usr/sbin/mariadbd", "/usr/bin/mariadb-install-db"] },
  // For the tests of several web processes alone.
  redis: { package: "redis-server", needs: ["/usr/bin/redis-server"] },
  chromium: { package: "chromium", needs: ["/usr/bin/chromium"] },
};

/** Installs the npm packages when the lock file has changed since the last time. */
export async function ensureNodePackages() {
  const lock = createHash("sha256")
    .update(await readFile(path.join(ROOT, "package-lock.json")))
    .digest("hex");
  const stamp = path.join(ROOT, "node_modules", ".utrimax-lock");
  if (existsSync(stamp) && (await readFile(stamp, "utf8")) === lock) return;
  await step("npm packages", async () => {
    // Not `npm ci`: it refuses a lock that lists optional packages of other platforms which a registry does not carry.
    await run("npm", ["install", "--no-audit", "--no-fund", "--no-progress"], { cwd: ROOT, quiet: true });
    const after = createHash("sha256")
      .update(await readFile(path.join(ROOT, "package-lock.json")))
      .digest("hex");
    if (after !== lock)
      throw new Error("npm install changed package-lock.json: the committed lock does not fit package.json.");
    await writeFile(stamp, lock);
  });
}

/**
 * Installs missing Debian packages when this process may; otherwise says exactly what to run.
 *
 * @param {(keyof typeof DEBIAN)[]} names
 */
export async function ensureDebianPackages(names) {
  const missing = names.map((name) => DEBIAN[name]).filter((entry) => !entry.needs.every((file) => existsSync(file)));
  if (missing.length === 0) return;
  const packages = missing.map((entry) => entry.package);
  const install = `apt-get install -y --no-install-recommends ${packages.join(" ")}`;
  const root = process.getuid?.() === 0;
  const sudo =
    !root &&
    (await run("sudo", ["-n", "true"], { quiet: true }).then(
      () => true,
      () => false,
    ));
  if ((!root && !sudo) || !existsSync("/usr/bin/apt-get")) {
    throw new Error(
      `Missing: ${packages.join(", ")}. Run this once, then start again:\n\n    sudo apt-get update && sudo ${install}\n`,
    );
  }
  await step(`Debian packages: ${packages.join(", ")}`, async () => {
    const env = { ...process.env, DEBIAN_FRONTEND: "noninteractive" };
    const apt = (/** @type {string[]} */ args) =>
      sudo ? run("sudo", ["-n", "apt-get", ...args], { quiet: true, env }) : run("apt-get", args, { quiet: true, env });
    await apt(["update"]);
    await apt(["install", "-y", "--no-install-recommends", ...packages]);
  });
}

/** Refuses early, with the remedy, on a Node that the packages do not support. */
export function ensureNodeVersion() {
  const [major = 0, minor = 0] = process.versions.node.split(".").map(Number);
  if (major > 20 || (major === 20 && minor >= 19)) return;
  throw new Error(
    `Utrimax needs Node 20.19 or newer; this is ${process.version}. On Debian, install it from nodejs.org's packages or your version manager.`,
  );
}

/** The git-ignored folder for the database and other state. */
export async function ensureStateFolder() {
  await mkdir(STATE, { recursive: true });
}
