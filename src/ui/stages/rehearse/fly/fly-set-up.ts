// A flight as it follows from the situation and a few choices: where it begins, what fails and when.
import type { AircraftDocument } from "@/core/aircraft/aircraft-document";
import { isAeroplane } from "@/core/aircraft/aircraft-kind";
import { levelStall_mps } from "@/core/aircraft/fit-handbook";
import type { LocalPlane } from "@/core/earth/local-plane";
import { LIMITS, type ToHold } from "@/core/exercise/flown-result";
import type { LandingEnd } from "@/core/landing/landing-end";
import { formatNumber } from "@/core/quantities/units";
import type { SituationDocument } from "@/core/situation/situation-document";
import type { Planned } from "@/core/simulation/cockpit";
import type { KeptFlight } from "@/core/simulation/kept-flight";
import type { LevelStrip } from "@/core/simulation/ground";
import { rotorcraftModel } from "@/core/simulation/rotorcraft-model";
import type { FailureKind } from "@/core/simulation/trouble";
import type { Flown } from "@/workers/flight.worker";
import type { Format } from "@/ui/kit/units/units-store";

/**
 * When something fails. `set`: in the air in three seconds, after a take-off at a height. `surprise`: in the air within
 * a minute, after a take-off around that height. `roll`: at a speed before it flies. `off`: as it has left the ground.
 * `down`: at a height on the way down.
 */
export type FailsAt = "set" | "surprise" | "roll" | "off" | "down";

/** What is chosen before a flight. */
export interface FlyChoice {
  /** As the situation stands, in the air; a helicopter's hover there; or a take-off from a runway's end, by its id. */
  readonly from: "air" | "hover" | string;
  readonly failure: FailureKind | "none";
  readonly engine: "left" | "right" | "either";
  readonly when: FailsAt;
  /** Above the runway, or the ground, m. */
  readonly height_m: number;
  /** On the roll, as it is read, m/s; null for the stalling speed, which is some knots before it lifts off. */
  readonly roll_mps: number | null;
  /** Of the skids above the ground, in a hover, m. */
  readonly hover_m: number;
  readonly turbulence: number;
  /** An exercise that it is scored by; null flies freely. */
  readonly exerciseId: string | null;
  /** A drill that is done with it. */
  readonly drillId: string | null;
}

/** Begins in the air as the situation stands, or in the hover. */
export const [AIR, HOVER] = ["air", "hover"] as const;

/** What is chosen first. */
export const FIRST_CHOICE: FlyChoice = {
  from: "air",
  failure: "ignition",
  engine: "either",
  when: "set",
  height_m: 213.36,
  roll_mps: null,
  hover_m: 3.048,
  turbulence: 0.5,
  exerciseId: null,
  drillId: null,
};

/** Failures by the words they go by, in the order in which they are offered; those of two engines' props apart. */
const FAILURE_WORDS: Record<FailureKind, string> = {
  ignition: "engine stops",
  starvation: "fuel runs dry",
  selector: "selector off",
  mixture: "mixture goes lean",
  ice: "carburettor or intake ice",
  partial: "part of the power goes",
  seizure: "engine seizes",
  magneto: "one magneto",
  overspeed: "propeller runs away",
  stuck: "throttle sticks",
  gauge: "a gauge fails",
  "oil-leak": "oil leaks",
  fire: "engine fire",
  pitot: "pitot blocked",
  static: "static line blocked",
  vacuum: "suction gone",
  brakes: "brakes gone",
  "gear-unlocked": "a wheel does not lock",
  "flap-left": "left flap stays up",
  door: "a door opens",
  exhaustion: "all fuel is used",
  contamination: "water in the fuel",
  transfer: "fuel pumped across and forgotten",
  intermittent: "a loose contact: it cuts out and comes back",
  overheat: "cooling fails",
  "prop-stuck": "propeller sticks",
  electric: "no current",
  hydraulic: "no hydraulics",
};

/** Failures of the aeroplane, not of an engine. */
export const OF_NONE: readonly FailureKind[] = [
  "pitot",
  "static",
  "vacuum",
  "brakes",
  "gear-unlocked",
  "flap-left",
  "door",
  "electric",
  "hydraulic",
];

/** Which engine a failure is of: the one of two that is meant, the only one, or none. */
export const failsOn = ({ engines }: AircraftDocument, kind: FailureKind, side: 0 | 1): 0 | 1 | null =>
  OF_NONE.includes(kind) ? null : engines.count === 2 ? side : 0;

