import type { AircraftDocument } from "../aircraft/aircraft-document";
import type { Gyroplane } from "../aircraft/gyroplane";
import type { Helicopter } from "../aircraft/helicopter";

/** What any aircraft keeps when it becomes one of another kind. */
function keptOf(aircraft: AircraftDocument) {
  const { schema, version, name, description, speedUnit, airspeedCalibration, mass } = aircraft;
  return {
    common: { schema, version, name, description, speedUnit, airspeedCalibration, loading: null, causeFlow: null },
    mass: { maximum_kg: mass.maximum_kg, minimum_kg: mass.minimum_kg, usual_kg: mass.usual_kg },
  };
}

/**
 * A helicopter to fill in from its manual: rotor and engines are typical of a light twin and have to be replaced; what
 * the manual prints is empty.
 */
export function asHelicopter(aircraft: AircraftDocument): Helicopter {
  if (aircraft.category === "helicopter") return aircraft;
  const { common, mass } = keptOf(aircraft);
  return {
    ...common,
    category: "helicopter",
    mass,
    engines: {
      kind: "turboshaft",
      count: 2,
      ratings: [
        { name: "30 s", duration_s: 30, uses: 3, engine_W: 575_000, gearbox_W: 560_000 },
        { name: "2 min", duration_s: 120, uses: 3, engine_W: 530_000, gearbox_W: 520_000 },
        { name: "continuous", duration_s: null, uses: null, engine_W: 475_000, gearbox_W: 430_000 },
      ],
    },
    rotor: {
      radius_m: 5.3,
      blades: 4,
      chord_m: 0.32,
      tipSpeed_mps: 213,
      hubAboveSkids_m: 3.3,
      polarInertia_kgm2: 1425,
      flatPlate_m2: 1.3,
      inducedFactor: 1.15,
      bladeDragFactor: 1,
      ctSigmaMax: 0.15,
      nrMinFlight: 0.92,
      nrMinTouchdown: 0.8,
    },
    handbook: {
      mass_kg: mass.maximum_kg,
      vToss_mps: null,
      vy_mps: null,
      oneEngineHover: null,
      leastSinkSpeed_mps: null,
      leastSink_mps: null,
      bestRangeSpeed_mps: null,
      bestRangeRatio: null,
      floats: null,
    },
    limits: { vne_mps: null },
  };
}

/** A gyroplane to fill in from its manual, as `asHelicopter` makes a helicopter. */
export function asGyroplane(aircraft: AircraftDocument): Gyroplane {
  if (aircraft.category === "gyroplane") return aircraft;
  const { common, mass } = keptOf(aircraft);
  return {
    ...common,
    category: "gyroplane",
    mass,
    engines: {
      kind: "propeller",
      count: 1,
      fuelSystem: "carburettor",
      power_W: 73_500,
      speed_rpm: 2300,
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
    },
    rotor: {
      radius_m: 4.2,
      blades: 2,
      chord_m: 0.215,
      pitch_rad: 0.0454,
      polarInertia_kgm2: 205,
      bladeDragFactor: 1,
    },
    body: {
      flatPlateAlong_m2: 0.85,
      flatPlateAcross_m2: 1.7,
      stoppedPropeller_m2: 0.2,
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
      mass_kg: mass.maximum_kg,
      bestGlideSpeed_mps: null,
      bestGlideRatio: null,
      leastSinkSpeed_mps: null,
      leastSink_mps: null,
      verticalSink_mps: null,
      flareSpeed_mps: null,
      leastLevelSpeed_mps: null,
    },
    limits: { vne_mps: null },
    trimChecks: [],
  };
}
