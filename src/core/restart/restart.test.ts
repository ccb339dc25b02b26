import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { Aeroplane } from "../aircraft/aeroplane";
import { cleanGlide } from "../aircraft/configuration";
import { M_PER_FT, MPS_PER_KT } from "../quantities/constants";
import { PISTON_FLOW, causeFlow, flowFor } from "./cause-flow";
import { steadyDescent } from "../glide/steady-descent";
import { type RelightQuestion, relightPlan, relightPlans } from "./relight";
import { inEnvelope } from "./relight-envelope";
import { type RestartQuestion, restartBudget } from "./restart-budget";

const FT = M_PER_FT;
const alder = demoAircraft("alder-s1");
const cedar = demoAircraft("cedar-j2");
const STANDARD = { qnh_Pa: 101_325, deviation_K: 0 };
const ask = (change: Partial<RestartQuestion> = {}): RestartQuestion => ({
  aircraft: alder,
  mass_kg: 1100,
  configuration: cleanGlide(alder),
  air: STANDARD,
  altitude_m: 4000 * FT,
  commit_m: 1500 * FT,
  ground_m: 0,
  reaction_s: 4,
  stopped: "both",
  centreOfGravity: 0.5,
  flow: [...PISTON_FLOW],
  ...change,
});
const budget = (change: Partial<RestartQuestion> = {}) => {
  const found = restartBudget(ask(change));
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("the flow", () => {
  it("puts what the symptom points to first and loses nothing", () => {
    const sudden = flowFor(PISTON_FLOW, "sudden");
    expect(sudden.slice(0, 3).map((item) => item.id)).toEqual(["selector", "pump", "ignition"]);
    expect([...sudden].sort((a, b) => a.id.localeCompare(b.id))).toEqual(
      [...PISTON_FLOW].sort((a, b) => a.id.localeCompare(b.id)),
    );
    expect(flowFor(PISTON_FLOW, "after-change")[0].id).toBe("last");
    expect(flowFor(PISTON_FLOW, null)).toEqual(PISTON_FLOW);
  });

  it("is for piston engines", () => {
    expect(causeFlow(alder)).toBe(PISTON_FLOW);
    expect(causeFlow(cedar)).toEqual([]);
    const names = (id: string) => causeFlow(demoAircraft(id)).map((item) => item.name);
    expect(names("rowan-r1")).toEqual(PISTON_FLOW.map(({ name }) => (name === "Carburettor" ? "Alternate air" : name)));
    expect(names("fir-p1")).toContain("Separator");
    expect(names("fir-p1")).not.toContain("Mixture");
  });
});

describe("the budget of height", () => {
  it("Alder S1 at 1 100 kg sinks 3.790 m/s at sea level at best glide (cross-check), more up here, and half a per cent less for its acceleration", () => {
    const found = budget();
    expect(found.eas_mps).toBeCloseTo(34.328818, 5);
    // σ at 4,000 ft is 0.8881: 3.790/√σ, less AF of 0.005.
    expect(found.sink_mps / (3.790122 / Math.sqrt(0.8881) / 1.005)).toBeCloseTo(1, 2);
    const descent = steadyDescent({ sinkEas_mps: 3.790122, ratio: 9 }, found.eas_mps, STANDARD);
    expect(found.spend_s).toBeCloseTo(descent.time_s(4000 * FT - found.reaction_m, 1500 * FT), 0);
  });

  it("the seconds of the flow are those of its items, each at its price in height where it is done", () => {
    const found = budget();
    expect(found.whole_s).toBe(33);
    expect(found.items.at(-1)?.to_s).toBe(37);
    found.items.forEach((entry) => expect(entry.cost_m / (entry.item.time_s * found.sink_mps)).toBeCloseTo(1, 1));
    expect(found.items.reduce((sum, entry) => sum + entry.cost_m, found.reaction_m)).toBeCloseTo(
      4000 * FT - (found.items.at(-1)?.end_m ?? NaN),
      3,
    );
    expect(found.fitting).toBe(PISTON_FLOW.length);
    expect(found.then.map(({ item }) => item.id)).toEqual(["call", "passengers", "secure"]);
    expect(found.then[0].from_s).toBe(37);
  });

  it("below a height only the first items fit, below another none: fly, feather, land", () => {
    const low = budget({ altitude_m: 1500 * FT + 60 });
    expect(low.fitting).toBeGreaterThan(0);
    expect(low.fitting).toBeLessThan(PISTON_FLOW.length);
    const none = budget({ altitude_m: 1500 * FT + 10 });
    expect(none).toMatchObject({ fitting: 0, spend_m: 0, spend_s: 0 });
    expect(none.landFrom_m).toBeGreaterThan(1500 * FT + 10);
  });

  it("at just the height of the whole flow the last item ends at the commit height", () => {
    const { wholeFrom_m } = budget({ altitude_m: 2000 * FT });
    const found = budget({ altitude_m: wholeFrom_m });
    expect(Math.abs((found.items.at(-1)?.end_m ?? NaN) - 1500 * FT)).toBeLessThan(2);
  });

  it("with one of two engines running the other holds it, drifts down or sinks, by its climb", () => {
    const of = (name: string, change: Partial<RestartQuestion>) => {
      const aircraft = demoAircraft(name);
      const found = restartBudget(
        ask({
          aircraft,
          mass_kg: aircraft.mass.usual_kg,
          configuration: {
            ...cleanGlide(aircraft),
            ...(aircraft.polar?.deadPropeller?.feathered ? { propeller: "feathered" as const } : {}),
          },
          stopped: "left",
          ...change,
        }),
      );
      if (!found.ok) throw new Error(found.issue.message);
      return found.value;
    };
    const low = of("larch-t2", {});
    expect(low).toMatchObject({ spend_s: null, fitting: PISTON_FLOW.length, oneEngine: { levelsOff_m: null } });
    expect(low.oneEngine?.climb_mps).toBeGreaterThan(0.5);
    // Cross-check: one-engine absolute ceiling of the Larch at its maximum mass 6,953 ft (aft centre of gravity).
    const high = of("larch-t2", { mass_kg: 1725, centreOfGravity: 1, altitude_m: 12_000 * FT });
    expect(high.spend_s).toBeNull();
    expect((high.oneEngine?.levelsOff_m ?? 0) / FT).toBeGreaterThan(6800);
    expect((high.oneEngine?.levelsOff_m ?? 0) / FT).toBeLessThan(7100);
    // Commit above the ceiling: down to it in the time of the drift-down at best rate.
    const down = of("larch-t2", { mass_kg: 1725, centreOfGravity: 1, altitude_m: 12_000 * FT, commit_m: 9000 * FT });
    expect(down.spend_s).toBeGreaterThan(600);
    expect(down.oneEngine?.levelsOff_m).toBeNull();
    // Windmilling, gear and landing flap out it sinks: seconds again.
    const dirty = of("larch-t2", {
      mass_kg: 1725,
      configuration: { ...cleanGlide(demoAircraft("larch-t2")), gearDown: true, flap: 3 },
    });
    expect(dirty.spend_s).toBeLessThan(600);
    expect(of("larch-t2", { stopped: "both" }).oneEngine).toBeNull();
    expect(budget({ stopped: "left" }).oneEngine).toBeNull();
    expect(of("cedar-j2", { altitude_m: 4000 }).oneEngine?.climb_mps).toBeGreaterThan(2);
  });

  it("a windmilling propeller sinks most, a stopped one less", () => {
    const sinks = budget().byPropeller;
    expect(sinks.map((entry) => entry.state)).toEqual(["windmilling", "stopped"]);
    expect(sinks[0].sink_mps).toBeGreaterThan(sinks[1].sink_mps);
  });

  it("refuses a commit height below the ground and masses outside", () => {
    expect(restartBudget(ask({ commit_m: 0, ground_m: 10 }))).toMatchObject({
      ok: false,
      issue: { code: "commit_below_ground", path: "commit_m" },
    });
    // Under the ground there is nothing to restart: told with the height of the ground, as the landing tells it.
    expect(restartBudget(ask({ altitude_m: 50, commit_m: 400, ground_m: 100 }))).toMatchObject({
      ok: false,
      issue: { code: "under_ground", path: "altitude_m", message: expect.stringContaining("330\u00a0ft (100\u00a0m)") },
    });
    expect(restartBudget(ask({ mass_kg: 2000 }))).toMatchObject({ ok: false, issue: { code: "mass_outside" } });
  });

  it("more height never fits fewer items, a longer reaction never more", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 500, max: 3000 }),
        fc.integer({ min: 0, max: 500 }),
        fc.integer({ min: 0, max: 10 }),
        (altitude_m, more, reaction_s) => {
          const here = budget({ altitude_m, reaction_s });
          expect(budget({ altitude_m: altitude_m + more, reaction_s }).fitting).toBeGreaterThanOrEqual(here.fitting);
          expect(budget({ altitude_m, reaction_s: reaction_s + 2 }).fitting).toBeLessThanOrEqual(here.fitting);
        },
      ),
      { numRuns: 60 },
    );
  });
});

