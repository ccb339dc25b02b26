// A twin fitted to what its book says of one engine: the rudder is anchored on the published minimum control speed, the
// power on the climb. What the book's other speeds then come out as stands beside them.
import type { Aeroplane } from "../aircraft/aeroplane";
import type { Residual } from "../aircraft/fit-handbook";
import { asymmetricCase } from "../asymmetric/anchored-case";
import type { AsymmetricCase } from "../asymmetric/asymmetric-case";
import type { AsymmetricQuestion } from "../asymmetric/asymmetric-question";
import { bestPropeller } from "../asymmetric/climb-ledger";
import { oneEngineSpeeds, zeroSideslip } from "../asymmetric/one-engine-climb";
import { vmca } from "../asymmetric/vmca";
import { bisect } from "../numeric/bisect";
import { type Outcome, failure, success } from "../outcome";
import { radians } from "../quantities/angle";
import { P0_PA } from "../quantities/constants";

/** A twin with its engines fitted. */
export interface TwinFit {
  readonly aircraft: Aeroplane;
  /** What was fitted: the propellers' efficiency, or a jet's thrust in newtons; null without a printed climb. */
  readonly fitted: { readonly what: "efficiency" | "thrust"; readonly value: number } | null;
  /** The book beside the fitted model. */
  readonly residuals: readonly Residual[];
  /** What looks wrong, in a pilot's words. */
  readonly doubts: readonly string[];
}

/** Between these the power is looked for, as shares of what the document says; more is no fit any more. */
const [LEAST, MOST] = [0.3, 2];
const HALVINGS = 30;
/** Efficiencies that propellers are met with. Common practice. */
const EFFICIENCIES = [0.6, 0.88] as const;
/** A jet's installed thrust over its rating. Common practice. */
const INSTALLED = [0.75, 1.05] as const;
/** A speed this far from the book's, as a share, is pointed at. */
const SPEED_OFF = 0.08;
/** Bank at which V_MCA is published. 14 CFR 23.149 as it was before 2017 (memory). */
const VMCA_BANK_RAD = radians(5);

/** The document with its power multiplied; null for engines that are none of two. */
function withPower(aircraft: Aeroplane, factor: number): Aeroplane | null {
  const { engines } = aircraft;
  if (engines.kind === "propeller")
    return {
      ...aircraft,
      engines: { ...engines, propeller: { ...engines.propeller, efficiency: engines.propeller.efficiency * factor } },
    };
  return engines.kind === "jet" ? { ...aircraft, engines: { ...engines, thrust_N: engines.thrust_N * factor } } : null;
}

/** One engine stopped, everything mended, in standard air. */
function mended(aircraft: Aeroplane, mass_kg: number, altitude_m: number): AsymmetricQuestion {
  const question: AsymmetricQuestion = {
    aircraft,
    mass_kg,
    centreOfGravity: 1,
    altitude_m,
    air: { qnh_Pa: P0_PA, deviation_K: 0 },
    flap: 0,
    gearDown: false,
    items: [],
    deadPropeller: "none",
    failed: "left",
    setting: aircraft.engines.kind === "jet" ? aircraft.engines.maxContinuous : 1,
  };
  return { ...question, deadPropeller: bestPropeller(question) };
}

/** Climb on one engine at the book's speed, or at the model's best where the book has none. */
function climbOf(flight: AsymmetricCase, vyse_mps: number | null): number {
  if (vyse_mps === null) return oneEngineSpeeds(flight).rate.climb_mps;
  return zeroSideslip(flight, vyse_mps)?.climb_mps ?? -Infinity;
}

/**
 * Fits a twin's power to its climb on one engine, and holds the rest of what its book says of one engine against the
 * model.
 *
 * @returns `not_a_twin`, failures of the case (`no_anchor` where no rudder makes the published V_MCA);
 *   `climb_impossible` when no power makes the printed climb
 */
export function fitTwin(aircraft: Aeroplane): Outcome<TwinFit> {
  const { handbook, asymmetric } = aircraft;
  if (!asymmetric || !aircraft.wing || !aircraft.polar)
    return failure("not_a_twin", "The fit needs V_MCA, the wing, and the fit to the glide.", "asymmetric");
  const printed = handbook.oneEngineClimb;
  let best = aircraft;
  if (printed) {
    const climbs = (factor: number): Outcome<number> => {
      const with_ = withPower(aircraft, factor);
      if (!with_) return failure("not_a_twin", "The fit needs two engines with propellers or jets.", "engines");
      const flight = asymmetricCase(mended(with_, printed.mass_kg, printed.altitude_m));
      return flight.ok ? success(climbOf(flight.value, handbook.vyse_mps)) : flight;
    };
    const plain = climbs(1);
    if (!plain.ok) return plain;
    const short = (factor: number) => {
      const climb = climbs(factor);
      return !climb.ok || climb.value < printed.climb_mps;
    };
    const most =
      aircraft.engines.kind === "propeller" ? Math.min(MOST, 1 / aircraft.engines.propeller.efficiency) : MOST;
    if (!short(LEAST) || short(most))
      return failure(
        "climb_impossible",
        "No power makes this climb on one engine: check the climb, its mass, V_YSE and the power.",
        "handbook.oneEngineClimb",
      );
    const { low, high } = bisect(short, LEAST, most, HALVINGS);
    best = withPower(aircraft, (low + high) / 2) ?? aircraft;
  }
  return held(aircraft, best);
}

