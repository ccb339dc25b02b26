// Rotorcraft flown against the steady core, whose own figures are checked apart: hover, level flight, autorotation,
// glide; and whole manoeuvres against the planner's. Bounds are common practice.
import { describe, expect, it } from "vitest";
import { FAR_BELOW, FLAT, rotorcraftSetUp } from "../../../demo/demo-flight";
import { demoGyroplane, demoHelicopter } from "../../../demo/read-demo";
import { MPS_PER_KT as KT } from "../quantities/constants";
import { autorotationAt } from "../rotor/autorotation";
import { flyAway } from "../rotor/fly-away";
import { gyroGlideAt } from "../rotor/gyro-glide";
import { gyroCase } from "../rotor/gyro-rotor";
import { helicopterCase } from "../rotor/helicopter-case";
import { HOVER, steadyPower } from "../rotor/steady-power";
import { eulerAngles } from "./attitude";
import * as C from "./controls";
import type { Flight, Ground } from "./flight";
import { type FlightSetUp, setUpFlight } from "./flight-set-up";
import { ratingsAfter, ratingsSoFar } from "./flown-ratings";
import { noteTrace, freshTrace } from "./flight-trace";
import { halfTurn } from "./half-turn";
import { type Leg, flyLegs, freshPilot, heightAbove_m, legOf, overGround } from "./pilot";
import * as S from "./state";

const HAZEL = demoHelicopter();
const OSIER = demoGyroplane();
const STANDARD = { qnh_Pa: 101_325, deviation_K: 0 };
const AHEAD = { hold: "heading", heading_rad: 0, bank_rad: 0.3 } as const;
const OVER = { vertical: { hold: "hover" }, lateral: { hold: "bank", bank_rad: 0 } } as const;
const DEAD = [
  { kind: "starvation", engine: 0 },
  { kind: "starvation", engine: 1 },
] as const;

function begun(of: FlightSetUp, ground: Ground = FAR_BELOW): Flight {
  const flight = setUpFlight(of, ground);
  if (!flight.ok) throw new Error(flight.issue.message);
  return flight.value;
}
const value = <T>(outcome: { ok: true; value: T } | { ok: false; issue: { message: string } }): T => {
  if (!outcome.ok) throw new Error(outcome.issue.message);
  return outcome.value;
};
const power_W = ({ state: s }: Flight) => s[S.ENGINE + S.POWER] + s[S.ENGINE + S.PER_ENGINE + S.POWER];

/** Flies legs; means over the last so many seconds. */
function flown(flight: Flight, legs: readonly Leg[], over_s = 5) {
  const rows: number[][] = [];
  flyLegs(flight, freshPilot(legs), (step) => {
    if (step % 12 === 0)
      rows.push([power_W(flight), overGround(flight.state).climb_mps, flight.seen.tas_mps, flight.state[S.NR]]);
    return true;
  });
  const last = rows.slice(-10 * over_s);
  const [power, climb, tas, nr] = [0, 1, 2, 3].map((i) => last.reduce((sum, row) => sum + row[i], 0) / last.length);
  return { power, climb, tas, nr };
}

const hazel = (mass_kg: number, altitude_m: number) =>
  value(helicopterCase({ aircraft: HAZEL, mass_kg, altitude_m, air: STANDARD }));
const osier = (altitude_m: number) => value(gyroCase({ aircraft: OSIER, mass_kg: 450, altitude_m, air: STANDARD }));

/** Of the middle over the skids. */
const middle_m = begun(rotorcraftSetUp(HAZEL, {}), FLAT).model.hullHeight_m;

