// How rotorcraft behave by hand: keys and levers, failures and what mends them, how they end, and that the same hands
// give the same flight.
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { FAR_BELOW, FLAT, rotorcraftSetUp, wildHands } from "../../../demo/demo-flight";
import { demoGyroplane, demoHelicopter } from "../../../demo/read-demo";
import { MPS_PER_KT as KT } from "../quantities/constants";
import { eulerAngles } from "./attitude";
import type { Assistance, HandKey } from "./at-controls";
import { type Cockpit, advance, beginCockpit, failNow, goBack, recorded, setControl } from "./cockpit";
import * as C from "./controls";
import type { Flight, Ground } from "./flight";
import { type FlightSetUp, setUpFlight } from "./flight-set-up";
import { channelOf } from "./flight-trace";
import { flightView } from "./flight-view";
import { heightAbove_m, overGround } from "./pilot";
import { note, recorderOf, recordingOf, replay, Recording } from "./recording";
import { overNose } from "./rotor-hands";
import * as S from "./state";
import { stepFlight } from "./step-flight";
import { FAILURE_KINDS } from "./trouble";

const HAZEL = demoHelicopter();
const OSIER = demoGyroplane();
const HELP: Assistance = { attitude: true, ball: true, bank_rad: 1, speed_mps: null };
const DEG = 180 / Math.PI;

function begun(of: FlightSetUp, ground: Ground = FAR_BELOW): Flight {
  const flight = setUpFlight(of, ground);
  if (!flight.ok) throw new Error(flight.issue.message);
  return flight.value;
}
const hover = (height_m: number, more: Partial<FlightSetUp> = {}) =>
  begun(rotorcraftSetUp(HAZEL, { altitude_m: height_m, hovers: true }, more), FLAT);
const cruise = (aircraft: FlightSetUp["aircraft"], kt: number, more: Partial<FlightSetUp> = {}) =>
  begun(rotorcraftSetUp(aircraft, { altitude_m: 600, speed_mps: kt * KT }, more), FLAT);
const seconds = (cockpit: Cockpit, s: number) => advance(cockpit, s * 120);
function held(cockpit: Cockpit, key: HandKey, s: number): void {
  cockpit.pressed.add(key);
  seconds(cockpit, s);
  cockpit.pressed.delete(key);
}
const power_W = ({ state: s }: Flight, engine = 0) => s[S.ENGINE + engine * S.PER_ENGINE + S.POWER];

