// Each figure of a turn back's working beside the formula that stands next to it, worked out again from the aircraft's
// document, the wind and the points of the flight.
import { describe, expect, it } from "vitest";
import { demoDeparture } from "../../../demo/demo-departure";
import { polarOf } from "../aircraft/polar";
import { degrees } from "../quantities/angle";
import { G0, MPS_PER_KT, M_PER_FT, RHO0 } from "../quantities/constants";
import { bestBank } from "./best-bank";
import { turnbackAccount } from "./turnback-account";
import { turnbackWorking } from "./turnback-working";

const CASES = [
  { name: "still air", headwind_kt: 0, length_m: 1200, mass_kg: 1050, height_ft: 700 },
  { name: "15 kt ahead", headwind_kt: 15, length_m: 1000, mass_kg: 1100, height_ft: 620 },
  { name: "25 kt ahead, a short runway", headwind_kt: 25, length_m: 800, mass_kg: 1000, height_ft: 500 },
  { name: "light, from the side", headwind_kt: 8, crosswind_kt: 10, length_m: 1400, mass_kg: 850, height_ft: 900 },
];

describe.each(CASES)("the working of a turn back: $name", ({ mass_kg, height_ft, ...plain }) => {
  const { day, question } = demoDeparture({ mass_kg, plain });
  const height_m = height_ft * M_PER_FT;
  const technique = bestBank(day, question, height_m)?.technique;
  const account = technique && turnbackAccount(day, question, height_m, technique);
  if (!account) throw new Error("expected a turn back");
  const steps = turnbackWorking(day, question, account);
  const of = (figure: string, symbol: string) => {
    const found = steps.filter((step) => step.figure === figure && step.symbol === symbol);
    expect(found, `${figure}, ${symbol}`).toHaveLength(1);
    return Number(found[0].value);
  };
  const { points, result } = account;
  const { bank_rad, stallMargin } = account.technique;
  const { wing } = question.aircraft;
  if (!wing) throw new Error("expected a wing");
  const clean = polarOf(question.aircraft, mass_kg, {
    propeller: question.propeller,
    flap: 0,
    gearDown: true,
    slip: 0,
    items: [],
  });
  if (!clean.ok) throw new Error(clean.issue.message);

  it("the climb: wing loading, thrust, where the engine stops", () => {
    expect(of("climb", "W/S")).toBeCloseTo((mass_kg * G0) / wing.area_m2, 9);
    expect(of("climb", "T")).toBeGreaterThan(0);
    expect(of("climb", "T1")).toBe(day.thrust.slope_Nspm);
    expect(of("climb", "run")).toBe(day.climb.run_m);
    // What is recorded begins a part of a step later.
    const [first, second] = points;
    const speed = (second.x_m - first.x_m) / (second.time_s - first.time_s);
    expect(Math.abs(of("climb", "x") + speed * first.time_s - first.x_m)).toBeLessThan(0.1);
    expect(of("climb", "x")).toBeGreaterThan(of("climb", "run"));
    expect(of("climb", "V")).toBe(day.climbEas_mps);
  });

  it("the turn: stall, speed, least margin and greatest load of the points, mean sink", () => {
    const stall = Math.sqrt((2 * mass_kg * G0) / wing.area_m2 / (RHO0 * clean.value.polar.clMax));
    expect(of("turn", "V_S")).toBeCloseTo(stall, 9);
    expect(of("turn", "V_turn")).toBeCloseTo((stallMargin * stall) / Math.sqrt(Math.cos(bank_rad)), 9);
    expect(of("turn", "φ")).toBe(bank_rad);
    expect(of("turn", "Δ")).toBe(account.technique.intercept_rad);
    expect(of("turn", "t_ext")).toBe(account.technique.extension_s);
    for (const point of points) {
      expect(point.stallMargin).toBeGreaterThanOrEqual(of("turn", "V/V_S"));
      expect(point.loadFactor).toBeLessThanOrEqual(of("turn", "n"));
    }
    expect(points.some(({ stallMargin: margin }) => margin === of("turn", "V/V_S"))).toBe(true);
    expect(points.some(({ loadFactor }) => loadFactor === of("turn", "n"))).toBe(true);
    const turning = points.filter(({ part }) => part === "turn");
    const [first, last] = [turning[0], turning[turning.length - 1]];
    expect(of("turn", "w")).toBeCloseTo((first.height_m - last.height_m) / (last.time_s - first.time_s), 9);
    // Steady: the sink of a glide at that bank, V·sinγ with n = 1/cosφ; the roll in and out takes a little of it.
    const tas = of("turn", "V_turn");
    expect(of("turn", "w")).toBeGreaterThan(0.04 * tas);
    expect(of("turn", "w")).toBeLessThan(0.35 * tas);
    expect(degrees(of("turn", "Δψ"))).toBeGreaterThan(130);
  });

  it("the account: each part's height is that between its first point and the next part's", () => {
    expect(of("Reaction", "Δh")).toBeCloseTo(
      height_m - (points.find(({ part }) => part !== "reaction")?.height_m ?? NaN),
      9,
    );
    expect(of("Reaction", "t")).toBe(account.start.reaction_s);
    const turn = points.findIndex(({ part }) => part === "turn");
    const after = points.findIndex(({ part }, i) => i > turn && part !== "turn");
    if (after > 0) expect(of("Turn", "Δh")).toBeCloseTo(points[turn].height_m - points[after].height_m, 9);
    const left = account.ledger[account.ledger.length - 1];
    expect([10, 3]).toContain(left.height_m);
    expect(left.name).toBe(left.height_m === 10 ? "When aligned" : "Over the end");
    expect(steps.filter(({ symbol }) => symbol === "Δh")).toHaveLength(account.ledger.length);
  });

  it("a part that is flown says its seconds and its integral, a reserve that it has to be left", () => {
    const rows = steps.filter(({ symbol }) => symbol === "Δh");
    expect(rows.map(({ figure }) => figure)).toEqual(account.ledger.map(({ name }) => name));
    account.ledger.forEach((entry, i) => {
      const { meaning, formula, source, value } = rows[i];
      expect(value).toBe(entry.height_m);
      if (i === account.ledger.length - 1) {
        expect(meaning).toBe(`${entry.name.toLowerCase()}: height that has to be left`);
        expect([formula, source]).toEqual(["", "common practice"]);
      } else {
        expect(meaning).toBe(`${entry.name.toLowerCase()}: height used in ${entry.time_s.toFixed(0)} s`);
        expect([formula, source]).toEqual(["Σ V·sinγ·Δt", "point mass in wind, midpoint steps of 0.2 s"]);
      }
    });
  });

  it.each([
    ["attitude", "reaction, pitch attitude held: CL = CLα(θ0 − γ)"],
    ["hands-off", "reaction, hands off: CL as in the climb"],
  ] as const)("says what the hands do in the reaction: %s", (reaction, meaning) => {
    const asked = { ...question, plan: { ...question.plan, reaction } };
    const [step] = turnbackWorking(day, asked, account).filter(
      ({ figure, symbol }) => figure === "Reaction" && symbol === "t",
    );
    expect(step.meaning).toBe(meaning);
  });

  it.each([
    ["chosen", { climb_mps: 38 }, {}],
    ["V_Y over V_S1 of the aircraft document", { climb_mps: null }, {}],
    ["handbook", { climb_mps: null }, { climb: null }],
  ] as const)("says where the climb speed comes from: %s", (source, plan, aircraft) => {
    const asked = {
      ...question,
      aircraft: { ...question.aircraft, ...aircraft },
      plan: { ...question.plan, ...plan },
    };
    const [step] = turnbackWorking(day, asked, account).filter(
      ({ figure, symbol }) => figure === "climb" && symbol === "V",
    );
    expect(step.source).toBe(source);
  });

  it("the margin is the lesser of what is left when aligned, less 10 m, and over the end, less 3 m", () => {
    const aligned = result.alignedHeight_m - 10;
    const over = result.endHeight_m === null ? Infinity : result.endHeight_m - 3;
    expect(of("margin", "h")).toBe(height_m);
    expect(of("margin", "M")).toBeCloseTo(Math.min(aligned, over), 9);
  });

  it("stopping: wind at 3 m from behind, touchdown at 1.1 V_S0, flare and roll", () => {
    const wind = plain.headwind_kt * MPS_PER_KT * (3 / 10) ** (1 / 7);
    // Down the runway it blows as it does at ten metres, less by the height.
    expect(of("stop", "w")).toBeCloseTo(wind, 1);
    const { landing } = day;
    const stall = Math.sqrt((2 * landing.wingLoading) / (RHO0 * landing.clMax));
    expect(of("stop", "V_td") / (1.1 * stall + of("stop", "w"))).toBeCloseTo(1, 2);
    const mean = 1.2 * stall + of("stop", "w");
    expect(of("stop", "flare") / (((0.2 * stall) / (0.2 * G0)) * mean)).toBeCloseTo(1, 2);
    expect(of("stop", "roll")).toBeCloseTo(of("stop", "V_td") ** 2 / (2 * day.braking * G0), 6);
    if (result.spare_m !== null) {
      expect(of("stop", "spare")).toBe(result.spare_m);
      expect(result.spare_m).toBeLessThan(plain.length_m - of("stop", "flare") - of("stop", "roll") + 1);
      expect(account.score_m).toBeCloseTo(Math.min(result.margin_m, result.spare_m / 10), 9);
      expect(account.limit).toBe(result.spare_m / 10 < result.margin_m ? "stopping" : "reaching");
    }
  });

  it("out against back: two climb heights, and the glide's ratio with the wind of the climb", () => {
    const gain = 1 - of("outflown", "c") / of("outflown", "g");
    expect(of("outflown", "dM/dh")).toBeCloseTo(gain, 9);
    // In still air it comes back at the best ratio, 1/(2·√(CD0·k)); a headwind carries it home.
    const { cd0, k } = clean.value.polar;
    const ratio = of("outflown", "g") * 2 * Math.sqrt(cd0 * k);
    if (plain.headwind_kt === 0) expect(ratio).toBeCloseTo(1, 3);
    else expect(ratio).toBeGreaterThan(1.1);
    expect(of("outflown", "c")).toBeGreaterThan(2);
  });

  it("says what it does not model, and every step names where it comes from", () => {
    expect(steps[steps.length - 1]).toMatchObject({ symbol: "validity", value: "estimate" });
    for (const step of steps) expect(step.source.length, step.symbol).toBeGreaterThan(2);
  });
});
