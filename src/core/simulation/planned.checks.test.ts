// Whole manoeuvres by the modelled pilot against what the planner says of them: the simulator may teach no other
// numbers.
import { describe, expect, it } from "vitest";
import { DEMO_INPUTS } from "../../../demo/demo-inputs";
import { FLAT, cut, demoFlight, stillAir } from "../../../demo/demo-flight";
import { demoAircraft } from "../../../demo/read-demo";
import { cleanGlide } from "../aircraft/configuration";
import { localPlane } from "../earth/local-plane";
import { LandingEnd } from "../landing/landing-end";
import { reachOf } from "../landing/reach";
import { M_PER_FT } from "../quantities/constants";
import { calculate } from "../registry";
import * as C from "./controls";
import type { Flight } from "./flight";
import { type Leg, flyLegs, freshPilot, heightAbove_m, legOf } from "./pilot";
import { flownInstead } from "./planned-legs";
import { Recording } from "./recording";
import * as S from "./state";

const speed = (speed_mps: number): Leg["vertical"] => ({ hold: "speed", speed_mps });
const north = (bank_rad = 0.3): Leg["lateral"] => ({ hold: "line", north_m: 0, east_m: 0, heading_rad: 0, bank_rad });
const time = (value: number): Leg["until"] => ({ what: "time", value });

/** An answer of the planner by name. */
function planned<T>(name: string, changed: object = {}): T {
  const answer = calculate(name, { ...DEMO_INPUTS[name], ...changed });
  if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
  return answer.value as T;
}

/** Flown, with what was seen leg by leg. */
function flown(flight: Flight, legs: readonly Leg[], each: (name: string) => void = () => undefined) {
  const pilot = freshPilot(legs);
  return flyLegs(flight, pilot, () => {
    each(legs[pilot.at].name);
    return true;
  });
}

describe("power off, 180° from abeam", () => {
  it.each([
    [0, 3],
    [5, 3],
  ])("with %d m/s down the runway it passes the aim point as high as planned", (wind_mps) => {
    const alder = demoAircraft("alder-s1");
    const mass_kg = 1000;
    const plane = localPlane({ latitude_deg: -47, longitude_deg: -131 });
    const place = (x_m: number, y_m: number) => plane.toLatLon({ x_m, y_m });
    const end = LandingEnd.parse({
      id: "spot:36",
      name: "Spot 36",
      threshold: place(0, 0),
      aim: place(0, 200),
      headingTrue_rad: 0,
      elevation_m: 0,
      length_m: 900,
      width_m: 30,
      surface: "asphalt",
      unprepared: false,
    });
    const bank_rad = Math.PI / 6;
    const reach = reachOf(
      {
        aircraft: alder,
        mass_kg,
        configuration: cleanGlide(alder),
        air: { qnh_Pa: 101_325, deviation_K: 0 },
        wind: {
          surface: null,
          layers: [0, 2000].map((altitude_m) => ({ altitude_m, from_rad: 0, speed_mps: wind_mps })),
        },
        position: place(-900, 200),
        altitude_m: 1000 * M_PER_FT,
        headingTrue_rad: Math.PI,
        pilot: { reaction_s: 0, bank_rad, stallMargin: 1.2, daysSincePractised: 0, own: null },
        plan: { reserve_m: 0, final_m: 250, key: "none", glideSpeed: "book", clearance_m: 0 },
        ends: [end],
      },
      null,
      plane.origin,
    );
    if (!reach.ok) throw new Error(reach.issue.message);
    const [way] = reach.value.ends;
    const plan = {
      legs: way.path?.legs ?? [],
      glide_mps: way.glide?.eas_mps ?? 0,
      turn_mps: reach.value.turn.eas_mps,
      bank_rad,
      target: { x_m: 0, y_m: 200, heading_rad: 0 },
    };
    const flight = demoFlight("alder-s1", {
      mass_kg,
      tas_mps: (way.glide?.eas_mps ?? 0) * 1.015,
      gamma_rad: -0.11,
      altitude_m: 1000 * M_PER_FT,
      heading_rad: Math.PI,
      north_m: 200,
      east_m: -900,
      ground: FLAT,
      column: { ...stillAir(), north_mps: stillAir().north_mps.fill(-wind_mps) },
    });
    cut(flight, 0);
    const recording = { format: "utrimax/flight", version: 1, steps: 0, changes: [], failures: [] } as const;
    const { over_m, beside_m } = flownInstead(flight, Recording.parse(recording), 0, plan, 0);
    const margin_m = way.path?.margin_m ?? NaN;
    expect(margin_m).toBeGreaterThan(20);
    expect(beside_m).toBeLessThan(25);
    expect(Math.abs((over_m ?? NaN) - margin_m)).toBeLessThan(60 * M_PER_FT);
    // With no height for it, it comes down before.
    const low = demoFlight("alder-s1", {
      mass_kg,
      tas_mps: plan.glide_mps,
      altitude_m: 100,
      heading_rad: Math.PI,
      north_m: 200,
      east_m: -900,
      ground: FLAT,
    });
    cut(low, 0);
    const short = flownInstead(low, Recording.parse(recording), 0, plan, 0);
    expect(short.over_m).toBeNull();
    expect(short.beside_m).toBeGreaterThan(300);
  });
});

