import { describe, expect, it } from "vitest";
import { demoHelicopter } from "../../../demo/read-demo";
import { practiceCase } from "./hover-practice";
import { type Practice, freshPractice, practiceAfter } from "./rating-practice";

const question = {
  aircraft: demoHelicopter(),
  mass_kg: 2800,
  altitude_m: 0,
  air: { qnh_Pa: 101_325, deviation_K: 0 },
  wind_mps: 0,
  skids_m: null,
};
const about = (() => {
  const found = practiceCase(question);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
})();
function run(seconds: number, demand: number, limiter: number | null, from: Practice = freshPractice(about)): Practice {
  let now = from;
  for (let i = 0; i < Math.round(seconds * 20); i += 1) now = practiceAfter(about, now, demand, limiter, 0.05);
  return now;
}

describe("practising with the ratings' clock", () => {
  // cross-check: 2,800 kg hovers with 545.64 kW; the 30-second rating gives 557.75 kW of the engine,
  // 560 of the gearbox.
  it("is about this hover and what one engine gives", () => {
    expect(about.hover_W / 1000).toBeCloseTo(545.64, 1);
    expect(about.limits_W[0] / 1000).toBeCloseTo(557.75, 1);
  });

  it("at the hover's power the live engine takes up the load within seconds, in the 30-second band", () => {
    const settled = run(15, 1, 0);
    expect(settled.engine_W / about.hover_W).toBeCloseTo(1, 1);
    expect(settled.nr).toBeGreaterThan(0.9);
    expect(settled.clock.band).toBe(0);
    expect(settled.over).toBe(false);
  });

  it("collective lowered, rotor speed comes back and the band is left", () => {
    const low = run(20, 0.6, 0, run(5, 1, 0));
    expect(low.nr).toBeCloseTo(1, 2);
    expect(low.clock.band).toBe(about.ratings.length - 1);
    expect(low.clock.bands[0].uses).toBe(1);
  });

  it("held to a rating that is too weak the rotor droops until it is over, and then nothing goes on", () => {
    const drooped = run(60, 1.25, 3);
    expect(drooped.over).toBe(true);
    expect(drooped.nr).toBe(0.8);
    // A little less settles: blades at a pitch take power with the cube of their speed,
    // the gearbox gives it with the first.
    const settled = run(60, 1.1, 3);
    expect(settled.over).toBe(false);
    expect(settled.nr).toBeCloseTo(Math.sqrt(about.limits_W[3] / (1.1 * about.hover_W)), 2);
    expect(practiceAfter(about, drooped, 0.5, 0, 0.05)).toEqual(drooped);
  });

  it("overridden it gives more than its highest rating, and that is an exceedance", () => {
    expect(run(10, 1.1, 0).clock.exceedances).toEqual([]);
    const over = run(10, 1.1, null);
    expect(over.engine_W).toBeGreaterThan(about.limits_W[0]);
    expect(over.clock.exceedances.some(({ kind }) => kind === "power")).toBe(true);
  });

  it("one engine alone has nothing to go on with", () => {
    const aircraft = { ...question.aircraft, engines: { ...question.aircraft.engines, count: 1 } };
    expect(practiceCase({ ...question, aircraft })).toMatchObject({ ok: false, issue: { code: "one_engine" } });
  });
});
