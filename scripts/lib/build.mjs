// Builds the application when a source is newer than the last build.
import { existsSync, statSync } from "node:fs";
import { readdir, stat, writeFile } from "node:fs/promises";
import path from "node:path";
import { run } from "./processes.mjs";
import { ROOT } from "./setup.mjs";
import { step } from "./step.mjs";

const SOURCES = ["src", "public", "package-lock.json", "next.config.ts", "postcss.config.mjs", "tsconfig.json"];
const STAMP = path.join(ROOT, ".next", "utrimax-built");

/** What the server's threads run: one file, so that a thread starts in some tens of milliseconds. */
export async function buildThreads() {
  // Not at the top: a fresh clone has no packages yet when this file is read.
  const { build } = await import("esbuild");
  await build({
    absWorkingDir: ROOT,
    entryPoints: ["src/server/tasks.ts"],
    outfile: ".next/threads/tasks.mjs",
    bundle: true,
    platform: "node",
    format: "esm",
    target: "node20",
    // Packages that are not modules ask for Node's own parts this way.
    banner: { js: 'import { createRequire } from "node:module"; const require = createRequire(import.meta.url);' },
    logLevel: "warning",
  });
}

/** The process that analyses large logs: its packages are found where the project has them. */
async function buildWorker() {
  const { build } = await import("esbuild");
  await build({
    absWorkingDir: ROOT,
    entryPoints: ["src/server/log-worker.ts"],
    outfile: ".next/threads/log-worker.mjs",
    bundle: true,
    packages: "external",
    platform: "node",
    format: "esm",
    target: "node20",
    logLevel: "warning",
  });
}

/** What works without a network: one file that knows the names of all the others. */
async function buildServiceWorker() {
  const [{ build }, { getManifest }] = await Promise.all([import("esbuild"), import("@serwist/build")]);
  const { manifestEntries, warnings } = await getManifest({
    globDirectory: path.join(ROOT, ".next/static"),
    globPatterns: ["**/*"],
    globIgnores: ["**/*.map"],
    modifyURLPrefix: { "": "/_next/static/" },
    // Every name has what it holds in it.
    dontCacheBustURLsMatching: /./,
    maximumFileSizeToCacheInBytes: 20_000_000,
  });
  if (!manifestEntries?.length || warnings.length > 0)
    throw new Error(`What works without a network has nothing to keep: ${warnings.join(" ")}`);
  await build({
    absWorkingDir: ROOT,
    entryPoints: ["src/sw/service-worker.ts"],
    outfile: "public/sw.js",
    bundle: true,
    minify: true,
    format: "iife",
    target: "es2022",
    define: { "self.__SW_MANIFEST": JSON.stringify(manifestEntries) },
    logLevel: "warning",
  });
}

/** Runs `next build` unless nothing has changed since it last succeeded. */
export async function ensureBuilt() {
  const built = existsSync(STAMP) ? statSync(STAMP).mtimeMs : 0;
  const began = Date.now();
  if (built > 0 && (await newest(SOURCES.map((name) => path.join(ROOT, name)))) < built) return;
  await step("build", async () => {
    await run("npx", ["next", "build"], {
      cwd: ROOT,
      quiet: true,
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1" },
    });
    await Promise.all([buildThreads(), buildWorker(), buildServiceWorker()]);
    await writeFile(STAMP, new Date(began).toISOString());
  });
}

/**
 * @param {string[]} entries
 * @returns {Promise<number>} the latest change below them, ms since the epoch
 */
async function newest(entries) {
  let latest = 0;
  for (const entry of entries) {
    if (!existsSync(entry)) continue;
    const facts = await stat(entry);
    latest = Math.max(latest, facts.mtimeMs);
    if (facts.isDirectory())
      latest = Math.max(latest, await newest((await readdir(entry)).map((name) => path.join(entry, name))));
  }
  return latest;
}
