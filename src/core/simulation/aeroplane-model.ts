// An aeroplane as the numbers that its motion is computed with, made once before a flight. Every number is rounded to
// single precision: what engines of JavaScript differ in, the last bit of a double, is gone from it.
import { asymmetricCase } from "../asymmetric/anchored-case";
import type { Aeroplane } from "../aircraft/aeroplane";
import type { Dynamics } from "../aircraft/dynamics";
import { usualDynamics } from "../aircraft/usual-dynamics";
import { airState } from "../air/atmosphere";
import { type Outcome, failure, success } from "../outcome";
import { G0, P0_PA, RHO0 } from "../quantities/constants";
import type { Standing, TouchPoint } from "./ground-contact";
import { notFlown } from "./not-flown";
import { rounded } from "./rounded";
import type { JetModel } from "./jet-step";
import { type PropellerModel, propellerModel } from "./propeller-model";
import { stallAngle_rad } from "./stall-angle";

/** A flap setting. */
export interface FlapModel {
  readonly deltaCl0: number;
  readonly deltaCd: number;
  /** Angle of attack at which half of the flow has separated. */
  readonly stall_rad: number;
  readonly clMax: number;
}

/** @see aeroplaneModel. Names as in flight mechanics. */
export interface AeroplaneModel extends Standing {
  readonly kind: "aeroplane";
  readonly mass_kg: number;
  readonly area_m2: number;
  readonly chord_m: number;
  /** Moments of inertia, kg m². */
  readonly ix: number;
  readonly iy: number;
  readonly iz: number;
  /** Of the document's trimmed line, and of the wing without the elevator's lift. */
  readonly cl0: number;
  readonly clAlpha: number;
  readonly clWing0: number;
  readonly clWingAlpha: number;
  readonly flapLift: number;
  readonly clQ: number;
  readonly clDeltaE: number;
  readonly cd0: number;
  readonly k: number;
  readonly gearCd: number;
  readonly slipCd: number;
  readonly cdBeta: number;
  readonly cdDeltaR: number;
  readonly cdDeltaA: number;
  readonly cm0: number;
  readonly cmFlap: number;
  readonly cmAlpha: number;
  readonly cmDeltaE: number;
  readonly cmQ: number;
  readonly cmAlphaDot: number;
  /** Of body and fin apart. */
  readonly cyBody: number;
  readonly cyFin: number;
  readonly cyDeltaR: number;
  readonly clBeta: number;
  readonly clP: number;
  readonly clRFin: number;
  readonly clDeltaA: number;
  readonly clDeltaR: number;
  readonly cnBody: number;
  readonly cnFin: number;
  readonly cnDeltaA: number;
  readonly cnDeltaR: number;
  readonly finArm_m: number;
  readonly finHeight_m: number;
  readonly finStall_rad: number;
  readonly finRudder: number;
  /** Of the centre of gravity from its aft limit, over the span: 0 or negative. */
  readonly cgSpan: number;
  readonly wingArm: number;
  readonly elevatorUp_rad: number;
  readonly elevatorDown_rad: number;
  readonly aileronMax_rad: number;
  readonly thrustIncidence_rad: number;
  readonly flaps: readonly FlapModel[];
  readonly retractable: boolean;
  readonly hullHeight_m: number;
  /** Sideways place of each engine, right positive, and the turn of its propeller. */
  readonly engines: readonly { readonly y_m: number; readonly rotation: number }[];
  /** What turns; exactly one of the two. */
  readonly propeller: PropellerModel | null;
  readonly jet: JetModel | null;
  /** P-factor’s arm by angle of attack, m; roll by slipstream, m³; inertia of a shaft, kg m²: nought for jets. */
  readonly pFactor_m: number;
  readonly slipstream: number;
  readonly shaft_kgm2: number;
  readonly vne_mps: number;
  readonly loadFactor: number;
  readonly calibrated: boolean;
}

