// The application on top of a database: migrate, load the demo world, serve.
import http from "node:http";
import https from "node:https";
import path from "node:path";
import { launch, run } from "./processes.mjs";
import { ROOT } from "./setup.mjs";

const START_LIMIT_MS = 90_000;
const HEALTH_MS = 8000;

/**
 * Brings the schema up to date and loads the demo world.
 *
 * @param {string} databaseUrl - of a user who may change the schema
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
  const server = launch(process.execPath, [path.join(ROOT, "scripts/serve.mjs"), ...(dev ? ["--dev"] : [])], {
    cwd: ROOT,
    stdio: quiet ? "ignore" : ["ignore", "inherit", "inherit"],
    env: {
      ...process.env,
      NODE_ENV: dev ? "development" : "production",
      NEXT_TELEMETRY_DISABLED: "1",
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      ...env,
    },
  });
  const secure = Boolean(env.TLS_KEY);
  const address = `http${secure ? "s" : ""}://localhost:${port}`;
  const until = Date.now() + START_LIMIT_MS;
  while (Date.now() < until) {
    if (server.exitCode !== null) throw new Error(`The server ended with ${server.exitCode} before it answered.`);
    // One that is started again while the database is away answers too, and says so.
    if (await healthOf(port, secure)) return { server, address };
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
  throw new Error("The server did not answer in time.");
}

/**
 * What a server says of itself; null when it does not answer within some seconds. One whose database is away answers.
 *
 * @param {number} port
 * @param {boolean} [secure] - over HTTPS; it is our own, so its certificate is not looked at
 * @returns {Promise<{ ok: boolean, disk?: { free_MB: number, low: boolean } } | null>}
 */
export function healthOf(port, secure = false) {
  return new Promise((resolve) => {
    const options = { host: "127.0.0.1", port, path: "/api/health", timeout: HEALTH_MS, rejectUnauthorized: false };
    const request = (secure ? https : http).get(options, (answer) => {
      let text = "";
      answer.on("data", (chunk) => (text += chunk));
      answer.on("end", () => {
        try {
          resolve({ ok: answer.statusCode === 200, ...JSON.parse(text) });
        } catch {
          resolve(null);
        }
      });
    });
    request.on("timeout", () => request.destroy());
    request.on("error", () => resolve(null));
  });
}
