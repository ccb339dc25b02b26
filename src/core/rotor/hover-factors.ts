import { MPS_PER_KT, M_PER_FT } from "../quantities/constants";
import { helicopterCase } from "./helicopter-case";
import type { HelicopterQuestion } from "./helicopter-question";
import { livePower } from "./hover-on-one";
import { type SteadyState, steadyPower } from "./steady-power";

/** What a change does to the margin of power. */
export interface HoverFactor {
  readonly name: string;
  readonly change_W: number;
}

/** Skids' height of a low hover. */
const LOW_M = 5 * M_PER_FT;

/**
 * What changes the margin in a hover on one engine, the greatest first.
 *
 * @param ratingIndex - of the rating whose margin it is
 * @returns empty where the question itself has no answer
 */
export function hoverFactors(question: HelicopterQuestion, state: SteadyState, ratingIndex: number): HoverFactor[] {
  const rating = question.aircraft.engines.ratings[ratingIndex];
  const marginOf = (changed: HelicopterQuestion, flown: SteadyState): number | null => {
    const flight = helicopterCase(changed);
    if (!flight.ok) return null;
    return livePower(flight.value, rating, flown.nr).power_W - steadyPower(flight.value, flown).shaft_W;
  };
  const now = marginOf(question, state);
  if (now === null) return [];
  const { air, altitude_m, mass_kg } = question;
  const changes: readonly (readonly [string, number | null])[] = [
    ["100 kg lighter", marginOf({ ...question, mass_kg: mass_kg - 100 }, state)],
    ["5 kt more wind", marginOf(question, { ...state, tas_mps: state.tas_mps + 5 * MPS_PER_KT })],
    ["10 °C warmer", marginOf({ ...question, air: { ...air, deviation_K: air.deviation_K + 10 } }, state)],
    ["1 000 ft higher", marginOf({ ...question, altitude_m: altitude_m + 1000 * M_PER_FT }, state)],
    [
      "down to 5 ft skids",
      state.skids_m !== null && state.skids_m <= LOW_M ? null : marginOf(question, { ...state, skids_m: LOW_M }),
    ],
    ["rotor speed 2 % lower", marginOf(question, { ...state, nr: state.nr - 0.02 })],
  ];
  return changes
    .flatMap(([name, margin]) => (margin === null ? [] : [{ name, change_W: margin - now }]))
    .sort((a, b) => Math.abs(b.change_W) - Math.abs(a.change_W));
}
