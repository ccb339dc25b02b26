import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { cleanGlide } from "../aircraft/configuration";
import { G0, P0_PA } from "../quantities/constants";
import { type Touchdown, type TouchdownQuestion, secureList, touchdown } from "./touchdown";

function ask(change: Partial<TouchdownQuestion> = {}, name = "alder-s1") {
  const aircraft = demoAircraft(name);
  return touchdown({
    aircraft,
    mass_kg: aircraft.mass.usual_kg,
    configuration: cleanGlide(aircraft),
    air: { qnh_Pa: P0_PA, deviation_K: 0 },
    elevation_m: 0,
    tailwind_mps: -5,
    flap: null,
    length_m: 200,
    surface: "grass",
    stopping: 0.3,
    wheelsUp: false,
    ...change,
  });
}
function answer(change: Partial<TouchdownQuestion> = {}, name = "alder-s1"): Touchdown {
  const found = ask(change, name);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

describe("touchdown", () => {
  it("energy is that of the ground speed, and the stop follows from it", () => {
    const found = answer();
    expect(found.groundSpeed_mps).toBeCloseTo(found.touchdownEas_mps - 5, 5);
    expect(found.energy_J).toBeCloseTo((1000 * found.groundSpeed_mps ** 2) / 2, 6);
    for (const stop of found.stops) expect(stop.distance_m).toBeCloseTo((stop.time_s * found.groundSpeed_mps) / 2, 9);
    expect(found.needed_g).toBeCloseTo(found.groundSpeed_mps ** 2 / (2 * G0 * 200), 9);
    expect(answer({ length_m: null }).needed_g).toBeNull();
  });

  it("compares with still air, the other way, no flap and ten per cent more speed", () => {
    const found = answer();
    expect(found.cases.map((entry) => entry.name)).toEqual([
      "as planned",
      "still air",
      "the other way",
      "flap up",
      "10 % faster",
    ]);
    for (const entry of found.cases.slice(1)) expect(entry.ratio, entry.name).toBeGreaterThan(1);
    expect(answer({ tailwind_mps: 0 }).cases.map((entry) => entry.name)).toEqual([
      "as planned",
      "flap up",
      "10 % faster",
    ]);
  });

  // Common practice: wheels up on water and soft ground, down where it bears them.
  it.each([
    ["rowan-r1", "water", "up"],
    ["rowan-r1", "sand", "up"],
    ["rowan-r1", "grass", "down"],
    ["rowan-r1", "asphalt", "down"],
    ["alder-s1", "water", "fixed"],
    ["alder-s1", "grass", "fixed"],
  ] as const)("%s on %s: gear %s", (name, surface, gear) => {
    expect(answer({ surface }, name).gear.gear).toBe(gear);
  });

  // Common practice: metal on a hard runway slides at about 0.4 g.
  it("wheels left up where wheels are advised: said, with the length of the slide", () => {
    const up = answer({ wheelsUp: true, surface: "asphalt" }, "rowan-r1");
    expect(up.gear).toMatchObject({ gear: "down", flown: "up" });
    expect(up.slide?.distance_m).toBeCloseTo(up.groundSpeed_mps ** 2 / (2 * 0.4 * G0), 6);
    expect(answer({ surface: "asphalt" }, "rowan-r1").slide).toBeNull();
    expect(answer({ wheelsUp: true, surface: "water" }, "rowan-r1").slide).toBeNull();
    expect(answer({ wheelsUp: true }).gear.flown).toBe("fixed");
  });

  it("says what is wrong", () => {
    expect(ask({ tailwind_mps: -50 })).toMatchObject({ ok: false, issue: { code: "no_speed" } });
    expect(ask({ flap: 7 })).toMatchObject({ ok: false, issue: { code: "no_such_flap" } });
  });

  it("lists what is made safe from high to low; the jet's levers, the gear where it moves", () => {
    for (const name of ["alder-s1", "rowan-r1", "cedar-j2"]) {
      const heights = secureList(demoAircraft(name)).map((item) => item.by_m ?? Infinity);
      expect(heights).toEqual([...heights].sort((a, b) => b - a));
    }
    expect(secureList(demoAircraft("alder-s1"))[0]).toMatchObject({
      by_m: null,
      what: expect.stringContaining("call"),
    });
    expect(secureList(demoAircraft("cedar-j2")).some((item) => item.what.startsWith("Engine master levers"))).toBe(
      true,
    );
    expect(secureList(demoAircraft("rowan-r1")).some((item) => item.what.startsWith("Gear and last flap"))).toBe(true);
  });

  it("more headwind, more flap or less mass never means more energy (property)", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -10, max: 10 }),
        fc.integer({ min: 1, max: 8 }),
        fc.integer({ min: 750, max: 1000 }),
        (tailwind_mps, more, mass_kg) => {
          const usual = answer({ tailwind_mps, mass_kg });
          expect(answer({ tailwind_mps: tailwind_mps - more, mass_kg }).energy_J).toBeLessThan(usual.energy_J);
          expect(answer({ tailwind_mps, mass_kg, flap: 0 }).energy_J).toBeGreaterThan(usual.energy_J);
          expect(answer({ tailwind_mps, mass_kg: mass_kg + 100 }).energy_J).toBeGreaterThan(usual.energy_J);
        },
      ),
      { numRuns: 60, seed: 8 },
    );
  });
});
