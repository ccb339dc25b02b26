import type { AeroplaneModel } from "./aeroplane-model";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { FAR_BELOW, FLAT, cut, demoFlight, flyBy, stillAir, wildHands } from "../../../demo/demo-flight";
import { demoAircraft } from "../../../demo/read-demo";
import { G0, MPS_PER_KT, RHO0 } from "../quantities/constants";
import { airColumn } from "./air-column";
import { eulerAngles } from "./attitude";
import * as C from "./controls";
import type { Flight } from "./flight";
import { type FlightSetUp, setUpFlight } from "./flight-set-up";
import { overGround } from "./pilot";
import { fail } from "./fail";
import { Recording, note, recorderOf, recordingOf, replay } from "./recording";
import * as S from "./state";
import { stepFlight } from "./step-flight";
import { FAILURE_KINDS, has } from "./trouble";

const FLEET = ["alder-s1", "rowan-r1", "larch-t2", "hornbeam-t2c", "thorn-v12", "fir-p1", "cedar-j2"] as const;
const usual = (id: string) => demoAircraft(id).mass.usual_kg;
const DEG = 180 / Math.PI;
const steps = (flight: Flight, n: number) => {
  for (let i = 0; i < n; i += 1) stepFlight(flight);
};
const setUp = (
  id: string,
  begin: Partial<FlightSetUp["begin"]> = {},
  more: Partial<FlightSetUp> = {},
): FlightSetUp => ({
  aircraft: demoAircraft(id),
  mass_kg: usual(id),
  centreOfGravity: 0.5,
  air: { qnh_Pa: 101_325, deviation_K: 0 },
  wind: { surface: { from_rad: 4.4, speed_mps: 7 }, layers: [] },
  ground_m: 0,
  turbulence: 0,
  seed: 7,
  ...more,
  begin: {
    north_m: 0,
    east_m: 0,
    altitude_m: 600,
    heading_rad: 1,
    hovers: false,
    speed_mps: 1.5 * (demoAircraft(id).handbook.vs1_mps ?? 30),
    flap: 0,
    gearDown: false,
    throttle: 0.6,
    fuel_kg: 80,
    ...begin,
  },
});
/** A flight of an aeroplane. */
function winged(flight: Flight): Flight<AeroplaneModel> {
  const { model } = flight;
  if (model.kind !== "aeroplane") throw new Error("expected an aeroplane");
  return { ...flight, model };
}
const begun = (of: FlightSetUp, ground = FAR_BELOW) => {
  const flight = setUpFlight(of, ground);
  if (!flight.ok) throw new Error(flight.issue.message);
  return flight.value;
};

describe("a flight begins in balance", () => {
  it.each(FLEET)("%s, hands off, keeps its speed and its heading for a while", (id) => {
    const flight = begun(setUp(id));
    const from = { speed: flight.state[S.ASI], heading: eulerAngles(flight.state).heading_rad };
    steps(flight, 120 * 4);
    expect(flight.ended).toBeNull();
    expect(Math.abs(flight.state[S.ASI] / from.speed - 1)).toBeLessThan(0.06);
    expect(Math.abs(eulerAngles(flight.state).bank_rad) * DEG).toBeLessThan(6);
    expect(Math.abs(eulerAngles(flight.state).heading_rad - from.heading) * DEG).toBeLessThan(6);
  });

  it("on its wheels it stands, brakes set, engines idling", () => {
    for (const id of FLEET) {
      const flight = begun(setUp(id, { speed_mps: 0, altitude_m: 0, throttle: 0, gearDown: true }), FLAT);
      steps(flight, 120 * 10);
      expect([id, flight.ended]).toEqual([id, null]);
      expect(Math.abs(flight.state[S.NORTH]) + Math.abs(flight.state[S.EAST])).toBeLessThan(2.5);
      expect(Math.abs(overGround(flight.state).climb_mps)).toBeLessThan(0.05);
      // A share of a jet’s spool, a shaft in rad/s.
      expect(flight.state[S.ENGINE + S.OMEGA]).toBeGreaterThan(winged(flight).model.jet ? 0.34 : 35);
    }
  });

  it("what has no polar, and what is too slow, is refused with the reason", () => {
    const of = setUp("fir-p1");
    const none = setUpFlight({ ...of, aircraft: { ...demoAircraft("fir-p1"), polar: null } }, FLAT);
    expect(!none.ok && none.issue.code).toBe("no_polar");
    const slow = setUpFlight(setUp("alder-s1", { speed_mps: 10 }), FLAT);
    expect(!slow.ok && slow.issue.code).toBe("too_slow");
  });

  it("an aeroplane without figures of its motion flies with those of its kind", () => {
    for (const id of ["alder-s1", "larch-t2"]) {
      const of = setUp(id);
      const flight = begun({ ...of, aircraft: { ...demoAircraft(id), dynamics: null } });
      expect(winged(flight).model.calibrated).toBe(false);
      flyBy(flight, 20, { speed_mps: () => of.begin.speed_mps });
      expect(flight.ended).toBeNull();
      expect(Math.abs(flight.state[S.ASI] - of.begin.speed_mps)).toBeLessThan(3);
    }
  });
});

