// Serves the application: an HTTP server of our own before Next's handler (lib/front.mjs says what it does). It listens
// on loopback unless HOST says otherwise, and speaks HTTPS when TLS_KEY and TLS_CERT name a key and a certificate.
import { readFileSync } from "node:fs";
import { createServer } from "node:http";
import { createServer as createSecureServer } from "node:https";
import next from "next";
import { origins, prepare, trusted } from "./lib/front.mjs";

const { HOST = "127.0.0.1", PORT = "3000", TLS_KEY, TLS_CERT, TRUST_PROXY, BACKGROUND_ORIGINS } = process.env;
const dev = process.argv.includes("--dev");

/** Longest time for the head of a request, and for all of it, ms. */
const [HEAD_MS, REQUEST_MS] = [15_000, 200_000];
/** More connections at once than that are not taken. */
const MOST_CONNECTIONS = 1000;

const application = next({ dev, hostname: HOST, port: Number(PORT) });
await application.prepare();
const handle = application.getRequestHandler();
const trust = trusted(TRUST_PROXY);
const images = origins(BACKGROUND_ORIGINS);

/** @type {import("node:http").RequestListener} */
const listener = (request, response) => {
  if (prepare(request, response, { trust, dev, images })) void handle(request, response);
};
const server =
  TLS_KEY && TLS_CERT
    ? createSecureServer({ key: readFileSync(TLS_KEY), cert: readFileSync(TLS_CERT) }, listener)
    : createServer(listener);
server.headersTimeout = HEAD_MS;
server.requestTimeout = REQUEST_MS;
server.maxConnections = MOST_CONNECTIONS;
if (dev) server.on("upgrade", application.getUpgradeHandler());
server.on("error", (error) => {
  console.error(`The server cannot listen on ${HOST}:${PORT}: ${error.message}`);
  process.exit(1);
});
server.listen(Number(PORT), HOST);

// What has begun is answered; after some seconds the rest is given up.
const GRACE_MS = 5000;
for (const signal of ["SIGTERM", "SIGINT"])
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), GRACE_MS).unref();
  });