/** What an aircraft does not have cannot fail. */
function lacksOf(aircraft: AircraftDocument): readonly FailureKind[] {
  if (aircraft.category === "helicopter")
    return [
      ...(["selector", "mixture", "ice", "magneto", "intermittent", "transfer", "overheat", "prop-stuck"] as const),
      ...(["brakes", "gear-unlocked", "flap-left", "door", "electric", "hydraulic"] as const),
    ];
  if (!isAeroplane(aircraft))
    return ["overspeed", "prop-stuck", "transfer", "gear-unlocked", "flap-left", "door", "electric", "hydraulic"];
  const { polar, engines } = aircraft;
  const jet = engines.kind === "jet";
  const governed =
    polar?.deadPropeller && (polar.deadPropeller.feathered !== null || polar.deadPropeller.coarse !== null);
  const turbine = engines.kind === "propeller" && engines.fuelSystem === "turbine";
  return [
    ...(jet || turbine ? (["magneto", "mixture", "intermittent", "overheat"] as const) : []),
    ...(jet || !governed ? (["overspeed", "prop-stuck"] as const) : []),
    ...(polar?.gear.retractable ? [] : (["gear-unlocked"] as const)),
  ];
}

/** What may fail of an aircraft, in the order in which it is offered. */
export function failuresOf(aircraft: AircraftDocument): readonly FailureKind[] {
  const lacks = lacksOf(aircraft);
  return (Object.keys(FAILURE_WORDS) as FailureKind[]).filter((kind) => !lacks.includes(kind));
}

/** A choice as it holds for an aircraft: what the one before could do or fail by, this one may not have. */
export function chosenOf(choice: FlyChoice, aircraft: AircraftDocument, from: LandingEnd | null): FlyChoice {
  const hovers = aircraft.category === "helicopter" && choice.from === HOVER;
  const lacks = choice.failure !== "none" && !failuresOf(aircraft).includes(choice.failure);
  const lacksRoll = aircraft.category === "helicopter" && choice.when === "roll";
  return {
    ...choice,
    from: from?.id ?? (hovers ? HOVER : AIR),
    failure: lacks ? "ignition" : choice.failure,
    when: lacksRoll || (hovers && choice.when === "down") ? "set" : choice.when,
  };
}

/** A failure by its words: what runs away of a helicopter is its governor, what sticks its fuel. */
export function failureWords(kind: FailureKind, { category }: Pick<AircraftDocument, "category">): string {
  if (category === "helicopter" && kind === "overspeed") return "governor runs high";
  if (category === "helicopter" && kind === "stuck") return "governor sticks";
  return FAILURE_WORDS[kind];
}

/** What help is called: a rotorcraft is asked for attitudes anyhow. */
export const helpWords = ({ category }: AircraftDocument): { readonly attitude: string; readonly ball: string } =>
  category === "helicopter"
    ? { attitude: "Let go near a hover it stops", ball: "The feet hold heading or ball" }
    : { attitude: "Keys hold an attitude", ball: "The feet hold the ball" };

/** Strips this near are level under the flight, m; and so many at most. */
const NEAR_M = 15_000;
const MOST_STRIPS = 8;
/** A surprise in the air comes within these, s; after a take-off within so much of the height. */
const SURPRISE_S = [8, 60] as const;
const AROUND = [0.6, 1.4] as const;
/** In the air that is known comes after this, s; just off the ground is so high, m. */
const [SOON_S, JUST_OFF_M] = [3, 4];
/** Of an aeroplane whose handbook is silent, and of a gyroplane's roll, m/s. */
const [USUAL_STALL_MPS, USUAL_ROLL_MPS] = [28, 12];
/** Behind the threshold, m, where it lines up. */
const LINED_UP_M = 12;

interface Asked {
  readonly aircraft: AircraftDocument;
  readonly situation: SituationDocument;
  readonly plane: LocalPlane;
  readonly ends: readonly LandingEnd[];
  readonly ground_m: number;
  readonly choice: FlyChoice;
  /** Of the exercise that is flown, above the ground, m; null begins where the situation stands. */
  readonly begins_m?: number | null;
  /** 0…1, for what is left to chance. */
  readonly chance: () => number;
}

/** A set-up with what is to fail. */
export interface SetUp {
  readonly flown: Flown;
  readonly planned: readonly Planned[];
}

/** Speeds of rotorcraft whose manual is silent, m/s: usual of their kinds. */
const [USUAL_VY_MPS, USUAL_GLIDE_MPS] = [33, 26];

/** The speed that is glided, or flown on one engine, at a mass; of a helicopter the one of its best climb. */
export function speedToHold_mps(aircraft: AircraftDocument, mass_kg: number): number {
  if (!isAeroplane(aircraft))
    return aircraft.category === "helicopter"
      ? (aircraft.handbook.vy_mps ?? USUAL_VY_MPS)
      : (aircraft.handbook.bestGlideSpeed_mps ?? USUAL_GLIDE_MPS);
  const { handbook, category } = aircraft;
  const root = Math.sqrt(mass_kg / handbook.mass_kg);
  if (category === "twin" && handbook.vyse_mps !== null) return handbook.vyse_mps;
  return (handbook.vbg_mps ?? 1.4 * (handbook.vs1_mps ?? 30)) * root;
}