describe("a twin whose engine fails", () => {
  it("after lift-off, feathered and cleaned up, climbs as the planner says, to 30 ft/min", () => {
    const { vyse } = planned<{ vyse: { eas_mps: number; climb_mps: number } }>("one-engine-climb", {
      deadPropeller: "feathered",
      gearDown: false,
      altitude_m: 150,
    });
    const flight = demoFlight("larch-t2", { mass_kg: 1725, tas_mps: 0, altitude_m: 0, ground: FLAT, gearDown: true });
    const climbing = { vertical: speed(vyse.eas_mps), lateral: north(0.2) };
    const legs = [
      legOf({
        name: "run",
        vertical: { hold: "pitch", pitch_rad: 0.01 },
        lateral: north(),
        until: { what: "faster", value: 36 },
        throttle: [1],
      }),
      legOf({
        name: "rotation",
        vertical: { hold: "pitch", pitch_rad: 0.13 },
        lateral: north(0.2),
        until: { what: "above", value: 20 },
      }),
      legOf({ name: "climb", ...climbing, gearDown: false, until: { what: "above", value: 60 } }),
      legOf({ name: "surprise", ...climbing, fails: [{ kind: "ignition", engine: 0 }], until: time(4) }),
      legOf({ name: "feather", ...climbing, propeller: [0, 1], until: time(25) }),
      legOf({ name: "steady", ...climbing, until: time(40) }),
    ];
    let begun: { time_s: number; height_m: number } | null = null;
    expect(
      flown(flight, legs, (name) => {
        if (name === "steady") begun ??= { time_s: flight.state[S.TIME], height_m: heightAbove_m(flight) };
      }),
    ).toBe(true);
    const from = begun as { time_s: number; height_m: number } | null;
    const rate = (heightAbove_m(flight) - (from?.height_m ?? 0)) / (flight.state[S.TIME] - (from?.time_s ?? 0));
    expect(vyse.climb_mps).toBeGreaterThan(0.8);
    expect(Math.abs(rate - vyse.climb_mps)).toBeLessThan((30 * M_PER_FT) / 60);
  });

  it("on the approach: a go-around sinks no farther than its floor allows for, and not much less", () => {
    const { lost_m, vref_mps, vyse_mps } = planned<{ lost_m: number; vref_mps: number; vyse_mps: number }>(
      "one-engine-approach",
    );
    const flight = demoFlight("larch-t2", {
      mass_kg: 1725,
      tas_mps: vref_mps,
      gamma_rad: -0.052,
      altitude_m: 150,
      ground: FLAT,
      gearDown: true,
      flap: 3,
      throttle: 0.7,
    });
    cut(flight, 0);
    flight.controls[C.PROPELLER] = 0;
    flight.state[S.ENGINE + S.OMEGA] = 0;
    flight.state[S.ENGINE + S.BLADE] = 1.5;
    const slope: Leg["vertical"] = { hold: "climb", climb_mps: -1.9 };
    const level: Leg["vertical"] = { hold: "climb", climb_mps: 0 };
    const lateral = north(0.2);
    const legs = [
      legOf({ name: "slope", vertical: slope, lateral, until: { what: "below", value: 110 } }),
      legOf({ name: "recognise", vertical: slope, lateral, until: time(3) }),
      legOf({ name: "level off", vertical: level, lateral, throttle: [1], until: time(1) }),
      legOf({ name: "flap up", vertical: level, lateral, flap: 2, until: time(3) }),
      legOf({ name: "gear up", vertical: level, lateral, gearDown: false, until: time(8) }),
      legOf({ name: "clean", vertical: level, lateral, flap: 0, until: { what: "faster", value: vyse_mps } }),
      legOf({ name: "away", vertical: speed(vyse_mps), lateral, until: time(30) }),
    ];
    let [decided_m, least_m] = [NaN, Infinity];
    flown(flight, legs, (name) => {
      if (name === "slope") decided_m = heightAbove_m(flight);
      else least_m = Math.min(least_m, heightAbove_m(flight));
    });
    expect(flight.ended).toBeNull();
    expect(decided_m - least_m).toBeGreaterThan(lost_m - 5);
    expect(decided_m - least_m).toBeLessThan(lost_m + 5);
    // And it is away: higher than where it was decided.
    expect(heightAbove_m(flight)).toBeGreaterThan(decided_m);
  });

  it("at the decision speed: fifty feet where the planner has them, to an eighth", () => {
    const { failure_mps, rotation_mps, screen_mps, go_m } = planned<{
      failure_mps: number;
      rotation_mps: number;
      screen_mps: number;
      go_m: number;
    }>("accelerate", { mass_kg: 1500 });
    const flight = demoFlight("larch-t2", {
      mass_kg: 1500,
      centreOfGravity: 0.5,
      tas_mps: 0,
      altitude_m: 0,
      ground: FLAT,
      gearDown: true,
    });
    const legs = [
      legOf({
        name: "run",
        vertical: { hold: "pitch", pitch_rad: 0.01 },
        lateral: north(),
        until: { what: "faster", value: failure_mps },
        throttle: [1],
      }),
      legOf({
        name: "failed",
        vertical: { hold: "pitch", pitch_rad: 0.01 },
        lateral: north(),
        fails: [{ kind: "ignition", engine: 0 }],
        until: { what: "faster", value: rotation_mps },
      }),
      legOf({
        name: "rotation",
        vertical: { hold: "pitch", pitch_rad: 0.17 },
        lateral: north(0.1),
        until: { what: "above", value: 2.5 },
      }),
      legOf({ name: "gear out", vertical: speed(screen_mps), lateral: north(0.1), until: time(6) }),
      legOf({
        name: "gear up",
        vertical: speed(screen_mps),
        lateral: north(0.1),
        gearDown: false,
        until: { what: "above", value: 50 * M_PER_FT },
      }),
    ];
    expect(flown(flight, legs)).toBe(true);
    expect(flight.state[S.NORTH] / go_m).toBeGreaterThan(0.88);
    expect(flight.state[S.NORTH] / go_m).toBeLessThan(1.12);
  });
});

