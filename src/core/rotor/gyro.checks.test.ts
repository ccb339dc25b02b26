// What the gyroplane's equations have to give. "cross-check": an independent prototype of the same equations, to 1e-3
// unless stated.
import { describe, expect, it } from "vitest";
import { demoGyroplane } from "../../../demo/read-demo";
import { MPS_PER_KT, M_PER_FT } from "../quantities/constants";
import { gyroBestGlide, gyroGlideAt, gyroLeastSink } from "./gyro-glide";
import { flareSpeed_mps, gyroRecovery } from "./gyro-recovery";
import { gyroCase } from "./gyro-rotor";

const FPM = 196.850394;
const flight = (() => {
  const found = gyroCase({
    aircraft: demoGyroplane(),
    mass_kg: 480,
    altitude_m: 0,
    air: { qnh_Pa: 101_325, deviation_K: 0 },
  });
  if (!found.ok) throw new Error(found.issue.message);
  return found.value;
})();
const close = (value: number | undefined, expected: number, relative = 1e-3) =>
  expect(Math.abs((value ?? NaN) / expected - 1), `${value} for ${expected}`).toBeLessThan(relative);

describe("a gyroplane with its engine stopped", () => {
  // cross-check
  it.each([
    [0, 2131, 390],
    [20, 1351, 382],
    [40, 1264, 379],
    [55, 1596, 370],
    [65, 2039, 362],
  ])("at %s kt sinks %s ft/min with the rotor at %s rpm", (kt, fpm, rpm) => {
    const glide = gyroGlideAt(flight, kt * MPS_PER_KT, "stopped");
    close((glide?.sink_mps ?? 0) * FPM, fpm);
    close(((glide?.rotor_radps ?? 0) * 30) / Math.PI, rpm, 2e-3);
  });

  // A flat disc of CD 1.2 held up by 480 kg: √(2W/(ρ·CD·A)); common practice takes a turning rotor for one.
  it("comes down about as a flat disc would", () => {
    const disc = Math.sqrt((2 * 480 * 9.80665) / (1.225 * 1.2 * 55.418));
    close(disc * FPM, 2116);
    close(gyroGlideAt(flight, 0, "stopped")?.sink_mps, disc, 2e-2);
  });

  it("has its least sink and best glide, and a better one with the engine idling", () => {
    close((gyroLeastSink(flight, "stopped")?.tas_mps ?? 0) / MPS_PER_KT, 32.3, 5e-3);
    close((gyroLeastSink(flight, "stopped")?.sink_mps ?? 0) * FPM, 1221);
    const [stopped, idling] = [gyroBestGlide(flight, "stopped"), gyroBestGlide(flight, "idling")];
    close((stopped?.tas_mps ?? 0) / MPS_PER_KT, 51.9, 2e-3);
    close(stopped?.ratio, 3.51, 2e-3);
    close((idling?.tas_mps ?? 0) / MPS_PER_KT, 49.9, 2e-3);
    close(idling?.ratio, 3.68, 1e-3);
    const flattery = (engine: "stopped" | "idling") => gyroGlideAt(flight, 55 * MPS_PER_KT, engine)?.ratio ?? NaN;
    expect(Math.abs(1000 * (flattery("idling") - flattery("stopped")) - 127)).toBeLessThan(3);
  });

  it.each([
    [10, 55.7, 2.86],
    [20, 60.4, 2.26],
    [30, 66, 1.74],
  ])("against %s kt flies best at %s kt, %s over the ground", (wind, kt, ratio) => {
    const glide = gyroBestGlide(flight, "stopped", wind * MPS_PER_KT);
    close((glide?.tas_mps ?? 0) / MPS_PER_KT, kt, 2e-3);
    close(((glide?.tas_mps ?? 0) - wind * MPS_PER_KT) / (glide?.sink_mps ?? 1), ratio, 3e-3);
  });

  it("drifts back 950 ft in 1,000 ft of vertical descent in 20 kt", () => {
    const sink = gyroGlideAt(flight, 0, "stopped")?.sink_mps ?? NaN;
    close((1000 * 20 * MPS_PER_KT) / sink, 950, 2e-3);
  });

  // cross-check, ±3 %
  it.each([
    [0, 470],
    [10, 427],
    [20, 379],
    [30, 323],
    [40, 257],
  ])("gets from %s kt to the flare's speed in %s ft", (kt, ft) => {
    const found = gyroRecovery(flight, kt * MPS_PER_KT, flareSpeed_mps(flight));
    if (!found.ok) throw new Error(found.issue.message);
    close(found.value.height_m / M_PER_FT, ft, 3e-2);
    expect(found.value.leastLoad).toBeGreaterThan(0.5);
  });
});
