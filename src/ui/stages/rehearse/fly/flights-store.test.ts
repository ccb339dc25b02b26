import { describe, expect, it } from "vitest";
import { demoAircraft } from "../../../../../demo/read-demo";
import { KeptFlight } from "@/core/simulation/kept-flight";
import { kept } from "./flights-store";

const flight = (at: string, changes = 0): KeptFlight => ({
  format: "utrimax/kept-flight",
  version: 1,
  at,
  words: "Alder S1",
  exerciseId: null,
  assistance: { attitude: true, ball: true, bank_rad: 1, speed_mps: null },
  backs: 0,
  ended: null,
  flown: {
    setUp: {
      aircraft: demoAircraft("alder-s1"),
      mass_kg: 1000,
      centreOfGravity: 0.5,
      air: { qnh_Pa: 101_325, deviation_K: 0 },
      wind: { surface: null, layers: [] },
      ground_m: 0,
      turbulence: 0,
      seed: 1,
      begin: {
        north_m: 0,
        east_m: 0,
        altitude_m: 500,
        heading_rad: 0,
        speed_mps: 35,
        flap: 0,
        gearDown: true,
        throttle: 0.5,
        fuel_kg: 50,
      },
    },
    strips: [],
  },
  recording: {
    format: "utrimax/flight",
    version: 1,
    steps: 1200,
    changes: Array.from({ length: changes }, (_, i): [number, number, number] => [i, 0, i % 100]),
    failures: [],
  },
  state: [1, 2, 3],
});
const at = (minute: number) => new Date(Date.UTC(2026, 10, 28, 9, minute)).toISOString();

describe("flights that are kept", () => {
  it("are documents, refused where something is missing or of another version", () => {
    expect(KeptFlight.safeParse(flight(at(0))).success).toBe(true);
    expect(KeptFlight.safeParse({ ...flight(at(0)), version: 2 }).success).toBe(false);
    const { recording: _, ...without } = flight(at(0));
    expect(KeptFlight.safeParse(without).success).toBe(false);
    const other = { ...flight(at(0)).recording, version: 2 };
    expect(KeptFlight.safeParse({ ...flight(at(0)), recording: other }).success).toBe(false);
  });

  it("are the newest eight, and of those as many as there is room for", () => {
    const many = Array.from({ length: 12 }, (_, i) => flight(at(i)));
    expect(kept(many).map((one) => one.at)).toEqual(many.slice(0, 8).map((one) => one.at));
    // A flight whose hands never rested takes most of a megabyte.
    const large = Array.from({ length: 5 }, (_, i) => flight(at(i), 60_000));
    const some = kept(large);
    expect(some.length).toBeGreaterThan(0);
    expect(some.length).toBeLessThan(5);
  });
});
