// Served over HTTPS, as `npm start -- --lan` does: cookies that no neighbour can set, and no way back to HTTP.
import https from "node:https";
import path from "node:path";
import { serve } from "../lib/application.mjs";
import { certificateFor } from "../lib/certificate.mjs";
import { freePort } from "../lib/ports.mjs";
import { STATE } from "../lib/setup.mjs";

interface Answer {
  readonly status: number;
  readonly headers: Record<string, string | string[] | undefined>;
}

function ask(port: number, method: string, url: string, cookie = ""): Promise<Answer> {
  return new Promise((resolve, reject) => {
    // The certificate is the server's own.
    const options = { host: "127.0.0.1", port, path: url, method, headers: { cookie }, rejectUnauthorized: false };
    const request = https.request(options, (answer) => {
      answer.resume();
      answer.on("end", () => resolve({ status: answer.statusCode ?? 0, headers: answer.headers }));
    });
    request.on("error", reject);
    request.end();
  });
}

/** Serves a database over HTTPS and looks at the answers; returns what is wrong. */
export async function secure(databaseUrl: string): Promise<string[]> {
  const wrong: string[] = [];
  const port = await freePort(3400);
  const certificate = await certificateFor(path.join(STATE, "attack"));
  await serve({ databaseUrl, port, quiet: true, env: { HOST: "127.0.0.1", ...certificate } });
  const demo = await ask(port, "POST", "/api/demo");
  const [cookie = ""] = [demo.headers["set-cookie"] ?? []].flat();
  if (!/^__Host-utrimax_session=.*; Path=\/;.*; Secure; HttpOnly; SameSite=lax$/i.test(cookie))
    wrong.push(`the cookie is ${cookie.replace(/=[^;]*/, "=…")}`);
  if (!String(demo.headers["strict-transport-security"]).includes("max-age=")) wrong.push("there is no HSTS");
  const [session] = cookie.split(";");
  if ((await ask(port, "GET", "/api/situations", session)).status !== 200) wrong.push("the session does not hold");
  const plain = session.replace("__Host-", "");
  if ((await ask(port, "GET", "/api/situations", plain)).status !== 401)
    wrong.push("a cookie of another name opens the session");
  return wrong;
}
