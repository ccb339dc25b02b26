import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../demo/read-demo";
import type { AircraftDocument } from "../aircraft/aircraft-document";
import { demoGyroplane, demoHelicopter } from "../../../demo/read-demo";
import { eulerAngles } from "./attitude";
import type { Assistance } from "./at-controls";
import {
  type Cockpit,
  type Planned,
  advance,
  beginCockpit,
  failLater,
  failNoMore,
  failNow,
  goBack,
  recorded,
  setControl,
} from "./cockpit";
import * as C from "./controls";
import { type FlightSetUp, setUpFlight } from "./flight-set-up";
import { TRACE_CHANNELS, channelOf, traceCsv } from "./flight-trace";
import { flightView } from "./flight-view";
import { groundOf } from "./ground";
import { notFlown } from "./not-flown";
import { replay } from "./recording";
import * as S from "./state";

const DEG = 180 / Math.PI;
const HELP: Assistance = { attitude: true, ball: true, bank_rad: 1, speed_mps: null };
const LAND = groundOf(null, 0, []);
const setUp = (id: string, begin: Partial<FlightSetUp["begin"]> = {}): FlightSetUp => ({
  aircraft: demoAircraft(id),
  mass_kg: demoAircraft(id).mass.usual_kg,
  centreOfGravity: 0.5,
  air: { qnh_Pa: 101_325, deviation_K: 0 },
  wind: { surface: { from_rad: 4.4, speed_mps: 7 }, layers: [] },
  ground_m: 0,
  turbulence: 0.5,
  seed: 3,
  begin: {
    north_m: 0,
    east_m: 0,
    altitude_m: 800,
    heading_rad: 1,
    hovers: false,
    speed_mps: id === "larch-t2" ? 50 : 38,
    flap: 0,
    gearDown: false,
    throttle: 0.65,
    fuel_kg: 60,
    ...begin,
  },
});
const begun = (of: FlightSetUp, help: Partial<Assistance> = {}, planned: Planned[] = []): Cockpit => {
  const flight = setUpFlight(of, LAND);
  if (!flight.ok) throw new Error(flight.issue.message);
  return beginCockpit(flight.value, { ...HELP, ...help }, planned);
};
const seconds = (cockpit: Cockpit, s: number) => advance(cockpit, Math.round(s * 120));
const bank = (cockpit: Cockpit) => eulerAngles(cockpit.flight.state).bank_rad * DEG;

describe("hands by keys", () => {
  it("command a bank that is held, as far as it may go, and a nose that stays", () => {
    const cockpit = begun(setUp("alder-s1"), { bank_rad: 30 / DEG });
    cockpit.pressed.add("bank-right");
    seconds(cockpit, 1);
    cockpit.pressed.clear();
    seconds(cockpit, 3);
    // 25° a second for a second.
    expect(bank(cockpit)).toBeGreaterThan(20);
    expect(bank(cockpit)).toBeLessThan(31);
    cockpit.pressed.add("bank-right");
    seconds(cockpit, 4);
    expect(bank(cockpit)).toBeLessThan(34);
    const nose = cockpit.wanted.pitch_rad;
    cockpit.pressed.clear();
    cockpit.pressed.add("nose-up");
    seconds(cockpit, 1);
    expect((cockpit.wanted.pitch_rad - nose) * DEG).toBeCloseTo(6, 0);
  });

  it("hold the ball through a failure, and the speed where that is asked for", () => {
    const cockpit = begun(setUp("larch-t2", { throttle: 1 }), { speed_mps: 43 });
    seconds(cockpit, 20);
    failNow(cockpit, "ignition", 0);
    seconds(cockpit, 25);
    expect(Math.abs(cockpit.flight.state[S.BALL])).toBeLessThan(0.4);
    expect(Math.abs(cockpit.flight.state[S.ASI] - 43)).toBeLessThan(2.5);
    expect(Math.abs(bank(cockpit))).toBeLessThan(8);
    expect(flightView(cockpit).engines.map(({ burns }) => burns)).toEqual([false, true]);
  });

  it("move the stick itself where nothing holds, and let it come back", () => {
    const cockpit = begun(setUp("alder-s1"), { attitude: false, ball: false });
    cockpit.pressed.add("bank-left");
    seconds(cockpit, 0.5);
    expect(cockpit.flight.controls[C.STICK_RIGHT]).toBeLessThan(-30);
    cockpit.pressed.clear();
    seconds(cockpit, 0.5);
    expect(cockpit.flight.controls[C.STICK_RIGHT]).toBe(0);
    cockpit.stick = { back: 0.2, right: 0.5, foot: -0.3 };
    seconds(cockpit, 0.1);
    expect([C.STICK_BACK, C.STICK_RIGHT, C.RIGHT_FOOT].map((i) => cockpit.flight.controls[i])).toEqual([25, 64, -38]);
  });

  it("on its wheels it stands until the throttle opens, then runs straight by itself", () => {
    const cockpit = begun(setUp("alder-s1", { speed_mps: 0, altitude_m: 0, throttle: 0, gearDown: true, flap: 1 }));
    seconds(cockpit, 10);
    expect(flightView(cockpit).groundSpeed_mps).toBeLessThan(0.1);
    cockpit.pressed.add("power-up");
    seconds(cockpit, 2);
    cockpit.pressed.clear();
    seconds(cockpit, 9);
    const view = flightView(cockpit);
    expect(view.groundSpeed_mps).toBeGreaterThan(12);
    expect(Math.abs(view.heading_rad - 1) * DEG).toBeLessThan(6);
    cockpit.pressed.add("brakes");
    setControl(cockpit, C.THROTTLE, 0);
    seconds(cockpit, 12);
    expect(flightView(cockpit).groundSpeed_mps).toBeLessThan(0.5);
  });
});

