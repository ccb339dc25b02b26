// A single fitted to what its book says of take-off, climb and landing: the thrust line from the run and the climb, the
// braking from the landing run. The take-off is flown as the Departure stage flies it.
import type { Aeroplane } from "../aircraft/aeroplane";
import { polarOf } from "../aircraft/polar";
import { discThrust_N } from "../aircraft/propeller-thrust";
import { type DepartureDay, type DepartureQuestion, departureDay } from "../departure/departure-day";
import { climbAt } from "../flight/climb-out";
import { brakingOn, landingRoll } from "../landing/landing-roll";
import { type Outcome, failure, success } from "../outcome";
import { G0, P0_PA, RHO0 } from "../quantities/constants";
import { DEFAULT_DEPARTURE } from "../situation/departure-plan";

/** A thrust line of all engines at sea level. */
type Line = NonNullable<Extract<Aeroplane["engines"], { kind: "propeller" }>["thrustLine"]>;

/** A figure of the book beside the model's, SI. */
export interface BookFigure {
  readonly name: string;
  readonly kind: "length" | "verticalSpeed";
  readonly book: number;
  readonly model: number;
}

/** A single with its thrust fitted. */
export interface SingleFit {
  /** Null where the book gives neither run nor climb. */
  readonly line: Line | null;
  /** Deceleration that the landing run asks for, of g; null without one. */
  readonly braking: number | null;
  /** Planned with on a hard dry runway, of g. */
  readonly brakingPlanned: number;
  /** The book beside the fitted model. */
  readonly residuals: readonly BookFigure[];
  /** What looks wrong, in a pilot's words. */
  readonly doubts: readonly string[];
}

/** Steps of the fit; each corrects what the last left over, and it ends sooner. */
const STEPS = 12;
/** Run and climb are met within this share. */
const MET = 0.002;
/** The run's thrust is told at this share of the lift-off speed, where half of the energy is gained. */
const RUN_SPEED = 0.7;
/** Between these heights a climb is taken, m. */
const CLIMB_M = [30, 120] as const;
/** At the screen over lift-off: 1.2 times the stall after 1.1. Common practice. */
const SCREEN_SPEED = 1.2 / 1.1;
/** 50 ft. */
const SCREEN_M = 15.24;
/** More thrust at standstill than momentum theory's by this share is no propeller's. */
const MOST_THRUST = 1.15;
/** A figure this far from the book's, as a share, is pointed at. */
const OFF = 0.12;
/** Braking that tyres give on a hard dry runway, of g. Common practice. */
const BRAKING_MET = [0.1, 0.5] as const;

/** The take-off of the book: standard air at sea level, no wind, a long hard runway. */
function bookQuestion(aircraft: Aeroplane): DepartureQuestion {
  const threshold = { latitude_deg: 0, longitude_deg: 0 };
  return {
    aircraft,
    mass_kg: aircraft.handbook.mass_kg,
    propeller: aircraft.polar?.deadPropeller ? "windmilling" : "none",
    air: { qnh_Pa: P0_PA, deviation_K: 0 },
    wind: { surface: null, layers: [] },
    pilot: { reaction_s: 4, bank_rad: 0.5236, stallMargin: 1.2, daysSincePractised: 0, own: null },
    plan: { ...DEFAULT_DEPARTURE, climb_mps: aircraft.handbook.vy_mps },
    approach: { reserve_m: 0, final_m: 300, key: "none", glideSpeed: "book", clearance_m: 0 },
    runway: {
      id: "book",
      name: "book",
      threshold,
      aim: threshold,
      headingTrue_rad: 0,
      elevation_m: 0,
      length_m: 10_000,
      width_m: 30,
      surface: "asphalt",
      unprepared: false,
      slope: 0,
      obstacle: null,
      hazards: [],
      notes: "",
      takeOff: null,
      circuit: null,
      lookedAt: null,
    },
    ends: [],
  };
}

/** What a day of the book comes to. */
interface Flown {
  readonly run_m: number;
  readonly climb_mps: number;
}

