// The restart folder flown and summed again by plainer means: independent steps, other algorithms, sums by hand.
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { demoAircraft } from "../../../demo/read-demo";
import { airspeedsFromCas, airspeedsFromEas } from "../air/airspeed";
import { airAtAltitude } from "../air/altimetry";
import type { Aeroplane } from "../aircraft/aeroplane";
import { cleanGlide } from "../aircraft/configuration";
import { dragCoefficient, polarOf } from "../aircraft/polar";
import { engineForce } from "../engine/engine-force";
import { bestGlide } from "../glide/straight-glide";
import { G0, M_PER_FT, P0_PA, RHO0, T0_K } from "../quantities/constants";
import { PISTON_FLOW, flowFor } from "./cause-flow";
import { type MinutesChoice, type MinutesQuestion, minutesLeft } from "./minutes-left";
import { RelightQuestion, relightPlan, relightPlans } from "./relight";
import { inEnvelope } from "./relight-envelope";
import { type RestartQuestion, restartBudget } from "./restart-budget";
import { warmUp } from "./warm-up";

const FT = M_PER_FT;
const STANDARD = { qnh_Pa: P0_PA, deviation_K: 0 };

type Corner = { readonly speedCalibrated_mps: number; readonly altitudePressure_m: number };
const corner = (speedCalibrated_mps: number, altitudePressure_m: number): Corner => ({
  speedCalibrated_mps,
  altitudePressure_m,
});

describe("the envelope against the sum of angles", () => {
  /** A five-cornered envelope, not convex: its third corner is drawn in. */
  const ENVELOPE = [corner(100, 0), corner(180, 0), corner(140, 3000), corner(190, 9000), corner(120, 8000)];
  /** Winding: the angles under which the edges are seen add up to a full turn inside, and to nothing outside. */
  const winds = (v: number, h: number) => {
    // Metres are drawn to a scale at which both sides are alike, or angles would be lost.
    const scaled = ENVELOPE.map((c) => [c.speedCalibrated_mps - v, (c.altitudePressure_m - h) / 100]);
    const sum = scaled.reduce((total, [x, y], i) => {
      const [nx, ny] = scaled[(i + 1) % scaled.length];
      return total + Math.atan2(x * ny - y * nx, x * nx + y * ny);
    }, 0);
    return Math.abs(sum) > Math.PI;
  };

  it("agrees everywhere but on the edge itself", () => {
    fc.assert(
      fc.property(evenly(80, 210), evenly(-500, 10_000), (v, h) => {
        // Where a step to any side changes the answer it is the edge.
        const near = [-0.05, 0, 0.05].flatMap((by) => [winds(v + by, h), winds(v, h + by)]);
        if (new Set(near).size > 1) return;
        expect(inEnvelope(ENVELOPE, v, h)).toBe(near[0]);
      }),
      { numRuns: 2000 },
    );
  });

  it("corners and points along every edge belong to it; beyond its ends the line does not", () => {
    ENVELOPE.forEach((a, i) => {
      const b = ENVELOPE[(i + 1) % ENVELOPE.length];
      const at = (share: number) =>
        [
          a.speedCalibrated_mps + share * (b.speedCalibrated_mps - a.speedCalibrated_mps),
          a.altitudePressure_m + share * (b.altitudePressure_m - a.altitudePressure_m),
        ] as const;
      for (const share of [0, 0.01, 0.3, 0.5, 0.77, 0.99, 1])
        expect([i, share, inEnvelope(ENVELOPE, ...at(share))]).toEqual([i, share, true]);
    });
    // Along the lowest edge, drawn on to both sides.
    for (const v of [99.98, 180.02, 60, 220]) expect(inEnvelope(ENVELOPE, v, 0)).toBe(false);
    for (const [v, h] of [
      [99.995, 0],
      [140, -0.005],
    ])
      expect(inEnvelope(ENVELOPE, v, h)).toBe(true);
    for (const h of [-0.02, -5]) expect(inEnvelope(ENVELOPE, 140, h)).toBe(false);
  });
});