describe("what is planned, and what is taken back", () => {
  it("fails at its time or at its height, once", () => {
    const timed = begun(setUp("alder-s1"), {}, [{ kind: "ignition", engine: 0, when: { what: "time", value: 2 } }]);
    seconds(timed, 1.9);
    expect(timed.flight.failures).toEqual([]);
    seconds(timed, 5);
    expect(timed.flight.failures.map(({ kind }) => kind)).toEqual(["ignition"]);
    const low = begun(setUp("alder-s1", { throttle: 0 }), { speed_mps: 36 }, [
      { kind: "vacuum", engine: null, when: { what: "below", value: 750 } },
    ]);
    seconds(low, 60);
    expect(low.flight.failures).toHaveLength(1);
    expect(low.recorder.failures).toHaveLength(1);
  });

  it("goes back to what it was, and the recording forgets the rest", () => {
    const cockpit = begun(setUp("larch-t2"), {}, [{ kind: "ignition", engine: 1, when: { what: "time", value: 15 } }]);
    seconds(cockpit, 10);
    const then = cockpit.flight.state.slice();
    cockpit.pressed.add("bank-left");
    seconds(cockpit, 10);
    cockpit.pressed.clear();
    expect(cockpit.flight.failures).toHaveLength(1);
    goBack(cockpit, 10);
    expect([...cockpit.flight.state]).toEqual([...then]);
    expect([cockpit.step, cockpit.flight.failures, cockpit.planned.length, cockpit.backs]).toEqual([1200, [], 1, 1]);
    seconds(cockpit, 8);
    // What is left is one flight from its beginning.
    const again = setUpFlight(setUp("larch-t2"), LAND);
    if (!again.ok) throw new Error(again.issue.message);
    replay(again.value, recorded(cockpit));
    expect([...again.value.state]).toEqual([...cockpit.flight.state]);
    expect(cockpit.trace.rows).toHaveLength(179);
  });

  it("a minute, an hour of nothing: what is kept does not grow for ever", () => {
    const cockpit = begun(setUp("alder-s1"), { speed_mps: 38 });
    seconds(cockpit, 200);
    expect(cockpit.kept.length).toBeLessThanOrEqual(120);
    goBack(cockpit, 10_000);
    expect(cockpit.flight.state[S.TIME]).toBeGreaterThanOrEqual(0);
  });
});

