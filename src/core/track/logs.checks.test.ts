// Whole logs with a known truth: simulated apart from this code, a point mass in wind with gusts and sensors that err.
// Tolerances are those that were set beside each value.
import { beforeAll, describe, expect, it } from "vitest";
import { demoLog, demoLogTruth } from "../../../demo/read-logs";
import { demoAircraft, demoPlaces } from "../../../demo/read-demo";
import { windVector } from "../air/wind";
import { landingEnds } from "../landing/landing-end";
import { degrees, radians } from "../quantities/angle";
import { M_PER_FT, MPS_PER_KT } from "../quantities/constants";
import { type TrackAnalysis, type TrackDay, analyse } from "./analyse";
import type { Figure } from "./figure";
import { readLog } from "./formats/read-log";
import { fitFlownPolar } from "./measure/polar-fit";
import { windAt, windSigma_mps } from "./wind/fitted-wind";

const RUNWAYS = landingEnds(demoPlaces().filter(({ name }) => name === "Skerrow"));
const FIELD_M = 18.9;
const [FT, KT, FPM] = [1 / M_PER_FT, 1 / MPS_PER_KT, 60 / M_PER_FT];

interface Truth {
  day: { isa_deviation_C: number };
  mass_kg: number;
  [more: string]: unknown;
}

function analysed(file: string, aircraft = "alder-s1"): TrackAnalysis {
  const truth = demoLogTruth(file.split(".")[0]) as Truth;
  const log = readLog(demoLog(file));
  if (!log.ok) throw new Error(log.issue.message);
  const day: TrackDay = {
    deviation_K: truth.day.isa_deviation_C,
    wind: null,
    calibration: null,
    aircraft: demoAircraft(aircraft),
    mass_kg: truth.mass_kg,
    runways: RUNWAYS,
    stops: null,
  };
  const found = analyse(log.value, day);
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
}

/** A figure that is known, in another unit; its bound holds too. */
function expectFigure(found: Figure | undefined, value: number, within: number, unit = 1): void {
  if (!found?.known) throw new Error(`expected a figure, got ${JSON.stringify(found)}`);
  expect(Math.abs(found.value * unit - value)).toBeLessThan(within);
  expect(found.sigma).toBeGreaterThan(0);
  expect(found.sensors.length).toBeGreaterThan(0);
}

/** Difference of two winds as vectors, kt. */
function windOff_kt(found: TrackAnalysis, from_deg: number, speed_kt: number, above_m: number): number {
  const { wind } = found.flown;
  if (!wind) throw new Error("expected a wind");
  const at = windAt(wind, above_m + FIELD_M);
  const truth = windVector(radians(from_deg), speed_kt * MPS_PER_KT);
  return Math.hypot(at.east_mps - truth.east_mps, at.north_mps - truth.north_mps) * KT;
}

describe("turning back after an engine stop, one fix a second without an airspeed", () => {
  let found: TrackAnalysis;
  beforeAll(() => {
    found = analysed("turnback.igc");
  });

  it("take-off, the stop with its height, the delay and the turn", () => {
    const [flight] = found.flights;
    expect(found.flights).toHaveLength(1);
    expect(Math.abs((flight.takeOff?.time_s ?? NaN) - 27.9)).toBeLessThan(2);
    expect(flight.failures).toHaveLength(1);
    const [failure] = flight.failures;
    expect(Math.abs(failure.time_s - 88)).toBeLessThan(2);
    expect(failure).toMatchObject({ kind: "reduced or lost", by: "path", possible: false });
    expectFigure(failure.height_m, 853, 40, FT);
    expectFigure(failure.delay_s, 3.4, 2);
    expect(failure.turns).toHaveLength(1);
    const { measures } = failure.turns[0];
    expectFigure(measures.bank_rad, 45, 5, degrees(1));
    expectFigure(measures.height_m, 292, 40, FT);
    expectFigure(measures.time_s, 13.6, 2);
  });

  it("touchdown on the runway's line, the height to it, and a wind whose bound is wide and shown", () => {
    const [{ landing, landed, failures }] = found.flights;
    expect(Math.abs((landing?.time_s ?? NaN) - 157.6)).toBeLessThan(2);
    expectFigure(failures[0].toGround?.height_m, 853, 40, FT);
    // The truth counts from the other threshold along the other direction: 83 m short of where 11 begins.
    const eleven = RUNWAYS.find(({ name }) => name === "Skerrow 11");
    const twentyNine = RUNWAYS.find(({ name }) => name === "Skerrow 29");
    if (!eleven || !twentyNine) throw new Error("expected Skerrow's two ends");
    expect(landed?.runway).toBe("Skerrow 29");
    expectFigure(landed?.along_m, twentyNine.length_m + 83.2, 60);
    expectFigure(landed?.groundSpeed_mps, 69.6, 4, KT);
    expect(windOff_kt(found, 160, 11.4, 150)).toBeLessThan(8);
    const sigma_kt = found.flown.wind ? windSigma_mps(found.flown.wind) * KT : NaN;
    expect(sigma_kt).toBeGreaterThan(3);
    expect(sigma_kt).toBeLessThan(8);
  });
});

