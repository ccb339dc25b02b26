// Speeds by mass, for the table and the card.
import type { Aeroplane } from "@/core/aircraft/aeroplane";
import { type Configuration, cleanGlide } from "@/core/aircraft/configuration";
import { polarOf, stallSpeed_mps } from "@/core/aircraft/polar";
import { bestGlide, leastSink } from "@/core/glide/straight-glide";

/** One mass. Equivalent airspeeds. */
export interface MassRow {
  readonly mass_kg: number;
  readonly vs1_mps: number;
  readonly vs0_mps: number | null;
  readonly leastSink_mps: number;
  readonly best_mps: number;
  readonly ratio: number;
}

/** Rows from the highest mass down: about seven, at round masses. */
export function massRows(aircraft: Aeroplane): MassRow[] {
  const { maximum_kg, minimum_kg } = aircraft.mass;
  const rough = (maximum_kg - minimum_kg) / 6;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((factor) => factor * power).find((candidate) => candidate >= rough) ?? 10 * power;
  const masses = new Set([maximum_kg]);
  for (let mass = Math.floor(maximum_kg / step) * step; mass > minimum_kg; mass -= step) masses.add(mass);
  masses.add(minimum_kg);
  const clean = cleanGlide(aircraft);
  return [...masses].sort((a, b) => b - a).flatMap((mass_kg) => rowAt(aircraft, mass_kg, clean) ?? []);
}

function rowAt(aircraft: Aeroplane, mass_kg: number, clean: Configuration): MassRow | null {
  const configured = polarOf(aircraft, mass_kg, clean);
  if (!configured.ok) return null;
  const landing = polarOf(aircraft, mass_kg, { ...clean, flap: aircraft.polar?.landingFlap ?? 0 });
  const best = bestGlide(configured.value.polar);
  return {
    mass_kg,
    vs1_mps: stallSpeed_mps(configured.value.polar),
    vs0_mps: landing.ok ? stallSpeed_mps(landing.value.polar) : null,
    leastSink_mps: leastSink(configured.value.polar).eas_mps,
    best_mps: best.eas_mps,
    ratio: best.ratio,
  };
}