const cedar = demoAircraft("cedar-j2");
const relightAsk = (change: Partial<RelightQuestion> = {}): RelightQuestion => ({
  aircraft: cedar,
  mass_kg: 41_000,
  configuration: cleanGlide(cedar),
  air: STANDARD,
  altitude_m: 24_000 * FT,
  commit_m: 3000 * FT,
  ground_m: 0,
  chance: 0.4,
  stopped: "both",
  centreOfGravity: 0.5,
  ...change,
});
const plan = (kind: "windmill" | "assisted", change: Partial<RelightQuestion> = {}) => {
  const found = relightPlan(relightAsk(change), kind);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};
/** True airspeed, drag over weight and sink of the Cedar at an equivalent airspeed and altitude, from its polar. */
function gliding(eas_mps: number, altitude_m: number) {
  const found = polarOf(cedar, 41_000, cleanGlide(cedar));
  if (!found.ok) throw new Error(found.issue.message);
  const { polar } = found.value;
  const q = 0.5 * RHO0 * eas_mps ** 2;
  // Lift a little less than weight on the way down; iterated.
  let cl = polar.wingLoading / q;
  for (let i = 0; i < 8; i += 1) cl = (polar.wingLoading / q) * Math.cos(Math.atan(dragCoefficient(polar, cl) / cl));
  const slope_rad = Math.atan(dragCoefficient(polar, cl) / cl);
  const tas_mps = eas_mps / Math.sqrt(airAtAltitude(altitude_m, STANDARD).sigma);
  return { polar, slope_rad, tas_mps, drag: Math.sin(slope_rad), sink_mps: tas_mps * Math.sin(slope_rad) };
}
const easOf = (cas_mps: number, altitude_m: number) => {
  const found = airspeedsFromCas(cas_mps, airAtAltitude(altitude_m, STANDARD));
  if (!found.ok) throw new Error(found.issue.message);
  return found.value.eas_mps;
};