describe("a helicopter against the steady core", () => {
  it.each([2400, 2800, 3000])(
    "hovers at %i kg with its power within a hundredth, its rotor at its speed",
    (mass_kg) => {
      const flight = begun(rotorcraftSetUp(HAZEL, { altitude_m: 50, hovers: true }, { mass_kg }), FAR_BELOW);
      const { power, climb, nr } = flown(flight, [
        legOf({ name: "hover", ...OVER, collective: { hold: "climb", value: 0 }, until: { what: "time", value: 30 } }),
      ]);
      expect(Math.abs(power / steadyPower(hazel(mass_kg, 50), HOVER).shaft_W - 1)).toBeLessThan(0.01);
      expect(Math.abs(climb)).toBeLessThan(0.1);
      expect(Math.abs(nr - 1)).toBeLessThan(0.005);
    },
  );

  it("hovers in ground effect with the power that the core gives it there", () => {
    const flight = begun(rotorcraftSetUp(HAZEL, { altitude_m: 1.524 + middle_m, hovers: true }), FLAT);
    const { power } = flown(flight, [
      legOf({ name: "hover", ...OVER, collective: { hold: "climb", value: 0 }, until: { what: "time", value: 10 } }),
    ]);
    const skids_m = heightAbove_m(flight) - middle_m;
    expect(Math.abs(skids_m - 1.524)).toBeLessThan(0.4);
    const wanted = steadyPower(hazel(2800, 0), { tas_mps: 0, climb_mps: 0, skids_m, nr: 1 }).shaft_W;
    expect(Math.abs(power / wanted - 1)).toBeLessThan(0.015);
  });

  it.each([40, 60, 80, 100])("flies level at %i kt with its power within a seventieth", (kt) => {
    const flight = begun(rotorcraftSetUp(HAZEL, { altitude_m: 300, speed_mps: kt * KT }), FAR_BELOW);
    const level = { vertical: { hold: "speed", speed_mps: kt * KT }, lateral: AHEAD } as const;
    const { power, climb, tas } = flown(
      flight,
      [legOf({ name: "level", ...level, collective: { hold: "climb", value: 0 }, until: { what: "time", value: 45 } })],
      15,
    );
    expect(Math.abs(climb)).toBeLessThan(0.15);
    const wanted = steadyPower(hazel(2800, 300), { tas_mps: tas, climb_mps: 0, skids_m: null, nr: 1 }).shaft_W;
    expect(Math.abs(power / wanted - 1)).toBeLessThan(0.015);
  });

  it.each([50, 66.5, 90])("falls at %i kt without engines as fast as the core says, within a fortieth", (kt) => {
    const flight = begun(rotorcraftSetUp(HAZEL, { altitude_m: 1200, speed_mps: kt * KT }), FAR_BELOW);
    const { climb, tas, nr } = flown(
      flight,
      [
        legOf({
          name: "down",
          vertical: { hold: "speed", speed_mps: kt * KT },
          lateral: AHEAD,
          collective: { hold: "rotor-speed", value: 1 },
          fails: [...DEAD],
          until: { what: "time", value: 45 },
        }),
      ],
      15,
    );
    expect(power_W(flight)).toBeLessThan(1);
    expect(Math.abs(nr - 1)).toBeLessThan(0.01);
    const steady = autorotationAt(hazel(2800, -flight.state[S.DOWN]), Math.sqrt(tas * tas - climb * climb), nr);
    expect(Math.abs(-climb / (steady?.sink_mps ?? 0) - 1)).toBeLessThan(0.025);
  });
});

