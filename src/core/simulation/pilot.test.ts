import { describe, expect, it } from "vitest";
import { FLAT, demoFlight, stillAir } from "../../../demo/demo-flight";
import { demoFlightSetUp } from "../../../demo/demo-kept-flight";
import { demoAircraft } from "../../../demo/read-demo";
import { polarOf } from "../aircraft/polar";
import { cleanGlide } from "../aircraft/configuration";
import { bestGlide } from "../glide/straight-glide";
import { M_PER_FT, MPS_PER_KT } from "../quantities/constants";
import { calculate } from "../registry";
import { airColumn } from "./air-column";
import { eulerAngles } from "./attitude";
import { halfTurn } from "./half-turn";
import { type Leg, flyLegs, freshPilot, heightAbove_m, legOf } from "./pilot";
import * as S from "./state";
import { turnBackLegs } from "./turn-back-legs";

const DEG = 180 / Math.PI;

/** A whole flight of turning back, with what happened leg by leg. */
function turnBack(id: string, mass_kg: number, wind_kt: number, height_m: number) {
  const wind = () => ({ east_mps: 0, north_mps: -wind_kt * MPS_PER_KT });
  const legs = turnBackLegs(demoAircraft(id), { height_m, bank_rad: 45 / DEG, reaction_s: 3, mass_kg });
  const flight = demoFlight(id, {
    mass_kg,
    centreOfGravity: 0.5,
    tas_mps: 0,
    altitude_m: 0,
    ground: FLAT,
    gearDown: true,
    flap: demoAircraft(id).polar?.takeOffFlap ?? 0,
    column: airColumn({ qnh_Pa: 101_325, deviation_K: 0 }, wind, 0, 1),
  });
  const pilot = freshPilot(legs);
  const at = new Map<string, { height_m: number; time_s: number; north_m: number; ias_mps: number }>();
  const flown = flyLegs(flight, pilot, () => {
    const { name } = legs[pilot.at];
    if (!at.has(name))
      at.set(name, {
        height_m: heightAbove_m(flight),
        time_s: flight.state[S.TIME],
        north_m: flight.state[S.NORTH],
        ias_mps: flight.state[S.ASI],
      });
    return true;
  });
  return {
    flight,
    flown,
    at: (name: string) => at.get(name) ?? { height_m: NaN, time_s: NaN, north_m: NaN, ias_mps: NaN },
  };
}

describe("a modelled pilot", () => {
  it.each([
    ["alder-s1", 1000, 0],
    ["alder-s1", 1000, 14],
    ["rowan-r1", 1550, 0],
  ] as const)(
    "%s, %d kg, %d kt: from standstill to 1,000 ft, turns back and stops on the line",
    (id, mass_kg, wind_kt) => {
      const { flight, flown, at } = turnBack(id, mass_kg, wind_kt, 305);
      expect(flight.ended).toBeNull();
      expect(flown).toBe(true);
      expect(Math.abs(flight.state[S.EAST])).toBeLessThan(12);
      expect(Math.abs(halfTurn(eulerAngles(flight.state).heading_rad - Math.PI)) * DEG).toBeLessThan(12);
      // The turn of 210° costs what such turns cost: between a fifth and two fifths of the height.
      const lost_ft = (at("turn").height_m - at("back").height_m) / M_PER_FT;
      expect(lost_ft).toBeGreaterThan(150);
      expect(lost_ft).toBeLessThan(420);
      // Down the glide back at the polar's own ratio, through the air.
      const glide_m = at("back").height_m - at("final").height_m;
      const took_s = at("final").time_s - at("back").time_s;
      const polar = polarOf(demoAircraft(id), mass_kg, cleanGlide(demoAircraft(id)));
      if (!polar.ok) throw new Error(polar.issue.message);
      // A third of it is still a turn onto the line, which costs more.
      expect(glide_m / took_s / bestGlide(polar.value.polar).sinkEas_mps).toBeGreaterThan(0.85);
      expect(glide_m / took_s / bestGlide(polar.value.polar).sinkEas_mps).toBeLessThan(1.5);
    },
  );

  it("holds a heading and a climb rate; a script that is over says so; one that never ends ends with its time", () => {
    const legs: Leg[] = [
      legOf({
        name: "away",
        vertical: { hold: "climb", climb_mps: 0 },
        lateral: { hold: "heading", heading_rad: 1, bank_rad: 0.4 },
        throttle: [0.75],
        until: { what: "time", value: 60 },
      }),
    ];
    const flight = demoFlight("larch-t2", { mass_kg: 1600, tas_mps: 60, throttle: 0.7, column: stillAir() });
    expect(flyLegs(flight, freshPilot(legs))).toBe(true);
    expect(eulerAngles(flight.state).heading_rad).toBeCloseTo(1, 1);
    expect(Math.abs(-flight.state[S.DOWN] - 500)).toBeLessThan(40);
    const never = [{ ...legs[0], until: { what: "above" as const, value: 20_000 } }];
    expect(flyLegs(flight, freshPilot(never), (step) => step < 1200)).toBe(false);
  });

  it("is asked by name, with the legs and the touch in the answer", () => {
    const answer = calculate("simulate", {
      setUp: demoFlightSetUp({ altitude_m: 60, speed_mps: 0, flap: 1, throttle: 0 }, 60),
      legs: turnBackLegs(demoAircraft("alder-s1"), { height_m: 305, bank_rad: 45 / DEG, reaction_s: 3 }),
    });
    if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
    const value = answer.value as {
      flown: boolean;
      legs: { name: string; lost_m: number }[];
      touchdown: { sink_mps: number; ias_mps: number; east_m: number } | null;
      samples: unknown[];
    };
    expect(value.flown).toBe(true);
    expect(value.legs.map(({ name }) => name)).toEqual([
      "brakes",
      "run",
      "rotation",
      "climb",
      "reaction",
      "turn",
      "back",
      "final",
      "flare",
      "roll",
    ]);
    expect(value.touchdown?.sink_mps).toBeLessThan(3.2);
    expect(Math.abs(value.touchdown?.east_m ?? 99)).toBeLessThan(15);
    expect(value.samples.length).toBeGreaterThan(150);
  });
});