describe("the same flight twice", () => {
  it("gives the same bits, and so does its recording (property)", () => {
    fc.assert(
      fc.property(fc.constantFrom(...FLEET), fc.nat(1e6), (id, seed) => {
        const of = setUp(id, {}, { turbulence: 1, seed });
        const first = begun(of);
        const recorder = recorderOf(first);
        let last = 0;
        wildHands(first, 20, seed, (step) => {
          if (step % 2 === 0) note(recorder, first, step);
          last = step + 1;
        });
        // What was moved between two looks is only used from the look on: so does the page.
        const recording = Recording.parse(JSON.parse(JSON.stringify(recordingOf(recorder, last))));
        const again = begun(of);
        replay(again, recording);
        expect([...again.state]).toEqual([...first.state]);
        expect(again.ended).toEqual(first.ended);
      }),
      { numRuns: 25, seed: 5 },
    );
  });

  it("whatever the hands do, nothing is not a number and nothing falls through the ground (property)", () => {
    fc.assert(
      fc.property(fc.constantFrom(...FLEET), fc.nat(1e6), fc.constantFrom(...FAILURE_KINDS), (id, seed, kind) => {
        const flight = begun(setUp(id, { altitude_m: 60 + (seed % 900) }, { turbulence: 2, seed }), FLAT);
        wildHands(flight, 60, seed, (step) => {
          if (step === 600) fail(flight, kind, 0);
        });
        expect(flight.state.every(Number.isFinite)).toBe(true);
        expect(-flight.state[S.DOWN]).toBeGreaterThan(-3);
        if (!flight.ended) expect(flight.state[S.TIME]).toBeGreaterThan(59);
      }),
      { numRuns: 60, seed: 11 },
    );
  });
});

describe("how it ends", () => {
  it("held back with the foot in after the stall it has departed: the model ends here", () => {
    const flight = begun(setUp("larch-t2", { altitude_m: 3000, throttle: 0 }));
    flyBy(flight, 30, { speed_mps: (t) => 40 - t * 0.6 }, () => flight.state[S.ATTACHED_LEFT] > 0.3);
    flight.controls[C.STICK_BACK] = 127;
    flight.controls[C.RIGHT_FOOT] = -127;
    steps(flight, 120 * 20);
    expect(flight.ended?.kind).toBe("departed");
  });

  it("too fast, too much load, into the ground, into the water: each by its name", () => {
    const dive = begun(setUp("alder-s1", { altitude_m: 5000, throttle: 1 }));
    dive.controls[C.STICK_BACK] = -70;
    steps(dive, 120 * 60);
    expect(["too-fast", "overload", "departed"]).toContain(dive.ended?.kind);
    const pull = begun(setUp("rowan-r1", { speed_mps: 95, throttle: 1 }));
    pull.controls[C.STICK_BACK] = 127;
    steps(pull, 120 * 5);
    expect(pull.ended).toEqual({ kind: "overload" });
    for (const [water, kind] of [
      [false, "crash"],
      [true, "water"],
    ] as const) {
      const down = begun(setUp("alder-s1", { altitude_m: 60, throttle: 0 }), { height: () => 0, water: () => water });
      down.controls[C.STICK_BACK] = -60;
      steps(down, 120 * 20);
      expect(down.ended).toMatchObject({ kind });
      expect((down.ended as { sink_mps: number }).sink_mps).toBeGreaterThan(3);
    }
  });
});

