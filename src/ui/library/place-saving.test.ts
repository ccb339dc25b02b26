// What becomes of places when the server takes them, refuses them, has others, or does not answer.
import { beforeEach, describe, expect, it, vi } from "vitest";
import { demoPlaces } from "../../../demo/read-demo";
import { copyOf } from "@/core/places/new-place";
import type { Place } from "@/core/places/place";
import { changesToKeep, placeChanges, resumeChanges } from "./place-changes";
import { savePlaces } from "./place-saving";
import { beginPlaces, usePlacesStore } from "./places-store";

vi.mock("@/ui/kit/tabs", () => ({ tellTabs: () => {} }));
const told: string[] = [];
vi.mock("sonner", () => ({ toast: (text: string) => told.push(text) }));

interface Asked {
  readonly method: string;
  readonly url: string;
  readonly body: { readonly places?: readonly Place[] };
}
type Reply = readonly [status: number, body: object];

const [first, second] = demoPlaces();
const stored = (document: Place, version = 1) => ({ id: document.id, shared: false, version, document });
const issue = (code: string, path = "") => ({ issues: [{ code, path, message: `because of ${code}` }] });
const { put, remove } = usePlacesStore.getState();
const names = () => usePlacesStore.getState().places.map(({ name }) => name);
const left = () => placeChanges(usePlacesStore.getState()).map(({ kind }) => kind);

let asked: Asked[] = [];
/** Answers as told, one after the other, and with the last from then on. */
function server(...replies: Reply[]): void {
  asked = [];
  vi.stubGlobal("fetch", (url: string, { method, body }: { method: string; body?: string }) => {
    asked.push({ method, url, body: body ? JSON.parse(body) : {} });
    const [status, answer] = replies[Math.min(asked.length, replies.length) - 1];
    return status === 0
      ? Promise.reject(new Error("no network"))
      : Promise.resolve(new Response(JSON.stringify(answer), { status }));
  });
}

beforeEach(() => {
  beginPlaces([stored(first, 3)]);
  told.length = 0;
});

describe("saving places", () => {
  it("sends no more at once than the server takes, and all in the end", async () => {
    server([201, { saved: [] }]);
    put(...Array.from({ length: 230 }, () => copyOf(second, () => crypto.randomUUID())));
    await savePlaces();
    expect(asked.map(({ body }) => body.places?.length)).toEqual([100, 100, 30]);
    expect(left()).toEqual([]);
  });

  it("a server that is away is tried again, with what was changed meanwhile", async () => {
    server([0, {}], [201, { saved: [] }]);
    put(second);
    await savePlaces();
    expect([usePlacesStore.getState().link, left()]).toEqual(["away", ["add"]]);
    put({ ...second, name: "Changed meanwhile" });
    await savePlaces();
    expect([usePlacesStore.getState().link, left()]).toEqual(["idle", []]);
    expect(asked[1].body.places?.[0].name).toBe("Changed meanwhile");
  });

  it("of many only those at fault are refused, and all are told in one message", async () => {
    const others = [1, 2, 3].map(() => copyOf(second, () => crypto.randomUUID()));
    server([422, issue("place_fault", "places.1.runways")], [201, { saved: [] }]);
    put(...others);
    await savePlaces();
    expect(asked.map(({ body }) => body.places?.map(({ id }) => id))).toEqual([
      others.map(({ id }) => id),
      [others[0].id, others[2].id],
    ]);
    expect([left(), told]).toEqual([["add"], [`${second.name} not stored: because of place_fault`]]);
    server([403, issue("account_full")]);
    told.length = 0;
    put(...[1, 2, 3].map(() => copyOf(second, () => crypto.randomUUID())));
    await savePlaces();
    expect(told).toEqual(["3 places not stored: because of account_full"]);
    // It is not asked for again and again: only a change of them makes it worth it.
    expect(asked).toHaveLength(1);
    await savePlaces();
    expect(asked).toHaveLength(1);
  });

  it("what somebody else has saved stands, mine stays beside it", async () => {
    server([412, { issues: [], stored: stored({ ...first, name: "Theirs" }, 7) }], [201, { saved: [] }]);
    put({ ...first, name: "Mine" });
    await savePlaces();
    expect(names()).toEqual(["Theirs", "Mine (mine)"]);
    expect(left()).toEqual([]);
    // So it does for one that was thought to be new.
    server([201, { saved: [stored({ ...second, name: "Theirs too" }, 4)] }], [201, { saved: [] }]);
    put({ ...second, name: "New" });
    await savePlaces();
    expect(names().slice(2)).toEqual(["Theirs too", "New (mine)"]);
  });

  it("one that is gone there is added again; a deletion that is refused is none", async () => {
    server([404, issue("no_such_place")], [201, { saved: [] }]);
    put({ ...first, name: "Still here" });
    await savePlaces();
    expect(asked.map(({ method }) => method)).toEqual(["PUT", "POST"]);
    server([403, issue("cross_origin")]);
    remove(first.id);
    await savePlaces();
    expect(names()).toEqual(["Still here"]);
    expect(told.at(-1)).toContain("is not deleted");
    server([200, {}]);
    remove(first.id);
    await savePlaces();
    expect([names(), left()]).toEqual([[], []]);
    server([403, issue("account_full")]);
    put({ ...first, name: "Still here" });
    await savePlaces();
    // Without room for it, it is not taken for stored.
    expect([asked.length, left()]).toEqual([1, ["restore"]]);
  });
});

describe("what a browser keeps", () => {
  it("is what is not stored, and comes back over what the server lists by then", () => {
    const third = { ...second, id: "third", name: "Third" };
    beginPlaces([stored(first, 3), stored(second), stored(third)]);
    put({ ...first, name: "Mine" }, { ...second, id: "new", name: "New" });
    remove(third.id);
    const kept = changesToKeep();
    expect(kept?.places.map(({ name }) => name)).toEqual(["Mine", "New"]);
    expect(kept?.known.map(([id]) => id)).toEqual([first.id, "third"]);
    beginPlaces([stored({ ...first, name: "Theirs" }, 5), stored({ ...second, name: "Newer" }, 2), stored(third)]);
    if (kept) resumeChanges(JSON.parse(JSON.stringify(kept)));
    expect(names()).toEqual(["Mine", "Newer", "New"]);
    expect(
      placeChanges(usePlacesStore.getState()).map((change) => [
        change.kind,
        "version" in change ? change.version : null,
      ]),
    ).toEqual([
      ["save", 3],
      ["add", null],
      ["delete", null],
    ]);
  });

  it("is nothing when all is stored", () => {
    expect(changesToKeep()).toBeNull();
  });
});
