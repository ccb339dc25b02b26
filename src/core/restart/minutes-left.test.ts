import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { cleanGlide } from "../aircraft/configuration";
import { polarOf } from "../aircraft/polar";
import { heldCas_mps, steadyDescent } from "../glide/steady-descent";
import { bestGlide } from "../glide/straight-glide";
import { P0_PA } from "../quantities/constants";
import { RestartPlan } from "../situation/restart-plan";
import {
  type MinutesChoice,
  type MinutesLeft,
  type MinutesPlan,
  type MinutesQuestion,
  minutesLeft,
} from "./minutes-left";

const CALM = { surface: null, layers: [] };
function ask(change: Partial<MinutesQuestion> = {}, name = "alder-s1") {
  const aircraft = demoAircraft(name);
  return minutesLeft({
    aircraft,
    mass_kg: aircraft.mass.usual_kg,
    configuration: cleanGlide(aircraft),
    air: { qnh_Pa: P0_PA, deviation_K: 0 },
    wind: CALM,
    altitude_m: 1000,
    ground_m: 0,
    left_s: 300,
    ...change,
  });
}
function answer(change: Partial<MinutesQuestion> = {}, name = "alder-s1"): MinutesLeft {
  const found = ask(change, name);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}
const plan = (found: MinutesLeft, choice: MinutesChoice): MinutesPlan => {
  const one = found.plans.find((candidate) => candidate.choice === choice);
  if (!one) throw new Error(`no ${choice}`);
  return one;
};

