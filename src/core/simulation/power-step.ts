// An engine of either kind a step of time later. Runs inside a step.
import type { AeroplaneModel } from "./aeroplane-model";
import { stepEngine } from "./engine-step";
import { stepJet } from "./jet-step";
import * as S from "./state";
import type { StepAir } from "./step-air";
import type { EngineTrouble } from "./trouble";

/** Moves an engine on: its thrust, torque and gauges are in the state after that. */
export function stepPower(
  { propeller, jet }: AeroplaneModel,
  s: Float64Array,
  engine: 0 | 1,
  controls: Int8Array,
  trouble: EngineTrouble,
  air: StepAir,
  tas_mps: number,
  step_s: number,
): void {
  const at = S.ENGINE + engine * S.PER_ENGINE;
  if (propeller) stepEngine(propeller, s, at, engine, controls, trouble, air, tas_mps, step_s);
  else if (jet) stepJet(jet, s, at, engine, controls, trouble, air, tas_mps, step_s);
}