const relightAsk = (change: Partial<RelightQuestion> = {}): RelightQuestion => ({
  aircraft: cedar,
  mass_kg: 41_000,
  configuration: cleanGlide(cedar),
  air: STANDARD,
  altitude_m: 14_000 * FT,
  commit_m: 3000 * FT,
  ground_m: 0,
  chance: 0.4,
  stopped: "both",
  centreOfGravity: 0.5,
  ...change,
});

describe("the relight envelope", () => {
  const corners = cedar.relight?.windmill ?? [];
  it.each([
    [270, 10_000, true],
    [235, 0, true],
    [320, 28_000, true],
    [230, 5000, false],
    [240, 20_000, false],
    [270, 29_000, false],
  ])("%d KCAS at %d ft: %s (corners of the demo fleet)", (kt, ft, inside) => {
    expect(inEnvelope(corners, kt * MPS_PER_KT, ft * FT)).toBe(inside);
  });
});

describe("attempts of a jet", () => {
  it("each lasts its time with the gap between, and ends above the commit height inside the envelope", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3500, max: 35_000 }),
        fc.integer({ min: 500, max: 6000 }),
        fc.constantFrom("windmill" as const, "assisted" as const),
        (altitude_ft, commit_ft, kind) => {
          const found = relightPlan(relightAsk({ altitude_m: altitude_ft * FT, commit_m: commit_ft * FT }), kind);
          if (!found.ok) throw new Error(found.issue.message);
          const { attempts, why, chance } = found.value;
          expect(why === null).toBe(attempts.length > 0);
          expect(chance).toBeCloseTo(1 - 0.6 ** attempts.length, 9);
          attempts.forEach((attempt, i) => {
            expect(attempt.to.altitude_m).toBeGreaterThanOrEqual(commit_ft * FT);
            expect(attempt.to.time_s - attempt.from.time_s).toBeCloseTo(45, 6);
            expect(inEnvelope(cedar.relight?.[kind] ?? [], attempt.to.cas_mps, attempt.to.altitude_m)).toBe(true);
            if (i > 0) expect(attempt.from.time_s).toBeGreaterThanOrEqual(attempts[i - 1].to.time_s + 20 - 1e-6);
          });
        },
      ),
      { numRuns: 40 },
    );
  });

  it("windmilling begins with recognition and a dive to 270 KCAS, which costs more than the energy of the speed", () => {
    const found = relightPlan(relightAsk(), "windmill");
    if (!found.ok) throw new Error(found.issue.message);
    const { attempts, dive_m, back_m, cas_mps } = found.value;
    expect(cas_mps / MPS_PER_KT).toBeCloseTo(270, 0);
    expect(attempts[0].from.cas_mps / MPS_PER_KT).toBeCloseTo(270, 0);
    // (V² − v²)/2g between true 182 and 270 KCAS at about 13,000 ft: some 820 m; a part of it pays for the drag on the
    // way.
    expect(dive_m).toBeGreaterThan(500);
    expect(dive_m).toBeLessThan(1300);
    expect(back_m).toBeGreaterThan(0);
    expect(back_m).toBeLessThan(dive_m);
  });

  // Each second at 270 KCAS costs a fifth less height up there than without the acceleration factor, which left 3, 5
  // and 9.
  it.each([
    [14_000, 4],
    [20_000, 6],
    [30_000, 10],
  ])("from FL%d/100: %i windmilling attempts above 1 500 ft", (altitude_ft, attempts) => {
    const found = relightPlan(relightAsk({ altitude_m: altitude_ft * FT, commit_m: 1500 * FT }), "windmill");
    expect(found.ok && found.value.attempts.length).toBe(attempts);
  });

  it("assisted attempts wait for the auxiliary power at gliding speed and sink less", () => {
    const plans = relightPlans(relightAsk());
    if (!plans.ok) throw new Error(plans.issue.message);
    const { windmill, assisted, better } = plans.value;
    expect(assisted.attempts[0].from.time_s).toBeCloseTo(75, 6);
    expect(assisted.attempts.length).toBeGreaterThan(windmill.attempts.length);
    expect(better).toBe("assisted");
    const sink = (plan: typeof windmill) => (plan.attempts[0].from.altitude_m - plan.attempts[0].to.altitude_m) / 45;
    expect(sink(windmill)).toBeGreaterThan(1.5 * sink(assisted));
  });

  it("too low there is none, and it is said why; an envelope is needed", () => {
    const low = relightPlans(relightAsk({ altitude_m: 3400 * FT }));
    expect(low.ok && low.value).toMatchObject({ better: null, windmill: { attempts: [] }, assisted: { attempts: [] } });
    expect(low.ok && low.value.windmill.why).not.toBeNull();
    expect(
      relightPlan(relightAsk({ aircraft: alder, mass_kg: 1000, configuration: cleanGlide(alder) }), "windmill"),
    ).toMatchObject({ ok: false, issue: { code: "no_relight" } });
    expect(relightPlan(relightAsk({ commit_m: 0 }), "assisted")).toMatchObject({
      ok: false,
      issue: { code: "commit_below_ground" },
    });
  });
});

