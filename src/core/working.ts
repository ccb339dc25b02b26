import { z } from "zod";

/**
 * One line of a figure's working: what a pilot needs to check it with a pocket calculator.
 * `value` is in `unit` (SI; the interface converts what it recognises); text values are shown as they stand.
 */
export const WorkingStep = z.object({
  figure: z.string().describe("which shown figure this line belongs to"),
  symbol: z.string(),
  meaning: z.string(),
  formula: z.string().describe("plain text in the field's symbols; empty for an input"),
  value: z.union([z.number(), z.string()]),
  unit: z.string(),
  source: z.string().describe("standard, book, or what the value rests on"),
});

/** @see WorkingStep */
export type WorkingStep = z.infer<typeof WorkingStep>;

/** A line of a working, its parts in the order in which they are read. */
export function workingStep(
  figure: string,
  symbol: string,
  meaning: string,
  formula: string,
  value: number | string,
  unit: string,
  source: string,
): WorkingStep {
  return { figure, symbol, meaning, formula, value, unit, source };
}
