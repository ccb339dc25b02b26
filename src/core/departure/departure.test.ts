import { describe, expect, it } from "vitest";
import { demoDeparture, demoDepartureQuestion } from "../../../demo/demo-departure";
import { demoTerrain } from "../../../demo/read-demo";
import { localPlane } from "../earth/local-plane";
import type { TerrainGrid } from "../earth/terrain";
import { radians } from "../quantities/angle";
import { M_PER_FT, MPS_PER_KT } from "../quantities/constants";
import { allowedBanks, bestBank } from "./best-bank";
import { climbAgainstGlide } from "./climb-against-glide";
import { climbAt } from "../flight/climb-out";
import { departureDay } from "./departure-day";
import { departureRunways } from "./departure-question";
import { failureStart } from "./failure-start";
import { SCAN_HEIGHTS_M, aheadAt, bandsOf, plannedFailure, turnbackAt } from "./scan";
import { stopAhead } from "./stop-ahead";
import { turnbackAccount } from "./turnback-account";
import { turnbackWorking } from "./turnback-working";

const { day, question: input } = demoDeparture();
const ft = (height: number) => height * M_PER_FT;

describe("setting up a departure", () => {
  it.each([
    [{ aircraft: "larch-t2" }, "not_single"],
    [{ aircraft: "cedar-j2" }, "not_single"],
    [{ plan: { flap: 6 } }, "no_such_flap"],
    [{ plan: { climb_mps: 20 } }, "climb_too_slow"],
    [{ plan: { intersection_m: 1100 } }, "runway_too_short"],
    [{ mass_kg: 1200 }, "mass_outside"],
  ] as const)("refuses %o with %s", (otherwise, code) => {
    const made = departureDay(demoDepartureQuestion(otherwise));
    expect(made.ok ? null : made.issue.code).toBe(code);
  });

  it("says when the engine does not lift it off, or up to 2 500 ft", () => {
    const thin = (power: number) => {
      const question = demoDepartureQuestion();
      const { engines } = question.aircraft;
      if (engines.kind !== "propeller") throw new Error("a piston engine");
      return departureDay({
        ...question,
        aircraft: { ...question.aircraft, engines: { ...engines, thrustLine: { static_N: power, slope_Nspm: 16.5 } } },
      });
    };
    const [weak, feeble] = [thin(1500), thin(900)];
    expect([weak.ok, feeble.ok]).toEqual([false, false]);
    expect([weak, feeble].map((made) => (made.ok ? "" : made.issue.code))).toEqual(["no_climb", "no_lift_off"]);
  });

  it("takes thrust from momentum theory where the document has none", () => {
    const { aircraft, ...rest } = demoDepartureQuestion({ aircraft: "thorn-v12" });
    const bare = departureDay({
      ...rest,
      aircraft: {
        ...aircraft,
        engines: aircraft.engines.kind === "propeller" ? { ...aircraft.engines, thrustLine: null } : aircraft.engines,
      },
    });
    expect(bare.ok && bare.value.thrust.source).toBe("momentum theory");
    expect(day.thrust.source).toBe("aircraft document");
  });

  it("offers the nearest aerodrome's runways, into the wind first", () => {
    const { runway } = demoDepartureQuestion();
    expect(runway.name).toBe("Skerrow 29");
    const runways = departureRunways(
      {
        position: runway.threshold,
        wind: { surface: { from_rad: runway.headingTrue_rad + Math.PI, speed_mps: 5 }, layers: [] },
      },
      [runway, ...input.ends],
    );
    expect(runways[0].name).not.toBe("");
    expect(runways.every((end) => end.name.startsWith("Skerrow"))).toBe(true);
  });
});

describe("climb", () => {
  it("goes straight along the runway in a crosswind, and rises all the way", () => {
    const windy = demoDeparture({ plain: { length_m: 1200, headwind_kt: 5, crosswind_kt: 12 } }).day;
    for (const point of windy.climb.points) expect(Math.abs(point.y_m)).toBeLessThan(5);
    windy.climb.points
      .slice(1)
      .forEach((point, i) => expect(point.height_m).toBeGreaterThanOrEqual(windy.climb.points[i].height_m));
  });

  it("turns crosswind early and stays nearer the runway", () => {
    const turned = demoDeparture({ plan: { crosswind: { height_m: ft(300), side: "right" } } }).day;
    const [straight, right] = [climbAt(day.climb, 400), climbAt(turned.climb, 400)];
    expect(right?.y_m).toBeGreaterThan(500);
    expect(right?.psi_rad).toBeGreaterThan(1);
    expect(right?.x_m).toBeLessThan((straight?.x_m ?? 0) - 500);
    expect(climbAt(turned.climb, 900)).toBeNull();
  });

  it("an intersection moves everything along", () => {
    const later = demoDeparture({ plan: { intersection_m: 300 } }).day;
    expect((climbAt(later.climb, 100)?.x_m ?? 0) - (climbAt(day.climb, 100)?.x_m ?? 0)).toBeCloseTo(300, 6);
  });
});

