import { energyLeft } from "./energy-left";
import { describe, expect, it } from "vitest";
import { demoAircraft, demoPlaces, demoSituation } from "../../../demo/read-demo";
import { demoLog } from "../../../demo/read-logs";
import type { DepartureQuestion } from "../departure/departure-day";
import { departureDay } from "../departure/departure-day";
import { motionFrom } from "../departure/failure-start";
import { react } from "../departure/reaction";
import { flyTurnback } from "../departure/turnback-flight";
import { bestTurnback } from "../departure/turnback-search";
import { stallSpeed_mps } from "../aircraft/polar";
import { landingEnds } from "../landing/landing-end";
import { M_PER_FT, MPS_PER_KT } from "../quantities/constants";
import { radians } from "../quantities/angle";
import { analyse } from "../track/analyse";
import { readLog } from "../track/formats/read-log";
import { type KeptLog, dayOf } from "../track/kept-log";
import { besideFailure } from "./beside-failure";
import { EXPLAINED, turnBackBeside } from "./turn-back-beside";
import type { TurnBackFlown } from "./turn-back-flown";

const ends = landingEnds(demoPlaces()).filter(({ unprepared }) => !unprepared);
const situation = demoSituation();
const alder = demoAircraft("alder-s1");
const eleven = ends.find(({ name }) => name === "Skerrow 11");
if (!eleven) throw new Error("expected Skerrow 11");

const question: DepartureQuestion = {
  aircraft: alder,
  mass_kg: 1000,
  propeller: "windmilling",
  air: { qnh_Pa: 101_325, deviation_K: 0 },
  wind: { surface: { from_rad: radians(138), speed_mps: 4 }, layers: [] },
  pilot: { ...situation.pilot, reaction_s: 4, daysSincePractised: 30 },
  plan: { ...situation.departure, bank_rad: radians(45) },
  approach: situation.plan,
  runway: eleven,
  ends: [],
};

/** A turn back that the planner itself has flown, with changes: what was flown is known exactly then. */
function flownBy(change: { delay_s?: number; bank_rad?: number; slower?: number }): TurnBackFlown {
  const day = departureDay(question);
  if (!day.ok || !eleven) throw new Error("expected a departure");
  const start = { tas_mps: 36, gamma_rad: 0.12, psi_rad: 0, x_m: 1900, y_m: 0, height_m: 260 };
  const { stallMargin } = question.plan;
  const acting4 = motionFrom(start);
  react(acting4, day.value.body, day.value.air, question.plan.reaction, 4);
  const plan = bestTurnback(day.value, acting4, 4, { side: 1, bank_rad: radians(45), stallMargin }).technique;
  const delay_s = change.delay_s ?? 4;
  const bank_rad = change.bank_rad ?? radians(45);
  const margin = stallMargin * (change.slower ?? 1);
  const acting = motionFrom(start);
  react(acting, day.value.body, day.value.air, question.plan.reaction, delay_s);
  // The line that leaves most: what the comparison takes too.
  const results = Array.from({ length: 80 }, (_, i) =>
    flyTurnback(
      day.value,
      motionFrom(acting),
      { ...plan, bank_rad, stallMargin: margin, intercept_rad: radians(4 + i) },
      delay_s,
    ),
  );
  const left_m = Math.max(
    ...results.map(({ aligned, endHeight_m, alignedHeight_m }) => (aligned ? (endHeight_m ?? alignedHeight_m) : -1e3)),
  );
  return {
    runway: eleven,
    start,
    delay_s,
    straight_s: plan.extension_s,
    side: 1,
    bank_rad,
    turnEas_mps: margin * stallSpeed_mps(day.value.polar, 1 / Math.cos(bank_rad)),
    finalEas_mps: day.value.best_mps,
    parts: [],
    left_m,
    sigma_m: 1,
    alignedHeight_m: left_m,
  };
}

