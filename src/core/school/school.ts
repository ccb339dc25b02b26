// A school: who may do what in it, what a lesson asks, what was handed in, and how a class stands.
import { z } from "zod";
import { EXERCISES } from "../exercise/library";

/** What one is in a school. */
export const SCHOOL_ROLES = ["owner", "instructor", "student"] as const;
/** @see SCHOOL_ROLES */
export type SchoolRole = (typeof SCHOOL_ROLES)[number];

/** What is done in a school. */
export type SchoolDeed =
  | "dissolve"
  | "rename"
  | "set roles"
  | "invite instructors"
  | "invite students"
  | "remove students"
  | "share"
  | "set lessons"
  | "read everybody"
  | "sign"
  | "hand in"
  | "read";

const ALL: readonly SchoolRole[] = ["owner", "instructor", "student"];
const TEACHING: readonly SchoolRole[] = ["owner", "instructor"];

/** Who may do it. An owner flies and hands in as everybody else; nobody signs what is his own. */
const MAY: Readonly<Record<SchoolDeed, readonly SchoolRole[]>> = {
  dissolve: ["owner"],
  rename: ["owner"],
  "set roles": ["owner"],
  "invite instructors": ["owner"],
  "invite students": TEACHING,
  "remove students": TEACHING,
  share: TEACHING,
  "set lessons": TEACHING,
  "read everybody": TEACHING,
  sign: TEACHING,
  "hand in": ALL,
  read: ALL,
};

/** Whether a role may do something. */
export const mayDo = (role: SchoolRole, deed: SchoolDeed): boolean => MAY[deed].includes(role);

const name = (most: number) => z.string().trim().min(1, "A name is needed.").max(most, `At most ${most} characters.`);

/** What a school is called, and what one calls oneself in it. */
export const SchoolName = name(60);
/** @see SchoolName */
export const MemberName = name(40);

/** What is handed in: where it came from. */
export const HAND_IN_KINDS = ["run", "flight", "log"] as const;
/** @see HAND_IN_KINDS */
export type HandInKind = (typeof HAND_IN_KINDS)[number];

/** Results that a school has in common: documents that its teachers put there. */
export const SHARED_KINDS = ["aircraft", "place", "procedure", "flight-test"] as const;
/** @see SHARED_KINDS */
export type SharedKind = (typeof SHARED_KINDS)[number];

/** A part of a lesson: an exercise of the library, or a drill by its id. */
export const LessonPart = z
  .strictObject({
    exerciseId: z
      .string()
      .max(40)
      .regex(/^[a-z0-9-]+$/, "An exercise is named by small letters, digits and dashes."),
    /** Higher than the exercise’s own, m above the ground; null for its own. */
    hardDeck_m: z.number().min(0, "A hard deck is 0 to 6 000 m.").max(6000, "A hard deck is 0 to 6 000 m.").nullable(),
    /** Of the exercise’s tolerances: 0.5 is half as wide. */
    tolerance: z
      .number()
      .min(0.25, "Tolerances are a quarter to twice as wide.")
      .max(2, "Tolerances are a quarter to twice as wide."),
    /** What counts. */
    ways: z.array(z.enum(HAND_IN_KINDS)).min(1, "Something must count.").max(HAND_IN_KINDS.length),
  })
  .refine(({ exerciseId }) => EXERCISES.some(({ id }) => id === exerciseId), {
    message: "There is no such exercise.",
    path: ["exerciseId"],
  });
/** @see LessonPart */
export type LessonPart = z.infer<typeof LessonPart>;

/** A lesson as it is set. */
export const Lesson = z.strictObject({
  name: name(60),
  words: z.string().trim().max(400, "At most 400 characters."),
  /** Day by which it is to be handed in, YYYY-MM-DD; null for none. */
  due: z.iso.date("A day is YYYY-MM-DD.").nullable(),
  parts: z.array(LessonPart).min(1, "A lesson has an exercise at least.").max(20, "At most twenty exercises."),
});
/** @see Lesson */
export type Lesson = z.infer<typeof Lesson>;

/** What came of it, as the server found it in the student's own rows. */
export const HandInResult = z.strictObject({
  kind: z.enum(HAND_IN_KINDS),
  /** Of the run, flight or log. */
  sourceId: z.uuid().max(36),
  at: z.iso.datetime(),
  aircraft: z.string().max(60),
  /** In a few words, as the lists have it. */
  words: z.string().max(160),
  verdict: z.enum(["passed", "failed", "unmeasured"]),
});
/** @see HandInResult */
export type HandInResult = z.infer<typeof HandInResult>;
