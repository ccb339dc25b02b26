import { describe, expect, it } from "vitest";
import { radians } from "../quantities/angle";
import { MPS_PER_KT } from "../quantities/constants";
import { demoTwinQuestion } from "../../../demo/demo-twin";
import { demoAircraft } from "../../../demo/read-demo";
import { identifyAnswer } from "../identify/identify-answer";
import { beforeFeathering } from "./before-feathering";
import { belowVmca } from "./below-vmca";
import { climbTo } from "./climb-by-height";
import { demonstration } from "./demonstration";
import { engineOutCard, engineOutNow, engineOutTables } from "./engine-out";

const question = demoTwinQuestion({ gearDown: true });
const BANK = { kind: "bank", bank_rad: radians(3) } as const;
const now = engineOutNow(question, BANK, null);
if (!now.ok) throw new Error(now.issue.message);
const { value } = now;

describe("what moves with a slider", () => {
  it("without a speed takes V_YSE of the aeroplane mended", () => {
    expect(value.eas_mps).toBe(value.speeds.rate.eas_mps);
    const slow = engineOutNow(question, BANK, 40);
    expect(slow.ok && slow.value.eas_mps).toBe(40);
    expect(slow.ok && slow.value.speeds.rate.eas_mps).toBe(value.speeds.rate.eas_mps);
  });

  it("keeps the limit of the gear that is down, and says where a drift-down ends", () => {
    const jet = engineOutNow(
      demoTwinQuestion({ gearDown: true, flap: 0, deadPropeller: "none" }, "cedar-j2"),
      BANK,
      null,
    );
    expect(jet.ok && jet.value.limit).toMatchObject({ name: "V_LE" });
    expect(jet.ok && jet.value.eas_mps).toBeLessThanOrEqual(jet.ok ? (jet.value.limit?.speed_mps ?? 0) : 0);
    expect(value.holdsAt_m).toBeNull();
    const high = engineOutNow({ ...question, altitude_m: 6000 }, BANK, null);
    expect(high.ok && high.value.holdsAt_m).toBeGreaterThan(1000);
    expect(high.ok && high.value.holdsAt_m).toBeLessThan(4000);
  });

  it("ledger, forces and shares are of one and the same state", () => {
    const { state } = value.ledger;
    expect(value.used.rudder).toBeCloseTo(Math.abs(state.rudder_rad) / radians(25), 5);
    expect(value.forces.side.weight_N).toBeCloseTo(question.mass_kg * 9.80665 * Math.sin(state.bank_rad), 6);
    expect(value.ledger.left_mps).toBe(state.climb_mps);
  });

  it("says why an aircraft is not for it", () => {
    expect(engineOutNow({ ...question, aircraft: demoAircraft("alder-s1") }, BANK, null)).toMatchObject({
      ok: false,
      issue: { code: "not_a_twin" },
    });
  });
});

describe("what takes a moment longer", () => {
  const tables = engineOutTables(question, BANK.bank_rad, value.vmca.stall_mps);

  it("agrees with the state: curve at its altitude, chart at its bank", () => {
    expect(tables.curve[0].vmca_mps).toBeCloseTo(value.vmca.eas_mps ?? NaN, 6);
    const atThree = tables.byBank.find((at) => Math.abs(at.bank_rad - BANK.bank_rad) < 1e-9);
    expect(atThree?.vmca_mps).toBeCloseTo(value.vmca.eas_mps ?? NaN, 6);
    expect(tables.rudder).toHaveLength(8);
    expect(tables.byHeight[0].mended.climb_mps).toBeCloseTo(value.speeds.rate.climb_mps, 6);
  });

  it("sorts the factors by what they do", () => {
    const sizes = tables.factors.map((factor) => Math.abs(factor.change_mps ?? 0));
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
  });

  it("the card has three masses at five altitudes, ceilings for each, and zero thrust", () => {
    const card = engineOutCard(question, BANK.bank_rad, value.eas_mps);
    expect(card.rows).toHaveLength(15);
    expect(card.ceilings.map((at) => at.mass_kg)).toEqual([1725, 1427.5, 1130]);
    expect(card.zero.ok).toBe(true);
    expect(engineOutCard(demoTwinQuestion({}, "cedar-j2"), 0, 85).zero.ok).toBe(false);
  });
});

describe("the other questions", () => {
  it("waiting, climbing, below minimum control speed and its demonstration answer for the same aeroplane", () => {
    const wait = beforeFeathering({ ...question, eas_mps: value.eas_mps, bank: BANK }, 20);
    expect(wait.ok && wait.value.cost_m).toBeGreaterThan(20);
    expect(climbTo(question, 3000)).toEqual({ ok: true, value: null });
    const below = belowVmca(question, (value.vmca.eas_mps ?? 0) - 2, BANK.bank_rad);
    expect(below.ok && below.value.yaw_radps).toBeGreaterThan(0);
    const shown = demonstration(
      { ...question, gearDown: false },
      { ground_m: 0, floor_m: 900, deceleration_mps2: MPS_PER_KT, bank_rad: 0 },
    );
    expect(shown.ok && shown.value.tooLow).toBe(true);
  });

  it("identifying gives the minute, the pedal of a dead engine, and a sink on none that is more than on one", () => {
    const found = identifyAnswer({
      question,
      eas_mps: value.eas_mps,
      fault: "starvation",
      engine: "right",
      closed: null,
    });
    if (!found.ok) throw new Error(found.issue.message);
    expect(found.value.moments).toHaveLength(61);
    expect(Math.abs(found.value.moments[60].foot_N / found.value.full_N)).toBeCloseTo(1, 2);
    expect(found.value.sinkOnNone_mps).toBeGreaterThan(-value.ledger.left_mps);
  });
});
