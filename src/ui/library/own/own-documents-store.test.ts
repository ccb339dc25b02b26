import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { singleForcedLanding } from "@/core/procedure/library/single";
import { Procedure } from "@/core/procedure/procedure";
import { keptAs } from "@/ui/kit/kept";
import { useProcedures } from "./own-documents";
import { ownDocumentsStore } from "./own-documents-store";

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

describe("what the browser keeps", () => {
  const store = () => ownDocumentsStore("/api/procedures", Procedure, "kept-procedures");
  const shelf = new Map<string, string>();
  beforeEach(() => {
    shelf.clear();
    vi.stubGlobal("localStorage", {
      getItem: (name: string) => shelf.get(name) ?? null,
      setItem: (name: string, value: string) => void shelf.set(name, value),
    });
  });
  const away = () => new Response("{}", { status: 503 });

  it("is there where the server is not, and gives way to what the server has", async () => {
    respond = () => json({ documents: [{ id: mine.id, version: 3, document: mine }] });
    await store().getState().load();
    respond = away;
    const later = store();
    await later.getState().load();
    expect(later.getState().own).toEqual([{ id: mine.id, version: 3, document: mine }]);
    respond = () => json({ documents: [] });
    await later.getState().load();
    expect(later.getState().own).toEqual([]);
  });

  it("that is damaged is left out, and nothing of another kind is kept", async () => {
    respond = away;
    for (const text of ["{", "7", JSON.stringify([{ id: "x", version: 1, document: { name: "no procedure" } }])]) {
      shelf.set(keptAs("kept-procedures"), text);
      const one = store();
      await one.getState().load();
      expect(one.getState().own).toEqual([]);
    }
    respond = () => json({ documents: [{ id: mine.id, version: 3, document: mine }] });
    shelf.clear();
    await ownDocumentsStore("/api/procedures", Procedure).getState().load();
    expect(shelf.size).toBe(0);
  });
});