describe("the way down to a relight", () => {
  it("in the dive energy goes as drag takes it (energy balance)", () => {
    const { path, cas_mps } = plan("windmill");
    const energy = path.map(({ cas_mps: cas, altitude_m }) => {
      const eas = easOf(cas, altitude_m);
      const { tas_mps, drag } = gliding(eas, altitude_m);
      return { height_m: altitude_m + tas_mps ** 2 / (2 * G0), power_mps: drag * tas_mps, cas };
    });
    const from = energy.findIndex(({ cas }) => cas > energy[0].cas + 2);
    const to = energy.findIndex(({ cas }) => cas > cas_mps - 1);
    expect(to - from).toBeGreaterThan(8);
    const lost_m = energy[from].height_m - energy[to].height_m;
    const taken_m = energy
      .slice(from, to)
      .reduce((sum, { power_mps }, i) => sum + (power_mps + energy[from + i + 1].power_mps) / 2, 0);
    expect(lost_m / taken_m).toBeCloseTo(1, 1);
    // A dive is steeper than the glide at its target by some five degrees.
    const [a, b] = [path[from], path[to]];
    const steep =
      (a.altitude_m - b.altitude_m) /
      path
        .slice(from, to)
        .reduce((sum, { cas_mps: cas, altitude_m }) => sum + gliding(easOf(cas, altitude_m), altitude_m).tas_mps, 0);
    expect(Math.asin(steep)).toBeCloseTo(gliding(easOf(cas_mps, b.altitude_m), b.altitude_m).slope_rad + 0.087, 1);
  });

  it("what the dive takes is its height less that of the glide of the same time", () => {
    const { dive_m, path, cas_mps } = plan("windmill");
    const began = path.findIndex(({ cas_mps: cas }) => cas > path[0].cas_mps + 1) - 1;
    const ended = path.findIndex(({ cas_mps: cas }) => cas > cas_mps - 0.3);
    const best = bestGlide(gliding(100, 0).polar);
    const middle_m = (path[began].altitude_m + path[ended].altitude_m) / 2;
    const sunk_m = gliding(best.eas_mps, middle_m).sink_mps * (path[ended].time_s - path[began].time_s);
    expect(dive_m / (path[began].altitude_m - path[ended].altitude_m - sunk_m)).toBeCloseTo(1, 0);
    expect(dive_m).toBeGreaterThan(100);
    expect(plan("assisted", { altitude_m: 15_000 * FT }).dive_m).toBeLessThan(dive_m);
  });

  it("slowing down afterwards is worth what a glide would have lost meanwhile (integrated in small steps)", () => {
    const { back_m, attempts } = plan("windmill");
    const last = attempts.at(-1)?.to;
    if (!last) throw new Error("no attempt");
    const best = bestGlide(gliding(100, 0).polar);
    const root = Math.sqrt(airAtAltitude(last.altitude_m, STANDARD).sigma);
    let [eas, time_s] = [easOf(last.cas_mps, last.altitude_m), 0];
    for (; eas > best.eas_mps; time_s += 0.1) eas -= G0 * gliding(eas, last.altitude_m).drag * 0.1 * root;
    // Drag is taken half-way between both ends; it bends a little less than that.
    const lost_m = time_s * gliding(best.eas_mps, last.altitude_m).sink_mps;
    expect(back_m / lost_m).toBeGreaterThan(0.88);
    expect(back_m / lost_m).toBeLessThan(1.02);
    expect(plan("assisted", { altitude_m: 15_000 * FT }).back_m).toBeLessThan(back_m);
  });

  it("each second of the way sinks as a glide at its speed", () => {
    const { path, attempts } = plan("assisted", { altitude_m: 15_000 * FT });
    expect(path[0]).toMatchObject({ time_s: 0, altitude_m: 15_000 * FT });
    for (let i = 5; i < path.length; i += 17) {
      const [a, b] = [path[i - 1], path[i]];
      expect(b.time_s - a.time_s).toBeCloseTo(1, 9);
      const { sink_mps } = gliding(easOf(b.cas_mps, b.altitude_m), b.altitude_m);
      expect((a.altitude_m - b.altitude_m) / sink_mps).toBeGreaterThan(0.93);
      expect((a.altitude_m - b.altitude_m) / sink_mps).toBeLessThan(1.07);
    }
    expect(attempts.length).toBeGreaterThan(1);
  });

  it("waits until it is inside the envelope: from above it glides on down, and the first attempt begins at its edge", () => {
    const relight = cedar.relight;
    if (!relight) throw new Error("no relight");
    const high = plan("assisted", { altitude_m: 30_000 * FT });
    const [first] = high.attempts;
    expect(inEnvelope(relight.assisted, first.from.cas_mps, first.from.altitude_m)).toBe(true);
    const before = high.path[high.path.findIndex(({ time_s }) => time_s === first.from.time_s) - 2];
    expect(inEnvelope(relight.assisted, before.cas_mps, before.altitude_m)).toBe(false);
    expect(first.to.time_s - first.from.time_s).toBeCloseTo(relight.attempt_s, 6);
    expect(high.attempts[1].from.time_s - first.to.time_s).toBeCloseTo(relight.gap_s, 6);
  });

  it("what is left is over the commit height: of the last attempt, or of here without one", () => {
    const found = plan("windmill");
    expect(found.left_m).toBeCloseTo((found.attempts.at(-1)?.to.altitude_m ?? NaN) - 3000 * FT, 9);
    const low = plan("windmill", { altitude_m: 3500 * FT });
    expect(low).toMatchObject({ attempts: [], back_m: 0 });
    expect(low.left_m).toBeCloseTo(500 * FT, 6);
    expect(low.why).toMatch(/commit height/);
    expect(found.why).toBeNull();
  });

  it("hands on what cannot be flown", () => {
    expect(relightPlan(relightAsk({ mass_kg: 90_000 }), "windmill")).toMatchObject({ ok: false });
    expect(relightPlans(relightAsk({ mass_kg: 90_000 }))).toMatchObject({ ok: false });
    const fast = { ...cedar, relight: cedar.relight && { ...cedar.relight, windmillSpeed_mps: 340 } };
    expect(relightPlan(relightAsk({ aircraft: fast, altitude_m: 10_000 }), "windmill")).toMatchObject({
      ok: false,
      issue: { code: "not_subsonic" },
    });
    expect(relightPlan(relightAsk({ commit_m: 0 }), "windmill")).toMatchObject({
      ok: false,
      issue: { code: "commit_below_ground" },
    });
  });

  it("a speed that no dive comes to is said", () => {
    const slow = { ...cedar, relight: cedar.relight && { ...cedar.relight, windmillSpeed_mps: 190 } };
    const found = relightPlan(relightAsk({ aircraft: slow, altitude_m: 5000 * FT }), "windmill");
    expect(found.ok && found.value).toMatchObject({ attempts: [], why: expect.stringContaining("in a dive") });
  });
});

