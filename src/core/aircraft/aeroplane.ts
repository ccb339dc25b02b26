// An aeroplane as a document: everything a stage may need to know of it. Figures are the handbook's or fitted to it;
// sections an aeroplane does not have are null.
import { z } from "zod";
import {
  COMMON,
  type Fault,
  Masses,
  coefficient,
  commonFaults,
  faultsOf,
  fraction,
  mass_kg,
  range,
  speed_mps,
  text,
  time_s,
} from "./document-fields";
import { Dynamics, SIDEWAYS } from "./dynamics";
import { PropellerEngines } from "./propeller-engines";
import { PropellerState } from "./propeller-state";

const Wing = z.strictObject({
  area_m2: range("A wing area, in m²,", 2, 2000),
  span_m: range("A wing span, in m,", 2, 120),
});

const Flap = z.strictObject({
  name: text(20).min(1),
  clMax: range("CLmax", 0.3, 5),
  deltaCd: coefficient,
  deltaCl0: z.number().min(0).max(3),
});

/** Drag of something that can be out or in, on the wing area. */
const DragItem = z.strictObject({
  id: z
    .string()
    .max(40, "At most 40 characters.")
    .regex(/^[a-z][a-z0-9-]*$/),
  name: text(40).min(1),
  deltaCd: coefficient,
});

const Polar = z.strictObject({
  /** Clean, engines' propellers not counted. */
  cd0: range("CD0", 0.002, 0.5),
  k: range("k", 0.002, 0.5),
  /** From up to landing. */
  flaps: z.array(Flap).min(1).max(8),
  takeOffFlap: z.int().min(0).max(7),
  landingFlap: z.int().min(0).max(7),
  gear: z.strictObject({ retractable: z.boolean(), deltaCd: coefficient }),
  /** Full sideslip as pilots use it to lose height. */
  fullSlipDeltaCd: coefficient,
  /** Drag by sideslip angle squared, per rad². */
  cdBeta: z.number().min(0).max(10).nullable(),
  items: z.array(DragItem).max(12),
  /** Drag of all dead propellers together: on the wing area, or on the disc area of each. */
  deadPropeller: z
    .strictObject({
      basis: z.enum(["wing", "disc"]),
      windmilling: coefficient,
      stopped: coefficient.nullable(),
      coarse: coefficient.nullable(),
      feathered: coefficient.nullable(),
    })
    .nullable(),
});

const JetEngines = z.strictObject({
  kind: z.literal("jet"),
  count: z.int().min(1).max(4),
  thrust_N: range("Thrust, in N,", 100, 1e6),
  throttleRatio: range("The throttle ratio", 0.8, 1.4),
  maxContinuous: fraction("Maximum continuous thrust"),
  /** Drag area of one windmilling engine. */
  deadDragArea_m2: z.number().min(0).max(5),
});

const Asymmetric = z.strictObject({
  ...SIDEWAYS,
  armY_m: range("The engines’ arm, in m,", 0.2, 30),
  clAlpha: range("The lift slope", 1, 10),
  thrustIncidence_rad: range("The thrust line’s incidence, in rad,", -0.3, 0.3),
  finStall_rad: range("The fin’s stall angle, in rad,", 0.02, 1),
  finRudderFactor: range("The rudder’s share of the fin’s angle", 0, 2),
  rudderArea_m2: range("Rudder area, in m²,", 0.02, 100),
  rudderChord_m: range("Rudder chord, in m,", 0.05, 10),
  rudderGearing_radpm: range("Pedal gearing, in rad/m,", 0.01, 50),
  chDelta: range("Chδ", -2, 5),
  chBeta: range("Chβ", -2, 5),
  cdDeltaR: range("CDδr", 0, 5),
  cdDeltaA: range("CDδa", 0, 5),
  /** Forward limit of the centre of gravity relative to the aft one. */
  forwardCg_m: range("The forward limit of the centre of gravity, in m from the aft one,", -10, 0),
  publishedVmca_mps: speed_mps,
});

const Corner = z.strictObject({ speedCalibrated_mps: speed_mps, altitudePressure_m: z.number().min(-500).max(20_000) });
const Envelope = z.array(Corner).min(3, "An envelope has at least three corners.").max(40, "At most 40 corners.");
const Relight = z.strictObject({
  windmill: Envelope,
  assisted: Envelope,
  windmillSpeed_mps: speed_mps,
  attempt_s: time_s("An attempt’s time", 5, 600),
  gap_s: time_s("The time between attempts", 0, 600),
  recognition_s: time_s("Recognition", 0, 300),
  auxiliaryPower_s: time_s("The auxiliary power’s start", 0, 600),
});

