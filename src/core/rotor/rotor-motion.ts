// A helicopter as a point mass in the vertical plane with a rotor that stores energy and an engine that lags.
import type { Rating } from "../aircraft/helicopter";
import type { HelicopterCase } from "./helicopter-case";
import { SECTION_SLOPE } from "./blade-drag";
import { bladeThrust_N } from "./blade-thrust";
import { livePower } from "./hover-on-one";
import { DOWNLOAD, type RotorPower, mainPower_W, rotorPower, shaftPower_W } from "./shaft-power";
import type { SteadyPower } from "./steady-power";

/** First-order lag of an engine that takes up the load, s. Typical of the class. */
export const ENGINE_LAG_S = 0.9;
/** How fast the disc is tilted, rad/s: 8 degrees a second. */
export const TILT_RATE = (8 * Math.PI) / 180;
/** Rotor speed that the collective holds, and how fast it is brought there, s. */
const [NR_HELD, NR_TIME_S] = [0.98, 0.5];
/** Least thrust that is commanded, share of weight: a rotor is not unloaded. */
const LEAST_THRUST = 0.05;
/** Most rounds in which the thrust that a power gives is found, and how near, share of that power. */
const [MOST, CLOSE] = [40, 1e-7];
/** Rounds in which frozen blades and their inflow settle. */
const ROUNDS = 12;

/** Where it is and what turns. */
export interface Motion {
  readonly time_s: number;
  /** Horizontal, through the air. */
  readonly tas_mps: number;
  readonly climb_mps: number;
  /** From where it began, up positive. */
  readonly height_m: number;
  /** Through the air. */
  readonly along_m: number;
  readonly nr: number;
  readonly tilt_rad: number;
  /** Of the live engines. */
  readonly engine_W: number;
  /** What the engines have given and what has gone, for the audit of energy. */
  readonly given_J: number;
  readonly lost_J: number;
}

/** What the pilot does at a moment: blades frozen at a pitch, or the collective holding rotor speed; disc to a tilt. */
export interface RotorControl {
  readonly pitch_rad: number | null;
  readonly tilt_rad: number;
  /** Of the live engines; null where they do not answer. */
  readonly rating: Rating | null;
}

const nominal_radps = ({ aircraft: { rotor } }: HelicopterCase) => rotor.tipSpeed_mps / rotor.radius_m;

/** Blade pitch of a steady state, rad: thrust of the blade element. */
export function pitchOf(flight: HelicopterCase, steady: SteadyPower, tas_mps: number): number {
  const { density, blades, aircraft } = flight;
  const tip = aircraft.rotor.tipSpeed_mps;
  const through = tas_mps * Math.sin(steady.tilt_rad);
  const mu = (tas_mps * Math.cos(steady.tilt_rad)) / tip;
  const loading = steady.thrust_N / (0.5 * density * blades.solidity * SECTION_SLOPE * blades.discArea_m2 * tip * tip);
  return (loading + (through + steady.rotor.induced_mps) / tip / 2) / (1 / 3 + (mu * mu) / 2);
}

/** Air at the disc. */
const discAir = ({ tas_mps, climb_mps, tilt_rad }: Motion) => ({
  through_mps: tas_mps * Math.sin(tilt_rad) + climb_mps * Math.cos(tilt_rad),
  inPlane_mps: tas_mps * Math.cos(tilt_rad) - climb_mps * Math.sin(tilt_rad),
});

/** Greatest thrust before the blades stall, N. */
export function stallThrust_N({ density, blades, aircraft: { rotor } }: HelicopterCase, nr: number): number {
  return rotor.ctSigmaMax * blades.solidity * density * blades.discArea_m2 * (rotor.tipSpeed_mps * nr) ** 2;
}

/** Thrust of blades at a frozen pitch, N. */
function frozenThrust_N(flight: HelicopterCase, motion: Motion, pitch_rad: number): number {
  const { aircraft, weight_N } = flight;
  const tip = aircraft.rotor.tipSpeed_mps * motion.nr;
  const air = discAir(motion);
  let thrust_N = weight_N;
  for (let i = 0; i < ROUNDS; i += 1) {
    const { induced_mps } = rotorPower(flight, { thrust_N, ...air, nr: motion.nr, hub_m: null });
    const blade = bladeThrust_N(flight, pitch_rad, air, induced_mps, tip);
    thrust_N = (thrust_N + Math.max(blade, LEAST_THRUST * weight_N)) / 2;
  }
  return Math.min(thrust_N, stallThrust_N(flight, motion.nr));
}

