// The server against a real database, which the test command starts.
import { forgetShared, loadLibrary } from "./library";
import { exportAccount, importAccount } from "./account-archive";
import type { RowDataPacket } from "mysql2/promise";
import { afterAll, describe, expect, it } from "vitest";
import {
  type Account,
  LIBRARY_ACCOUNT,
  accountForCredentials,
  createGuest,
  createUser,
  forgetOldGuests,
} from "./accounts";
import { addAircraft, latestAircraft, listOwnAircraft, markAircraft, saveAircraft } from "./aircraft";
import { database, isDatabaseAway, transaction } from "./database";
import { demoSituation, loadDemoLibrary } from "./demo-library";
import { migrate } from "./migrate";
import { addSituation, listSituations, markSituation, saveSituation, situationsWithAircraft } from "./situations";
import { randomUUID } from "node:crypto";
import { copyOf } from "@/core/places/new-place";
import { isAerodrome } from "@/core/places/place";
import { readArchive } from "./archive";
import { IdTaken, addPlace, listPlaces, markPlace, savePlace } from "./places";
import { unpackElevations } from "./packed-terrain";
import { unreadableRows } from "./unreadable";
import { terrainElevations } from "./terrains";

const email = () => `test-${Math.random().toString(36).slice(2)}@example.org`;

afterAll(async () => {
  await database().execute("DELETE FROM accounts WHERE email LIKE 'test-%@example.org'");
  await database().end();
});

async function countOf(table: "aircraft" | "places" | "terrains"): Promise<number> {
  const [rows] = await database().execute<RowDataPacket[]>(`SELECT COUNT(*) AS n FROM ${table}`);
  return Number(rows[0].n);
}

/** An archive's file into an account. */
async function importText(account: Account, text: string) {
  const archive = await readArchive(text);
  return archive.ok ? importAccount(account, archive.value) : archive;
}

describe("schema and demo world", () => {
  it("migrating again runs nothing, at the same time neither", async () => {
    expect(await Promise.all([migrate(), migrate(), migrate()])).toEqual([[], [], []]);
  });

  it("loading the demo again changes nothing; changed files are loaded over the old ones", async () => {
    const tables = ["aircraft", "places", "terrains"] as const;
    const before = await Promise.all(tables.map(countOf));
    expect(await loadDemoLibrary()).toBe(false);
    await database().execute("UPDATE accounts SET preferences = '{}' WHERE id = ?", [LIBRARY_ACCOUNT]);
    expect(await loadDemoLibrary()).toBe(true);
    expect(await Promise.all(tables.map(countOf))).toEqual(before);
  });

  it("holds the whole Tarn Reach for everybody", async () => {
    const id = (await createUser({ email: email(), password: "a long enough one" })) ?? "";
    forgetShared();
    const { aircraft, places, terrains } = await loadLibrary(id);
    const documents = places.map(({ document }) => document);
    const aerodromes = documents.filter(isAerodrome);
    const sites = documents.flatMap((place) => (isAerodrome(place) ? [] : [place]));
    expect(aircraft.filter(({ shared }) => shared).map(({ document }) => document.name)).toEqual([
      "Alder S1",
      "Cedar J2",
      "Fir P1",
      "Hazel H2",
      "Hornbeam T2C",
      "Larch T2",
      "Osier G1",
      "Rowan R1",
      "Thorn V12",
    ]);
    expect(aerodromes.map(({ name }) => name)).toEqual([
      "Brannoc Strip",
      "Cape Orrin",
      "Lowen Pad",
      "Mossgarth",
      "Skerrow",
      "Tolvane",
    ]);
    expect(sites).toHaveLength(12);
    // What stands in an approach and what can hurt somebody come through the tables.
    const brannoc = aerodromes.find((aerodrome) => aerodrome.name === "Brannoc Strip");
    expect(brannoc?.runways[0].ends.map((end) => end.obstacle?.name)).toEqual(["spur", "mast"]);
    expect(aerodromes.find((aerodrome) => aerodrome.name === "Skerrow")?.runways[0].ends[0].obstacle).toBeNull();
    const orchard = sites.find((site) => site.name === "Orchard Road");
    expect(orchard?.hazards).toEqual(["power-lines", "people"]);
    expect(orchard?.strip.ends[0].obstacle).toMatchObject({ name: "power line", height_m: 11 });
    const [terrain] = terrains;
    const packed = await terrainElevations(id, terrain.id);
    const elevations = await unpackElevations(packed?.elevations ?? Buffer.alloc(0), terrain.frame);
    expect(elevations).toHaveLength(1001 * 1001);
    // The ridge of the main island.
    expect(elevations.reduce((highest, z) => Math.max(highest, z), 0)).toBeGreaterThan(1700);
  });
});

