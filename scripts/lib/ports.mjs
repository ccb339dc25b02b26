// A free loopback port, preferring the one a user would expect.
import { createServer } from "node:net";

/**
 * @param {number} preferred - tried first, then the nine above it, then any
 * @returns {Promise<number>}
 */
export async function freePort(preferred) {
  for (let port = preferred; port < preferred + 10; port += 1) if (await isFree(port)) return port;
  return isFree(0);
}

/**
 * @param {number} port
 * @returns {Promise<number>} the port, or 0 when it is taken
 */
function isFree(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once("error", () => resolve(0));
    // All interfaces, as the server itself will listen: a port taken on one of them counts as taken.
    probe.listen(port, () => {
      const address = probe.address();
      const port = typeof address === "object" && address ? address.port : 0;
      probe.close(() => resolve(port));
    });
  });
}
