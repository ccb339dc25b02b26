// A flight log from its first line to its measures: read, cleaned, smoothed, its wind found, its events found, each
// measured. Not here: what a plan would have been (core/debrief has the flight beside it).
import type { Aeroplane } from "../aircraft/aeroplane";
import { cleanGlide } from "../aircraft/configuration";
import { type Polar, polarOf } from "../aircraft/polar";
import { type Outcome, success } from "../outcome";
import type { InTheAir } from "./events/airborne";
import { firstAction } from "./events/first-action";
import { type PowerOff, powerOff } from "./events/power-off";
import { type StopByHand, stopsWithin } from "./events/stops-by-hand";
import { type Turn, turns, valueAt } from "./events/turns";
import { type Figure, figure, unknown } from "./figure";
import { type Flown, type FlownDay, flown, heightSensors } from "./flown";
import { flownPart } from "./flown-part";
import type { FlightLog } from "./log";
import { type Glide, glides } from "./measure/glide";
import { type LandingMeasures, type RunwayLine, landedOn, measureLanding } from "./measure/landing";
import { type MinimumControl, minimumControl } from "./measure/minimum-control";
import { type TurnMeasures, measureTurn } from "./measure/turn";

/** What is known beside the log. */
export interface TrackDay extends FlownDay {
  readonly aircraft: Aeroplane | null;
  /** What flew where it was no aeroplane; left out, or null, for none. */
  readonly rotorcraft?: string | null;
  readonly mass_kg: number;
  readonly runways: readonly RunwayLine[];
  /** Engine stops as they are said to be; null: as they are found. */
  readonly stops: readonly StopByHand[] | null;
}

/** A turn with what it cost. */
export interface MeasuredTurn extends Turn {
  readonly measures: TurnMeasures;
}

/** An engine's stop, and what was flown after it. */
export interface Failure extends PowerOff {
  /** What the pilot calls it; null for nothing of its own. */
  readonly name: string | null;
  /** Above the ground that it was taken off from, or landed on; null in a log without either. */
  readonly height_m: Figure;
  readonly delay_s: Figure;
  readonly turns: readonly MeasuredTurn[];
  readonly glides: readonly Glide[];
  /** Height and time from the stop to the touch; null where the engine came back, or the log ends. */
  readonly toGround: { readonly height_m: Figure; readonly time_s: Figure } | null;
}

/** A stretch in the air and all that was found in it. */
export interface FoundFlight extends InTheAir {
  readonly begins_s: number;
  readonly ends_s: number;
  readonly failures: readonly Failure[];
  /** All of them: those of failures too. */
  readonly turns: readonly MeasuredTurn[];
  readonly slowed: readonly MinimumControl[];
  readonly landed: LandingMeasures | null;
}

/** @see analyse */
export interface TrackAnalysis {
  readonly flown: Flown;
  readonly flights: readonly FoundFlight[];
  /** What this log cannot tell, and what would make it known. */
  readonly notKnowable: readonly string[];
}

/** A polar of the glide that a log's aircraft flies; null where it is not known. */
function glidePolar({ aircraft, mass_kg }: TrackDay): Polar | null {
  const polar = aircraft && polarOf(aircraft, mass_kg, cleanGlide(aircraft));
  return polar?.ok ? polar.value.polar : null;
}

