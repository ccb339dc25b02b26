import { describe, expect, it } from "vitest";
import { FLAT, cut, demoFlight, flyBy } from "../../../demo/demo-flight";
import { demoAircraft } from "../../../demo/read-demo";
import { cleanGlide } from "../aircraft/configuration";
import { polarOf } from "../aircraft/polar";
import { airState } from "../air/atmosphere";
import { airColumn } from "../simulation/air-column";
import { turnSpeed } from "../glide/gliding-turn";
import { bestGlide } from "../glide/straight-glide";
import { MPS_PER_KT, P0_PA, RHO0 } from "../quantities/constants";
import * as C from "../simulation/controls";
import { TRACE_CHANNELS, type TraceChannel, freshTrace, noteTrace } from "../simulation/flight-trace";
import { CAUSES } from "./height-account";
import { heightSpent } from "./height-spent";
import { heightSpentWorking } from "./height-spent-working";

const kt = (speed: number) => speed * MPS_PER_KT;
const DEG = Math.PI / 180;
const MASS = { "alder-s1": 1100, "hornbeam-t2c": 3175 } as const;
const PRACTICE = { bank_rad: 45 * DEG, stallMargin: 1.2 };

interface Flown {
  readonly id?: keyof typeof MASS;
  readonly speed_mps: (t: number) => number;
  readonly bank_rad?: (t: number) => number;
  readonly for_s?: number;
  readonly flap?: number;
  readonly ball?: number;
  readonly wind_mps?: number;
  readonly throttle?: number;
  readonly feathered?: boolean;
}

/** Something is done, and the rest is straight: a little bank once. */
const nudge = (t: number) => (t > 15.2 && t < 15.9 ? 0.3 : 0);

/** A glide of an aeroplane whose engine is stopped from the beginning, accounted for. */
function glided({ id = "alder-s1", for_s = 60, wind_mps = 0, throttle = 0, ...flown }: Flown, practice = PRACTICE) {
  const wind = { surface: { from_rad: 0, speed_mps: Math.abs(wind_mps) }, layers: [] };
  const mass_kg = MASS[id];
  const flight = demoFlight(id, {
    mass_kg,
    flap: flown.flap ?? 0,
    tas_mps: flown.speed_mps(0),
    altitude_m: 900,
    gamma_rad: -0.1,
    throttle,
    ground: FLAT,
    column: airColumn({ qnh_Pa: P0_PA, deviation_K: 0 }, () => ({ east_mps: 0, north_mps: -wind_mps }), 0, 0),
  });
  if (throttle === 0)
    for (const engine of [0, 1] as const) {
      cut(flight, engine);
      flight.controls[C.PROPELLER + engine] = C.kept(flown.feathered ? 0 : 1);
    }
  const trace = freshTrace();
  flyBy(flight, for_s, flown, (t) => {
    noteTrace(trace, flight, Math.round(t * 120));
    return true;
  });
  // What the hands needed to settle is not judged here.
  return heightSpent(
    {
      aircraft: demoAircraft(id),
      mass_kg,
      centreOfGravity: 1,
      air: { qnh_Pa: P0_PA, deviation_K: 0 },
      // The profile of the law is not what this column has: the same at all heights.
      wind: { ...wind, layers: [0, 100, 2000].map((altitude_m) => ({ altitude_m, ...wind.surface })) },
      ground_m: 0,
    },
    trace.rows,
    150,
    practice,
  );
}

