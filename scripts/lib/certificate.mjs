// A certificate made on the spot, for serving the local network: a tablet lets only a secure page keep work offline.
import { existsSync } from "node:fs";
import { mkdir, readFile, writeFile } from "node:fs/promises";
import os from "node:os";
import path from "node:path";

/** Addresses of this machine on its networks. */
export function lanAddresses() {
  return Object.values(os.networkInterfaces())
    .flatMap((entries) => entries ?? [])
    .filter((entry) => entry.family === "IPv4" && !entry.internal)
    .map((entry) => entry.address);
}

/**
 * Key and certificate for this machine's addresses, made anew when those have changed.
 *
 * @param {string} folder - they are kept in, readable by this user alone
 * @returns {Promise<{ TLS_KEY: string, TLS_CERT: string }>} their files, as the server takes them
 */
export async function certificateFor(folder) {
  const own = path.join(folder, "certificate");
  const files = { TLS_KEY: path.join(own, "key.pem"), TLS_CERT: path.join(own, "certificate.pem") };
  const addresses = ["127.0.0.1", ...lanAddresses()];
  const stamp = path.join(own, "addresses");
  if (existsSync(stamp) && (await readFile(stamp, "utf8")) === addresses.join(" ")) return files;
  // Not at the top: a fresh clone has no packages yet when this file is read.
  const { generate } = await import("selfsigned");
  await mkdir(own, { recursive: true, mode: 0o700 });
  const made = await generate([{ name: "commonName", value: "Utrimax" }], {
    keySize: 2048,
    algorithm: "sha256",
    notAfterDate: new Date(Date.now() + 365 * 24 * 3600 * 1000),
    extensions: [
      {
        name: "subjectAltName",
        altNames: [{ type: 2, value: "localhost" }, ...addresses.map((ip) => ({ type: /** @type {7} */ (7), ip }))],
      },
    ],
  });
  await writeFile(files.TLS_KEY, made.private, { mode: 0o600 });
  await writeFile(files.TLS_CERT, made.cert, { mode: 0o644 });
  await writeFile(stamp, addresses.join(" "));
  return files;
}
