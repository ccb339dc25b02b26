// Speeds by mass, for the table and the card.
import type { Aeroplane } from "@/core/aircraft/aeroplane";
import { type Configuration, cleanGlide } from "@/core/aircraft/configuration";
import { roundMasses_kg } from "@/core/aircraft/round-masses";
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

/** Rows from the highest mass down, at round masses. */
export function massRows(aircraft: Aeroplane): MassRow[] {
  const clean = cleanGlide(aircraft);
  return roundMasses_kg(aircraft.mass).flatMap((mass_kg) => rowAt(aircraft, mass_kg, clean) ?? []);
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
