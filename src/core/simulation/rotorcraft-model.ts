// A helicopter or a gyroplane as the numbers that its motion is computed with, made once before a flight and rounded to
// single precision. Its rotor is the document's; how the body hangs under it is usual of its kind.
import type { Gyroplane } from "../aircraft/gyroplane";
import type { Helicopter } from "../aircraft/helicopter";
import { type Outcome, failure, success } from "../outcome";
import { G0, MPS_PER_KT, P0_PA } from "../quantities/constants";
import type { Blades } from "../rotor/blade-drag";
import { gyroGlideAt } from "../rotor/gyro-glide";
import { gyroCase } from "../rotor/gyro-rotor";
import { helicopterCase } from "../rotor/helicopter-case";
import type { Standing, TouchPoint } from "./ground-contact";
import { notFlown } from "./not-flown";
import { rounded } from "./rounded";

/** What carries it. */
type Lift =
  | { readonly kind: "helicopter"; readonly aircraft: Helicopter }
  | { readonly kind: "gyroplane"; readonly aircraft: Gyroplane };

/** @see rotorcraftModel */
export interface RotorcraftModel extends Standing {
  readonly kind: "rotorcraft";
  readonly lift: Lift;
  readonly blades: Blades;
  readonly mass_kg: number;
  /** Moments of inertia, kg m². */
  readonly ix: number;
  readonly iy: number;
  readonly iz: number;
  readonly radius_m: number;
  /** Rotor speed that is 100 %, rad/s, and the rotor's own inertia, kg m². */
  readonly nominal_radps: number;
  readonly rotorInertia_kgm2: number;
  /** Hub above the centre of gravity, m; what the hub itself holds against a tilt, N m/rad. */
  readonly hub_m: number;
  readonly stiffness_Nm: number;
  /** Tilt forward at which the thrust passes through the centre of gravity, and how far hands tilt it, rad. */
  readonly neutral_rad: number;
  readonly tiltMost_rad: number;
  readonly tiltLag_s: number;
  /** Blade loading at which it stalls. */
  readonly ctSigmaMax: number;
  /** Drag areas along, sideways, up and down, m². */
  readonly along_m2: number;
  readonly side_m2: number;
  readonly across_m2: number;
  /** Area of the fin by its lift slope, m², where it stands behind, m, and the most that a tail rotor turns, N m. */
  readonly fin_m2: number;
  readonly tailArm_m: number;
  readonly tailMost_Nm: number;
  readonly hullHeight_m: number;
  readonly engines: readonly { readonly y_m: number; readonly rotation: number }[];
  readonly retractable: false;
  readonly vne_mps: number;
  readonly loadFactor: number;
}

/** Radii of gyration over the rotor’s diameter, roll, pitch, yaw. Usual of helicopters of this size (memory). */
const [ROLL_RADIUS, PITCH_RADIUS, YAW_RADIUS] = [0.08, 0.155, 0.145];
/** Of the weight times the radius: what a hub with hinges holds; where hub and tail rotor are, in radii. Usual. */
const [HUB_HOLDS, HUB_ABOVE, TAIL_BEHIND] = [0.35, 0.3, 1.2];
/** The mast leans so far forward; hands tilt the disc so far. Usual. */
const [MAST_RAD, TILT_RAD] = [0.07, 0.2];
/** The most of a tail rotor, of the torque of a hover at the greatest mass. Usual. */
const TAIL_OVER = 2;
const [FIN_SHARE, SIDE_OVER] = [0.12, 3];
/** Of a gyroplane: its head leans back so far, hands tilt it so far, its inertia in roll over that in yaw. Usual. */
const [HEAD_RAD, HEAD_TILT_RAD, GYRO_ROLL] = [-0.16, 0.17, 0.4];
const GYRO_HUB = 0.24;
/** 100 % of a gyroplane's rotor is what it turns at this glide. */
const NOMINAL_MPS = 55 * MPS_PER_KT;
const [LAG_S, GYRO_LAG_S] = [0.09, 0.1];
/** Without a figure: a gyroplane's blades stall here; fastest of either; load that blades and mast stand. */
const [CT_SIGMA, FASTEST_MPS, LOAD] = [0.16, 75, 3.5];
/** Skids and wheels: static compression, damping of critical. */
const [STATIC_M, DAMPING] = [0.06, 0.7];

/** Air of the sea level, in which what is usual is made. */
const STANDARD = { altitude_m: 0, air: { qnh_Pa: P0_PA, deviation_K: 0 } } as const;

/**
 * Makes a rotorcraft ready to be flown by hand.
 *
 * @returns `mass_outside`; `no_autorotation` where no glide turns a gyroplane's rotor; refusals of {@link notFlown}
 */
export function rotorcraftModel(aircraft: Helicopter | Gyroplane, mass_kg: number): Outcome<RotorcraftModel> {
  const issue = notFlown(aircraft);
  if (issue) return { ok: false, issue };
  return aircraft.category === "helicopter" ? helicopterModel(aircraft, mass_kg) : gyroplaneModel(aircraft, mass_kg);
}

