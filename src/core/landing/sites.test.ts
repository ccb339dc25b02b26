import type { SiteVerdict } from "./site-verdict";
import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation, demoTerrain } from "../../../demo/read-demo";
import { LandingEnd, landingEnds } from "./landing-end";
import { reachOf } from "./reach";
import { type ReachQuestion, reachQuestion } from "./reach-question";
import { type Site, type Sites, rankSites } from "./sites";
import { siteWorking } from "./site-working";

const places = demoPlaces();
const situation = demoSituation();
const QUESTION = reachQuestion({ ...situation, altitude_m: 900 }, demoAircraft("alder-s1"), landingEnds(places));
const terrain = demoTerrain();

function ranked(change: Partial<ReachQuestion> = {}, plan: Partial<typeof situation.landing> = {}): Sites {
  const question = { ...QUESTION, ...change };
  const reach = reachOf(question, terrain);
  if (!reach.ok) throw new Error(reach.issue.message);
  const found = rankSites(reach.value, question, { ...situation.landing, ...plan }, situation.day);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

const named = (found: Sites, name: string): Site => {
  const site = found.sites.find((candidate) => candidate.end.name === name);
  if (!site) throw new Error(`no site ${name}`);
  return site;
};
const codes = (site: Site) => site.reasons.map((reason) => reason.code);

describe("choosing a place", () => {
  it("puts what fits first, then what is tight, too short, out of reach", () => {
    const found = ranked();
    const order: Record<SiteVerdict, number> = {
      fits: 0,
      tight: 1,
      reserve: 2,
      wind: 3,
      "too-short": 4,
      blocked: 5,
      short: 6,
    };
    // A little over a limit of wind on a place that fits comes before one that is tight.
    const keys = found.sites.map((site) =>
      site.verdict === "wind" && site.windShare <= 1.5 && (site.spare_m ?? -1) >= 0 ? 0.5 : order[site.verdict],
    );
    expect(keys).toEqual([...keys].sort((a, b) => a - b));
    expect(found.sites[0].end.name).toMatch(/^Skerrow/);
    expect(new Set(found.sites.map((site) => site.verdict)).size).toBeGreaterThan(3);
  });

  it("tells obstacles, hazards, slope and wind of a place", () => {
    const site = named(ranked(), "Mill Meadow south-west");
    expect(codes(site)).toEqual(expect.arrayContaining(["unprepared", "obstacle", "downhill", "trees"]));
    expect(codes(named(ranked(), "Dunnet Field west"))).toEqual(expect.arrayContaining(["power-lines", "headwind"]));
    expect(codes(named(ranked(), "Skerrow 11"))).toContain("tailwind");
  });

  it("fits by the rule that was chosen: without the factor more fits, never less", () => {
    const fits = (rule: "factor" | "computed" | "leaflet") =>
      ranked({}, { rule })
        .sites.filter((site) => site.verdict === "fits")
        .map((site) => site.end.id);
    expect(fits("computed")).toEqual(expect.arrayContaining(fits("factor")));
    expect(fits("computed").length).toBeGreaterThan(fits("factor").length);
    expect(fits("computed")).toEqual(expect.arrayContaining(fits("leaflet")));
  });

  it("the sun counts when it is low and ahead, not otherwise", () => {
    const sunny = Array.from({ length: 48 }, (_, i) => i / 2).filter((utc_h) =>
      codes(named(ranked({}, { utc_h }), "Skerrow 11")).includes("sun"),
    );
    expect(sunny.length).toBeGreaterThan(0);
    expect(sunny.length).toBeLessThan(8);
    // 138° true at 47° south in November: the sun rises a little left of it, 8.7 h behind UTC.
    for (const utc_h of sunny) expect((utc_h + 24 - 8.73) % 24).toBeLessThan(8);
    expect(ranked({}, { utc_h: null }).sun).toBeNull();
  });

  it("shows its working: what is needed is what the lines multiply to", () => {
    const found = ranked();
    for (const site of found.sites) {
      const steps = siteWorking(found, site, situation.landing).filter((step) => step.figure === "length");
      const value = (symbol: string) => Number(steps.find((step) => step.symbol === symbol)?.value);
      const factors = steps
        .filter((step) => step.symbol === "×")
        .reduce((product, step) => product * Number(step.value), 1);
      if (site.length) expect(value("s") * factors, site.end.name).toBeCloseTo(value("L_n"), 6);
    }
  });

  it("a place without length is refused with the reason", () => {
    const [end] = QUESTION.ends;
    const found = LandingEnd.safeParse({ ...end, length_m: 0 });
    expect(found.error?.issues[0]).toMatchObject({
      path: ["length_m"],
      message: expect.stringContaining("without length"),
    });
    expect(LandingEnd.safeParse({ ...end, slope: 0.5 }).success).toBe(false);
  });

  it.each([
    ["crosswind-limit", "Skerrow 11", {}, { surface: { from_rad: 0.85, speed_mps: 9 }, layers: [] }],
    [
      "crosswind-limit",
      "Skerrow 11",
      { crosswindLimit_mps: 4 },
      { surface: { from_rad: 0.85, speed_mps: 5 }, layers: [] },
    ],
    ["crosswind", "Skerrow 11", {}, { surface: { from_rad: 0.85, speed_mps: 5 }, layers: [] }],
    ["headwind", "Skerrow 11", {}, { surface: { from_rad: 2.41, speed_mps: 5 }, layers: [] }],
    ["tailwind", "Skerrow 29", {}, { surface: { from_rad: 2.41, speed_mps: 5 }, layers: [] }],
  ] as const)("names a %s on %s", (code, name, plan, wind) => {
    expect(codes(named(ranked({ wind: { ...wind, layers: [] } }, plan), name))).toContain(code);
  });

  it("tells little height in hand, the reserve spent, and what is out of reach, each with its height", () => {
    const site = named(ranked(), "Skerrow 29");
    const spare_m = site.reach.path?.margin_m ?? NaN;
    const at = (left_m: number) => named(ranked({ altitude_m: 900 - spare_m + left_m }), "Skerrow 29");
    const told = (one: Site, code: string) => one.reasons.find((reason) => reason.code === code)?.value ?? NaN;
    // The height itself is the path's: wind aloft makes it differ from what was taken away.
    const [low, spent, short] = [at(40), at(-15), at(-200)];
    expect(low.verdict).not.toBe("reserve");
    expect(told(low, "low-arrival")).toBe(low.reach.path?.margin_m);
    expect(spent.verdict).toBe("reserve");
    expect(told(spent, "reserve")).toBe(-(spent.reach.path?.margin_m ?? NaN));
    expect(short.verdict).toBe("short");
    expect(told(short, "short")).toBe(-(short.reach.path?.margin_m ?? NaN));
  });

  it("a wet strip asks for more, never for less; more flap for less", () => {
    const needs = (plan: Partial<typeof situation.landing>) =>
      ranked({}, plan).sites.flatMap((site) => (site.length ? [[site.end.id, site.length.needed_m] as const] : []));
    const dry = new Map(needs({}));
    for (const [id, needed_m] of needs({ wet: true })) expect(needed_m, id).toBeGreaterThan(dry.get(id) ?? Infinity);
    for (const [id, needed_m] of needs({ flap: 0 })) expect(needed_m, id).toBeGreaterThan(dry.get(id) ?? Infinity);
  });

  it("says what is wrong with the flap chosen", () => {
    const reach = reachOf(QUESTION, null);
    if (!reach.ok) throw new Error(reach.issue.message);
    expect(rankSites(reach.value, QUESTION, { ...situation.landing, flap: 7 }, situation.day)).toMatchObject({
      ok: false,
      issue: { code: "no_such_flap" },
    });
  });

  it("a field that nobody has looked at for a year is told apart, by days", () => {
    const looked = (lookedAt: string | null) => {
      const ends = QUESTION.ends.map((end) => (end.name === "Dunnet Field east" ? { ...end, lookedAt } : end));
      const site = named(ranked({ ends }), "Dunnet Field east");
      return site.reasons.find(({ code }) => code === "long-ago")?.value ?? null;
    };
    const before = (days: number) => new Date(Date.parse(situation.day) - days * 86_400_000).toISOString().slice(0, 10);
    expect(looked(before(366))).toBe(366);
    expect([looked(before(365)), looked(null), looked("2030-01-01")]).toEqual([null, null, null]);
  });
});
