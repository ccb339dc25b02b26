// An entry of a logbook: what failed and why, what was done in which order and when, what it cost, what was learnt.
import { z } from "zod";

/** The present version of the document. */
export const LOGBOOK_ENTRY_VERSION = 1;

const text = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);
const needed = (most: number) => text(most).min(1, "A few words are needed.");
const seconds = z.number().min(-3600, "A time is −1 to 24 h.").max(86_400, "A time is −1 to 24 h.");

/** Where it was. */
export const ENTRY_KINDS = ["flight", "simulator", "drill", "ground"] as const;
/** @see ENTRY_KINDS */
export type EntryKind = (typeof ENTRY_KINDS)[number];

/** What a cause is of. */
export const CAUSE_KINDS = ["technical", "human", "weather", "procedure", "upkeep"] as const;
/** @see CAUSE_KINDS */
export type CauseKind = (typeof CAUSE_KINDS)[number];

/** What rules of currency ask about. */
export const PRACTICES = [
  "turn-back",
  "forced-landing",
  "engine-failure",
  "one-engine-approach",
  "shutdown",
  "minimum-control",
  "recall",
] as const;
/** @see PRACTICES */
export type Practice = (typeof PRACTICES)[number];

/** A link of a chain of causes: it came of the one before it. */
export const Cause = z.strictObject({ kind: z.enum(CAUSE_KINDS), words: needed(200) });
/** @see Cause */
export type Cause = z.infer<typeof Cause>;

/** Something that was done, s after the failure. */
export const Action = z.strictObject({ at_s: seconds.nullable(), words: needed(200) });
/** @see Action */
export type Action = z.infer<typeof Action>;

/** What it was made from. */
export const EntrySource = z.strictObject({
  kind: z.enum(["run", "flight", "log", "card"]),
  id: z.string().min(1).max(40),
  name: text(120),
});
/** @see EntrySource */
export type EntrySource = z.infer<typeof EntrySource>;

/** A record of a rudder trim tab that was set, on the ground or as flown. */
export const TabRecord = z.strictObject({
  speed_mps: z.number().min(0, "A speed is 0 to 300 m/s.").max(300, "A speed is 0 to 300 m/s."),
  /** Right of the stream positive. */
  before_rad: z.number().min(-0.8, "A tab moves less than 45°.").max(0.8, "A tab moves less than 45°."),
  after_rad: z.number().min(-0.8, "A tab moves less than 45°.").max(0.8, "A tab moves less than 45°."),
  /** The ball in its widths, right positive, with feet off. */
  ball: z.number().min(-3, "A ball is within three widths.").max(3, "A ball is within three widths."),
});
/** @see TabRecord */
export type TabRecord = z.infer<typeof TabRecord>;

/** A record of an engine that was shut down in flight. */
export const ShutdownRecord = z.strictObject({
  engine: z.enum(["the engine", "left", "right"]),
  height_m: z.number().min(0, "A height is 0 to 15 000 m.").max(15_000, "A height is 0 to 15 000 m.").nullable(),
  off_s: z.number().min(0, "A time is 0 to 24 h.").max(86_400, "A time is 0 to 24 h."),
  tries: z.int().min(0, "0 to 50 tries.").max(50, "0 to 50 tries."),
  started: z.boolean(),
  oil_K: z
    .number()
    .min(200, "An oil temperature is −70 to 180 °C.")
    .max(455, "An oil temperature is −70 to 180 °C.")
    .nullable(),
});
/** @see ShutdownRecord */
export type ShutdownRecord = z.infer<typeof ShutdownRecord>;

/** An entry. */
export const LogbookEntry = z.strictObject({
  schema: z.literal("utrimax/logbook-entry"),
  version: z.literal(LOGBOOK_ENTRY_VERSION),
  id: z
    .string()
    .max(40)
    .regex(/^[a-z0-9-]+$/, "An id is small letters, digits and dashes."),
  /** What failed, in a line. */
  name: needed(80),
  /** UTC. */
  at: z.iso.datetime("A day and a time are needed.").refine((at) => {
    const year = Number(at.slice(0, 4));
    return year >= 1950 && year < 2100;
  }, "A year is 1950 to 2099."),
  kind: z.enum(ENTRY_KINDS),
  aircraft: text(60),
  /** The chain of causes, from what was seen down to what it came of. */
  causes: z.array(Cause).max(12, "At most twelve causes."),
  actions: z.array(Action).max(80, "At most eighty steps."),
  cost: z.strictObject({
    height_m: z
      .number()
      .min(-5000, "A height is −5 000 to 15 000 m.")
      .max(15_000, "A height is −5 000 to 15 000 m.")
      .nullable(),
    time_s: z.number().min(0, "A time is 0 to 24 h.").max(86_400, "A time is 0 to 24 h.").nullable(),
  }),
  learnt: text(2000),
  change: text(2000),
  tags: z.array(needed(24)).max(12, "At most twelve tags."),
  /** Who took part: each with what he was, which stands for him where names are left out. */
  people: z.array(z.strictObject({ name: needed(40), role: needed(40) })).max(8, "At most eight people."),
  sources: z.array(EntrySource).max(6, "At most six sources."),
  /** What it counts for as practice. */
  practised: z.array(z.enum(PRACTICES)).max(PRACTICES.length),
  tab: TabRecord.nullable(),
  shutdown: ShutdownRecord.nullable(),
});
/** @see LogbookEntry */
export type LogbookEntry = z.infer<typeof LogbookEntry>;

/** What an attachment is, as its bytes say; most bytes of one. */
export const ATTACHMENT_TYPES = ["application/pdf", "image/png", "image/jpeg", "text/plain"] as const;
/** @see ATTACHMENT_TYPES */
export type AttachmentType = (typeof ATTACHMENT_TYPES)[number];
/** @see ATTACHMENT_TYPES */
export const MOST_ATTACHMENT_BYTES = 4 * 1024 * 1024;
