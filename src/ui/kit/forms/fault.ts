import type { z } from "zod";

/** A check for one field: what is wrong with a value in SI, in a pilot's words; null when nothing is. */
export type Check = (value: number) => string | null;

/** The check that a zod schema makes. */
export function checkBy(schema: z.ZodType): Check {
  return check(schema);
}

/** The same for text. */
export function checkText(schema: z.ZodType): (value: string) => string | null {
  return check(schema);
}

function check(schema: z.ZodType): (value: unknown) => string | null {
  return (value) => {
    const parsed = schema.safeParse(value);
    return parsed.success ? null : parsed.error.issues[0].message;
  };
}