/** Lift slope of the tail, its share of dynamic pressure, downwash by the wing's angle, the elevator's share. */
const [TAIL_SLOPE, TAIL_Q, DOWNWASH, ELEVATOR] = [3.6, 0.9, 0.45, 0.56];
/** Lift at which the elevator stands neutral. */
const NEUTRAL_CL = 0.45;
/** The margin of a single grows by so much of the chord to the forward limit. Common practice. */
const FORWARD_MARGIN = 0.1;
/** Wheels: static compression, damping of critical. */
const [STATIC_M, DAMPING] = [0.08, 0.7];
const RAD_PER_DEG = Math.PI / 180;

/** How an aeroplane is loaded. */
export interface Loaded {
  readonly mass_kg: number;
  /** 0 at the forward limit, 1 at the aft limit. */
  readonly centreOfGravity: number;
}

/**
 * Makes an aeroplane ready to be flown by hand.
 *
 * Elevator lift is taken out of the trimmed line, so that the trimmed line is the document's: CLαw = CLα +
 * CLδe·Cmα/Cmδe, CL0w = CL0 + CLδe·Cm0/Cmδe, f = 1 + CLδe·CmF/Cmδe.
 *
 * @returns `no_polar`; failures of the one-engine case
 * @see B. Etkin, Dynamics of Flight, for tail derivatives; J. Roskam, Airplane Design, for inertia; lifting line for
 *   roll damping (memory)
 */
export function aeroplaneModel(aircraft: Aeroplane, { mass_kg, centreOfGravity }: Loaded): Outcome<AeroplaneModel> {
  const { polar, wing, engines, asymmetric } = aircraft;
  const issue = notFlown(aircraft);
  if (issue) return { ok: false, issue };
  if (!polar || !wing) throw new Error("aeroplaneModel: expected wings");
  const dynamics =
    aircraft.dynamics ??
    usualDynamics({
      category: aircraft.category,
      wing,
      engines,
      fixedPitch: polar.deadPropeller?.coarse === null && polar.deadPropeller.feathered === null,
      asymmetric: asymmetric !== null,
    });
  const lateral = dynamics.lateral ?? lateralOf(asymmetric);
  if (!lateral || (engines.kind === "propeller" && !dynamics.shaft))
    return failure("no_dynamics", `${aircraft.name} does not say how it is controlled sideways.`, "dynamics");
  const control = controlPower(aircraft, lateral, { mass_kg, centreOfGravity });
  if (!control.ok) return control;

  const { area_m2, span_m } = wing;
  const chord_m = area_m2 / span_m;
  const aspect = span_m ** 2 / area_m2;
  const clAlpha = asymmetric?.clAlpha ?? (2 * Math.PI * aspect) / (aspect + 2);
  const cg_m = (1 - centreOfGravity) * (asymmetric?.forwardCg_m ?? -FORWARD_MARGIN * chord_m);
  const margin = dynamics.staticMargin + Math.abs(cg_m) / chord_m;
  const { tailArm_m, tailVolume, flapPitch, length_m } = dynamics;
  const cmAlpha = -clAlpha * margin;
  const cmDeltaE = -TAIL_Q * TAIL_SLOPE * tailVolume * ELEVATOR;
  const clDeltaE = (-cmDeltaE * chord_m) / tailArm_m;
  const cmQ = (-2.2 * TAIL_Q * TAIL_SLOPE * tailVolume * tailArm_m) / chord_m;
  const cm0 = (-cmAlpha * (NEUTRAL_CL - lateral.cl0)) / clAlpha;
  const clWing0 = lateral.cl0 + (clDeltaE * cm0) / cmDeltaE;
  const clWingAlpha = clAlpha + (clDeltaE * cmAlpha) / cmDeltaE;
  const flapLift = 1 + (clDeltaE * flapPitch) / cmDeltaE;
  const cnFin = 1.5 * lateral.cnBeta;
  const cyFin = (-cnFin * span_m) / lateral.finArm_m;
  const { cnDeltaR } = control.value;
  const cyDeltaR = (-cnDeltaR * span_m) / lateral.finArm_m;
  const pitching = { clWing0, clWingAlpha, flapLift, clDeltaE, cm0, cmFlap: flapPitch, cmAlpha, cmDeltaE };
  const flaps = polar.flaps.map(({ deltaCl0, deltaCd, clMax }) => ({
    deltaCl0,
    deltaCd,
    clMax,
    stall_rad: stallAngle_rad(pitching, deltaCl0, clMax),
  }));
  const stall_mps = Math.sqrt((2 * mass_kg * G0) / (RHO0 * area_m2 * polar.flaps[0].clMax));
  const arms = engines.count === 2 && asymmetric ? [-asymmetric.armY_m, asymmetric.armY_m] : [0];
  return success(
    rounded({
      kind: "aeroplane" as const,
      mass_kg,
      area_m2,
      span_m,
      chord_m,
      ix: mass_kg * ((span_m / 2) * dynamics.rollRadius) ** 2,
      iy: mass_kg * ((length_m / 2) * dynamics.pitchRadius) ** 2,
      iz: mass_kg * (((span_m + length_m) / 4) * dynamics.yawRadius) ** 2,
      cl0: lateral.cl0,
      clAlpha,
      ...pitching,
      ...besides(asymmetric),
      clQ: 2 * TAIL_Q * TAIL_SLOPE * tailVolume,
      cd0: polar.cd0,
      k: polar.k,
      gearCd: polar.gear.deltaCd,
      slipCd: polar.fullSlipDeltaCd,
      cdBeta: lateral.cdBeta,
      cmQ,
      cmAlphaDot: (cmQ * DOWNWASH) / 1.1,
      cyBody: lateral.cyBeta - cyFin,
      cyFin,
      cyDeltaR,
      clBeta: lateral.clBeta,
      clP: (-Math.PI / 4) * (aspect / (aspect + 4)),
      clRFin: (2 * lateral.finHeight_m * cnFin) / span_m,
      clDeltaA: lateral.clDeltaA,
      clDeltaR: (cyDeltaR * lateral.finHeight_m) / span_m,
      cnBody: -0.5 * lateral.cnBeta,
      cnFin,
      cnDeltaA: lateral.cnDeltaA,
      cnDeltaR,
      finArm_m: lateral.finArm_m,
      finHeight_m: lateral.finHeight_m,
      cgSpan: cg_m / span_m,
      wingArm: dynamics.wingArm,
      elevatorUp_rad: dynamics.elevatorUp_rad,
      elevatorDown_rad: dynamics.elevatorDown_rad,
      rudderMax_rad: lateral.rudderMax_rad,
      aileronMax_rad: lateral.aileronMax_rad,
      flaps,
      ...touchPoints(mass_kg, span_m, length_m, dynamics.tailWheel),
      retractable: polar.gear.retractable,
      ...enginesOf(aircraft, dynamics.shaft, arms, stall_mps),
      vne_mps: aircraft.limits.vne_mps ?? 3.5 * stall_mps,
      loadFactor: aircraft.limits.loadFactor,
      calibrated: aircraft.dynamics !== null,
    }),
  );
}

