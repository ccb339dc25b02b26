import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { afterAll, afterEach, beforeAll, describe, expect, it } from "vitest";
import { positionFeed, requireBackground, weatherNear } from "./outside";
import { FollowQuestion, WeatherQuestion } from "./outside-question";
import { Refusal } from "./route";

/** What the service answers next. */
let next: { status: number; body: string } | "never" = { status: 200, body: "" };
const asked: string[] = [];
const service = createServer((request, response) => {
  asked.push(request.url ?? "");
  if (next === "never") response.destroy();
  else response.writeHead(next.status).end(next.body);
});
const PLACE = { lat: "-47.1", lon: "-130.9" };
const GOOD = {
  station: "TRSK",
  metar: "METAR TRSK 241200Z 25014KT",
  aloft: [{ altitude_m: 914.4, from_rad: 4.7, speed_mps: 11 }],
};

/** Status and code of a refusal. */
async function refused(work: Promise<unknown>): Promise<unknown> {
  const error: unknown = await work.then(
    () => null,
    (reason: unknown) => reason,
  );
  if (!(error instanceof Refusal)) return error;
  const { issues } = (await error.answer.json()) as { issues: { code: string }[] };
  return [error.answer.status, issues[0].code];
}

let address = "";
beforeAll(async () => {
  await new Promise<void>((done) => service.listen(0, "127.0.0.1", done));
  address = `http://127.0.0.1:${(service.address() as AddressInfo).port}`;
});
afterAll(() => service.close());
afterEach(() => {
  delete process.env.WEATHER_URL;
  delete process.env.POSITION_URL;
});

describe("a weather service outside", () => {
  it("is asked at its address for a place, and what it says is handed on", async () => {
    process.env.WEATHER_URL = `${address}/near?key=1`;
    next = { status: 200, body: JSON.stringify({ ...GOOD, more: "than is needed" }) };
    expect(await weatherNear(PLACE)).toEqual(GOOD);
    expect(asked.at(-1)).toBe("/near?key=1&lat=-47.1&lon=-130.9");
  });

  it("without a setting there is none", async () => {
    expect(await refused(weatherNear(PLACE))).toEqual([404, "not_set_up"]);
  });

  it.each<[string, typeof next, readonly [number, string]]>([
    ["knows no station", { status: 404, body: "" }, [404, "no_station"]],
    ["fails", { status: 500, body: JSON.stringify(GOOD) }, [502, "outside_away"]],
    ["breaks off", "never", [502, "outside_away"]],
    ["says what is no JSON", { status: 200, body: "<html>" }, [502, "outside_away"]],
    ["leaves the report out", { status: 200, body: JSON.stringify({ ...GOOD, metar: "" }) }, [502, "outside_away"]],
    [
      "tells a wind that cannot be",
      { status: 200, body: JSON.stringify({ ...GOOD, aloft: [{ altitude_m: 0, from_rad: 0, speed_mps: 1e9 }] }) },
      [502, "outside_away"],
    ],
    [
      "says more than is read",
      { status: 200, body: JSON.stringify({ ...GOOD, more: "x".repeat(70_000) }) },
      [502, "outside_away"],
    ],
    ["leads elsewhere", { status: 302, body: "" }, [502, "outside_away"]],
  ])("one that %s is told", async (_, answer, told) => {
    process.env.WEATHER_URL = address;
    next = answer;
    expect(await refused(weatherNear(PLACE))).toEqual(told);
  });
});

describe("a position feed outside", () => {
  it("is handed on as it comes, and ends with its reader", async () => {
    process.env.POSITION_URL = address;
    next = { status: 200, body: "data: $GPGGA\n\n" };
    const feed = await positionFeed({ flight: "1-a" }, new AbortController().signal);
    expect(await new Response(feed).text()).toBe("data: $GPGGA\n\n");
    expect(await refused(positionFeed({ flight: "1-a" }, AbortSignal.abort()))).toEqual([502, "outside_away"]);
  });

  it("one that is full is told", async () => {
    process.env.POSITION_URL = address;
    next = { status: 429, body: "" };
    expect(await refused(positionFeed({ flight: "1-a" }, new AbortController().signal))).toEqual([502, "outside_away"]);
  });
});

describe("what a page may ask of outside", () => {
  const follow = {
    ...{ flight: "a-1", lat: "0", lon: "0", alt_m: "700", hdg_deg: "40", tas_mps: "33", ratio: "9", ground_m: "0" },
    ...{ east_mps: "0", north_mps: "0" },
  };
  it.each([
    [{}, true],
    [{ lat: "90.1" }, false],
    [{ lat: "" }, false],
    [{ lon: "NaN" }, false],
    [{ alt_m: "Infinity" }, false],
    [{ flight: "../admin" }, false],
    [{ flight: "x".repeat(21) }, false],
    [{ more: "1" }, false],
  ])("%j: %s", (change, sound) => {
    expect(FollowQuestion.safeParse({ ...follow, ...change }).success).toBe(sound);
  });

  it("a place on the globe, and nothing else", () => {
    expect(WeatherQuestion.safeParse(PLACE).success).toBe(true);
    expect(WeatherQuestion.safeParse({ lat: "-91", lon: "0" }).success).toBe(false);
    expect(WeatherQuestion.safeParse({ ...PLACE, url: "http://elsewhere" }).success).toBe(false);
  });
});

describe("a background outside", () => {
  const from = (address: string) => ({ address, opacity: 1, credit: "" });
  const refusedFrom = (address: string) => refused(Promise.resolve().then(() => requireBackground(from(address))));
  afterEach(() => void delete process.env.BACKGROUND_ORIGINS);

  it("comes from a place that the server allows", async () => {
    process.env.BACKGROUND_ORIGINS = "https://tiles.example http://127.0.0.1:4200";
    expect(() => requireBackground(from("https://tiles.example/{z}/{x}/{y}"))).not.toThrow();
    // Another port, another host, and one that only begins with an allowed one are other places.
    for (const address of ["http://127.0.0.1:80", "https://other.example", "https://tiles.example.org"])
      expect(await refusedFrom(`${address}/{z}/{x}/{y}`)).toEqual([422, "background_elsewhere"]);
  });

  it("comes from nowhere when nothing is set", async () => {
    expect(await refusedFrom("https://tiles.example/{z}/{x}/{y}")).toEqual([422, "background_elsewhere"]);
  });
});
