// The application on top of a database: migrate, load the demo world, serve.
import path from "node:path";
import { launch, run } from "./processes.mjs";
import { ROOT } from "./setup.mjs";

const START_LIMIT_MS = 90_000;

/**
 * Brings the schema up to date and loads the demo world.
 *
 * @param {string} databaseUrl
 */
export async function prepareDatabase(databaseUrl) {
  await run(path.join(ROOT, "node_modules/.bin/tsx"), ["scripts/prepare-database.ts"], {
    cwd: ROOT,
    quiet: true,
    env: { ...process.env, DATABASE_URL: databaseUrl },
  });
}

/**
 * Serves and waits until it answers.
 *
 * @param {{ databaseUrl: string, port: number, dev?: boolean, quiet?: boolean, env?: Record<string, string> }} options
 */
export async function serve({ databaseUrl, port, dev = false, quiet = false, env = {} }) {
  const server = launch(
    process.execPath,
    [path.join(ROOT, "node_modules/next/dist/bin/next"), dev ? "dev" : "start", "-p", String(port)],
    {
      cwd: ROOT,
      stdio: quiet ? "ignore" : ["ignore", dev ? "inherit" : "ignore", "inherit"],
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", DATABASE_URL: databaseUrl, ...env },
    },
  );
  const address = `http://localhost:${port}`;
  const until = Date.now() + START_LIMIT_MS;
  while (Date.now() < until) {
    if (server.exitCode !== null) throw new Error(`The server ended with ${server.exitCode} before it answered.`);
    const answer = await fetch(`${address}/api/health`).catch(() => null);
    if (answer?.ok) return { server, address };
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
  throw new Error("The server did not answer in time.");
}