describe("one engine lost in the hover", () => {
  const react = legOf({
    name: "react",
    ...OVER,
    fails: [{ kind: "starvation", engine: 0 }],
    until: { what: "time", value: 1 },
  });

  it("at 5 ft, a second late: rotor above 96 %, half a metre at most, and the clock of the rating runs", () => {
    const flight = begun(rotorcraftSetUp(HAZEL, { altitude_m: 1.5 + middle_m, hovers: true }), FLAT);
    const hold = legOf({
      name: "hold",
      ...OVER,
      collective: { hold: "climb", value: 0 },
      until: { what: "time", value: 12 },
    });
    let [least, lowest, highest] = [1, Infinity, 0];
    const trace = freshTrace();
    const pilot = freshPilot([{ ...hold, until: { what: "time", value: 3 } }, react, hold]);
    let clock = ratingsSoFar(flight, []);
    flyLegs(flight, pilot, (step) => {
      if (noteTrace(trace, flight, step)) clock = ratingsAfter(flight, clock, trace.rows);
      if (pilot.at === 1) highest = Math.max(highest, heightAbove_m(flight));
      if (pilot.at >= 1)
        [least, lowest] = [Math.min(least, flight.state[S.NR]), Math.min(lowest, heightAbove_m(flight))];
      return true;
    });
    expect(least).toBeGreaterThan(0.96);
    expect(highest - lowest).toBeLessThan(0.5);
    // 482 kW on one engine: more than continuous, no more than the longest limited one.
    const running = clock?.bands.at(clock.band ?? -1);
    expect(running?.name).toBe("2½ min");
    expect(running?.left_s).toBeLessThan(150);
    expect(running?.left_s).toBeGreaterThan(130);
    expect(clock?.exceedances).toEqual([]);
    // Spooling up and down, other bands are passed through and not used.
    expect(clock?.bands.map(({ uses }) => uses).slice(0, 2)).toEqual([0, 0]);
  });

  it("high, it flies away with about the height that the planner takes", () => {
    const flight = begun(rotorcraftSetUp(HAZEL, { altitude_m: 100, hovers: true }), FAR_BELOW);
    const planned = value(flyAway(hazel(2800, 100), 0, HAZEL.engines.ratings[0]));
    const forward = { hold: "pitch", pitch_rad: 0.07 - planned.tilt_rad } as const;
    let [from, lowest] = [0, Infinity];
    const pilot = freshPilot([
      legOf({ name: "hover", ...OVER, collective: { hold: "climb", value: 0 }, until: { what: "time", value: 10 } }),
      react,
      legOf({
        name: "away",
        vertical: forward,
        lateral: { hold: "bank", bank_rad: -0.04 },
        collective: { hold: "rotor-speed", value: 0.98 },
        until: { what: "time", value: 14 },
      }),
    ]);
    flyLegs(flight, pilot, () => {
      if (pilot.at === 0) from = -flight.state[S.DOWN];
      lowest = Math.min(lowest, -flight.state[S.DOWN]);
      return true;
    });
    expect(from - lowest).toBeGreaterThan(0.4 * planned.loss_m);
    expect(from - lowest).toBeLessThan(planned.loss_m + 4);
    // It climbs and has its speed.
    expect(flight.seen.tas_mps).toBeGreaterThan(15);
    expect(overGround(flight.state).climb_mps).toBeGreaterThan(0);
  });

  it("with the collective held as it was, both engines gone, rotor speed falls a quarter in the first second", () => {
    const flight = begun(rotorcraftSetUp(HAZEL, { altitude_m: 300, hovers: true }), FAR_BELOW);
    flyLegs(flight, freshPilot([{ ...react, fails: [...DEAD] }]));
    // Power of the hover over the energy of the rotor: 24 %/s at first, less the third of a second it takes to go out.
    expect(flight.state[S.NR]).toBeLessThan(0.9);
    expect(flight.state[S.NR]).toBeGreaterThan(0.78);
    flyLegs(flight, freshPilot([legOf({ name: "wait", ...OVER, until: { what: "time", value: 10 } })]));
    expect(flight.ended?.kind).toBe("rotor-slow");
  });

  it("an autorotation ends softly on the ground: collective down, flare, cushion", () => {
    const flight = begun(rotorcraftSetUp(HAZEL, { altitude_m: 250, speed_mps: 65 * KT }, { mass_kg: 2400 }), FLAT);
    let sink = 0;
    flyLegs(
      flight,
      freshPilot([
        legOf({
          name: "down",
          vertical: { hold: "speed", speed_mps: 65 * KT },
          lateral: AHEAD,
          collective: { hold: "rotor-speed", value: 1.02 },
          fails: [...DEAD],
          until: { what: "below", value: 26 },
        }),
        legOf({
          name: "flare",
          vertical: { hold: "pitch", pitch_rad: 0.32 },
          lateral: AHEAD,
          collective: { hold: "rotor-speed", value: 1.06 },
          until: { what: "below", value: 9 },
        }),
        legOf({
          name: "level",
          vertical: { hold: "pitch", pitch_rad: 0.06 },
          lateral: AHEAD,
          collective: { hold: "cushion", value: 0.6 },
          until: { what: "touch", value: 0 },
        }),
      ]),
      () => {
        if (flight.seen.touch_N === 0) sink = -overGround(flight.state).climb_mps;
        return true;
      },
    );
    expect(flight.ended).toBeNull();
    expect(sink).toBeLessThan(3);
    expect(flight.state[S.NR]).toBeGreaterThan(0.6);
  });
});