describe("which kind of attempt is better", () => {
  const better = (change: Partial<RelightQuestion>) => {
    const found = relightPlans(relightAsk({ altitude_m: 20_000 * FT, ...change }));
    if (!found.ok) throw new Error(found.issue.message);
    return found.value;
  };
  it.each([
    [{ chance: 0.9, assistedChance: 0.05 }, "windmill"],
    [{ chance: 0.05, assistedChance: 0.9 }, "assisted"],
    [{ altitude_m: 3300 * FT }, null],
  ] as const)("%o: %s", (change, expected) => expect(better(change).better).toBe(expected));

  it("with equal chance the one that leaves more height", () => {
    const { windmill, assisted, better: chosen } = better({ chance: 1, assistedChance: 1 });
    expect([windmill.chance, assisted.chance]).toEqual([1, 1]);
    expect(chosen).toBe(windmill.left_m > assisted.left_m ? "windmill" : "assisted");
    const other = better({ chance: 0, assistedChance: 0 });
    expect(other.better).toBe(other.windmill.left_m > other.assisted.left_m ? "windmill" : "assisted");
  });

  it("one kind alone is better than none", () => {
    const { windmill, assisted, better: chosen } = better({ altitude_m: 9000 * FT });
    expect(assisted.attempts.length).toBeGreaterThan(0);
    if (windmill.attempts.length === 0) expect(chosen).toBe("assisted");
  });

  it.each([-0.01, 1.01])("a chance of %f is refused, its ends are not", (chance) => {
    const asked = { ...relightAsk(), aircraft: cedar };
    for (const field of ["chance", "assistedChance"]) {
      expect(RelightQuestion.safeParse({ ...asked, [field]: chance }).success).toBe(false);
      for (const end of [0, 0.5, 1]) expect(RelightQuestion.safeParse({ ...asked, [field]: end }).success).toBe(true);
    }
  });
});

describe("the budget on one engine of two", () => {
  const larch = demoAircraft("larch-t2");
  const ask = (change: Partial<RestartQuestion>) => {
    const found = restartBudget({
      aircraft: larch,
      mass_kg: 1725,
      configuration: { ...cleanGlide(larch), propeller: "feathered" },
      air: STANDARD,
      altitude_m: 12_000 * FT,
      commit_m: 9000 * FT,
      ground_m: 0,
      reaction_s: 4,
      stopped: "left",
      centreOfGravity: 1,
      flow: [...PISTON_FLOW],
      ...change,
    });
    if (!found.ok) throw new Error(found.issue.message);
    return found.value;
  };

  it("spends height evenly over the time of the drift-down", () => {
    const found = ask({});
    const whole_s = found.oneEngine?.time_s ?? NaN;
    const mean_mps = (3000 * FT) / whole_s;
    expect(found.sink_mps).toBe(-(found.oneEngine?.climb_mps ?? NaN));
    expect(found.sink_mps).toBeGreaterThan(0);
    expect(found.reaction_m).toBeCloseTo(4 * mean_mps, 6);
    expect(found.spend_s).toBeCloseTo(whole_s - 4, 6);
    expect(found.items[0].cost_m).toBeCloseTo(found.items[0].item.time_s * mean_mps, 6);
    expect(found.items.at(-1)?.end_m).toBeCloseTo(12_000 * FT - 37 * mean_mps, 6);
    expect(found.wholeFrom_m).toBeCloseTo(9000 * FT + 37 * mean_mps, 6);
    expect(found.landFrom_m).toBeCloseTo(9000 * FT + (4 + PISTON_FLOW[0].time_s) * mean_mps, 6);
  });

  it("where the other holds it nothing is spent", () => {
    const found = ask({ altitude_m: 4000 * FT, commit_m: 1500 * FT });
    expect(found).toMatchObject({ spend_s: null, reaction_m: 0, fitting: PISTON_FLOW.length });
    expect(found.items.every(({ cost_m, fits }) => cost_m === 0 && fits)).toBe(true);
    expect(found.sink_mps).toBeLessThan(0);
  });

  it("at the commit height itself it sinks at its rate, and no item fits", () => {
    const found = ask({ altitude_m: 9000 * FT });
    expect(found).toMatchObject({ spend_m: 0, spend_s: 0, fitting: 0 });
    expect(found.reaction_m).toBeCloseTo(4 * -(found.oneEngine?.climb_mps ?? NaN), 6);
  });

  it("states of the propeller come the worst first", () => {
    const { byPropeller } = ask({});
    expect(byPropeller.map(({ state }) => state)).toEqual(
      ["windmilling", "stopped", "coarse", "feathered"].filter((state) =>
        byPropeller.some((entry) => entry.state === state),
      ),
    );
    for (let i = 1; i < byPropeller.length; i += 1)
      expect(byPropeller[i].sink_mps).toBeLessThanOrEqual(byPropeller[i - 1].sink_mps);
  });
});

