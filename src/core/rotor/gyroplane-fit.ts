// A gyroplane's model from its book: blade drag from the least sink, drag areas from best glide and vertical descent.
import type { Gyroplane } from "../aircraft/gyroplane";
import type { Doubt } from "../aircraft/plausibility";
import { type Outcome, failure, success } from "../outcome";
import { P0_PA } from "../quantities/constants";
import { type BookResidual, type FitFactor, bookRows, discDoubts, fitRounds, speedDoubts } from "./fit-rounds";
import { gyroBestGlide, gyroGlideAt, gyroLeastSink } from "./gyro-glide";
import { type GyroCase, gyroCase } from "./gyro-rotor";

/** Ranges in which the factors are met with. */
const BLADE_DRAG = [0.5, 2.5] as const;
const ALONG_M2 = [0.15, 4] as const;
const ACROSS_M2 = [0.2, 15] as const;
const USUAL_BLADES = [0.7, 1.6] as const;
/** A vertical descent is about that of a flat disc: drag coefficients met with. Common practice. */
const DISC_CD = [0.9, 1.6] as const;

/** The fit. */
export interface GyroplaneFit {
  readonly fitted: Gyroplane;
  readonly residuals: readonly BookResidual[];
  readonly doubts: readonly Doubt[];
}

/** At sea level in standard air, at the book's mass. */
function bookCase(aircraft: Gyroplane): GyroCase | null {
  const ready = gyroCase({
    aircraft,
    mass_kg: aircraft.handbook.mass_kg,
    altitude_m: 0,
    air: { qnh_Pa: P0_PA, deviation_K: 0 },
  });
  return ready.ok ? ready.value : null;
}

const sinkAt = (aircraft: Gyroplane, tas_mps: number): number => {
  const flight = bookCase(aircraft);
  return (flight && gyroGlideAt(flight, tas_mps, "stopped")?.sink_mps) ?? Infinity;
};

function factorsOf({ handbook }: Gyroplane): FitFactor<Gyroplane>[] {
  const { leastSinkSpeed_mps, leastSink_mps, bestGlideSpeed_mps, bestGlideRatio, verticalSink_mps } = handbook;
  const factors: FitFactor<Gyroplane>[] = [];
  if (leastSinkSpeed_mps !== null && leastSink_mps !== null)
    factors.push({
      low: BLADE_DRAG[0],
      high: BLADE_DRAG[1],
      with: (model, bladeDragFactor) => ({ ...model, rotor: { ...model.rotor, bladeDragFactor } }),
      figure: (model) => sinkAt(model, leastSinkSpeed_mps),
      target: leastSink_mps,
    });
  if (bestGlideSpeed_mps !== null && bestGlideRatio !== null)
    factors.push({
      low: ALONG_M2[0],
      high: ALONG_M2[1],
      with: (model, flatPlateAlong_m2) => ({ ...model, body: { ...model.body, flatPlateAlong_m2 } }),
      figure: (model) => sinkAt(model, bestGlideSpeed_mps),
      target: bestGlideSpeed_mps / bestGlideRatio,
    });
  if (verticalSink_mps !== null)
    factors.push({
      low: ACROSS_M2[0],
      high: ACROSS_M2[1],
      // More drag across holds it up: the figure that rises is the one that is slowed.
      with: (model, flatPlateAcross_m2) => ({ ...model, body: { ...model.body, flatPlateAcross_m2 } }),
      figure: (model) => -sinkAt(model, 0),
      target: -verticalSink_mps,
    });
  return factors;
}

/** What the model makes of each figure that the book prints. */
export function gyroplaneResiduals(aircraft: Gyroplane): BookResidual[] {
  const flight = bookCase(aircraft);
  if (!flight) return [];
  const { leastSinkSpeed_mps, leastSink_mps, bestGlideSpeed_mps, bestGlideRatio, verticalSink_mps } = aircraft.handbook;
  const { rows, row } = bookRows();
  if (leastSinkSpeed_mps !== null)
    row(
      "sink at the book’s speed of least sink",
      "verticalSpeed",
      leastSink_mps,
      gyroGlideAt(flight, leastSinkSpeed_mps, "stopped")?.sink_mps,
      true,
    );
  row("speed of least sink", "speed", leastSinkSpeed_mps, gyroLeastSink(flight, "stopped")?.tas_mps);
  if (bestGlideSpeed_mps !== null)
    row(
      "ratio at the book’s best glide",
      "ratio",
      bestGlideRatio,
      gyroGlideAt(flight, bestGlideSpeed_mps, "stopped")?.ratio,
      true,
    );
  row("speed of best glide", "speed", bestGlideSpeed_mps, gyroBestGlide(flight, "stopped")?.tas_mps);
  row("vertical descent", "verticalSpeed", verticalSink_mps, gyroGlideAt(flight, 0, "stopped")?.sink_mps, true);
  return rows;
}

function doubtsOf(aircraft: Gyroplane, residuals: readonly BookResidual[]): Doubt[] {
  const { handbook, mass, rotor } = aircraft;
  const doubts: Doubt[] = [];
  const tell = (path: string, message: string) => doubts.push({ path, message });
  const flight = bookCase(aircraft);
  if (!flight)
    tell("handbook.mass_kg", "The handbook’s figures are printed for a mass that this aircraft cannot have.");
  doubts.push(...discDoubts(mass.maximum_kg, rotor.radius_m, [3, 20]));
  if (!(rotor.bladeDragFactor >= USUAL_BLADES[0] && rotor.bladeDragFactor <= USUAL_BLADES[1]))
    tell(
      "handbook.leastSink_mps",
      "The least sink asks for blade drag that is not met with: check speed, rate and mass.",
    );
  if (flight && handbook.verticalSink_mps !== null) {
    const cd = (2 * flight.weight_N) / (flight.density * handbook.verticalSink_mps ** 2 * flight.blades.discArea_m2);
    if (!(cd >= DISC_CD[0] && cd <= DISC_CD[1]))
      tell(
        "handbook.verticalSink_mps",
        `The vertical descent is that of a disc with a drag coefficient of ${cd.toFixed(1)}; about 1.2 is met with.`,
      );
  }
  doubts.push(...speedDoubts(residuals));
  return doubts;
}

/** What looks wrong about a gyroplane as it is. */
export function gyroplaneDoubts(aircraft: Gyroplane): Doubt[] {
  return doubtsOf(aircraft, gyroplaneResiduals(aircraft));
}

/**
 * The model that has the book's figures.
 *
 * @returns `nothing_printed` where the book says nothing that a factor is set by; `mass_outside`
 */
export function fitGyroplane(aircraft: Gyroplane): Outcome<GyroplaneFit> {
  const factors = factorsOf(aircraft);
  if (factors.length === 0)
    return failure(
      "nothing_printed",
      "Give speed and sink of a glide, or the vertical descent, and the model is fitted to them.",
      "handbook",
    );
  if (!bookCase(aircraft))
    return failure("mass_outside", "The handbook’s mass is not one that this aircraft can have.", "handbook.mass_kg");
  const fitted = fitRounds(aircraft, factors);
  const residuals = gyroplaneResiduals(fitted);
  return success({ fitted, residuals, doubts: doubtsOf(fitted, residuals) });
}
