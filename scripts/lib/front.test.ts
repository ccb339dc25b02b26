// The front of the server, against real requests.
import { createServer, request as httpRequest, type IncomingHttpHeaders, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { afterEach, describe, expect, it } from "vitest";
import { origins, policyOf, prepare, trusted } from "./front.mjs";

let server: Server | null = null;
afterEach(() => new Promise((resolve) => (server ? server.close(resolve) : resolve(null))));

interface Seen {
  status: number;
  headers: IncomingHttpHeaders;
  /** What the application was given; null when it was not asked. */
  given: IncomingHttpHeaders | null;
}

/** Sends a request through a front that trusts some proxies. */
async function through(
  { path = "/", method = "GET", headers = {} }: { path?: string; method?: string; headers?: Record<string, string> },
  proxies?: string,
): Promise<Seen> {
  let given: IncomingHttpHeaders | null = null;
  const front = createServer((request, response) => {
    if (!prepare(request, response, { trust: trusted(proxies) })) return;
    given = { ...request.headers };
    response.end("answered");
  });
  server = front;
  await new Promise<void>((resolve) => front.listen(0, "127.0.0.1", resolve));
  const { port } = front.address() as AddressInfo;
  return new Promise((resolve, reject) => {
    const request = httpRequest({ host: "127.0.0.1", port, path, method, headers, agent: false }, (answer) => {
      answer.resume();
      answer.on("end", () => resolve({ status: answer.statusCode ?? 0, headers: answer.headers, given }));
    });
    request.on("error", reject);
    request.end();
  });
}

describe("the address of a request", () => {
  const claimed = { "x-forwarded-for": "192.0.2.1, 198.51.100.7", "x-forwarded-proto": "https" };

  it("is the neighbour's, whatever the request says of itself", async () => {
    const { given, headers } = await through({ headers: { ...claimed, "x-utrimax-address": "203.0.113.9" } });
    expect(given).toMatchObject({ "x-utrimax-address": "127.0.0.1", "x-utrimax-secure": "0" });
    expect(given).not.toHaveProperty("x-forwarded-for");
    expect(headers).not.toHaveProperty("strict-transport-security");
  });

  it("is what a trusted proxy says; what others had written before it counts no more than they do", async () => {
    expect((await through({ headers: claimed }, "loopback")).given?.["x-utrimax-address"]).toBe("198.51.100.7");
    expect((await through({ headers: claimed }, "loopback, 198.51.100.0/24")).given?.["x-utrimax-address"]).toBe(
      "192.0.2.1",
    );
    const { given, headers } = await through({ headers: claimed }, "127.0.0.1");
    expect(given?.["x-utrimax-secure"]).toBe("1");
    expect(headers["strict-transport-security"]).toMatch(/max-age=\d+/);
    expect((await through({ headers: claimed }, "203.0.113.1")).given?.["x-utrimax-address"]).toBe("127.0.0.1");
  });
});

describe("what no page asks for", () => {
  it.each([
    [{ method: "TRACE" }, 405],
    [{ method: "PROPFIND" }, 405],
    [{ path: "/%ff" }, 400],
    [{ path: `/${"x".repeat(9000)}` }, 400],
  ])("%o is refused before the application sees it", async (asked, status) => {
    const seen = await through(asked);
    expect([seen.status, seen.given]).toEqual([status, null]);
    expect(seen.headers["x-request-id"]).toMatch(/^[0-9a-f-]{36}$/);
  });
});

describe("the policy of a page", () => {
  it("lets scripts run by a nonce that no two pages share, given to the application too", async () => {
    const [first, second] = [await through({ path: "/landing?x=1" }), await through({})];
    expect(first.given?.["x-utrimax-path"]).toBe("/landing");
    const nonce = String(first.given?.["x-nonce"]);
    expect(first.headers["content-security-policy"]).toContain(`'nonce-${nonce}'`);
    expect(first.given?.["content-security-policy"]).toBe(first.headers["content-security-policy"]);
    expect(second.given?.["x-nonce"]).not.toBe(nonce);
    const scripts = policyOf({ nonce: "n", dev: false, secure: true })
      .split("; ")
      .find((rule) => rule.startsWith("script-src"));
    expect(scripts).not.toContain("unsafe-inline");
    expect(scripts).not.toContain(" 'unsafe-eval'");
  });

  it("lets images come from the places that are named, and scripts not", () => {
    const images = origins("https://tiles.example  http://127.0.0.1:4200");
    const policy = policyOf({ nonce: "n", dev: false, secure: false, images }).split("; ");
    expect(policy).toContain("img-src 'self' data: blob: https://tiles.example http://127.0.0.1:4200");
    expect(policy.filter((rule) => rule.includes("tiles.example"))).toHaveLength(1);
    expect(origins(undefined)).toEqual([]);
    expect(policyOf({ nonce: "n", dev: false, secure: false })).toContain("img-src 'self' data: blob:;");
  });

  it.each(["*", "https:", "tiles.example", "https://tiles.example/", "https://a.example; script-src *"])(
    "does not start with %s for a place",
    (list) => expect(() => origins(list)).toThrow("BACKGROUND_ORIGINS"),
  );
});
