import type { Rating } from "../aircraft/helicopter";
import type { WorkingStep } from "../working";
import { type FlyAway, REACTION_S } from "./fly-away";
import { ENGINE_LAG_S } from "./rotor-motion";

const SOURCE = "point mass in the vertical plane with rotor speed and an engine’s lag";

/** How the height of a fly-away comes about. */
export function flyAwaySteps(away: FlyAway, rating: Rating): WorkingStep[] {
  const figure = "flyAway";
  const step = (
    symbol: string,
    meaning: string,
    formula: string,
    value: number | string,
    unit: string,
  ): WorkingStep => ({
    figure,
    symbol,
    meaning,
    formula,
    value,
    unit,
    source: SOURCE,
  });
  return [
    step("rating", "of the live engine", "", rating.name, ""),
    step("tR", "reaction, collective frozen", "", REACTION_S, "s"),
    step("τ", "lag of the engine", "", ENGINE_LAG_S, "s"),
    step("α", "tilt that loses the least", "least h(α), tilted at 8°/s", away.tilt_rad, "rad"),
    step("h1", "lost in the reaction", "∫w dt", away.reaction_m, "m"),
    step("h2", "lost while it gathers speed", "∫w dt", away.accelerating_m, "m"),
    step("h3", "lost while it levels", "∫w dt", away.levelling_m, "m"),
    step("h", "lost altogether", "h1 + h2 + h3", away.loss_m, "m"),
    step("NR", "least rotor speed", "J·Ω·dΩ/dt = P − P req", away.leastNr, ""),
    step("ε", "energy that the steps made or lost, of what the engine gave", "", away.audit, ""),
  ];
}