describe("energy", () => {
  it("without drag, thrust and wind the sum of height and speed stays, to a metre in a minute", () => {
    const flight = demoFlight("alder-s1", { mass_kg: 1000, tas_mps: 45, gamma_rad: -0.05, altitude_m: 1500 });
    cut(flight, 0);
    const none = { cd0: 0, k: 0, gearCd: 0, cdBeta: 0, cdDeltaR: 0, cdDeltaA: 0 };
    const { propeller } = winged(flight).model;
    if (!propeller) throw new Error("no propeller");
    const free: Flight = {
      ...flight,
      model: { ...winged(flight).model, ...none, propeller: { ...propeller, windmilling_m2: 0, stopped_m2: 0 } },
    };
    const energy = () => -free.state[S.DOWN] + free.seen.tas_mps ** 2 / (2 * G0);
    steps(free, 240);
    const from = energy();
    steps(free, 120 * 60);
    expect(Math.abs(energy() - from)).toBeLessThan(1.5);
  });

  it("a wind that is the same everywhere only carries it along", () => {
    const wind = () => ({ east_mps: 9, north_mps: -4 });
    const column = airColumn({ qnh_Pa: 101_325, deviation_K: 0 }, wind, 0, 0);
    const fly = (moving: boolean) => {
      const flight = demoFlight("larch-t2", {
        mass_kg: 1600,
        tas_mps: 55,
        throttle: 0.6,
        column: moving ? column : stillAir(),
      });
      flight.controls[C.STICK_RIGHT] = 9;
      steps(flight, 120 * 10);
      return flight.state;
    };
    const [still, moved] = [fly(false), fly(true)];
    expect(moved[S.NORTH] - still[S.NORTH]).toBeCloseTo(-40, 2);
    expect(moved[S.EAST] - still[S.EAST]).toBeCloseTo(90, 2);
    expect(moved[S.DOWN]).toBeCloseTo(still[S.DOWN], 3);
    expect(moved[S.BALL]).toBeCloseTo(still[S.BALL], 4);
  });
});