/** The book beside the fitted model. */
function held(before: Aeroplane, aircraft: Aeroplane): Outcome<TwinFit> {
  const { handbook, engines, asymmetric, mass } = aircraft;
  const printed = handbook.oneEngineClimb;
  const flight = asymmetricCase(mended(aircraft, handbook.mass_kg, 0));
  if (!flight.ok) return flight;
  const speeds = oneEngineSpeeds(flight.value);
  const residuals: Residual[] = [];
  const add = (name: string, book: number | null, model: number | null) => {
    if (book !== null && model !== null && Number.isFinite(model)) residuals.push({ name, unit: "m/s", book, model });
  };
  if (printed) {
    const there = asymmetricCase(mended(aircraft, printed.mass_kg, printed.altitude_m));
    add("climb on one engine", printed.climb_mps, there.ok ? climbOf(there.value, handbook.vyse_mps) : null);
  }
  add("V_YSE", handbook.vyse_mps, speeds.rate.eas_mps);
  add("V_XSE", handbook.vxse_mps, speeds.angle.eas_mps);
  const certified = asymmetricCase({
    ...mended(aircraft, mass.calibration_kg ?? mass.minimum_kg, 0),
    flap: aircraft.polar?.takeOffFlap ?? 0,
    deadPropeller: engines.kind === "jet" ? "none" : "windmilling",
    setting: 1,
  });
  if (certified.ok) add("V_MCA", asymmetric?.publishedVmca_mps ?? null, vmca(certified.value, VMCA_BANK_RAD).eas_mps);
  const fitted =
    printed === null
      ? null
      : engines.kind === "propeller"
        ? { what: "efficiency" as const, value: engines.propeller.efficiency }
        : engines.kind === "jet"
          ? { what: "thrust" as const, value: engines.thrust_N }
          : null;
  return success({ aircraft, fitted, residuals, doubts: doubtsOf(before, aircraft, residuals) });
}

function doubtsOf(
  before: Aeroplane,
  { engines, handbook, asymmetric }: Aeroplane,
  residuals: readonly Residual[],
): string[] {
  const doubts: string[] = [];
  if (engines.kind === "propeller") {
    const { efficiency } = engines.propeller;
    if (!(efficiency >= EFFICIENCIES[0] && efficiency <= EFFICIENCIES[1]))
      doubts.push(
        `The climb asks for a propeller efficiency of ${efficiency.toFixed(2)}; ${EFFICIENCIES[0]} to ${EFFICIENCIES[1]} is usual: check the climb, its mass and height, and the power.`,
      );
  }
  if (engines.kind === "jet" && before.engines.kind === "jet") {
    const share = engines.thrust_N / before.engines.thrust_N;
    if (!(share >= INSTALLED[0] && share <= INSTALLED[1]))
      doubts.push(
        `The climb asks for ${Math.round(share * 100)} % of the rated thrust; ${INSTALLED[0] * 100} to ${INSTALLED[1] * 100} % is usual: check the climb, its mass and height.`,
      );
  }
  const off = residuals.find(({ name, book, model }) => name === "V_YSE" && Math.abs(model / book - 1) > SPEED_OFF);
  if (off)
    doubts.push(
      "The model’s V_YSE is not the book’s: it follows from drag, mass and power, not from the speed that is printed. The stages show the model’s; fly the book’s. If they differ much, best glide speed and ratio or the wing are not right.",
    );
  const { vs1_mps, vsse_mps } = handbook;
  const vmca_mps = asymmetric?.publishedVmca_mps ?? null;
  if (vmca_mps !== null && vs1_mps !== null && !(vmca_mps >= 0.65 * vs1_mps && vmca_mps <= 1.5 * vs1_mps))
    doubts.push("V_MCA is usually between two thirds of the clean stall and one and a half times it: check its unit.");
  if (vsse_mps !== null && vmca_mps !== null && vsse_mps < vmca_mps + 1)
    doubts.push("V_SSE usually stands some knots above V_MCA.");
  return doubts;
}
