// A series of half turns as a question, for tests: three runs, 4, 5 and 6 % over what a polar of the fleet says.
import { cleanGlide } from "@/core/aircraft/configuration";
import type { Aeroplane } from "@/core/aircraft/aeroplane";
import { radians } from "@/core/quantities/angle";
import { newCard } from "@/core/series/new-card";
import type { TestCard } from "@/core/series/test-card";

const RUNS = [
  [30, 93, 21],
  [40, 82, 16],
  [45, 83, 14],
] as const;

/** The card with its runs. */
export function demoSeries(aircraft: Aeroplane): TestCard {
  const card = newCard("half-turn", "demo-series", {
    aircraft,
    mass_kg: 1000,
    deviation_K: 0,
    configuration: cleanGlide(aircraft),
    deck_m: 762,
  });
  return {
    ...card,
    runs: RUNS.map(([bank_deg, height_m, time_s], i) => ({
      id: `00000000-0000-4000-8000-00000000000${i}`,
      number: i + 1,
      logId: "00000000-0000-4000-8000-0000000000aa",
      logName: "half-turns.csv",
      at_s: null,
      from_s: 100 * i,
      to_s: 100 * i + time_s,
      value: radians(bank_deg),
      valueSigma: 0.03,
      flown: height_m,
      flownSigma: 3,
      energy: height_m,
      time_s,
      altitude_m: 1050,
      mass_kg: card.mass_kg,
      deviation_K: 0,
      speed: null,
      bank: null,
      hole_s: 0,
      leftOut: null,
    })),
  };
}
