// Apart from the tables, so that what reads a file needs no database.
/** Kinds of rows, in words. */
export const ROW_KINDS = [
  "aircraft",
  "place",
  "situation",
  "procedure",
  "flight test",
  "run",
  "flight",
  "flight log",
  "test card",
  "logbook entry",
  "currency rule",
  "hand-in",
] as const;
