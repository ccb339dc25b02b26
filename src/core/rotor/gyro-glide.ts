// A gyroplane gliding: sink, rotor speed, least sink and best glide, with the propeller stopped or idling.
import { bisect } from "../numeric/bisect";
import { goldenMinimum } from "../numeric/golden-section";
import { G0, RHO0 } from "../quantities/constants";
import type { GyroEngine } from "./gyro-question";
import { type DiscAir, bladeThrust_N } from "./blade-thrust";
import { inducedOf, rotorDeficit_W } from "./gyro-disc";
import { type GyroCase, load_N } from "./gyro-rotor";

/** Sinks and tip speeds searched, m/s, to 1e-5. */
const [LEAST_SINK, MOST_SINK, SINK_HALVINGS] = [0.5, 40, 22];
const [LEAST_TIP, MOST_TIP, TIP_HALVINGS] = [30, 320, 25];
/** Speeds searched, m/s. */
const [SLOW, FAST, CLOSE] = [2, 48, 0.005];

/** A steady glide. */
export interface GyroGlide {
  readonly tas_mps: number;
  readonly sink_mps: number;
  /** Horizontal over vertical, through the air. */
  readonly ratio: number;
  /** Tip speed and turns of the rotor. */
  readonly tip_mps: number;
  readonly rotor_radps: number;
  readonly thrust_N: number;
  /** Thrust forward of the vertical. */
  readonly tilt_rad: number;
  readonly induced_mps: number;
  readonly air: DiscAir;
}

function stateAt(flight: GyroCase, tas_mps: number, sink_mps: number, engine: GyroEngine) {
  const { ahead_N, up_N } = load_N(flight, tas_mps, sink_mps, engine);
  // More drag than weight holds nothing up: the sink is too great to be met.
  if (!(up_N > 0)) return null;
  const thrust_N = Math.hypot(ahead_N, up_N);
  const tilt_rad = Math.atan2(ahead_N, up_N);
  const air: DiscAir = {
    through_mps: tas_mps * Math.sin(tilt_rad) - sink_mps * Math.cos(tilt_rad),
    inPlane_mps: tas_mps * Math.cos(tilt_rad) + sink_mps * Math.sin(tilt_rad),
  };
  const { induced_mps, share } = inducedOf(flight, air, thrust_N);
  const tip_mps = bisect(
    (tip) => bladeThrust_N(flight, flight.aircraft.rotor.pitch_rad, air, induced_mps, tip) < thrust_N,
    LEAST_TIP,
    MOST_TIP,
    TIP_HALVINGS,
  ).high;
  return {
    thrust_N,
    tilt_rad,
    air,
    induced_mps,
    tip_mps,
    lacks_W: rotorDeficit_W(flight, air, { thrust_N, induced_mps, share, tip_mps }),
  };
}

/**
 * The steady glide at an airspeed: sink and rotor speed that give both the thrust and no lack of power.
 *
 * @param tas_mps - horizontal, through the air; 0 to 50
 * @returns null where it falls faster than 40 m/s
 * @see blade-element thrust and energy balance of an autorotating rotor
 */
export function gyroGlideAt(flight: GyroCase, tas_mps: number, engine: GyroEngine): GyroGlide | null {
  const { high: sink_mps } = bisect(
    (sink) => (stateAt(flight, tas_mps, sink, engine)?.lacks_W ?? -1) > 0,
    LEAST_SINK,
    MOST_SINK,
    SINK_HALVINGS,
  );
  const state = stateAt(flight, tas_mps, sink_mps, engine);
  if (!state) return null;
  const { thrust_N, tilt_rad, air, induced_mps, tip_mps } = state;
  return {
    tas_mps,
    sink_mps,
    ratio: tas_mps / sink_mps,
    tip_mps,
    rotor_radps: tip_mps / flight.aircraft.rotor.radius_m,
    thrust_N,
    tilt_rad,
    induced_mps,
    air,
  };
}

const sinkOrFall = (flight: GyroCase, tas_mps: number, engine: GyroEngine) =>
  gyroGlideAt(flight, tas_mps, engine)?.sink_mps ?? MOST_SINK * 2;

/** The fastest that is looked at, m/s: the manual's V_NE where that is slower. */
const fastest_mps = ({ aircraft, density }: GyroCase): number =>
  Math.min(FAST, (aircraft.limits.vne_mps ?? Infinity) / Math.sqrt(density / RHO0));

/** The glide of least sink. */
export function gyroLeastSink(flight: GyroCase, engine: GyroEngine): GyroGlide | null {
  const tas = goldenMinimum((speed) => sinkOrFall(flight, speed, engine), SLOW, fastest_mps(flight), CLOSE);
  return gyroGlideAt(flight, tas, engine);
}

/**
 * The glide that reaches farthest over the ground, no faster than V_NE.
 *
 * @param headwind_mps - negative from behind; −30 to 30
 * @returns null where no speed makes way against the wind
 */
export function gyroBestGlide(flight: GyroCase, engine: GyroEngine, headwind_mps = 0): GyroGlide | null {
  const slowest = Math.max(SLOW, headwind_mps + 1);
  const fastest = fastest_mps(flight);
  if (!(slowest < fastest)) return null;
  const tas = goldenMinimum(
    (speed) => -(speed - headwind_mps) / sinkOrFall(flight, speed, engine),
    slowest,
    fastest,
    CLOSE,
  );
  return gyroGlideAt(flight, tas, engine);
}

/** A steady turn without engine. */
export interface GyroTurn {
  readonly sink_mps: number;
  readonly loadFactor: number;
  readonly radius_m: number;
  readonly rotor_radps: number;
}

/**
 * A turn with the engine stopped: the rotor carries n = 1/cosφ weights and sinks along its own axis, so that the sink
 * is n times that of the same gyroplane with n times the weight.
 *
 * @param bank_rad - 0 to 60°
 * @returns null where the rotor does not carry it
 * @see energy balance: W·w = D·V + κT·vi + P0 at T = nW
 */
export function gyroTurn(flight: GyroCase, tas_mps: number, bank_rad: number): GyroTurn | null {
  const loadFactor = 1 / Math.cos(bank_rad);
  const glide = gyroGlideAt({ ...flight, weight_N: flight.weight_N * loadFactor }, tas_mps, "stopped");
  return (
    glide && {
      sink_mps: glide.sink_mps * loadFactor,
      loadFactor,
      radius_m: tas_mps ** 2 / (G0 * Math.tan(bank_rad)),
      rotor_radps: glide.rotor_radps,
    }
  );
}
