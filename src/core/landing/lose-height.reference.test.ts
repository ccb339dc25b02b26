// The plan of height to lose, flown down in half metres: every step begins where the last ended, the drag comes out
// where it is said to, and what is left at the aim point is what the plan says is left.
import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { type Configuration, cleanGlide } from "../aircraft/configuration";
import { polarOf } from "../aircraft/polar";
import { airAtAltitude } from "../air/altimetry";
import { RHO0 } from "../quantities/constants";
import { DEFAULT_LANDING } from "../situation/landing-plan";
import { type LossPlan, type LossStep, loseHeight } from "./lose-height";
import type { LoseQuestion } from "./lose-question";

const question = (name: string, change: Partial<LoseQuestion>): LoseQuestion => {
  const aircraft = demoAircraft(name);
  return {
    aircraft,
    mass_kg: aircraft.mass.usual_kg,
    configuration: cleanGlide(aircraft),
    air: { qnh_Pa: 101_325, deviation_K: 0 },
    elevation_m: 0,
    height_m: 600,
    lose_m: 150,
    tailwind_mps: 0,
    eas_mps: null,
    bank_rad: Math.PI / 6,
    stallMargin: 1.2,
    allowed: [...DEFAULT_LANDING.allowed],
    turnFloor_m: 304.8,
    certain_m: 91.44,
    ...change,
  };
};

/** Height for each metre of ground: the angle from L = W·cosγ and D = W·sinγ, by repetition. */
function slopeOf(asked: LoseQuestion, config: Configuration, eas_mps: number): number {
  const configured = polarOf(asked.aircraft, asked.mass_kg, config);
  if (!configured.ok) throw new Error(configured.issue.message);
  const { wingLoading, cd0, k } = configured.value.polar;
  let gamma = 0;
  for (let i = 0; i < 60; i += 1) {
    const cl = (2 * wingLoading * Math.cos(gamma)) / (RHO0 * eas_mps ** 2);
    gamma = Math.atan2(cd0 + k * cl * cl, cl);
  }
  const root = Math.sqrt(airAtAltitude(asked.elevation_m + asked.height_m / 2, asked.air).sigma);
  return (eas_mps * Math.sin(gamma)) / root / ((eas_mps * Math.cos(gamma)) / root + asked.tailwind_mps);
}

/** The configuration once a step's thing is out too. */
function put(config: Configuration, { action, flap }: LossStep): Configuration {
  if (action === "slip") return { ...config, slip: 1 };
  if (action === "gear") return { ...config, gearDown: true };
  return { ...config, flap: flap ?? config.flap };
}

function planOf(asked: LoseQuestion): LossPlan {
  const plan = loseHeight(asked);
  if (!plan.ok) throw new Error(plan.issue.message);
  return plan.value;
}

const CASES: readonly (readonly [string, string, Partial<LoseQuestion>])[] = [
  ["a little, by slip", "alder-s1", { lose_m: 40 }],
  ["more, by everything", "alder-s1", { lose_m: 400, height_m: 700 }],
  ["from far up, by full turns", "alder-s1", { lose_m: 900, height_m: 1500 }],
  ["with a wind behind", "alder-s1", { lose_m: 300, height_m: 900, tailwind_mps: 6 }],
  ["against a wind", "alder-s1", { lose_m: 300, height_m: 900, tailwind_mps: -8 }],
  ["high and thin", "alder-s1", { lose_m: 200, elevation_m: 2000 }],
  ["by drag alone", "alder-s1", { lose_m: 250, allowed: ["slip", "flap", "last-flap"] }],
  ["by flap alone", "rowan-r1", { lose_m: 60, allowed: ["flap"] }],
  ["with gear and flap", "rowan-r1", { lose_m: 200, height_m: 480, allowed: ["slip", "flap", "gear", "last-flap"] }],
  ["by speed and S-turns", "rowan-r1", { lose_m: 260, allowed: ["speed", "s-turns"] }],
  ["by S-turns alone", "alder-s1", { lose_m: 90, height_m: 600, allowed: ["s-turns"] }],
  ["more than can be lost", "alder-s1", { lose_m: 450, height_m: 560, allowed: ["slip"] }],
];

