// A take-off, a failure on the climb and the way back to the runway, as legs of a modelled pilot.
import type { Aeroplane } from "../aircraft/aeroplane";
import { levelStall_mps } from "../aircraft/fit-handbook";
import { type Leg, legOf } from "./pilot";

/** What is flown. */
export interface TurnBack {
  /** Above the runway, where the engine stops. */
  readonly height_m: number;
  readonly bank_rad: number;
  readonly reaction_s: number;
  /** As it is loaded; the usual mass otherwise. */
  readonly mass_kg?: number;
  /** Of the take-off, in the frame of the runway: along its own north. */
  readonly heading_rad?: number;
}

/** Rotates at so much of the stall; turns and approaches at so much of it. Common practice. */
const [ROTATES, TURNS, APPROACHES] = [1.08, 1.2, 1.3];
/** Rotation ends, and flap and gear come out, above the runway, m. */
const [ALOFT_M, FLAP_M, FLARE_M] = [15, 40, 11];
/** Past half a turn until the line is joined, rad. */
const PAST_RAD = 3.67;

/**
 * The legs: brakes, run, rotation, climb, reaction, turn, back to the line, final, flare, roll.
 *
 * @param aircraft - with one engine
 */
export function turnBackLegs(aircraft: Aeroplane, of: TurnBack): Leg[] {
  const mass_kg = of.mass_kg ?? aircraft.mass.usual_kg;
  const heading_rad = of.heading_rad ?? 0;
  const { polar, handbook, wing } = aircraft;
  const stall = (flap: number) => levelStall_mps(mass_kg, wing?.area_m2 ?? 1, polar?.flaps[flap]?.clMax ?? 1);
  const [takeOff, landing] = [polar?.takeOffFlap ?? 0, polar?.landingFlap ?? 0];
  const clean = stall(0);
  const glide = (handbook.vbg_mps ?? 1.3 * clean) * Math.sqrt(mass_kg / handbook.mass_kg);
  const climb = handbook.vy_mps ?? 1.4 * clean;
  const line = (rad: number, bank_rad: number): Leg["lateral"] => ({
    hold: "line",
    north_m: 0,
    east_m: 0,
    heading_rad: rad,
    bank_rad,
  });
  const out = (bank: number) => line(heading_rad, bank);
  const back = (bank: number) => line((heading_rad + Math.PI) % (2 * Math.PI), bank);
  const pitch = (pitch_rad: number): Leg["vertical"] => ({ hold: "pitch", pitch_rad });
  const speed = (speed_mps: number): Leg["vertical"] => ({ hold: "speed", speed_mps });
  const turn_mps = (TURNS * clean) / Math.sqrt(Math.cos(of.bank_rad));
  return [
    legOf({
      name: "brakes",
      vertical: pitch(0),
      lateral: out(0.3),
      until: { what: "time", value: 4 },
      throttle: [1],
      brakes: 1,
      flap: takeOff,
    }),
    legOf({
      name: "run",
      vertical: pitch(0.01),
      lateral: out(0.3),
      until: { what: "faster", value: ROTATES * stall(takeOff) },
    }),
    legOf({ name: "rotation", vertical: pitch(0.13), lateral: out(0.2), until: { what: "above", value: ALOFT_M } }),
    legOf({
      name: "climb",
      vertical: speed(climb),
      lateral: out(0.3),
      until: { what: "above", value: of.height_m },
      gearDown: false,
      flap: 0,
    }),
    legOf({
      name: "reaction",
      vertical: pitch(0.03),
      lateral: { hold: "bank", bank_rad: 0 },
      until: { what: "time", value: of.reaction_s },
      fails: [{ kind: "ignition", engine: 0 }],
    }),
    legOf({
      name: "turn",
      vertical: speed(turn_mps),
      lateral: { hold: "bank", bank_rad: of.bank_rad },
      until: { what: "turned", value: PAST_RAD },
      throttle: [0],
    }),
    legOf({ name: "back", vertical: speed(glide), lateral: back(0.5), until: { what: "below", value: FLAP_M } }),
    legOf({
      name: "final",
      vertical: speed(APPROACHES * clean),
      lateral: back(0.3),
      until: { what: "below", value: FLARE_M },
      flap: landing,
      gearDown: true,
    }),
    legOf({ name: "flare", vertical: { hold: "flare" }, lateral: back(0.1), until: { what: "touch", value: 0 } }),
    legOf({ name: "roll", vertical: pitch(0), lateral: back(0.1), until: { what: "stopped", value: 0 }, brakes: 0.8 }),
  ];
}