describe("onto the water", () => {
  it("it touches as slow as the planner says, gently enough to float", () => {
    const { best } = planned<{ best: { groundSpeed_mps: number } }>("ditching", {
      aircraft: demoAircraft("alder-s1"),
      mass_kg: 1000,
      windFrom_rad: 0,
      wind_mps: 0,
      swells: [],
      flap: 2,
    });
    const flight = demoFlight("alder-s1", {
      mass_kg: 1000,
      tas_mps: 33,
      gamma_rad: -0.09,
      altitude_m: 150,
      ground: { height: () => 0, water: () => true },
    });
    cut(flight, 0);
    const legs = [
      legOf({ name: "down", vertical: speed(29), lateral: north(0.2), flap: 2, until: { what: "below", value: 12 } }),
      legOf({ name: "flare", vertical: { hold: "flare" }, lateral: north(0.1), until: { what: "below", value: 3 } }),
      legOf({ name: "held off", vertical: { hold: "climb", climb_mps: -0.2 }, lateral: north(0.1), until: time(20) }),
    ];
    flown(flight, legs);
    expect(flight.ended).toMatchObject({ kind: "water" });
    if (flight.ended?.kind !== "water") return;
    expect(flight.ended.sink_mps).toBeLessThan(2.5);
    expect(Math.abs(flight.ended.speed_mps - best.groundSpeed_mps)).toBeLessThan(4);
  });
});