describe("cause checks of one's own", () => {
  it("an aircraft's own check is used, the usual one where it has none, none for a jet", () => {
    expect(causeFlow(alder)).toBe(PISTON_FLOW);
    expect(causeFlow(demoAircraft("cedar-j2"))).toEqual([]);
    const thorn = demoAircraft("thorn-v12");
    expect(causeFlow(thorn).map((item) => item.id)).toContain("coolant");
    const found = restartBudget(
      ask({
        aircraft: thorn,
        mass_kg: thorn.mass.usual_kg,
        configuration: cleanGlide(thorn),
        flow: flowFor(causeFlow(thorn), "fading"),
      }),
    );
    expect(found.ok && found.value.items[0].item.symptoms).toContain("fading");
  });

  it("every symptom points to something in every check that ships", () => {
    for (const name of ["alder-s1", "thorn-v12", "hornbeam-t2c"]) {
      const flow = causeFlow(demoAircraft(name));
      for (const symptom of ["sudden", "surging", "fading", "rough", "after-change"] as const) {
        const [first] = flowFor(flow, symptom);
        expect(first.symptoms, `${name} ${symptom}`).toContain(symptom);
        expect(
          flowFor(flow, symptom)
            .map((item) => item.id)
            .sort(),
        ).toEqual(flow.map((item) => item.id).sort());
      }
    }
  });

  it("two items of one id, an item without a name, and none at all are refused", () => {
    const [item] = PISTON_FLOW;
    const fault = (flow: unknown[]) => Aeroplane.safeParse({ ...alder, causeFlow: flow }).error?.issues[0].message;
    expect(fault([item, { ...item, name: "Again" }])).toContain("same id");
    expect(fault([{ ...item, name: " " }])).toContain("name");
    expect(fault([])).toContain("at least one");
  });
});

describe("chances of both kinds", () => {
  it("each kind counts its own, 1 − (1 − p)ⁿ; without one for auxiliary power the same for both", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99 }), fc.integer({ min: 1, max: 99 }), (windmilling, assisted) => {
        const [p, q] = [windmilling / 100, assisted / 100];
        const own = relightPlan(relightAsk({ chance: p, assistedChance: q }), "assisted");
        const same = relightPlan(relightAsk({ chance: p }), "assisted");
        const dive = relightPlan(relightAsk({ chance: p, assistedChance: q }), "windmill");
        if (!own.ok || !same.ok || !dive.ok) throw new Error("no plan");
        expect(own.value.chance).toBeCloseTo(1 - (1 - q) ** own.value.attempts.length, 12);
        expect(same.value.chance).toBeCloseTo(1 - (1 - p) ** same.value.attempts.length, 12);
        expect(dive.value.chance).toBeCloseTo(1 - (1 - p) ** dive.value.attempts.length, 12);
      }),
      { numRuns: 20, seed: 4 },
    );
  });
});