describe("keys on a helicopter", () => {
  it("let go in the hover it stays over its place, in calm and in wind, its nose where it was", () => {
    for (const speed_mps of [0, 8]) {
      const wind = { surface: { from_rad: 0.6, speed_mps }, layers: [] };
      const flight = hover(30, { wind });
      const cockpit = beginCockpit(flight, HELP, []);
      seconds(cockpit, 25);
      const { ahead_mps, right_mps } = overNose(flight.state);
      expect(Math.hypot(ahead_mps, right_mps)).toBeLessThan(0.8);
      expect(Math.hypot(flight.state[S.NORTH], flight.state[S.EAST])).toBeLessThan(speed_mps === 0 ? 6 : 45);
      expect(Math.abs(Math.sin(eulerAngles(flight.state).heading_rad))).toBeLessThan(0.1);
    }
  });

  it("begins a hover in wind with the power of that wind: it neither climbs nor moves off", () => {
    for (const from_rad of [0, 1.5, 3]) {
      const flight = hover(60, { wind: { surface: { from_rad, speed_mps: from_rad === 0 ? 20 : 8 }, layers: [] } });
      const cockpit = beginCockpit(flight, HELP, []);
      seconds(cockpit, 3);
      expect(Math.abs(overGround(flight.state).climb_mps)).toBeLessThan(0.6);
      const { ahead_mps, right_mps } = overNose(flight.state);
      expect(Math.hypot(ahead_mps, right_mps)).toBeLessThan(1);
    }
  });

  it("nose down it moves off, and nose up it stops again; feet turn it about", () => {
    const cockpit = beginCockpit(hover(60), HELP, []);
    seconds(cockpit, 2);
    held(cockpit, "nose-down", 3);
    expect(overNose(cockpit.flight.state).ahead_mps).toBeGreaterThan(2.5);
    // Not flung out of the hover: eleven degrees are asked for at most.
    expect(Math.abs(eulerAngles(cockpit.flight.state).pitch_rad)).toBeLessThan(0.3);
    seconds(cockpit, 15);
    expect(Math.abs(overNose(cockpit.flight.state).ahead_mps)).toBeLessThan(0.8);
    held(cockpit, "nose-down", 7);
    expect(overNose(cockpit.flight.state).ahead_mps).toBeGreaterThan(8);
    held(cockpit, "nose-up", 4);
    seconds(cockpit, 20);
    const before = eulerAngles(cockpit.flight.state).heading_rad;
    held(cockpit, "foot-right", 3);
    const turned = (eulerAngles(cockpit.flight.state).heading_rad - before + 2 * Math.PI) % (2 * Math.PI);
    expect(turned * DEG).toBeGreaterThan(40);
    expect(turned * DEG).toBeLessThan(110);
  });

  it("the power keys are its collective: up it climbs and draws more, down it sinks", () => {
    const cockpit = beginCockpit(hover(60), HELP, []);
    seconds(cockpit, 1);
    const level_W = power_W(cockpit.flight);
    held(cockpit, "power-up", 0.3);
    seconds(cockpit, 3);
    expect(overGround(cockpit.flight.state).climb_mps).toBeGreaterThan(0.5);
    expect(power_W(cockpit.flight)).toBeGreaterThan(level_W * 1.03);
    held(cockpit, "power-down", 0.6);
    seconds(cockpit, 3);
    expect(overGround(cockpit.flight.state).climb_mps).toBeLessThan(-0.5);
    expect(cockpit.flight.controls[C.THROTTLE]).toBe(C.FULL);
  });

  it("stands on its skids with the collective down, and lifts off with it", () => {
    const cockpit = beginCockpit(begun(rotorcraftSetUp(HAZEL, {}), FLAT), HELP, []);
    seconds(cockpit, 8);
    expect(cockpit.flight.seen.onWheels).toBe(true);
    expect(Math.hypot(cockpit.flight.state[S.NORTH], cockpit.flight.state[S.EAST])).toBeLessThan(0.5);
    held(cockpit, "power-up", 2.4);
    seconds(cockpit, 4);
    expect(cockpit.flight.ended).toBeNull();
    expect(cockpit.flight.seen.touch_N).toBe(0);
    expect(heightAbove_m(cockpit.flight) - cockpit.flight.model.hullHeight_m).toBeGreaterThan(0.5);
  });

  it("the nose holds the speed that helps, and a stick asks for an attitude", () => {
    const cockpit = beginCockpit(cruise(HAZEL, 60), { ...HELP, speed_mps: 70 * KT }, []);
    seconds(cockpit, 30);
    expect(Math.abs(cockpit.flight.state[S.ASI] / KT - 70)).toBeLessThan(3);
    cockpit.stick = { back: 0, right: 0.5, foot: null };
    seconds(cockpit, 9);
    expect(Math.abs(eulerAngles(cockpit.flight.state).bank_rad - 0.3)).toBeLessThan(0.05);
  });
});

describe("engines of a helicopter", () => {
  it("one out, the other takes the load as far as its rating; fuel back and the starter bring it back", () => {
    const cockpit = beginCockpit(cruise(HAZEL, 60), { ...HELP, speed_mps: 60 * KT }, []);
    seconds(cockpit, 2);
    const both_W = power_W(cockpit.flight) + power_W(cockpit.flight, 1);
    setControl(cockpit, C.FUEL, 0);
    seconds(cockpit, 6);
    expect(power_W(cockpit.flight)).toBeLessThan(1);
    expect(Math.abs(power_W(cockpit.flight, 1) / both_W - 1)).toBeLessThan(0.05);
    expect(Math.abs(cockpit.flight.state[S.NR] - 1)).toBeLessThan(0.02);
    setControl(cockpit, C.FUEL, 1);
    setControl(cockpit, C.STARTER, 1);
    seconds(cockpit, 11);
    expect(flightView(cockpit).engines[0].burns).toBe(false);
    seconds(cockpit, 8);
    expect(flightView(cockpit).engines[0].burns).toBe(true);
    expect(power_W(cockpit.flight)).toBeGreaterThan(0.4 * both_W);
  });

  it("a governor that runs high turns the rotor up, one that sticks keeps what it gave", () => {
    const high = beginCockpit(cruise(HAZEL, 80), HELP, []);
    failNow(high, "overspeed", 0);
    seconds(high, 2.5);
    expect(high.flight.state[S.NR]).toBeGreaterThan(1.02);
    const stuck = beginCockpit(cruise(HAZEL, 80), HELP, []);
    seconds(stuck, 1);
    const gave = power_W(stuck.flight, 1);
    failNow(stuck, "stuck", 1);
    setControl(stuck, C.COLLECTIVE, stuck.flight.controls[C.COLLECTIVE] + 12);
    seconds(stuck, 3);
    expect(Math.abs(power_W(stuck.flight, 1) / gave - 1)).toBeLessThan(0.02);
    expect(power_W(stuck.flight)).toBeGreaterThan(1.2 * gave);
  });

  it("more than the shortest rating is not given: the rotor droops, and the clock goes back with the flight", () => {
    const cockpit = beginCockpit(hover(200, { mass_kg: 3000 }), HELP, []);
    seconds(cockpit, 2);
    failNow(cockpit, "starvation", 0);
    seconds(cockpit, 8);
    expect(cockpit.flight.state[S.NR]).toBeLessThan(0.97);
    const used = () => cockpit.clock?.bands[0].used_s ?? NaN;
    expect(flightView(cockpit).rotor?.clock).toBe(cockpit.clock);
    const before = used();
    expect(before).toBeGreaterThan(4);
    goBack(cockpit, 5);
    expect(used()).toBeLessThan(before - 3);
    expect(cockpit.clock?.bands[0].uses).toBe(1);
    // However far the rotor droops, the limiter gives no more than the shortest rating does there.
    setControl(cockpit, C.COLLECTIVE, C.FULL);
    seconds(cockpit, 4);
    expect(cockpit.flight.state[S.NR]).toBeLessThan(0.9);
    expect(cockpit.clock?.exceedances.filter(({ kind }) => kind === "power")).toEqual([]);
    expect(cockpit.clock?.time_s).toBeCloseTo(cockpit.trace.rows.length / 10, 6);
  });
});