describe("reaction", () => {
  it("with the attitude held a light Alder stalls within four seconds: reported, not a height", () => {
    const light = demoDeparture({ mass_kg: 800, plan: { reaction: "attitude" } });
    const at = turnbackAt(light.day, light.question, ft(600), radians(45));
    expect(at.stalledAfter_s).toBeGreaterThan(1);
    expect(at.stalledAfter_s).toBeLessThan(4.05);
    expect([at.left, at.right]).toEqual([null, null]);
    expect(bestBank(light.day, light.question, ft(600))).toBeNull();
    expect(bandsOf([{ height_m: 100, score_m: null }])).toEqual([]);
  });

  it("hands off it never stalls, and no reaction changes nothing", () => {
    const light = demoDeparture({ mass_kg: 800 });
    expect(failureStart(light.day, 200, "hands-off", 8)?.reaction.stalledAfter_s).toBeNull();
    const none = failureStart(day, 200, "attitude", 0);
    expect(none?.acting.tas_mps).toBe(none?.failure.tas_mps);
    expect(failureStart(day, 5000, "attitude", 0)).toBeNull();
  });
});

describe("turnback account", () => {
  const best = bestBank(day, input, ft(600));
  if (!best) throw new Error("no turnback");
  const account = turnbackAccount(day, input, ft(600), best.technique);
  if (!account) throw new Error("no account");

  it("adds up to the margin", () => {
    const used = account.ledger.reduce((sum, entry) => sum + entry.height_m, 0);
    expect(ft(600) - used).toBeCloseTo(account.result.margin_m, 6);
    expect(account.ledger.reduce((sum, entry) => sum + entry.time_s, 0)).toBeCloseTo(account.result.time_s, 6);
    expect(account.ledger[0]).toMatchObject({ name: "Reaction", time_s: 4 });
    expect(account.score_m).toBeCloseTo(best.score_m, 9);
  });

  it("keeps the stall margin of the model and turns about, less the crab of both headings", () => {
    expect(account.leastStallMargin).toBeGreaterThan(1.049);
    expect(account.greatestLoad).toBeLessThan(2);
    const [first, last] = [account.points[0], account.points[account.points.length - 1]];
    expect(account.headingChange_rad).toBeGreaterThan(radians(140));
    expect(account.headingChange_rad).toBeLessThan(radians(200));
    expect(Math.abs(last.psi_rad - first.psi_rad)).toBeCloseTo(account.headingChange_rad, 9);
  });

  it("shows its working with the figures of the account", () => {
    const steps = turnbackWorking(day, input, account);
    expect(steps.find((step) => step.symbol === "M")?.value).toBe(account.result.margin_m);
    for (const entry of account.ledger)
      expect(steps.filter((step) => step.figure === entry.name && step.value === entry.height_m)).toHaveLength(1);
  });

  it("with 25 kt of wind stopping binds, in still air reaching", () => {
    const limits = [25, 0].map((headwind_kt) => {
      const windy = demoDeparture({ mass_kg: 1100, plain: { length_m: 1000, headwind_kt } });
      const technique = bestBank(windy.day, windy.question, ft(560))?.technique;
      return technique && turnbackAccount(windy.day, windy.question, ft(560), technique)?.limit;
    });
    expect(limits[1]).toBe("reaching");
    const gale = demoDeparture({ mass_kg: 1100, plain: { length_m: 800, headwind_kt: 25 } });
    const technique = bestBank(gale.day, gale.question, ft(500))?.technique;
    expect(technique && turnbackAccount(gale.day, gale.question, ft(500), technique)?.limit).toBe("stopping");
  });
});

describe("why there is an upper end", () => {
  it("in still air the climb goes farther for each foot than the glide comes back, in wind the other way round", () => {
    const still = demoDeparture({ mass_kg: 1100, plain: { length_m: 1000, headwind_kt: 0 } }).day;
    const windy = demoDeparture({ mass_kg: 1100, plain: { length_m: 1000, headwind_kt: 15 } }).day;
    expect(climbAgainstGlide(still, 150, 450)?.gain).toBeLessThan(0.1);
    expect(climbAgainstGlide(windy, 150, 450)?.gain).toBeGreaterThan(0.3);
    expect(climbAgainstGlide(still, 150, 4500)).toBeNull();
    // A gale from behind on the take-off is on the nose on the way back.
    expect(
      climbAgainstGlide(demoDeparture({ mass_kg: 1100, plain: { length_m: 3000, headwind_kt: -60 } }).day, 150, 450)
        ?.gain,
    ).toBeNull();
  });
});

