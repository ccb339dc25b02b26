import { type Outcome, failure, success } from "../outcome";
import { MPS_PER_KT } from "../quantities/constants";
import { type Autorotation, autorotationAt, bestRangeAutorotation, leastSinkAutorotation } from "./autorotation";
import { type AutorotationLanding, autorotationLanding } from "./autorotation-landing";
import type { HelicopterQuestion } from "./helicopter-question";
import { helicopterCase } from "./helicopter-case";
import { livePower } from "./hover-on-one";
import { type WayDown, wayDown } from "./way-down";
import { bestRangeSpeed_mps, leastPowerSpeed_mps, levelPower_W } from "./speeds-of-power";

/** Autorotation at two rotor speeds: the nominal one, and a little less, which carries farther. */
export interface Autorotations {
  readonly curves: readonly { readonly nr: number; readonly curve: readonly Autorotation[] }[];
  readonly least: Autorotation;
  readonly best: Autorotation;
}

/** Rotor speeds that are shown. */
const SHOWN_NR = [1, 0.95];
const SPEEDS_MPS = Array.from({ length: 25 }, (_, i) => i * 5 * MPS_PER_KT);

/** @see Autorotations */
export function autorotations(question: HelicopterQuestion): Outcome<Autorotations> {
  const flight = helicopterCase(question);
  if (!flight.ok) return flight;
  const [least, best] = [leastSinkAutorotation(flight.value), bestRangeAutorotation(flight.value)];
  if (!least || !best) return failure("no_autorotation", "At no speed does the air turn this rotor.", "aircraft");
  return success({
    least,
    best,
    curves: SHOWN_NR.map((nr) => ({
      nr,
      curve: SPEEDS_MPS.flatMap((tas) => autorotationAt(flight.value, tas, nr) ?? []),
    })),
  });
}

/** Power of level flight against what the engines give. */
export interface PowerBySpeed {
  readonly curve: readonly { readonly tas_mps: number; readonly shaft_W: number }[];
  /** Of one engine fewer, by rating; empty for a helicopter with one. */
  readonly ratings: readonly { readonly name: string; readonly power_W: number }[];
  readonly leastPower_mps: number;
  readonly bestRange_mps: number;
}

/** @see PowerBySpeed */
export function powerBySpeed(question: HelicopterQuestion): Outcome<PowerBySpeed> {
  const flight = helicopterCase(question);
  if (!flight.ok) return flight;
  return success({
    curve: SPEEDS_MPS.map((tas_mps) => ({ tas_mps, shaft_W: levelPower_W(flight.value, tas_mps) })),
    ratings:
      question.aircraft.engines.count < 2
        ? []
        : question.aircraft.engines.ratings.map((rating) => ({
            name: rating.name,
            power_W: livePower(flight.value, rating).power_W,
          })),
    leastPower_mps: leastPowerSpeed_mps(flight.value),
    bestRange_mps: bestRangeSpeed_mps(flight.value),
  });
}

/** A way down without engines that is looked at. */
export interface DownAsked extends HelicopterQuestion {
  readonly tas_mps: number;
  readonly headwind_mps: number;
  readonly school: "least-sink" | "best-range";
  /** Above the place of landing. */
  readonly height_m: number;
}

/** How it is flown, and what it is from this height. */
export interface Down {
  readonly landing: AutorotationLanding;
  readonly way: WayDown;
}

/** Down without engines. */
export function autorotationDown({ tas_mps, headwind_mps, school, height_m, ...question }: DownAsked): Outcome<Down> {
  const flight = helicopterCase(question);
  if (!flight.ok) return flight;
  const landing = autorotationLanding(flight.value, tas_mps, headwind_mps, school);
  return landing.ok ? success({ landing: landing.value, way: wayDown(landing.value, height_m) }) : landing;
}
