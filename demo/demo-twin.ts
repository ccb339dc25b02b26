// One-engine questions of the demo world's twins, for tests.
import { asymmetricCase } from "@/core/asymmetric/anchored-case";
import type { AsymmetricQuestion } from "@/core/asymmetric/asymmetric-question";
import type { AsymmetricCase } from "@/core/asymmetric/asymmetric-case";
import { demoAircraft } from "./read-demo";

/**
 * Larch T2 (or another) at sea level in standard air: maximum mass, aft centre of gravity, left engine windmilling,
 * clean.
 */
export function demoTwinQuestion(change: Partial<AsymmetricQuestion> = {}, name = "larch-t2"): AsymmetricQuestion {
  const aircraft = demoAircraft(name);
  return {
    aircraft,
    mass_kg: aircraft.mass.maximum_kg,
    centreOfGravity: 1,
    altitude_m: 0,
    air: { qnh_Pa: 101_325, deviation_K: 0 },
    flap: 0,
    gearDown: false,
    items: [],
    deadPropeller: aircraft.engines.kind === "jet" ? "none" : "windmilling",
    failed: "left",
    setting: 1,
    ...change,
  };
}

/** The same, set up. */
export function demoTwin(change: Partial<AsymmetricQuestion> = {}, name = "larch-t2"): AsymmetricCase {
  const outcome = asymmetricCase(demoTwinQuestion(change, name));
  if (!outcome.ok) throw new Error(`demoTwin: expected a case, got ${outcome.issue.message}`);
  return outcome.value;
}