/** Engines by side, with what turns in them. */
function enginesOf(
  aircraft: Aeroplane,
  shaft: Dynamics["shaft"],
  arms: readonly number[],
  stall_mps: number,
): Pick<AeroplaneModel, "engines" | "propeller" | "jet" | "pFactor_m" | "slipstream" | "shaft_kgm2"> {
  const { engines, relight } = aircraft;
  if (engines.kind === "jet" || !shaft) {
    const corners = (envelope: NonNullable<Aeroplane["relight"]>["windmill"] | undefined) =>
      (envelope ?? []).map(({ speedCalibrated_mps, altitudePressure_m }) => ({
        speed_mps: speedCalibrated_mps,
        altitude_m: altitudePressure_m,
      }));
    const jet = engines.kind === "jet" && {
      thrust_N: engines.thrust_N,
      throttleRatio: engines.throttleRatio,
      dead_m2: engines.deadDragArea_m2,
      windmill: corners(relight?.windmill),
      assisted: corners(relight?.assisted),
    };
    const still = { pFactor_m: 0, slipstream: 0, shaft_kgm2: 0 };
    return { engines: arms.map((y_m) => ({ y_m, rotation: 0 })), propeller: null, jet: jet || null, ...still };
  }
  const sigmaCritical = engines.criticalHeight_m === null ? null : airState(engines.criticalHeight_m, 0).sigma;
  const { pFactor, slipstreamRoll, localChord_m, diameter_m, rotation } = engines.propeller;
  return {
    engines: arms.map((y_m, i) => ({ y_m, rotation: rotation[i] ?? 1 })),
    propeller: propellerModel(aircraft, engines, shaft, sigmaCritical, stall_mps),
    jet: null,
    pFactor_m: (pFactor ?? 0.15) * diameter_m,
    slipstream: (slipstreamRoll ?? 0) * diameter_m * (localChord_m ?? 0),
    shaft_kgm2: shaft.inertia_kgm2,
  };
}

