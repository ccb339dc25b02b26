// A procedure as a document: steps in the order in which they are flown, who says and does what, what must be confirmed
// before it cannot be undone, what waits, what is triggered on the way down. Nothing is computed here.
import { z } from "zod";

const text = (most: number, what: string) =>
  z.string().trim().min(1, `${what} is needed.`).max(most, `${what} has at most ${most} characters.`);
const id = z
  .string()
  .max(40, "At most 40 characters.")
  .regex(/^[a-z0-9-]+$/, "A name for the machine has small letters, digits and hyphens.");
const seconds = (least: number, most: number) =>
  z
    .number(`A time is ${least} to ${most} s.`)
    .min(least, `A time is ${least} to ${most} s.`)
    .max(most, `A time is ${least} to ${most} s.`);

/** Who: alone, or as a crew; an instructor stands beside. */
export const Actor = z.enum(["single", "flying", "monitoring", "instructor"]);
/** @see Actor */
export type Actor = z.infer<typeof Actor>;

/** Which engine a control belongs to, as seen from the failure; null for a control that the aircraft has once. */
export const OfEngine = z.enum(["dead", "live", "each"]).nullable();
/** @see OfEngine */
export type OfEngine = z.infer<typeof OfEngine>;

/** Something that is set by hand. */
export const Control = z.strictObject({
  id,
  name: text(30, "A control’s name"),
  /** One for each engine. */
  perEngine: z.boolean(),
  /** What it is drawn as. */
  drawn: z.enum(["lever", "switch", "dial", "handle", "bottle"]),
  /** The first is the one it stands in when the drill begins. */
  positions: z.array(text(20, "A position")).min(2, "A control has at least two positions.").max(8),
  /** Positions that cannot be taken back in flight. */
  final: z.array(text(20, "A position")).max(7),
});
/** @see Control */
export type Control = z.infer<typeof Control>;

/** When a step applies; otherwise it is passed over. */
export const Condition = z.strictObject({
  what: z.enum(["height", "speed", "warning", "propeller"]),
  /** Above or below a height or a speed; shown or gone for a warning; is or is not for a propeller. */
  is: z.enum(["above", "below", "on", "off"]),
  /** Metres above the ground, or metres a second; of height and speed. */
  value: z.number().min(0).max(20_000).nullable(),
  /** Of a warning or a state of the propeller. */
  name: z.string().max(30).nullable(),
});
/** @see Condition */
export type Condition = z.infer<typeof Condition>;

const base = {
  id,
  actor: Actor,
  /** From memory; otherwise it is read. */
  memory: z.boolean(),
  when: Condition.nullable(),
  /** Why, shown when it is asked for or was done wrong. */
  why: z.string().trim().max(300).nullable(),
};

/** A step; without another way it leads to the next in the list. */
export const Step = z.discriminatedUnion("kind", [
  /** Sets a control. */
  z.strictObject({
    ...base,
    kind: z.literal("set"),
    challenge: text(80, "A challenge"),
    control: id,
    engine: OfEngine,
    position: text(20, "A position"),
    /** Whose word is waited for before: the other’s, or one’s own, spoken with the hand on it. */
    confirm: z.enum(["other", "self"]).nullable(),
    /** From when it is due until it should be done. */
    target_s: seconds(1, 600),
  }),
  /** Says, or looks at something and says what it is. */
  z.strictObject({
    ...base,
    kind: z.literal("say"),
    challenge: text(120, "A challenge"),
    response: z.string().trim().max(120),
    target_s: seconds(1, 600),
  }),
  /** Lets time pass; what is done before it has is too early. */
  z.strictObject({
    ...base,
    kind: z.literal("wait"),
    challenge: text(80, "A challenge"),
    wait_s: seconds(1, 600),
    /** The step that started the clock; null counts from now. */
    since: id.nullable(),
  }),
  /** A question with answers, each of which leads somewhere; one that is not so is told. */
  z.strictObject({
    ...base,
    kind: z.literal("ask"),
    challenge: text(120, "A question"),
    answers: z
      .array(z.strictObject({ answer: text(40, "An answer"), to: id, when: Condition.nullable() }))
      .min(2, "A question has at least two answers.")
      .max(6),
    target_s: seconds(1, 600),
  }),
  /** Waits for a height or speed to be passed on the way down, and says so. */
  z.strictObject({
    ...base,
    kind: z.literal("passing"),
    challenge: text(120, "A call"),
    what: z.enum(["height", "speed"]),
    value: z.number().min(0).max(20_000),
  }),
  /** Goes back, so many times at most; then on. */
  z.strictObject({
    ...base,
    kind: z.literal("again"),
    challenge: text(120, "A word"),
    to: id,
    most: z.int().min(1).max(9),
  }),
  /** A short procedure that others call: its steps come here. */
  z.strictObject({ ...base, kind: z.literal("call"), challenge: text(120, "A call"), procedure: id }),
  /** Something to know, not to do. */
  z.strictObject({ ...base, kind: z.literal("caution"), challenge: text(240, "A caution") }),
  /** The drill ends here. */
  z.strictObject({ ...base, kind: z.literal("end"), challenge: text(120, "An ending") }),
]);
/** @see Step */
export type Step = z.infer<typeof Step>;

/** Kinds of aircraft that a procedure can be for. */
export const AircraftCategory = z.enum(["single", "turboprop", "twin", "jet", "helicopter", "gyroplane"]);
/** @see AircraftCategory */
export type AircraftCategory = z.infer<typeof AircraftCategory>;

/**
 * How height goes meanwhile: by what the failure leaves, with no engine at all, on the slope of an approach, or not at
 * all, because it is held or on the ground.
 */
export const DrillFlight = z.enum(["failed", "glide", "approach", "level"]);
/** @see DrillFlight */
export type DrillFlight = z.infer<typeof DrillFlight>;

/** The present version of the document. */
export const PROCEDURE_VERSION = 1;

/** A procedure. */
export const Procedure = z.strictObject({
  format: z.literal("utrimax/procedure"),
  version: z.literal(PROCEDURE_VERSION),
  id,
  name: text(60, "A name"),
  purpose: text(300, "What it is for"),
  /** Kinds of aircraft it is for. */
  fits: z.array(AircraftCategory).min(1, "It fits some kind of aircraft.").max(6),
  /** The one that it was made from; null for one that was written anew. */
  madeFrom: id.nullable().default(null),
  /** Alone, or as a crew of two. */
  crew: z.enum(["single", "two"]),
  flight: DrillFlight,
  /** Warnings that burn when it begins. */
  warnings: z.array(text(30, "A warning")).max(6),
  controls: z.array(Control).max(24, "At most 24 controls."),
  steps: z.array(Step).min(1, "A procedure has at least one step.").max(80, "At most 80 steps."),
  cautions: z.array(text(240, "A caution")).max(6),
  /** Where order and words come from. */
  source: text(200, "A source"),
});
/** @see Procedure */
export type Procedure = z.infer<typeof Procedure>;
