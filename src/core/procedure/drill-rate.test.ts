import { describe, expect, it } from "vitest";
import { demoAircraft, demoGyroplane, demoHelicopter, demoSituation } from "../../../demo/read-demo";
import { firstConfiguration } from "../aircraft/configuration";
import type { AircraftDocument } from "../aircraft/aircraft-document";
import { M_PER_FT, MPS_PER_KT } from "../quantities/constants";
import { drillRate } from "./drill-rate";
import type { Side } from "./drill";
import type { DrillFlight } from "./procedure";

const air = { qnh_Pa: 101_325, deviation_K: 0 };
const rate = (aircraft: AircraftDocument, dead: Side, change: object = {}, flight?: DrillFlight) => {
  const found = drillRate(
    aircraft,
    {
      ...demoSituation(),
      air,
      altitude_m: 0,
      mass_kg: aircraft.mass.usual_kg,
      configuration: firstConfiguration(aircraft),
      ...change,
    },
    dead,
    flight,
  );
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
};
const ftpm = (mps: number) => (mps * 60) / M_PER_FT;

describe("what waiting costs while a drill is run", () => {
  // cross-check: the gyroplane's best glide at 480 kg is 51.9 kt at 3.51: about 1,500 ft/min.
  it("is the glide of a single, the autorotation of a gyroplane", () => {
    expect(ftpm(rate(demoAircraft("alder-s1"), null).climb_mps)).toBeLessThan(-600);
    expect(ftpm(rate(demoAircraft("alder-s1"), null).climb_mps)).toBeGreaterThan(-1100);
    expect(ftpm(rate(demoGyroplane(), null, { mass_kg: 480 }).climb_mps) / -1500).toBeCloseTo(1, 1);
  });

  it("is what the other engine of a twin gives, more with the propeller feathered, less when heavy", () => {
    const larch = demoAircraft("larch-t2");
    const with_ = (propeller: "windmilling" | "feathered") =>
      rate(larch, "left", { configuration: { ...firstConfiguration(larch), propeller } });
    expect(with_("windmilling").onOne).toBe(true);
    expect(with_("feathered").climb_mps).toBeGreaterThan(with_("windmilling").climb_mps + 0.5);
    expect(rate(larch, "left", { mass_kg: larch.mass.maximum_kg }).climb_mps).toBeLessThan(
      rate(larch, "left").climb_mps,
    );
  });

  it("is 3° on an approach, nothing level, the glide with no engine; what the other one gone too would leave", () => {
    const larch = demoAircraft("larch-t2");
    const of = (flight: DrillFlight) => rate(larch, "left", {}, flight);
    const approach = of("approach");
    // 3° at 85 kt is about 450 ft/min: five times the ground speed in knots, and a little (rule of thumb).
    expect(ftpm(approach.climb_mps) / ((-5 * 1.06 * approach.eas_mps) / MPS_PER_KT)).toBeCloseTo(1, 1);
    expect(of("level").climb_mps).toBe(0);
    expect(of("glide")).toMatchObject({ climb_mps: of("failed").without_mps, onOne: false, without_mps: null });
    expect(of("glide").climb_mps).toBeLessThan(of("failed").climb_mps);
  });

  it("a twin helicopter holds its hover; a mass that it may not have is refused", () => {
    expect(rate(demoHelicopter(), null)).toEqual({ climb_mps: 0, eas_mps: 0, onOne: true, without_mps: null });
    const heavy = { ...demoSituation(), mass_kg: 9000 };
    expect(drillRate(demoGyroplane(), heavy, null)).toMatchObject({ ok: false, issue: { code: "mass_outside" } });
  });
});