function helicopterModel(aircraft: Helicopter, mass_kg: number): Outcome<RotorcraftModel> {
  const flight = helicopterCase({ aircraft, mass_kg, ...STANDARD });
  if (!flight.ok) return flight;
  const { rotor } = aircraft;
  const radius_m = rotor.radius_m;
  const diameter = 2 * radius_m;
  const hub_m = Math.min(HUB_ABOVE * radius_m, rotor.hubAboveSkids_m * 0.6);
  const skids_m = rotor.hubAboveSkids_m - hub_m;
  const nominal_radps = rotor.tipSpeed_mps / radius_m;
  // Power of a hover, ideal: of the order that a tail rotor is made for.
  const greatest_N = aircraft.mass.maximum_kg * G0;
  const hover_W =
    greatest_N * Math.sqrt(greatest_N / (2 * flight.value.density * flight.value.blades.discArea_m2)) * 1.4;
  return success({
    lift: { kind: "helicopter", aircraft },
    ...rounded({
      kind: "rotorcraft" as const,
      blades: flight.value.blades,
      mass_kg,
      ix: mass_kg * (ROLL_RADIUS * diameter) ** 2,
      iy: mass_kg * (PITCH_RADIUS * diameter) ** 2,
      iz: mass_kg * (YAW_RADIUS * diameter) ** 2,
      radius_m,
      span_m: diameter,
      nominal_radps,
      rotorInertia_kgm2: rotor.polarInertia_kgm2,
      hub_m,
      stiffness_Nm: HUB_HOLDS * mass_kg * G0 * radius_m,
      neutral_rad: MAST_RAD,
      tiltMost_rad: TILT_RAD,
      tiltLag_s: LAG_S,
      ctSigmaMax: rotor.ctSigmaMax,
      along_m2: rotor.flatPlate_m2,
      side_m2: SIDE_OVER * rotor.flatPlate_m2,
      across_m2: rotor.flatPlate_m2,
      fin_m2: FIN_SHARE * radius_m * radius_m,
      tailArm_m: TAIL_BEHIND * radius_m,
      tailMost_Nm: (TAIL_OVER * hover_W) / nominal_radps,
      rudderMax_rad: 0.35,
      hullHeight_m: skids_m,
      points: touchPoints(mass_kg, radius_m, skids_m, hub_m, true),
      engines: Array.from({ length: aircraft.engines.count }, () => ({ y_m: 0, rotation: 1 })),
      retractable: false as const,
      vne_mps: aircraft.limits.vne_mps ?? FASTEST_MPS,
      loadFactor: LOAD,
    }),
  });
}

function gyroplaneModel(aircraft: Gyroplane, mass_kg: number): Outcome<RotorcraftModel> {
  const flight = gyroCase({ aircraft, mass_kg, ...STANDARD });
  if (!flight.ok) return flight;
  const glide = gyroGlideAt(flight.value, NOMINAL_MPS, "stopped");
  if (!glide) return failure("no_autorotation", "At this mass no glide turns the rotor.", "aircraft");
  const { rotor, body, tail } = aircraft;
  const radius_m = rotor.radius_m;
  const hub_m = GYRO_HUB * radius_m;
  return success({
    lift: { kind: "gyroplane", aircraft },
    ...rounded({
      kind: "rotorcraft" as const,
      blades: flight.value.blades,
      mass_kg,
      ix: GYRO_ROLL * tail.yawInertia_kgm2,
      iy: tail.yawInertia_kgm2,
      iz: tail.yawInertia_kgm2,
      radius_m,
      span_m: 2 * radius_m,
      nominal_radps: glide.rotor_radps,
      rotorInertia_kgm2: rotor.polarInertia_kgm2,
      hub_m,
      stiffness_Nm: 0,
      neutral_rad: HEAD_RAD,
      tiltMost_rad: HEAD_TILT_RAD,
      tiltLag_s: GYRO_LAG_S,
      ctSigmaMax: CT_SIGMA,
      along_m2: body.flatPlateAlong_m2,
      side_m2: 1.5 * body.flatPlateAlong_m2,
      across_m2: body.flatPlateAcross_m2,
      fin_m2: tail.finArea_m2 * tail.finSlope + tail.rudderArea_m2 * tail.rudderSlope,
      tailArm_m: tail.arm_m,
      tailMost_Nm: 0,
      rudderMax_rad: tail.rudderMax_rad,
      hullHeight_m: 0.18 * radius_m,
      points: touchPoints(mass_kg, radius_m, 0.18 * radius_m, hub_m, false),
      engines: [{ y_m: 0, rotation: aircraft.engines.propeller.rotation[0] }],
      retractable: false as const,
      vne_mps: aircraft.limits.vne_mps ?? FASTEST_MPS,
      loadFactor: LOAD,
    }),
  });
}

/** Skids, or two wheels and a nose wheel; and the tail and the rotor's edge, which no one wants to touch. */
function touchPoints(mass_kg: number, radius_m: number, down_m: number, hub_m: number, skids: boolean): TouchPoint[] {
  const stands = (x: number, y: number, share: number, kind: TouchPoint["kind"]): TouchPoint => {
    const spring = (share * mass_kg * G0) / STATIC_M;
    return { x, y, z: down_m + STATIC_M, spring, damper: 2 * DAMPING * Math.sqrt(spring * share * mass_kg), kind };
  };
  const hull = (x: number, y: number, z: number): TouchPoint => ({
    x,
    y,
    z,
    spring: (mass_kg * G0) / 0.15,
    damper: mass_kg * 4,
    kind: "hull",
  });
  const track = 0.22 * radius_m;
  const fore = 0.24 * radius_m;
  const feet = skids
    ? [-1, 1].flatMap((side) => [stands(fore, side * track, 0.25, "skid"), stands(-fore, side * track, 0.25, "skid")])
    : [
        stands(0.33 * radius_m, 0, 0.18, "nose"),
        stands(-0.07 * radius_m, -track, 0.41, "main"),
        stands(-0.07 * radius_m, track, 0.41, "main"),
      ];
  return [
    ...feet,
    hull(-(skids ? 1.1 : 0.5) * radius_m, 0, down_m * 0.4),
    hull(0.85 * radius_m, 0, -hub_m),
    hull(-0.85 * radius_m, 0, -hub_m),
    hull(0, -0.85 * radius_m, -hub_m),
    hull(0, 0.85 * radius_m, -hub_m),
  ];
}
