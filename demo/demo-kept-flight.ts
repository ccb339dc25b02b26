// A flight by hand as it is set up and kept, for tests.
import type { FlownResult } from "@/core/exercise/flown-result";
import type { KeptFlight } from "@/core/simulation/kept-flight";
import type { FlightSetUp } from "@/core/simulation/flight-set-up";
import { demoAircraft } from "./read-demo";

/** A single in calm air at 500 m; `begin` begins it otherwise. */
export const demoFlightSetUp = (begin: Partial<FlightSetUp["begin"]> = {}, ground_m = 0): FlightSetUp => ({
  aircraft: demoAircraft("alder-s1"),
  mass_kg: 1000,
  centreOfGravity: 0.5,
  air: { qnh_Pa: 101_325, deviation_K: 0 },
  wind: { surface: null, layers: [] },
  ground_m,
  turbulence: 0,
  seed: 1,
  begin: {
    north_m: 0,
    east_m: 0,
    altitude_m: 500,
    heading_rad: 0,
    speed_mps: 35,
    hovers: false,
    flap: 0,
    gearDown: true,
    throttle: 0.5,
    fuel_kg: 50,
    ...begin,
  },
});

/** @param changes - of controls: what it takes to be kept */
export const demoKeptFlight = (at: string, changes = 0): KeptFlight => ({
  format: "utrimax/kept-flight",
  version: 3,
  at,
  words: "Alder S1",
  exerciseId: null,
  assistance: { attitude: true, ball: true, bank_rad: 1, speed_mps: null },
  drill: null,
  backs: 0,
  ended: null,
  flown: {
    setUp: demoFlightSetUp(),
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

/** What came of it. */
export const demoFlownResult = (): FlownResult => ({
  took_s: 60,
  ended: "down",
  touch: { ias_mps: 27, sink_mps: 1.2 },
  out_s: { speed: 3, bank: 0, ball: 0.5, stall: 0 },
  verdict: null,
  glide: { lost_m: 200, beyond_m: 40 },
  hand: { reaction_s: 3, bank: { mean_rad: 0.6, spread_rad: 0.1 }, speed: { off_mps: 1, spread_mps: 2 } },
});