function flown({ climb }: DepartureDay): Flown | null {
  const [low, high] = CLIMB_M.map((height_m) => climbAt(climb, height_m));
  if (!low || !high) return null;
  return { run_m: climb.run_m, climb_mps: (high.height_m - low.height_m) / (high.time_s - low.time_s) };
}

/** Distance over 50 ft, m: a book climbs there with the speed of the screen, not with V_Y. Null where it does not. */
function overScreen_m(aircraft: Aeroplane, { climb, stallEas_mps }: DepartureDay): number | null {
  const question = bookQuestion(aircraft);
  const climb_mps = Math.max(SCREEN_SPEED * climb.liftOffEas_mps, 1.101 * stallEas_mps);
  const day = departureDay({ ...question, plan: { ...question.plan, climb_mps } });
  return day.ok ? (climbAt(day.value.climb, SCREEN_M)?.x_m ?? null) : null;
}

const withLine = (aircraft: Aeroplane, line: Line): Aeroplane =>
  aircraft.engines.kind === "propeller"
    ? { ...aircraft, engines: { ...aircraft.engines, thrustLine: line } }
    : aircraft;

const at = (line: Line, speed_mps: number) => line.static_N - line.slope_Nspm * speed_mps;

/** The line through two thrusts at two speeds. */
function through(slow_mps: number, slow_N: number, fast_mps: number, fast_N: number): Line {
  const slope_Nspm = (slow_N - fast_N) / (fast_mps - slow_mps);
  return { static_N: slow_N + slope_Nspm * slow_mps, slope_Nspm };
}

/**
 * The line that meets run and climb. What one step leaves over is put into the thrust: W·Δw/V at climb speed,
 * m·v²/2·Δ(1/s) at 0.7 of the lift-off speed.
 */
function fitLine(aircraft: Aeroplane, day: DepartureDay): Outcome<{ line: Line; flown: Flown }> {
  const { takeOffRun_m, climb_mps, mass_kg } = aircraft.handbook;
  const slow_mps = RUN_SPEED * day.climb.liftOffEas_mps;
  const fast_mps = Math.max(day.climbEas_mps, slow_mps + 1);
  let line: Line = day.thrust;
  for (let step = 0; step < STEPS; step += 1) {
    const next = departureDay(bookQuestion(withLine(aircraft, line)));
    if (!next.ok) return next;
    const result = flown(next.value);
    if (!result) return failure("no_climb", "With this thrust it does not climb to 400 ft.", "handbook.climb_mps");
    const energy_J = (mass_kg * next.value.climb.liftOffEas_mps ** 2) / 2;
    const runLeft_N = takeOffRun_m === null ? 0 : energy_J * (1 / takeOffRun_m - 1 / result.run_m);
    const climbLeft_N = climb_mps === null ? 0 : (mass_kg * G0 * (climb_mps - result.climb_mps)) / fast_mps;
    const isMet =
      (takeOffRun_m === null || Math.abs(result.run_m / takeOffRun_m - 1) < MET) &&
      (climb_mps === null || Math.abs(result.climb_mps / climb_mps - 1) < MET);
    if (isMet) return success({ line, flown: result });
    // What the book does not give moves along with what it gives: the slope stays.
    const slow_N = at(line, slow_mps) + (takeOffRun_m === null ? climbLeft_N : runLeft_N);
    const fast_N = at(line, fast_mps) + (climb_mps === null ? runLeft_N : climbLeft_N);
    line = through(slow_mps, slow_N, fast_mps, fast_N);
    if (!(line.static_N > 0 && line.slope_Nspm >= 0 && fast_N > 0))
      return failure(
        "fit_impossible",
        "Run and climb ask for a thrust that grows with speed, or for none: check mass, units, wing and glide.",
        takeOffRun_m === null ? "handbook.climb_mps" : "handbook.takeOffRun_m",
      );
  }
  return failure(
    "fit_impossible",
    "No thrust meets run and climb together: check their units and the mass they are printed for.",
    "handbook.takeOffRun_m",
  );
}

