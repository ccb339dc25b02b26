// The server from outside: validation, limits, and that no account reaches another's rows.
import { randomUUID } from "node:crypto";
import { type APIRequestContext, expect } from "@playwright/test";
import { singleInCruise } from "../src/core/procedure/library/single";
import { demoTakeOffQuestion } from "../demo/demo-take-off";
import { demoAircraft, demoPlaces, demoSituation } from "../demo/read-demo";
import { landingEnds } from "../src/core/landing/landing-end";
import { reachQuestion } from "../src/core/landing/reach-question";
import { newAccount, test } from "./demo";

interface Stored {
  id: string;
  version: number;
  document: Record<string, unknown> & { name: string };
}

async function situations(request: APIRequestContext): Promise<Stored[]> {
  const { situations: listed } = await (await request.get("/api/situations")).json();
  return Promise.all(listed.map(async ({ id }: { id: string }) => (await request.get(`/api/situations/${id}`)).json()));
}

/** What a save over a version is sent with. */
const over = (version: number, data: object) => ({ data, headers: { "if-match": `"${version}"` } });

test("one account cannot read or write another's rows through any route", async ({ playwright, baseURL }) => {
  const mine = await playwright.request.newContext({ baseURL });
  const theirs = await playwright.request.newContext({ baseURL });
  const nobody = await playwright.request.newContext({ baseURL });
  await newAccount(mine);
  await newAccount(theirs);
  const [secret] = await situations(theirs);
  const aircraft = (await (await theirs.get("/api/aircraft")).json()).aircraft[0].document;
  const ownAircraft = (
    await (await theirs.post("/api/aircraft", { data: { ...aircraft, name: "Secret plane" } })).json()
  ).id;
  const grid = "ncols 2\nnrows 2\nxllcorner 0\nyllcorner 0\ncellsize 100\n1 2\n3 4\n";
  const terrain = (
    await (await theirs.post("/api/terrains?name=Secret&latitude_deg=-47&longitude_deg=-131", { data: grid })).json()
  ).id;
  expect(terrain).toBeTruthy();

  // Reading.
  expect((await situations(mine)).map((situation) => situation.id)).not.toContain(secret.id);
  expect(await (await mine.get("/api/aircraft")).text()).not.toContain("Secret plane");
  expect((await mine.put(`/api/aircraft/${ownAircraft}`, over(1, aircraft))).status()).toBe(404);
  expect((await mine.patch(`/api/aircraft/${ownAircraft}`, { data: { deleted: true } })).status()).toBe(404);
  expect((await theirs.put(`/api/aircraft/${ownAircraft}`, over(1, { ...aircraft, name: "" }))).status()).toBe(422);
  expect((await mine.get(`/api/terrains/${terrain}`)).status()).toBe(404);
  expect(await (await mine.get("/api/terrains")).text()).not.toContain(terrain);
  expect(await (await mine.get("/api/account/export")).text()).not.toContain("Secret");
  expect(await (await mine.get("/landing")).text()).not.toContain("Secret plane");
  // Writing.
  const own = (await situations(mine))[0].document;
  expect((await mine.put(`/api/situations/${secret.id}`, over(1, { ...own, name: "Taken over" }))).status()).toBe(404);
  expect((await mine.get(`/api/situations/${secret.id}`)).status()).toBe(404);
  expect((await mine.get(`/api/aircraft/${ownAircraft}`)).status()).toBe(404);
  expect((await mine.patch(`/api/situations/${secret.id}`, { data: { deleted: true } })).status()).toBe(404);
  expect((await mine.delete(`/api/terrains/${terrain}`)).status()).toBe(404);
  // Referring to.
  expect((await mine.post("/api/situations", { data: { ...own, aircraftId: ownAircraft } })).status()).toBe(422);
  expect(
    (
      await mine.put(`/api/situations/${(await situations(mine))[0].id}`, over(1, { ...own, aircraftId: ownAircraft }))
    ).status(),
  ).toBe(422);
  expect((await mine.post("/api/situations", { data: { ...own, terrainId: terrain } })).status()).toBe(422);
  // The library is nobody's to change.
  expect((await mine.delete("/api/terrains/tarn-reach")).status()).toBe(404);
  // What was theirs is as it was.
  expect((await situations(theirs))[0].document.name).toBe(secret.document.name);
  expect((await theirs.get(`/api/terrains/${terrain}`)).status()).toBe(200);
  // Without a session nothing is to be had.
  for (const path of [
    "/api/situations",
    `/api/situations/${secret.id}`,
    "/api/account/unreadable",
    "/api/aircraft",
    "/api/terrains",
    "/api/terrains/tarn-reach",
    "/api/account/export",
  ])
    expect((await nobody.get(path)).status(), path).toBe(401);
  expect((await nobody.post("/api/account/import", { data: {} })).status()).toBe(401);
  for (const context of [mine, theirs, nobody]) await context.dispose();
});

