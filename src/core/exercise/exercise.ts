// An exercise as a document: what it is for, how it is set up, what must be held, what ends it and what fails it at
// once. It is scored the same way from a drill, from the simulator and from a flight log.
import { z } from "zod";
import { AircraftCategory } from "../procedure/procedure";
import { Channel } from "./trace";

const text = (most: number) => z.string().trim().min(1).max(most);
const id = z
  .string()
  .max(40)
  .regex(/^[a-z0-9-]+$/);
const value = z.number().min(-20_000).max(20_000);

/** Something that is so at a moment. */
export const Event = z.strictObject({ channel: Channel, is: z.enum(["above", "below"]), value });
/** @see Event */
export type Event = z.infer<typeof Event>;

/** A figure that must be held. */
export const Tolerance = z.strictObject({
  channel: Channel,
  /** What is held: a value, what it was when the exercise began, or the book's speed for the failure. */
  target: z.union([value, z.enum(["entry", "book"])]),
  /** So much less and so much more may be, in the channel's unit. */
  below: z.number().min(0).max(20_000),
  above: z.number().min(0).max(20_000),
  /** Out of it for so long at a time is forgiven, s. */
  forgiven_s: z.number().min(0).max(60),
  /** Where the figure comes from. */
  source: text(160),
});
/** @see Tolerance */
export type Tolerance = z.infer<typeof Tolerance>;

/** The present version of the document. */
export const EXERCISE_VERSION = 1;

/** An exercise. */
export const Exercise = z.strictObject({
  format: z.literal("utrimax/exercise"),
  version: z.literal(EXERCISE_VERSION),
  id,
  name: text(60),
  purpose: text(300),
  fits: z.array(AircraftCategory).min(1).max(6),
  setUp: z.strictObject({
    configuration: text(120),
    /** Indicated, m/s; null for the book's best glide or V_YSE. */
    speed_mps: z.number().min(0).max(300).nullable(),
    /** Above the ground, m. */
    height_m: z.number().min(0).max(15_000),
    /** Not to be gone below, m above the ground; null where it is flown to the ground. */
    hardDeck_m: z.number().min(0).max(15_000).nullable(),
  }),
  /** The drill that it uses; null for one without. */
  procedure: id.nullable(),
  tolerances: z.array(Tolerance).max(12),
  /** Wrong steps of the drill that are forgiven, and seconds that it may take; null for any. */
  drill: z.strictObject({ wrong: z.int().min(0).max(20), seconds: z.number().min(1).max(3600).nullable() }),
  lookOuts: z.array(text(120)).max(8),
  calls: z.array(text(120)).max(8),
  /** Null begins with the trace, ends with it. */
  begins: Event.nullable(),
  ends: Event.nullable(),
  /** Any of these fails it at once. */
  fails: z.array(Event).max(8),
  cautions: z.array(text(240)).max(6),
});
/** @see Exercise */
export type Exercise = z.infer<typeof Exercise>;

/** A flight test: exercises in their order, and what passes. */
export const FlightTestProfile = z.strictObject({
  format: z.literal("utrimax/flight-test"),
  version: z.literal(1),
  id,
  name: text(60),
  exercises: z.array(id).min(1, "A flight test has at least one exercise.").max(30),
  /** Exercises that may fail and be flown once more. */
  repeats: z.int().min(0).max(30),
  /** It ends where one has failed that may not be repeated any more. */
  stopsAtFailure: z.boolean(),
});
/** @see FlightTestProfile */
export type FlightTestProfile = z.infer<typeof FlightTestProfile>;
