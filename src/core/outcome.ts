import type { z } from "zod";

/** What was expected and did not hold: plain data, so that it survives a worker and JSON. */
export interface Issue {
  /** Stable, for programs: `mass_above_maximum`. */
  readonly code: string;
  /** Where in the input, dotted; empty when it concerns the whole. */
  readonly path: string;
  /** For a pilot: what is wrong and what would be right. */
  readonly message: string;
}

/** A value, or the reason why there is none. */
export type Outcome<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issue: Issue };

/** Wraps a value as a success. */
export function success<T>(value: T): Outcome<T> {
  return { ok: true, value };
}

/** Builds a failure; see `Issue` for the parts. */
export function failure(code: string, message: string, path = ""): { readonly ok: false; readonly issue: Issue } {
  return { ok: false, issue: { code, path, message } };
}

/** Most faults told at once, and the most characters of what each says of the input. */
const [MOST_FAULTS, MOST_CHARACTERS] = [50, 300];

const short = (text: string) => (text.length > MOST_CHARACTERS ? `${text.slice(0, MOST_CHARACTERS)}…` : text);

/** The faults a schema found, each with its dotted path: the first fifty, none longer than a reader would read. */
export function issuesOf(error: z.ZodError): Issue[] {
  return error.issues.slice(0, MOST_FAULTS).map((fault) => ({
    code: fault.code ?? "invalid",
    path: short(fault.path.map(String).join(".")),
    message: short(fault.message),
  }));
}

/** Ends a `switch` over a union; reaching it is a bug. */
export function assertNever(value: never): never {
  throw new Error(`assertNever: expected no value, got ${JSON.stringify(value)}`);
}
