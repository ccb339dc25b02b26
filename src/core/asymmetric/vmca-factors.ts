// What each thing does to the minimum control speed today, in m/s, the largest first.
import { asymmetricCase } from "./anchored-case";
import type { AsymmetricQuestion } from "./asymmetric-question";
import { bestPropeller } from "./climb-ledger";
import { vmca } from "./vmca";

/** One thing changed, all else as it is. */
export interface VmcaFactor {
  readonly name: string;
  /**
   * Change of the minimum control speed, m/s; null when no control limit is met with it, or one is met at every speed.
   */
  readonly change_mps: number | null;
}

const DEGREE = Math.PI / 180;
/** Bank, height and temperature that are tried. */
const LEVEL = 0;
const HIGHER_M = 1524;
const WARMER_K = 20;

/**
 * The table of factors.
 *
 * @param bank_rad - into the live engine, today's
 */
export function vmcaFactors(question: AsymmetricQuestion, bank_rad: number): VmcaFactor[] {
  const speed = (changed: AsymmetricQuestion, bank = bank_rad) => {
    const flight = asymmetricCase(changed);
    return flight.ok ? vmca(flight.value, bank).eas_mps : null;
  };
  const today = speed(question);
  const { aircraft } = question;
  const flaps = aircraft.polar?.flaps ?? [];
  const best = bestPropeller(question);
  const tried: readonly (readonly [name: string, changed: AsymmetricQuestion, bank?: number])[] = [
    ...(Math.abs(bank_rad) > 0.5 * DEGREE
      ? [["wings level", question, LEVEL] as const]
      : [["5° of bank into the live engine", question, 5 * DEGREE] as const]),
    ["3° more bank", question, bank_rad + 3 * DEGREE],
    ...(question.mass_kg < aircraft.mass.maximum_kg
      ? [["at maximum mass", { ...question, mass_kg: aircraft.mass.maximum_kg }] as const]
      : []),
    ...(question.mass_kg > aircraft.mass.minimum_kg
      ? [["at minimum mass", { ...question, mass_kg: aircraft.mass.minimum_kg }] as const]
      : []),
    ["centre of gravity forward", { ...question, centreOfGravity: 0 }],
    ["centre of gravity aft", { ...question, centreOfGravity: 1 }],
    ["the other engine fails", { ...question, failed: question.failed === "left" ? "right" : "left" }],
    ["half power on the live engine", { ...question, setting: question.setting / 2 }],
    ...(best !== question.deadPropeller ? [[`propeller ${best}`, { ...question, deadPropeller: best }] as const] : []),
    ...(best !== "none" && question.deadPropeller !== "windmilling"
      ? [["propeller windmilling", { ...question, deadPropeller: "windmilling" }] as const]
      : []),
    ...flaps.flatMap((flap, i) =>
      i === question.flap ? [] : [[`flap ${flap.name}`, { ...question, flap: i }] as const],
    ),
    ["5 000 ft higher", { ...question, altitude_m: question.altitude_m + HIGHER_M }],
    ["20 °C warmer", { ...question, air: { ...question.air, deviation_K: question.air.deviation_K + WARMER_K } }],
  ];
  return tried
    .map(([name, changed, bank]) => {
      const changed_mps = speed(changed, bank);
      return { name, change_mps: changed_mps === null || today === null ? null : changed_mps - today };
    })
    .sort((a, b) => Math.abs(b.change_mps ?? 0) - Math.abs(a.change_mps ?? 0));
}