test("everything of an account goes out as one file and into an empty one with nothing lost", async ({
  playwright,
  baseURL,
}) => {
  const from = await playwright.request.newContext({ baseURL });
  const into = await playwright.request.newContext({ baseURL });
  await newAccount(from);
  await newAccount(into);
  const aircraft = (await (await from.get("/api/aircraft")).json()).aircraft[0].document;
  const aircraftId = (await (await from.post("/api/aircraft", { data: { ...aircraft, name: "My own" } })).json()).id;
  const terrainId = (
    await (
      await from.post("/api/terrains?name=Mine&latitude_deg=-47&longitude_deg=-131", {
        data: "ncols 2\nnrows 2\nxllcorner 0\nyllcorner 0\ncellsize 100\n1 2\n3 4\n",
      })
    ).json()
  ).id;
  const [first] = await situations(from);
  await from.put(
    `/api/situations/${first.id}`,
    over(first.version, { ...first.document, name: "Own aircraft, own ground", aircraftId, terrainId }),
  );
  for (const situation of await situations(into))
    await into.patch(`/api/situations/${situation.id}`, { data: { deleted: true } });

  const archive = await (await from.get("/api/account/export")).json();
  const imported = await into.post("/api/account/import", { data: archive });
  expect(imported.status()).toBe(201);
  expect(await imported.json()).toEqual({ aircraft: 1, places: 0, situations: 1, terrains: 1 });
  const again = await (await into.get("/api/account/export")).json();
  // Ids are new; everything else is the same, and references point to the new rows.
  const plain = (value: typeof archive) =>
    JSON.parse(JSON.stringify(value), (key, entry) => (["id", "aircraftId", "terrainId"].includes(key) ? "-" : entry));
  expect(plain(again)).toEqual(plain(archive));
  expect(again.situations[0].document.aircraftId).toBe(again.aircraft[0].id);
  expect(again.situations[0].document.terrainId).toBe(again.terrains[0].id);

  // Damaged or later: refused whole.
  const count = (await situations(into)).length;
  for (const damaged of [
    { ...archive, version: 99 },
    { ...archive, situations: [{ id: "x", document: { ...archive.situations[0].document, mass_kg: -1 } }] },
    { ...archive, terrains: [{ ...archive.terrains[0], elevations: "AAAA" }] },
    "nonsense",
  ]) {
    const answer = await into.post("/api/account/import", { data: damaged });
    expect([400, 422]).toContain(answer.status());
    expect((await answer.json()).issues[0].message.length).toBeGreaterThan(10);
  }
  expect((await situations(into)).length).toBe(count);
  await from.dispose();
  await into.dispose();
});

test("a save over what was saved meanwhile is refused with both, and the same save twice is one", async ({
  playwright,
  baseURL,
}) => {
  const request = await playwright.request.newContext({ baseURL });
  await newAccount(request);
  const [{ id, version, document }] = await situations(request);
  const url = `/api/situations/${id}`;
  expect((await request.put(url, { data: document })).status()).toBe(428);
  const mine = { ...document, name: "Mine" };
  const saved = await request.put(url, over(version, mine));
  expect([saved.status(), saved.headers().etag]).toEqual([200, `"${version + 1}"`]);
  // The answer was lost on its way: the program sends it again.
  expect(await (await request.put(url, over(version, mine))).json()).toEqual({ version: version + 1 });
  const late = await request.put(url, over(version, { ...document, name: "Theirs" }));
  expect(late.status()).toBe(412);
  expect((await late.json()).stored).toMatchObject({ id, version: version + 1, document: { name: "Mine" } });
  expect((await situations(request))[0].document.name).toBe("Mine");
  await request.dispose();
});

