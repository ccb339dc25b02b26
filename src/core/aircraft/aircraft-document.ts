// The aircraft document: everything a stage may need to know of an aircraft, versioned, validated on the way in and out.
// Figures are the handbook's or fitted to it; sections an aircraft does not have are null.
import { z } from "zod";
import { CauseItem } from "./cause-item";

const text = (max: number) => z.string().trim().max(max, `At most ${max} characters.`);
const positive = (what: string) => z.number().positive(`${what} is more than 0.`);
const fraction = z.number().min(0).max(1);
const speed_mps = z.number().min(1, "A speed of less than 2 kt is not a flying speed.").max(340, "Speeds are below the speed of sound.");
const coefficient = z.number().min(0, "A drag coefficient is not negative.").max(2, "A drag coefficient above 2 is implausible.");

/** What a propeller of a dead engine is doing; `none` for jets and when it does not matter. */
export const PropellerState = z.enum(["windmilling", "stopped", "coarse", "feathered", "none"]);
/** @see PropellerState */
export type PropellerState = z.infer<typeof PropellerState>;

const Wing = z.object({ area_m2: positive("A wing area").max(2000), span_m: positive("A wing span").max(120) });

const Flap = z.object({
  name: text(20).min(1),
  clMax: positive("CLmax").max(5),
  deltaCd: coefficient,
  deltaCl0: z.number().min(0).max(3),
});

/** Drag of something that can be out or in, on the wing area. */
const DragItem = z.object({ id: z.string().regex(/^[a-z][a-z0-9-]*$/), name: text(40).min(1), deltaCd: coefficient });

const Polar = z.object({
  /** Clean, engines' propellers not counted. */
  cd0: positive("CD0").max(0.5, "CD0 above 0.5 is implausible."),
  k: positive("k").max(0.5, "k above 0.5 is implausible."),
  /** From up to landing. */
  flaps: z.array(Flap).min(1).max(8),
  takeOffFlap: z.int().min(0),
  landingFlap: z.int().min(0),
  gear: z.object({ retractable: z.boolean(), deltaCd: coefficient }),
  /** Full sideslip as pilots use it to lose height. */
  fullSlipDeltaCd: coefficient,
  /** Drag by sideslip angle squared, per rad². */
  cdBeta: z.number().min(0).max(10).nullable(),
  items: z.array(DragItem).max(12),
  /** Drag of all dead propellers together: on the wing area, or on the disc area of each. */
  deadPropeller: z.object({
    basis: z.enum(["wing", "disc"]),
    windmilling: coefficient,
    stopped: coefficient.nullable(),
    coarse: coefficient.nullable(),
    feathered: coefficient.nullable(),
  }).nullable(),
});

const Propeller = z.object({
  diameter_m: positive("A propeller diameter").max(8),
  efficiency: fraction,
  /** +1 clockwise from behind, one entry an engine, left first. */
  rotation: z.array(z.union([z.literal(1), z.literal(-1)])).min(1).max(4),
  pFactor: z.number().min(0).max(1).nullable(),
  slipstreamRoll: z.number().min(0).max(2).nullable(),
  localChord_m: positive("A chord").nullable(),
});

const PistonEngines = z.object({
  kind: z.literal("piston"),
  count: z.int().min(1).max(4),
  power_W: positive("Engine power"),
  speed_rpm: positive("Engine speed"),
  /** Height to which a turbocharger holds sea-level power; null when naturally aspirated. */
  criticalHeight_m: z.number().min(0).max(15_000).nullable(),
  propeller: Propeller,
  /** Measured thrust line T = staticThrust − slope·V, where the handbook's climb gives it. */
  thrustLine: z.object({ static_N: positive("Static thrust"), slope_Nspm: z.number().min(0) }).nullable(),
  liquidCooled: z.boolean(),
});

const JetEngines = z.object({
  kind: z.literal("jet"),
  count: z.int().min(1).max(4),
  thrust_N: positive("Thrust"),
  throttleRatio: positive("Throttle ratio"),
  maxContinuous: fraction,
  /** Drag area of one windmilling engine. */
  deadDragArea_m2: z.number().min(0).max(5),
});

const RotorEngines = z.object({
  kind: z.literal("turboshaft"),
  count: z.int().min(1).max(3),
  /** One engine's ratings at sea level: engine and gearbox limit. */
  ratings: z.array(z.object({ name: text(20), duration_s: z.number().positive().nullable(), engine_W: positive("Power"), gearbox_W: positive("Power") })).min(1),
});

const Asymmetric = z.object({
  armY_m: positive("The engines' arm").max(30),
  cl0: z.number(), clAlpha: positive("The lift slope"), thrustIncidence_rad: z.number(),
  cyBeta: z.number(), clBeta: z.number(), cnBeta: z.number(),
  clDeltaA: z.number(), cnDeltaA: z.number(),
  finArm_m: positive("The fin's arm"), finHeight_m: z.number(),
  rudderMax_rad: positive("Rudder travel").max(1), aileronMax_rad: positive("Aileron travel").max(1),
  finStall_rad: positive("The fin's stall angle").max(1), finRudderFactor: z.number(),
  rudderArea_m2: positive("Rudder area"), rudderChord_m: positive("Rudder chord"), rudderGearing_radpm: positive("Gearing"),
  chDelta: z.number(), chBeta: z.number(),
  cdBeta: z.number().min(0), cdDeltaR: z.number().min(0), cdDeltaA: z.number().min(0),
  /** Forward limit of the centre of gravity relative to the aft one. */
  forwardCg_m: z.number(),
  publishedVmca_mps: speed_mps,
});