describe("what fails, and what the hands mend", () => {
  const power = (flight: Flight) => flight.state[S.ENGINE + S.BURN];
  const flown = (
    kind: (typeof FAILURE_KINDS)[number],
    seconds: number,
    hands: (flight: Flight) => void = () => undefined,
  ) => {
    const flight = begun(setUp("larch-t2", { altitude_m: 1500, throttle: 0.8 }));
    steps(flight, 240);
    fail(flight, kind, 0);
    flyBy(flight, seconds, { speed_mps: () => 50 });
    hands(flight);
    flyBy(flight, 25, { speed_mps: () => 50 });
    return flight;
  };

  it("a tank that has run dry stops it after what is in the lines; the other tank brings it back", () => {
    expect(power(flown("starvation", 5))).toBeLessThan(0.05);
    const mended = flown("starvation", 25, (flight) => (flight.controls[C.FUEL] = 2));
    expect(power(mended)).toBeGreaterThan(0.95);
    expect(mended.state[S.ENGINE + S.THRUST]).toBeGreaterThan(500);
  });

  it("water and a tank pumped empty go with the other tank; what is used up, with none", () => {
    const other = (flight: Flight) => (flight.controls[C.FUEL] = 2);
    for (const kind of ["contamination", "transfer"] as const) {
      expect([kind, power(flown(kind, 20)) < 0.05]).toEqual([kind, true]);
      expect([kind, power(flown(kind, 20, other)) > 0.95]).toEqual([kind, true]);
    }
    expect(power(flown("exhaustion", 5, other))).toBeLessThan(0.05);
  });

  it("a loose contact cuts out again and again, and not on the other magneto; heat seizes what is not throttled back", () => {
    const outs = (hands: (flight: Flight) => void) => {
      const flight = begun(setUp("larch-t2", { altitude_m: 1500, throttle: 0.8 }));
      fail(flight, "intermittent", 0);
      hands(flight);
      let out = 0;
      for (let i = 0; i < 120 * 20; i += 1) {
        stepFlight(flight);
        if (flight.trouble[0].spark === 0) out += 1;
      }
      return out / 120;
    };
    expect(outs(() => undefined)).toBeCloseTo(6, 0);
    expect(outs((flight) => (flight.controls[C.MAGNETOS] = 2))).toBe(0);
    const hot = flown("overheat", 235);
    expect(hot.trouble[0].seized).toBe(true);
    expect(hot.state[S.ENGINE + S.HEAD]).toBeGreaterThan(flown("gauge", 235).state[S.ENGINE + S.HEAD] + 40);
    const back = flown("overheat", 60, (flight) => (flight.controls[C.THROTTLE] = 40));
    flyBy(back, 200, { speed_mps: () => 50 });
    expect(back.trouble[0].seized).toBe(false);
  });

  it("a propeller that sticks neither holds its speed nor feathers; without current the flap, without oil pressure the gear stays", () => {
    const feather = (flight: Flight) => {
      flight.controls[C.THROTTLE] = 0;
      flight.controls[C.PROPELLER] = 0;
    };
    const [stuck, free] = (["prop-stuck", "gauge"] as const).map((kind) => flown(kind, 2, feather).state);
    expect(free[S.ENGINE + S.BLADE]).toBeGreaterThan(stuck[S.ENGINE + S.BLADE] + 0.5);
    expect(stuck[S.ENGINE + S.OMEGA]).toBeGreaterThan(2 * free[S.ENGINE + S.OMEGA]);
    const down = (flight: Flight) => {
      flight.controls[C.FLAP] = 2;
      flight.controls[C.GEAR] = 1;
    };
    const stands = (kind: "electric" | "hydraulic" | "gauge") => {
      const { state } = flown(kind, 1, down);
      return [state[S.FLAP_AT], state[S.GEAR_AT]];
    };
    expect(stands("electric")).toEqual([0, 1]);
    expect(stands("hydraulic")).toEqual([2, 0]);
    expect(stands("gauge")).toEqual([2, 1]);
  });

  it("ice goes with heat, a weak pump with the other one, both magnetos with nothing", () => {
    const iced = flown("ice", 60);
    expect(iced.state[S.ENGINE + S.ICE]).toBeGreaterThan(0.95);
    expect(iced.state[S.ENGINE + S.MANIFOLD]).toBeLessThan(iced.state[S.ENGINE + S.PER_ENGINE + S.MANIFOLD] * 0.8);
    expect(flown("ice", 60, (flight) => (flight.controls[C.HEAT] = 1)).state[S.ENGINE + S.ICE]).toBe(0);
    expect(power(flown("mixture", 40))).toBeLessThan(0.05);
    expect(power(flown("mixture", 40, (flight) => (flight.controls[C.PUMP] = 1)))).toBeGreaterThan(0.95);
    expect(power(flown("ignition", 2, (flight) => (flight.controls[C.MAGNETOS] = 1)))).toBeLessThan(0.05);
  });

  it("rpm and manifold pressure of a windmilling engine tell nothing; exhaust and fuel flow do", () => {
    const flight = flown("ignition", 5);
    const of = (engine: number, number: number) => flight.state[S.ENGINE + engine * S.PER_ENGINE + number];
    expect(of(0, S.OMEGA) / of(1, S.OMEGA)).toBeGreaterThan(0.97);
    expect(of(0, S.MANIFOLD) / of(1, S.MANIFOLD)).toBeGreaterThan(0.97);
    expect(of(0, S.EXHAUST) / of(1, S.EXHAUST)).toBeLessThan(0.6);
    const dry = flown("starvation", 20);
    expect(dry.state[S.ENGINE + S.FUEL_FLOW]).toBeLessThan(1e-4);
  });

  it("feathering takes six seconds and stops it; it starts again by the starter", () => {
    const flight = flown("ignition", 5, (now) => (now.controls[C.PROPELLER] = 0));
    expect(flight.state[S.ENGINE + S.BLADE] * DEG).toBeCloseTo(87, 0);
    expect((flight.state[S.ENGINE + S.OMEGA] * 30) / Math.PI).toBeLessThan(60);
    // Repaired on the way: lever out of feather, starter.
    flight.failures = [];
    flight.controls[C.PROPELLER] = 127;
    flight.controls[C.STARTER] = 1;
    flight.controls[C.THROTTLE] = C.kept(0.3);
    flyBy(flight, 25, { speed_mps: () => 50 });
    expect(power(flight)).toBeGreaterThan(0.95);
    expect((flight.state[S.ENGINE + S.OMEGA] * 30) / Math.PI).toBeGreaterThan(1800);
  });

  it("a turboprop follows its lever as a spool does, feathers, and lights by its starter", () => {
    const flight = begun(setUp("fir-p1", { altitude_m: 2500, throttle: 0.3, speed_mps: 60 }));
    steps(flight, 240);
    const before = flight.state[S.ENGINE + S.THRUST];
    flight.controls[C.THROTTLE] = 127;
    steps(flight, 60);
    const half = flight.state[S.ENGINE + S.THRUST];
    steps(flight, 120 * 8);
    const full = flight.state[S.ENGINE + S.THRUST];
    expect(half).toBeGreaterThan(before);
    expect((half - before) / (full - before)).toBeLessThan(0.6);
    flight.controls[C.FUEL] = 0;
    flight.controls[C.PROPELLER] = 0;
    flyBy(flight, 30, { speed_mps: () => 58 });
    expect(power(flight)).toBeLessThan(0.05);
    expect(flight.state[S.ENGINE + S.BLADE] * DEG).toBeCloseTo(87, 0);
    flight.controls[C.FUEL] = 1;
    flyBy(flight, 20, { speed_mps: () => 58 });
    expect(power(flight)).toBeLessThan(0.05);
    flight.controls[C.STARTER] = 1;
    flight.controls[C.THROTTLE] = C.kept(0.4);
    flyBy(flight, 15, { speed_mps: () => 58 });
    flight.controls[C.PROPELLER] = 127;
    flyBy(flight, 25, { speed_mps: () => 58 });
    expect(power(flight)).toBeGreaterThan(0.95);
    expect(flight.state[S.ENGINE + S.THRUST]).toBeGreaterThan(500);
  });

  it("below the locks’ speed it does not feather any more", () => {
    const flight = begun(setUp("larch-t2", { altitude_m: 1500 }));
    fail(flight, "seizure", 0);
    steps(flight, 240);
    flight.controls[C.PROPELLER] = 0;
    steps(flight, 120 * 10);
    expect(flight.state[S.ENGINE + S.BLADE] * DEG).toBeLessThan(30);
  });

  it("a fixed propeller stands near the stall and turns again in a dive", () => {
    const flight = demoFlight("alder-s1", { mass_kg: 1000, tas_mps: 34, altitude_m: 400, gamma_rad: -0.1 });
    cut(flight, 0);
    const slow = 1.005 * Math.sqrt((2 * 1000 * G0) / (RHO0 * 16.5 * 1.5));
    flyBy(flight, 60, { speed_mps: (t) => Math.max(34 - 0.3 * t, slow) });
    expect(flight.state[S.ENGINE + S.OMEGA]).toBe(0);
    flyBy(flight, 15, { speed_mps: () => 40 });
    expect(flight.state[S.ENGINE + S.OMEGA]).toBe(0);
    flight.state[S.DOWN] -= 1500;
    let turned = 0;
    flyBy(flight, 40, { speed_mps: (t) => 40 + t }, () => {
      if (flight.state[S.ENGINE + S.OMEGA] > 20) turned = flight.state[S.ASI];
      return turned === 0;
    });
    // 132 kt in a prototype.
    expect(turned / MPS_PER_KT).toBeGreaterThan(100);
    expect(turned / MPS_PER_KT).toBeLessThan(150);
  });

  it("a fire burns while it is fed and stops the engine; brakes that are gone do not hold", () => {
    const fire = begun(setUp("larch-t2"));
    fail(fire, "fire", 0);
    steps(fire, 120);
    expect(fire.trouble[0].burning).toBe(true);
    fire.controls[C.FUEL] = 0;
    steps(fire, 12);
    expect(fire.trouble[0].burning).toBe(false);
    const gone = begun(setUp("alder-s1", { speed_mps: 0, altitude_m: 0, throttle: 1, gearDown: true }), FLAT);
    fail(gone, "brakes", null);
    steps(gone, 120 * 5);
    expect(has(gone.failures, "brakes", 1)).toBe(true);
    expect(Math.hypot(gone.state[S.U], gone.state[S.V])).toBeGreaterThan(3);
  });
});

