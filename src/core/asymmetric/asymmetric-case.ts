// Steady flight on one of two engines: control, minimum control speed, climb, ceilings, drift-down. Signs: sideslip β
// positive with the wind from the right, bank φ positive right wing down, rudder δr positive right pedal, aileron δa
// positive stick right; s is +1 with the right engine live. Not here: gear keel, flap blanking, fin in the slipstream,
// power-on CLmax, departures from controlled flight. Method: linear lateral equilibrium, flight-mechanics textbooks.
import type { AsymmetricQuestion } from "./asymmetric-question";
import type { Aeroplane } from "../aircraft/aeroplane";
import type { AirState } from "../air/atmosphere";
import type { EngineAir } from "../engine/engine-force";

/** The aeroplane made ready: everything that speed and bank do not change. */
export interface AsymmetricCase {
  readonly question: AsymmetricQuestion;
  readonly asymmetric: NonNullable<Aeroplane["asymmetric"]>;
  readonly wing: NonNullable<Aeroplane["wing"]>;
  readonly weight_N: number;
  readonly state: AirState;
  readonly engineAir: EngineAir;
  /** Density ratio at the turbocharger's critical height; null without one. */
  readonly sigmaCritical: number | null;
  readonly deadArea_m2: number;
  readonly cd0: number;
  readonly k: number;
  readonly clMax: number;
  readonly flapCl0: number;
  /** +1 with the right engine live. */
  readonly liveSide: 1 | -1;
  /** Turning direction of the live propeller, +1 clockwise from behind; 0 for jets. */
  readonly rotation: number;
  readonly cnDeltaR: number;
  /** Distance of the centre of gravity from its aft limit, aft positive: 0 or negative. */
  readonly cg_m: number;
}
