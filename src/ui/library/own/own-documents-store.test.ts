import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { singleForcedLanding } from "@/core/procedure/library/single";
import { useProcedures } from "./own-documents";

const requests: { method: string; url: string; ifMatch: string | null }[] = [];
let respond: (method: string, url: string) => Response = () => new Response("{}");
const json = (value: unknown, status = 200) => new Response(JSON.stringify(value), { status });

beforeEach(() => {
  requests.length = 0;
  useProcedures.setState({ own: null, draft: null, saved: null, past: [], future: [] });
  vi.stubGlobal("fetch", async (url: string, init: { method: string; headers: Record<string, string> }) => {
    requests.push({ method: init.method, url, ifMatch: init.headers["if-match"] ?? null });
    return respond(init.method, url);
  });
});
afterEach(() => vi.unstubAllGlobals());

const mine = { ...singleForcedLanding, id: "own-1", name: "Mine" };
const renamed = (name: string) => ({ ...mine, name });
const now = () => useProcedures.getState();

describe("a procedure that is edited", () => {
  it("is taken back step by step and done again; a change after that forgets what was taken back", () => {
    now().edit(mine, null);
    now().change(renamed("A"));
    now().change(renamed("B"));
    now().undo();
    expect(now().draft?.name).toBe("A");
    now().undo();
    now().undo();
    expect(now().draft?.name).toBe("Mine");
    now().redo();
    expect(now().draft?.name).toBe("A");
    now().change(renamed("C"));
    now().redo();
    expect(now().draft?.name).toBe("C");
    expect(now().past.map(({ name }) => name)).toEqual(["Mine", "A"]);
  });

  it("is added the first time and saved over its version after that", async () => {
    respond = (method) =>
      method === "GET" ? json({ documents: [] }) : json({ id: mine.id, version: method === "POST" ? 1 : 2 });
    now().edit(mine, null);
    await now().save();
    expect(now().saved).toEqual({ id: "own-1", version: 1, document: mine });
    now().change(renamed("B"));
    await now().save();
    expect(requests.filter(({ method }) => method !== "GET")).toEqual([
      { method: "POST", url: "/api/procedures", ifMatch: null },
      { method: "PUT", url: "/api/procedures/own-1", ifMatch: '"1"' },
    ]);
    expect(now().saved?.version).toBe(2);
  });

  it("stays as it is when it is not valid, or the server does not take it", async () => {
    respond = () => json({ issues: [{ code: "changed_meanwhile", path: "", message: "Saved elsewhere." }] }, 412);
    now().edit(renamed(" "), null);
    await now().save();
    expect(requests).toEqual([]);
    now().change(renamed("B"));
    await now().save();
    expect(now()).toMatchObject({ draft: { name: "B" }, saved: null });
  });
});