describe("bands", () => {
  const at = (scores: (number | null)[]) => bandsOf(scores.map((score_m, i) => ({ height_m: 100 * (i + 1), score_m })));
  it.each([
    [[-10, 10, 10], [{ from_m: 150, to_m: null }]],
    [[-10, 10, -30], [{ from_m: 150, to_m: 225 }]],
    [
      [10, -10, 10],
      [
        { from_m: 100, to_m: 150 },
        { from_m: 250, to_m: null },
      ],
    ],
    [[-1, -1], []],
    [[null, 10, null], [{ from_m: 200, to_m: 200 }]],
    [[], []],
  ])("%j", (scores, expected) => {
    expect(at(scores)).toEqual(expected);
  });
});

describe("stopping ahead", () => {
  it("works low, runs off the end higher up, and is gone once it has turned", () => {
    const spare = (height_ft: number) => {
      const start = plannedFailure(day, input, ft(height_ft));
      return start && stopAhead(day, start)?.spare_m;
    };
    expect(spare(30)).toBeGreaterThan(200);
    expect(spare(400)).toBeLessThan(-200);
    expect(spare(100)).toBeLessThan(spare(50) ?? NaN);
    const turned = demoDeparture({ plan: { crosswind: { height_m: 60, side: "left" } } });
    const start = plannedFailure(turned.day, turned.question, 300);
    expect(start && stopAhead(turned.day, start)).toBeNull();
  });
});

describe("options besides turning back", () => {
  const terrain = demoTerrain();
  const plane = localPlane(terrain.origin);
  const flat = (elevation_m: number): TerrainGrid => ({
    origin: terrain.origin,
    west_m: -60_000,
    south_m: -60_000,
    cell_m: 1000,
    columns: 121,
    rows: 121,
    elevations_m: new Float32Array(121 * 121).fill(elevation_m),
  });
  const ahead = (grid: TerrainGrid | null, height_ft = 500) =>
    aheadAt(day, input, ft(height_ft), grid, plane)?.options.find((option) => option.id === "ahead");

  it("level ground ahead leaves height, the sea does not, and without terrain nothing is claimed", () => {
    expect(ahead(flat(input.runway.elevation_m))?.score_m).toBeGreaterThan(10);
    expect(ahead(flat(0))).toMatchObject({ score_m: -1, note: "mostly water in reach: a ditching" });
    expect(ahead(null)).toMatchObject({ score_m: null });
  });

  it("knows fields and the runway's own direction, each with height and ground left", () => {
    const high = aheadAt(day, input, ft(2500), terrain, plane);
    const kinds = new Set(high?.options.map((option) => option.kind));
    expect([...kinds].sort()).toEqual(["ahead", "field", "runway", "stop"]);
    const around = high?.options.find((option) => option.name === "Skerrow 29");
    expect(around?.score_m).toBeGreaterThan(0);
    expect(high?.options.some((option) => option.name === "Skerrow 11")).toBe(false);
    expect(
      aheadAt(day, input, ft(100), terrain, plane)?.options.some(
        (option) => option.kind === "field" && (option.score_m ?? 0) >= 0,
      ),
    ).toBe(false);
  });
});

describe("banks", () => {
  it("are capped at what has been practised", () => {
    const degrees = (plan: Parameters<typeof allowedBanks>[0]) =>
      allowedBanks(plan).map((bank) => Math.round((bank * 180) / Math.PI));
    expect(degrees({ bank_rad: null, practisedBank_rad: radians(45) })).toEqual([20, 30, 45]);
    expect(degrees({ bank_rad: null, practisedBank_rad: radians(35) })).toEqual([20, 30, 35]);
    expect(degrees({ bank_rad: radians(60), practisedBank_rad: radians(30) })).toEqual([60]);
  });
});

describe("scan heights", () => {
  it("are 58, from 25 to 2 500 ft, rising", () => {
    expect(SCAN_HEIGHTS_M).toHaveLength(58);
    expect(SCAN_HEIGHTS_M[0] / M_PER_FT).toBeCloseTo(25, 9);
    expect((SCAN_HEIGHTS_M.at(-1) ?? 0) / M_PER_FT).toBeCloseTo(2500, 9);
    SCAN_HEIGHTS_M.slice(1).forEach((height, i) => expect(height).toBeGreaterThan(SCAN_HEIGHTS_M[i]));
  });

  it("a tailwind on touching down is the headwind of the take-off", () => {
    const windy = demoDeparture({ plain: { length_m: 1200, headwind_kt: 10 } });
    const left = turnbackAt(windy.day, windy.question, 250, radians(45)).left;
    expect((left?.result.roll.tailwind_mps ?? 0) / MPS_PER_KT).toBeCloseTo(10 * (3 / 10) ** (1 / 7), 1);
  });
});