/** Landing of the book: the run, and from 50 ft in the glide with landing flap. */
function landingOf(aircraft: Aeroplane, braking: number): { run_m: number; over_m: number } | null {
  const { polar, handbook } = aircraft;
  if (!polar) return null;
  const landed = polarOf(aircraft, handbook.mass_kg, {
    propeller: polar.deadPropeller ? "windmilling" : "none",
    flap: polar.landingFlap,
    gearDown: true,
    slip: 0,
    items: [],
  });
  if (!landed.ok) return null;
  const { wingLoading, clMax, cd0, k } = landed.value.polar;
  const roll = landingRoll({ wingLoading, clMax, steepCd0: cd0, k }, RHO0, 0, braking);
  return { run_m: roll.roll_m, over_m: SCREEN_M * roll.steepRatio + roll.flare_m + roll.roll_m };
}

/**
 * Fits a single.
 *
 * @param aircraft - with a polar and V_Y; the book's figures are at its handbook's mass, in standard air at sea level,
 *   without wind, on a hard dry runway
 * @returns failures of the departure; `fit_impossible` when no falling thrust line meets run and climb
 */
export function fitSingle(aircraft: Aeroplane): Outcome<SingleFit> {
  const { handbook, engines } = aircraft;
  const day = departureDay(bookQuestion(aircraft));
  if (!day.ok) return day;
  const isAsked = handbook.takeOffRun_m !== null || handbook.climb_mps !== null;
  const fitted = isAsked ? fitLine(aircraft, day.value) : null;
  if (fitted && !fitted.ok) return fitted;
  const result = fitted?.value.flown ?? flown(day.value);
  const line = fitted?.value.line ?? null;
  const over_m =
    handbook.takeOff15_m === null ? null : overScreen_m(line ? withLine(aircraft, line) : aircraft, day.value);
  const brakingPlanned = brakingOn("asphalt");
  const planned = landingOf(aircraft, brakingPlanned);
  const braking =
    handbook.landingRun_m !== null && planned ? (brakingPlanned * planned.run_m) / handbook.landingRun_m : null;
  const landing = landingOf(aircraft, braking ?? brakingPlanned);
  const residuals = (
    [
      ["take-off run", handbook.takeOffRun_m, result?.run_m],
      ["take-off over 50 ft", handbook.takeOff15_m, over_m ?? undefined],
      ["climb", handbook.climb_mps, result?.climb_mps],
      ["landing run", handbook.landingRun_m, landing?.run_m],
      ["landing over 50 ft", handbook.landing15_m, landing?.over_m],
    ] as const
  ).flatMap(([name, book, model]): BookFigure[] =>
    book === null || model === undefined
      ? []
      : [{ name, kind: name === "climb" ? "verticalSpeed" : "length", book, model }],
  );
  return success({ line, braking, brakingPlanned, residuals, doubts: doubtsOf(line, braking, residuals, engines) });
}

function doubtsOf(
  line: Line | null,
  braking: number | null,
  residuals: readonly BookFigure[],
  engines: Aeroplane["engines"],
): string[] {
  const doubts: string[] = [];
  if (line && engines.kind === "propeller") {
    const { power_W, propeller } = engines;
    const disc = { power_W, efficiency: 1, diameter_m: propeller.diameter_m };
    const most_N = engines.count * discThrust_N(disc, 0, RHO0);
    if (line.static_N > MOST_THRUST * most_N)
      doubts.push(
        `The book asks for ${Math.round(line.static_N)} N at standstill; a propeller of this power and diameter gives at most ${Math.round(most_N)} N.`,
      );
  }
  if (braking !== null && !(braking >= BRAKING_MET[0] && braking <= BRAKING_MET[1]))
    doubts.push(`The landing run asks for ${braking.toFixed(2)} g of braking, which is not met with: check its unit.`);
  for (const { name, book, model } of residuals)
    if (Math.abs(model / book - 1) > OFF)
      doubts.push(
        `The ${name} comes out ${Math.round(Math.abs(model / book - 1) * 100)} % ${model > book ? "longer" : "shorter"} than the book’s.`,
      );
  return doubts;
}