describe("instruments", () => {
  const settled = (kind: "pitot" | "static" | "vacuum" | null) => {
    const flight = begun(
      setUp("rowan-r1", { altitude_m: 1200, throttle: 1, speed_mps: 55 }, { wind: { surface: null, layers: [] } }),
    );
    flyBy(flight, 10, { speed_mps: () => 55 });
    if (kind) fail(flight, kind, null);
    const from = { asi: flight.state[S.ASI], altitude: flight.state[S.ALTIMETER], height: -flight.state[S.DOWN] };
    // The hands hold an attitude: they do not follow what the needle says.
    for (let step = 0; step < 120 * 60; step += 1) {
      if (step % 2 === 0) {
        const { pitch_rad, bank_rad } = eulerAngles(flight.state);
        flight.controls[C.STICK_BACK] = C.kept(2 * (0.12 - pitch_rad) - flight.state[S.Q]);
        flight.controls[C.STICK_RIGHT] = C.kept(-bank_rad * 2 - 0.3 * flight.state[S.P]);
      }
      stepFlight(flight);
    }
    return { flight, from };
  };

  it("show what is, within their lags", () => {
    const { flight } = settled(null);
    const { state, seen, air } = flight;
    expect(state[S.ASI]).toBeCloseTo(seen.tas_mps * Math.sqrt(air.density / RHO0), 0);
    expect(state[S.ALTIMETER]).toBeCloseTo(-state[S.DOWN], -1);
    expect(state[S.VSI]).toBeCloseTo(overGround(state).climb_mps, 0);
    expect(Math.abs(state[S.GYRO_BANK] - eulerAngles(state).bank_rad)).toBeLessThan(1e-9);
  });

  it("a blocked pitot reads faster as it climbs; a blocked static line freezes the altimeter; a gyro runs down", () => {
    const pitot = settled("pitot");
    expect(-pitot.flight.state[S.DOWN] - pitot.from.height).toBeGreaterThan(100);
    expect(pitot.flight.state[S.ASI]).toBeGreaterThan(pitot.from.asi + 10);
    const frozen = settled("static");
    expect(frozen.flight.state[S.ALTIMETER]).toBeCloseTo(frozen.from.height, 0);
    expect(Math.abs(frozen.flight.state[S.VSI])).toBeLessThan(0.05);
    const { flight } = settled("vacuum");
    expect(Math.abs(flight.state[S.GYRO_BANK] - eulerAngles(flight.state).bank_rad) * DEG).toBeGreaterThan(1);
  });
});

describe("a gale on the ground", () => {
  it.each([0, 1, 2, 3, 4, 5, 6])(
    "60 kt from %d rad to the nose: it may be blown about, and is a number all the while",
    (off) => {
      for (const id of ["alder-s1", "hornbeam-t2c"]) {
        const of = setUp(
          id,
          { speed_mps: 0, altitude_m: 0, throttle: 0, gearDown: true, heading_rad: 0 },
          { turbulence: 1 },
        );
        const flight = begun({ ...of, wind: { surface: { from_rad: off, speed_mps: 30.87 }, layers: [] } }, FLAT);
        steps(flight, 120 * 10);
        expect(flight.state.every(Number.isFinite)).toBe(true);
        expect(-flight.state[S.DOWN]).toBeGreaterThan(-1);
        // Into the wind and before it the brakes hold.
        if (off === 0 || off === 3) expect(Math.hypot(flight.state[S.NORTH], flight.state[S.EAST])).toBeLessThan(3);
      }
    },
  );
});
