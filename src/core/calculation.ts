import type { z } from "zod";
import type { Outcome } from "./outcome";

/** Told how far a long calculation is, 0 to 1; returns false to cancel it. */
export type Progress = (share: number) => boolean;

/** A named calculation: the one object that serves the interface, the API and the command line. */
export interface Calculation<I extends z.ZodType = z.ZodType, O extends z.ZodType = z.ZodType> {
  readonly name: string;
  /** One line: the question it answers. */
  readonly question: string;
  readonly input: I;
  readonly output: O;
  readonly sources: readonly string[];
  /** `long` may take more than a second on its largest input. */
  readonly cost: "instant" | "long";
  run(input: z.output<I>, progress?: Progress): Outcome<z.input<O>>;
}

/** Keeps the types of input and output together. */
export function calculation<I extends z.ZodType, O extends z.ZodType>(
  definition: Calculation<I, O>,
): Calculation<I, O> {
  return definition;
}