describe.each(CASES)("height to lose: %s (%s)", (_, name, change) => {
  const asked = question(name, change);
  const plan = planOf(asked);
  const clean = slopeOf(asked, asked.configuration, plan.eas_mps);
  const early = plan.steps.filter((step) => step.to_m > 0);
  const drag = plan.steps.filter((step) => step.to_m === 0);

  it("begins with the ground that the glide covers with what is not to be lost", () => {
    expect(plan.distance_m).toBeCloseTo((asked.height_m - asked.lose_m) / clean, 3);
    expect(plan.steps.every(({ action }) => asked.allowed.includes(action))).toBe(true);
    expect(plan.steps.reduce((sum, step) => sum + step.loses_m, 0)).toBeCloseTo(plan.loses_m, 9);
    expect(plan.left_m).toBeCloseTo(Math.max(asked.lose_m - plan.loses_m, 0), 9);
  });

  it("ends where it says, every step beginning where the last ended", () => {
    let [height, distance] = [asked.height_m, plan.distance_m];
    for (const step of early) {
      expect(step.from_m).toBeCloseTo(height, 6);
      const glided = step.action === "turn" ? 0 : step.ground_m * clean;
      const drift = step.action === "turn" ? asked.tailwind_mps * step.time_s : 0;
      // A turn begins and ends on the line: what the wind has carried is ground that need not be glided over.
      height -= glided + step.loses_m + drift * clean;
      distance -= step.ground_m + drift;
      expect(step.to_m).toBeCloseTo(height, 6);
      expect(step.time_s).toBeGreaterThan(0);
    }
    const half = 0.5;
    for (const step of drag) expect(step.ground_m).toBeLessThanOrEqual(distance + 1e-6);
    for (let left = distance; left > 0; left -= half) {
      const flown = Math.min(half, left);
      const middle = left - flown / 2;
      const gains = drag.filter((step) => step.ground_m > middle).map((step) => step.loses_m / step.ground_m);
      height -= flown * (clean + gains.reduce((sum, gain) => sum + gain, 0));
    }
    expect(Math.abs(height - plan.left_m)).toBeLessThan(0.5);
  });

  it("each thing that comes out costs what the polar says, one on top of the other, and at its height", () => {
    let [config, before] = [asked.configuration, clean];
    for (const [i, step] of drag.entries()) {
      config = put(config, step);
      const now = slopeOf(asked, config, plan.eas_mps);
      // One that is held slower by its limit is another speed.
      const held = asked.aircraft.limits.vfe_mps[config.flap] ?? Infinity;
      if (held < plan.eas_mps) return;
      expect(step.loses_m / step.ground_m).toBeCloseTo(now - before, 5);
      before = now;
      const outThere = drag.map((other) => (other.loses_m / other.ground_m) * Math.min(step.ground_m, other.ground_m));
      expect(step.from_m).toBeCloseTo(clean * step.ground_m + outThere.reduce((sum, loss) => sum + loss, 0), 6);
      if (["gear", "last-flap"].includes(step.action)) expect(step.from_m).toBeLessThanOrEqual(asked.certain_m + 1e-6);
      if (i > 0) expect(step.ground_m).toBeLessThanOrEqual(drag[i - 1].ground_m + 1e-6);
    }
  });

  it("takes the time of its turns and of the ground", () => {
    const root = Math.sqrt(airAtAltitude(asked.elevation_m + asked.height_m / 2, asked.air).sigma);
    const turned = early.filter(({ action }) => action === "turn");
    const rest = early.filter(({ action }) => action !== "turn");
    const drift = turned.reduce((sum, step) => sum + asked.tailwind_mps * step.time_s, 0);
    const left_m = plan.distance_m - drift - rest.reduce((sum, step) => sum + step.ground_m, 0);
    // cosγ of a glide of 1:8 is within a per cent of one.
    const ground_mps = plan.eas_mps / root + asked.tailwind_mps;
    const seconds = early.reduce((sum, step) => sum + step.time_s, 0) + left_m / ground_mps;
    expect(Math.abs(plan.time_s / seconds - 1)).toBeLessThan(0.015);
    for (const step of drag) expect(Math.abs((step.time_s * ground_mps) / step.ground_m - 1)).toBeLessThan(0.015);
  });
});

describe("height to lose: what is used and what is not", () => {
  it("full turns end above their floor, S-turns above half of it", () => {
    const plan = planOf(question("alder-s1", { lose_m: 900, height_m: 1500 }));
    const turns = plan.steps.filter(({ action }) => action === "turn");
    const weaves = plan.steps.filter(({ action }) => action === "s-turns");
    expect(turns.length).toBeGreaterThan(1);
    for (const turn of turns) expect(turn.to_m).toBeGreaterThanOrEqual(304.8);
    for (const weave of weaves) expect(weave.to_m).toBeGreaterThanOrEqual(152.4 - 1e-6);
    // One turn more would lose too much, or end too low.
    const one = turns[0].loses_m;
    expect(900 - turns.length * one < one || turns[turns.length - 1].to_m - one < 304.8).toBe(true);
  });

  it("nothing is used that is not allowed, and nothing for nothing", () => {
    expect(planOf(question("alder-s1", { allowed: [] })).steps).toEqual([]);
    expect(planOf(question("alder-s1", { lose_m: 0 })).steps).toEqual([]);
  });

  it("speed is not used over more than its share of the way", () => {
    const plan = planOf(question("rowan-r1", { lose_m: 260, allowed: ["speed"] }));
    const [speed] = plan.steps;
    expect(speed.action).toBe("speed");
    expect(speed.ground_m).toBeLessThanOrEqual(plan.distance_m);
    expect(speed.time_s).toBeLessThan(speed.ground_m / plan.eas_mps);
  });
});