/** Banks steeper than this are no turn of a glide, rad. */
const MOST_BANK_RAD = 0.79;

/** What a flight is held to: the speed, and the bank that helped or a turn's. */
export const toHold = ({ flown, assistance }: Pick<KeptFlight, "flown" | "assistance">): ToHold => ({
  speed_mps: flown.setUp.begin.hovers ? null : speedToHold_mps(flown.setUp.aircraft, flown.setUp.mass_kg),
  bank_rad: Math.min(assistance.bank_rad, MOST_BANK_RAD),
  margin: isAeroplane(flown.setUp.aircraft) ? LIMITS.overStall : LIMITS.overRotor,
});

/** Strips near a place of the plane, as level ground. */
export function levelStrips(
  ends: readonly LandingEnd[],
  plane: LocalPlane,
  about: { readonly x_m: number; readonly y_m: number },
): LevelStrip[] {
  const seen = new Set<string>();
  return ends
    .map((end) => ({ end, at: plane.toPlane(end.threshold) }))
    .map((one) => ({ ...one, away_m: Math.hypot(one.at.x_m - about.x_m, one.at.y_m - about.y_m) }))
    .filter(({ away_m }) => away_m < NEAR_M)
    .toSorted((a, b) => a.away_m - b.away_m)
    .filter(({ end }) => {
      const strip = end.id.split(":")[0];
      return seen.has(strip) ? false : Boolean(seen.add(strip));
    })
    .slice(0, MOST_STRIPS)
    .map(({ end, at }) => {
      const heading = headingOn(plane, end);
      return {
        north_m: Math.fround(at.y_m),
        east_m: Math.fround(at.x_m),
        along: [Math.fround(Math.cos(heading)), Math.fround(Math.sin(heading))],
        length_m: Math.fround(end.length_m),
        elevation_m: Math.fround(end.elevation_m),
      };
    });
}