/** What only the one-engine section says; usual figures without one. */
function besides(asymmetric: Aeroplane["asymmetric"]) {
  return {
    cdDeltaR: asymmetric?.cdDeltaR ?? 0.08,
    cdDeltaA: asymmetric?.cdDeltaA ?? 0.05,
    finStall_rad: asymmetric?.finStall_rad ?? 18 * RAD_PER_DEG,
    finRudder: asymmetric?.finRudderFactor ?? 0.25,
    thrustIncidence_rad: asymmetric?.thrustIncidence_rad ?? 0,
  };
}

/** What the one-engine section says sideways; null without one. */
function lateralOf(asymmetric: Aeroplane["asymmetric"]): Omit<NonNullable<Dynamics["lateral"]>, "cnDeltaR"> | null {
  if (!asymmetric) return null;
  const { cl0, cdBeta, cyBeta, clBeta, cnBeta, clDeltaA, cnDeltaA } = asymmetric;
  const { finArm_m, finHeight_m, rudderMax_rad, aileronMax_rad } = asymmetric;
  return {
    cl0,
    cdBeta,
    cyBeta,
    clBeta,
    cnBeta,
    clDeltaA,
    cnDeltaA,
    finArm_m,
    finHeight_m,
    rudderMax_rad,
    aileronMax_rad,
  };
}

/** The rudder's power: of a twin as its published V_MCA has it. */
function controlPower(aircraft: Aeroplane, lateral: object, loaded: Loaded): Outcome<{ cnDeltaR: number }> {
  if ("cnDeltaR" in lateral && typeof lateral.cnDeltaR === "number") return success({ cnDeltaR: lateral.cnDeltaR });
  return asymmetricCase({
    aircraft,
    ...loaded,
    altitude_m: 0,
    air: { qnh_Pa: P0_PA, deviation_K: 0 },
    flap: 0,
    gearDown: false,
    items: [],
    deadPropeller: aircraft.engines.kind === "jet" ? "none" : "windmilling",
    failed: "left",
    setting: 1,
  });
}

/** Wheels, and what else touches when they do not: generic, by length and span. */
function touchPoints(mass_kg: number, span_m: number, length_m: number, tailWheel: boolean) {
  const down = 0.145 * length_m;
  const hull = 0.07 * length_m;
  const wheel = (x: number, y: number, share: number, kind: TouchPoint["kind"], z = down): TouchPoint => {
    const spring = (share * mass_kg * G0) / STATIC_M;
    return { x, y, z: z + STATIC_M, spring, damper: 2 * DAMPING * Math.sqrt(spring * share * mass_kg), kind };
  };
  const track = 0.13 * span_m;
  const [fore, aft] = tailWheel ? [0.09 * length_m, -0.55 * length_m] : [-0.035 * length_m, 0.22 * length_m];
  // Moments about the centre of gravity share the weight.
  const mains = aft / (aft - fore);
  const third = 1 - mains;
  const stiff = (x: number, y: number, z: number): TouchPoint => ({
    x,
    y,
    z,
    spring: (mass_kg * G0) / 0.15,
    damper: mass_kg * 4,
    kind: "hull",
  });
  return {
    hullHeight_m: down,
    points: [
      wheel(fore, -track, mains / 2, "main"),
      wheel(fore, track, mains / 2, "main"),
      wheel(aft, 0, third, "nose", tailWheel ? 0.35 * down : down),
      stiff(0.3 * length_m, 0, hull),
      stiff(-0.1 * length_m, 0, hull),
      stiff(-0.55 * length_m, 0, 0.02 * length_m),
      stiff(0, -span_m / 2, -0.02 * length_m),
      stiff(0, span_m / 2, -0.02 * length_m),
    ],
  };
}
