// A gyroplane as a document: its rotor, pusher propeller, tail, and what its manual prints.
import { z } from "zod";
import { COMMON, Masses, commonFaults, faultsOf, mass_kg, range, speed_mps } from "./document-fields";
import { PropellerEngines } from "./propeller-engines";

const Rotor = z.strictObject({
  radius_m: range("Rotor radius, in m,", 2, 10),
  blades: z.int("Blades are 2 to 5.").min(2, "Blades are 2 to 5.").max(5, "Blades are 2 to 5."),
  chord_m: range("Blade chord, in m,", 0.05, 1),
  /** Of the blades, fixed. */
  pitch_rad: range("Blade pitch, in rad,", 0, 0.12),
  polarInertia_kgm2: range("The rotor’s inertia, in kg m²,", 10, 5000),
  /** Blade drag over that of a smooth blade. */
  bladeDragFactor: range("The factor of blade drag", 0.5, 3),
});

const Body = z.strictObject({
  /** Drag areas along the flight, without the propeller, and of a vertical descent. */
  flatPlateAlong_m2: range("Drag area along, in m²,", 0.1, 10),
  flatPlateAcross_m2: range("Drag area across, in m²,", 0.1, 20),
  stoppedPropeller_m2: range("Drag area of the stopped propeller, in m²,", 0, 3),
  /** Thrust of the idling engine on the ground, and the speed at which it has gone. */
  idleThrust_N: range("Idle thrust, in N,", 0, 2000),
  idleNone_mps: range("The speed at which idle thrust is gone, in m/s,", 5, 80),
});

const Tail = z.strictObject({
  finArea_m2: range("Fin area, in m²,", 0.05, 5),
  finSlope: range("The fin’s lift slope", 0.5, 6),
  rudderArea_m2: range("Rudder area, in m²,", 0.05, 5),
  rudderSlope: range("The rudder’s lift slope", 0.3, 6),
  rudderMax_rad: range("Rudder travel, in rad,", 0.05, 0.8),
  arm_m: range("The tail’s arm, in m,", 0.5, 6),
  /** Share of the slipstream’s swirl that meets the tail. */
  swirlShare: range("The share of the swirl", 0, 1),
  yawInertia_kgm2: range("The inertia in yaw, in kg m²,", 20, 5000),
});

/** A trim check that was flown: how the tab was bent, what the string did feet off, how the nose wheel touched. */
const TrimCheck = z.strictObject({
  day: z.iso.date("A day is written 2026-11-24."),
  /** Of the tab, to the left positive. */
  tab_rad: range("The tab’s bend, in rad,", -0.8, 0.8),
  /** Of the string, to the left positive; 0 central. */
  string_rad: range("The string’s angle, in rad,", -0.8, 0.8),
  /** Touched down straight and without a jerk; null where it was not looked at. */
  noseWheelStraight: z.boolean().nullable(),
});

/** @see TrimCheck */
export type TrimCheck = z.infer<typeof TrimCheck>;

/** What the manual prints, engine stopped, sea level; null where it is silent. */
const Handbook = z.strictObject({
  mass_kg: mass_kg("The handbook’s mass"),
  bestGlideSpeed_mps: speed_mps.nullable(),
  bestGlideRatio: range("A glide ratio", 1, 10).nullable(),
  leastSinkSpeed_mps: speed_mps.nullable(),
  leastSink_mps: range("A sink, in m/s,", 1, 30).nullable(),
  verticalSink_mps: range("A sink, in m/s,", 3, 40).nullable(),
  /** From which it is flared. */
  flareSpeed_mps: speed_mps.nullable(),
  /** Least speed of level flight with full power. */
  leastLevelSpeed_mps: speed_mps.nullable(),
});

/** A gyroplane with a pusher propeller. */
export const Gyroplane = z
  .strictObject({
    ...COMMON,
    category: z.literal("gyroplane", "This is about gyroplanes."),
    mass: Masses,
    engines: PropellerEngines,
    rotor: Rotor,
    body: Body,
    tail: Tail,
    handbook: Handbook,
    limits: z.strictObject({ vne_mps: speed_mps.nullable() }),
    /** As they were flown, the oldest first. */
    trimChecks: z.array(TrimCheck).max(60, "At most 60 trim checks."),
  })
  .superRefine((aircraft, context) => {
    const fault = faultsOf(context);
    commonFaults(aircraft, fault);
    const { engines, rotor, handbook, limits } = aircraft;
    if (engines.count !== 1) fault("engines.count", "A gyroplane has one engine here.");
    if (!(rotor.blades * rotor.chord_m < 0.3 * Math.PI * rotor.radius_m))
      fault("rotor.chord_m", "Blades that fill so much of the disc are not met with: check chord and radius.");
    const { leastSinkSpeed_mps, bestGlideSpeed_mps, leastSink_mps, verticalSink_mps } = handbook;
    if (leastSinkSpeed_mps !== null && bestGlideSpeed_mps !== null && !(leastSinkSpeed_mps < bestGlideSpeed_mps))
      fault("handbook.leastSinkSpeed_mps", "Least sink is slower than best glide.");
    if (leastSink_mps !== null && verticalSink_mps !== null && !(leastSink_mps < verticalSink_mps))
      fault("handbook.verticalSink_mps", "A vertical descent sinks faster than the least sink.");
    if (limits.vne_mps !== null && bestGlideSpeed_mps !== null && !(bestGlideSpeed_mps < limits.vne_mps))
      fault("limits.vne_mps", "V_NE is above best glide.");
  });

/** @see Gyroplane */
export type Gyroplane = z.infer<typeof Gyroplane>;