test("what no page asks for is refused, whatever the address or method, and nothing is kept by the browser", async ({
  playwright,
  baseURL,
}) => {
  const request = await playwright.request.newContext({ baseURL });
  await newAccount(request);
  expect((await request.fetch("/", { method: "TRACE" })).status()).toBe(405);
  expect((await request.get("/%ff")).status()).toBe(400);
  expect((await request.get("/no-such-page")).status()).toBe(404);
  expect((await request.get("/api/no-such-route")).status()).toBe(404);
  expect((await request.get("/api/situations?after=yesterday")).status()).toBe(422);
  const elsewhere = { headers: { "sec-fetch-site": "cross-site" } };
  expect((await request.post("/api/demo", elsewhere)).status()).toBe(403);
  const list = await request.get("/api/situations");
  expect(list.headers()["cache-control"]).toBe("no-store");
  expect(list.headers()["x-request-id"]).toMatch(/^[0-9a-f-]{36}$/);
  const policy = (await request.get("/landing")).headers()["content-security-policy"];
  expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic' 'wasm-unsafe-eval';/);
  // Preferences are a few words, not a store.
  const many = Object.fromEntries(Array.from({ length: 100 }, (_, i) => [`k${i}`, "x"]));
  expect((await request.put("/api/preferences", { data: { units: many } })).status()).toBe(422);
  expect((await request.put("/api/preferences", { data: { units: { speed: "furlongs" } } })).status()).toBe(422);
  await request.dispose();
});

test("sign in, wrong password, taken address, sign out", async ({ playwright, baseURL }) => {
  const request = await playwright.request.newContext({ baseURL });
  const email = await newAccount(request);
  const cookie = (await request.storageState()).cookies.find((candidate) => candidate.name === "utrimax_session");
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: "Lax" });
  expect((await request.delete("/api/session")).status()).toBe(200);
  expect((await request.get("/api/situations")).status()).toBe(401);
  expect((await request.post("/api/session", { data: { email, password: "not the right one" } })).status()).toBe(401);
  expect((await request.post("/api/accounts", { data: { email, password: "a long enough one" } })).status()).toBe(409);
  expect(
    (
      await request.post("/api/session", { data: { email: email.toUpperCase(), password: "a long enough one" } })
    ).status(),
  ).toBe(200);
  expect((await request.get("/api/situations")).status()).toBe(200);
  expect((await request.post("/api/accounts", { data: { email: "no address", password: "short" } })).status()).toBe(
    422,
  );
  // A page of another site cannot act in the visitor's name.
  expect((await request.post("/api/demo", { headers: { origin: "https://elsewhere.example" } })).status()).toBe(403);
  await request.dispose();
});

test("calculations answer with working, and name each fault with its path", async ({ request }) => {
  const right = await request.post("/api/calc/atmosphere", { data: { altitude_m: 1524, deviation_K: 19.9 } });
  expect(right.status()).toBe(200);
  const body = await right.json();
  expect(body.working.length).toBeGreaterThan(3);
  const wrong = await request.post("/api/calc/atmosphere", { data: { altitude_m: 99_000, qnh_Pa: 5, extra: 1 } });
  expect(wrong.status()).toBe(422);
  expect((await wrong.json()).issues.map((issue: { path: string }) => issue.path).sort()).toEqual([
    "",
    "altitude_m",
    "qnh_Pa",
  ]);
  expect((await request.post("/api/calc/nothing", { data: {} })).status()).toBe(404);
  expect(
    (
      await request.post("/api/calc/atmosphere", {
        data: Buffer.from("{"),
        headers: { "content-type": "application/json" },
      })
    ).status(),
  ).toBe(400);
  const schema = await (await request.get("/api/calc/path")).json();
  expect(schema.input.properties.mass_kg).toBeTruthy();
});

