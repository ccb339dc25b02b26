import type { Aeroplane } from "../aircraft/aeroplane";
import type { SituationDocument } from "../situation/situation-document";
import type { AsymmetricQuestion } from "./asymmetric-question";

/** What of a situation flight on one engine depends on. */
export type OneEngineSituation = Pick<
  SituationDocument,
  "mass_kg" | "configuration" | "altitude_m" | "air" | "centreOfGravity"
>;

/** The question about one engine of two as the situation has it, at full power; a jet has no propeller to drag. */
export function oneEngineQuestion(
  aircraft: Aeroplane,
  { mass_kg, configuration, altitude_m, air, centreOfGravity }: OneEngineSituation,
  failed: "left" | "right",
): AsymmetricQuestion {
  const { flap, gearDown, items, propeller } = configuration;
  return {
    aircraft,
    mass_kg,
    centreOfGravity,
    altitude_m,
    air,
    flap,
    gearDown,
    items,
    deadPropeller: aircraft.engines.kind === "jet" ? "none" : propeller,
    failed,
    setting: 1,
  };
}
