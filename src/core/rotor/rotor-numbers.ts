// The numbers of a rotorcraft that a pilot carries: descents by mass, and what one engine or the push for speed takes.
import { roundMasses_kg } from "../aircraft/round-masses";
import { goldenMinimum } from "../numeric/golden-section";
import { type Outcome, failure, success } from "../outcome";
import { RECOVERY_FROM_MPS, flareSpeed_mps, gyroRecovery } from "./gyro-recovery";
import { gyroCase } from "./gyro-rotor";
import { helicopterCase } from "./helicopter-case";
import { hoverOnOne } from "./hover-on-one";
import { type RotorGlider, rotorDescent, rotorGlider } from "./rotor-descent";
import type { RotorQuestion } from "./rotor-question";
import { HOVER } from "./steady-power";

/** Bank that a descent is asked with; the straight part is what is shown. */
const BANK_RAD = 0.35;
/** Speeds of least sink searched, m/s. */
const [SLOW_MPS, FAST_MPS, CLOSE_MPS] = [5, 60, 0.02];
/** Falls faster than anything, m/s. */
const FALLS_MPS = 90;

/** Descents at one mass. */
export interface RotorMassRow {
  readonly mass_kg: number;
  readonly leastSink_mps: number;
  readonly leastSinkTas_mps: number;
  readonly bestTas_mps: number;
  readonly ratio: number;
  /** Longest rating that hovers on one engine, out of ground effect in calm air; null for none. */
  readonly hoversOn: string | null;
}

/** The numbers in the air of one altitude. */
export interface RotorNumbers {
  readonly rows: readonly RotorMassRow[];
  /** Greatest mass that hovers on one engine by rating; empty for a single. */
  readonly hovers: readonly { readonly rating: string; readonly mass_kg: number }[];
  /** Height that speed for the flare takes, by airspeed at the mass asked about; empty for helicopters. */
  readonly recoveries: readonly { readonly from_mps: number; readonly height_m: number }[];
  readonly flare_mps: number | null;
}

/**
 * The numbers.
 *
 * @returns failures of mass and height; `no_autorotation`
 */
export function rotorNumbers(question: RotorQuestion): Outcome<RotorNumbers> {
  const { aircraft } = question;
  const rows: RotorMassRow[] = [];
  for (const mass_kg of roundMasses_kg(aircraft.mass)) {
    const row = rowAt({ ...question, mass_kg });
    if (!row.ok) return row;
    rows.push(row.value);
  }
  if (aircraft.category === "gyroplane") {
    const flight = gyroCase({ ...question, aircraft });
    if (!flight.ok) return flight;
    const flare_mps = flareSpeed_mps(flight.value);
    const recoveries = RECOVERY_FROM_MPS.flatMap((from_mps) => {
      const found = gyroRecovery(flight.value, from_mps, flare_mps);
      return found.ok ? [{ from_mps, height_m: found.value.height_m + found.value.settling_m }] : [];
    });
    return success({ rows, hovers: [], recoveries, flare_mps });
  }
  const flight = helicopterCase({ ...question, aircraft });
  if (!flight.ok) return flight;
  const hover = hoverOnOne(flight.value, HOVER);
  const hovers = hover.ok
    ? hover.value.ratings.map(({ rating, greatestMass_kg }) => ({ rating: rating.name, mass_kg: greatestMass_kg }))
    : [];
  return success({ rows, hovers, recoveries: [], flare_mps: null });
}

function rowAt(question: RotorQuestion): Outcome<RotorMassRow> {
  const { aircraft, mass_kg } = question;
  const glider = rotorGlider(question);
  if (!glider.ok) return glider;
  const best = rotorDescent(glider.value, 0, BANK_RAD);
  if (!best.ok) return best;
  const least = leastSink(glider.value);
  if (!least) return failure("no_autorotation", "At no speed does the air turn this rotor.", "aircraft");
  const flight = aircraft.category === "helicopter" ? helicopterCase({ ...question, aircraft }) : null;
  const hover = flight?.ok ? hoverOnOne(flight.value, HOVER) : null;
  const on = hover?.ok ? hover.value.holdsOn : null;
  return success({
    mass_kg,
    leastSink_mps: least.sink_mps,
    leastSinkTas_mps: least.tas_mps,
    bestTas_mps: best.value.glide.tas_mps,
    ratio: best.value.glide.ratio,
    hoversOn: on === null || !hover?.ok ? null : hover.value.ratings[on].rating.name,
  });
}

function leastSink({ sink }: RotorGlider): { tas_mps: number; sink_mps: number } | null {
  const tas_mps = goldenMinimum((tas) => sink(tas, 1) ?? FALLS_MPS, SLOW_MPS, FAST_MPS, CLOSE_MPS);
  const sink_mps = sink(tas_mps, 1);
  return sink_mps === null ? null : { tas_mps, sink_mps };
}