function spent(...asked: Parameters<typeof glided>) {
  const found = glided(...asked);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

const POLAR = (() => {
  const aircraft = demoAircraft("alder-s1");
  const found = polarOf(aircraft, 1100, cleanGlide(aircraft));
  if (!found.ok) throw new Error(found.issue.message);
  return found.value.polar;
})();
const BEST = bestGlide(POLAR);
/** Drains of the height, D·V/W, at a speed and a load: the textbook's sum, at the density of 700 m or so. */
const drain_mps = (eas_mps: number, load = 1, extraCd = 0) => {
  const q = 0.5 * RHO0 * eas_mps ** 2;
  const cl = (load * POLAR.wingLoading) / q;
  return ((POLAR.cd0 + extraCd + POLAR.k * cl * cl) * q * eas_mps) / POLAR.wingLoading;
};
const settled = (spent: { straight: { time_s: number } }) => spent.straight.time_s;

describe("where the height of a glide went", () => {
  it("all of it is accounted for, whatever was flown (adds up to a hundredth of a metre)", () => {
    const flown = spent({
      speed_mps: (t) => BEST.eas_mps + (t > 30 ? 8 : 0),
      bank_rad: (t) => (t > 20 && t < 28 ? 0.6 : 0),
      wind_mps: 6,
    });
    const { reaction, turns, straight, beyond_m } = flown;
    const beyond = CAUSES.reduce((sum, cause) => sum + beyond_m[cause], 0);
    expect(reaction.lost_m + turns.least_m + straight.least_m + beyond + flown.intoSpeed_m).toBeCloseTo(
      flown.lost_m,
      2,
    );
    // As its working has it.
    const lines = heightSpentWorking(flown);
    const of = (symbols: readonly string[]) =>
      lines.reduce((sum, { symbol, value }) => sum + (symbols.includes(symbol) ? Number(value) : 0), 0);
    expect(of(["least", "Δh", "ΔV²/2g"]) + reaction.lost_m).toBeCloseTo(of(["lost"]), 2);
    expect(flown.lost_m).toBeGreaterThan(100);
    expect(turns.turned_rad).toBeGreaterThan(0.9);
  });

  it("best glide straight in calm air needs what it took: every cause within 2 % of it", () => {
    const { straight, beyond_m, reaction } = spent({
      speed_mps: () => BEST.eas_mps,
      bank_rad: nudge,
    });
    expect(reaction.time_s).toBeLessThan(2);
    expect(straight.distance_m / straight.least_m).toBeCloseTo(BEST.ratio, 1);
    for (const cause of CAUSES) expect(Math.abs(beyond_m[cause])).toBeLessThan(0.02 * straight.least_m);
  });

  it("twenty knots too fast: the difference of the drag sums over the same ground goes to speed", () => {
    const fast = BEST.eas_mps + kt(20);
    const flown = spent({ speed_mps: () => fast, bank_rad: nudge });
    const time_s = settled(flown) * Math.sqrt(RHO0 / 1.15);
    const expected = drain_mps(fast) * time_s - flown.straight.least_m;
    expect(flown.beyond_m.speed / expected).toBeCloseTo(1, 1);
    expect(flown.beyond_m.speed).toBeGreaterThan(20);
    expect(Math.abs(flown.beyond_m.flap) + Math.abs(flown.beyond_m.bank)).toBeLessThan(0.1 * flown.beyond_m.speed);
  });

  it("against 25 kt ten knots more are no loss, and at the calm speed something is lost", () => {
    const of = (speed: number) => spent({ speed_mps: () => speed, wind_mps: 13, bank_rad: nudge }).beyond_m.speed;
    expect(Math.abs(of(BEST.eas_mps + kt(8)))).toBeLessThan(3);
    expect(of(BEST.eas_mps)).toBeGreaterThan(1.5);
  });

  it("flap out goes to flap, the ball out to slip, at the textbook's ΔCD·q·V/W", () => {
    const flap = spent({ speed_mps: () => BEST.eas_mps, flap: 2, bank_rad: nudge });
    const deltaCd = demoAircraft("alder-s1").polar?.flaps[2].deltaCd ?? NaN;
    const time_s = settled(flap) * Math.sqrt(RHO0 / 1.15);
    const expected = (drain_mps(BEST.eas_mps, 1, deltaCd) - drain_mps(BEST.eas_mps)) * time_s;
    expect(flap.beyond_m.flap / expected).toBeCloseTo(1, 1);
    expect(flap.beyond_m.slip).toBeLessThan(0.05 * flap.beyond_m.flap);
    const slip = spent({ speed_mps: () => BEST.eas_mps, ball: 1.5, bank_rad: nudge });
    expect(slip.beyond_m.slip).toBeGreaterThan(5);
    expect(slip.beyond_m.flap).toBe(0);
  });

  it("a turn at the planned bank and speed needs what it took; one at 20° loses as the book's turn does", () => {
    const { eas_mps } = turnSpeed(POLAR, 45 * DEG, 1.2);
    const steep = spent({ speed_mps: () => eas_mps, bank_rad: (t) => (t > 15 ? 45 * DEG : 0), for_s: 40 });
    expect(steep.turns.turned_rad).toBeGreaterThan(3.5);
    expect(Math.abs(steep.turns.lost_m / steep.turns.least_m - 1)).toBeLessThan(0.06);
    const gentle = spent({ speed_mps: () => eas_mps, bank_rad: (t) => (t > 15 ? 20 * DEG : 0), for_s: 40 });
    // At one speed the loss for each radian goes with drag(n)/(g·tan φ): 20° takes 1.9 times what 45° does.
    const ratio =
      (drain_mps(eas_mps, 1 / Math.cos(20 * DEG)) * Math.tan(45 * DEG)) /
      (drain_mps(eas_mps, 1 / Math.cos(45 * DEG)) * Math.tan(20 * DEG));
    expect(gentle.turns.lost_m / gentle.turns.least_m / ratio).toBeCloseTo(1, 1);
    expect(gentle.beyond_m.bank).toBeGreaterThan(0.6 * gentle.turns.least_m);
    expect(Math.abs(gentle.beyond_m.speed)).toBeLessThan(0.05 * gentle.turns.least_m);
  });

  it("until something is done it is the reaction’s, and only that", () => {
    const { reaction, straight, turns } = spent({
      speed_mps: () => BEST.eas_mps,
      bank_rad: (t) => (t > 21 ? 0.5 : 0),
      for_s: 30,
    });
    expect(reaction.time_s).toBeGreaterThan(5.5);
    expect(reaction.time_s).toBeLessThan(7.5);
    expect(reaction.lost_m / reaction.time_s).toBeCloseTo(BEST.sinkEas_mps, 0);
    expect(straight.time_s + turns.time_s + reaction.time_s).toBeCloseTo(15, 0);
  });

  it("speed that is given away is height that was kept: nothing of it is lost", () => {
    const flown = spent({ speed_mps: (t) => BEST.eas_mps + Math.max(0, 12 - 0.4 * Math.max(t - 15, 0)) });
    expect(flown.intoSpeed_m).toBeLessThan(-30);
    expect(flown.lost_m - flown.intoSpeed_m).toBeGreaterThan(flown.lost_m + 30);
  });

  it("a propeller left windmilling that could be feathered is the engine’s", () => {
    const flown = (feathered: boolean) =>
      spent({ id: "hornbeam-t2c", speed_mps: () => kt(111), bank_rad: nudge, feathered });
    const [left, done] = [flown(false), flown(true)];
    expect(Math.abs(done.beyond_m.engine)).toBeLessThan(0.1 * done.straight.least_m);
    expect(left.beyond_m.engine).toBeGreaterThan(3 * Math.abs(done.beyond_m.engine));
  });

  it("with an engine that pulls, or hardly anything flown, it says so", () => {
    const powered = glided({ speed_mps: () => BEST.eas_mps, throttle: 0.8 });
    expect(powered).toMatchObject({ ok: false, issue: { code: "powered" } });
    expect(glided({ speed_mps: () => BEST.eas_mps, for_s: 16 })).toMatchObject({
      ok: false,
      issue: { code: "too_short" },
    });
  });

  describe("row by row", () => {
    const V = 36;
    /** Straight on at 900 m, a row each tenth; something is done at a second. */
    const rows = (of: Partial<Record<TraceChannel, number>>, count = 300) =>
      Array.from({ length: count }, (_, i) =>
        TRACE_CHANNELS.map((channel) => {
          const straight: Partial<Record<TraceChannel, number>> = {
            time_s: i / 10,
            north_m: (V * i) / 10,
            altitude_m: 900 - 0.4 * i,
            height_m: 900 - 0.4 * i,
            tas_mps: V,
            loadFactor: 1,
            pitch_rad: i < 10 ? 0.1 : 0,
            overStall: 1.4,
          };
          return of[channel] ?? straight[channel] ?? 0;
        }),
      );
    const account = (of: Partial<Record<TraceChannel, number>>, count?: number) => {
      const found = heightSpent(
        {
          aircraft: demoAircraft("alder-s1"),
          mass_kg: 1100,
          centreOfGravity: 1,
          air: { qnh_Pa: P0_PA, deviation_K: 0 },
          wind: { surface: null, layers: [] },
          ground_m: 0,
        },
        rows(of, count),
        0,
        PRACTICE,
      );
      if (!found.ok) throw new Error(found.issue.message);
      return found.value;
    };
    const DENSITY = airState(840, 0).density;
    const q = 0.5 * DENSITY * V * V;

    it("a pull in straight flight is load's and not speed's: k·(n² − 1)·(W/S)/q·V·t", () => {
      const [level, pulled] = [account({}), account({ loadFactor: 1.4 })];
      const expected = ((POLAR.k * (1.4 ** 2 - 1) * POLAR.wingLoading) / q) * V * pulled.straight.time_s;
      expect(pulled.beyond_m.bank / expected).toBeCloseTo(1, 1);
      expect(pulled.beyond_m.speed).toBeCloseTo(level.beyond_m.speed, 9);
      expect(level.beyond_m.bank).toBe(0);
    });

    it("slip goes with its square", () => {
      const once = account({ beta_rad: 0.06 }).beyond_m.slip;
      const dynamics = demoAircraft("alder-s1").dynamics?.lateral;
      expect(account({ beta_rad: -0.12 }).beyond_m.slip / once).toBeCloseTo(4, 9);
      const expected = ((dynamics?.cdBeta ?? NaN) * 0.06 ** 2 * q * V * 28.9) / POLAR.wingLoading;
      expect(once / expected).toBeCloseTo(1, 1);
    });

    it("is over where it is landed: the flare is not counted", () => {
      const low = account({ height_m: 16 });
      expect(low.to_s).toBeCloseTo(29.9, 6);
      expect(() => account({ height_m: 14 })).toThrow(/two seconds/);
    });
  });
});
