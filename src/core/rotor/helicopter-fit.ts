// A helicopter's model from its book: induced power from the hover on one engine, blade drag and drag area from its
// autorotation.
import type { Helicopter } from "../aircraft/helicopter";
import type { Doubt } from "../aircraft/plausibility";
import { pressureAltitude_m } from "../air/atmosphere";
import { type Outcome, failure, success } from "../outcome";
import { P0_PA } from "../quantities/constants";
import { autorotationAt, bestRangeAutorotation, leastSinkAutorotation } from "./autorotation";
import { type BookResidual, type FitFactor, bookRows, discDoubts, fitRounds, speedDoubts } from "./fit-rounds";
import { type HelicopterCase, helicopterCase, withMass } from "./helicopter-case";
import { greatestMass_kg, livePower } from "./hover-on-one";
import { leastPowerSpeed_mps } from "./speeds-of-power";
import { HOVER, steadyPower } from "./steady-power";

/** Ranges in which the factors are met with. */
const INDUCED = [1, 1.45] as const;
const BLADE_DRAG = [0.5, 2.5] as const;
const FLAT_PLATE_OF_DISC = [0.003, 0.06] as const;
/** Factors beyond these are told: 1.1 to 1.25 and 0.8 to 1.5 are usual. Common practice. */
const USUAL_INDUCED = [1.08, 1.3] as const;
const USUAL_BLADES = [0.7, 1.6] as const;

/** The fit. */
export interface HelicopterFit {
  readonly fitted: Helicopter;
  readonly residuals: readonly BookResidual[];
  readonly doubts: readonly Doubt[];
}

const withRotor = (aircraft: Helicopter, patch: Partial<Helicopter["rotor"]>): Helicopter => ({
  ...aircraft,
  rotor: { ...aircraft.rotor, ...patch },
});

/** At sea level in standard air, at any mass. */
function standardCase(aircraft: Helicopter, mass_kg: number): HelicopterCase {
  const ready = helicopterCase({
    aircraft,
    mass_kg: aircraft.mass.usual_kg,
    altitude_m: 0,
    air: { qnh_Pa: P0_PA, deviation_K: 0 },
  });
  if (!ready.ok) throw new Error(`standardCase: expected its usual mass to be one, got ${ready.issue.message}`);
  return withMass(ready.value, mass_kg);
}

/** What the book's hover on one engine is about, with the power that its rating gives. */
function hoverBook(aircraft: Helicopter) {
  const book = aircraft.handbook.oneEngineHover;
  const rating = aircraft.engines.ratings.find(({ name }) => name === book?.rating);
  if (!book || !rating || aircraft.engines.count < 2) return null;
  const ready = helicopterCase({
    aircraft,
    mass_kg: aircraft.mass.usual_kg,
    altitude_m: book.altitude_m - pressureAltitude_m(P0_PA),
    air: { qnh_Pa: P0_PA, deviation_K: book.deviation_K },
  });
  if (!ready.ok) return null;
  const state = { ...HOVER, skids_m: book.skids_m };
  return { book, rating, flight: ready.value, state, power_W: livePower(ready.value, rating).power_W };
}

function factorsOf(aircraft: Helicopter): FitFactor<Helicopter>[] {
  const { handbook, rotor } = aircraft;
  const disc_m2 = Math.PI * rotor.radius_m ** 2;
  const factors: FitFactor<Helicopter>[] = [];
  const hover = hoverBook(aircraft);
  if (hover)
    factors.push({
      low: INDUCED[0],
      high: INDUCED[1],
      with: (model, inducedFactor) => withRotor(model, { inducedFactor }),
      figure: (model) =>
        steadyPower(
          withMass({ ...hover.flight, aircraft: model, blades: bladesAs(hover.flight, model) }, hover.book.mass_kg),
          hover.state,
        ).shaft_W,
      target: hover.power_W,
    });
  const { leastSinkSpeed_mps, leastSink_mps, bestRangeSpeed_mps, bestRangeRatio, mass_kg } = handbook;
  if (leastSinkSpeed_mps !== null && leastSink_mps !== null)
    factors.push({
      low: BLADE_DRAG[0],
      high: BLADE_DRAG[1],
      with: (model, bladeDragFactor) => withRotor(model, { bladeDragFactor }),
      figure: (model) => autorotationAt(standardCase(model, mass_kg), leastSinkSpeed_mps)?.sink_mps ?? Infinity,
      target: leastSink_mps,
    });
  if (bestRangeSpeed_mps !== null && bestRangeRatio !== null)
    factors.push({
      low: FLAT_PLATE_OF_DISC[0] * disc_m2,
      high: FLAT_PLATE_OF_DISC[1] * disc_m2,
      with: (model, flatPlate_m2) => withRotor(model, { flatPlate_m2 }),
      figure: (model) => autorotationAt(standardCase(model, mass_kg), bestRangeSpeed_mps)?.sink_mps ?? Infinity,
      target: bestRangeSpeed_mps / bestRangeRatio,
    });
  return factors;
}