describe("what is looked at afterwards", () => {
  it("has ten rows a second of one length, and leaves as a log of numbers", () => {
    const cockpit = begun(setUp("alder-s1"));
    seconds(cockpit, 3);
    const { rows } = cockpit.trace;
    expect(rows).toHaveLength(29);
    expect(rows.every((row) => row.length === TRACE_CHANNELS.length && row.every(Number.isFinite))).toBe(true);
    expect(channelOf(rows, "time_s")[0]).toBeCloseTo(0.1, 6);
    const csv = traceCsv(rows, (north_m, east_m) => ({ latitude_deg: north_m / 1e5, longitude_deg: east_m / 1e5 }));
    const [head, first] = csv.split("\n");
    expect(head).toMatch(/^time_s,lat,lon,alt_m,baro_alt_m,ias_kmh,roll_deg,pitch_deg,/);
    expect(first.split(",")).toHaveLength(head.split(",").length);
    expect(first.split(",").every((value) => Number.isFinite(Number(value)))).toBe(true);
  });

  it("an aircraft that is not flown is refused with the reason", () => {
    const refused = (aircraft: AircraftDocument) => notFlown(aircraft)?.code;
    expect(refused(demoGyroplane())).toBeUndefined();
    const three = { ...demoHelicopter(), engines: { ...demoHelicopter().engines, count: 3 } };
    expect(refused(three)).toBe("three_engines");
    expect(refused({ ...demoAircraft("alder-s1"), polar: null })).toBe("no_polar");
    expect(refused(demoAircraft("larch-t2"))).toBeUndefined();
  });
});

describe("the ground under a flight", () => {
  const strip = { north_m: 1000, east_m: 0, along: [1, 0] as const, length_m: 800, elevation_m: 30 };
  const grid = {
    origin: { latitude_deg: 0, longitude_deg: 0 },
    west_m: -5000,
    south_m: -5000,
    cell_m: 100,
    columns: 101,
    rows: 101,
    elevations_m: Int16Array.from({ length: 101 * 101 }, (_, i) => (i % 101 < 40 ? 0 : 80)),
  };

  it("is the grid’s, level along a strip, smooth between, and water where the grid has none", () => {
    const ground = groundOf(grid, 5, [strip]);
    expect(ground.height(1400, 100)).toBe(30);
    expect(ground.height(1400, 3000)).toBe(80);
    const beside = ground.height(1400, 325);
    expect(beside).toBeGreaterThan(30);
    expect(beside).toBeLessThan(80);
    expect([ground.water(0, -3000), ground.water(0, 3000), ground.water(1400, 0)]).toEqual([true, false, false]);
    // Off the grid it is what it was said to be.
    expect(ground.height(90_000, 0)).toBe(5);
    expect(groundOf(null, 12, []).height(1, 2)).toBe(12);
  });
});

describe("turning back by keys alone", () => {
  it("from the brakes to standing on the runway again, the engine gone at 1,000 ft", () => {
    const of = setUp("alder-s1", { speed_mps: 0, altitude_m: 0, throttle: 0, gearDown: true, flap: 1, heading_rad: 0 });
    const calm: FlightSetUp = { ...of, wind: { surface: null, layers: [] }, turbulence: 0 };
    const cockpit = begun(calm, { bank_rad: 45 / DEG }, [
      { kind: "ignition", engine: 0, when: { what: "above", value: 305 } },
    ]);
    const { state: s } = cockpit.flight;
    const hold = (...keys: Parameters<Cockpit["pressed"]["add"]>[0][]) => {
      cockpit.pressed.clear();
      for (const key of keys) cockpit.pressed.add(key);
    };
    const until = (most_s: number, done: () => boolean, each: () => void = () => undefined) => {
      for (let i = 0; i < most_s * 10 && !done() && !cockpit.flight.ended; i += 1) {
        each();
        advance(cockpit, 12);
      }
    };
    const heading = () => eulerAngles(s).heading_rad * DEG;
    const failed = () => cockpit.flight.failures.length > 0;
    hold("power-up");
    until(30, () => s[S.ASI] > 27);
    hold("nose-up");
    until(6, () => -s[S.DOWN] > 6);
    hold();
    cockpit.assistance = { ...cockpit.assistance, speed_mps: 36 };
    cockpit.sum = 0.12;
    setControl(cockpit, C.FLAP, 0);
    until(120, failed);
    expect(failed()).toBe(true);
    // Three seconds go by; then down with the nose, round to the right, and onto the line by short presses.
    until(3, () => false);
    cockpit.assistance = { ...cockpit.assistance, speed_mps: 35 };
    hold("bank-right");
    until(25, () => heading() > 195 && heading() < 300);
    const line = () => {
      // To the west of the line a heading past south leads back to it.
      const wanted = 180 + Math.max(-20, Math.min(20, s[S.EAST] / 12));
      const lean = Math.max(-20, Math.min(20, (wanted - heading()) * 0.7));
      // By what was commanded: the aeroplane follows it within a second.
      const off = lean - cockpit.wanted.bank_rad * DEG;
      hold(...(off > 4 ? (["bank-right"] as const) : off < -4 ? (["bank-left"] as const) : []));
    };
    until(90, () => -s[S.DOWN] < 17, line);
    cockpit.assistance = { ...cockpit.assistance, speed_mps: null };
    until(
      12,
      () => cockpit.flight.seen.onWheels,
      () => {
        const down = flightView(cockpit).climb_mps < -Math.max(0.8, (-s[S.DOWN] - 1) / 2.6);
        const off = -cockpit.wanted.bank_rad * DEG;
        const level = off > 2 ? (["bank-right"] as const) : off < -2 ? (["bank-left"] as const) : [];
        hold(...level, ...(down ? (["nose-up"] as const) : []));
      },
    );
    hold("brakes");
    until(40, () => flightView(cockpit).groundSpeed_mps < 0.3);
    expect(cockpit.flight.ended).toBeNull();
    expect(flightView(cockpit).groundSpeed_mps).toBeLessThan(0.3);
    expect(Math.abs(heading() - 180)).toBeLessThan(25);
    expect(Math.abs(s[S.EAST])).toBeLessThan(60);
  });
});

