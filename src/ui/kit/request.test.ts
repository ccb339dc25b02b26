import { afterEach, describe, expect, it, vi } from "vitest";
import { send } from "./request";

afterEach(() => {
  vi.unstubAllGlobals();
});

/** The network as it may behave. */
function network(behave: () => Promise<Response>): void {
  vi.stubGlobal("fetch", vi.fn(behave));
}

describe("talking to the server", () => {
  it("hands on what it answers", async () => {
    network(async () => Response.json({ id: "7" }, { status: 201 }));
    expect(await send("POST", "/api/situations", {})).toEqual({ ok: true, value: { id: "7" } });
  });

  it("hands on each fault, and knows that trying again is of no use", async () => {
    const issues = [{ code: "x", path: "mass_kg", message: "Too heavy." }];
    network(async () => Response.json({ issues }, { status: 422 }));
    expect(await send("PUT", "/api/situations/1", {})).toEqual({ ok: false, away: false, issues });
  });

  it.each([503, 500])("counts %i as away, to be tried again", async (status) => {
    network(async () => new Response("<html>", { status }));
    expect(await send("GET", "/api/health")).toMatchObject({
      ok: false,
      away: true,
      issues: [{ message: `The server answered ${status}.` }],
    });
  });

  it("says so when nothing answers", async () => {
    network(async () => Promise.reject(new TypeError("failed")));
    expect(await send("GET", "/api/health")).toMatchObject({
      ok: false,
      away: true,
      issues: [{ code: "server_away" }],
    });
  });
});
