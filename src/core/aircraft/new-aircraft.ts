import type { Aeroplane } from "./aeroplane";

/**
 * An aeroplane to fill in from its handbook. What a document cannot be without is typical of a light single and has to
 * be replaced; wing, polar and speeds are empty, so that nothing is computed from figures nobody typed.
 */
export function newAircraft(name: string): Aeroplane {
  return {
    schema: "utrimax/aircraft",
    version: 7,
    name,
    description: "",
    category: "single",
    speedUnit: "kt",
    mass: { maximum_kg: 1100, minimum_kg: 700, usual_kg: 1000, calibration_kg: null },
    wing: null,
    polar: null,
    engines: {
      kind: "propeller",
      count: 1,
      fuelSystem: "carburettor",
      power_W: 119_300,
      speed_rpm: 2700,
      criticalHeight_m: null,
      propeller: {
        diameter_m: 1.9,
        efficiency: 0.75,
        rotation: [1],
        pFactor: null,
        slipstreamRoll: null,
        localChord_m: null,
      },
      thrustLine: null,
      liquidCooled: false,
    },
    handbook: {
      mass_kg: 1100,
      vs0_mps: null,
      vs1_mps: null,
      vbg_mps: null,
      bestGlideRatio: null,
      vx_mps: null,
      vy_mps: null,
      vyse_mps: null,
      vsse_mps: null,
      vxse_mps: null,
      oneEngineClimb: null,
      takeOffRun_m: null,
      takeOff15_m: null,
      climb_mps: null,
      landingRun_m: null,
      landing15_m: null,
      glidePoints: [],
      glidePropeller: "windmilling",
    },
    limits: {
      vne_mps: null,
      va_mps: null,
      vlo_mps: null,
      vle_mps: null,
      vfe_mps: [],
      loadFactor: 3.8,
      loadFactorFlap: 2,
    },
    climb: null,
    asymmetric: null,
    relight: null,
    coolant: null,
    dynamics: null,
    causeFlow: null,
    airspeedCalibration: null,
    loading: null,
  };
}
