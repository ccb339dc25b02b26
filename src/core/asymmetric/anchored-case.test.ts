import { describe, expect, it } from "vitest";
import { demoTwinQuestion } from "../../../demo/demo-twin";
import { demoAircraft } from "../../../demo/read-demo";
import { radians } from "../quantities/angle";
import { asymmetricCase, caseOfSameRudder } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import { vmca } from "./vmca";

const made = (question: AsymmetricQuestion) => {
  const found = asymmetricCase(question);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};

describe("the case anchored on the book", () => {
  it.each(["larch-t2", "hornbeam-t2c", "cedar-j2"])(
    "%s: in the certification case the computed speed is the published one (14 CFR 23.149 before 2017, memory)",
    (name) => {
      const aircraft = demoAircraft(name);
      const certified = demoTwinQuestion(
        { mass_kg: aircraft.mass.calibration_kg ?? 0, flap: aircraft.polar?.takeOffFlap ?? 0 },
        name,
      );
      const found = vmca(made(certified), radians(5));
      expect(found.limits.rudder).toMatchObject({ kind: "at" });
      expect(found.limits.rudder.kind === "at" ? found.limits.rudder.eas_mps : NaN).toBeCloseTo(
        aircraft.asymmetric?.publishedVmca_mps ?? NaN,
        4,
      );
    },
  );

  it("the rudder's power is the aeroplane's own: it does not change with what is asked", () => {
    const powers = [
      {},
      { mass_kg: 1300 },
      { altitude_m: 3000 },
      { deadPropeller: "feathered" as const },
      { failed: "right" as const },
      { gearDown: true, flap: 2, items: ["door"] },
    ].map((change) => made(demoTwinQuestion(change)).cnDeltaR);
    for (const power of powers) expect(power).toBe(powers[0]);
  });

  it("with the power known the same case is made without the anchor", () => {
    const question = demoTwinQuestion({ altitude_m: 1200, gearDown: true, failed: "right" });
    const whole = made(question);
    expect(caseOfSameRudder(question, whole.cnDeltaR)).toEqual({ ok: true, value: whole });
  });

  it.each([
    ["not_a_twin", demoTwinQuestion({ aircraft: demoAircraft("alder-s1") })],
    ["no_such_flap", demoTwinQuestion({ flap: 7 })],
    ["no_such_propeller_state", demoTwinQuestion({ deadPropeller: "coarse" })],
    ["outside_atmosphere", demoTwinQuestion({ altitude_m: 25_000 })],
  ])("%s is said with its place", (code, question) => {
    const found = asymmetricCase(question);
    expect(found).toMatchObject({ ok: false, issue: { code } });
    if (!found.ok) expect(found.issue.path).not.toBe("");
  });

  it("engines so near the middle that no rudder power makes the published speed are refused", () => {
    const larch = demoAircraft("larch-t2");
    const absurd = { ...larch, asymmetric: larch.asymmetric && { ...larch.asymmetric, armY_m: 0.05 } };
    const found = asymmetricCase(demoTwinQuestion({ aircraft: absurd }));
    expect(found.ok ? "ok" : found.issue.code).toBe("no_anchor");
  });
});
