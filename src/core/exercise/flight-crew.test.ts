// Those who look on at a flight: what each may do, and that what they are shown passes its own check.
import { describe, expect, it } from "vitest";
import { demoAircraft, demoGyroplane, demoHelicopter } from "../../../demo/read-demo";
import { jetFire } from "../procedure/library/jet";
import { advance, beginCockpit, failLater, failNow } from "../simulation/cockpit";
import { setUpFlight } from "../simulation/flight-set-up";
import { flightView } from "../simulation/flight-view";
import { groundOf } from "../simulation/ground";
import { type FlightDid, type NowShown, SHOWN, flightRefusalOf, forShow, isOfDrill, thinned } from "./flight-crew";

const SAY = { type: "say", actor: "monitoring" } as const;
const MAY: readonly (readonly [FlightDid, string])[] = [
  [{ kind: "fail", what: { kind: "fire", engine: 1 }, when: null }, "instructor"],
  [{ kind: "calm" }, "instructor"],
  [{ kind: "back", seconds: 10 }, "instructor"],
  [{ kind: "note", text: "late" }, "instructor"],
  [{ kind: "set", control: 6, value: 0 }, "monitoring"],
  [{ kind: "hand", event: SAY }, "monitoring"],
  [{ kind: "go" }, "flying monitoring instructor"],
  [{ kind: "stop" }, "flying monitoring instructor"],
  [{ kind: "hand", event: { ...SAY, actor: "flying" } }, ""],
  [{ kind: "hand", event: { type: "warning", name: "fire", on: true } }, ""],
  [{ kind: "hand", event: { type: "back" } }, ""],
  [{ kind: "height", height_m: 300 }, ""],
  [{ kind: "rate", climb_mps: -3 }, ""],
  [{ kind: "joined" }, ""],
];

describe("who may do what", () => {
  it.each(MAY)("%j: %s", (did, roles) => {
    const may = (["flying", "monitoring", "instructor", "single"] as const).filter(
      (role) => flightRefusalOf(role, did) === null,
    );
    expect(may.filter((role) => role !== "single").join(" ")).toBe(roles);
  });

  it("a drill's own log is all of it, a flight's is not", () => {
    const line = (did: FlightDid) => ({ seq: 1, time_s: 0, role: "instructor" as const, did });
    expect(
      MAY.map(([did]) => line(did))
        .filter((event) => !isOfDrill(event))
        .map(({ did }) => did.kind),
    ).toEqual(["fail", "calm", "back", "set"]);
  });
});

const flown = (id: string) => {
  const aircraft = id === "hazel-h2" ? demoHelicopter() : id === "osier-g1" ? demoGyroplane() : demoAircraft(id);
  const flight = setUpFlight(
    {
      aircraft,
      mass_kg: aircraft.mass.usual_kg,
      centreOfGravity: 0.5,
      air: { qnh_Pa: 101_325, deviation_K: 0 },
      wind: { surface: { from_rad: 1, speed_mps: 6 }, layers: [] },
      ground_m: 0,
      turbulence: 1,
      seed: 5,
      begin: {
        north_m: 12_345.678_91,
        east_m: -9876.543_21,
        altitude_m: 900,
        heading_rad: 2,
        hovers: false,
        speed_mps: id === "cedar-j2" ? 95 : id === "hazel-h2" ? 35 : id === "osier-g1" ? 28 : 45,
        flap: 0,
        gearDown: false,
        throttle: 0.6,
        fuel_kg: 60,
      },
    },
    groundOf(null, 0, []),
  );
  if (!flight.ok) throw new Error(flight.issue.message);
  const cockpit = beginCockpit(flight.value, { attitude: true, ball: true, bank_rad: 1, speed_mps: null }, []);
  failLater(cockpit, { kind: "gauge", engine: 0, when: { what: "below", value: 300 } });
  return cockpit;
};

describe("what they are shown", () => {
  it.each(["alder-s1", "larch-t2", "cedar-j2", "hazel-h2", "osier-g1"])(
    "%s passes its check, as it flies and fails",
    (id) => {
      const cockpit = flown(id);
      for (const seconds of [0, 5, 20, 60]) {
        advance(cockpit, seconds * 120);
        if (seconds === 5) failNow(cockpit, "ignition", 0);
        const view = flightView(cockpit);
        const now: NowShown = { view, running: true, over: false, planned: cockpit.planned, path: thinned([0.4, 1.6]) };
        const told = SHOWN.now.safeParse(forShow(now));
        expect(told.error?.issues ?? []).toEqual([]);
        expect(Math.abs((told.data?.view.north_m ?? 0) - view.north_m)).toBeLessThan(0.01);
      }
    },
  );

  it("refuses what no flight is, and a drill that is none", () => {
    const now = { view: flightView(flown("alder-s1")), running: true, over: false, planned: [], path: [] };
    expect(SHOWN.now.safeParse(now).success).toBe(true);
    for (const view of [{ height_m: Number.NaN }, { controls: [1] }, { engines: [] }, { ias_mps: "12" }, { more: 1 }])
      expect(SHOWN.now.safeParse({ ...now, view: { ...now.view, ...view } }).success).toBe(false);
    expect(SHOWN.now.safeParse({ ...now, path: Array.from({ length: 500 }, () => 0) }).success).toBe(false);
    expect(SHOWN.drill.safeParse({ began_s: 3, run: { procedure: jetFire } }).success).toBe(false);
    expect(SHOWN.drill.safeParse(null).success).toBe(true);
  });

  it("a long path is told in few points, its first and last among them", () => {
    const path = Array.from({ length: 4000 }, (_, i) => i + 0.4);
    const told = thinned(path);
    expect(told.length).toBeLessThanOrEqual(304);
    expect(told.slice(0, 2)).toEqual([0, 1]);
    expect(told.slice(-2)).toEqual([3998, 3999]);
    expect(thinned([5.4, 6.6])).toEqual([5, 7]);
    expect(thinned([])).toEqual([]);
  });

  it("numbers lose the digits that nobody sees, and nothing else", () => {
    expect(forShow({ a: 1.234_567_891, b: [123_456_789, null, "x", true], c: { d: -0.000_012_345_678_9 } })).toEqual({
      a: 1.234_568,
      b: [123_456_789, null, "x", true],
      c: { d: -0.000_012_345_68 },
    });
  });
});