/** Thrust that takes a shaft power and no more, N: what the collective makes of it when it holds rotor speed. */
function thrustOfPower_N(flight: HelicopterCase, motion: Motion, shaft_W: number): number {
  const air = discAir(motion);
  const takes = (thrust_N: number) =>
    shaftPower_W(mainPower_W(rotorPower(flight, { thrust_N, ...air, nr: motion.nr, hub_m: null })), motion.tas_mps);
  let [low, high] = [LEAST_THRUST * flight.weight_N, stallThrust_N(flight, motion.nr)];
  let [below, above] = [takes(low) - shaft_W, takes(high) - shaft_W];
  if (above <= 0) return high;
  if (below >= 0) return low;
  // False position; the end that stays is halved, so that both come in.
  for (let i = 0; i < MOST; i += 1) {
    const middle = (low * above - high * below) / (above - below);
    const value = takes(middle) - shaft_W;
    if (Math.abs(value) < CLOSE * Math.abs(shaft_W)) return middle;
    if (value < 0) {
      if (middle === low) return middle;
      [low, below, above] = [middle, value, above / 2];
    } else [high, above, below] = [middle, value, below / 2];
  }
  return low;
}

interface Rates {
  readonly tas: number;
  readonly climb: number;
  readonly nr: number;
  readonly tilt: number;
  readonly engine: number;
  readonly lost: number;
}

/** What goes to induced and profile drag, tail rotor, gearbox and accessories, W. */
const losses_W = (power: RotorPower, tas_mps: number) => shaftPower_W(mainPower_W(power), tas_mps) - power.thrust_W;

function ratesOf(flight: HelicopterCase, motion: Motion, control: RotorControl): Rates {
  const { density, aircraft, weight_N, mass_kg } = flight;
  const { tas_mps, climb_mps, nr, tilt_rad, engine_W } = motion;
  const omega = nominal_radps(flight);
  const limit_W = control.rating === null ? engine_W : livePower(flight, control.rating, nr).power_W;
  const air = discAir(motion);
  const inertia = aircraft.rotor.polarInertia_kgm2 * omega * omega;
  const thrust_N =
    control.pitch_rad !== null
      ? frozenThrust_N(flight, motion, control.pitch_rad)
      : thrustOfPower_N(flight, motion, engine_W - (inertia * nr * (NR_HELD - nr)) / NR_TIME_S);
  const power = rotorPower(flight, { thrust_N, ...air, nr, hub_m: null });
  const shaft_W = shaftPower_W(mainPower_W(power), tas_mps);
  const speed = Math.hypot(tas_mps, climb_mps);
  const drag = 0.5 * density * speed * aircraft.rotor.flatPlate_m2;
  const up_N = (thrust_N * Math.cos(tilt_rad)) / (1 + DOWNLOAD * power.share);
  const downloaded_N = thrust_N * Math.cos(tilt_rad) - up_N;
  return {
    tas: (thrust_N * Math.sin(tilt_rad) - drag * tas_mps) / mass_kg,
    climb: (up_N - weight_N - drag * climb_mps) / mass_kg,
    nr: (engine_W - shaft_W) / (inertia * nr),
    tilt: Math.sign(control.tilt_rad - tilt_rad) * TILT_RATE,
    engine: (limit_W - engine_W) / ENGINE_LAG_S,
    lost: losses_W(power, tas_mps) + downloaded_N * climb_mps + drag * speed * speed,
  };
}

function moved(motion: Motion, rates: Rates, at: Motion, control: RotorControl, step_s: number): Motion {
  const tilt_rad = motion.tilt_rad + rates.tilt * step_s;
  const past = (control.tilt_rad - motion.tilt_rad) * (control.tilt_rad - tilt_rad) < 0;
  return {
    time_s: motion.time_s + step_s,
    tas_mps: motion.tas_mps + rates.tas * step_s,
    climb_mps: motion.climb_mps + rates.climb * step_s,
    height_m: motion.height_m + at.climb_mps * step_s,
    along_m: motion.along_m + at.tas_mps * step_s,
    nr: motion.nr + rates.nr * step_s,
    tilt_rad: past ? control.tilt_rad : tilt_rad,
    engine_W: motion.engine_W + rates.engine * step_s,
    given_J: motion.given_J + at.engine_W * step_s,
    lost_J: motion.lost_J + rates.lost * step_s,
  };
}

/**
 * A step by the midpoint rule.
 *
 * @param step_s - 0.02 to 0.1: the audit of energy closes to 1e-3 with 0.05
 */
export function motionAfter(flight: HelicopterCase, motion: Motion, control: RotorControl, step_s: number): Motion {
  const middle = moved(motion, ratesOf(flight, motion, control), motion, control, step_s / 2);
  return moved(motion, ratesOf(flight, middle, control), middle, control, step_s);
}

/** Energy of body and rotor, J. */
export function energy_J(flight: HelicopterCase, motion: Motion): number {
  const { mass_kg, weight_N, aircraft } = flight;
  const omega = nominal_radps(flight) * motion.nr;
  return (
    0.5 * mass_kg * (motion.tas_mps ** 2 + motion.climb_mps ** 2) +
    weight_N * motion.height_m +
    0.5 * aircraft.rotor.polarInertia_kgm2 * omega * omega
  );
}
