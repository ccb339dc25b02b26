// Rotorcraft as version 5 had them: a rotor in a document made for wings. What it did not know of one is filled
// in with what is usual of the kind; what it knew stays.
import { z } from "zod";

/** Part of an old document. */
export const OldRecord = z.record(z.string(), z.unknown());
type OldRecord = z.infer<typeof OldRecord>;

const OldRating = z.looseObject({ name: z.string(), duration_s: z.number().nullable() });

/** Ratings of up to two and a half minutes may be used three times. */
const withUses = (rating: z.infer<typeof OldRating>) => ({
  ...rating,
  uses: rating.duration_s !== null && rating.duration_s <= 150 ? 3 : null,
});

const USUAL_RATINGS = [{ name: "continuous", duration_s: null, uses: null, engine_W: 475_000, gearbox_W: 430_000 }];

/** A helicopter's own sections of what version 5 knew. */
export function helicopterOfVersion5(engines: OldRecord, rotor: OldRecord, book: OldRecord): OldRecord {
  const { pitch_rad: _, flatPlateAlong_m2, flatPlateAcross_m2: __, stoppedPropellerArea_m2: ___, ...blades } = rotor;
  const ratings = z.array(OldRating).min(1).safeParse(engines.ratings);
  return {
    engines: {
      kind: "turboshaft",
      count: engines.kind === "turboshaft" ? engines.count : 2,
      ratings: ratings.success ? ratings.data.map(withUses) : USUAL_RATINGS,
    },
    rotor: {
      radius_m: 5.3,
      blades: 4,
      chord_m: 0.32,
      tipSpeed_mps: 213,
      hubAboveSkids_m: 3.3,
      polarInertia_kgm2: 1425,
      flatPlate_m2: flatPlateAlong_m2 ?? 1.3,
      inducedFactor: 1.15,
      bladeDragFactor: 1,
      ctSigmaMax: 0.15,
      nrMinFlight: 0.92,
      nrMinTouchdown: 0.8,
      ...blades,
    },
    handbook: {
      mass_kg: book.mass_kg,
      vToss_mps: null,
      vy_mps: book.vy_mps ?? null,
      oneEngineHover: null,
      leastSinkSpeed_mps: null,
      leastSink_mps: null,
      bestRangeSpeed_mps: book.vbg_mps ?? null,
      bestRangeRatio: book.bestGlideRatio ?? null,
      floats: null,
    },
  };
}

const USUAL_ENGINE = {
  kind: "propeller",
  count: 1,
  fuelSystem: "carburettor",
  power_W: 73_500,
  speed_rpm: 5800,
  criticalHeight_m: null,
  propeller: {
    diameter_m: 1.72,
    efficiency: 0.65,
    rotation: [1],
    pFactor: null,
    slipstreamRoll: null,
    localChord_m: null,
  },
  thrustLine: null,
  liquidCooled: false,
};

/** A gyroplane's own sections of what version 5 knew. */
export function gyroplaneOfVersion5(engines: OldRecord, rotor: OldRecord, book: OldRecord): OldRecord {
  const {
    tipSpeed_mps: _,
    hubAboveSkids_m: __,
    flatPlateAlong_m2,
    flatPlateAcross_m2,
    stoppedPropellerArea_m2,
    ...blades
  } = rotor;
  return {
    engines: engines.kind === "propeller" && engines.count === 1 ? engines : USUAL_ENGINE,
    rotor: {
      radius_m: 4.2,
      blades: 2,
      chord_m: 0.215,
      pitch_rad: 0.0454,
      polarInertia_kgm2: 205,
      bladeDragFactor: 1,
      ...blades,
    },
    body: {
      flatPlateAlong_m2: flatPlateAlong_m2 ?? 0.85,
      flatPlateAcross_m2: flatPlateAcross_m2 ?? 1.7,
      stoppedPropeller_m2: stoppedPropellerArea_m2 ?? 0.198,
      idleThrust_N: 140,
      idleNone_mps: 24,
    },
    tail: {
      finArea_m2: 0.55,
      finSlope: 2.2,
      rudderArea_m2: 0.45,
      rudderSlope: 1.9,
      rudderMax_rad: 0.436,
      arm_m: 1.75,
      swirlShare: 0.3,
      yawInertia_kgm2: 280,
    },
    handbook: {
      mass_kg: book.mass_kg,
      bestGlideSpeed_mps: book.vbg_mps ?? null,
      bestGlideRatio: book.bestGlideRatio ?? null,
      leastSinkSpeed_mps: null,
      leastSink_mps: null,
      verticalSink_mps: null,
      flareSpeed_mps: null,
      leastLevelSpeed_mps: null,
    },
    trimChecks: [],
  };
}