test("one engine, take-off and restart by program: figures with working, faults with their paths", async ({
  request,
}) => {
  const air = { qnh_Pa: 101_325, deviation_K: 0 };
  const larch = demoAircraft("larch-t2");
  const asked = {
    aircraft: larch,
    mass_kg: 1725,
    centreOfGravity: 1,
    altitude_m: 0,
    air,
    flap: 0,
    gearDown: false,
    items: [],
    deadPropeller: "windmilling",
    failed: "left",
  };
  const post = async (name: string, data: object) => {
    const answer = await request.post(`/api/calc/${name}`, { data });
    return { status: answer.status(), body: await answer.json() };
  };
  const control = await post("vmca", { ...asked, bank_rad: (5 * Math.PI) / 180 });
  // 62.88 KEAS, as the core's own cross-check has it.
  expect(control.body.eas_mps / 0.514444).toBeCloseTo(62.88, 1);
  const zero = await post("zero-thrust", { ...asked, eas_mps: 43 });
  expect(zero.body.manifold_Pa / 3386.389).toBeGreaterThan(9);
  const stop = await post("accelerate", demoTakeOffQuestion({ mass_kg: 1600 }));
  expect(stop.body.stop_m).toBeGreaterThan(400);
  expect(stop.body.working.length).toBeGreaterThan(10);
  const jet = await post("segments", {
    aircraft: demoAircraft("cedar-j2"),
    mass_kg: 46_000,
    altitude_m: 2400,
    air: { ...air, deviation_K: 20 },
  });
  expect(jet.body.limit.binding).toBe("second");
  const faults: readonly [string, object, number, string][] = [
    ["vmca", { ...asked, bank_rad: 1 }, 422, "bank_rad"],
    ["zero-thrust", { ...asked, eas_mps: 5 }, 422, "eas_mps"],
    ["accelerate", { ...demoTakeOffQuestion(), mass_kg: 9000 }, 422, "mass_kg"],
    ["segments", { aircraft: larch, mass_kg: 1600, altitude_m: 0, air }, 422, "aircraft"],
    [
      "relight",
      {
        aircraft: larch,
        mass_kg: 1600,
        configuration: { propeller: "windmilling", flap: 0, gearDown: false, slip: 0, items: [] },
        air,
        altitude_m: 3000,
        commit_m: 600,
        ground_m: 0,
        chance: 2,
      },
      422,
      "chance",
    ],
  ];
  for (const [name, data, status, path] of faults) {
    const answer = await post(name, data);
    expect([answer.status, answer.body.issues[0].path], name).toEqual([status, path]);
  }
});

test("the landing by program: a site without length, a swell of period 0, a commit height below the ground are refused with the reason", async ({
  request,
}) => {
  const situation = demoSituation();
  const alder = demoAircraft("alder-s1");
  const places = demoPlaces();
  const question = reachQuestion(situation, alder, landingEnds(places).slice(0, 6));
  const { configuration, air, day } = situation;
  const post = async (name: string, data: object) => {
    const answer = await request.post(`/api/calc/${name}`, { data });
    return { status: answer.status(), body: await answer.json() };
  };
  const ranked = await post("sites", { ...question, day });
  expect(ranked.body.sites.length).toBeGreaterThan(2);
  expect(ranked.body.working.length).toBeGreaterThan(5);
  const dip = { aircraft: alder, mass_kg: 1000, configuration, air, windFrom_rad: 4, wind_mps: 7, flap: null };
  expect(
    (await post("ditching", { ...dip, swells: [{ height_m: 2, period_s: 10, from_rad: 0 }] })).body.swells[0].length_m,
  ).toBeCloseTo(156.08, 1);
  const [end, ...others] = question.ends;
  const faults: readonly [string, object, string, string][] = [
    ["sites", { ...question, day, ends: [{ ...end, length_m: 0 }, ...others] }, "ends.0.length_m", "without length"],
    ["ditching", { ...dip, swells: [{ height_m: 2, period_s: 0, from_rad: 0 }] }, "swells.0.period_s", "period of 0"],
    [
      "restart-budget",
      {
        aircraft: alder,
        mass_kg: 1000,
        configuration,
        air,
        altitude_m: 1200,
        commit_m: -20,
        ground_m: 20,
        reaction_s: 4,
      },
      "commit_m",
      "at or below the ground",
    ],
    [
      "minutes-left",
      {
        aircraft: alder,
        mass_kg: 1000,
        configuration,
        air,
        wind: situation.wind,
        altitude_m: 1200,
        ground_m: 20,
        left_s: 0,
      },
      "left_s",
      "has failed",
    ],
    [
      "lose-height",
      {
        aircraft: alder,
        mass_kg: 1000,
        configuration,
        air,
        elevation_m: 0,
        height_m: 300,
        lose_m: 400,
        tailwind_mps: 0,
        bank_rad: 0.5,
        stallMargin: 1.2,
      },
      "lose_m",
      "More is to be lost",
    ],
  ];
  for (const [name, data, path, says] of faults) {
    const { status, body } = await post(name, data);
    expect([status, body.issues[0].path], name).toEqual([422, path]);
    expect(body.issues[0].message).toContain(says);
  }
});

