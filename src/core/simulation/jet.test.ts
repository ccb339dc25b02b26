import { describe, expect, it } from "vitest";
import { FLAT, demoFlight, flyBy } from "../../../demo/demo-flight";
import { MPS_PER_KT } from "../quantities/constants";
import { eulerAngles } from "./attitude";
import * as C from "./controls";
import { fail } from "./fail";
import type { Flight } from "./flight";
import * as S from "./state";
import { stepFlight } from "./step-flight";

const kt = (speed: number) => speed * MPS_PER_KT;
const spool = (flight: Flight, engine = 0) => flight.state[S.ENGINE + engine * S.PER_ENGINE + S.OMEGA];
const burns = (flight: Flight) => flight.state[S.ENGINE + S.BURN] > 0.5;
const cedar = (speed_kt: number, altitude_m: number, throttle = 0.6) =>
  demoFlight("cedar-j2", { mass_kg: 41_000, tas_mps: kt(speed_kt), altitude_m, throttle, gamma_rad: 0 });

describe("a jet’s spool", () => {
  it("goes from idle to 95 % in 4.9 s, and down faster", () => {
    const flight = demoFlight("cedar-j2", { mass_kg: 41_000, tas_mps: 0, altitude_m: 0, ground: FLAT, gearDown: true });
    flight.controls[C.BRAKES] = 127;
    for (let i = 0; i < 600; i += 1) stepFlight(flight);
    expect(spool(flight)).toBeCloseTo(0.35, 2);
    flight.controls[C.THROTTLE] = 127;
    let up_s = 0;
    for (; up_s < 12 && spool(flight) < 0.95; up_s += 1 / 120) stepFlight(flight);
    // A prototype's figure.
    expect(up_s).toBeGreaterThan(4.4);
    expect(up_s).toBeLessThan(5.4);
    flight.controls[C.THROTTLE] = 0;
    let down_s = 0;
    for (; down_s < 12 && spool(flight) > 0.5; down_s += 1 / 120) stepFlight(flight);
    expect(down_s).toBeLessThan(3);
  });

  it("dead it is kept turning by the air, and lights again inside its envelope only", () => {
    // 270 kt as the instrument reads it at 20,000 ft.
    const flight = cedar(366, 6000);
    fail(flight, "ignition", 0);
    flight.controls[C.FUEL] = 0;
    flyBy(flight, 40, { speed_mps: () => kt(270) });
    expect(burns(flight)).toBe(false);
    expect(spool(flight)).toBeGreaterThan(0.2);
    expect(spool(flight)).toBeLessThan(0.31);
    // Fast and below FL 280 the air alone lights it.
    flight.failures = [];
    flight.controls[C.FUEL] = 1;
    flyBy(flight, 20, { speed_mps: () => kt(270) });
    expect(burns(flight)).toBe(true);
    // Slow it does not, but with the starter it does.
    const slow = cedar(230, 4000);
    slow.controls[C.FUEL] = 0;
    flyBy(slow, 10, { speed_mps: () => kt(190) });
    slow.controls[C.FUEL] = 1;
    flyBy(slow, 30, { speed_mps: () => kt(190) });
    expect(burns(slow)).toBe(false);
    slow.controls[C.STARTER] = 1;
    flyBy(slow, 20, { speed_mps: () => kt(190) });
    expect(burns(slow)).toBe(true);
  });

  it("one of two is held straight by the feet, at the speed that is asked for", () => {
    const flight = cedar(200, 1500, 0.8);
    flyBy(flight, 25, { speed_mps: () => kt(200) });
    fail(flight, "ignition", 1);
    flight.controls[C.FUEL + 1] = 0;
    flyBy(flight, 60, { speed_mps: () => kt(200) });
    expect(flight.ended).toBeNull();
    expect(Math.abs(flight.state[S.ASI] - kt(200))).toBeLessThan(4);
    expect(Math.abs(flight.state[S.BALL])).toBeLessThan(0.4);
    expect(Math.abs(eulerAngles(flight.state).bank_rad)).toBeLessThan(0.12);
    // The left one pulls: the left foot holds it.
    expect(flight.controls[C.RIGHT_FOOT]).toBeLessThan(-10);
  });
});
