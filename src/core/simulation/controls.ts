// What a pilot's hands and feet do, as small whole numbers: quantised before it is used, so that a recording of it
// flies the same flight.

/** Stick back and right, right foot: −127…127; brakes 0…127. */
export const [STICK_BACK, STICK_RIGHT, RIGHT_FOOT, BRAKES] = [0, 1, 2, 3];
/** By engine, 0…127: the second engine's stands one further. */
export const [THROTTLE, PROPELLER, MIXTURE] = [4, 6, 8];
/**
 * By engine: fuel 0 off, 1 on, 2 the other tank; magnetos 0 off, 1 left, 2 right, 3 both; starter; heat or alternate
 * air.
 */
export const [FUEL, MAGNETOS, STARTER, HEAT] = [10, 12, 14, 16];
/** Flap setting by index, gear 1 down, trim −127…127, pump 1 on. */
export const [FLAP, GEAR, TRIM, PUMP] = [18, 19, 20, 21];
/** Of a helicopter, 0…127. */
export const COLLECTIVE = 22;
/** How many there are. */
export const CONTROLS = 23;
/** Full travel. */
export const FULL = 127;
/** Trim moves so much of the elevator’s travel. */
export const TRIM_TRAVEL = 0.6;

/** Controls at rest on the ground: levers shut, all switched on. */
export function controlsAtRest(): Int8Array {
  const controls = new Int8Array(CONTROLS);
  for (const engine of [0, 1]) {
    controls[PROPELLER + engine] = FULL;
    controls[MIXTURE + engine] = FULL;
    controls[FUEL + engine] = 1;
    controls[MAGNETOS + engine] = 3;
  }
  controls[GEAR] = 1;
  return controls;
}

/** A share of full travel as it is kept. */
export const kept = (share: number): number => Math.round(Math.max(-1, Math.min(1, share)) * FULL);
