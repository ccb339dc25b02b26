// A school in words.
import { EXERCISES } from "@/core/exercise/library";
import type { HandInKind, HandInResult, SchoolRole, SharedKind } from "@/core/school/school";
import type { ClassCell } from "@/core/school/class-table";

/** What a role may do, in a sentence. */
export const ROLE_WORDS: Record<SchoolRole, string> = {
  owner: "Owns it: roles, codes for all, lessons, signatures; sees all that is handed in here.",
  instructor: "Teaches: codes for students, lessons, signatures; sees all that is handed in here.",
  student: "Learns: hands in what he chooses; sees who teaches and his own, and no other student.",
};

/** Where a result came from. */
export const SOURCE_WORDS: Record<HandInKind, string> = { run: "drill", flight: "by hand", log: "flown" };

/** What is shared, in words. */
export const SHARED_WORDS: Record<SharedKind, string> = {
  aircraft: "aircraft",
  place: "place",
  procedure: "procedure",
  "flight-test": "flight test",
};

/** What a verdict is called. */
export const VERDICT_WORDS: Record<HandInResult["verdict"], string> = {
  passed: "within its limits",
  failed: "not within its limits",
  unmeasured: "not all was measured",
};

/** Its colour. */
export const VERDICT_TONES: Record<HandInResult["verdict"], string> = {
  passed: "text-pine",
  failed: "text-brick",
  unmeasured: "text-ink2",
};

/** An exercise's name. */
export const exerciseName = (id: string): string => EXERCISES.find((exercise) => exercise.id === id)?.name ?? id;

/** One cell of a class in a few words. */
export function cellWords({ tries, last, signed }: ClassCell): string {
  const times = tries === 1 ? "1 try" : `${tries} tries`;
  if (signed) return `signed, ${times}`;
  if (last.signed === false) return `once more, ${times}`;
  return `${{ passed: "passed", failed: "failed", unmeasured: "partly" }[last.result.verdict]}, ${times}`;
}