function beside(flown: TurnBackFlown) {
  const found = turnBackBeside({ wind: null }, flown, question);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

describe("a turn back beside its plan", () => {
  it("flown as planned: nothing to explain, to two feet", () => {
    const { explained, rest_m, predicted, flown } = beside(flownBy({}));
    if (!explained) throw new Error("expected an explanation");
    for (const what of EXPLAINED) expect(Math.abs(explained[what])).toBeLessThan(2 * M_PER_FT);
    expect(Math.abs(rest_m ?? NaN)).toBeLessThan(2 * M_PER_FT);
    expect(Math.abs(predicted.left_m - (flown.left_m ?? NaN))).toBeLessThan(2 * M_PER_FT);
  });

  it("a delay that is three seconds longer explains what it cost, and nothing else does", () => {
    const { explained, rest_m } = beside(flownBy({ delay_s: 7 }));
    if (!explained) throw new Error("expected an explanation");
    const asPlanned = flownBy({}).left_m ?? NaN;
    const late = flownBy({ delay_s: 7 }).left_m ?? NaN;
    expect(late).toBeLessThan(asPlanned - 5);
    expect(Math.abs(explained.delay - (late - asPlanned))).toBeLessThan(1);
    for (const what of ["straight", "bank", "speed", "wind"] as const)
      expect(Math.abs(explained[what])).toBeLessThan(1);
    expect(Math.abs(rest_m ?? NaN)).toBeLessThan(1);
  });

  it("shallow and fast: bank and speed explain it between them; shares add up to the difference", () => {
    const flown = flownBy({ bank_rad: radians(20), slower: 1.15 });
    const { explained, rest_m, predicted } = beside(flown);
    if (!explained || rest_m === null) throw new Error("expected an explanation");
    expect(explained.bank).toBeLessThan(-2);
    expect(explained.speed).toBeLessThan(-1);
    expect(Math.abs(explained.delay) + Math.abs(explained.straight)).toBeLessThan(1);
    expect(Math.abs(rest_m)).toBeLessThan(1.5);
    const sum = EXPLAINED.reduce((total, what) => total + explained[what], rest_m);
    expect(sum).toBeCloseTo((flown.left_m ?? NaN) - predicted.left_m, 9);
  });

  it("never aligned: there is no height to compare, the parts stand all the same", () => {
    const { explained, rest_m, predicted } = beside({ ...flownBy({}), left_m: null });
    expect([explained, rest_m]).toEqual([null, null]);
    expect(predicted.parts.reduce((sum, { height_m }) => sum + height_m, predicted.left_m)).toBeCloseTo(260, 6);
  });
});

describe("a log’s engine stop beside the plan", () => {
  const log: KeptLog = {
    schema: "utrimax/log",
    version: 3,
    stops: null,
    also: [],
    name: "turnback.igc",
    text: demoLog("turnback.igc"),
    layout: null,
    aircraft: alder,
    mass_kg: 1000,
    deviation_K: 8,
    wind: { from_rad: radians(160), speed_mps: 4 },
    ends,
  };
  const plan = { pilot: situation.pilot, plan: situation.departure, approach: situation.plan, qnh_Pa: 101_325 };
  const asked = (change: Partial<KeptLog>, looked = 0) => {
    const kept = { ...log, ...change };
    const read = readLog(kept.text, kept.layout);
    if (!read.ok) throw new Error(read.issue.message);
    const found = analyse(read.value, dayOf(kept));
    if (!found.ok) throw new Error(found.issue.message);
    return besideFailure(found.value, kept, looked, plan);
  };

  it("is taken off from 11 and turned back to it: parts add up to the height, shares to the difference", () => {
    const found = asked({});
    if (!found.ok) throw new Error(found.issue.message);
    const { turnBack, windOfLog, working } = found.value;
    expect(turnBack.runway).toBe("Skerrow 11");
    expect(windOfLog).toBe(false);
    // The truth: 853 ft, 3.4 s, 45° to the right.
    expect(Math.abs(turnBack.height_m / M_PER_FT - 853)).toBeLessThan(40);
    expect(turnBack.flown.side).toBe(1);
    const parts = turnBack.flown.parts.reduce((sum, { height_m }) => sum + height_m, 0);
    expect(parts + (turnBack.flown.left_m ?? NaN)).toBeCloseTo(turnBack.height_m, 6);
    if (!turnBack.explained || turnBack.rest_m === null) throw new Error("expected an explanation");
    const sum = EXPLAINED.reduce((total, what) => total + (turnBack.explained?.[what] ?? NaN), turnBack.rest_m);
    expect(sum).toBeCloseTo((turnBack.flown.left_m ?? NaN) - turnBack.predicted.left_m, 9);
    expect(working.every(({ source }) => source !== "")).toBe(true);
  });

  it("with the log’s own wind as the plan’s, the wind explains next to nothing", () => {
    const found = asked({ wind: null });
    if (!found.ok) throw new Error(found.issue.message);
    expect(found.value.windOfLog).toBe(true);
    expect(Math.abs(found.value.turnBack.explained?.wind ?? NaN)).toBeLessThan(6);
  });

  it("in a wind in which the plan never meets the runway’s line there is no figure, but the reason", () => {
    const storm = { from_rad: radians(160), speed_mps: 56 };
    expect(asked({ wind: storm })).toMatchObject({ ok: false, issue: { code: "plan_not_back" } });
  });

  it("without an aircraft, a runway, or a turn there is nothing beside it, with the reason", () => {
    expect(asked({ aircraft: null })).toMatchObject({ ok: false, issue: { code: "no_aircraft" } });
    expect(asked({ ends: [] })).toMatchObject({ ok: false, issue: { code: "no_runway" } });
    expect(asked({}, 5)).toMatchObject({ ok: false, issue: { code: "no_such_stop" } });
    const glides = { text: demoLog("glides.csv"), name: "glides.csv" };
    expect(asked(glides)).toMatchObject({ ok: false, issue: { code: "no_take_off" } });
  });
});

describe("what is left with speed counted as height", () => {
  const at = (left_m: number | null, finalEas_mps: number) =>
    energyLeft({ predicted: { left_m: 40, finalEas_mps: 36 }, flown: { left_m, finalEas_mps } } as never);

  it("is less where it was slower: from 70 kt to 60 kt is 57 ft of height", () => {
    // By hand: (30.87² − 36.01²)/(2·9.80665) = −17.5 m.
    const slow = at(40, 60 * MPS_PER_KT);
    expect(slow?.speed_m).toBeCloseTo((30.8667 ** 2 - 36 ** 2) / (2 * 9.80665), 2);
    expect(slow?.difference_m).toBeCloseTo(slow?.speed_m ?? NaN, 9);
    expect(at(60, 60 * MPS_PER_KT)?.difference_m).toBeCloseTo(20 + (slow?.speed_m ?? NaN), 9);
  });

  it("is nothing apart where the speed was the planned one, or it was never aligned", () => {
    expect([at(40, 36.5), at(null, 30)]).toEqual([null, null]);
  });
});