describe("keys on a gyroplane", () => {
  it("flies on by itself, turns where it is banked, and its engine starts again by the starter", () => {
    const cockpit = beginCockpit(cruise(OSIER, 50), HELP, []);
    seconds(cockpit, 10);
    expect(cockpit.flight.ended).toBeNull();
    held(cockpit, "bank-right", 1);
    const from = eulerAngles(cockpit.flight.state).heading_rad;
    seconds(cockpit, 6);
    expect((eulerAngles(cockpit.flight.state).heading_rad - from + 2 * Math.PI) % (2 * Math.PI)).toBeGreaterThan(0.5);
    held(cockpit, "bank-left", 1);
    setControl(cockpit, C.FUEL, 0);
    seconds(cockpit, 16);
    const stopped = flightView(cockpit);
    expect(stopped.engines[0].burns).toBe(false);
    expect(stopped.engines[0].rpm).toBeLessThan(150);
    expect(stopped.engines[0].thrust_N).toBeLessThan(0);
    setControl(cockpit, C.FUEL, 1);
    setControl(cockpit, C.STARTER, 1);
    seconds(cockpit, 4);
    expect(flightView(cockpit).engines[0].burns).toBe(true);
  });

  it("slow, with the engine stopped, its rudder does little; with power it does much", () => {
    const yaw = (throttle: number) => {
      const flight = cruise(OSIER, 28);
      flight.controls[C.THROTTLE] = C.kept(throttle);
      const cockpit = beginCockpit(flight, { ...HELP, ball: false }, []);
      if (throttle === 0) failNow(cockpit, "seizure", 0);
      seconds(cockpit, 3);
      held(cockpit, "foot-right", 1);
      return Math.abs(cockpit.flight.state[S.R]);
    };
    expect(yaw(1)).toBeGreaterThan(1.3 * yaw(0));
  });

  it("pushed until it carries nothing, it ends: the rotor is unloaded", () => {
    const cockpit = beginCockpit(cruise(OSIER, 60), HELP, []);
    // Hands that hold an attitude do not get there: the disc thrown forward does.
    cockpit.stick = { back: -1, right: 0, foot: null };
    seconds(cockpit, 3);
    expect(Math.min(...channelOf(cockpit.trace.rows, "overStall"))).toBeGreaterThan(0.3);
    const { flight } = beginCockpit(cruise(OSIER, 85), HELP, []);
    for (let i = 0; i < 120 * 8; i += 1) {
      flight.controls[C.STICK_BACK] = i < 100 ? 127 : -127;
      stepFlight(flight);
    }
    expect(["unloaded", "departed", "rotor-slow"]).toContain(flight.ended?.kind);
  });
});