/** The rotor of a model that is being fitted, in the air of a case that was made ready before. */
const bladesAs = ({ blades }: HelicopterCase, { rotor }: Helicopter) => ({
  ...blades,
  dragFactor: rotor.bladeDragFactor,
});

/** What the model makes of each figure that the book prints. */
export function helicopterResiduals(aircraft: Helicopter): BookResidual[] {
  const { handbook } = aircraft;
  const flight = standardCase(aircraft, handbook.mass_kg);
  const { rows, row } = bookRows();
  const hover = hoverBook(aircraft);
  if (hover)
    row(
      `hovers on one engine, ${hover.rating.name}`,
      "mass",
      hover.book.mass_kg,
      greatestMass_kg(hover.flight, hover.state, hover.power_W),
      true,
    );
  const { leastSinkSpeed_mps, leastSink_mps, bestRangeSpeed_mps, bestRangeRatio, vy_mps } = handbook;
  const least = leastSinkAutorotation(flight);
  const best = bestRangeAutorotation(flight);
  if (leastSinkSpeed_mps !== null)
    row(
      "sink at the book’s speed of least sink",
      "verticalSpeed",
      leastSink_mps,
      autorotationAt(flight, leastSinkSpeed_mps)?.sink_mps,
      true,
    );
  row("speed of least sink", "speed", leastSinkSpeed_mps, least?.tas_mps);
  if (bestRangeSpeed_mps !== null)
    row(
      "ratio at the book’s speed of best range",
      "ratio",
      bestRangeRatio,
      autorotationAt(flight, bestRangeSpeed_mps)?.ratio,
      true,
    );
  row("speed of best range", "speed", bestRangeSpeed_mps, best?.tas_mps);
  row("V_Y, speed of least power", "speed", vy_mps, leastPowerSpeed_mps(flight));
  return rows;
}

/** What looks wrong about a helicopter's figures, against each other and against the model. */
function doubtsOf(aircraft: Helicopter, residuals: readonly BookResidual[]): Doubt[] {
  const { handbook, mass, rotor } = aircraft;
  const doubts: Doubt[] = [];
  const tell = (path: string, message: string) => doubts.push({ path, message });
  if (!(handbook.mass_kg <= mass.maximum_kg && handbook.mass_kg >= mass.minimum_kg))
    tell("handbook.mass_kg", "The handbook’s speeds are printed for a mass that this aircraft cannot have.");
  doubts.push(...discDoubts(mass.maximum_kg, rotor.radius_m, [10, 75]));
  if (!(rotor.inducedFactor >= USUAL_INDUCED[0] && rotor.inducedFactor <= USUAL_INDUCED[1]))
    tell(
      "handbook.oneEngineHover",
      "The hover on one engine asks for an induced power that is not met with: check its mass, air and rating.",
    );
  if (!(rotor.bladeDragFactor >= USUAL_BLADES[0] && rotor.bladeDragFactor <= USUAL_BLADES[1]))
    tell(
      "handbook.leastSink_mps",
      "The sink in autorotation asks for blade drag that is not met with: check speed, rate and mass.",
    );
  doubts.push(...speedDoubts(residuals));
  const { leastSinkSpeed_mps, bestRangeSpeed_mps } = handbook;
  if (leastSinkSpeed_mps !== null && bestRangeSpeed_mps !== null && !(leastSinkSpeed_mps < bestRangeSpeed_mps))
    tell("handbook.leastSinkSpeed_mps", "Least sink is flown slower than best range.");
  return doubts;
}

/** What looks wrong about a helicopter as it is. */
export function helicopterDoubts(aircraft: Helicopter): Doubt[] {
  return doubtsOf(aircraft, helicopterResiduals(aircraft));
}

/**
 * The model that has the book's figures.
 *
 * @returns `nothing_printed` where the book says nothing that a factor is set by
 * @see least squares is not needed: three figures, three factors, each moved most by its own
 */
export function fitHelicopter(aircraft: Helicopter): Outcome<HelicopterFit> {
  const factors = factorsOf(aircraft);
  if (factors.length === 0)
    return failure(
      "nothing_printed",
      "Give the hover on one engine, or the speed and sink of autorotation, and the model is fitted to them.",
      "handbook",
    );
  const fitted = fitRounds(aircraft, factors);
  const residuals = helicopterResiduals(fitted);
  return success({ fitted, residuals, doubts: doubtsOf(fitted, residuals) });
}