describe("accounts", () => {
  it("open with the right password alone, and an address is taken once", async () => {
    const credentials = { email: email(), password: "a long enough one" };
    const id = await createUser(credentials);
    expect(await accountForCredentials(credentials)).toBe(id);
    expect(await accountForCredentials({ ...credentials, password: "another long one" })).toBeNull();
    expect(await accountForCredentials({ ...credentials, email: email() })).toBeNull();
    expect(await createUser(credentials)).toBeNull();
    const [rows] = await database().execute<RowDataPacket[]>("SELECT password_hash FROM accounts WHERE id = ?", [id]);
    expect(String(rows[0].password_hash)).toMatch(/^\$argon2id\$/);
  });

  it("guests without a session are forgotten after a while, with their rows", async () => {
    const id = await transaction(createGuest);
    const situation = await addSituation(id, await demoSituation());
    await database().execute("UPDATE accounts SET created_at = NOW(3) - INTERVAL 90 DAY WHERE id = ?", [id]);
    await forgetOldGuests(database());
    const [rows] = await database().execute<RowDataPacket[]>("SELECT id FROM situations WHERE id = ?", [situation]);
    expect(rows).toHaveLength(0);
  });
});

describe("situations", () => {
  it("are saved, found again unchanged, deleted and brought back by their own account only", async () => {
    const [mine, theirs] = await Promise.all([
      createUser({ email: email(), password: "a long enough one" }),
      createUser({ email: email(), password: "a long enough one" }),
    ]);
    if (!mine || !theirs) throw new Error("expected two accounts");
    const document = await demoSituation();
    const id = await addSituation(mine, document);
    expect((await listSituations(mine)).map((situation) => situation.document)).toEqual([document]);
    expect(await listSituations(theirs)).toEqual([]);
    expect(await saveSituation(theirs, id, { ...document, name: "Theirs" }, 1)).toEqual({ state: "missing" });
    expect(await markSituation(theirs, id, true)).toBe(false);
    // Saving what is there already counts as saved.
    expect(await saveSituation(mine, id, document, 1)).toEqual({ state: "saved", version: 2 });
    expect(await markSituation(mine, id, true)).toBe(true);
    expect(await listSituations(mine)).toEqual([]);
    expect(await saveSituation(mine, id, document, 2)).toEqual({ state: "missing" });
    expect(await markSituation(mine, id, false)).toBe(true);
    expect(await listSituations(mine)).toHaveLength(1);
  });
});

describe("database", () => {
  it("rolls back what does not come to its end", async () => {
    const address = email();
    await expect(
      transaction(async (connection) => {
        await connection.execute(
          "INSERT INTO accounts (id, kind, email, preferences) VALUES (UUID(), 'user', ?, '{}')",
          [address],
        );
        throw new Error("stopped half-way");
      }),
    ).rejects.toThrow("stopped half-way");
    const [rows] = await database().execute<RowDataPacket[]>("SELECT id FROM accounts WHERE email = ?", [address]);
    expect(rows).toHaveLength(0);
  });

  it("tells a database that is away from a fault of ours", () => {
    expect(isDatabaseAway({ code: "ECONNREFUSED" })).toBe(true);
    expect(isDatabaseAway({ code: "ER_PARSE_ERROR" })).toBe(false);
    expect(isDatabaseAway(null)).toBe(false);
  });
});