test("what is too large or damaged is refused and the server stays up", async ({ playwright, baseURL }) => {
  const request = await playwright.request.newContext({ baseURL });
  await newAccount(request);
  const large = Buffer.alloc(50 * 1024 * 1024, "9");
  for (const path of ["/api/calc/atmosphere", "/api/situations", "/api/account/import", "/api/terrains?name=Large"]) {
    const answer = await request
      .post(path, { data: large, headers: { "content-type": "application/json" } })
      .catch((error: Error) => error);
    // The server may close the connection once it has answered, before all of it was sent.
    if (answer instanceof Error) expect(answer.message).toMatch(/EPIPE|ECONNRESET|socket hang up/);
    else expect(answer.status(), path).toBe(413);
  }
  expect((await request.get("/api/health")).status()).toBe(200);
  const truncated = await request.post("/api/terrains?name=Cut&latitude_deg=-47&longitude_deg=-131", {
    data: "ncols 50\nnrows 50\nxllcorner 0\nyllcorner 0\ncellsize 100\n1 2 3",
  });
  expect(truncated.status()).toBe(422);
  expect((await truncated.json()).issues[0].message).toContain("cut off");
  expect((await (await request.get("/api/terrains")).json()).terrains).toHaveLength(1);
  const [situation] = await situations(request);
  const late = await request.put(`/api/situations/${situation.id}`, over(1, { ...situation.document, version: 99 }));
  expect(late.status()).toBe(422);
  expect((await situations(request))[0].document).toEqual(situation.document);
  await request.dispose();
});

