// Steady autorotation of a helicopter: the air that comes up turns the rotor; no engine gives anything.
import { bisect } from "../numeric/bisect";
import { goldenMinimum } from "../numeric/golden-section";
import { RHO0 } from "../quantities/constants";
import type { HelicopterCase } from "./helicopter-case";
import { inVortexRing } from "./induced-velocity";
import { ACCESSORIES_W, GEARBOX } from "./shaft-power";
import { steadyPower } from "./steady-power";

/** Sinks searched, m/s, to a hundredth of a millimetre a second. */
const [LEAST_MPS, MOST_MPS, HALVINGS] = [0.5, 45, 23];
/** Speeds searched, m/s. */
const [SLOW, FAST, CLOSE] = [5, 80, 0.005];

/** A steady autorotation. */
export interface Autorotation {
  readonly tas_mps: number;
  readonly sink_mps: number;
  /** Horizontal distance over height, through the air. */
  readonly ratio: number;
  readonly nr: number;
  readonly ctSigma: number;
  /** Down through its own wake, where the figure rests on a fit alone. */
  readonly vortexRing: boolean;
}

/**
 * The sink at which the main rotor is driven and drives gearbox and accessories; the tail rotor has no torque to hold.
 *
 * @param tas_mps - horizontal, through the air; 0 to 80
 * @param nr - rotor speed that the collective holds
 * @returns null where it falls faster than 45 m/s
 * @see energy balance of the rotor: κT·vi + P0 + T·vn = −(accessories)·η
 */
export function autorotationAt(flight: HelicopterCase, tas_mps: number, nr = 1): Autorotation | null {
  const at = (sink_mps: number) => steadyPower(flight, { tas_mps, climb_mps: -sink_mps, skids_m: null, nr });
  const driven = (sink_mps: number) => at(sink_mps).main_W / GEARBOX + ACCESSORIES_W;
  if (driven(MOST_MPS) > 0) return null;
  const sink_mps = bisect((sink) => driven(sink) > 0, LEAST_MPS, MOST_MPS, HALVINGS).high;
  const { thrust_N, tilt_rad, ctSigma } = at(sink_mps);
  const vh = Math.sqrt(thrust_N / (2 * flight.density * flight.blades.discArea_m2));
  const inPlane = tas_mps * Math.cos(tilt_rad) + sink_mps * Math.sin(tilt_rad);
  const through = tas_mps * Math.sin(tilt_rad) - sink_mps * Math.cos(tilt_rad);
  return {
    tas_mps,
    sink_mps,
    ratio: tas_mps / sink_mps,
    nr,
    ctSigma,
    vortexRing: inVortexRing(inPlane / vh, through / vh),
  };
}

const sinkOrFall = (flight: HelicopterCase, tas_mps: number, nr: number) =>
  autorotationAt(flight, tas_mps, nr)?.sink_mps ?? MOST_MPS * 2;

/** The fastest that is looked at, m/s: the manual's V_NE where that is slower. */
const fastest_mps = ({ aircraft, density }: HelicopterCase): number =>
  Math.min(FAST, (aircraft.limits.vne_mps ?? Infinity) / Math.sqrt(density / RHO0));

/** The autorotation of least sink. */
export function leastSinkAutorotation(flight: HelicopterCase, nr = 1): Autorotation | null {
  const tas = goldenMinimum((speed) => sinkOrFall(flight, speed, nr), SLOW, fastest_mps(flight), CLOSE);
  return autorotationAt(flight, tas, nr);
}

/**
 * The autorotation of best range over the ground, no faster than V_NE.
 *
 * @param headwind_mps - negative from behind; −30 to 30
 * @param nr - rotor speed held: a little less than nominal carries farther
 */
export function bestRangeAutorotation(flight: HelicopterCase, headwind_mps = 0, nr = 1): Autorotation | null {
  const slowest = leastSinkAutorotation(flight, nr)?.tas_mps ?? SLOW;
  const tas = goldenMinimum(
    (speed) => -(speed - headwind_mps) / sinkOrFall(flight, speed, nr),
    headwind_mps < 0 ? SLOW : slowest,
    fastest_mps(flight),
    CLOSE,
  );
  return autorotationAt(flight, tas, nr);
}