describe("how rotorcraft end", () => {
  it("on the ground too hard", () => {
    const cockpit = beginCockpit(hover(40), HELP, []);
    held(cockpit, "power-down", 20);
    expect(cockpit.flight.ended).toMatchObject({ kind: "crash" });
  });

  it("on its side, and backwards", () => {
    const rolled = cruise(HAZEL, 60);
    rolled.controls[C.STICK_RIGHT] = -127;
    for (let i = 0; i < 120 * 6; i += 1) stepFlight(rolled);
    expect(rolled.ended?.kind).toBe("departed");
    const back = begun(rotorcraftSetUp(HAZEL, { altitude_m: 900, hovers: true }));
    back.state[S.U] = -16;
    stepFlight(back);
    expect(back.ended).toBeNull();
    back.state[S.U] = -20;
    stepFlight(back);
    expect(back.ended?.kind).toBe("departed");
  });

  it("in the water where the ground is water", () => {
    const sea: Ground = { height: () => 0, water: () => true };
    const flight = begun(rotorcraftSetUp(HAZEL, { altitude_m: 6, hovers: true }), sea);
    const cockpit = beginCockpit(flight, HELP, []);
    held(cockpit, "power-down", 1.2);
    seconds(cockpit, 8);
    expect(cockpit.flight.ended?.kind).toBe("water");
  });

  it("what cannot begin is refused with the reason", () => {
    const code = (of: FlightSetUp) => {
      const flight = setUpFlight(of, FLAT);
      return flight.ok ? null : flight.issue.code;
    };
    expect(code(rotorcraftSetUp(OSIER, { altitude_m: 30, hovers: true }))).toBe("too_slow");
    expect(code(rotorcraftSetUp(HAZEL, {}, { mass_kg: 6000 }))).toBe("mass_outside");
    expect(code(rotorcraftSetUp(OSIER, {}, { mass_kg: 90 }))).toBe("mass_outside");
  });
});

describe("the same hands", () => {
  const begins = (id: string, seed: number) => {
    const more = { turbulence: 1, seed, wind: { surface: { from_rad: 1, speed_mps: seed % 31 }, layers: [] } };
    if (id === "hover") return rotorcraftSetUp(HAZEL, { altitude_m: 20 + (seed % 300), hovers: true }, more);
    if (id === "stands") return rotorcraftSetUp(seed % 2 === 0 ? HAZEL : OSIER, {}, more);
    return rotorcraftSetUp(id === "hazel" ? HAZEL : OSIER, { altitude_m: 60 + (seed % 900), speed_mps: 28 }, more);
  };
  const kinds = fc.constantFrom("hazel", "osier", "hover", "stands");

  it("give the same bits, and so does their recording (property)", () => {
    fc.assert(
      fc.property(kinds, fc.nat(1e6), (id, seed) => {
        const first = begun(begins(id, seed), FLAT);
        const recorder = recorderOf(first);
        let last = 0;
        wildHands(first, 20, seed, (step) => {
          if (step % 2 === 0) note(recorder, first, step);
          last = step + 1;
        });
        const recording = Recording.parse(JSON.parse(JSON.stringify(recordingOf(recorder, last))));
        const again = begun(begins(id, seed), FLAT);
        replay(again, recording);
        expect([...again.state]).toEqual([...first.state]);
        expect(again.ended).toEqual(first.ended);
      }),
      { numRuns: 20, seed: 6 },
    );
  });

  it("whatever they do, nothing is not a number and nothing falls through the ground (property)", () => {
    fc.assert(
      fc.property(kinds, fc.nat(1e6), fc.constantFrom(...FAILURE_KINDS), (id, seed, kind) => {
        const flight = begun(begins(id, seed), FLAT);
        const cockpit = beginCockpit(flight, HELP, []);
        failNow(cockpit, kind, seed % 3 === 0 ? null : 0);
        wildHands(flight, 60, seed, () => undefined);
        expect(flight.state.every(Number.isFinite)).toBe(true);
        expect(heightAbove_m(flight)).toBeGreaterThan(-2.5);
        const view = flightView(cockpit);
        for (const value of [view.ias_mps, view.loadFactor, view.rotor?.nr, view.rotor?.carries])
          expect(Number.isFinite(value)).toBe(true);
      }),
      { numRuns: 40, seed: 7 },
    );
  });

  it("a flight by keys is flown again to the same state", () => {
    const of = rotorcraftSetUp(HAZEL, { altitude_m: 40, hovers: true }, { turbulence: 1, seed: 11 });
    const cockpit = beginCockpit(begun(of, FLAT), HELP, [
      { kind: "starvation", engine: 1, when: { what: "time", value: 4 } },
    ]);
    seconds(cockpit, 5);
    held(cockpit, "nose-down", 1);
    held(cockpit, "power-down", 0.3);
    seconds(cockpit, 4);
    const again = begun(of, FLAT);
    replay(again, recorded(cockpit));
    expect([...again.state]).toEqual([...cockpit.flight.state]);
  });
});
