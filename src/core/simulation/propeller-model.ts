// A propeller on its shaft as numbers: one blade station stands for the blades, anchored on what the aircraft document
// says of full power, of a windmilling propeller and of a stopped one.
import type { Aeroplane } from "../aircraft/aeroplane";
import type { Dynamics } from "../aircraft/dynamics";
import { deadDragArea_m2 } from "../engine/engine-force";
import { discThrust_N } from "../aircraft/propeller-thrust";
import { bisect } from "../numeric/bisect";
import { RHO0 } from "../quantities/constants";
import { bladeTorque_Nm, engineFriction_Nm } from "./propeller-torque";

/** A propeller with the engine that turns it. Lengths m, angles rad, torques N m. */
export interface PropellerModel {
  readonly diameter_m: number;
  readonly efficiency: number;
  /** Chords of all blades together. */
  readonly chord_m: number;
  readonly inertia_kgm2: number;
  /** Turned by a turbine: it follows its lever as a spool does, and lights by its starter. */
  readonly turbine: boolean;
  readonly governed: boolean;
  readonly feathers: boolean;
  /** Greatest governed speed, rad/s, and the power that the engine has there at sea level. */
  readonly speed_radps: number;
  readonly power_W: number;
  readonly sigmaCritical: number | null;
  /** Friction of the engine at its governed speed, and what compression adds when it barely turns. */
  readonly friction_Nm: number;
  readonly compression_Nm: number;
  /** Blade angles at three quarters of the radius: the fine stop, or the only one; feathered; held coarse. */
  readonly fine_rad: number;
  readonly feather_rad: number;
  readonly coarse_rad: number;
  /** D/q of the dead propeller, m². */
  readonly windmilling_m2: number;
  readonly stopped_m2: number;
  readonly feathered_m2: number;
  readonly coarse_m2: number;
  /** Thrust of this engine at full power and sea level as a line; null goes by the disc alone. */
  readonly line: { readonly static_N: number; readonly slope_Nspm: number } | null;
}

type PropellerEngines = Extract<Aeroplane["engines"], { kind: "propeller" }>;
type Anchored = Omit<PropellerModel, "friction_Nm" | "compression_Nm" | "fine_rad" | "coarse_rad">;

/** Blade angle of a feathered propeller. */
const FEATHER_RAD = (87 * Math.PI) / 180;
/** Beyond the fine stop; the drag of a windmilling propeller holds so far. */
const COARSE_RAD = (25 * Math.PI) / 180;
/** A fixed pitch takes full power at full speed here, m/s; its windmilling drag is told for this. */
const [FIXED_FULL_MPS, FIXED_HOLD_MPS] = [61, 45];
/** A fixed propeller stops turning at so much of the stall. */
const STOPS_AT_STALL = 1.02;
const HALVINGS = 50;

/**
 * Makes a propeller of what the document says.
 *
 * The friction is what turns at the speed that just holds the governed speed: Qf0 = η·D_wm·V/Ω0. The fine stop is where
 * the blades then give just that; a fixed pitch is where they take full power at 61 m/s.
 *
 * @param stall_mps - clean, at the mass flown: a fixed propeller stops a little above it
 * @see energy of a windmilling disc; the blade station at 0.75 R is common practice
 */
export function propellerModel(
  aircraft: Aeroplane,
  engines: PropellerEngines,
  shaft: NonNullable<Dynamics["shaft"]>,
  sigmaCritical: number | null,
  stall_mps: number,
): PropellerModel {
  const { diameter_m, efficiency } = engines.propeller;
  const speed_radps = (engines.speed_rpm * shaft.gearing * 2 * Math.PI) / 60;
  const windmilling_m2 = deadDragArea_m2(aircraft, "windmilling") ?? 0;
  const stopped_m2 = deadDragArea_m2(aircraft, "stopped") ?? windmilling_m2 / 2;
  const feathered = deadDragArea_m2(aircraft, "feathered");
  const anchored: Anchored = {
    diameter_m,
    efficiency,
    chord_m: shaft.blades * shaft.chord_m,
    inertia_kgm2: shaft.inertia_kgm2,
    turbine: engines.fuelSystem === "turbine",
    governed: shaft.hold_mps !== null,
    feathers: feathered !== null,
    speed_radps,
    power_W: engines.power_W,
    sigmaCritical,
    feather_rad: FEATHER_RAD,
    windmilling_m2,
    stopped_m2,
    feathered_m2: feathered ?? stopped_m2,
    coarse_m2: deadDragArea_m2(aircraft, "coarse") ?? windmilling_m2,
    line: engines.thrustLine && {
      static_N: engines.thrustLine.static_N / engines.count,
      slope_Nspm: engines.thrustLine.slope_Nspm / engines.count,
    },
  };
  const hold_mps = shaft.hold_mps ?? FIXED_HOLD_MPS;
  const friction_Nm = (efficiency * 0.5 * RHO0 * hold_mps ** 2 * windmilling_m2 * hold_mps) / speed_radps;
  const torque = (blade_rad: number, axial_mps: number, omega: number) =>
    bladeTorque_Nm(anchored, blade_rad, omega, axial_mps, RHO0, 340.3);
  const angle = (wanted_Nm: number, axial_mps: number) =>
    bisect((blade_rad) => torque(blade_rad, axial_mps, speed_radps) < wanted_Nm, -0.1, 0.9, HALVINGS).low;
  if (shaft.hold_mps !== null) {
    const fine_rad = angle(-friction_Nm, hold_mps);
    return { ...anchored, friction_Nm, compression_Nm: 0, fine_rad, coarse_rad: fine_rad + COARSE_RAD };
  }
  const full_N = discThrust_N({ power_W: engines.power_W, efficiency, diameter_m }, FIXED_FULL_MPS, RHO0);
  const area_m2 = (Math.PI * diameter_m ** 2) / 4;
  const axial = (FIXED_FULL_MPS + Math.sqrt(FIXED_FULL_MPS ** 2 + (2 * full_N) / (RHO0 * area_m2))) / 2;
  const fine_rad = angle(engines.power_W / speed_radps, axial);
  const stops_mps = STOPS_AT_STALL * stall_mps;
  // The most compression that the air still turns over at that speed, at any speed of the shaft.
  const turns = (compression_Nm: number) =>
    Array.from({ length: 60 }, (_, i) => 5 + i * 2).some(
      (omega) =>
        -torque(fine_rad, stops_mps, omega) > engineFriction_Nm(friction_Nm, compression_Nm, omega, speed_radps),
    );
  return {
    ...anchored,
    friction_Nm,
    fine_rad,
    coarse_rad: fine_rad,
    compression_Nm: bisect(turns, 0, 20 * friction_Nm, HALVINGS).high,
  };
}