describe("minutes left, summed again", () => {
  const ask = (name: string, change: Partial<MinutesQuestion> = {}): MinutesQuestion => {
    const aircraft = demoAircraft(name);
    return {
      aircraft,
      mass_kg: aircraft.mass.usual_kg,
      configuration: cleanGlide(aircraft),
      air: STANDARD,
      wind: { surface: null, layers: [] },
      altitude_m: 900,
      ground_m: 100,
      left_s: 300,
      ...change,
    };
  };
  const answer = (question: MinutesQuestion) => {
    const found = minutesLeft(question);
    if (!found.ok) throw new Error(found.issue.message);
    const of = (choice: MinutesChoice) => {
      const one = found.value.plans.find((entry) => entry.choice === choice);
      if (!one) throw new Error(`no ${choice}`);
      return one;
    };
    return { ...found.value, of };
  };
  /** Thrust of all engines at full power, as the documents describe it. */
  function thrust_N({ engines }: Aeroplane, tas_mps: number, altitude_m: number): number {
    const state = airAtAltitude(altitude_m, STANDARD);
    const air = {
      density: state.density,
      delta: state.pressure_Pa / P0_PA,
      theta: state.temperature_K / T0_K,
      speedOfSound_mps: state.speedOfSound_mps,
    };
    const critical = engines.kind === "propeller" ? engines.criticalHeight_m : null;
    const sigmaCritical = critical === null ? null : airAtAltitude(critical, STANDARD).sigma;
    const live = engines.count * engineForce(engines, air, tas_mps, 1, sigmaCritical).thrust_N;
    if (engines.kind !== "propeller" || !engines.thrustLine) return live;
    const sigma = state.density / RHO0;
    const share =
      sigmaCritical === null
        ? 1.132 * sigma - 0.132
        : sigma >= sigmaCritical
          ? 1
          : 1.132 * (sigma / sigmaCritical) - 0.132;
    const { static_N, slope_Nspm } = engines.thrustLine;
    return Math.min(Math.max(static_N - slope_Nspm * tas_mps, 0) * share, live);
  }
  /** Thrust less drag of the running aeroplane, over its weight. */
  function excess(question: MinutesQuestion, eas_mps: number, altitude_m: number): number {
    const { aircraft, mass_kg } = question;
    const found = polarOf(aircraft, mass_kg, question.configuration);
    if (!found.ok) throw new Error(found.issue.message);
    const { polar, shares } = found.value;
    const dead = shares.filter((share) => share.dead).reduce((sum, share) => sum + share.deltaCd, 0);
    const q = 0.5 * RHO0 * eas_mps ** 2;
    const cl = polar.wingLoading / q;
    const tas = eas_mps / Math.sqrt(airAtAltitude(altitude_m, STANDARD).density / RHO0);
    return thrust_N(aircraft, tas, altitude_m) / (mass_kg * G0) - (polar.cd0 - dead + polar.k * cl ** 2) / cl;
  }
  const NAMES = ["alder-s1", "rowan-r1", "larch-t2", "hornbeam-t2c", "thorn-v12", "cedar-j2"];

  it.each(NAMES)("%s flies level where thrust is drag, or as fast as it may", (name) => {
    for (const altitude_m of [900, 3000]) {
      const question = ask(name, { altitude_m });
      const { eas_mps, top_m } = answer(question).of("level");
      expect(top_m).toBe(altitude_m);
      const limit = 0.9 * (question.aircraft.limits.vne_mps ?? Infinity);
      if (eas_mps < limit - 0.1) {
        expect(Math.abs(excess(question, eas_mps, altitude_m))).toBeLessThan(0.002);
        expect(excess(question, eas_mps + 1, altitude_m)).toBeLessThan(0);
      } else expect(excess(question, eas_mps, altitude_m)).toBeGreaterThanOrEqual(-0.002);
    }
  });

  it.each(NAMES)("%s climbs at the speed that carries farthest, at its excess less what speed takes", (name) => {
    const question = ask(name);
    const { of, climb_mps } = answer(question);
    const { eas_mps } = of("climb");
    const found = polarOf(question.aircraft, question.mass_kg, question.configuration);
    const ratio = found.ok ? bestGlide(found.value.polar).ratio : NaN;
    const root = Math.sqrt(airAtAltitude(900, STANDARD).density / RHO0);
    const worth = (eas: number) => (eas / root) * (1 + ratio * excess(question, eas, 900));
    const limit_mps = 0.9 * (question.aircraft.limits.vne_mps ?? Infinity);
    for (const other of [0.9, 0.97, 1.03, 1.1].filter((factor) => factor * eas_mps <= limit_mps))
      expect(worth(other * eas_mps)).toBeLessThanOrEqual(worth(eas_mps) + 0.05);
    const steady_mps = (eas_mps / root) * excess(question, eas_mps, 900);
    expect(climb_mps).toBeGreaterThan(0.85 * steady_mps);
    expect(climb_mps).toBeLessThan(steady_mps);
  });

  it("the way through the air is that of the engine and of the glide, in its own time", () => {
    const question = ask("alder-s1");
    const { of } = answer(question);
    const [level, shut, climb] = [of("level"), of("shut-down"), of("climb")];
    const root = Math.sqrt(airAtAltitude(900, STANDARD).density / RHO0);
    expect(level.engineAir_m).toBeCloseTo((300 * level.eas_mps) / root, 3);
    expect(level.radius_m).toBeCloseTo(level.engineAir_m + level.glideAir_m, 6);
    expect(shut).toMatchObject({ engineAir_m: 0, top_m: 900 });
    expect(level.time_s - shut.time_s).toBeCloseTo(300, 6);
    expect(shut.glideAir_m).toBeCloseTo(level.glideAir_m, 6);
    // 800 m at nine to one, and half a per cent more for the speed that is given up on the way down.
    expect(shut.glideAir_m / 800).toBeGreaterThan(8.9);
    expect(shut.glideAir_m / 800).toBeLessThan(9.2);
    expect(climb.top_m).toBeGreaterThan(900 + 0.8 * 300 * answer(question).climb_mps);
    expect(climb.top_m).toBeLessThan(900 + 300 * answer(question).climb_mps);
    expect(climb.engineAir_m / ((300 * climb.eas_mps) / root)).toBeCloseTo(1, 1);
    // A time that is no whole number of steps ends with it.
    expect(answer({ ...question, left_s: 12.5 }).of("level").engineAir_m).toBeCloseTo((12.5 * level.eas_mps) / root, 3);
  });

  it("the wind carries it as long as it flies, towards where it blows", () => {
    const layers = [111, 6000].map((altitude_m) => ({ altitude_m, from_rad: 0.6, speed_mps: 10 }));
    const { of, plans } = answer(ask("alder-s1", { wind: { surface: null, layers } }));
    for (const choice of ["level", "climb", "shut-down"] as const) {
      const { drift, time_s, radius_m, downwind_m, upwind_m } = of(choice);
      expect(drift.east_m).toBeCloseTo(-10 * Math.sin(0.6) * time_s, -1);
      expect(drift.north_m).toBeCloseTo(-10 * Math.cos(0.6) * time_s, -1);
      expect(downwind_m - radius_m).toBeCloseTo(10 * time_s, -1);
      expect(radius_m - upwind_m).toBeCloseTo(downwind_m - radius_m, 6);
    }
    expect(plans.map(({ upwind_m }) => upwind_m)).toEqual(plans.map(({ upwind_m }) => upwind_m).sort((a, b) => b - a));
  });

  it("wind that grows with height carries it by bands", () => {
    const layers = [
      { altitude_m: 111, from_rad: Math.PI, speed_mps: 3.11 },
      { altitude_m: 2000, from_rad: Math.PI, speed_mps: 22 },
    ];
    const { drift, time_s } = answer(ask("alder-s1", { wind: { surface: null, layers } })).of("shut-down");
    // Half-way down it blows with 7 m/s: 2 m/s and 1 m/s for each hundred metres, at 500 m.
    expect(drift.north_m / time_s).toBeCloseTo(7, 0);
    expect(Math.abs(drift.east_m)).toBeLessThan(1);
  });

  it("says what it cannot do", () => {
    const high = answer(ask("alder-s1", { altitude_m: 7500 }));
    expect(high.issues.map(({ choice }) => choice)).toEqual(["climb", "level"]);
    expect(high.plans.map(({ choice }) => choice)).toEqual(["shut-down"]);
    expect(answer(ask("alder-s1")).issues).toEqual([]);
    expect(minutesLeft(ask("alder-s1", { altitude_m: 100 }))).toMatchObject({
      ok: false,
      issue: { code: "under_ground" },
    });
    const twice = [500, 500].map((altitude_m) => ({ altitude_m, from_rad: 0, speed_mps: 5 }));
    expect(minutesLeft(ask("alder-s1", { wind: { surface: null, layers: twice } }))).toMatchObject({ ok: false });
  });
});