describe("a gyroplane against the steady core", () => {
  it.each([40, 52, 60])("glides at %i kt, engine seized, with its sink and rotor speed within a fiftieth", (kt) => {
    const flight = begun(rotorcraftSetUp(OSIER, { altitude_m: 1000, speed_mps: kt * KT }, { mass_kg: 450 }), FAR_BELOW);
    const { climb, tas, nr } = flown(
      flight,
      [
        legOf({
          name: "glide",
          vertical: { hold: "speed", speed_mps: kt * KT },
          lateral: AHEAD,
          fails: [{ kind: "seizure", engine: 0 }],
          until: { what: "time", value: 50 },
        }),
      ],
      15,
    );
    // Through the air it moves along its slanting path; the core's speed is the level part.
    const level = Math.sqrt(tas * tas - climb * climb);
    const steady = gyroGlideAt(osier(-flight.state[S.DOWN]), level, "stopped");
    if (!steady || flight.model.kind !== "rotorcraft") throw new Error("no glide");
    expect(Math.abs(-climb / steady.sink_mps - 1)).toBeLessThan(0.02);
    expect(Math.abs((nr * flight.model.nominal_radps) / steady.rotor_radps - 1)).toBeLessThan(0.02);
  });

  it("comes down with hardly any speed as the core has it, and has its speed again by the nose", () => {
    const flight = begun(rotorcraftSetUp(OSIER, { altitude_m: 900, speed_mps: 30 * KT }, { mass_kg: 450 }), FAR_BELOW);
    const rows: number[] = [];
    const pilot = freshPilot([
      legOf({
        name: "slow",
        vertical: { hold: "climb", climb_mps: 0 },
        lateral: AHEAD,
        throttle: [0],
        fails: [{ kind: "seizure", engine: 0 }],
        until: { what: "slower", value: 12 },
      }),
      legOf({
        name: "vertical",
        vertical: { hold: "pitch", pitch_rad: -0.16 },
        lateral: { hold: "bank", bank_rad: 0 },
        until: { what: "time", value: 30 },
      }),
      legOf({
        name: "nose down",
        vertical: { hold: "pitch", pitch_rad: -0.42 },
        lateral: { hold: "bank", bank_rad: 0 },
        until: { what: "faster", value: 45 * KT },
      }),
    ]);
    let [from, to, carried, way] = [0, 0, 1, 0];
    const all = flyLegs(flight, pilot, () => {
      if (pilot.at === 1) [from, way] = [-flight.state[S.DOWN], Math.abs(overGround(flight.state).north_mps)];
      if (pilot.at === 1) rows.push(overGround(flight.state).climb_mps);
      if (pilot.at === 2) carried = Math.min(carried, flight.forces.rotor.thrust_N / (450 * 9.80665));
      to = -flight.state[S.DOWN];
      return true;
    });
    expect(all).toBe(true);
    // What speed it still has it loses slowly: the core's sink at that speed.
    const steady = gyroGlideAt(osier(from), way, "stopped")?.sink_mps ?? 0;
    const mean = -rows.slice(-120 * 3).reduce((sum, value) => sum + value, 0) / (120 * 3);
    expect(way).toBeLessThan(8);
    expect(Math.abs(mean / steady - 1)).toBeLessThan(0.05);
    // The core's best push takes 470 ft to 57.5 kt; to 45 kt less, and it never unloads.
    expect(from - to).toBeGreaterThan(30);
    expect(from - to).toBeLessThan(150);
    expect(carried).toBeGreaterThan(0.5);
  });

  it("flown to the ground, engine seized, it is where the planner's glide ends, rounded out softly from its flare speed", () => {
    const flight = begun(rotorcraftSetUp(OSIER, { altitude_m: 250, speed_mps: 52 * KT }, { mass_kg: 450 }), FLAT);
    let [from_m, from_h, round_m, round_h, sink] = [0, 0, 0, 0, 0];
    const pilot = freshPilot([
      legOf({
        name: "level",
        vertical: { hold: "climb", climb_mps: 0 },
        lateral: AHEAD,
        until: { what: "time", value: 4 },
      }),
      legOf({
        name: "settle",
        vertical: { hold: "speed", speed_mps: 57.5 * KT },
        lateral: AHEAD,
        fails: [{ kind: "seizure", engine: 0 }],
        until: { what: "below", value: 170 },
      }),
      legOf({
        name: "glide",
        vertical: { hold: "speed", speed_mps: 57.5 * KT },
        lateral: AHEAD,
        until: { what: "below", value: 12 },
      }),
      legOf({
        name: "round out",
        vertical: { hold: "pitch", pitch_rad: 0.03 },
        lateral: AHEAD,
        until: { what: "below", value: 3 },
      }),
      legOf({
        name: "hold off",
        vertical: { hold: "pitch", pitch_rad: 0.1 },
        lateral: AHEAD,
        until: { what: "touch", value: 0 },
      }),
      legOf({
        name: "roll",
        vertical: { hold: "pitch", pitch_rad: 0.1 },
        lateral: AHEAD,
        brakes: 0.5,
        until: { what: "stopped", value: 0 },
      }),
    ]);
    const all = flyLegs(flight, pilot, () => {
      const [north, height] = [flight.state[S.NORTH], heightAbove_m(flight)];
      if (pilot.at === 1) [from_m, from_h] = [north, height];
      if (pilot.at === 2) [round_m, round_h] = [north, height];
      if (flight.seen.touch_N === 0) sink = -overGround(flight.state).climb_mps;
      return true;
    });
    expect([all, flight.ended]).toEqual([true, null]);
    expect(sink).toBeLessThan(1.5);
    const steady = gyroGlideAt(osier(90), 57.5 * KT, "stopped");
    expect(Math.abs((round_m - from_m) / (from_h - round_h) / (steady?.ratio ?? 0) - 1)).toBeLessThan(0.05);
    // Thirty feet of round-out and a short roll, as the planner's spot has it.
    expect(flight.state[S.NORTH] - round_m).toBeLessThan(260);
  });

  it("takes off by its own roll, climbs as the planner has it, and is steered by its feet", () => {
    const flight = begun(rotorcraftSetUp(OSIER, {}, { mass_kg: 450 }), FLAT);
    flight.controls[C.BRAKES] = 0;
    let rolled = 0;
    const pilot = freshPilot([
      legOf({
        name: "roll",
        vertical: { hold: "pitch", pitch_rad: 0.1 },
        lateral: AHEAD,
        throttle: [1],
        until: { what: "above", value: 3 },
      }),
      legOf({
        name: "climb",
        vertical: { hold: "speed", speed_mps: 50 * KT },
        lateral: AHEAD,
        until: { what: "above", value: 100 },
      }),
    ]);
    let begun_s = 0;
    expect(
      flyLegs(flight, pilot, () => {
        if (pilot.at === 0) [rolled, begun_s] = [flight.state[S.NORTH], flight.state[S.TIME]];
        return true;
      }),
    ).toBe(true);
    expect(rolled).toBeGreaterThan(80);
    expect(rolled).toBeLessThan(450);
    expect(Math.abs(halfTurn(eulerAngles(flight.state).heading_rad))).toBeLessThan(0.1);
    const climb = 97 / (flight.state[S.TIME] - begun_s);
    expect(climb).toBeGreaterThan(2);
    expect(climb).toBeLessThan(6);
  });
});
