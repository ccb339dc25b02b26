import { type HelicopterCase } from "./helicopter-case";
import { DOWNLOAD, type RotorPower, mainPower_W, rotorPower, shaftPower_W } from "./shaft-power";
import { hoverShare } from "./induced-velocity";

/** Rounds in which thrust and download settle; each brings a factor of about thirty. */
const ROUNDS = 8;

/** Steady flight of a helicopter. */
export interface SteadyState {
  /** Horizontal, through the air; 0 to 100 m/s. */
  readonly tas_mps: number;
  /** Rate of climb, −40 to 20 m/s. */
  readonly climb_mps: number;
  /** Height of the skids; null out of ground effect. */
  readonly skids_m: number | null;
  /** Rotor speed over the nominal one. */
  readonly nr: number;
}

/** In the hover without wind, at nominal rotor speed. */
export const HOVER: SteadyState = { tas_mps: 0, climb_mps: 0, skids_m: null, nr: 1 };

/** What steady flight takes. */
export interface SteadyPower {
  readonly shaft_W: number;
  readonly main_W: number;
  readonly rotor: RotorPower;
  readonly thrust_N: number;
  /** Disc forward of level. */
  readonly tilt_rad: number;
  /** Blade loading CT/σ; the rotor stalls at the document's greatest. */
  readonly ctSigma: number;
}

/**
 * Thrust, tilt and power of steady flight: the thrust carries weight with the download on the fuselage, and drag
 * ½ρV·V∥·f ahead.
 *
 * @returns powers as they are computed, also where the rotor would stall: `ctSigma` tells
 * @see balance of forces in the vertical plane
 */
export function steadyPower(flight: HelicopterCase, state: SteadyState): SteadyPower {
  const { weight_N, density, blades, aircraft } = flight;
  const { tas_mps, climb_mps, skids_m, nr } = state;
  const drag_N = 0.5 * density * Math.hypot(tas_mps, climb_mps) * tas_mps * aircraft.rotor.flatPlate_m2;
  let thrust_N = weight_N;
  let tilt_rad = 0;
  for (let i = 0; i < ROUNDS; i += 1) {
    const vh = Math.sqrt(thrust_N / (2 * density * blades.discArea_m2));
    const inPlane = tas_mps * Math.cos(tilt_rad) - climb_mps * Math.sin(tilt_rad);
    const up_N = weight_N * (1 + DOWNLOAD * hoverShare(inPlane / vh));
    thrust_N = Math.hypot(up_N, drag_N);
    tilt_rad = Math.atan2(drag_N, up_N);
  }
  const rotor = rotorPower(flight, {
    thrust_N,
    inPlane_mps: tas_mps * Math.cos(tilt_rad) - climb_mps * Math.sin(tilt_rad),
    through_mps: tas_mps * Math.sin(tilt_rad) + climb_mps * Math.cos(tilt_rad),
    nr,
    hub_m: skids_m === null ? null : skids_m + aircraft.rotor.hubAboveSkids_m,
  });
  const main_W = mainPower_W(rotor);
  const tip_mps = aircraft.rotor.tipSpeed_mps * nr;
  return {
    shaft_W: shaftPower_W(main_W, tas_mps),
    main_W,
    rotor,
    thrust_N,
    tilt_rad,
    ctSigma: thrust_N / (density * blades.discArea_m2 * tip_mps ** 2 * blades.solidity),
  };
}
