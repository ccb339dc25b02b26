import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenly } from "../../../fuzz/evenly";
import { demoAircraft } from "../../../demo/read-demo";
import { cleanGlide } from "../aircraft/configuration";
import { polarOf, stallSpeed_mps } from "../aircraft/polar";
import { airAtAltitude } from "../air/altimetry";
import { bestGlide, liftCoefficientAt, straightGlide } from "../glide/straight-glide";
import { radians } from "../quantities/angle";
import { P0_PA } from "../quantities/constants";
import { DEFAULT_LANDING } from "../situation/landing-plan";
import { type LossPlan, loseHeight } from "./lose-height";
import { LoseQuestion } from "./lose-question";

const AIR = { qnh_Pa: P0_PA, deviation_K: 0 };
function question(change: Partial<LoseQuestion> = {}, name = "alder-s1"): LoseQuestion {
  const aircraft = demoAircraft(name);
  return {
    aircraft,
    mass_kg: aircraft.mass.usual_kg,
    configuration: cleanGlide(aircraft),
    air: AIR,
    elevation_m: 0,
    height_m: 500,
    lose_m: 100,
    tailwind_mps: 0,
    eas_mps: null,
    bank_rad: radians(30),
    stallMargin: 1.2,
    allowed: [...DEFAULT_LANDING.allowed],
    turnFloor_m: 304.8,
    certain_m: 91.44,
    ...change,
  };
}
function plan(change: Partial<LoseQuestion> = {}, name = "alder-s1"): LossPlan {
  const found = loseHeight(question(change, name));
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}
const actions = (found: LossPlan) => found.steps.map((step) => step.action);

describe("height to lose", () => {
  it("loses what is asked when it can: reversible things first, gear and last flap last", () => {
    const found = plan(
      { lose_m: 200, height_m: 480, configuration: { ...question({}, "rowan-r1").configuration } },
      "rowan-r1",
    );
    const order = ["turn", "s-turns", "speed", "slip", "flap", "gear", "last-flap"];
    const ranks = actions(found).map((action) => order.indexOf(action));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    expect(found.loses_m + found.left_m).toBeCloseTo(200, 6);
  });

  it("gear and last flap come out only below the height at which it is certain", () => {
    for (const name of ["alder-s1", "rowan-r1", "larch-t2"]) {
      const found = plan({ lose_m: 400, height_m: 520, allowed: ["slip", "flap", "gear", "last-flap"] }, name);
      const late = found.steps.filter((step) => step.action === "gear" || step.action === "last-flap");
      expect(late.length, name).toBeGreaterThan(0);
      for (const step of late) expect(step.from_m, step.name).toBeLessThan(91.44 * 1.5);
    }
  });

  it("nothing beyond its speed limit: refused with the reason, and not in the plan", () => {
    const { limits } = demoAircraft("rowan-r1");
    const fast = plan(
      { eas_mps: (limits.vfe_mps[2] ?? 50) + 2, lose_m: 250, allowed: ["slip", "flap", "gear", "last-flap"] },
      "rowan-r1",
    );
    const refused = fast.options.filter((option) => option.refused !== null).map((option) => option.action);
    expect(refused).toContain("last-flap");
    for (const action of refused) expect(actions(fast)).not.toContain(action);
    expect(fast.options.find((option) => option.action === "last-flap")?.refused).toContain("V_FE");
  });

  it("no full turn ends below its floor, no S-turn below half of it", () => {
    for (const height_m of [320, 450, 600, 1200]) {
      const found = plan({ height_m, lose_m: height_m * 0.7 });
      for (const step of found.steps.filter((one) => one.action === "turn"))
        expect(step.to_m).toBeGreaterThanOrEqual(304.8 - 1e-9);
      for (const step of found.steps.filter((one) => one.action === "s-turns"))
        expect(step.to_m).toBeGreaterThanOrEqual(152.4 - 1e-9);
    }
  });

  it("the glide with slip all the way loses what the polar says (independent of the planner)", () => {
    const found = plan({ allowed: ["slip"], lose_m: 300, height_m: 400 });
    const { aircraft, mass_kg, configuration } = question();
    const ratio = (slip: number) => {
      const made = polarOf(aircraft, mass_kg, { ...configuration, slip });
      if (!made.ok) throw new Error(made.issue.message);
      return straightGlide(made.value.polar, liftCoefficientAt(made.value.polar, found.eas_mps) ?? NaN).ratio;
    };
    const ground = 100 * ratio(0);
    expect(found.distance_m).toBeCloseTo(ground, 6);
    expect(found.loses_m).toBeCloseTo(ground / ratio(1) - 100, 6);
  });

  // Common practice: weaving 45° to each side lengthens the way by a ninth, ψm/sinψm = 1.11.
  it("S-turns of 45° lose a ninth of the glide over their ground", () => {
    const found = plan({ allowed: ["s-turns"], lose_m: 5, height_m: 900 });
    const [step] = found.steps;
    const sigma = airAtAltitude(450, AIR).sigma;
    expect(sigma).toBeGreaterThan(0.9);
    expect(step.loses_m / ((step.ground_m * (900 - 5)) / found.distance_m)).toBeCloseTo(
      Math.PI / 4 / Math.sin(Math.PI / 4) - 1,
      6,
    );
  });

  it("a plan never loses more than asked by over 5 % (property)", () => {
    fc.assert(
      fc.property(
        fc.constantFrom("alder-s1", "rowan-r1", "larch-t2", "hornbeam-t2c", "cedar-j2"),
        fc.integer({ min: 60, max: 1500 }),
        evenly(0, 0.95),
        fc.integer({ min: -10, max: 8 }),
        fc.subarray(["turn", "s-turns", "speed", "slip", "flap", "gear", "last-flap"] as const),
        evenly(0, 0.4),
        (name, height_m, share, tailwind_mps, allowed, faster) => {
          const asked = question({ height_m, lose_m: share * height_m, tailwind_mps, allowed: [...allowed] }, name);
          const made = polarOf(asked.aircraft, asked.mass_kg, asked.configuration);
          const eas_mps = made.ok
            ? Math.max(bestGlide(made.value.polar).eas_mps, 1.2 * stallSpeed_mps(made.value.polar)) * (1 + faster)
            : null;
          const found = loseHeight({ ...asked, eas_mps });
          if (!found.ok) throw new Error(found.issue.message);
          const { steps, loses_m, left_m } = found.value;
          expect(loses_m).toBeLessThanOrEqual(1.05 * asked.lose_m + 1e-6);
          expect(loses_m + left_m).toBeCloseTo(asked.lose_m, 4);
          for (const step of steps) {
            expect(allowed).toContain(step.action);
            expect(Object.values(step).every((value) => typeof value !== "number" || Number.isFinite(value))).toBe(
              true,
            );
          }
        },
      ),
      { numRuns: 300, seed: 5 },
    );
  });

  it("says what is wrong with a question", () => {
    expect(loseHeight(question({ eas_mps: 20 }))).toMatchObject({ ok: false, issue: { code: "too_slow" } });
    expect(loseHeight(question({ lose_m: 500 }))).toMatchObject({ ok: false, issue: { code: "lose_too_much" } });
    expect(loseHeight(question({ tailwind_mps: -39 }))).toMatchObject({ ok: false, issue: { code: "no_headway" } });
    expect(loseHeight(question({ mass_kg: 3000 }))).toMatchObject({ ok: false, issue: { code: "mass_outside" } });
    expect(LoseQuestion.safeParse({ ...question(), height_m: 5 }).error?.issues[0].path).toEqual(["height_m"]);
  });
});
