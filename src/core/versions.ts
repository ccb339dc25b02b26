// Documents that live longer than the program that wrote them.
import { z } from "zod";
import { type Outcome, failure, issuesOf, success } from "./outcome";

/** A document as some earlier program left it. */
export type OldDocument = Readonly<Record<string, unknown>>;

/** Makes the next version's document of one of the version before; `version` itself is set for it. */
export type UpgradeStep = (old: OldDocument) => OldDocument;

/** Reads a kind of document in every version that was ever written. */
export interface VersionedDocument<T> {
  /** The version that is written now. */
  readonly version: number;
  /** The present version of a document of any earlier one; what is no such document is handed on as it is. */
  readonly upgraded: (value: unknown) => unknown;
  /**
   * Reads a document.
   *
   * @returns `future_version` for one of a later program, `…_invalid` with the first fault otherwise
   */
  readonly read: (value: unknown) => Outcome<T>;
}

/**
 * Describes a kind of document by its present schema and one step from each earlier version to the next.
 *
 * @param schema - name in the document's field that says what it is
 * @param noun - for messages: "situation"
 * @param present - schema of the present version
 * @param steps - the first makes version 2 of version 1
 * @param field - that says what it is
 */
export function versionedDocument<T>(
  schema: string,
  noun: string,
  present: z.ZodType<T>,
  steps: readonly UpgradeStep[],
  field: "schema" | "format" = "schema",
): VersionedDocument<T> {
  const version = steps.length + 1;
  const Head = z.looseObject({ version: z.int().min(1) }).refine((head) => head[field] === schema);
  const upgraded = (value: unknown): unknown => {
    const head = Head.safeParse(value);
    if (!head.success || head.data.version >= version) return value;
    return steps
      .slice(head.data.version - 1)
      .reduce<OldDocument>((old, step) => ({ ...step(old), version: Number(old.version) + 1 }), head.data);
  };
  return {
    version,
    upgraded,
    read: (value) => {
      const head = Head.safeParse(value);
      if (!head.success) return failure(`${noun}_invalid`, `This is not a Utrimax ${noun}.`, field);
      if (head.data.version > version)
        return failure(
          "future_version",
          `This ${noun} was saved by a later Utrimax (version ${head.data.version}); this one reads version ${version}. Nothing was changed.`,
          "version",
        );
      const parsed = present.safeParse(upgraded(value));
      if (parsed.success) return success(parsed.data);
      const [first] = issuesOf(parsed.error);
      return failure(`${noun}_invalid`, `${first.path || "The document"}: ${first.message}`, first.path);
    },
  };
}

/** A part of an old document with what it left out; a part that is no object stays as it is, to be refused. */
export function completed(part: unknown, usual: object): unknown {
  if (part === undefined) return usual;
  return typeof part === "object" && part !== null && !Array.isArray(part) ? { ...usual, ...part } : part;
}