/** Speeds and ratios as the handbook prints them, at the mass it prints them for; null where it is silent. */
const Handbook = z.strictObject({
  mass_kg: mass_kg("The handbook’s mass"),
  vs0_mps: speed_mps.nullable(),
  vs1_mps: speed_mps.nullable(),
  vbg_mps: speed_mps.nullable(),
  bestGlideRatio: z.number().min(1).max(80).nullable(),
  vx_mps: speed_mps.nullable(),
  vy_mps: speed_mps.nullable(),
  vyse_mps: speed_mps.nullable(),
  vsse_mps: speed_mps.nullable(),
  vxse_mps: speed_mps.nullable(),
  /** Best climb on one engine, everything mended, in standard air. */
  oneEngineClimb: z
    .strictObject({
      climb_mps: range("A climb on one engine, in m/s,", -10, 50),
      mass_kg: mass_kg("Its mass"),
      altitude_m: range("Its pressure altitude, in m,", -500, 12_000),
    })
    .nullable(),
  /** At this mass, in standard air at sea level, without wind, on a hard dry runway. */
  takeOffRun_m: range("A take-off run, in m,", 20, 6000).nullable(),
  takeOff15_m: range("A take-off distance over 50 ft, in m,", 20, 10_000).nullable(),
  climb_mps: range("A climb, in m/s,", 0.2, 60).nullable(),
  landingRun_m: range("A landing run, in m,", 20, 6000).nullable(),
  landing15_m: range("A landing distance over 50 ft, in m,", 20, 10_000).nullable(),
  /** Glides printed or flown besides best glide: equivalent airspeed and sink at sea-level density. */
  glidePoints: z.array(z.strictObject({ eas_mps: speed_mps, sink_mps: range("A sink, in m/s,", 0.05, 60) })).max(60),
  /** What the propeller did in the book's glide; best glide includes its drag. */
  glidePropeller: PropellerState,
});

const Limits = z.strictObject({
  vne_mps: speed_mps.nullable(),
  va_mps: speed_mps.nullable(),
  vlo_mps: speed_mps.nullable(),
  vle_mps: speed_mps.nullable(),
  /** By flap, in the order of `polar.flaps`; null where there is none. */
  vfe_mps: z.array(speed_mps.nullable()).max(8),
  loadFactor: z.number().min(1).max(12),
  loadFactorFlap: z.number().min(1).max(12),
});

function polarFaults(
  { polar, wing, engines }: { polar: z.infer<typeof Polar> | null; wing: object | null; engines: { kind: string } },
  fault: Fault,
): void {
  if (!polar) return;
  if (!wing) fault("wing", "A polar needs a wing area.");
  if (polar.landingFlap >= polar.flaps.length) fault("polar.landingFlap", "There is no such flap setting.");
  if (polar.takeOffFlap >= polar.flaps.length) fault("polar.takeOffFlap", "There is no such flap setting.");
  if (polar.deadPropeller && engines.kind === "jet")
    fault("polar.deadPropeller", "A jet has no propeller: what its dead engines drag stands with the engines.");
  if (polar.deadPropeller?.basis === "disc" && engines.kind !== "propeller")
    fault("polar.deadPropeller.basis", "Drag on the disc area needs a propeller.");
}

function twinFaults(
  {
    asymmetric,
    handbook,
    engines,
  }: { asymmetric: z.infer<typeof Asymmetric> | null; handbook: z.infer<typeof Handbook>; engines: { count: number } },
  fault: Fault,
): void {
  if (!asymmetric) return;
  if (engines.count !== 2) fault("engines.count", "Control on one engine is that of an aeroplane with two.");
  const { publishedVmca_mps } = asymmetric;
  const { vyse_mps, vsse_mps } = handbook;
  if (vyse_mps !== null && !(publishedVmca_mps < vyse_mps))
    fault("asymmetric.publishedVmca_mps", "V_MCA is below V_YSE: nobody could climb on one engine at its best speed.");
  if (vsse_mps !== null && !(publishedVmca_mps <= vsse_mps))
    fault("handbook.vsse_mps", "V_SSE is not below V_MCA: engines are not cut where control is lost.");
}

function turbopropFaults({ engines }: { engines: { kind: string; count: number; fuelSystem?: string } }, fault: Fault) {
  if (engines.fuelSystem === "turbine" && engines.count > 1)
    fault("engines.fuelSystem", "A turboprop has one engine here: the gauges of two are not modelled yet.");
}

/** An aeroplane with one engine, a twin or a jet. */
export const Aeroplane = z
  .strictObject({
    ...COMMON,
    category: z.enum(["single", "twin", "jet"], "This is about aeroplanes: with one engine, a twin or a jet."),
    mass: Masses.extend({ calibration_kg: mass_kg("A mass").nullable() }),
    wing: Wing.nullable(),
    polar: Polar.nullable(),
    engines: z.discriminatedUnion("kind", [PropellerEngines, JetEngines]),
    handbook: Handbook,
    limits: Limits,
    climb: z.strictObject({ vyOverVs1: z.number().min(1).max(3) }).nullable(),
    asymmetric: Asymmetric.nullable(),
    relight: Relight.nullable(),
    /** Null takes what is usual of its kind. */
    dynamics: Dynamics.nullable(),
    /** Fluid lost after damage and the minutes an engine then has. */
    coolant: z.strictObject({ minutesAfterLeak_s: time_s("A time", 10, 36_000) }).nullable(),
  })
  .superRefine((aircraft, context) => {
    const fault = faultsOf(context);
    commonFaults(aircraft, fault);
    polarFaults(aircraft, fault);
    const { vs0_mps, vs1_mps, vbg_mps } = aircraft.handbook;
    if (vs0_mps !== null && vs1_mps !== null && !(vs0_mps <= vs1_mps))
      fault("handbook.vs0_mps", "The stall with landing flap is not faster than the clean stall.");
    if (vs1_mps !== null && vbg_mps !== null && !(vs1_mps < vbg_mps))
      fault("handbook.vbg_mps", "Best glide is faster than the stall.");
    twinFaults(aircraft, fault);
    turbopropFaults(aircraft, fault);
  });

/** @see Aeroplane */
export type Aeroplane = z.infer<typeof Aeroplane>;