describe("aircraft", () => {
  it("are changed, deleted and brought back by their own account alone; the library's by nobody", async () => {
    const [mine, theirs] = await Promise.all([
      createUser({ email: email(), password: "a long enough one" }),
      createUser({ email: email(), password: "a long enough one" }),
    ]);
    if (!mine || !theirs) throw new Error("accounts");
    const [library] = await listOwnAircraft(LIBRARY_ACCOUNT);
    const id = await addAircraft(mine, { ...library.document, name: "Own" });
    const renamed = { ...library.document, name: "Own, renamed" };
    expect([
      (await saveAircraft(theirs, id, renamed, 1)).state,
      (await saveAircraft(mine, library.id, renamed, 1)).state,
      await markAircraft(theirs, id, true),
      await markAircraft(mine, library.id, true),
    ]).toEqual(["missing", "missing", false, false]);
    expect(await saveAircraft(mine, id, renamed, 1)).toEqual({ state: "saved", version: 2 });
    // Unchanged is saved too.
    expect(await saveAircraft(mine, id, renamed, 2)).toEqual({ state: "saved", version: 3 });
    expect((await listOwnAircraft(mine)).map((aircraft) => aircraft.document.name)).toEqual(["Own, renamed"]);
    expect(await markAircraft(mine, id, true)).toBe(true);
    expect(await listOwnAircraft(mine)).toEqual([]);
    expect(await saveAircraft(mine, id, renamed, 3)).toEqual({ state: "missing" });
    expect(await markAircraft(mine, id, false)).toBe(true);
    expect((await latestAircraft(mine, null)).some((aircraft) => aircraft.id === id)).toBe(true);
  });

  it("know which situations fly them, and situations of version 1 are read as version 2", async () => {
    const account = await createUser({ email: email(), password: "a long enough one" });
    if (!account) throw new Error("account");
    const document = await demoSituation();
    await addSituation(account, { ...document, name: "Uses it" });
    expect(await situationsWithAircraft(account, document.aircraftId)).toEqual(["Uses it"]);
    expect(await situationsWithAircraft(account, "none")).toEqual([]);
    await database().execute(
      "UPDATE situations SET document = JSON_REMOVE(JSON_SET(document, '$.version', 1), '$.departure') WHERE account_id = ?",
      [account],
    );
    expect((await listSituations(account))[0].document).toEqual({ ...document, name: "Uses it" });
  });
});

describe("places", () => {
  it("are one's own: added once, saved over their version, deleted and brought back", async () => {
    const account = (await createUser({ email: email(), password: "a long enough one" })) ?? "";
    const other = (await createUser({ email: email(), password: "a long enough one" })) ?? "";
    const [{ document: lent }] = await listPlaces(LIBRARY_ACCOUNT);
    const place = { ...copyOf(lent, randomUUID), name: "Home" };
    const add = (owner: string, document: typeof place) =>
      transaction((connection) => addPlace(owner, document, connection));
    for (const _ of [1, 2]) expect(await add(account, place)).toMatchObject({ version: 1, document: place });
    // The id of somebody else's place is nobody's to take.
    await expect(add(other, { ...place, name: "Mine" })).rejects.toThrow(IdTaken);
    expect(await listPlaces(other)).toEqual([]);
    expect(await savePlace(account, { ...place, name: "Homer" }, 1)).toEqual({ state: "saved", version: 2 });
    expect(await savePlace(account, { ...place, name: "Late" }, 1)).toMatchObject({
      state: "changed",
      stored: { version: 2, document: { name: "Homer" } },
    });
    expect(await savePlace(other, place, 2)).toEqual({ state: "missing" });
    expect(await savePlace(account, lent, 1)).toEqual({ state: "missing" });
    expect(await markPlace(other, place.id, true)).toBe(false);
    expect(await markPlace(account, place.id, true)).toBe(true);
    expect(await listPlaces(account)).toEqual([]);
    expect(await markPlace(account, place.id, false)).toBe(true);
    expect((await listPlaces(account)).map(({ document }) => document.name)).toEqual(["Homer"]);
    // What was saved since is not undone by one that comes late, and comes back if it was deleted.
    await markPlace(account, place.id, true);
    expect(await add(account, place)).toMatchObject({ version: 2, document: { name: "Homer" } });
    expect((await listPlaces(account)).map(({ document }) => document.name)).toEqual(["Homer"]);
  });

  it("added once more with a change, because the first answer was lost, are as they came last", async () => {
    const account = (await createUser({ email: email(), password: "a long enough one" })) ?? "";
    const [{ document: lent }] = await listPlaces(LIBRARY_ACCOUNT);
    const place = copyOf(lent, randomUUID);
    for (const name of ["First", "Changed meanwhile"])
      await transaction((connection) => addPlace(account, { ...place, name }, connection));
    expect((await listPlaces(account)).map(({ document, version }) => [document.name, version])).toEqual([
      ["Changed meanwhile", 1],
    ]);
  });

  it("an export of version 2, with aerodromes and sites, comes in as places", async () => {
    const account = (await createUser({ email: email(), password: "a long enough one" })) ?? "";
    const old = (await listPlaces(LIBRARY_ACCOUNT)).map(({ document }) => {
      const { schema: _s, version: _v, lookedAt: _a, lookedBy: _b, source: _c, ...rest } = document;
      return JSON.parse(
        JSON.stringify(rest, (key, value) =>
          ["usable", "declared", "circuit", "outline"].includes(key) ? undefined : value,
        ),
      );
    });
    const archive = {
      schema: "utrimax/account",
      version: 2,
      preferences: {},
      aircraft: [],
      aerodromes: old.filter(({ runways }) => runways),
      sites: old.filter(({ strip }) => strip),
      situations: [],
      terrains: [],
      unreadable: [],
    };
    const user = { id: account, kind: "user", email: "", preferences: {} } as const;
    expect(await importText(user, JSON.stringify(archive))).toMatchObject({ ok: true, value: { places: 18 } });
    const names = (list: Awaited<ReturnType<typeof listPlaces>>) => list.map(({ document }) => document.name);
    expect(names(await listPlaces(account))).toEqual(names(await listPlaces(LIBRARY_ACCOUNT)));
  });
});

