// How a class stands: each student's last result of each exercise, with how many tries and whether it is signed.
import type { HandInResult } from "./school";

/** Something that was handed in, as a class is counted from it. */
export interface CountedHandIn {
  readonly id: string;
  readonly accountId: string;
  readonly exerciseId: string;
  readonly result: Pick<HandInResult, "at" | "verdict" | "kind">;
  readonly signed: boolean | null;
}

/** One student's exercise. */
export interface ClassCell {
  readonly tries: number;
  readonly passed: number;
  /** Of the last by the day that it was flown. */
  readonly last: CountedHandIn;
  /** One of them is signed as good. */
  readonly signed: boolean;
}

/** @see classTable */
export interface ClassTable {
  /** Exercises that anybody has handed in or that are asked, in the order given, others after them by name. */
  readonly exercises: readonly string[];
  /** By student, then exercise. */
  readonly cells: ReadonlyMap<string, ReadonlyMap<string, ClassCell>>;
  /** By exercise: how many students have it signed, and how many have handed it in. */
  readonly totals: ReadonlyMap<string, { readonly signed: number; readonly handedIn: number }>;
}

/** Counts a class, once through all that was handed in. */
export function classTable(handIns: readonly CountedHandIn[], asked: readonly string[]): ClassTable {
  const cells = new Map<string, Map<string, ClassCell>>();
  const others = new Set<string>();
  for (const one of handIns) {
    if (!asked.includes(one.exerciseId)) others.add(one.exerciseId);
    const row = cells.get(one.accountId) ?? new Map<string, ClassCell>();
    cells.set(one.accountId, row);
    const cell = row.get(one.exerciseId);
    const later = !cell || one.result.at >= cell.last.result.at;
    row.set(one.exerciseId, {
      tries: (cell?.tries ?? 0) + 1,
      passed: (cell?.passed ?? 0) + (one.result.verdict === "passed" ? 1 : 0),
      last: later ? one : cell.last,
      signed: (cell?.signed ?? false) || one.signed === true,
    });
  }
  const exercises = [...new Set(asked), ...[...others].sort()];
  const totals = new Map(
    exercises.map((exercise) => {
      const of = [...cells.values()].flatMap((row) => row.get(exercise) ?? []);
      return [exercise, { handedIn: of.length, signed: of.filter(({ signed }) => signed).length }];
    }),
  );
  return { exercises, cells, totals };
}