const Corner = z.object({ speedCalibrated_mps: speed_mps, altitudePressure_m: z.number().min(-500).max(20_000) });
const Relight = z.object({
  windmill: z.array(Corner).min(3),
  assisted: z.array(Corner).min(3),
  windmillSpeed_mps: speed_mps,
  attempt_s: positive("An attempt's time"), gap_s: z.number().min(0), recognition_s: z.number().min(0), auxiliaryPower_s: z.number().min(0),
});

const Rotor = z.object({
  radius_m: positive("Rotor radius"), blades: z.int().min(1).max(10), chord_m: positive("Blade chord"),
  tipSpeed_mps: positive("Tip speed").nullable(), pitch_rad: z.number().nullable(),
  flatPlateAlong_m2: positive("Drag area"), flatPlateAcross_m2: positive("Drag area").nullable(),
  hubAboveSkids_m: z.number().nullable(), polarInertia_kgm2: positive("Inertia"),
  stoppedPropellerArea_m2: z.number().min(0).nullable(),
});

/** Speeds and ratios as the handbook prints them, at the mass it prints them for; null where it is silent. */
const Handbook = z.object({
  mass_kg: positive("The handbook's mass"),
  vs0_mps: speed_mps.nullable(), vs1_mps: speed_mps.nullable(),
  vbg_mps: speed_mps.nullable(), bestGlideRatio: z.number().min(1).max(80).nullable(),
  vx_mps: speed_mps.nullable(), vy_mps: speed_mps.nullable(),
  vyse_mps: speed_mps.nullable(), vsse_mps: speed_mps.nullable(),
  /** Glides printed or flown besides best glide: equivalent airspeed and sink at sea-level density. */
  glidePoints: z.array(z.object({ eas_mps: speed_mps, sink_mps: positive("A sink").max(60) })).max(60).default([]),
  /** What the propeller did in the book's glide; best glide includes its drag. */
  glidePropeller: PropellerState.default("windmilling"),
});

const Limits = z.object({
  vne_mps: speed_mps.nullable(), va_mps: speed_mps.nullable(), vlo_mps: speed_mps.nullable(), vle_mps: speed_mps.nullable(),
  /** By flap, in the order of `polar.flaps`; null where there is none. */
  vfe_mps: z.array(speed_mps.nullable()).max(8),
  loadFactor: z.number().min(1).max(12), loadFactorFlap: z.number().min(1).max(12),
});

/** The document, version 1. */
export const AircraftDocument = z
  .object({
    schema: z.literal("utrimax/aircraft"),
    version: z.literal(1),
    name: text(60).min(1, "An aircraft needs a name."),
    description: text(400),
    category: z.enum(["single", "twin", "jet", "helicopter", "gyroplane"]),
    /** What its instruments show. */
    speedUnit: z.enum(["kt", "mph", "kmh"]),
    mass: z.object({ maximum_kg: positive("The maximum mass").max(700_000), minimum_kg: positive("The minimum mass"), usual_kg: positive("The usual mass"), calibration_kg: positive("A mass").nullable() }),
    wing: Wing.nullable(),
    polar: Polar.nullable(),
    engines: z.discriminatedUnion("kind", [PistonEngines, JetEngines, RotorEngines]),
    handbook: Handbook,
    limits: Limits,
    climb: z.object({ vyOverVs1: z.number().min(1).max(3) }).nullable(),
    asymmetric: Asymmetric.nullable(),
    relight: Relight.nullable(),
    /** Fluid lost after damage and the minutes an engine then has. */
    coolant: z.object({ minutesAfterLeak_s: positive("A time") }).nullable(),
    rotor: Rotor.nullable(),
    /** Its own cause check in the air; null takes the usual one of its kind of engine. */
    causeFlow: z.array(CauseItem).min(1, "A cause check has at least one item.").max(30, "At most 30 items.").nullable().default(null),
  })
  .superRefine((aircraft, context) => {
    const fault = (path: string, message: string) => context.addIssue({ code: "custom", path: path.split("."), message });
    if (!(aircraft.mass.minimum_kg < aircraft.mass.maximum_kg)) fault("mass.minimum_kg", "The minimum mass is below the maximum.");
    if (!(aircraft.mass.usual_kg <= aircraft.mass.maximum_kg && aircraft.mass.usual_kg >= aircraft.mass.minimum_kg)) fault("mass.usual_kg", "The usual mass lies between minimum and maximum.");
    if (aircraft.polar && !aircraft.wing) fault("wing", "A polar needs a wing area.");
    if (aircraft.polar && aircraft.polar.landingFlap >= aircraft.polar.flaps.length) fault("polar.landingFlap", "There is no such flap setting.");
    if (aircraft.polar && aircraft.polar.takeOffFlap >= aircraft.polar.flaps.length) fault("polar.takeOffFlap", "There is no such flap setting.");
    if (aircraft.polar?.deadPropeller?.basis === "disc" && aircraft.engines.kind !== "piston") fault("polar.deadPropeller.basis", "Drag on the disc area needs a propeller.");
    const ids = aircraft.causeFlow?.map((item) => item.id) ?? [];
    if (new Set(ids).size < ids.length) fault("causeFlow", "Two items of the cause check have the same id.");
    const { vs0_mps, vs1_mps, vbg_mps } = aircraft.handbook;
    if (vs0_mps !== null && vs1_mps !== null && !(vs0_mps <= vs1_mps)) fault("handbook.vs0_mps", "The stall with landing flap is not faster than the clean stall.");
    if (vs1_mps !== null && vbg_mps !== null && !(vs1_mps < vbg_mps)) fault("handbook.vbg_mps", "Best glide is faster than the stall.");
  });

/** @see AircraftDocument */
export type AircraftDocument = z.infer<typeof AircraftDocument>;
