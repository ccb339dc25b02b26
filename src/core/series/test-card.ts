// A test card as a document: a series of runs that is planned, flown and laid beside its prediction.
import { z } from "zod";
import { Aeroplane } from "../aircraft/aeroplane";
import { Configuration } from "../aircraft/configuration";
import { SituationDocument } from "../situation/situation-document";

/** The present version of the document. */
export const TEST_CARD_VERSION = 1;

/** What a run is: a half turn with the engine idle or off, by its bank; a straight glide, by its speed. */
export const SERIES_KINDS = ["half-turn", "glide"] as const;
/** @see SERIES_KINDS */
export type SeriesKind = (typeof SERIES_KINDS)[number];

const text = (most: number) =>
  z.string().trim().min(1, "A few words are needed.").max(most, `At most ${most} characters.`);

/** Bank, rad, or equivalent airspeed, m/s: what the kind says. */
const Value = z.number().min(0.05, "From 3° or 0.05 m/s on.").max(200, "At most 200 m/s.");
const Height = z.number().min(-500, "Heights are −500 to 12 000 m.").max(12_000, "Heights are −500 to 12 000 m.");
/** Outside temperature minus standard, K. */
const Deviation = z.number().min(-60, "A deviation is −60 to 60 °C.").max(60, "A deviation is −60 to 60 °C.");
const Sigma = z.number().min(0).max(2000);

/** A run as a log shows it. */
export const CardRun = z.strictObject({
  id: z.uuid().max(36),
  /** Its number on the card. */
  number: z.int().min(1, "Runs are 1 to 80.").max(80, "Runs are 1 to 80."),
  /** The kept log; what is left when it is deleted is here. */
  logId: z.uuid().max(36),
  logName: z.string().max(120),
  /** UTC, s since 1970; null where the log does not tell. */
  at_s: z.number().min(-1e11).max(1e11).nullable(),
  /** Within the log. */
  from_s: z.number().min(0).max(1e7),
  to_s: z.number().min(0).max(1e7),
  value: Value,
  valueSigma: Sigma,
  /** Height of 180°, m; of a glide its sink, m/s. */
  flown: z.number().min(-2000).max(5000),
  flownSigma: Sigma,
  /** The same of the energy height h + V²/2g: what the speed gained is in it. */
  energy: z.number().min(-2000).max(5000),
  /** Of 180°; of a glide its length, s. */
  time_s: z.number().min(0).max(36_000),
  altitude_m: Height,
  /** Of its own log: what is predicted for it is predicted with them. */
  mass_kg: SituationDocument.shape.mass_kg,
  deviation_K: Deviation,
  /** Equivalent airspeed: mean, least and greatest, m/s; null where the log does not know it. */
  speed: z
    .strictObject({ mean: Value, least: z.number().min(0).max(400), most: z.number().min(0).max(400) })
    .nullable(),
  /** Least and greatest bank of its steady part, rad; null likewise. */
  bank: z.strictObject({ least: z.number().min(0).max(1.6), most: z.number().min(0).max(1.6) }).nullable(),
  /** Seconds of the log that are missing in it. */
  hole_s: z.number().min(0).max(36_000),
  /** Why it does not count; null where it counts. */
  leftOut: text(160).nullable(),
});
/** @see CardRun */
export type CardRun = z.infer<typeof CardRun>;

/** Most runs of a card. */
export const MOST_RUNS = 80;

/** A test card. */
export const TestCard = z
  .strictObject({
    schema: z.literal("utrimax/test-card"),
    version: z.literal(TEST_CARD_VERSION),
    id: z
      .string()
      .max(40)
      .regex(/^[a-z0-9-]+$/, "An id is small letters, digits and dashes."),
    name: text(60),
    kind: z.enum(SERIES_KINDS),
    /** As it is when the card is planned. */
    aircraft: Aeroplane,
    mass_kg: SituationDocument.shape.mass_kg,
    deviation_K: Deviation,
    configuration: Configuration,
    /** Where runs begin, and where they are broken off at the latest. */
    start_m: Height,
    abort_m: Height,
    /** Equivalent airspeed that is held; in a turn never under so much of the stalling speed there. */
    speed_mps: Value,
    overStall: z.number().min(1.05, "A margin is 1.05 to 2.").max(2, "A margin is 1.05 to 2."),
    /** What is planned, one a run; the prediction that counts is at `briefed`. */
    points: z.array(Value).min(1, "A card has a run at least.").max(40, "At most 40 runs are planned."),
    briefed: Value,
    /** What is done in a run. */
    task: text(160),
    /** When a run is broken off, and what else is agreed. */
    rules: z.array(text(160)).max(8, "At most eight rules."),
    /** Moments of a run that are marked by hand, in their order. */
    marks: z.array(text(24)).min(1, "A mark at least.").max(4, "At most four marks."),
    runs: z.array(CardRun).max(MOST_RUNS, `At most ${MOST_RUNS} runs.`),
  })
  .refine(({ start_m, abort_m }) => abort_m < start_m, {
    message: "It is broken off lower than it begins.",
    path: ["abort_m"],
  })
  .refine(
    ({ kind, points, briefed }) => kind !== "half-turn" || [...points, briefed].every((bank) => bank < MOST_BANK_RAD),
    {
      message: "A bank is under 75°.",
      path: ["points"],
    },
  );
/** @see TestCard */
export type TestCard = z.infer<typeof TestCard>;

/** Steeper than this nothing is predicted, rad. */
export const MOST_BANK_RAD = 1.309;

/** Most marks of a card. */
export const MOST_MARKS = 600;

/** A moment that was marked by hand. */
export const CardMark = z.strictObject({
  id: z.uuid().max(36),
  run: z.int().min(1).max(MOST_RUNS),
  /** Which of the card's marks. */
  mark: z.int().min(0).max(3),
  /** UTC, ms since 1970. */
  at_ms: z.int().min(0).max(1e14),
  /** Taken back: for good, on whichever device. */
  removed: z.boolean(),
});
/** @see CardMark */
export type CardMark = z.infer<typeof CardMark>;