const turn = (rad: number) => ((rad % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
/** Direction of a runway in the plane. */
export const headingOn = (plane: LocalPlane, end: Pick<LandingEnd, "threshold" | "headingTrue_rad">): number =>
  turn(end.headingTrue_rad + plane.convergence_rad(end.threshold));

/** What is flown. */
export function setUpOf({ aircraft, situation, plane, ends, ground_m, choice, begins_m = null, chance }: Asked): SetUp {
  const { mass_kg, centreOfGravity, air, wind, position, altitude_m, heading_rad, configuration } = situation;
  const from = ends.find(({ id }) => id === choice.from) ?? null;
  const here = plane.toPlane(from?.threshold ?? position);
  const hovers = choice.from === HOVER;
  const heading = from
    ? headingOn(plane, from)
    : turn((hovers ? intoWind_rad(wind, heading_rad) : heading_rad) + plane.convergence_rad(position));
  const mass = Math.min(Math.max(mass_kg, aircraft.mass.minimum_kg), aircraft.mass.maximum_kg);
  const fuel_kg = Math.min(100, aircraft.mass.maximum_kg * 0.08);
  const place = { north_m: here.y_m, east_m: here.x_m, heading_rad: heading, fuel_kg };
  const flown: Flown = {
    setUp: {
      aircraft,
      mass_kg: mass,
      centreOfGravity,
      air,
      wind,
      ground_m: from?.elevation_m ?? Math.max(ground_m, -400),
      turbulence: choice.turbulence,
      seed: Math.floor(chance() * 1e9),
      begin: from
        ? {
            ...place,
            north_m: here.y_m + LINED_UP_M * Math.cos(heading),
            east_m: here.x_m + LINED_UP_M * Math.sin(heading),
            altitude_m: from.elevation_m,
            speed_mps: 0,
            hovers: false,
            flap: isAeroplane(aircraft) ? (aircraft.polar?.takeOffFlap ?? 0) : 0,
            gearDown: true,
            throttle: 0,
          }
        : {
            ...place,
            altitude_m: Math.min(Math.max(begins_m === null ? altitude_m : ground_m + begins_m, ground_m + 60), 5900),
            speed_mps: speedAloft_mps(aircraft, mass),
            hovers: false,
            flap: isAeroplane(aircraft) ? Math.min(configuration.flap, (aircraft.polar?.flaps.length ?? 1) - 1) : 0,
            gearDown: configuration.gearDown,
            throttle: 0.65,
            ...(hovers ? hovering(aircraft, ground_m + (begins_m ?? choice.hover_m)) : {}),
          },
    },
    strips: levelStrips(ends, plane, here),
  };
  return { flown, planned: plannedOf(aircraft, choice, from !== null, chance) };
}

/** A wind of more than this is hovered into, m/s. */
const WINDY_MPS = 3;

const intoWind_rad = ({ surface }: SituationDocument["wind"], heading_rad: number): number =>
  surface && surface.speed_mps > WINDY_MPS ? surface.from_rad : heading_rad;

/** In the air it begins no slower than a quarter over the stall. */
function speedAloft_mps(aircraft: AircraftDocument, mass_kg: number): number {
  const held = speedToHold_mps(aircraft, mass_kg);
  if (!isAeroplane(aircraft)) return held;
  const { polar, wing } = aircraft;
  return Math.max(held, 1.25 * levelStall_mps(mass_kg, wing?.area_m2 ?? 15, polar?.flaps[0].clMax ?? 1.5));
}

/** Over the ground by its skids: the simulator begins with its middle. */
function hovering(aircraft: AircraftDocument, skids_m: number) {
  const made = isAeroplane(aircraft) ? null : rotorcraftModel(aircraft, aircraft.mass.usual_kg);
  return { speed_mps: 0, hovers: true, altitude_m: skids_m + (made?.ok ? made.value.hullHeight_m : 0) };
}

function plannedOf(aircraft: AircraftDocument, choice: FlyChoice, takesOff: boolean, chance: () => number): Planned[] {
  if (choice.failure === "none") return [];
  const side = choice.engine === "either" ? (chance() < 0.5 ? 0 : 1) : choice.engine === "left" ? 0 : 1;
  const engine = failsOn(aircraft, choice.failure, side);
  return [{ kind: choice.failure, engine, when: failsWhen(aircraft, choice, takesOff, chance()) }];
}

function failsWhen(aircraft: AircraftDocument, choice: FlyChoice, takesOff: boolean, share: number): Planned["when"] {
  const between = ([least, most]: readonly [number, number]) => least + share * (most - least);
  const { height_m } = choice;
  switch (failsAt(choice, takesOff)) {
    case "roll":
      return { what: "faster", value: rollSpeed_mps(aircraft, choice) };
    case "off":
      return { what: "above", value: JUST_OFF_M };
    case "down":
      return { what: "below", value: height_m };
    case "surprise":
      return takesOff
        ? { what: "above", value: height_m * between(AROUND) }
        : { what: "time", value: between(SURPRISE_S) };
    default:
      return takesOff ? { what: "above", value: height_m } : { what: "time", value: SOON_S };
  }
}

/** When it fails, of what this beginning has: nothing rolls in the air, nothing is on its way down on a runway. */
export const failsAt = ({ when }: Pick<FlyChoice, "when">, takesOff: boolean): FailsAt =>
  takesOff ? (when === "down" ? "set" : when) : when === "roll" || when === "off" ? "set" : when;

/** Before it flies; a rotorcraft rolls to no speed of its own. */
export const rollSpeed_mps = (aircraft: AircraftDocument, { roll_mps }: Pick<FlyChoice, "roll_mps">): number =>
  roll_mps ?? (isAeroplane(aircraft) ? (aircraft.handbook.vs1_mps ?? USUAL_STALL_MPS) : USUAL_ROLL_MPS);

/** The set-up in a sentence. */
export function setUpWords(
  choice: FlyChoice,
  from: LandingEnd | null,
  aircraft: AircraftDocument,
  format: Format,
): string {
  const { name, engines } = aircraft;
  const where = from
    ? `${name} takes off from ${from.name}`
    : choice.from === HOVER
      ? `${name} hovers, skids ${format("height", choice.hover_m)} above the ground`
      : `${name} as the situation stands, in the air`;
  if (choice.failure === "none") return `${where}; nothing fails.`;
  const side =
    engines.count === 2 && !OF_NONE.includes(choice.failure)
      ? choice.engine === "either"
        ? ", one of the two"
        : `, ${choice.engine}`
      : "";
  const when = whenWords(aircraft, choice, from !== null, format);
  return `${where}; ${failureWords(choice.failure, aircraft)}${side}, ${when}.`;
}

function whenWords(aircraft: AircraftDocument, choice: FlyChoice, takesOff: boolean, format: Format): string {
  const height = format("height", choice.height_m);
  switch (failsAt(choice, takesOff)) {
    case "roll":
      return `on the roll at ${format("speed", rollSpeed_mps(aircraft, choice))}`;
    case "off":
      return "as it has left the ground";
    case "down":
      return `at ${height} above the ground on the way down`;
    case "surprise":
      return `as a surprise ${takesOff ? `around ${height}` : `within ${formatNumber(SURPRISE_S[1])} s`}`;
    default:
      return takesOff ? `at ${height} above the runway` : "in three seconds";
  }
}