describe("minutes left", () => {
  it("shut down now is a glide from here: energy height times best ratio, in the time of every steady descent", () => {
    const aircraft = demoAircraft("alder-s1");
    const made = polarOf(aircraft, 1000, cleanGlide(aircraft));
    if (!made.ok) throw new Error(made.issue.message);
    const now = plan(answer(), "shut-down");
    const glide = bestGlide(made.value.polar);
    const air = { qnh_Pa: P0_PA, deviation_K: 0 };
    const down = steadyDescent(glide, heldCas_mps(glide.eas_mps, 1000, air), air);
    expect(now.radius_m).toBeCloseTo(down.air_m(1000, 0), 6);
    expect(now.radius_m / (1000 * glide.ratio)).toBeCloseTo(1.005, 2);
    expect(now.time_s).toBeCloseTo(down.time_s(1000, 0), 3);
    expect(now.engineAir_m).toBe(0);
    expect(now.top_m).toBe(1000);
  });

  it("climbing gains height, flying level goes farther with the engine; both reach beyond shutting down", () => {
    const found = answer();
    expect(plan(found, "climb").top_m).toBeGreaterThan(1300);
    expect(plan(found, "level").engineAir_m).toBeGreaterThan(plan(found, "climb").engineAir_m);
    for (const choice of ["climb", "level"] as const)
      expect(plan(found, choice).radius_m).toBeGreaterThan(plan(found, "shut-down").radius_m);
  });

  // The reach bought a minute is V + G·(P − D·V)/W: by energy, climbing and gliding again gives what the excess power
  // lifted, times the ratio.
  it("what climbing buys is its way and its height times the glide ratio", () => {
    const climb = plan(answer(), "climb");
    const now = plan(answer(), "shut-down");
    // The same ratio but for the kinetic part, which is larger higher up.
    expect(climb.glideAir_m / climb.top_m / (now.glideAir_m / now.top_m)).toBeCloseTo(1, 3);
    expect(climb.radius_m).toBeCloseTo(climb.engineAir_m + climb.glideAir_m, 6);
  });

  it.each(["alder-s1", "rowan-r1", "thorn-v12", "larch-t2", "hornbeam-t2c", "cedar-j2"])(
    "%s: climbing at the speed of best reach goes as far as any, flying level at full power no farther",
    (name) => {
      const found = answer({}, name);
      expect(plan(found, "climb").radius_m).toBeGreaterThan(0.998 * plan(found, "level").radius_m);
      // Best reach is flown faster than best rate, which is under twice the stall.
      if (name === "alder-s1") expect(plan(found, "climb").eas_mps).toBeGreaterThan(38);
    },
  );

  it("wind carries the area down wind and leaves its size", () => {
    const windy = answer({ wind: { surface: { from_rad: Math.PI / 2, speed_mps: 8 }, layers: [] } });
    for (const choice of ["climb", "level", "shut-down"] as const) {
      const [calm, blown] = [plan(answer(), choice), plan(windy, choice)];
      expect(blown.radius_m).toBeCloseTo(calm.radius_m, 3);
      expect(blown.drift.east_m).toBeLessThan(-100);
      expect(Math.abs(blown.drift.north_m)).toBeLessThan(1);
      expect(blown.downwind_m - blown.upwind_m).toBeCloseTo(2 * Math.abs(blown.drift.east_m), 3);
    }
    // Common practice: into a strong wind staying low and fast beats climbing, which hangs in the wind for longer.
    expect(plan(windy, "level").upwind_m - plan(windy, "climb").upwind_m).toBeGreaterThan(
      plan(answer(), "level").upwind_m - plan(answer(), "climb").upwind_m,
    );
  });

  it("more minutes never reach less (property)", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 1200 }),
        fc.integer({ min: 5, max: 600 }),
        fc.constantFrom("alder-s1", "rowan-r1", "thorn-v12", "hornbeam-t2c"),
        (left_s, more, name) => {
          const [less, longer] = [answer({ left_s }, name), answer({ left_s: left_s + more }, name)];
          for (const choice of ["climb", "level"] as const)
            expect(plan(longer, choice).radius_m).toBeGreaterThanOrEqual(plan(less, choice).radius_m);
          expect(plan(longer, "shut-down")).toEqual(plan(less, "shut-down"));
        },
      ),
      { numRuns: 40, seed: 3 },
    );
  });

  it("does not climb above its ceiling, and says what is wrong", () => {
    const high = answer({ altitude_m: 7500 });
    expect(high.issues.map((issue) => issue.choice)).toContain("climb");
    expect(ask({ ground_m: 1000 })).toMatchObject({ ok: false, issue: { code: "under_ground" } });
    expect(ask({ mass_kg: 5000 })).toMatchObject({ ok: false, issue: { code: "mass_outside" } });
    expect(
      RestartPlan.shape.minutes.safeParse({ left_s: 0, losing: "oil", school: "use" }).error?.issues[0].message,
    ).toContain("has failed");
  });

  it.each(["alder-s1", "rowan-r1", "thorn-v12", "larch-t2", "hornbeam-t2c", "cedar-j2"])(
    "%s: level is flown under the never-exceed speed, climb no faster than that, and all come down in the end",
    (name) => {
      const found = answer({}, name);
      const { vne_mps } = demoAircraft(name).limits;
      expect(plan(found, "level").eas_mps).toBeLessThanOrEqual(0.9 * (vne_mps ?? Infinity) + 1e-9);
      expect(plan(found, "climb").eas_mps).toBeLessThanOrEqual(plan(found, "level").eas_mps + 0.06);
      for (const one of found.plans) {
        expect(Object.values(one).every((value) => typeof value !== "number" || Number.isFinite(value))).toBe(true);
        expect(one.time_s).toBeGreaterThan(plan(found, "shut-down").time_s - 1e-9);
      }
    },
  );

  // Common practice: a turbocharger holds its power to the critical height, an engine without one loses it as the air
  // thins.
  it("a turbocharged twin climbs nearly as well at 10 000 ft as low down, one without does not", () => {
    const climbAt = (name: string, altitude_m: number) => answer({ altitude_m }, name).climb_mps;
    expect(climbAt("hornbeam-t2c", 3048) / climbAt("hornbeam-t2c", 300)).toBeGreaterThan(0.85);
    expect(climbAt("larch-t2", 3048) / climbAt("larch-t2", 300)).toBeLessThan(0.7);
  });
});