describe("small tables", () => {
  it("the piston flow is as it is taught, with the symptoms that each item answers", () => {
    expect(PISTON_FLOW.map(({ id, time_s, symptoms }) => [id, time_s, symptoms])).toEqual([
      ["last", 2, ["after-change"]],
      ["selector", 3, ["sudden", "surging"]],
      ["pump", 2, ["surging", "sudden"]],
      ["heat", 3, ["fading", "rough"]],
      ["mixture", 3, ["rough", "after-change"]],
      ["ignition", 6, ["rough", "sudden"]],
      ["primer", 3, ["rough"]],
      ["throttle", 3, ["fading"]],
      ["starter", 8, []],
    ]);
    for (const symptom of ["sudden", "surging", "fading", "rough", "after-change"] as const) {
      const first = flowFor(PISTON_FLOW, symptom)[0];
      expect(first.symptoms).toContain(symptom);
    }
  });

  it.each([
    [273.14, "cold"],
    [273.15, "cool"],
    [283.14, "cool"],
    [283.15, "warm"],
  ])("outside %f K it is %s", (outside_K, air) => expect(warmUp(outside_K, 600).air).toBe(air));

  it("low power lasts until a cylinder has gained what it lacks, and half a minute at least", () => {
    const low_s = (stopped_s: number) => warmUp(288.15, stopped_s).steps[1].time_s;
    expect(low_s(0)).toBe(30);
    // All cold: 105 K at 25 K a minute.
    expect(low_s(100_000)).toBeCloseTo(252, 6);
    // One half-life of 240 s: half-way between 200 °C and the air.
    expect(low_s(240)).toBeCloseTo(((120 - 107.5) / 25) * 60, 6);
  });

  it("airspeeds there and back are the same", () => {
    const state = airAtAltitude(3000, STANDARD);
    const eas = airspeedsFromEas(90, state);
    expect(eas.ok && easOf(eas.value.cas_mps, 3000)).toBeCloseTo(90, 9);
  });
});