function failureOf(
  flown: Flown,
  air: InTheAir,
  off: PowerOff & Pick<Failure, "name">,
  all: readonly MeasuredTurn[],
): Failure {
  const { time_s, altitude_m, has } = flown;
  const end_s = off.back_s ?? air.landing?.time_s ?? time_s[time_s.length - 1];
  const ground_m = air.takeOff?.ground_m ?? air.landing?.ground_m ?? null;
  const at_m = valueAt(time_s, altitude_m, off.time_s);
  // Climbing or sinking, the moment's bound is one of height too.
  const climb = Math.abs(valueAt(time_s, flown.climb_mps, off.time_s));
  const sigma_m = Math.hypot(has.pressure ? 1 : 3, climb * off.sigma_s);
  const noGround = unknown("The log begins and ends in the air: no ground is known.");
  const sensors = heightSensors(flown);
  const { landing } = air;
  const landed = landing !== null && (off.back_s === null || off.back_s >= landing.time_s);
  return {
    ...off,
    height_m: ground_m === null ? noGround : figure(at_m - ground_m, sigma_m, ...sensors),
    delay_s: firstAction(flown, off.time_s),
    // Of a turn into which the engine stops or comes back the greater part decides.
    turns: all.filter(({ from_s, to_s }) => (from_s + to_s) / 2 > off.time_s && (from_s + to_s) / 2 < end_s),
    glides: glides(flown, off.time_s, end_s, landing?.ground_m ?? null),
    toGround:
      landed && landing
        ? {
            height_m: figure(at_m - landing.ground_m, sigma_m, ...sensors),
            time_s: figure(landing.time_s - off.time_s, Math.hypot(landing.sigma_s, off.sigma_s), ...sensors),
          }
        : null,
  };
}

/** Power taken just before the touch is a landing, not a stop: so low over the ground, m. */
const FLARE_M = 20;

function inFlare({ time_s, altitude_m }: Flown, off: PowerOff, landing: InTheAir["landing"]): boolean {
  if (!landing) return false;
  if (off.time_s > landing.time_s - 3) return true;
  return valueAt(time_s, altitude_m, off.time_s) < landing.ground_m + FLARE_M && landing.time_s - off.time_s < 30;
}

/** What the sensors of a log leave open, in sentences. */
function leftOpen({ has, wind }: Flown, day: TrackDay, polar: Polar | null): string[] {
  const open: string[] = [];
  if (!has.airspeed && !wind)
    open.push(
      "Ground values only: wind and airspeed cannot be told apart. Turn 180° at a steady speed, or give the wind.",
    );
  if (!has.height) open.push("No heights: take-off, landing, engine stops and glides are not found.");
  else if (!has.pressure) open.push("No pressure height: a touchdown is known to some seconds only.");
  if (!has.engine)
    open.push("No engine gauge: “power reduced or lost” is all that the path shows; idle by hand looks the same.");
  if (day.rotorcraft)
    open.push(
      `${day.rotorcraft} has no wing to glide by: without an engine gauge its engine stops are possible ones only.`,
    );
  else if (!day.aircraft) open.push("No aircraft chosen: engine stops are possible ones only.");
  else if (!polar) open.push(`${day.aircraft.name} has no polar at this mass: engine stops are possible ones only.`);
  if (!has.accelerometer)
    open.push("No accelerometer: a spot is missed by less than the bound of its touchdown for all that the log shows.");
  open.push("Sideslip, rudder and the first sign of a stall are not in this log.");
  return open;
}

/**
 * Analyses a log.
 *
 * @returns failures of cleaning; `too_short`
 */
export function analyse(log: FlightLog, day: TrackDay): Outcome<TrackAnalysis> {
  const found = flown(log, day);
  if (!found.ok) return found;
  const flight = found.value;
  const polar = glidePolar(day);
  const flights = flight.air.map((air): FoundFlight => {
    const part = flownPart(flight, air.from, air.to + 1);
    const all = turns(part).map((turn) => ({ ...turn, measures: measureTurn(part, turn) }));
    const landing = air.landing;
    const runway = landing && landedOn(flight, landing.time_s, day.runways);
    const [begins_s, ends_s] = [
      air.takeOff?.time_s ?? flight.time_s[air.from],
      landing?.time_s ?? flight.time_s[air.to],
    ];
    const stops = day.stops
      ? stopsWithin(day.stops, begins_s, ends_s)
      : powerOff(part, polar)
          .filter((off) => !inFlare(part, off, landing))
          .map((off) => ({ ...off, name: null }));
    return {
      ...air,
      begins_s,
      ends_s,
      failures: stops.map((off) => failureOf(part, air, off, all)),
      turns: all,
      slowed: minimumControl(part),
      landed: landing && runway ? measureLanding(flight, landing.time_s, landing.sigma_s, runway) : null,
    };
  });
  return success({ flown: flight, flights, notKnowable: leftOpen(flight, day, polar) });
}
