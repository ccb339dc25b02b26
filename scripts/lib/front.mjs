// What happens to a request before the application sees it: it gets a number, the address it really comes from, and a
// policy for what its page may load; what no page of ours asks for is refused.
import { randomBytes, randomUUID } from "node:crypto";
import proxyAddress from "proxy-addr";

const METHODS = new Set(["GET", "HEAD", "POST", "PUT", "PATCH", "DELETE"]);

/** Longest address of a page or a route; the longest of ours is a shared situation. */
const LONGEST_URL = 8192;

/**
 * Which neighbours may say for whom they ask: `TRUST_PROXY`, a list of addresses and networks, or the words of the
 * proxy-addr package (`loopback`, `uniquelocal`). Nobody unless it is set.
 *
 * @param {string | undefined} list
 * @returns {(address: string, hop: number) => boolean}
 */
export function trusted(list) {
  if (!list) return () => false;
  return proxyAddress.compile(list.split(",").map((entry) => entry.trim()));
}

/**
 * Where images may come from: `BACKGROUND_ORIGINS`, a list of schemes with hosts. What is none is told and ends the
 * start: it would open the policy for more than was meant.
 *
 * @param {string | undefined} list
 * @returns {string[]}
 */
export function origins(list) {
  const given = (list ?? "").split(/\s+/).filter(Boolean);
  for (const entry of given)
    if (!/^https?:\/\//.test(entry) || !URL.canParse(entry) || new URL(entry).origin !== entry)
      throw new Error(`BACKGROUND_ORIGINS: ${entry} is no scheme with a host, as https://tiles.example is.`);
  return given;
}

/**
 * Content Security Policy of a page: scripts by nonce alone.
 *
 * @param {{ nonce: string, dev: boolean, secure: boolean, images?: readonly string[] }} page
 *   images: where the tiles of a map's background may come from besides
 */
export function policyOf({ nonce, dev, secure, images = [] }) {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic' 'wasm-unsafe-eval'${dev ? " 'unsafe-eval'" : ""}`,
    "worker-src 'self' blob:",
    // Parts of dialogs and messages carry their own styles.
    "style-src 'self' 'unsafe-inline'",
    ["img-src 'self' data: blob:", ...images].join(" "),
    "font-src 'self' data:",
    `connect-src 'self' data: blob:${dev ? " ws:" : ""}`,
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
    ...(secure ? ["upgrade-insecure-requests"] : []),
  ].join("; ");
}

/**
 * Prepares a request. Whatever it says of itself in the headers that are ours is overwritten.
 *
 * @param {import("node:http").IncomingMessage} request
 * @param {import("node:http").ServerResponse} response
 * @param {{ trust: ReturnType<typeof trusted>, dev?: boolean, images?: readonly string[] }} options
 * @returns {boolean} whether the application is to answer; otherwise it is answered already
 */
export function prepare(request, response, { trust, dev = false, images = [] }) {
  const id = randomUUID();
  response.setHeader("x-request-id", id);
  const peer = request.socket.remoteAddress ?? "";
  const byProxy = trust(peer, 0);
  const tls = "encrypted" in request.socket && Boolean(request.socket.encrypted);
  const secure = tls || (byProxy && request.headers["x-forwarded-proto"] === "https");
  const address = byProxy ? proxyAddress(request, trust) : peer;
  if (!byProxy) for (const name of ["for", "host", "port", "proto"]) delete request.headers[`x-forwarded-${name}`];
  const nonce = randomBytes(16).toString("base64");
  const policy = policyOf({ nonce, dev, secure, images });
  Object.assign(request.headers, {
    "x-request-id": id,
    "x-utrimax-address": address,
    "x-utrimax-secure": secure ? "1" : "0",
    "x-utrimax-path": (request.url ?? "").split("?")[0],
    "x-nonce": nonce,
    // The renderer finds the nonce of its own scripts here.
    "content-security-policy": policy,
  });
  response.setHeader("content-security-policy", policy);
  if (secure) response.setHeader("strict-transport-security", "max-age=31536000");
  if (!METHODS.has(request.method ?? "")) {
    refuse(response, 405, "method_not_allowed", "This method is not answered here.");
    return false;
  }
  if (!isReadable(request.url ?? "")) {
    refuse(response, 400, "bad_address", "This address cannot be read.");
    return false;
  }
  return true;
}

/** @param {string} url */
function isReadable(url) {
  if (url.length > LONGEST_URL || !url.startsWith("/")) return false;
  try {
    decodeURIComponent(url.split("?")[0]);
    return true;
  } catch {
    return false;
  }
}

/**
 * @param {import("node:http").ServerResponse} response
 * @param {number} status
 * @param {string} code
 * @param {string} message
 */
function refuse(response, status, code, message) {
  response.writeHead(status, { "content-type": "application/json", connection: "close" });
  response.end(JSON.stringify({ issues: [{ code, path: "", message }] }));
}