test("a school is read and written by its members alone, each by his role; who has left is a stranger", async ({
  playwright,
  baseURL,
}) => {
  const people = await Promise.all(
    ["owner", "instructor", "student", "former", "stranger", "guest"].map(async (name) => {
      const request = await playwright.request.newContext({ baseURL });
      if (name === "guest") await request.post("/api/demo");
      else await newAccount(request);
      return [name, request] as const;
    }),
  );
  const who = Object.fromEntries(people);
  const nobody = await playwright.request.newContext({ baseURL });
  const school = (
    (await (await who.owner.post("/api/schools", { data: { name: "S", as: "O" } })).json()) as { id: string }
  ).id;
  const at = `/api/schools/${school}`;
  const part = { exerciseId: "engine-failure-single", hardDeck_m: null, tolerance: 1, ways: ["run"] };
  const lesson = { name: "L", words: "", due: null, parts: [part] };
  const join = async (name: string, role: string) => {
    const { code } = (await (await who.owner.post(`${at}/codes`, { data: { role } })).json()) as { code: string };
    expect((await who[name].post("/api/schools/join", { data: { code, as: name } })).status(), name).toBe(201);
    return ((await (await who[name].get(at)).json()) as { me: string }).me;
  };
  await join("instructor", "instructor");
  const student = await join("student", "student");
  const former = await join("former", "student");
  expect((await who.former.delete(`${at}/members/${former}`)).status()).toBe(200);
  const lessonId = ((await (await who.owner.post(`${at}/lessons`, { data: lesson })).json()) as { id: string }).id;
  const procedure = { kind: "procedure", document: singleInCruise };
  expect((await who.instructor.post(`${at}/documents`, { data: procedure })).status()).toBe(201);
  const { documents } = (await (await who.student.get(at)).json()) as { documents: { id: string }[] };
  const id = randomUUID();
  const handed = `${at}/hand-ins/${student}/${id}`;
  const handIn = { lessonId, exerciseId: "engine-failure-single", kind: "run", sourceId: id };

  // What each may, in the order owner, instructor, student, former, stranger, guest: 404 says that nothing is there.
  type Ask = (request: APIRequestContext) => Promise<{ status(): number }>;
  const cases: [string, Ask, number[]][] = [
    ["read", (request) => request.get(at), [200, 200, 200, 404, 404, 404]],
    ["rename", (request) => request.patch(at, { data: { name: "S" } }), [200, 403, 403, 404, 404, 404]],
    [
      "let instructors in",
      (request) => request.post(`${at}/codes`, { data: { role: "instructor" } }),
      [201, 403, 403, 404, 404, 404],
    ],
    [
      "let students in",
      (request) => request.post(`${at}/codes`, { data: { role: "student" } }),
      [201, 201, 403, 404, 404, 404],
    ],
    ["set a lesson", (request) => request.post(`${at}/lessons`, { data: lesson }), [201, 201, 403, 404, 404, 404]],
    ["withdraw none such", (request) => request.delete(`${at}/lessons/${id}`), [404, 404, 403, 404, 404, 404]],
    ["share", (request) => request.post(`${at}/documents`, { data: procedure }), [201, 201, 403, 404, 404, 404]],
    ["take a copy", (request) => request.post(`${at}/documents/${documents[0].id}`), [201, 201, 201, 404, 404, 404]],
    ["take away none such", (request) => request.delete(`${at}/documents/${id}`), [404, 404, 403, 404, 404, 404]],
    [
      "make an owner",
      (request) => request.patch(`${at}/members/${student}`, { data: { role: "student" } }),
      [200, 403, 403, 404, 404, 404],
    ],
    ["sign", (request) => request.patch(handed, { data: { good: true, words: "" } }), [404, 404, 403, 404, 404, 404]],
    // The run is nobody’s.
    ["hand in", (request) => request.post(`${at}/hand-ins`, { data: handIn }), [404, 404, 404, 404, 404, 404]],
    ["take out who is none", (request) => request.delete(`${at}/members/${former}`), [404, 404, 403, 404, 404, 404]],
    ["end it", (request) => request.delete(at), [0, 403, 403, 404, 404, 404]],
  ];
  for (const [what, ask, wanted] of cases) {
    // The owner’s end of it would be the end of the test.
    const asked = people.map(async ([, request], i) => (wanted[i] === 0 ? 0 : (await ask(request)).status()));
    expect(await Promise.all(asked), what).toEqual(wanted);
    expect((await ask(nobody)).status(), what).toBe(401);
  }
  // A student sees who teaches, and no other student.
  const second = await join("stranger", "student");
  const seen = (await (await who.student.get(at)).json()) as { members: { role: string; accountId: string }[] };
  expect(seen.members.map(({ role }) => role).toSorted()).toEqual(["instructor", "owner", "student"]);
  expect(seen.members.map(({ accountId }) => accountId)).not.toContain(second);
  // Neither runs nor files nor marks of another are reached with a school in common.
  const entry = `/api/logbook/own-x/attachments?id=${id}&name=a.txt`;
  const mine = { headers: { "content-type": "text/plain" }, data: "x" };
  expect((await who.instructor.post(entry, mine)).status()).toBe(404);
  expect((await who.instructor.get(`/api/attachments/${id}`)).status()).toBe(404);
  expect((await who.instructor.post("/api/test-cards/own-x/marks", { data: { marks: [] } })).status()).toBe(404);
  expect((await who.instructor.delete(`/api/hand-ins/${id}`)).status()).toBe(404);
  // A file of a hundred megabytes is refused before it is read.
  const large = await who.owner
    .post(entry, { ...mine, data: Buffer.alloc(100 * 1024 * 1024, "9") })
    .catch((error: Error) => error);
  if (large instanceof Error) expect(large.message).toMatch(/EPIPE|ECONNRESET|socket hang up/);
  else expect(large.status()).toBe(413);
  expect((await nobody.get("/api/health")).status()).toBe(200);
  for (const [, request] of people) await request.dispose();
  await nobody.dispose();
});