describe("what is to fail later", () => {
  const fire: Planned = { kind: "fire", engine: 0, when: { what: "time", value: 8 } };

  it("fails when it is to, and again after going back to before it was planned", () => {
    const cockpit = begun(setUp("alder-s1"));
    seconds(cockpit, 5);
    failLater(cockpit, fire);
    seconds(cockpit, 4);
    expect(cockpit.flight.failures.map(({ kind }) => kind)).toEqual(["fire"]);
    expect(cockpit.planned).toEqual([]);
    goBack(cockpit, 8);
    expect(cockpit.flight.failures).toEqual([]);
    expect(cockpit.planned).toEqual([fire]);
    seconds(cockpit, 8);
    expect(cockpit.flight.failures.map(({ kind }) => kind)).toEqual(["fire"]);
  });

  it("fails at a speed that is read, on the roll, and not before", () => {
    const roll = setUp("larch-t2", { speed_mps: 0, altitude_m: 0, gearDown: true, throttle: 0 });
    const cockpit = begun(roll, {}, [{ kind: "ignition", engine: 1, when: { what: "faster", value: 25 } }]);
    cockpit.pressed.add("power-up");
    for (let i = 0; i < 400 && cockpit.flight.failures.length === 0; i += 1) {
      expect(cockpit.flight.state[S.ASI]).toBeLessThan(25);
      seconds(cockpit, 0.1);
    }
    expect(cockpit.flight.failures).toMatchObject([{ kind: "ignition", engine: 1 }]);
    expect(cockpit.flight.state[S.ASI]).toBeGreaterThan(24.9);
    expect(cockpit.flight.seen.onWheels).toBe(true);
  });

  it("fails as it gets slower than a speed that is read, and not before", () => {
    const slows = setUp("alder-s1", { throttle: 0 });
    const cockpit = begun(slows, {}, [{ kind: "pitot", engine: null, when: { what: "slower", value: 30 } }]);
    for (let i = 0; i < 600 && cockpit.flight.failures.length === 0; i += 1) {
      expect(cockpit.flight.state[S.ASI]).toBeGreaterThan(30);
      cockpit.wanted.pitch_rad = 0.1;
      seconds(cockpit, 0.1);
    }
    expect(cockpit.flight.failures).toMatchObject([{ kind: "pitot", engine: null }]);
  });

  it("does not once it was taken back, nor after going back; fifty are the most", () => {
    const cockpit = begun(setUp("alder-s1"), {}, [fire]);
    seconds(cockpit, 5);
    failNoMore(cockpit);
    goBack(cockpit, 3);
    seconds(cockpit, 12);
    expect(cockpit.flight.failures).toEqual([]);
    for (let i = 0; i < 60; i += 1) failLater(cockpit, { ...fire, when: { what: "time", value: 100 + i } });
    expect(cockpit.planned).toHaveLength(50);
    expect(cockpit.planned.at(-1)?.when.value).toBe(159);
  });
});