describe("six glides at three speeds in two directions, one fix a second with airspeed and engine", () => {
  let found: TrackAnalysis;
  beforeAll(() => {
    found = analysed("glides.csv");
  });
  const CUTS_S = [64.2, 227.3, 390.3, 557.2, 720.7, 912.7];
  const SINKS_FPM = [725, 745, 848, 843, 1249, 1264];
  const TAS_KT = [63.9, 63.9, 74.5, 74.5, 93, 93];

  it("six stops, windmilling, and the sink of each glide", () => {
    const { failures } = found.flights[0];
    expect(failures).toHaveLength(6);
    failures.forEach((failure, i) => {
      expect(Math.abs(failure.time_s - CUTS_S[i])).toBeLessThan(1.5);
      expect(failure).toMatchObject({ kind: "windmilling", by: "engine", possible: false });
      expect(failure.glides).toHaveLength(1);
      expectFigure(failure.glides[0].sink_mps, SINKS_FPM[i], 60, FPM);
      expectFigure(failure.glides[0].tas_mps, TAS_KT[i], 1.5, KT);
      const ratio = (TAS_KT[i] * MPS_PER_KT) / (SINKS_FPM[i] / FPM);
      expectFigure(failure.glides[0].ratio, ratio, 0.06 * ratio);
    });
    expect(failures.every(({ height_m }) => !height_m.known)).toBe(true);
  });

  it("a polar of best ratio 9.00 ± 5 %, and the wind", () => {
    const glides = found.flights[0].failures.flatMap((failure) =>
      failure.glides.map(({ eas_mps, tas_mps, sink_mps }) => {
        if (!(eas_mps.known && tas_mps.known && sink_mps.known)) throw new Error("expected a measured glide");
        return {
          eas_mps: eas_mps.value,
          tas_mps: tas_mps.value,
          sink_mps: sink_mps.value,
          sinkSigma_mps: sink_mps.sigma,
        };
      }),
    );
    const fit = fitFlownPolar(glides, 1000, 16.5);
    if (!fit.ok) throw new Error(fit.issue.message);
    expect(Math.abs(fit.value.bestRatio / 9 - 1)).toBeLessThan(0.05);
    // 63.6 kt: √(2·(W/S)/ρ0·√(k/CD0)) of CD0 .050, k .0617 at 1 000 kg on 16.5 m².
    expect(Math.abs((fit.value.bestEas_mps * KT) / 63.6 - 1)).toBeLessThan(0.04);
    expect(Math.abs(fit.value.cd0 - 0.05)).toBeLessThan(2 * fit.value.cd0Sigma);
    expect(Math.abs(fit.value.k - 0.0617)).toBeLessThan(2 * fit.value.kSigma);
    expect(windOff_kt(found, 250, 15.8, 1000)).toBeLessThan(2);
  });
});