describe("rows that cannot be read", () => {
  it("are set aside with the reason, and the rest of the account works", async () => {
    const account = (await createUser({ email: email(), password: "a long enough one" })) ?? "";
    const [library] = await listOwnAircraft(LIBRARY_ACCOUNT);
    const bad = await addAircraft(account, { ...library.document, name: "Broken" });
    await addAircraft(account, { ...library.document, name: "Sound" });
    const situation = await addSituation(account, await demoSituation());
    await addSituation(account, { ...(await demoSituation()), name: "Sound" });
    await database().execute(
      "UPDATE aircraft SET document = JSON_SET(document, '$.mass.maximum_kg', -1) WHERE id = ?",
      [bad],
    );
    await database().execute("UPDATE situations SET document = '[]' WHERE id = ?", [situation]);

    const { aircraft } = await loadLibrary(account);
    const unreadable = await unreadableRows(account);
    expect(aircraft.filter(({ shared }) => !shared).map(({ document }) => document.name)).toEqual(["Sound"]);
    expect(unreadable).toMatchObject([
      { kind: "aircraft", id: bad, name: "Broken" },
      { kind: "situation", id: situation },
    ]);
    // What was found readable is not read again; what cannot be read is told again.
    expect(await unreadableRows(account)).toEqual(unreadable);
    expect(unreadable[0].reason).toContain("mass.maximum_kg");
    expect(JSON.parse(String(unreadable[0].stored.document)).mass.maximum_kg).toBe(-1);
    expect((await listSituations(account)).map(({ document }) => document.name)).toEqual(["Sound"]);

    // They leave with everything else, and an import of that brings the rest.
    const archive = await exportAccount({ id: account, kind: "user", email: "", preferences: {} });
    expect(archive.unreadable.map(({ kind, id }) => [kind, id]).sort()).toEqual([
      ["aircraft", bad],
      ["situation", situation],
    ]);
    const other = (await createUser({ email: email(), password: "a long enough one" })) ?? "";
    expect(
      await importText({ id: other, kind: "user", email: "", preferences: {} }, JSON.stringify(archive)),
    ).toMatchObject({ ok: true, value: { aircraft: 1, situations: 1 } });
  });

  it("an export of version 1, with an aircraft of version 2, still comes in", async () => {
    const account = (await createUser({ email: email(), password: "a long enough one" })) ?? "";
    const [library] = await listOwnAircraft(LIBRARY_ACCOUNT);
    const { causeFlow: _flow, ...document } = library.document;
    const old = {
      schema: "utrimax/account",
      version: 1,
      preferences: {},
      aircraft: [{ id: "a", document: { ...document, version: 2 } }],
      aerodromes: [],
      sites: [],
      situations: [],
      terrains: [],
    };
    const user = { id: account, kind: "user", email: "", preferences: {} } as const;
    expect(await importText(user, JSON.stringify(old))).toMatchObject({ ok: true, value: { aircraft: 1 } });
    // How it moves was not said then.
    expect((await listOwnAircraft(account))[0].document).toEqual({ ...library.document, dynamics: null });
  });

  it("of the library are left out, and everybody else's work goes on", async () => {
    await database().execute("UPDATE places SET document = '{}' WHERE name = 'Orchard Road'");
    const account = await transaction(createGuest);
    forgetShared();
    expect([(await loadLibrary(account)).places.length, await unreadableRows(account)]).toEqual([17, []]);
    await database().execute("UPDATE accounts SET preferences = '{}' WHERE id = ?", [LIBRARY_ACCOUNT]);
    await loadDemoLibrary();
    forgetShared();
    expect((await loadLibrary(account)).places).toHaveLength(18);
  });
});
