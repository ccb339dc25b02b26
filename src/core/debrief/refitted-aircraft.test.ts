import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import { demoLog } from "../../../demo/read-logs";
import { Aeroplane } from "../aircraft/aeroplane";
import { cleanGlide } from "../aircraft/configuration";
import { polarOf } from "../aircraft/polar";
import { analyse } from "../track/analyse";
import { readLog } from "../track/formats/read-log";
import { fitFlownPolar } from "../track/measure/polar-fit";
import { flownGlides, refittedAircraft } from "./refitted-aircraft";

const alder = demoAircraft("alder-s1");

function glidesOf(file: string) {
  const log = readLog(demoLog(file));
  if (!log.ok) throw new Error(log.issue.message);
  const found = analyse(log.value, {
    deviation_K: 12,
    wind: null,
    calibration: null,
    aircraft: alder,
    mass_kg: 1000,
    runways: [],
    stops: null,
  });
  if (!found.ok) throw new Error(found.issue.message);
  return flownGlides(found.value.flights);
}

const fit = () => {
  const fitted = fitFlownPolar(glidesOf("glides.csv"), 1000, 16.5);
  if (!fitted.ok) throw new Error(fitted.issue.message);
  return fitted.value;
};

describe("an aircraft refitted to its flown glides", () => {
  it("glides as flown, and is a sound document of another name that says where it comes from", () => {
    const found = refittedAircraft(alder, fit(), "CD0 and k from 6 glides on 20 Nov 2026.");
    if (!found.ok) throw new Error(found.issue.message);
    const copy = Aeroplane.parse(found.value);
    expect(copy.name).toBe("Alder S1, as flown");
    expect(copy.description).toMatch(/^CD0 and k from 6 glides on 20 Nov 2026\. Light high-wing/);
    const polar = polarOf(copy, 1000, cleanGlide(copy));
    if (!polar.ok) throw new Error(polar.issue.message);
    expect(polar.value.polar.cd0).toBeCloseTo(fit().cd0, 10);
    expect(polar.value.polar.k).toBeCloseTo(fit().k, 10);
    expect(copy.polar?.flaps).toEqual(alder.polar?.flaps);
    expect(copy.handbook).toEqual(alder.handbook);
  });

  it("glides at idle tell nothing of an engine that is off", () => {
    expect(glidesOf("spot-landing.csv")).toEqual([]);
    expect(glidesOf("glides.csv")).toHaveLength(6);
  });

  it("an aircraft without a polar, and one whose book glides otherwise, are refused with the reason", () => {
    expect(refittedAircraft({ ...alder, polar: null }, fit(), "")).toMatchObject({
      ok: false,
      issue: { code: "no_polar" },
    });
    const stopped = { ...alder, handbook: { ...alder.handbook, glidePropeller: "stopped" as const } };
    expect(refittedAircraft(stopped, fit(), "")).toMatchObject({ ok: false, issue: { code: "other_propeller" } });
  });
});