describe("circles and a box, one fix a second, positions alone", () => {
  it("wind and bank by the circles", () => {
    const found = analysed("circles.gpx");
    expect(windOff_kt(found, 300, 22.1, 700)).toBeLessThan(2);
    const circles = found.flights[0].turns.find(({ heading_rad }) => heading_rad > 2 * Math.PI);
    expect(Math.abs((circles?.from_s ?? NaN) - 60)).toBeLessThan(3);
    expect(Math.abs((circles?.to_s ?? NaN) - 177.6)).toBeLessThan(3);
    expectFigure(circles?.measures.bank_rad, 25, 3, degrees(1));
  });

  it("no engine stop in it; the first minute cannot tell wind from airspeed", () => {
    expect(analysed("circles.gpx").flights.flatMap(({ failures }) => failures)).toEqual([]);
    const minute = demoLog("circles.gpx")
      .split("\n")
      .filter((line) => !line.includes("<trkpt") || /T01:10:/.test(line));
    const log = readLog(minute.join("\n"));
    if (!log.ok) throw new Error(log.issue.message);
    expect(log.value.time_s).toHaveLength(60);
    const found = analyse(log.value, {
      deviation_K: 0,
      wind: null,
      calibration: null,
      aircraft: null,
      mass_kg: 1000,
      runways: [],
      stops: null,
    });
    if (!found.ok) throw new Error(found.issue.message);
    expect(found.value.flown.wind).toBeNull();
    expect(found.value.notKnowable.join(" ")).toContain("cannot be told apart");
  });
});

describe("a circuit with the power taken at the abeam point, five fixes a second in km/h and l/h", () => {
  let found: TrackAnalysis;
  beforeAll(() => {
    found = analysed("spot-landing.csv");
  });

  it("power at idle, abeam the spot", () => {
    const [flight] = found.flights;
    expect(Math.abs((flight.takeOff?.time_s ?? NaN) - 27.7)).toBeLessThan(1);
    expect(flight.failures).toHaveLength(1);
    expect(Math.abs(flight.failures[0].time_s - 122.4)).toBeLessThan(1);
    expect(flight.failures[0]).toMatchObject({ kind: "idle", by: "engine" });
    expectFigure(flight.failures[0].height_m, 986, 20, FT);
  });

  it("touchdown 199 ft past the spot, by the accelerometer", () => {
    const [{ landing, landed }] = found.flights;
    expect(Math.abs((landing?.time_s ?? NaN) - 206.8)).toBeLessThan(0.5);
    expect(landed?.runway).toBe("Skerrow 11");
    expectFigure(landed?.along_m, 210.8, 20);
    expectFigure(landed?.groundSpeed_mps, 56.7, 2, KT);
  });
});

describe("three engine stops across midnight, damaged", () => {
  it("finds them and no landing; tells the lines at fault", () => {
    const found = analysed("cuts-midnight.nmea");
    const times = found.flights.flatMap(({ failures }) => failures.map(({ time_s }) => time_s));
    expect(times).toHaveLength(3);
    [172.7, 283.3, 379.4].forEach((at_s, i) => expect(Math.abs(times[i] - at_s)).toBeLessThan(4));
    [1811, 1811, 1796].forEach((height_ft, i) =>
      expectFigure(found.flights[0].failures[i].height_m, height_ft, 40, FT),
    );
    expect(found.flights.every(({ landing }) => landing === null)).toBe(true);
    expect(Math.abs((found.flights[0].takeOff?.time_s ?? NaN) - 22.7)).toBeLessThan(3);
    const log = readLog(demoLog("cuts-midnight.nmea"));
    expect(log.ok && log.value.faults.map(({ line }) => line)).toEqual([202, 301]);
    expect(log.ok && log.value.time_s.at(-1)).toBeGreaterThan(Date.UTC(2026, 10, 21) / 1000);
  });
});

describe("a demonstration of minimum control speed, five fixes a second", () => {
  it("entry, least speed, rate, heading, bank and recovery", () => {
    const found = analysed("minimum-control.csv", "larch-t2");
    const slowed = found.flights.flatMap((flight) => flight.slowed);
    expect(slowed).toHaveLength(1);
    expectFigure(slowed[0].entry_mps, 89.3, 2, KT);
    expectFigure(slowed[0].least_mps, 67.7, 2, KT);
    expectFigure(slowed[0].rate_mps2, 1.1, 0.25, KT);
    expectFigure(slowed[0].heading_rad, 14.7, 3, degrees(1));
    expectFigure(slowed[0].bank_rad, 4.5, 1.5, degrees(1));
    expectFigure(slowed[0].recovered_s, 71.9, 3);
  });
});
