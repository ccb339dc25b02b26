// A flight by hand that others look at and have a part in, each on a browser of his own: what they see of it, what each
// may do. It is flown in one browser only; what the others do is done there, so that its recording holds all of it.
import { z } from "zod";
import { AircraftDocument } from "../aircraft/aircraft-document";
import { LatLon } from "../earth/geodesic";
import { LandingEnd } from "../landing/landing-end";
import { CrewDid, type CrewEvent, type CrewRole } from "../procedure/crew-run";
import type { DrillRun } from "../procedure/drill-run";
import { Procedure } from "../procedure/procedure";
import { RunDocument } from "../procedure/run-document";
import type { Planned } from "../simulation/cockpit";
import { FULL, PUMP, THROTTLE } from "../simulation/controls";
import type { FlightView } from "../simulation/flight-view";
import { SeenView } from "../simulation/seen-view";
import { WhatFails } from "../simulation/trouble";

/** Parts of a crew of a flight; he who flies has begun it. */
export const FLIGHT_ROLES: readonly CrewRole[] = ["flying", "monitoring", "instructor"];

/** When something is to fail: by the clock, s, above the ground, m, or at a speed that is read, m/s. */
const FailsWhen = z.strictObject({
  what: z.enum(["time", "above", "below", "faster", "slower"]),
  value: z.number().min(0).max(20_000),
});
const PlannedSeen = WhatFails.extend({ when: FailsWhen }) satisfies z.ZodType<Planned>;

/** Something that somebody of a flight's crew does; of a drill's what a flight has too. */
export const FlightDid = z.discriminatedUnion("kind", [
  CrewDid,
  /** Now, or when it is to. */
  z.strictObject({ kind: z.literal("fail"), what: WhatFails, when: FailsWhen.nullable() }),
  /** What is to fail and has not yet, does not. */
  z.strictObject({ kind: z.literal("calm") }),
  /** A lever or a switch, as it is kept. */
  z.strictObject({
    kind: z.literal("set"),
    control: z.int().min(THROTTLE).max(PUMP),
    value: z.int().min(-FULL).max(FULL),
  }),
  /** The flight, so many seconds back. */
  z.strictObject({ kind: z.literal("back"), seconds: z.int().min(1).max(60) }),
]);
/** @see FlightDid */
export type FlightDid = z.infer<typeof FlightDid>;

/** A line of a crew's log, of a flight or of a drill. */
export type FlightEvent = Omit<CrewEvent, "did"> & { readonly did: FlightDid };

const OF_FLIGHTS: readonly FlightDid["kind"][] = ["fail", "calm", "set", "back"];
/** What a drill knows: of its own log all. */
export const isOfDrill = (event: FlightEvent): event is CrewEvent => !OF_FLIGHTS.includes(event.did.kind);

/**
 * Why a member of a flight's crew may not do something: levers and the drill's other half are his who monitors, what
 * fails is the instructor's, and nobody but he who flies has the stick.
 *
 * @returns null when he may
 */
export function flightRefusalOf(role: CrewRole, did: FlightDid): string | null {
  switch (did.kind) {
    case "fail":
    case "calm":
    case "back":
      return role === "instructor" ? null : "What fails, and going back, are the instructor’s.";
    case "set":
      return role === "monitoring" ? null : "Levers are set in the browser that flies, or by the one who monitors.";
    case "hand":
      if (did.event.type === "warning" || did.event.type === "back") return "A flight has warnings of its own.";
      return role === "monitoring" && did.event.actor === role ? null : "That is somebody else’s hand.";
    case "note":
      return role === "instructor" ? null : "Notes are the instructor’s.";
    case "height":
    case "rate":
      return "Height and rate are those of the flight.";
    case "joined":
      return "One joins by a code.";
    default:
      return null;
  }
}

/** A landing place as far as a map shows it. */
const EndOnMap = LandingEnd.pick({
  id: true,
  name: true,
  threshold: true,
  headingTrue_rad: true,
  length_m: true,
  width_m: true,
  unprepared: true,
});
/** @see EndOnMap */
export type EndOnMap = z.infer<typeof EndOnMap>;

/** What a flight is, for those who look on: told when it begins. */
const FlightShown = z.strictObject({
  words: z.string().min(1).max(400),
  aircraft: AircraftDocument,
  mass_kg: z.number().min(1).max(100_000),
  /** Of the plane that it is flown in. */
  origin: LatLon,
  ends: z.array(EndOnMap).max(20),
  /** At the surface, towards. */
  wind: z.strictObject({ east_mps: z.number().min(-100).max(100), north_mps: z.number().min(-100).max(100) }),
  /** Help goes no farther than this. */
  bank_rad: z.number().min(0).max(2),
  procedure: Procedure.nullable(),
});

/** @see FlightShown */
export type FlightShown = z.infer<typeof FlightShown>;

/** The drill that is done with it: told when something is done; null before it begins, or where there is none. */
export type DrillShown = { readonly began_s: number; readonly run: DrillRun } | null;

/** How it stands: told some times a second. */
export interface NowShown {
  readonly view: FlightView;
  readonly running: boolean;
  /** It was ended: the next one is to begin. */
  readonly over: boolean;
  /** What is to fail. */
  readonly planned: readonly Planned[];
  /** Track so far, north and east in turn, whole metres; thinned. */
  readonly path: readonly number[];
}

/** What is shown of a flight, each part by itself, as it is checked. */
export const SHOWN = {
  flight: FlightShown,
  drill: z
    .strictObject({ began_s: z.number().min(0).max(1e6), run: RunDocument })
    .nullable() satisfies z.ZodType<DrillShown>,
  now: z.strictObject({
    view: SeenView,
    running: z.boolean(),
    over: z.boolean(),
    planned: z.array(PlannedSeen).max(50),
    path: z.array(z.int().min(-1_000_000).max(1_000_000)).max(400),
  }) satisfies z.ZodType<NowShown>,
};
/** @see SHOWN */
export type ShownPart = keyof typeof SHOWN;

/** Points of a path that are told at most. */
const PATH_POINTS = 150;

/** A path as it is told: every so many points of it, and the last. */
export function thinned(path: readonly number[]): number[] {
  const points = path.length / 2;
  const every = Math.max(1, Math.ceil(points / PATH_POINTS));
  const told: number[] = [];
  for (let i = 0; i < points; i += 1)
    if (i % every === 0 || i === points - 1) told.push(Math.round(path[2 * i]), Math.round(path[2 * i + 1]));
  return told;
}

/** Digits that are told: the rest is of no use to anybody who looks on. */
const DIGITS = 7;

/** What is shown, without the digits that nobody sees. */
export const forShow = <T>(shown: T): T =>
  JSON.parse(
    JSON.stringify(shown, (_, value: unknown) =>
      typeof value === "number" && !Number.isInteger(value) ? Number(value.toPrecision(DIGITS)) : value,
    ),
  ) as T;
